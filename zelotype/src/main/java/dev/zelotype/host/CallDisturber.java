package dev.zelotype.host;

import java.lang.StackWalker.StackFrame;
import org.jspecify.annotations.Nullable;

/**
 * For hosts that challenge tests: receives calls between subjects and doubles, and may change what becomes of a call.
 * Called on the calling thread.
 *
 * @since 0.2
 */
@FunctionalInterface
public interface CallDisturber {

    /**
     * A call has come to a double.
     *
     * @param call the call; {@link DisturbedCall#proceed()} lets it go on undisturbed
     * @return what the subject gets
     * @throws Throwable what the subject gets instead
     */
    @SuppressWarnings("exports")
    @Nullable
    Object disturb(DisturbedCall call) throws Throwable;

    /**
     * A check of the test has failed.
     *
     * @param check the check as it reads, such as {@code verify(dome::open), exactly 1 call}
     * @param receiver the double that it is about
     * @param signature the method that it is about
     * @param at the frame that says it; null if it is not known
     * @return true if the test is to go on as if the check had held, and this notes that it has not; false unless
     *     overridden
     */
    @SuppressWarnings("exports")
    default boolean keeps(String check, String receiver, String signature, @Nullable StackFrame at) {
        return false;
    }

    /**
     * The test is about to look at the calls of its scene: before each of its checks, and at the end of the scene. Checks
     * that are written meanwhile come here as well.
     *
     * @param scene the scene, with its doubles
     * @param last whether the scene ends
     * @throws Throwable what the test gets instead of its check
     */
    default void looks(DisturbedScene scene, boolean last) throws Throwable {}

    /**
     * Puts a disturber into every scene that opens in this JVM from now on.
     *
     * @param disturber the disturber; null for none
     */
    @SuppressWarnings("exports")
    static void everywhere(@Nullable CallDisturber disturber) {
        DisturbedCall.everywhere(disturber);
    }
}
