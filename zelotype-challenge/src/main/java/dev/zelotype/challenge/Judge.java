package dev.zelotype.challenge;

import dev.zelotype.challenge.Challenge.Baseline;
import dev.zelotype.challenge.Challenge.Tried;
import dev.zelotype.challenge.Finding.Weight;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Says what the disturbed runs mean. A disturbance that any test of the suite notices is no gap, whichever tests do not; of
 * several other answers one that is noticed is enough.
 */
final class Judge {

    private static final String UNNAMED = "argument ";
    private static final List<String> PLACES =
            List.of("first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth");

    private final Map<String, Baseline> tests;
    private final List<Tried> tried;
    private final List<String> leftOut;
    private final boolean complete;

    Judge(Map<String, Baseline> tests, List<Tried> tried, List<String> leftOut, boolean complete) {
        this.tests = tests;
        this.tried = tried;
        this.leftOut = leftOut;
        this.complete = complete;
    }

    /** One place and one thing that may be changed there, over all tests. */
    private static final class Group {
        private final Sort sort;
        private final int index;
        private final Set<String> tests = new LinkedHashSet<>();
        /** The call that stands for the others: the first that passed, if any did. */
        private CallSite site;

        private String test = "";
        private final List<Disturbance> passing = new ArrayList<>();
        private String change = "";
        private boolean noticed;
        private boolean passed;
        private boolean unclear;

        Group(CallSite site, Sort sort, int index) {
            this.site = site;
            this.sort = sort;
            this.index = index;
        }
    }

    /** What passed where nobody noticed anything. */
    List<Disturbance> inGaps() {
        Map<String, Group> groups = groups();
        List<Disturbance> found = new ArrayList<>();
        for (Group group : groups.values()) {
            if (group.passed && !group.noticed && !isSaidAlready(group, groups)) {
                found.addAll(group.passing);
            }
        }
        return found;
    }

    ChallengeResult result() {
        Map<String, int[]> byTest = new LinkedHashMap<>();
        tests.values().forEach(test -> byTest.put(test.id, new int[3]));
        for (Tried each : tried) {
            if (!each.verdict().equals(Verdicts.ABORTED) && !each.confirms()) {
                byTest.get(each.disturbance().test())[
                        each.verdict().equals(Verdicts.NOTICED)
                                ? 0
                                : each.verdict().equals(Verdicts.PASSED) ? 1 : 2]++;
            }
        }
        return judged(groups(), byTest);
    }

    private Map<String, Group> groups() {
        Map<String, Group> groups = new LinkedHashMap<>();
        for (Tried each : tried) {
            if (each.verdict().equals(Verdicts.ABORTED)) {
                continue;
            }
            Sort sort = each.disturbance().sort();
            int index = sort == Sort.ANSWER ? 0 : each.disturbance().index();
            Group group = groups.computeIfAbsent(
                    each.disturbance().site() + " " + sort + index, key -> new Group(each.site(), sort, index));
            group.tests.add(tests.get(each.disturbance().test()).name);
            group.noticed |= each.verdict().equals(Verdicts.NOTICED);
            group.unclear |= each.verdict().equals(Verdicts.UNCLEAR);
            if (each.verdict().equals(Verdicts.PASSED)) {
                group.passing.add(each.disturbance());
                if (!group.passed) {
                    group.passed = true;
                    group.change = each.change();
                    group.site = each.site();
                    group.test = tests.get(each.disturbance().test()).name;
                }
            }
        }
        return groups;
    }

    private ChallengeResult judged(Map<String, Group> groups, Map<String, int[]> byTest) {
        List<Finding> findings = new ArrayList<>();
        List<ChallengeResult.Noticed> noticed = new ArrayList<>();
        int gaps = 0;
        for (Group group : groups.values()) {
            if (group.noticed) {
                noticed.add(new ChallengeResult.Noticed(group.site, group.sort, List.copyOf(group.tests)));
            } else if (isSaidAlready(group, groups)) {
                continue;
            } else if (group.passed) {
                gaps++;
                findings.add(finding(Weight.GAP, group));
            } else if (group.unclear) {
                findings.add(finding(Weight.UNCLEAR, group));
            }
        }
        findings.addAll(defaults(groups));
        findings.sort(Comparator.comparing(Finding::weight).thenComparing(finding -> isLog(finding.site())));
        List<ChallengedTest> challenged = new ArrayList<>();
        byTest.forEach((id, counts) ->
                challenged.add(new ChallengedTest(tests.get(id).name, counts[0], counts[1], counts[2])));
        return new ChallengeResult(challenged, findings, leftOut, noticed, gaps, tried.size(), complete);
    }

