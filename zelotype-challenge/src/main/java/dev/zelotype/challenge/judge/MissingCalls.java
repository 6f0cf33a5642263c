package dev.zelotype.challenge.judge;

import dev.zelotype.challenge.change.Baseline;
import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.change.Disturbance;
import dev.zelotype.challenge.change.Tried;
import dev.zelotype.challenge.change.Verdict;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.challenge.finding.Finding.Weight;
import dev.zelotype.tools.TestNames;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Calls that some tests check, in tests that do not make them: would these notice such a call?
 */
final class MissingCalls {

    private final Map<String, Baseline> tests;
    private final List<Tried> tried;
    private final Groups groups;

    MissingCalls(Map<String, Baseline> tests, List<Tried> tried, Groups groups) {
        this.tests = tests;
        this.tried = tried;
        this.groups = groups;
    }

    /**
     * The calls that are made and checked in some tests, to be made in the other tests of the same classes.
     *
     * @return the disturbances, each with the call that it makes
     */
    Map<Disturbance, CallPlace> extras() {
        Map<String, List<Baseline>> byType = new LinkedHashMap<>();
        tests.values()
                .forEach(test -> byType.computeIfAbsent(test.family(), first -> new ArrayList<>())
                        .add(test));
        Map<Disturbance, CallPlace> found = new LinkedHashMap<>();
        byType.values().forEach(ofType -> {
            Map<String, CallPlace> calls = new LinkedHashMap<>();
            Map<String, String> from = new HashMap<>();
            for (Baseline test : ofType) {
                for (CallPlace site : test.sites()) {
                    boolean matters =
                            !site.isOfResult() && (site.isCountedExactly() || groups.isNoticed(site, ChangeKind.LOST));
                    boolean canBeMade = !site.isOfInstance();
                    if (matters && canBeMade && calls.putIfAbsent(site.called(), site) == null) {
                        from.put(site.called(), test.id());
                    }
                }
            }
            for (Baseline test : ofType) {
                if (test.sites().isEmpty() && !test.callsSubject()) {
                    // It has no subject that could make the additional call.
                    continue;
                }
                Set<String> made = new HashSet<>();
                test.sites().forEach(site -> made.add(site.called()));
                calls.forEach((called, site) -> {
                    if (!made.contains(called)) {
                        found.put(
                                new Disturbance(test.id(), site.key(), 0, ChangeKind.EXTRA, 0, "", from.get(called)),
                                site);
                    }
                });
            }
        });
        return found;
    }

    /** Calls that tests would not notice although they do not make them; one question for each method and class. */
    List<Finding> questions(FindingText texts) {
        Map<String, CallPlace> asked = new LinkedHashMap<>();
        Map<String, Disturbance> first = new HashMap<>();
        Map<String, Set<String>> missing = new LinkedHashMap<>();
        for (Tried each : tried) {
            if (each.disturbance().kind() == ChangeKind.EXTRA && each.verdict() == Verdict.PASSED) {
                Baseline test = tests.get(each.disturbance().test());
                String key = test.family() + " " + each.site().called();
                asked.putIfAbsent(key, each.site());
                first.putIfAbsent(key, each.disturbance());
                missing.computeIfAbsent(key, none -> new LinkedHashSet<>()).add(test.name());
            }
        }
        List<Finding> questions = new ArrayList<>();
        asked.forEach((key, site) -> {
            List<String> names = List.copyOf(missing.get(key));
            String title = TestNames.readable(names.get(0));
            String more = names.size() == 1
                    ? ""
                    : names.size() == 2 ? " (and another test)" : " (and " + (names.size() - 1) + " other tests)";
            questions.add(new Finding(
                    Weight.QUESTION,
                    site,
                    ChangeKind.EXTRA,
                    "An additional call of " + site.text() + " in \"" + title + "\"" + more
                            + " goes unnoticed. Should it be forbidden there?",
                    List.of(texts.never(site, first.get(key))),
                    names));
        });
        return questions;
    }
}
