package dev.zelotype.cli;

import dev.zelotype.generate.Progress;
import java.io.PrintWriter;
import java.time.Duration;

/**
 * Reports the progress of a long run, one line every other second; a short run stays silent.
 */
final class ProgressLines implements Progress {

    private static final long PAUSE = Duration.ofSeconds(2).toNanos();

    private final PrintWriter err;
    private long lastSaid = System.nanoTime();

    ProgressLines(PrintWriter err) {
        this.err = err;
    }

    @Override
    public void reached(String doing, int done, int total) {
        say(doing + ": " + done + " of " + total);
    }

    /** The same for work whose total is unknown. */
    void reached(String done, int count) {
        say(done + ": " + count);
    }

    private void say(String line) {
        long now = System.nanoTime();
        if (now - lastSaid > PAUSE) {
            lastSaid = now;
            err.println(line);
        }
    }
}
