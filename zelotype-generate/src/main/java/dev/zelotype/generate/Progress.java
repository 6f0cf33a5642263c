package dev.zelotype.generate;

/**
 * For builds and tools: hears how far a long run has come.
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
     * @param doing what is being done, such as {@code reading}
     * @param done how many types or files are done
     * @param total how many there are
     */
    void reached(String doing, int done, int total);
}
