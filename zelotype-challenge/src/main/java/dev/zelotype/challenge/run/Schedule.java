package dev.zelotype.challenge.run;

import dev.zelotype.challenge.change.Baseline;
import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.change.Disturbance;
import dev.zelotype.challenge.change.Message;
import dev.zelotype.challenge.change.Verdict;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.Predicate;

/**
 * What is still to be disturbed: one thing per test in each round. Answers come first. Once one is noticed, other
 * answers of the same call need not be tried, nor losing the call. Added calls come last. Safe for use from any thread:
 * another lane may take over tests that are not running.
 */
public final class Schedule {

    private final Plan plan;
    private final Map<String, Deque<Disturbance>> open = new LinkedHashMap<>();
    private final Map<String, CallPlace> sites = new HashMap<>();
    /** The tests that are running. */
    private final Set<String> running = new HashSet<>();

    private int run;
    private int known;

    /**
     * What remains to be disturbed.
     *
     * @param changes the kinds
     * @param wanted selects the disturbances to make
     * @param once whether a change that one test notices is not tried in others
     */
    public record Plan(Set<ChangeKind> changes, BiPredicate<Disturbance, CallPlace> wanted, boolean once) {}

    Schedule(Collection<Baseline> tests, Plan plan) {
        this.plan = plan;
        for (Baseline test : tests) {
            List<Disturbance> all = new ArrayList<>();
            for (CallPlace site : test.sites()) {
                sites.put(test.id() + site.key() + site.occurrence(), site);
                add(all, test.id(), site);
            }
            addOrder(all, test);
            all.removeIf(each ->
                    !plan.changes().contains(each.kind()) || !plan.wanted().test(each, site(each)));
            known += all.size();
            if (!all.isEmpty()) {
                open.put(test.id(), new ArrayDeque<>(all));
            }
        }
    }

    private static void add(List<Disturbance> all, String test, CallPlace site) {
        ChangeKind ofValue = site.isOfResult() ? ChangeKind.RESULT : ChangeKind.ANSWER;
        for (int i = 0; i < site.variants(); i++) {
            all.add(new Disturbance(test, site, ofValue, i));
        }
        if (site.isOfResult()) {
            return;
        }
        all.add(new Disturbance(test, site, ChangeKind.LOST, 0));
        if (site.isCountedExactly()) {
            all.add(new Disturbance(test, site, ChangeKind.TWICE, 0));
        }
        for (int i = 0; i < site.arguments().size(); i++) {
            Message.Argument argument = site.arguments().get(i);
            if (argument.use() == Message.Use.OTHER) {
                Disturbance whole = new Disturbance(test, site, ChangeKind.ARGUMENT, i);
                all.add(whole);
                argument.parts().forEach(part -> all.add(whole.ofPart(part)));
            } else if (argument.use() == Message.Use.CALLED) {
                all.add(new Disturbance(test, site, ChangeKind.CALLBACK, i));
            }
        }
        if (!site.threw()) {
            all.add(new Disturbance(test, site, ChangeKind.THROWN, 0));
        }
        if (site.isFuture()) {
            all.add(new Disturbance(test, site, ChangeKind.SILENT, 0));
        }
    }

    /** Commands that are followed by a command of another collaborator. */
    private static void addOrder(List<Disturbance> all, Baseline test) {
        for (int i = 0; i + 1 < test.sites().size(); i++) {
            CallPlace site = test.sites().get(i);
            CallPlace next = test.sites().get(i + 1);
            if (site.isCommand() && next.isCommand() && !site.receiver().equals(next.receiver())) {
                all.add(new Disturbance(test.id(), site, ChangeKind.ORDER, 0));
            }
        }
    }

    synchronized boolean isEmpty() {
        return open.isEmpty();
    }

    /** One disturbance for each test. */
    synchronized List<Disturbance> next() {
        List<Disturbance> round = new ArrayList<>();
        open.values().forEach(all -> round.add(all.poll()));
        round.forEach(each -> running.add(each.test()));
        open.values().removeIf(Deque::isEmpty);
        return round;
    }

