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
}
