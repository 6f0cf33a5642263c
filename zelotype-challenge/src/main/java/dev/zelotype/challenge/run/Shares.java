package dev.zelotype.challenge.run;

import dev.zelotype.challenge.change.Baseline;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/**
 * Shares tests out, each to the lane that has least to do so far.
 */
public final class Shares {

    private Shares() {}

    /**
     * The tests of each lane.
     *
     * @param lanes how many there are
     */
    public static List<List<Baseline>> of(Collection<Baseline> tests, int lanes) {
        long[] busy = new long[lanes];
        List<List<Baseline>> shares = new ArrayList<>();
        for (int i = 0; i < lanes; i++) {
            shares.add(new ArrayList<>());
        }
        // The longest first, so that none is left for the end that takes longer than all others.
        List<Baseline> longest = new ArrayList<>(tests);
        longest.sort(Comparator.comparing((Baseline each) -> -each.millisOfAllRuns()));
        for (Baseline each : longest) {
            int least = 0;
            for (int i = 1; i < lanes; i++) {
                least = busy[i] < busy[least] ? i : least;
            }
            shares.get(least).add(each);
            busy[least] += each.millisOfAllRuns();
        }
        return shares;
    }
}
