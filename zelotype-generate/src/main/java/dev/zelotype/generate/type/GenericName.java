package dev.zelotype.generate.type;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A class with type arguments, or a class nested in one.
 *
 * @param enclosing the enclosing class, if that has type arguments
 * @param raw the class without type arguments
 * @param arguments its type arguments; none if only the enclosing class has some
 * @param annotations its annotations
 */
public record GenericName(
        @Nullable GenericName enclosing, ClassName raw, List<TypeName> arguments, List<AnnotationText> annotations)
        implements TypeName {

    public static GenericName of(ClassName raw, List<? extends TypeName> arguments) {
        return new GenericName(null, raw, List.copyOf(arguments), List.of());
    }

    @Override
    public GenericName with(List<AnnotationText> others) {
        return new GenericName(enclosing, raw, arguments, others);
    }
}
