package dev.zelotype.benchmarks;

import static dev.zelotype.Zelotype.inThisOrder;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.verify;

import dev.zelotype.Scene;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Twenty checks over a thousand calls, with an order and without. Each takes as many calls as it likes, so there are very
 * many ways to read the calls.
 */
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
@Fork(1)
public class OrderBenchmark extends Measured {

    private static final int CALLS = 1_000;
    private static final int STATEMENTS = 20;

    private Mount mount;

    @Setup
    public void setUp() {
        Scene.open();
        mount = spy(Mount.class);
        for (int i = 0; i < CALLS; i++) {
            mount.track("Harrow-2", i);
        }
    }

    @Benchmark
    public void ordered() {
        inThisOrder(this::checks);
    }

    @Benchmark
    public void unordered() {
        checks();
    }

    private void checks() {
        for (int i = 0; i < STATEMENTS; i++) {
            verify(mount::track).atLeast(1);
        }
    }
}
