package dev.zelotype.engine.replace;

import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;

/**
 * Reading the inherited values of another thread does not change them.
 */
class InheritedValuesTest {

    private static final int TIMES = 300_000;

    private final InheritableThreadLocal<Object> variable = new InheritableThreadLocal<>();

    @Test
    void looking_at_another_threads_values_changes_none() throws Exception {
        // Only an agent has access.
        try (Scene scene = Scene.open()) {
            suppose(() -> Instant.now()).returns(Instant.EPOCH);
            assertThat(scene.notes()).isNotEmpty();
        }
        Thread owner = Thread.currentThread();
        AtomicBoolean ended = new AtomicBoolean();
        ExecutorService others = Executors.newFixedThreadPool(2);
        List<Future<Integer>> looking = new ArrayList<>();
        variable.set("the first");
        for (int i = 0; i < 2; i++) {
            looking.add(others.submit(() -> {
                int seen = 0;
                while (!ended.get()) {
                    seen += InheritedValues.of(owner, variable) == null ? 0 : 1;
                }
                return seen;
            }));
        }
        int right = 0;
        try {
            for (int i = 0; i < TIMES; i++) {
                variable.set(i);
                right += variable.get().equals(i) ? 1 : 0;
                variable.remove();
            }
        } finally {
            ended.set(true);
            variable.remove();
            others.shutdown();
        }
        assertThat(right).isEqualTo(TIMES);
        for (Future<Integer> each : looking) {
            assertThat(each.get()).isPositive();
        }
    }
}
