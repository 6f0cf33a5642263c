package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: an action around the real code of a call that takes no free parameters and returns nothing.
 *
 * @since 0.2
 */
@FunctionalInterface
public interface AroundAct0 extends Around {

    /**
     * Acts for the call.
     *
     * @param real runs the real code, with these arguments or others, as often as it is asked
     * @throws Throwable whatever the call is to throw
     */
    void around(Act0 real) throws Throwable;

    @Override
    default @Nullable Object spread(Shape real, @Nullable Object[] arguments) throws Throwable {
        around(() -> real.spread(new @Nullable Object[] {}));
        return null;
    }
}
