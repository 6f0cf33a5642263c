package dev.zelotype.benchmarks;

import dev.zelotype.challenge.kept.Distribution;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/**
 * Distributes the classes of an imagined suite of 100,000 tests over 50 machines, and prints how even the result is.
 * The times are random, most short and a few very long, and vary a little from run to run, as on real machines.
 */
final class HundredThousandTests {

    private static final int CLASSES = 12_500;
    private static final int MACHINES = 50;
    private static final long SEED = 20;
    private static final double MEDIAN_MILLIS = 400;
    private static final double SPREAD = 1.2;
    private static final double NOISE = 0.3;
    private static final double BYTES_OF_MILLI = 15;

    private HundredThousandTests() {}

    /** The result in one sentence. */
    static String told() {
        Random random = new Random(SEED);
        Map<String, Long> before = new TreeMap<>();
        Map<String, Long> sizes = new TreeMap<>();
        Map<String, Double> now = new TreeMap<>();
        for (int i = 0; i < CLASSES; i++) {
            String name = "dev.observatory.Class" + i + "Test";
            // Eight tests per class, each run about ten times.
            double millis = MEDIAN_MILLIS * Math.exp(SPREAD * random.nextGaussian());
            before.put(name, Math.max(1, Math.round(millis)));
            now.put(name, millis * Math.exp(NOISE * random.nextGaussian()));
            // The size of a class is a weak indication of its time.
            sizes.put(name, Math.max(400, Math.round(millis * BYTES_OF_MILLI * Math.exp(random.nextGaussian()))));
        }
        double[] byTime = loads(new Distribution(Distribution.weights(sizes, before), MACHINES), now);
        double[] bySize = loads(new Distribution(Distribution.weights(sizes, Map.of()), MACHINES), now);
        double all = now.values().stream().mapToDouble(Double::doubleValue).sum() / 1000;
        return String.format(
                Locale.ROOT,
                "Simulated: a challenge of 100,000 tests takes one machine %.0f minutes, and each of 50 machines %.1f"
                        + " minutes, without the start of its JVM. If the shards are cut by the times of an earlier"
                        + " challenge, which vary by %.0f %%, the longest shard takes %.2f times that; if they are cut by"
                        + " the sizes of the test classes, %.2f times. If a machine is lost, only its shard must be run"
                        + " again, %.1f minutes.",
                all / 60,
                all / 60 / MACHINES,
                100 * NOISE,
                most(byTime) / (all / MACHINES),
                most(bySize) / (all / MACHINES),
                most(byTime) / 60);
    }

    private static double[] loads(Distribution cut, Map<String, Double> millis) {
        double[] seconds = new double[MACHINES];
        for (int i = 0; i < MACHINES; i++) {
            for (String each : cut.classes(i + 1)) {
                seconds[i] += millis.get(each) / 1000;
            }
        }
        return seconds;
    }

    private static double most(double[] loads) {
        double most = 0;
        for (double each : loads) {
            most = Math.max(most, each);
        }
        return most;
    }

    public static void main(String[] arguments) {
        System.out.println(told());
    }
}
