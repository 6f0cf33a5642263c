package dev.zelotype.call;

import org.jspecify.annotations.Nullable;

/**
 * For tests: a call that takes no free parameters and returns nothing, written as a method reference or a lambda.
 *
 * @since 0.2
 */
@FunctionalInterface
public interface Act0 extends Shape {

    /**
     * Makes the call.
     *
     * @throws Throwable whatever the call throws
     */
    void act() throws Throwable;

    @Override
    default @Nullable Object spread(@Nullable Object[] arguments) throws Throwable {
        act();
        return null;
    }
}