    /**
     * Takes over half of the tests that another lane has not started yet.
     *
     * @return whether there were any
     */
    boolean takeOver(Schedule from) {
        Given given = from.giveHalf();
        synchronized (this) {
            known += given.number();
            open.putAll(given.tests());
            sites.putAll(given.sites());
        }
        return given.number() > 0;
    }

    private record Given(Map<String, Deque<Disturbance>> tests, Map<String, CallPlace> sites, int number) {}

    private synchronized Given giveHalf() {
        List<String> idle =
                open.keySet().stream().filter(each -> !running.contains(each)).toList();
        Map<String, Deque<Disturbance>> tests = new LinkedHashMap<>();
        Map<String, CallPlace> places = new HashMap<>();
        int number = 0;
        for (String each : idle.subList(idle.size() / 2, idle.size())) {
            Deque<Disturbance> all = open.remove(each);
            tests.put(each, all);
            all.forEach(one -> places.put(place(one), site(one)));
            number += all.size();
        }
        known -= number;
        return new Given(tests, places, number);
    }

    /** How many disturbances can be taken over. */
    synchronized int idle() {
        return open.entrySet().stream()
                .filter(each -> !running.contains(each.getKey()))
                .mapToInt(each -> each.getValue().size())
                .sum();
    }

    synchronized void again(Disturbance disturbance) {
        running.remove(disturbance.test());
        open.computeIfAbsent(disturbance.test(), first -> new ArrayDeque<>()).addFirst(disturbance);
    }

    /** Repeats a disturbance. */
    synchronized void confirm(Disturbance disturbance) {
        known++;
        again(disturbance);
    }

    /** Adds a call to a test that does not make it. */
    synchronized void extra(Disturbance disturbance, CallPlace site) {
        sites.put(place(disturbance), site);
        confirm(disturbance);
    }

    synchronized void done(Disturbance done, Verdict verdict) {
        running.remove(done.test());
        run++;
        if (plan.once() && verdict == Verdict.NOTICED) {
            leaveOutEverywhere(done);
        }
        if (done.kind().isOfValue() && verdict == Verdict.NOTICED) {
            leaveOut(
                    done,
                    other -> other.kind() == done.kind() || other.kind() == ChangeKind.LOST && isSaidToBeQuery(done));
        } else if (done.kind() == ChangeKind.ARGUMENT && done.part().isEmpty() && verdict != Verdict.NOTICED) {
            // If an argument is not checked, neither are its parts.
            leaveOut(done, other -> other.kind() == ChangeKind.ARGUMENT && other.index() == done.index());
        }
    }

    /**
     * If its answer matters, a call must be made; whether similar calls in other tests must be made, only losing them
     * shows.
     */
    private boolean isSaidToBeQuery(Disturbance disturbance) {
        return !plan.changes().contains(ChangeKind.EXTRA) || !site(disturbance).isCountedExactly();
    }

    /** A place that one test checks is not tried in others. */
    private void leaveOutEverywhere(Disturbance done) {
        for (Deque<Disturbance> rest : open.values()) {
            int before = rest.size();
            rest.removeIf(done::isSameChange);
            known -= before - rest.size();
        }
        open.values().removeIf(Deque::isEmpty);
    }

    private void leaveOut(Disturbance done, Predicate<Disturbance> which) {
        Deque<Disturbance> rest = open.get(done.test());
        if (rest != null) {
            int before = rest.size();
            rest.removeIf(other -> done.isAtPlaceOf(other) && which.test(other));
            known -= before - rest.size();
            if (rest.isEmpty()) {
                open.remove(done.test());
            }
        }
    }

    synchronized CallPlace site(Disturbance disturbance) {
        return sites.get(place(disturbance));
    }

    private static String place(Disturbance disturbance) {
        return disturbance.test() + disturbance.site() + disturbance.occurrence();
    }

    synchronized int run() {
        return run;
    }

    synchronized int known() {
        return known;
    }
}
