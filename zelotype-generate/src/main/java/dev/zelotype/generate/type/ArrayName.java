package dev.zelotype.generate.type;

import java.util.List;

/**
 * An array.
 *
 * @param component the type of its elements, possibly an array
 * @param annotations the annotations of the array itself
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
