package dev.zelotype.benchmarks;

import static dev.zelotype.Zelotype.forgetCalls;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Threads;

/**
 * An answered and recorded call of one double that sixteen threads share, against a hand-written one that keeps its calls
 * in a concurrent queue.
 */
@State(Scope.Benchmark)
@Threads(16)
public class SharedCallBenchmark extends Measured {

    private final ThreadSafeRecorder recorder = new ThreadSafeRecorder();
    private final Mount written = recorder.written();
    private Mount zelotype;

    @Setup
    public void setUp() {
        recorder.answer(7);
        Scene.open(SceneSettings.defaults().linesOfCalls(0));
        zelotype = stub(Mount.class);
        suppose(zelotype::track).returns(7);
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public int written() {
        recorder.forget();
        return calls(written);
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public int zelotype() {
        forgetCalls(zelotype);
        return calls(zelotype);
    }
}
