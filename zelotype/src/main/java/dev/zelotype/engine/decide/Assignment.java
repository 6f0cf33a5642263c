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
 * Which call meets which demand, where several could be meant: calls that fit two patterns, demands in an order. Calls are
 * first given to demands as they come; what is found here is whether they could be given out in some other way.
 *
 * <p>Worked out call by call: the set of all counts that the demands may have reached so far, each with one way to reach it.
 */
final class Assignment {

    /** The count of a demand whose turn in its order has passed. */
    private static final int PASSED = -1;
    /** More ways than these are not followed. */
    private static final int MOST = 20_000;

    /** A call, its place in time, and the demands that cover it. */
    record Taken(long at, Call call, List<Demand> covering) {

        Taken without(Demand demand) {
            List<Demand> rest = new ArrayList<>(covering);
            rest.remove(demand);
            return new Taken(at, call, List.copyOf(rest));
        }
    }

    /** One way to give out the calls so far. */
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
     * Gives out calls again, if that can be done.
     *
     * @param demands all that cover the calls, and those in an order with them
     * @param calls the calls
     * @param whole whether every demand must get as many as it wants, as after the last call
     * @return true if it was done; otherwise nothing has changed
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
        // What makes no difference is not counted, so that few ways are left.
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
