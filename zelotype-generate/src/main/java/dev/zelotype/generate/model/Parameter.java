package dev.zelotype.generate.model;

import dev.zelotype.generate.type.AnnotationText;
import dev.zelotype.generate.type.TypeName;
import java.util.List;

/**
 * A parameter of a method or a constructor, or a component of a record. Its declaration is composed only once, because
 * a double repeats it in many places.
 */
public final class Parameter {

    private final TypeName type;
    private final String name;
    private final List<AnnotationText> annotations;
    private final String declaration;

    /**
     * A parameter.
     *
     * @param type its type; an array for variable arguments
     * @param annotations its annotations
     */
    public Parameter(TypeName type, String name, List<AnnotationText> annotations) {
        this.type = type;
        this.name = name;
        this.annotations = annotations;
        this.declaration = annotated() + Code.type(type) + " " + name;
    }

    /** The same parameter without annotations, possibly with another type and name. */
    public Parameter plain(TypeName newType, String newName) {
        boolean isSame = newType == type && newName.equals(name) && annotations.isEmpty();
        return isSame ? this : new Parameter(newType, newName, List.of());
    }

    public TypeName type() {
        return type;
    }

    public String name() {
        return name;
    }

    public String declaration() {
        return declaration;
    }

    /** The declaration as variable arguments. */
    public String varargs() {
        return annotated() + Code.varargs(type) + " " + name;
    }

    private String annotated() {
        StringBuilder out = new StringBuilder();
        for (AnnotationText each : annotations) {
            out.append(Code.annotation(each)).append(' ');
        }
        return out.toString();
    }
}
