package dev.zelotype.engine.decide;

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
}
