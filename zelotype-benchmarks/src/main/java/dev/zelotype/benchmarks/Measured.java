package dev.zelotype.benchmarks;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * How all benchmarks are measured: the average time of one operation, in several JVMs.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
@Warmup(iterations = 4, time = 500, timeUnit = TimeUnit.MILLISECONDS)
@Measurement(iterations = 3, time = 500, timeUnit = TimeUnit.MILLISECONDS)
@Fork(3)
public abstract class Measured {

    static final int CALLS = 1_000;

    Measured() {}

    /** Repeats the operation, so that the overhead of the benchmark itself hardly matters. */
    static int calls(Mount mount) {
        int sum = 0;
        for (int i = 0; i < CALLS; i++) {
            sum += mount.track("Harrow-2", i & 63);
        }
        return sum;
    }
}
