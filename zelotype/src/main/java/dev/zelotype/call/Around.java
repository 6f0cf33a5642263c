package dev.zelotype.call;

import java.io.Serializable;
import org.jspecify.annotations.Nullable;

/**
 * For tests: common supertype of all answers around real code. For the library itself; a test writes a lambda.
 *
 * @since 0.2
 */
public interface Around extends Serializable {

    /**
     * Answers a call with arguments from an array, one for each parameter.
     *
     * @param real runs the real code
     * @param arguments the arguments, of the parameters' types
     * @return what the call returns; null for one that returns nothing
     * @throws Throwable whatever the call is to throw
     */
    @Nullable
    Object spread(Shape real, @Nullable Object[] arguments) throws Throwable;
}
