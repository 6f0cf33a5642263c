package dev.zelotype.host;

import java.lang.StackWalker.StackFrame;
import org.jspecify.annotations.Nullable;

/**
 * For hosts that challenge tests: receives calls between subjects and doubles, and may change their result. Called on
 * the calling thread.
 *
 * @since 0.2
 */
@FunctionalInterface
public interface CallDisturber {

    /**
     * Handles a call of a double.
     *
     * @param call the call; {@link DisturbedCall#proceed()} continues it undisturbed
     * @return the result for the subject
     * @throws Throwable the exception for the subject
     */
    @SuppressWarnings("exports")
    @Nullable
    Object disturb(DisturbedCall call) throws Throwable;

    /**
     * Handles a failed check of the test.
     *
     * @param check the text of the check, for example {@code verify(dome::open), exactly 1 call}
     * @param receiver its double
     * @param signature its method
     * @param at its frame; null if unknown
     * @return true if the test must continue as if the check had passed, and the failure is kept here; false by default
     */
    @SuppressWarnings("exports")
    default boolean keeps(String check, String receiver, String signature, @Nullable StackFrame at) {
        return false;
    }

    /**
     * Called when the test is about to check the calls of its scene: before each of its checks, and at the end of the
     * scene. Checks of the test come here as well.
     *
     * @param scene the scene, with its doubles
     * @param last whether the scene is about to close
     * @throws Throwable the exception that the test gets instead of its check
     */
    default void looks(DisturbedScene scene, boolean last) throws Throwable {}

    /**
     * Sets a disturber for every scene that opens in this JVM from now on.
     *
     * @param disturber the disturber; null for none
     */
    @SuppressWarnings("exports")
    static void everywhere(@Nullable CallDisturber disturber) {
        DisturbedCall.everywhere(disturber);
    }
}
