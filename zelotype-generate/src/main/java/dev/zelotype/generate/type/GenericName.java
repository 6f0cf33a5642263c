package dev.zelotype.generate.type;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A class with type arguments, or one inside a class that has them.
 *
 * @param enclosing the class around it, if that has type arguments of its own
 * @param raw the class alone
 * @param arguments its type arguments; none if only the class around it has some
 * @param annotations what it is annotated with
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
