package dev.zelotype.challenge.run;

import dev.zelotype.challenge.change.Baseline;
import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.Disturbance;
import dev.zelotype.challenge.change.Message;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.challenge.finding.Proposal;
import dev.zelotype.challenge.kept.Distribution;
import dev.zelotype.challenge.kept.KeptRuns;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.BiConsumer;
import java.util.function.BooleanSupplier;

/**
 * Distributes the tests over the lanes and runs these side by side. A lane without work takes over tests of another.
 */
public final class Rounds {

    /** Below this, sharing takes as long as finishing alone. */
    private static final int WORTH_TAKING = 10;

    private final List<Lane> lanes;
    private final Map<String, Integer> laneOf = new HashMap<>();
    private final List<Schedule> schedules = new ArrayList<>();
    private final KeptRuns earlier;
    private final List<Message.Said> said = new ArrayList<>();
    private final long end;
    private final boolean takesOver;
    private final BiConsumer<Integer, Integer> progress;

    public Rounds(
            List<Lane> lanes,
            Map<String, Baseline> tests,
            Schedule.Plan plan,
            KeptRuns earlier,
            long end,
            BiConsumer<Integer, Integer> progress) {
        this.lanes = lanes;
        this.earlier = earlier;
        this.end = end;
        this.progress = progress;
        Distribution shared = Distribution.ofTests(tests.values(), lanes.size());
        for (int i = 0; i < lanes.size(); i++) {
            int lane = i;
            shared.classes(lane + 1).forEach(each -> laneOf.put(each, lane));
        }
        for (int i = 0; i < lanes.size(); i++) {
            int lane = i;
            // In the order of the tests, for reporting.
            List<Baseline> own = tests.values().stream()
                    .filter(each -> laneOf(each.id()) == lane)
                    .toList();
            schedules.add(new Schedule(own, plan));
        }
        // Which test notices a place first must not depend on the speed of the lanes.
        takesOver = !plan.once();
    }

    private int laneOf(String test) {
        return laneOf.getOrDefault(test, 0);
    }

    public void confirm(List<Disturbance> all) {
        all.forEach(each -> schedules.get(laneOf(each.test())).confirm(each));
    }

    public void extras(Map<Disturbance, CallPlace> all) {
        all.forEach((each, site) -> schedules.get(laneOf(each.test())).extra(each, site));
    }

    /**
     * Runs everything that is planned.
     *
     * @return false if it was stopped or the time was up
     */
    public boolean run(BooleanSupplier stopped) throws InterruptedException {
        return everywhere(lane -> {
            Schedule schedule = schedules.get(lane);
            while (!schedule.isEmpty() || takesOver(schedule)) {
                if (stopped.getAsBoolean() || System.nanoTime() > end) {
                    return false;
                }
                lanes.get(lane).round(schedule, this::tell);
            }
            return !stopped.getAsBoolean();
        });
    }

    private boolean takesOver(Schedule schedule) {
        if (!takesOver) {
            return false;
        }
        Schedule most =
                schedules.stream().max(Comparator.comparingInt(Schedule::idle)).orElseThrow();
        return most != schedule && most.idle() >= WORTH_TAKING && schedule.takeOver(most);
    }

    /** The task of each lane, on its own thread. */
    public interface Work {
        /** Returns false if it did not finish. */
        boolean of(int lane) throws InterruptedException;
    }

    private boolean everywhere(Work work) throws InterruptedException {
        return sideBySide(lanes.size(), work);
    }

    /**
     * Does something in all lanes at the same time.
     *
     * @return whether all finished
     */
    public static boolean sideBySide(int lanes, Work work) throws InterruptedException {
        if (lanes == 1) {
            return work.of(0);
        }
        ExecutorService threads = Executors.newFixedThreadPool(lanes);
        try {
            List<Future<Boolean>> all = new ArrayList<>();
            for (int i = 0; i < lanes; i++) {
                int lane = i;
                all.add(threads.submit(() -> work.of(lane)));
            }
            boolean complete = true;
            for (Future<Boolean> each : all) {
                complete &= each.get();
            }
            return complete;
        } catch (ExecutionException e) {
            throw causeOf(e);
        } finally {
            threads.shutdownNow();
        }
    }

