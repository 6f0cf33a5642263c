package dev.zelotype.engine.decide;

import dev.zelotype.error.CheckFailure;
import org.jspecify.annotations.Nullable;

/**
 * Stands between the subject and the doubles of a scene: each call passes through it, and it may change the result.
 */
public interface Disturber {

    /**
     * Handles a call of a double.
     *
     * @param passage the call; {@link Passage#proceed()} continues it undisturbed
     * @return the result for the subject
     */
    @Nullable
    Object disturb(Passage passage) throws Throwable;

    /**
     * Handles a failed check of the test.
     *
     * @param check the check
     * @param count the number of calls that it requires, as text
     * @param failure the failure
     * @return true if it was kept, and the test must continue as if the check had passed; false by default
     */
    default boolean keeps(Stated check, String count, CheckFailure failure) {
        return false;
    }

    /**
     * Called when the test is about to check the calls of a scene: before each of its checks, and at the end of the
     * scene.
     *
     * @param scene the scene
     * @param last whether the scene is about to close
     * @throws Throwable the exception that the test gets instead of its check
     */
    default void looks(CallScene scene, boolean last) throws Throwable {}
}
