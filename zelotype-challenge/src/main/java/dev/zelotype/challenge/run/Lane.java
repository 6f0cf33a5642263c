package dev.zelotype.challenge.run;

import dev.zelotype.challenge.change.Baseline;
import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.Disturbance;
import dev.zelotype.challenge.change.Message;
import dev.zelotype.challenge.change.Tried;
import dev.zelotype.challenge.change.Verdict;
import dev.zelotype.challenge.finding.Proposal;
import dev.zelotype.challenge.kept.KeptRuns;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * Runs the disturbances of some tests one after the other in its own worker, which is killed if a test does not end.
 * For one thread, but {@link #stop} may be called from any.
 */
public final class Lane {

    private static final int SLOWER = 10;
    private static final long BASELINE_MILLIS = 10 * 60_000;
    private static final int TRIES = 2;

    private final Map<String, Baseline> tests;
    private final Supplier<WorkerProcess> start;
    private final Supplier<KeptRuns> earlier;
    private final long moreMillis;

    private final List<Tried> tried;
    private final Set<String> leftOut = new LinkedHashSet<>();
    private final Set<Disturbance> runaways = new HashSet<>();
    private final Map<Disturbance, Integer> tries = new HashMap<>();
    private volatile @Nullable WorkerProcess worker;
    private volatile boolean stopped;
    private boolean confirming;
    private int reused;
    /** Whether the worker has run tests undisturbed. */
    private boolean warm;
    /** The longest time between two messages of the undisturbed run. */
    private long aroundMillis;

    /**
     * Makes a lane.
     *
     * @param earlier the runs that can be reused
     * @param tried receives the results of all lanes, in the order in which they were run
     * @param moreMillis how much longer than before a very short test may take
     */
    public Lane(
            Map<String, Baseline> tests,
            Supplier<WorkerProcess> start,
            Supplier<KeptRuns> earlier,
            List<Tried> tried,
            long moreMillis) {
        this.tests = tests;
        this.tried = tried;
        this.start = start;
        this.earlier = earlier;
        this.moreMillis = moreMillis;
    }

    public WorkerProcess worker() {
        WorkerProcess running = worker;
        if (running == null || running.isGone()) {
            running = start.get();
            worker = running;
            warm = false;
        }
        return running;
    }

    /** Records that the worker has run all tests, and the longest time between two of them. */
    public void warmed(long around) {
        warm = true;
        aroundMillis = Math.max(aroundMillis, around);
    }

    public long aroundMillis() {
        return aroundMillis;
    }

    public void expectAround(long millis) {
        aroundMillis = millis;
    }

    /** How many of these were reused from an earlier challenge. */
    public int reused() {
        return reused;
    }

    /** Why some of its tests were not disturbed. */
    public Set<String> leftOut() {
        return leftOut;
    }

    public void confirm(boolean confirms) {
        confirming = confirms;
    }

    /** Stops it as soon as the current test has ended. */
    public void stop() {
        stopped = true;
        close();
    }

    public void close() {
        WorkerProcess running = worker;
        if (running != null) {
            running.close();
        }
    }

    private void giveUp() {
        close();
        worker = null;
    }

    /** Runs one disturbance for each test. */
    void round(Schedule schedule, Runnable progress) throws InterruptedException {
        List<Disturbance> round = schedule.next();
        round.removeIf(each -> isKnown(schedule, each));
        if (round.isEmpty()) {
            progress.run();
            return;
        }
        WorkerProcess running = worker();
        if (!warm && !warmUp(running, byTest(round).keySet())) {
            givenUp(schedule, byTest(round), null);
            return;
        }
        round.forEach(each -> running.send(new Message.Disturb(each)));
        running.send(new Message.Go());
        Map<String, Disturbance> open = byTest(round);
        String current = null;
        List<CallPlace> failedChecks = new ArrayList<>();
        while (true) {
            Message message = running.next(patience(current));
            if (message == null) {
                givenUp(schedule, open, current);
                return;
            }
            if (message instanceof Message.End) {
                // A test that was not found any more shows nothing.
                open.values().forEach(each -> schedule.done(each, Verdict.ABORTED));
                return;
            } else if (message instanceof Message.Began began) {
                current = began.test();
                failedChecks.clear();
            } else if (message instanceof Message.CheckFailed check) {
                failedChecks.add(CallPlace.ofCheck(check));
            } else if (message instanceof Message.Done ended) {
                Disturbance done = open.remove(ended.test());
                current = null;
                if (done != null) {
                    finished(
                            schedule,
                            done,
                            ended.verdict(),
                            ended.applied(),
                            List.copyOf(failedChecks),
                            ended.failed());
                    progress.run();
                }
            }
        }
    }

    /** Reuses the runs of an earlier challenge. */
    private boolean isKnown(Schedule schedule, Disturbance next) {
        Tried known = earlier.get().of(next, confirming);
        if (known == null) {
            return false;
        }
        reused++;
        schedule.done(next, known.verdict());
        tried.add(new Tried(
                next,
                schedule.site(next),
                known.verdict(),
                known.change(),
                confirming,
                known.failedChecks(),
                known.failedOtherwise()));
        return true;
    }

    private void finished(
            Schedule schedule,
            Disturbance done,
            Verdict verdict,
            String change,
            List<CallPlace> failedChecks,
            boolean otherwise) {
        if (change.isEmpty() && verdict != Verdict.PASSED) {
            // It failed before anything was disturbed: the state of the JVM is damaged.
            giveUp();
            if (tries.merge(done, 1, Integer::sum) < TRIES) {
                schedule.again(done);
                return;
            }
        }
        Verdict counts = change.isEmpty() ? Verdict.ABORTED : verdict;
        schedule.done(done, counts);
        tried.add(new Tried(done, schedule.site(done), counts, change, confirming, failedChecks, otherwise));
    }

    private static Map<String, Disturbance> byTest(List<Disturbance> round) {
        Map<String, Disturbance> byTest = new LinkedHashMap<>();
        round.forEach(each -> byTest.put(each.test(), each));
        return byTest;
    }

    /**
     * Runs some tests undisturbed in a new JVM, so that its slow start is not mistaken for an effect of a disturbance.
     *
     * @return false if they did not all end
     */
    private boolean warmUp(WorkerProcess running, Set<String> some) throws InterruptedException {
        running.send(new Message.WarmUp(List.copyOf(some)));
        while (true) {
            Message message = running.next(BASELINE_MILLIS);
            if (message == null) {
                return false;
            } else if (message instanceof Message.End) {
                warm = true;
                return true;
            }
        }
    }

    private long patience(@Nullable String current) {
        Baseline known = current == null ? null : tests.get(current);
        return known == null ? 5 * moreMillis + SLOWER * aroundMillis : moreMillis + SLOWER * known.millis();
    }

    /** The worker hangs or has died: the current test did not end, and the others are run again. */
    private void givenUp(Schedule schedule, Map<String, Disturbance> open, @Nullable String current) {
        giveUp();
        if (stopped) {
            return;
        }
        Disturbance away = current == null ? null : open.remove(current);
        if (away != null && runaways.add(away)) {
            // Once more, in a JVM that has run the test undisturbed before: perhaps only the JVM was slow.
            schedule.again(away);
        } else if (away != null) {
            schedule.done(away, Verdict.NOTICED);
            tried.add(
                    new Tried(away, schedule.site(away), Verdict.NOTICED, "did not end", confirming, List.of(), true));
        }
        for (Disturbance each : open.values()) {
            if (away == null && tries.merge(each, 1, Integer::sum) >= TRIES) {
                schedule.done(each, Verdict.ABORTED);
                leftOut.add(
                        nameOf(each.test()) + " does not come to its end when it runs again, so it was not disturbed");
            } else {
                schedule.again(each);
            }
        }
    }

    private String nameOf(String test) {
        Baseline known = tests.get(test);
        return known == null || known.name().isEmpty() ? test : known.name();
    }

    /**
     * Whether a compiled statement passes at the end of a test, and fails there if the test is disturbed.
     *
     * @param trial the class that holds the statement
     */
    boolean holds(Proposal proposal, String trial, String test) throws InterruptedException {
        Disturbance disturbance = proposal.disturbance();
        Disturbance of = disturbance == null ? Disturbance.none(test) : disturbance;
        return says(of, false, proposal, trial, Message.Done.HELD)
                && (disturbance == null || says(of, true, proposal, trial, Message.Done.FAILED));
    }

    private boolean says(Disturbance of, boolean disturbed, Proposal proposal, String trial, String wanted)
            throws InterruptedException {
        if (stopped) {
            return false;
        }
        WorkerProcess running = worker();
        if (!warm && !warmUp(running, Set.of(of.test()))) {
            giveUp();
            return false;
        }
        List<Message.Named> doubles =
                proposal.receivers().stream().map(Proposal.Receiver::named).toList();
        running.send(new Message.Try(of, disturbed, trial, doubles));
        String said = "";
        String current = null;
        while (true) {
            Message message = running.next(patience(current));
            if (message == null) {
                giveUp();
                return false;
            } else if (message instanceof Message.Began began) {
                current = began.test();
            } else if (message instanceof Message.Done done && done.test().equals(of.test())) {
                said = done.tried();
            } else if (message instanceof Message.End) {
                return said.equals(wanted);
            }
        }
    }
}
