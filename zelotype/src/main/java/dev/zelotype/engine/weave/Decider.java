package dev.zelotype.engine.weave;

import org.jspecify.annotations.Nullable;

/**
 * Decides about calls of woven methods.
 */
public interface Decider {

    /**
     * A method was called.
     *
     * @param self the object, or null for a static method
     * @return an array that holds the answer, or null to let the real code run
     */
    Object @Nullable [] called(WovenMethod method, @Nullable Object self, Object[] arguments);

    /** A constructor was called; whether the object is to stay hollow, without the real constructor. */
    boolean constructing(WovenMethod constructor, Object[] arguments);

    /** A hollow object is complete, its constructor about to return. */
    void constructed(WovenMethod constructor, Object hollow);
}