    /** An exception of another thread, to be thrown on this one. */
    static RuntimeException causeOf(ExecutionException e) throws InterruptedException {
        if (e.getCause() instanceof InterruptedException interrupted) {
            throw interrupted;
        }
        return e.getCause() instanceof RuntimeException known ? known : new IllegalStateException(e.getCause());
    }

    private synchronized void tell() {
        int done = 0;
        int known = 0;
        for (Schedule each : schedules) {
            done += each.run();
            known += each.known();
        }
        progress.accept(done, known);
    }

    /**
     * The findings, each with those of its statements that pass in their test and fail there if the change is made.
     *
     * @param all all tests that a finding may refer to
     */
    public List<Finding> withTried(List<Finding> findings, Trials trials, Map<String, Baseline> all)
            throws InterruptedException {
        Map<String, Baseline> known = byIdAndName(all);
        for (Finding finding : findings) {
            for (Proposal each : finding.proposals()) {
                Baseline test = testOf(finding, each, known);
                if (earlier.of(test.id(), each.statement()) == null) {
                    trials.add(each, test.type());
                }
            }
        }
        trials.compile();
        List<Finding> tried = new ArrayList<>(findings);
        everywhere(lane -> {
            for (int i = 0; i < tried.size(); i++) {
                if (i % lanes.size() == lane) {
                    tried.set(i, tried(findings.get(i), trials, lanes.get(lane), known));
                }
            }
            return true;
        });
        return tried;
    }

    private Finding tried(Finding finding, Trials trials, Lane lane, Map<String, Baseline> known)
            throws InterruptedException {
        for (Proposal each : finding.proposals()) {
            Baseline test = testOf(finding, each, known);
            Message.Said before = earlier.of(test.id(), each.statement());
            String written = before != null ? before.written() : tried(each, test, trials, lane);
            say(new Message.Said(test.id(), each.statement(), written));
            if (!written.isEmpty()) {
                return finding.with(written, test.id());
            }
        }
        return finding.with("", "");
    }

    /** A statement as it is shown; empty if it does not work. */
    private String tried(Proposal proposal, Baseline test, Trials trials, Lane lane) throws InterruptedException {
        String type = trials.typeOf(proposal);
        boolean serves = !type.isEmpty() && System.nanoTime() < end && lane.holds(proposal, type, test.id());
        return serves ? trials.written(proposal, test.type()) : "";
    }

    private synchronized void say(Message.Said statement) {
        said.add(statement);
    }

    /** The statements that were tried, with their results. */
    public synchronized List<Message.Said> said() {
        return List.copyOf(said);
    }

    /**
     * The test in which a proposal of a finding is tried.
     *
     * @param known tests by id and by name
     */
    private static Baseline testOf(Finding finding, Proposal proposal, Map<String, Baseline> known) {
        Baseline test = known.get(finding.testOf(proposal));
        return test == null ? new Baseline("") : test;
    }

    /**
     * The findings, each with those of its statements that worked elsewhere.
     *
     * @param all all tests that a finding may refer to
     * @param kept what was tried
     */
    public static List<Finding> withKept(List<Finding> findings, Map<String, Baseline> all, KeptRuns kept) {
        Map<String, Baseline> known = byIdAndName(all);
        return findings.stream()
                .map(finding -> finding.proposals().stream()
                        .map(each -> kept.of(testOf(finding, each, known).id(), each.statement()))
                        .filter(each -> each != null && !each.written().isEmpty())
                        .map(each -> finding.with(each.written(), each.test()))
                        .findFirst()
                        .orElseGet(() -> finding.with("", "")))
                .toList();
    }

    private static Map<String, Baseline> byIdAndName(Map<String, Baseline> all) {
        Map<String, Baseline> known = new HashMap<>(all);
        all.values().forEach(each -> known.putIfAbsent(each.name(), each));
        return known;
    }
}
