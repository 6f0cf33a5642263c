package dev.zelotype.host;

import org.jspecify.annotations.Nullable;

/**
 * For hosts that challenge tests: stands between subjects and doubles, and may change what becomes of a call. Called on the
 * calling thread.
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
     * Puts a disturber into every scene that opens in this JVM from now on.
     *
     * @param disturber the disturber; null for none
     */
    @SuppressWarnings("exports")
    static void everywhere(@Nullable CallDisturber disturber) {
        DisturbedCall.everywhere(disturber);
    }
}
