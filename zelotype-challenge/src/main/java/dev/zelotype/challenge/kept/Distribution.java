package dev.zelotype.challenge.kept;

import dev.zelotype.challenge.change.Baseline;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.TreeMap;

/**
 * Distributes test classes over machines, or tests over the JVMs of one machine. Each machine computes the same result,
 * provided they know the same classes and times. The longest come first, each for the shard with the least work so far.
 */
public final class Distribution {

    private final Map<String, Integer> shardOf = new TreeMap<>();
    private final int count;

    /** The work of a shard. */
    private record Load(int shard, double weight) {}

    /**
     * Cuts.
     *
     * @param weights by class, its relative duration
     */
    public Distribution(Map<String, Double> weights, int count) {
        this.count = count;
        List<Map.Entry<String, Double>> longest = new ArrayList<>(weights.entrySet());
        longest.sort(Map.Entry.<String, Double>comparingByValue().reversed().thenComparing(Map.Entry.comparingByKey()));
        PriorityQueue<Load> loads =
                new PriorityQueue<>(Comparator.comparingDouble(Load::weight).thenComparingInt(Load::shard));
        for (int i = 1; i <= count; i++) {
            loads.add(new Load(i, 0));
        }
        for (Map.Entry<String, Double> each : longest) {
            Load least = loads.remove();
            shardOf.put(each.getKey(), least.shard());
            loads.add(new Load(least.shard(), least.weight() + each.getValue()));
        }
    }

    /** Distributes the tests of one machine, by their ids. */
    public static Distribution ofTests(Collection<Baseline> tests, int count) {
        Map<String, Double> weights = new TreeMap<>();
        tests.forEach(each -> weights.put(each.id(), (double) each.millisOfAllRuns()));
        return new Distribution(weights, count);
    }

    /**
     * Weighs classes by the times that an earlier challenge measured. Classes that it did not know are weighed by their
     * size, scaled like those that it knew.
     *
     * @param sizes by class, the size of its code in bytes
     * @param millis by class, its known time
     */
    public static Map<String, Double> weights(Map<String, Long> sizes, Map<String, Long> millis) {
        double knownMillis = 0;
        double knownSize = 0;
        for (Map.Entry<String, Long> each : sizes.entrySet()) {
            if (millis.containsKey(each.getKey())) {
                knownMillis += millis.get(each.getKey());
                knownSize += each.getValue();
            }
        }
        double millisOfByte = knownSize == 0 ? 1 : knownMillis / knownSize;
        Map<String, Double> weights = new TreeMap<>();
        sizes.forEach((name, size) ->
                weights.put(name, millis.containsKey(name) ? (double) millis.get(name) : size * millisOfByte));
        return weights;
    }

    /** The classes or tests of a shard, in the order of their names. */
    public List<String> classes(int shard) {
        List<String> classes = new ArrayList<>();
        shardOf.forEach((name, of) -> {
            if (of == shard) {
                classes.add(name);
            }
        });
        return classes;
    }

    /** A key that all shards of one distribution share, different from that of any other. */
    public String print() {
        return Hashes.of(count + " " + shardOf);
    }
}
