package dev.zelotype.engine.weave;

import org.jspecify.annotations.Nullable;

/**
 * Decides about calls of woven methods and of woven call sites.
 */
public interface Decider {

    /**
     * A method was called.
     *
     * @param self the object, or null for a static method
     * @return an array that holds the answer, or null to let the real code run
     */
    Object @Nullable [] called(WovenMethod method, @Nullable Object self, Object[] arguments);

    /**
     * A constructor was called.
     *
     * @return an array that holds the object to give instead, or null to let the real constructor run
     */
    Object @Nullable [] constructing(WovenMethod constructor, Object[] arguments);
}
