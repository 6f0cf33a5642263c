package dev.zelotype.benchmarks;

import static dev.zelotype.Zelotype.forgetCalls;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.call.Args2;
import java.util.HashMap;
import java.util.Map;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.Setup;

/**
 * An answered and recorded call of a double with ten statements, and with ten thousand, given one by one or as a table.
 */
@Fork(2)
public class ManyStatementsBenchmark extends Measured {

    private static final int FEW = 10;
    private static final int MANY = 10_000;

    private Mount few;
    private Mount many;
    private Mount fewInTable;
    private Mount manyInTable;

    @Setup
    public void setUp() {
        Scene.open(SceneSettings.defaults().linesOfCalls(0));
        few = told(FEW);
        many = told(MANY);
        fewInTable = toldByTable(FEW);
        manyInTable = toldByTable(MANY);
    }

    private static Mount told(int things) {
        Mount mount = stub(Mount.class);
        for (int i = 0; i < things; i++) {
            int rate = i;
            suppose(() -> mount.track("Harrow-2", rate)).returns(i);
        }
        return mount;
    }

    private static Mount toldByTable(int things) {
        Map<Args2<String, Integer>, Integer> table = new HashMap<>();
        for (int i = 0; i < things; i++) {
            table.put(new Args2<>("Harrow-2", i), i);
        }
        Mount mount = stub(Mount.class);
        suppose(mount::track).returnsFrom(table);
        return mount;
    }

    private static int call(Mount mount) {
        forgetCalls(mount);
        int sum = 0;
        for (int i = 0; i < CALLS; i++) {
            sum += mount.track("Harrow-2", i % FEW);
        }
        return sum;
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public int few() {
        return call(few);
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public int many() {
        return call(many);
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public int fewInTable() {
        return call(fewInTable);
    }

    @Benchmark
    @OperationsPerInvocation(CALLS)
    public int manyInTable() {
        return call(manyInTable);
    }
}
