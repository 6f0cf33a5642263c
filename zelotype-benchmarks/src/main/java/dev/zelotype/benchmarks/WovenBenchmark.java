package dev.zelotype.benchmarks;

import static dev.zelotype.Zelotype.watch;

import dev.zelotype.Scene;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Setup;

/**
 * A static method of a class that is woven but not replaced any more, against the same method of a class that was
 * never woven.
 */
@Fork(2)
public class WovenBenchmark extends Measured {

    private long seconds = 4711;

    static final class WovenClock {
        private WovenClock() {}

        static long degrees(long seconds) {
            return seconds / 240;
        }
    }

    static final class PlainClock {
        private PlainClock() {}

        static long degrees(long seconds) {
            return seconds / 240;
        }
    }

    @Setup
    public void weave() {
        try (Scene scene = Scene.open()) {
            watch(WovenClock.class);
            WovenClock.degrees(1);
            if (scene.conversation().calls().isEmpty()) {
                throw new IllegalStateException("The clock was not woven.");
            }
        }
    }

    @Benchmark
    public long plain() {
        return PlainClock.degrees(seconds++);
    }

    @Benchmark
    public long woven() {
        return WovenClock.degrees(seconds++);
    }
}
