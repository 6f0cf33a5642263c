package dev.zelotype.grammar;

import java.util.concurrent.CompletionException;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Supplier;

/** Runs code on a thread that does not inherit a scene. */
final class Outside {

    private Outside() {}

    /** Something that is created outside any scene. */
    static <T> T made(Supplier<T> maker) throws InterruptedException {
        AtomicReference<T> made = new AtomicReference<>();
        of(() -> made.set(maker.get()));
        return made.get();
    }

    static void of(Runnable code) throws InterruptedException {
        Throwable[] thrown = new Throwable[1];
        Thread thread = new Thread(
                null,
                () -> {
                    try {
                        code.run();
                    } catch (Throwable e) {
                        thrown[0] = e;
                    }
                },
                "outside",
                0,
                false);
        thread.start();
        thread.join();
        if (thrown[0] instanceof RuntimeException e) {
            throw e;
        } else if (thrown[0] != null) {
            throw new CompletionException(thrown[0]);
        }
    }
}
