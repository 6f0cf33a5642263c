package dev.zelotype.challenge;

import dev.zelotype.challenge.Challenge.Baseline;
import dev.zelotype.challenge.Challenge.Tried;
import dev.zelotype.challenge.Finding.Weight;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Says what the disturbed runs mean. A disturbance that any test of the suite notices is no gap, whichever tests do not; of
 * several other answers one that is noticed is enough.
 */
final class Judge {

    private final Map<String, Baseline> tests;
    private final List<Tried> tried;
    private final List<String> leftOut;
    private final boolean complete;
    private final Groups groups;

    Judge(Map<String, Baseline> tests, List<Tried> tried, List<String> leftOut, boolean complete) {
        this.tests = tests;
        this.tried = tried;
        this.leftOut = leftOut;
        this.complete = complete;
        this.groups = new Groups(tried, tests);
    }

    /** What passed where nobody noticed anything. */
    List<Disturbance> inGaps() {
        List<Disturbance> found = new ArrayList<>();
        for (Group group : groups.all()) {
            if (group.passed && !group.noticed && !groups.isSaidAlready(group)) {
                found.addAll(group.passing);
            }
        }
        return found;
    }

    /** The calls that some tests make, and that matter there, to be made in others of their classes. */
    Map<Disturbance, CallPlace> extras() {
        return new MissingCalls(tests, tried, groups).extras();
    }

    private List<ChallengedTest> challenged() {
        Map<String, Map<Verdict, Integer>> verdicts = new HashMap<>();
        for (Tried each : tried) {
            if (!each.confirms() && each.disturbance().kind() != ChangeKind.EXTRA) {
                verdicts.computeIfAbsent(each.disturbance().test(), id -> new EnumMap<>(Verdict.class))
                        .merge(each.verdict(), 1, Integer::sum);
            }
        }
        List<ChallengedTest> challenged = new ArrayList<>();
        for (Baseline test : tests.values()) {
            Map<Verdict, Integer> counts = verdicts.getOrDefault(test.id, Map.of());
            challenged.add(new ChallengedTest(
                    test.name,
                    counts.getOrDefault(Verdict.NOTICED, 0),
                    counts.getOrDefault(Verdict.PASSED, 0),
                    counts.getOrDefault(Verdict.UNCLEAR, 0)));
        }
        return challenged;
    }

    ChallengeResult result() {
        List<Finding> findings = new ArrayList<>();
        List<ChallengeResult.Noticed> noticed = new ArrayList<>();
        int gaps = 0;
        for (Group group : groups.all()) {
            if (group.noticed) {
                noticed.add(new ChallengeResult.Noticed(group.site, group.kind, List.copyOf(group.tests)));
            } else if (groups.isSaidAlready(group)) {
                continue;
            } else if (group.passed) {
                gaps++;
                findings.add(FindingText.of(Weight.GAP, group));
            } else if (group.unclear) {
                findings.add(FindingText.of(Weight.UNCLEAR, group));
            }
        }
        findings.addAll(new MissingCalls(tests, tried, groups).questions());
        Notes notes = new Notes(tests, tried);
        findings.addAll(notes.defaults(groups));
        findings.addAll(notes.needless());
        findings.sort(Comparator.comparing(Finding::weight).thenComparing(finding -> isLog(finding.site())));
        return new ChallengeResult(challenged(), findings, leftOut, noticed, gaps, tried.size(), complete);
    }

    private static boolean isLog(CallPlace site) {
        String name = site.receiver().toLowerCase(Locale.ROOT);
        return name.contains("logger") || name.endsWith("log");
    }
}
