package dev.zelotype.generate.type;

import java.util.List;

/**
 * An array.
 *
 * @param component the type of its elements, which may be arrays again
 * @param annotations what the array itself is annotated with
 */
public record ArrayName(TypeName component, List<AnnotationText> annotations) implements TypeName {

    public static ArrayName of(TypeName component) {
        return new ArrayName(component, List.of());
    }

    @Override
    public ArrayName with(List<AnnotationText> others) {
        return new ArrayName(component, others);
    }
}
