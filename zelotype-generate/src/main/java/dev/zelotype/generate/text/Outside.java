package dev.zelotype.generate.text;

import dev.zelotype.generate.model.Parameter;
import dev.zelotype.generate.model.TypeVariables;
import dev.zelotype.generate.type.ArrayName;
import dev.zelotype.generate.type.ClassName;
import dev.zelotype.generate.type.GenericName;
import dev.zelotype.generate.type.TypeName;
import dev.zelotype.generate.type.VariableName;
import dev.zelotype.generate.type.WildcardName;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Types of a generic method as seen from outside, where its type variables have no meaning: each is replaced by a type
 * that includes all its possible values. {@code Map<K, List<K>>} becomes {@code Map<?, ? extends List<?>>}.
 */
public final class Outside {

    /** By name, with their bounds as members of the type. */
    private final Map<String, VariableName> variables = new HashMap<>();

    private final Set<String> expanding = new HashSet<>();

    /** Types as seen from outside the scope of some type variables. */
    public Outside(TypeVariables variables) {
        for (VariableName variable : variables.all()) {
            this.variables.put(variable.name(), variable);
        }
    }

    /** Whether one of the variables occurs in one of the types. */
    public boolean mentionedIn(List<Parameter> parameters) {
        for (Parameter each : parameters) {
            if (isMentionedIn(each.type())) {
                return true;
            }
        }
        return false;
    }

    /** Whether one of the variables occurs in a type. */
    public boolean isMentionedIn(TypeName type) {
        return !variables.isEmpty() && mentions(type);
    }

    private boolean mentions(TypeName type) {
        if (type instanceof VariableName variable) {
            return variables.containsKey(variable.name());
        } else if (type instanceof ArrayName array) {
            return mentions(array.component());
        } else if (type instanceof WildcardName wildcard) {
            return mentions(wildcard.upper()) || wildcard.lower() != null && mentions(wildcard.lower());
        }
        return type instanceof GenericName parameterized
                && (mentions(parameterized.arguments())
                        || parameterized.enclosing() != null && mentions(parameterized.enclosing()));
    }

    private boolean mentions(List<TypeName> types) {
        for (TypeName each : types) {
            if (mentions(each)) {
                return true;
            }
        }
        return false;
    }

    /** A supertype of all types that the given one may be. */
    public TypeName above(TypeName type) {
        if (!isMentionedIn(type)) {
            return type;
        } else if (type instanceof VariableName variable) {
            return aboveBound(variable);
        } else if (type instanceof ArrayName array) {
            return ArrayName.of(above(array.component()));
        } else if (type instanceof GenericName parameterized) {
            return above(parameterized);
        }
        return type;
    }

    private GenericName above(GenericName type) {
        return new GenericName(
                type.enclosing() == null ? null : above(type.enclosing()),
                type.raw(),
                type.arguments().stream().map(this::argument).toList(),
                List.of());
    }

    /** Its first bound; recursion as in {@code T extends Comparable<T>} stops there. */
    private TypeName aboveBound(VariableName named) {
        VariableName variable = variables.get(named.name());
        if (variable == null || variable.bounds().isEmpty() || !expanding.add(named.name())) {
            return ClassName.OBJECT;
        }
        TypeName bound = variable.bounds().get(0);
        TypeName found = above(bound);
        expanding.remove(named.name());
        return found;
    }

    private TypeName argument(TypeName argument) {
        if (!mentions(argument)) {
            return argument;
        }
        TypeName bound = argument;
        if (argument instanceof WildcardName wildcard) {
            if (wildcard.lower() != null) {
                return WildcardName.ANY;
            }
            bound = wildcard.upper();
        }
        TypeName above = above(bound);
        // Recursive bounds end there.
        return above.equals(ClassName.OBJECT) ? WildcardName.ANY : WildcardName.subtypeOf(above);
    }
}
