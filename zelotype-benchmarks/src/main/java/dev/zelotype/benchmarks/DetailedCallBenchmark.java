package dev.zelotype.benchmarks;

import static dev.zelotype.Zelotype.forgetCalls;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;

import dev.zelotype.SceneSettings;
import dev.zelotype.host.HostedScene;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.Warmup;

/**
 * An answered and recorded call with a journal: its values are printed as it happens.
 */
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 2, time = 1)
public class DetailedCallBenchmark extends Measured {

    private Mount detailed;

    @Setup
    public void setUp() {
        HostedScene.of(SceneSettings.defaults().linesOfCalls(0))
                .keepingDetails(true)
                .open();
        detailed = stub(Mount.class);
        suppose(detailed::track).returns(7);
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public int detailed() {
        forgetCalls(detailed);
        return calls(detailed);
    }
}
