package dev.zelotype.engine.decide;

import dev.zelotype.engine.calls.Call;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Which call meets which demand, if there are several possibilities: calls that match two patterns, demands in an
 * order. Calls are first assigned as they arrive; this class finds out whether another assignment exists.
 *
 * <p>Computed call by call: the set of all counts that the demands may have reached so far, each with one assignment
 * that leads to it.
 */
final class Assignment {

    /** The count of a demand whose turn in its order has passed. */
    private static final int PASSED = -1;
    /** No more assignments than this are tracked. */
    private static final int MOST = 20_000;

    /** A call, its position in time, and the demands that cover it. */
    record Taken(long at, Call call, List<Demand> covering) {

        Taken without(Demand demand) {
            List<Demand> rest = new ArrayList<>(covering);
            rest.remove(demand);
            return new Taken(at, call, List.copyOf(rest));
        }
    }

    /** One assignment of the calls so far. */
    private record Way(int[] counts, @Nullable Way before, int last) {}

    private final List<Demand> demands;
    private final Map<Demand, Integer> places = new HashMap<>();

    private Assignment(List<Demand> demands) {
        this.demands = demands;
        for (int i = 0; i < demands.size(); i++) {
            places.put(demands.get(i), i);
        }
    }

    /**
     * Assigns calls again, if possible.
     *
     * @param demands all demands that cover the calls, and those in an order with them
     * @param calls the calls
     * @param whole whether every demand must reach its count, as after the last call
     * @return true if an assignment was found; otherwise nothing has changed
     */
    static boolean give(List<Demand> demands, List<Taken> calls, boolean whole) {
        List<Taken> inTime = new ArrayList<>(calls);
        inTime.sort(Comparator.comparingLong(Taken::at));
        int[] found = new Assignment(demands).found(inTime, whole);
        if (found == null) {
            return false;
        }
        demands.forEach(Demand::loseAll);
        for (int i = 0; i < found.length; i++) {
            inTime.get(i).call().giveBack();
            demands.get(found[i]).take(inTime.get(i));
            inTime.get(i).call().expect();
        }
        return true;
    }

    private int @Nullable [] found(List<Taken> calls, boolean whole) {
        Map<List<Integer>, Way> ways = new LinkedHashMap<>();
        ways.put(List.of(), new Way(new int[demands.size()], null, 0));
        for (Taken call : calls) {
            Map<List<Integer>, Way> next = new LinkedHashMap<>();
            for (Way way : ways.values()) {
                for (Demand demand : call.covering()) {
                    int place = places.get(demand);
                    if (next.size() < MOST && allows(way.counts(), place)) {
                        int[] counts = after(way.counts(), place);
                        next.putIfAbsent(Arrays.stream(counts).boxed().toList(), new Way(counts, way, place));
                    }
                }
            }
            ways = next;
        }
        for (Way way : ways.values()) {
            if (!whole || isWhole(way.counts())) {
                int[] found = new int[calls.size()];
                Way each = way;
                for (int i = found.length - 1; i >= 0; i--) {
                    found[i] = each.last();
                    each = each.before();
                }
                return found;
            }
        }
        return null;
    }

    private boolean allows(int[] counts, int place) {
        Demand wanted = demands.get(place);
        if (counts[place] == PASSED || counts[place] >= wanted.most()) {
            return false;
        }
        for (int i = 0; i < counts.length; i++) {
            Demand other = demands.get(i);
            if (other.comesBefore(wanted) && !isMet(counts, i) || wanted.comesBefore(other) && counts[i] != 0) {
                return false;
            }
        }
        return true;
    }

    private int[] after(int[] counts, int place) {
        int[] after = counts.clone();
        Demand wanted = demands.get(place);
        // Irrelevant differences are dropped, so that few assignments remain.
        int enough =
                wanted.most() == Integer.MAX_VALUE ? Math.max(1, wanted.count().min()) : wanted.most();
        after[place] = Math.min(enough, counts[place] + 1);
        for (int i = 0; i < after.length; i++) {
            if (demands.get(i).comesBefore(wanted)) {
                after[i] = PASSED;
            }
        }
        return after;
    }

    private boolean isMet(int[] counts, int i) {
        return counts[i] == PASSED || counts[i] >= demands.get(i).count().min();
    }

    private boolean isWhole(int[] counts) {
        for (int i = 0; i < counts.length; i++) {
            if (!isMet(counts, i)) {
                return false;
            }
        }
        return true;
    }
}
