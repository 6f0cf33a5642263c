package dev.zelotype.challenge.run;

import dev.zelotype.challenge.change.Baseline;
import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.Disturbance;
import dev.zelotype.challenge.change.Message;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.challenge.finding.Proposal;
import dev.zelotype.challenge.kept.Cut;
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
 * Gives the tests out to the lanes and runs these side by side. A lane that has nothing left takes tests over from another.
 */
public final class Rounds {

    /** With less left, another lane is as soon done without help. */
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
        Cut shared = Cut.ofTests(tests.values(), lanes.size());
        for (int i = 0; i < lanes.size(); i++) {
            int lane = i;
            shared.classes(lane + 1).forEach(each -> laneOf.put(each, lane));
        }
        for (int i = 0; i < lanes.size(); i++) {
            int lane = i;
            // In the order of the tests, as it is told.
            List<Baseline> own = tests.values().stream()
                    .filter(each -> laneOf(each.id()) == lane)
                    .toList();
            schedules.add(new Schedule(own, plan));
        }
        // Which test notices a place first must not depend on how fast the lanes are.
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
     * Runs all that is planned.
     *
     * @return false if it was stopped, or the time was up
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

    /** What is done for each lane, on a thread of its own. */
    public interface Work {
        /** Gives false if it came to no end. */
        boolean of(int lane) throws InterruptedException;
    }

    private boolean everywhere(Work work) throws InterruptedException {
        return sideBySide(lanes.size(), work);
    }

    /**
     * Does something for each lane at the same time.
     *
     * @return whether all came to their ends
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

    /** What went wrong on another thread, to be thrown on this one. */
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
     * The findings with those of their statements that hold in their test, and fail there if the change is made.
     *
     * @param all all tests that a finding may name
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

    /** A statement as it is shown; empty if it does not serve. */
    private String tried(Proposal proposal, Baseline test, Trials trials, Lane lane) throws InterruptedException {
        String type = trials.typeOf(proposal);
        boolean serves = !type.isEmpty() && System.nanoTime() < end && lane.holds(proposal, type, test.id());
        return serves ? trials.written(proposal, test.type()) : "";
    }

    private synchronized void say(Message.Said statement) {
        said.add(statement);
    }

    /** The statements that were tried, with what became of them. */
    public synchronized List<Message.Said> said() {
        return List.copyOf(said);
    }

    /**
     * The test in which a proposal of a finding is said.
     *
     * @param known tests by their ids and by their names
     */
    private static Baseline testOf(Finding finding, Proposal proposal, Map<String, Baseline> known) {
        Baseline test = known.get(finding.testOf(proposal));
        return test == null ? new Baseline("") : test;
    }

    /**
     * The findings with those of their statements that were found to serve elsewhere.
     *
     * @param all all tests that a finding may name
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
