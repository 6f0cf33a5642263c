package dev.zelotype.engine.decide;

import dev.zelotype.error.CheckFailure;
import org.jspecify.annotations.Nullable;

/**
 * Stands between the subject and the doubles of a scene: each call goes through it, and it may change what becomes of it.
 */
public interface Disturber {

    /**
     * A call has come to a double.
     *
     * @param passage the call; {@link Passage#proceed()} lets it go on undisturbed
     * @return what the subject gets
     */
    @Nullable
    Object disturb(Passage passage) throws Throwable;

    /**
     * A check of the test has failed.
     *
     * @param check the check
     * @param count how many calls it asks for, in words
     * @param failure what it would throw
     * @return true if it is kept, and the test is to go on as if the check had held; false unless overridden
     */
    default boolean keeps(Said check, String count, CheckFailure failure) {
        return false;
    }

    /**
     * The test is about to look at the calls of a scene: before each of its checks, and at the end of the scene.
     *
     * @param scene the scene
     * @param last whether the scene ends
     * @throws Throwable what the test gets instead of its check
     */
    default void looks(CallScene scene, boolean last) throws Throwable {}
}
