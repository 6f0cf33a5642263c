package dev.zelotype.benchmarks;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.verify;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.Warmup;

/**
 * A check that reads every call of a method, for a thousand calls and for a million. The figure is per call.
 */
@Warmup(iterations = 3, time = 1)
@Fork(1)
public class VerifyBenchmark extends Measured {

    private static final int MANY = 1_000_000;

    private Mount few;
    private Mount many;

    @Setup
    public void setUp() {
        Scene.open(SceneSettings.defaults().linesOfCalls(0));
        few = called(CALLS);
        many = called(MANY);
    }

    private static Mount called(int times) {
        Mount mount = stub(Mount.class);
        for (int i = 0; i < times; i++) {
            mount.track("Harrow-2", i % CALLS);
        }
        return mount;
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public void few() {
        verify(() -> few.track("Harrow-2", 7)).times(1);
    }

    @Benchmark
    @OperationsPerInvocation(MANY)
    public void many() {
        verify(() -> many.track("Harrow-2", 7)).times(MANY / CALLS);
    }
}
