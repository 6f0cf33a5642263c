package dev.zelotype.benchmarks;

import dev.zelotype.Scene;
import dev.zelotype.Zelotype;
import java.lang.reflect.Proxy;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * New doubles of a known type in one scene, against new proxies with a recording handler each.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(3)
public class InstanceBenchmark {

    private static final int INSTANCES = 20;
    private static final Class<?>[] TYPES = {Mount.class};

    @Benchmark
    @OperationsPerInvocation(INSTANCES)
    public Object proxy() {
        Mount[] made = new Mount[INSTANCES];
        for (int i = 0; i < INSTANCES; i++) {
            made[i] = (Mount) Proxy.newProxyInstance(Mount.class.getClassLoader(), TYPES, new RecordingHandler());
        }
        return made;
    }

    @Benchmark
    @OperationsPerInvocation(INSTANCES)
    public Object zelotype() {
        Mount[] made = new Mount[INSTANCES];
        try (Scene scene = Scene.open()) {
            for (int i = 0; i < INSTANCES; i++) {
                made[i] = Zelotype.stub(Mount.class);
            }
            return scene;
        }
    }
}
