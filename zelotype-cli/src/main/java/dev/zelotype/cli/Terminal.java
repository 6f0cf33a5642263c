package dev.zelotype.cli;

import java.io.PrintStream;
import java.io.PrintWriter;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.function.Supplier;
import picocli.CommandLine.Help.Ansi;
import picocli.CommandLine.Model.UsageMessageSpec;

/**
 * The streams that a command prints to, and what the terminal can show.
 *
 * @param out for results
 * @param err for messages
 * @param ansi whether colors are shown
 * @param unicode whether arrows and check marks are shown
 * @param width the number of characters per line
 * @param links whether links work
 */
record Terminal(PrintWriter out, PrintWriter err, Ansi ansi, boolean unicode, int width, boolean links) {

    private static final int USUAL_WIDTH = 100;
    private static final int LEAST_WIDTH = 60;

    static Terminal ofProcess() {
        Charset charset = charsetOf("stdout.encoding", "sun.stdout.encoding");
        boolean unicode = charset.newEncoder().canEncode('✔');
        return new Terminal(
                writer(System.out, charset),
                writer(System.err, charset),
                Ansi.AUTO,
                unicode,
                widthOfProcess(),
                Ansi.AUTO.enabled() && Links.areFollowed(System.getenv()));
    }

    /** According to the environment and the width of the terminal; files and pipes get the usual width. */
    private static int widthOfProcess() {
        String columns = System.getenv("COLUMNS");
        if (columns != null && columns.matches("[1-9]\\d{1,3}")) {
            return Math.max(LEAST_WIDTH, Integer.parseInt(columns));
        }
        UsageMessageSpec usual = new UsageMessageSpec();
        usual.width(USUAL_WIDTH);
        usual.autoWidth(true);
        return Math.max(LEAST_WIDTH, usual.width());
    }

    private static Charset charsetOf(String... properties) {
        for (String property : properties) {
            String name = System.getProperty(property);
            if (name != null && Charset.isSupported(name)) {
                return Charset.forName(name);
            }
        }
        // Not a terminal: a file or a pipe takes any text.
        return StandardCharsets.UTF_8;
    }

    private static PrintWriter writer(PrintStream stream, Charset charset) {
        return new PrintWriter(stream, true, charset);
    }

    /** Formats text with picocli's styles, for example {@code bold} or {@code fg(green)}; plain if colors are off. */
    String styled(String styles, String text) {
        return text.isEmpty() || styles.isEmpty()
                ? text
                : Ansi.Style.on(Ansi.Style.parse(styles)).isEmpty() || !ansi.enabled()
                        ? text
                        : Ansi.Style.on(Ansi.Style.parse(styles)) + text + Ansi.Style.off(Ansi.Style.reset);
    }

    /** The first of two characters if it can be shown, else the second. */
    String sign(String nice, String plain) {
        return unicode ? nice : plain;
    }

    /** Runs something; if the JVM is interrupted meanwhile, it prints a message. */
    static <T> T interruptible(Runnable onInterrupt, Supplier<T> work) {
        Thread interrupt = new Thread(onInterrupt);
        try {
            Runtime.getRuntime().addShutdownHook(interrupt);
        } catch (IllegalStateException e) {
            // The JVM ends already, before there was anything to tell.
            return work.get();
        }
        try {
            return work.get();
        } finally {
            release(interrupt);
        }
    }

    private static void release(Thread interrupt) {
        try {
            Runtime.getRuntime().removeShutdownHook(interrupt);
        } catch (IllegalStateException e) {
            // The JVM is ending already: the hook has done its work.
            return;
        }
    }
}
