package dev.zelotype.generate.model;

import dev.zelotype.generate.type.TypeName;
import dev.zelotype.generate.type.VariableName;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;

/**
 * The type variables of a type or of a method, with their bounds. Their declaration is composed only once, because a
 * double repeats it in many places.
 */
public final class TypeVariables {

    public static final TypeVariables NONE = new TypeVariables(List.of());

    private final List<VariableName> all;
    private final String declaration;
    private final String list;

    public TypeVariables(List<VariableName> all) {
        this.all = List.copyOf(all);
        List<String> declared = new ArrayList<>();
        List<String> names = new ArrayList<>();
        for (VariableName each : all) {
            declared.add(declaration(each));
            names.add(each.name());
        }
        declaration = all.isEmpty() ? "" : "<" + String.join(", ", declared) + ">";
        list = all.isEmpty() ? "" : "<" + String.join(", ", names) + ">";
    }

    /** A variable without bounds. */
    public static TypeVariables of(String name) {
        return new TypeVariables(List.of(VariableName.of(name)));
    }

    private static String declaration(VariableName variable) {
        StringBuilder out = new StringBuilder(Code.type(variable));
        String between = " extends ";
        for (TypeName bound : variable.bounds()) {
            out.append(between).append(Code.type(bound));
            between = " & ";
        }
        return out.toString();
    }

    public List<VariableName> all() {
        return all;
    }

    public boolean isEmpty() {
        return all.isEmpty();
    }

    /** Their declaration in brackets; empty if there are none. */
    public String declaration() {
        return declaration;
    }

    /** Their names in brackets, as arguments of a type with the same variables; empty if there are none. */
    String asArguments() {
        return list;
    }

    public void addNamesTo(Collection<String> names) {
        for (VariableName each : all) {
            names.add(each.name());
        }
    }
}
