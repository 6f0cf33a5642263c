package dev.zelotype.generate.type;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A wildcard type argument.
 *
 * @param upper its upper bound; {@link ClassName#OBJECT} if it has none
 * @param lower its lower bound, if it has one
 * @param annotations its annotations
 */
public record WildcardName(TypeName upper, @Nullable TypeName lower, List<AnnotationText> annotations)
        implements TypeName {

    /** The unbounded wildcard. */
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
