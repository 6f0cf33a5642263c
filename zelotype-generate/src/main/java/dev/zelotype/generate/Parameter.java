package dev.zelotype.generate;

import com.palantir.javapoet.AnnotationSpec;
import com.palantir.javapoet.TypeName;
import java.util.List;

/**
 * A parameter of a method or a constructor, or a component of a record.
 *
 * @param type its type; of one that takes any number of arguments, the array
 * @param name its name
 * @param annotations what it is marked with
 */
record Parameter(TypeName type, String name, List<AnnotationSpec> annotations) {

    Parameter(TypeName type, String name) {
        this(type, name, List.of());
    }

    String declaration() {
        return annotated() + Code.type(type) + " " + name;
    }

    /** The declaration of one that takes any number of arguments. */
    String varargs() {
        return annotated() + Code.varargs(type) + " " + name;
    }

    private String annotated() {
        StringBuilder out = new StringBuilder();
        annotations.forEach(each -> out.append(Code.annotation(each)).append(' '));
        return out.toString();
    }
}
