package dev.zelotype.sweep;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * The results for the types of one module or library.
 */
final class Tally {

    private final Map<String, Integer> reasons = new TreeMap<>();
    private final List<String> failures = new ArrayList<>();
    private int doubled;
    private int inPlace;
    private int refused;
    private long calls;

    void doubled(boolean own, int methods) {
        if (own) {
            inPlace++;
        } else {
            doubled++;
        }
        calls += methods;
    }

    void refused(String message) {
        refused++;
        String reason = message.lines().findFirst().orElse("");
        int colon = reason.indexOf("doubled: ");
        reason = colon < 0 ? reason : reason.substring(colon + "doubled: ".length());
        reasons.merge(reason.replaceAll("permits .* only", "permits other types only"), 1, Integer::sum);
    }

    void failed(String failure) {
        failures.add(failure);
    }

    List<String> failures() {
        return failures;
    }

    Map<String, Integer> reasons() {
        return reasons;
    }

    private int types() {
        return doubled + inPlace + refused + failures.size();
    }

    String row() {
        return types() + " | " + doubled + " | " + inPlace + " | " + refused + " | " + failures.size() + " | " + calls;
    }

    String words() {
        return types() + " types, " + doubled + " doubled, " + inPlace + " in place, " + refused + " refused, "
                + failures.size() + " failed, " + calls + " calls";
    }
}
