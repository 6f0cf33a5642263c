package dev.zelotype.challenge.judge;

import dev.zelotype.challenge.change.Baseline;
import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.change.Disturbance;
import dev.zelotype.challenge.change.Tried;
import dev.zelotype.challenge.change.Verdict;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.ChallengedTest;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.challenge.finding.Finding.Weight;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Interprets the disturbed runs. A disturbance that any test of the suite notices is not a gap; of several other
 * answers it is enough that one is noticed.
 */
public final class Judge {

    private final Map<String, Baseline> tests;
    private final List<Tried> tried;
    private final @Nullable Pattern minor;
    private final Groups groups;
    private final FindingText texts;

    /**
     * Judges.
     *
     * @param minor matches further calls that do not count; null for none
     */
    public Judge(Map<String, Baseline> tests, List<Tried> tried, @Nullable Pattern minor) {
        this.tests = tests;
        this.tried = tried;
        this.minor = minor;
        this.groups = new Groups(tried, tests);
        this.texts = new FindingText(tests);
    }

    /** The disturbances that passed and that no test noticed. */
    public List<Disturbance> inGaps() {
        List<Disturbance> found = new ArrayList<>();
        for (Group group : groups.all()) {
            if (group.passed && !group.noticed && !groups.isSaidAlready(group)) {
                found.addAll(group.passing);
            }
        }
        return found;
    }

    /** Calls that are made and checked in some tests, to be made in similar tests that do not make them. */
    public Map<Disturbance, CallPlace> extras() {
        return new MissingCalls(tests, tried, groups).extras();
    }

    private List<ChallengedTest> challenged() {
        Map<String, Map<Verdict, Integer>> verdicts = new HashMap<>();
        for (Tried each : tried) {
            boolean counts = !each.confirms()
                    && !each.disturbance().kind().isQuestion()
                    && each.disturbance().part().isEmpty();
            if (counts) {
                verdicts.computeIfAbsent(each.disturbance().test(), id -> new EnumMap<>(Verdict.class))
                        .merge(each.verdict(), 1, Integer::sum);
            }
        }
        List<ChallengedTest> challenged = new ArrayList<>();
        for (Baseline test : tests.values()) {
            if (!test.sites().isEmpty()) {
                Map<Verdict, Integer> counts = verdicts.getOrDefault(test.id(), Map.of());
                challenged.add(new ChallengedTest(
                        test.name(),
                        counts.getOrDefault(Verdict.NOTICED, 0),
                        counts.getOrDefault(Verdict.PASSED, 0),
                        counts.getOrDefault(Verdict.UNCLEAR, 0)));
            }
        }
        return challenged;
    }

    /** The findings, each with the statements that would close it. */
    public List<Finding> findings() {
        List<Finding> findings = new ArrayList<>();
        Map<String, Finding> orders = new LinkedHashMap<>();
        for (Group group : groups.all()) {
            if (group.noticed || groups.isSaidAlready(group)) {
                continue;
            } else if (group.passed && group.kind == ChangeKind.ORDER) {
                // One question per test is enough to make its author think of similar ones.
                orders.putIfAbsent(group.test, texts.of(Weight.QUESTION, group));
            } else if (group.passed) {
                findings.add(texts.of(group.isQuestion() ? Weight.QUESTION : Weight.GAP, group));
            } else if (group.unclear && !group.isQuestion()) {
                findings.add(texts.of(Weight.UNCLEAR, group));
            }
        }
        findings.addAll(orders.values());
        findings.addAll(new MissingCalls(tests, tried, groups).questions(texts));
        findings.addAll(new Callbacks(tests).neverRun());
        Notes notes = new Notes(tests, tried);
        findings.addAll(notes.defaults(groups, texts));
        findings.addAll(notes.needless());
        List<Finding> weighed = new ArrayList<>();
        findings.forEach(
                each -> weighed.add(each.weight() != Weight.NOTE && isMinor(each.site()) ? each.minor() : each));
        weighed.sort(Comparator.comparing(Finding::weight).thenComparing(finding -> isLog(finding.site())));
        return Statements.once(weighed);
    }

    private boolean isMinor(CallPlace site) {
        return MinorCalls.include(site, minor);
    }

    /** Returns everything as a result. */
    public ChallengeResult result(List<Finding> findings, List<String> leftOut, int reused, boolean complete) {
        List<ChallengeResult.Noticed> noticed = new ArrayList<>();
        int gaps = 0;
        for (Group group : groups.all()) {
            if (group.isQuestion() || isMinor(group.site)) {
                continue;
            } else if (group.noticed) {
                noticed.add(new ChallengeResult.Noticed(group.site, group.kind, List.copyOf(group.tests)));
            } else if (group.passed && !groups.isSaidAlready(group)) {
                gaps++;
            }
        }
        return new ChallengeResult(
                challenged(), findings, leftOut, noticed, gaps, tried.size() - reused, reused, complete);
    }

    private static boolean isLog(CallPlace site) {
        String name = site.receiver().toLowerCase(Locale.ROOT);
        return name.contains("logger") || name.endsWith("log");
    }
}
