package dev.zelotype.challenge.run;

import dev.zelotype.challenge.change.Message;
import dev.zelotype.challenge.change.Wire;
import dev.zelotype.challenge.error.ChallengeException;
import dev.zelotype.challenge.worker.Worker;
import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;

/**
 * A worker JVM as its supervisor sees it: commands go in, messages come out, and it can be killed at any time.
 */
public final class WorkerProcess implements AutoCloseable {

    /** Marks the end of the output. */
    private static final String GONE = "\u0000gone";

    /**
     * Most tests are short, so thorough compilation takes more time than it saves. The options of the tests come later
     * and override this.
     */
    private static final String FEW_COMPILATIONS = "-XX:TieredStopAtLevel=1";

    private final Process process;
    private final PrintStream commands;
    private final BlockingQueue<String> lines = new LinkedBlockingQueue<>();
    private final List<String> errors = new ArrayList<>();

    /**
     * Starts one.
     *
     * @param agent the jar of the agent, which takes everything else from the class path
     */
    public WorkerProcess(List<Path> classPath, Path agent, TestRun run) {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.add(FEW_COMPILATIONS);
        command.add("-javaagent:" + agent);
        command.addAll(run.jvmOptions());
        command.add("-XX:+EnableDynamicAgentLoading");
        command.add("-XX:+IgnoreUnrecognizedVMOptions");
        command.add("-Djava.awt.headless=true");
        command.add("-cp");
        List<String> entries = new ArrayList<>();
        classPath.forEach(entry -> entries.add(entry.toAbsolutePath().toString()));
        command.add(String.join(File.pathSeparator, entries));
        command.add(Worker.class.getName());
        try {
            ProcessBuilder builder = new ProcessBuilder(command);
            if (run.folder() != null) {
                builder.directory(run.folder().toFile());
            }
            builder.environment().putAll(run.environment());
            process = builder.start();
        } catch (IOException e) {
            throw new ChallengeException("No JVM can be started for the tests: " + e.getMessage() + ".", e);
        }
        commands = new PrintStream(process.getOutputStream(), true, StandardCharsets.UTF_8);
        follow(process.inputReader(StandardCharsets.UTF_8), lines::add, () -> lines.add(GONE));
        follow(
                new BufferedReader(new InputStreamReader(process.getErrorStream(), StandardCharsets.UTF_8)),
                this::error,
                () -> {});
    }

    private interface Sink {
        void take(String line);
    }

    private static void follow(BufferedReader from, Sink sink, Runnable end) {
        Thread reader = new Thread(() -> {
            try (from) {
                for (String line = from.readLine(); line != null; line = from.readLine()) {
                    sink.take(line);
                }
            } catch (IOException e) {
                // The worker has ended.
                return;
            } finally {
                end.run();
            }
        });
        reader.setDaemon(true);
        reader.start();
    }

    private synchronized void error(String line) {
        if (errors.size() < 20) {
            errors.add(line);
        }
    }

    /** What it reported about its own end. */
    public synchronized String errors() {
        return errors.isEmpty() ? "it said nothing" : errors.get(0);
    }

    public void send(Message command) {
        commands.println(Wire.line(command));
    }

    /** The next message; null if none arrives in time, or the worker is gone. */
    @Nullable
    public Message next(long millis) throws InterruptedException {
        while (true) {
            String line = lines.poll(millis, TimeUnit.MILLISECONDS);
            if (line == null) {
                return null;
            } else if (line.equals(GONE)) {
                lines.add(GONE);
                return null;
            }
            try {
                return Wire.message(line);
            } catch (IllegalArgumentException | NoSuchElementException e) {
                // Output of the JVM itself, such as a warning, is not a message of the worker.
                error(line);
            }
        }
    }

    boolean isGone() {
        return GONE.equals(lines.peek()) || !process.isAlive() && lines.isEmpty();
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }
}
