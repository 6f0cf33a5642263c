package dev.zelotype.challenge;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What is still to be disturbed: in each round one thing for each test. Answers come first, and once one is noticed the
 * others of the same call need not be tried, nor need the call be lost. Calls that are made where they are not made come at
 * the end.
 */
final class Schedule {

    private final Map<String, Deque<Disturbance>> open = new LinkedHashMap<>();
    private final Map<String, CallPlace> sites = new HashMap<>();
    private int run;
    private int known;

    Schedule(Collection<Challenge.Baseline> tests, Set<ChangeKind> changes) {
        for (Challenge.Baseline test : tests) {
            Deque<Disturbance> all = new ArrayDeque<>();
            for (CallPlace site : test.sites) {
                sites.put(test.id + site.key() + site.occurrence(), site);
                add(all, test.id, site, changes);
            }
            known += all.size();
            if (!all.isEmpty()) {
                open.put(test.id, all);
            }
        }
    }

    private static void add(Deque<Disturbance> all, String test, CallPlace site, Set<ChangeKind> changes) {
        if (site.isOfResult()) {
            for (int i = 0; changes.contains(ChangeKind.RESULT) && i < site.variants(); i++) {
                all.add(new Disturbance(test, site.key(), site.occurrence(), ChangeKind.RESULT, i));
            }
            return;
        }
        if (changes.contains(ChangeKind.ANSWER)) {
            for (int i = 0; i < site.variants(); i++) {
                all.add(new Disturbance(test, site.key(), site.occurrence(), ChangeKind.ANSWER, i));
            }
        }
        if (changes.contains(ChangeKind.LOST)) {
            all.add(new Disturbance(test, site.key(), site.occurrence(), ChangeKind.LOST, 0));
        }
        if (changes.contains(ChangeKind.TWICE) && site.isCountedExactly()) {
            all.add(new Disturbance(test, site.key(), site.occurrence(), ChangeKind.TWICE, 0));
        }
        for (int i = 0; i < site.arguments().length(); i++) {
            char what = site.arguments().charAt(i);
            if (what == 'a' && changes.contains(ChangeKind.ARGUMENT)) {
                all.add(new Disturbance(test, site.key(), site.occurrence(), ChangeKind.ARGUMENT, i));
            } else if (what == 'c' && changes.contains(ChangeKind.CALLBACK)) {
                all.add(new Disturbance(test, site.key(), site.occurrence(), ChangeKind.CALLBACK, i));
            }
        }
    }

    boolean isEmpty() {
        return open.isEmpty();
    }

    /** One thing for each test. */
    List<Disturbance> next() {
        List<Disturbance> round = new ArrayList<>();
        open.values().forEach(all -> round.add(all.poll()));
        open.values().removeIf(Deque::isEmpty);
        return round;
    }

    void again(Disturbance disturbance) {
        open.computeIfAbsent(disturbance.test(), first -> new ArrayDeque<>()).addFirst(disturbance);
    }

    /** Runs something once more that is done. */
    void confirm(Disturbance disturbance) {
        known++;
        again(disturbance);
    }

    /** Makes a call in a test that does not make it. */
    void extra(Disturbance disturbance, CallPlace site) {
        sites.put(disturbance.test() + disturbance.site() + disturbance.occurrence(), site);
        confirm(disturbance);
    }

    void done(Disturbance disturbance, Verdict verdict) {
        run++;
        Deque<Disturbance> rest = open.get(disturbance.test());
        if (rest != null && disturbance.kind().isOfValue() && verdict == Verdict.NOTICED) {
            int before = rest.size();
            rest.removeIf(other -> other.site().equals(disturbance.site())
                    && other.occurrence() == disturbance.occurrence()
                    && (other.kind() == disturbance.kind() || other.kind() == ChangeKind.LOST));
            known -= before - rest.size();
            if (rest.isEmpty()) {
                open.remove(disturbance.test());
            }
        }
    }

    CallPlace site(Disturbance disturbance) {
        return sites.get(disturbance.test() + disturbance.site() + disturbance.occurrence());
    }

    int run() {
        return run;
    }

    int known() {
        return known;
    }
}
