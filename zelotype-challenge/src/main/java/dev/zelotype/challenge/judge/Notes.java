package dev.zelotype.challenge.judge;

import dev.zelotype.challenge.change.Baseline;
import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.change.Tried;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.challenge.finding.Finding.Weight;
import dev.zelotype.challenge.finding.Proposal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Checks that tests do not need, and default answers that they depend on.
 */
final class Notes {

    private final Map<String, Baseline> tests;
    private final List<Tried> tried;

    Notes(Map<String, Baseline> tests, List<Tried> tried) {
        this.tests = tests;
        this.tried = tried;
    }

    /**
     * Checks that fail under some disturbance, but never as the only check, not even for the calls that they check. Of
     * two that always fail together, the first one is kept.
     */
    List<Finding> needless() {
        Map<String, CallPlace> checks = new LinkedHashMap<>();
        Map<String, List<Set<String>>> failures = new LinkedHashMap<>();
        Map<String, Set<String>> named = new LinkedHashMap<>();
        Set<String> aimedAt = new LinkedHashSet<>();
        for (Tried each : tried) {
            boolean ofValue = each.disturbance().kind().isOfValue();
            Set<String> together = new LinkedHashSet<>();
            each.failedChecks().forEach(check -> together.add(check.place() + check.text()));
            if (each.failedOtherwise()) {
                together.add("");
            }
            for (CallPlace check : each.failedChecks()) {
                String key = check.place() + check.text();
                checks.putIfAbsent(key, check);
                if (!ofValue && each.site().called().equals(check.called())) {
                    aimedAt.add(key);
                }
                failures.computeIfAbsent(key, first -> new ArrayList<>()).add(together);
                named.computeIfAbsent(key, first -> new LinkedHashSet<>())
                        .add(tests.get(each.disturbance().test()).name());
            }
        }
        List<Finding> notes = new ArrayList<>();
        List<String> lastFirst = new ArrayList<>(checks.keySet());
        lastFirst.sort(
                Comparator.comparing((String key) -> checks.get(key).line()).reversed());
        for (String key : lastFirst) {
            if (aimedAt.contains(key) && failures.get(key).stream().allMatch(together -> together.size() > 1)) {
                failures.get(key).forEach(together -> together.remove(key));
                CallPlace check = checks.get(key);
                notes.add(new Finding(
                        Weight.NOTE,
                        check,
                        ChangeKind.LOST,
                        "The check \"" + check.text() + "\" " + check.at()
                                + " adds nothing: whatever was changed to make it fail made"
                                + " another check fail as well.",
                        List.of(),
                        List.copyOf(named.get(key))));
            }
        }
        return notes;
    }

    /** Default answers that tests depend on. */
    List<Finding> defaults(Groups groups, FindingText texts) {
        List<Finding> notes = new ArrayList<>();
        Map<String, CallPlace> seen = new LinkedHashMap<>();
        Map<String, Set<String>> leaning = new LinkedHashMap<>();
        Map<String, String> first = new LinkedHashMap<>();
        for (Baseline test : tests.values()) {
            for (CallPlace site : test.sites()) {
                if (!site.defaulted().isEmpty() && groups.isNoticed(site, ChangeKind.ANSWER)) {
                    seen.putIfAbsent(site.key(), site);
                    first.putIfAbsent(site.key(), test.id());
                    leaning.computeIfAbsent(site.key(), none -> new LinkedHashSet<>())
                            .add(test.name());
                }
            }
        }
        seen.forEach((key, site) -> {
            int count = leaning.get(key).size();
            Proposal proposal = texts.defaulted(site, first.get(key));
            notes.add(new Finding(
                    Weight.NOTE,
                    site,
                    ChangeKind.ANSWER,
                    (count == 1 ? "1 test depends" : count + " tests depend") + " on the default answer "
                            + site.defaulted() + " of " + site.text() + " " + site.at() + ".",
                    proposal == null ? List.of() : List.of(proposal),
                    List.copyOf(leaning.get(key))));
        });
        return notes;
    }
}
