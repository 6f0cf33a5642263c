package dev.zelotype.call;

import java.io.Serializable;

/**
 * A call that takes no free parameters and gives nothing back, written as a method reference or a lambda.
 */
@FunctionalInterface
public interface Act0 extends Serializable {

    /**
     * Makes the call.
     *
     * @throws Throwable whatever the call throws
     */
    void act() throws Throwable;
}
