package dev.zelotype.engine.weave;

import org.jspecify.annotations.Nullable;

/**
 * Decides about calls of woven methods and woven call sites.
 */
public interface Decider {

    /**
     * Handles a call of a method.
     *
     * @param self the object, or null for a static method
     * @return an array with the answer, or null to run the real code
     */
    Object @Nullable [] called(WovenMethod method, @Nullable Object self, Object[] arguments);

    /**
     * Handles a call of a constructor.
     *
     * @return an array with the object to use instead, or null to run the real constructor
     */
    Object @Nullable [] constructing(WovenMethod constructor, Object[] arguments);
}
