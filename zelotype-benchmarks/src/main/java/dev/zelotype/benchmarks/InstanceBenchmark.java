package dev.zelotype.benchmarks;

import dev.zelotype.Scene;
import dev.zelotype.Zelotype;
import java.lang.reflect.Proxy;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.OperationsPerInvocation;

/**
 * New doubles of a known type in one scene, against new proxies with a recording handler each.
 */
@Fork(2)
public class InstanceBenchmark extends Measured {

    private static final int INSTANCES = 20;
    private static final int MANY = 1_000;
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
        return sceneOf(INSTANCES);
    }

    /** So many that the scene itself hardly counts. */
    @Benchmark
    @OperationsPerInvocation(MANY)
    public Object inLargeScene() {
        return sceneOf(MANY);
    }

    private static Scene sceneOf(int number) {
        Mount[] made = new Mount[number];
        try (Scene scene = Scene.open()) {
            for (int i = 0; i < number; i++) {
                made[i] = Zelotype.stub(Mount.class);
            }
            return scene;
        }
    }
}
