package dev.zelotype.challenge.values;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;

/**
 * A future that never completes, and futures that depend on it. Waiting for it without a time limit fails immediately,
 * because a test that hangs has noticed as well.
 *
 * @param <T> its value if it completed
 */
public final class NeverComplete<T> extends CompletableFuture<T> {

    private static final String WITHOUT_END = "The test waits without end for a future that never completes.";

    @Override
    public <U> CompletableFuture<U> newIncompleteFuture() {
        return new NeverComplete<>();
    }

    @Override
    public T join() {
        if (isDone()) {
            return super.join();
        }
        throw new AssertionError(WITHOUT_END);
    }

    @Override
    public T get() throws InterruptedException, java.util.concurrent.ExecutionException {
        if (isDone()) {
            return super.get();
        }
        throw new AssertionError(WITHOUT_END);
    }

    @Override
    public T get(long time, TimeUnit unit)
            throws InterruptedException, java.util.concurrent.ExecutionException, TimeoutException {
        if (isDone()) {
            return super.get(time, unit);
        }
        throw new TimeoutException("disturbed");
    }
}
