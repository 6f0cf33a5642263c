package dev.zelotype.generate.type;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A type argument that leaves open what it is.
 *
 * @param upper what it extends; {@link ClassName#OBJECT} if it says nothing
 * @param lower its lower bound, if it has one
 * @param annotations what it is annotated with
 */
public record WildcardName(TypeName upper, @Nullable TypeName lower, List<AnnotationText> annotations)
        implements TypeName {

    /** Any type at all. */
    public static final WildcardName ANY = subtypeOf(ClassName.OBJECT);

    public static WildcardName subtypeOf(TypeName upper) {
        return new WildcardName(upper, null, List.of());
    }

    public static WildcardName supertypeOf(TypeName lower) {
        return new WildcardName(ClassName.OBJECT, lower, List.of());
    }

    @Override
    public WildcardName with(List<AnnotationText> others) {
        return new WildcardName(upper, lower, others);
    }
}
