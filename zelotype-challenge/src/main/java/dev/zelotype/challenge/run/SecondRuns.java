package dev.zelotype.challenge.run;

import dev.zelotype.basics.CodeOwner;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.LinkedBlockingQueue;

/**
 * Runs tests a second time in further lanes, each class as soon as its first run has ended: no class runs twice at the
 * same time, and these lanes are warm when the first run ends. For one thread.
 */
public final class SecondRuns implements AutoCloseable {

    private static final List<String> END = List.of();

    private final Runner runner;
    private final BlockingQueue<List<String>> classes = new LinkedBlockingQueue<>();
    private final List<Future<?>> lanes = new ArrayList<>();
    private final ExecutorService threads;
    private List<String> ended = new ArrayList<>();
    private String current = "";

    /** Runs some tests in a lane. */
    public interface Runner {
        /** Returns when they have run. */
        void run(int lane, List<String> tests) throws InterruptedException;
    }

    /**
     * Starts to wait for tests.
     *
     * @param others the number of further lanes, numbered from 1
     */
    public SecondRuns(int others, Runner runner) {
        this.runner = runner;
        threads = Executors.newFixedThreadPool(others);
        for (int i = 1; i <= others; i++) {
            int lane = i;
            lanes.add(threads.submit(() -> {
                for (List<String> next = classes.take(); next != END; next = classes.take()) {
                    runner.run(lane, next);
                }
                classes.add(END);
                return null;
            }));
        }
    }

    /** A test of a class has run for the first time; the class can be run again once all its tests have. */
    public void ended(String test, String type) {
        String outermost = CodeOwner.outermost(type);
        if (!outermost.equals(current)) {
            give();
        }
        current = outermost;
        ended.add(test);
    }

    private void give() {
        if (!ended.isEmpty()) {
            classes.add(ended);
            ended = new ArrayList<>();
        }
    }

    /** Runs the remaining tests in the lane of the first run, and waits for the other lanes. */
    public void finish() throws InterruptedException {
        give();
        for (List<String> next = classes.poll(); next != null; next = classes.poll()) {
            runner.run(0, next);
        }
        classes.add(END);
        try {
            for (Future<?> each : lanes) {
                each.get();
            }
        } catch (ExecutionException e) {
            throw Rounds.causeOf(e);
        }
    }

    @Override
    public void close() {
        threads.shutdownNow();
    }
}
