package dev.zelotype.benchmarks;

import static dev.zelotype.Zelotype.forgetCalls;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.Setup;

/**
 * An answered and recorded call of a double that was told ten things, and of one that was told ten thousand.
 */
public class ManyStatementsBenchmark extends Measured {

    private static final int FEW = 10;
    private static final int MANY = 10_000;

    private Mount few;
    private Mount many;

    @Setup
    public void setUp() {
        Scene.open(SceneSettings.defaults().linesOfCalls(0));
        few = told(FEW);
        many = told(MANY);
    }

    private static Mount told(int things) {
        Mount mount = stub(Mount.class);
        for (int i = 0; i < things; i++) {
            int rate = i;
            suppose(() -> mount.track("Harrow-2", rate)).returns(i);
        }
        return mount;
    }

    private static int call(Mount mount) {
        int sum = 0;
        for (int i = 0; i < CALLS; i++) {
            sum += mount.track("Harrow-2", i % FEW);
        }
        return sum;
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public int few() {
        forgetCalls(few);
        return call(few);
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public int many() {
        forgetCalls(many);
        return call(many);
    }
}
