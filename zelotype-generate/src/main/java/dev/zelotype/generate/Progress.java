package dev.zelotype.generate;

/**
 * For builds and tools: receives the progress of a long run.
 *
 * <pre>{@code
 * Progress progress = (doing, done, total) -> System.err.println(doing + " " + done + " of " + total);
 * }</pre>
 *
 * @since 0.2
 */
@FunctionalInterface
public interface Progress {

    /** Reports nothing. */
    Progress NONE = (doing, done, total) -> {};

    /**
     * Called after each step, on the thread that runs the generator; should be quick.
     *
     * @param doing the current activity, for example {@code reading}
     * @param done the number of types or files that are done
     * @param total the total number
     */
    void reached(String doing, int done, int total);
}
