package dev.zelotype.challenge;

import dev.zelotype.challenge.Challenge.Baseline;
import dev.zelotype.challenge.Challenge.Tried;
import dev.zelotype.challenge.Finding.Weight;
import dev.zelotype.tools.TestNames;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
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
            boolean asks = each.disturbance().sort() == Sort.EXTRA;
            if (each.verdict() != Verdict.ABORTED && !each.confirms() && !asks) {
                byTest.get(each.disturbance().test())[
                        each.verdict() == Verdict.NOTICED ? 0 : each.verdict() == Verdict.PASSED ? 1 : 2]++;
            }
        }
        return judged(groups(), byTest);
    }

    private Map<String, Group> groups() {
        Map<String, Group> groups = new LinkedHashMap<>();
        for (Tried each : tried) {
            if (each.verdict() == Verdict.ABORTED || each.disturbance().sort() == Sort.EXTRA) {
                continue;
            }
            Sort sort = each.disturbance().sort();
            int index = sort.isOfValue() ? 0 : each.disturbance().index();
            Group group = groups.computeIfAbsent(
                    each.disturbance().site() + " " + sort + index, key -> new Group(each.site(), sort, index));
            group.tests.add(tests.get(each.disturbance().test()).name);
            group.noticed |= each.verdict() == Verdict.NOTICED;
            group.unclear |= each.verdict() == Verdict.UNCLEAR;
            if (each.verdict() == Verdict.PASSED) {
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
        findings.addAll(questions());
        findings.addAll(defaults(groups));
        findings.addAll(needless());
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
            case ARGUMENT, CALLBACK, TWICE -> mayBeLost;
            case RESULT, EXTRA -> false;
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
            case TWICE -> what + " could be made twice" + nobody;
            case RESULT ->
                site.text() + ", called at " + site.place() + ", could return otherwise"
                        + (group.change.isEmpty() ? "" : " (" + group.change + ")") + nobody
                        + (weight == Weight.GAP ? " Assert on the result." : "");
            case EXTRA -> throw new IllegalStateException("A call too many is a question, and no gap.");
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
            case LOST, TWICE -> site.written().isEmpty() ? any + times(site.count()) : exact;
            case ARGUMENT ->
                site.written().isEmpty() ? any + ".where(" + lambda(site, group.index) + ").atLeast(1);" : exact;
            case ANSWER, CALLBACK, RESULT, EXTRA -> "";
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

    /**
     * The calls that some tests make, and that matter there, to be made in the other tests of the same classes.
     *
     * @return the disturbances, each with the call that it makes
     */
    Map<Disturbance, CallSite> extras() {
        Map<String, Group> groups = groups();
        Map<String, List<Baseline>> byType = new LinkedHashMap<>();
        tests.values()
                .forEach(test -> byType.computeIfAbsent(test.type, first -> new ArrayList<>())
                        .add(test));
        Map<Disturbance, CallSite> found = new LinkedHashMap<>();
        byType.values().forEach(ofType -> {
            Map<String, CallSite> calls = new LinkedHashMap<>();
            Map<String, String> from = new HashMap<>();
            for (Baseline test : ofType) {
                for (CallSite site : test.sites) {
                    Group lost = groups.get(site.key() + " " + Sort.LOST + 0);
                    boolean matters = lost != null && lost.noticed;
                    boolean canBeMade =
                            !site.written().isEmpty() || !site.names().contains("instance");
                    if (matters && canBeMade && calls.putIfAbsent(site.called(), site) == null) {
                        from.put(site.called(), test.id);
                    }
                }
            }
            for (Baseline test : ofType) {
                Set<String> made = new HashSet<>();
                test.sites.forEach(site -> made.add(site.called()));
                calls.forEach((called, site) -> {
                    if (!made.contains(called)) {
                        found.put(new Disturbance(test.id, site.key(), 0, Sort.EXTRA, 0, from.get(called)), site);
                    }
                });
            }
        });
        return found;
    }

    /** Calls that tests would not have noticed though they do not make them; one question for each method and class. */
    private List<Finding> questions() {
        Map<String, CallSite> asked = new LinkedHashMap<>();
        Map<String, Set<String>> missing = new LinkedHashMap<>();
        for (Tried each : tried) {
            if (each.disturbance().sort() == Sort.EXTRA && each.verdict() == Verdict.PASSED) {
                Baseline test = tests.get(each.disturbance().test());
                String key = test.type + " " + each.site().called();
                asked.putIfAbsent(key, each.site());
                missing.computeIfAbsent(key, first -> new LinkedHashSet<>()).add(test.name);
            }
        }
        List<Finding> questions = new ArrayList<>();
        asked.forEach((key, site) -> {
            List<String> names = List.copyOf(missing.get(key));
            String first = TestNames.readable(names.get(0));
            String more = names.size() == 1
                    ? " too"
                    : names.size() == 2 ? " and another test too" : " and " + (names.size() - 1) + " other tests too";
            questions.add(new Finding(
                    Weight.QUESTION,
                    site,
                    Sort.EXTRA,
                    site.text() + ", which other tests check, could be made in \"" + first + "\"" + more
                            + ", and nobody notices. Should it never be?",
                    "verify(" + site.receiver() + "::" + site.method() + ").never();",
                    names));
        });
        return questions;
    }

    /**
     * Checks that some disturbance makes fail, but none alone, not even one of the very calls that they speak of. Of two
     * that always fail together the one that stands first is kept.
     */
    private List<Finding> needless() {
        Map<String, CallSite> checks = new LinkedHashMap<>();
        Map<String, List<Set<String>>> failures = new LinkedHashMap<>();
        Map<String, Set<String>> named = new LinkedHashMap<>();
        Set<String> aimedAt = new LinkedHashSet<>();
        for (Tried each : tried) {
            boolean ofValue = each.disturbance().sort().isOfValue();
            Set<String> together = new LinkedHashSet<>();
            each.failedChecks().forEach(check -> together.add(check.place() + check.text()));
            if (each.failedOtherwise()) {
                together.add("");
            }
            for (CallSite check : each.failedChecks()) {
                String key = check.place() + check.text();
                checks.putIfAbsent(key, check);
                if (!ofValue && each.site().called().equals(check.called())) {
                    aimedAt.add(key);
                }
                failures.computeIfAbsent(key, first -> new ArrayList<>()).add(together);
                named.computeIfAbsent(key, first -> new LinkedHashSet<>())
                        .add(tests.get(each.disturbance().test()).name);
            }
        }
        List<Finding> notes = new ArrayList<>();
        List<String> lastFirst = new ArrayList<>(checks.keySet());
        lastFirst.sort(
                Comparator.comparing((String key) -> checks.get(key).line()).reversed());
        for (String key : lastFirst) {
            if (aimedAt.contains(key) && failures.get(key).stream().allMatch(together -> together.size() > 1)) {
                failures.get(key).forEach(together -> together.remove(key));
                CallSite check = checks.get(key);
                notes.add(new Finding(
                        Weight.NOTE,
                        check,
                        Sort.LOST,
                        "The check \"" + check.text() + "\" at " + check.place()
                                + " adds nothing: whatever was changed to make it fail made"
                                + " another check fail as well.",
                        "",
                        List.copyOf(named.get(key))));
            }
        }
        return notes;
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
