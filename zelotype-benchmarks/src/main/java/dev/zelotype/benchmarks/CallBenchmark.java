package dev.zelotype.benchmarks;

import static dev.zelotype.Zelotype.forgetCalls;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.Warmup;

/**
 * An answered and recorded call.
 */
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 2, time = 1)
public class CallBenchmark extends Measured {

    private WrittenMount written;
    private RecordingHandler handler;
    private Mount proxy;
    private ThreadSafeRecorder recorder;
    private Mount threadSafe;
    private Mount threadSafeProxy;
    private Mount zelotype;

    @Setup
    public void setUp() throws NoSuchMethodException {
        written = new WrittenMount();
        written.answer(7);
        handler = new RecordingHandler();
        handler.answer(Mount.class.getMethod("track", String.class, int.class), 7);
        proxy = handler.mount();
        recorder = new ThreadSafeRecorder();
        recorder.answer(7);
        recorder.answer(Mount.class.getMethod("track", String.class, int.class), 7);
        threadSafe = recorder.written();
        threadSafeProxy = recorder.proxy();
        // Lines are recorded for the first thousand calls of a scene only; the calls after them are measured.
        Scene.open(SceneSettings.defaults().linesOfCalls(0));
        zelotype = stub(Mount.class);
        suppose(zelotype::track).returns(7);
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public int written() {
        written.forget();
        return calls(written);
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public int proxy() {
        handler.forget();
        return calls(proxy);
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public int threadSafe() {
        recorder.forget();
        return calls(threadSafe);
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public int threadSafeProxy() {
        recorder.forget();
        return calls(threadSafeProxy);
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public int zelotype() {
        forgetCalls(zelotype);
        return calls(zelotype);
    }
}