    /**
     * A call whose answer some test looks at is looked at; one that may be left out may have any argument. Who said what it
     * answers means the answer to matter, so that is what is told of it, and not that the call may be left out.
     */
    private static boolean isSaidAlready(Group group, Map<String, Group> groups) {
        Group answer = groups.get(group.site.key() + " " + Sort.ANSWER + 0);
        Group lost = groups.get(group.site.key() + " " + Sort.LOST + 0);
        boolean looksAtAnswer = answer != null && answer.noticed;
        boolean answerInVain = answer != null
                && answer.passed
                && !answer.noticed
                && group.site.defaulted().isEmpty();
        boolean mayBeLost = lost != null && !lost.noticed && lost.passed && !looksAtAnswer;
        return switch (group.sort) {
            case LOST -> looksAtAnswer || answerInVain;
            case ANSWER -> mayBeLost && !answerInVain;
            case ARGUMENT, CALLBACK -> mayBeLost;
        };
    }

    private static boolean isLog(CallSite site) {
        String name = site.receiver().toLowerCase(Locale.ROOT);
        return name.contains("logger") || name.endsWith("log");
    }

    private Finding finding(Weight weight, Group group) {
        CallSite site = group.site;
        String what = site.text() + " at " + site.place();
        String nobody = weight == Weight.GAP
                ? ", and nobody notices."
                : ", and the tests only crash over it: nobody knows whether they would notice.";
        String sentence = switch (group.sort) {
            case ANSWER ->
                what + " could answer otherwise" + (group.change.isEmpty() ? "" : " (" + group.change + ")") + nobody
                        + (weight == Weight.GAP ? " Assert on what becomes of the answer." : "");
            case LOST -> what + " could be left out" + nobody;
            case ARGUMENT ->
                what + " could be given another " + called(site.name(group.index))
                        + (group.change.isEmpty() ? "" : " (" + group.change + ")") + nobody;
            case CALLBACK ->
                what + " need not call back " + called(site.name(group.index)) + nobody
                        + (weight == Weight.GAP ? " Assert on what the callback does." : "");
        };
        Set<String> reaching = new LinkedHashSet<>();
        if (group.passed) {
            // The statement is counted out for this one.
            reaching.add(group.test);
        }
        reaching.addAll(group.tests);
        return new Finding(weight, site, group.sort, sentence, statement(group), List.copyOf(reaching));
    }

    /** A parameter that no class file names is told by its place. */
    private static String called(String name) {
        if (!name.startsWith(UNNAMED)) {
            return name;
        }
        int place = Integer.parseInt(name.substring(UNNAMED.length()));
        return (place <= PLACES.size() ? PLACES.get(place - 1) : place + "th") + " argument";
    }

    private static String statement(Group group) {
        CallSite site = group.site;
        String any = "verify(" + site.receiver() + "::" + site.method() + ")";
        String exact = "verify(" + site.written() + ")" + times(site.ofText());
        return switch (group.sort) {
            case LOST -> site.written().isEmpty() ? any + times(site.count()) : exact;
            case ARGUMENT ->
                site.written().isEmpty() ? any + ".where(" + lambda(site, group.index) + ").atLeast(1);" : exact;
            case ANSWER, CALLBACK -> "";
        };
    }

    private static String times(int count) {
        return count == 1 ? ".once();" : ".times(" + count + ");";
    }

    private static String lambda(CallSite site, int index) {
        List<String> names = new ArrayList<>();
        for (int i = 0; i < site.arguments().length(); i++) {
            names.add(site.name(i).replace("argument ", "p"));
        }
        String all = String.join(", ", names);
        String value = site.value(index);
        String name = names.get(index);
        boolean primitive = value.matches("-?[0-9].*|true|false|'.*'|null|[\\w$]+\\.[A-Z_0-9]+");
        return (names.size() == 1 ? all : "(" + all + ")") + " -> "
                + (primitive
                        ? name + " == " + value
                        : name + ".equals(" + (value.isEmpty() ? "expected" : value) + ")");
    }

    /** What tests lean on though nobody said it. */
    private List<Finding> defaults(Map<String, Group> groups) {
        List<Finding> notes = new ArrayList<>();
        Map<String, CallSite> seen = new LinkedHashMap<>();
        Map<String, Set<String>> leaning = new LinkedHashMap<>();
        for (Baseline test : tests.values()) {
            for (CallSite site : test.sites) {
                Group answer = groups.get(site.key() + " " + Sort.ANSWER + 0);
                if (!site.defaulted().isEmpty() && answer != null && answer.noticed) {
                    seen.putIfAbsent(site.key(), site);
                    leaning.computeIfAbsent(site.key(), first -> new LinkedHashSet<>())
                            .add(test.name);
                }
            }
        }
        seen.forEach((key, site) -> {
            int count = leaning.get(key).size();
            notes.add(new Finding(
                    Weight.NOTE,
                    site,
                    Sort.ANSWER,
                    (count == 1 ? "1 test leans" : count + " tests lean") + " on " + site.defaulted() + " from "
                            + site.text() + " at " + site.place() + ", which nobody said.",
                    "suppose(" + site.receiver() + "::" + site.method() + ").returns(" + site.defaulted() + ");",
                    List.copyOf(leaning.get(key))));
        });
        return notes;
    }
}
