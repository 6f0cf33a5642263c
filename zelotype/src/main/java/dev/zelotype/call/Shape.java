package dev.zelotype.call;

import java.io.Serializable;
import org.jspecify.annotations.Nullable;

/**
 * For tests: common supertype of all call shapes; the library passes them their arguments as an array. For the library
 * itself; a test writes a lambda or a method reference.
 *
 * @since 0.2
 */
public interface Shape extends Serializable {

    /**
     * Makes the call with arguments from an array, one for each parameter.
     *
     * @param arguments the arguments, of the parameters' types
     * @return what the call returns; null for one that returns nothing
     * @throws Throwable whatever the call throws
     */
    @Nullable
    Object spread(@Nullable Object[] arguments) throws Throwable;
}
