package dev.zelotype.challenge;

import dev.zelotype.tools.TypeNames;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * For builds and tools: challenges tests. First they run as they are; then, in rounds, each runs with one thing
 * disturbed at a time, in a JVM of its own that is given up when a test does not end. Not safe for use from several
 * threads.
 *
 * <pre>{@code
 * ChallengeResult result = new Challenge(classPath).onlyClasses("dev.observatory.*").run((done, all) -> {});
 * result.findings().forEach(finding -> System.out.println(finding.sentence()));
 * }</pre>
 *
 * @since 0.2
 */
public final class Challenge {

    private static final int SLOWER = 10;
    private static final long MORE_MILLIS = 2_000;
    private static final long BASELINE_MILLIS = 10 * 60_000;
    private static final int TRIES = 2;

    private final List<Path> classPath;
    private List<String> classes = List.of();
    private List<Path> roots;
    private String only = ".*";
    private String test = "";
    private @Nullable Pattern meant;
    private Set<ChangeKind> changes = EnumSet.allOf(ChangeKind.class);
    private List<String> jvmArguments = List.of();
    private @Nullable Duration limit;
    private volatile boolean stopped;
    private boolean confirming;

    private final Map<String, Baseline> tests = new LinkedHashMap<>();
    private final List<String> leftOut = new ArrayList<>();
    private final List<Tried> tried = new ArrayList<>();
    private final Set<Disturbance> runaways = new HashSet<>();
    private long moreMillis = MORE_MILLIS;
    /** Whether the worker has run tests as they are. */
    private boolean warm;
    /** The longest time between two tests when they ran as they are. */
    private long aroundMillis;

    private final Map<Disturbance, Integer> tries = new HashMap<>();
    private @Nullable WorkerProcess worker;

    /** A test as it is without disturbance. */
    static final class Baseline {
        final String id;
        final List<CallPlace> sites = new ArrayList<>();
        String name = "";
        String type = "";
        long millis;

        Baseline(String id) {
            this.id = id;
        }
    }

    /** What became of a disturbance. */
    record Tried(
            Disturbance disturbance,
            CallPlace site,
            Verdict verdict,
            String change,
            boolean confirms,
            List<CallPlace> failedChecks,
            boolean failedOtherwise) {}

    /**
     * Prepares a challenge.
     *
     * @param classPath the class path of the tests: folders, in which tests are looked for, and jars
     */
    public Challenge(List<Path> classPath) {
        this.classPath = List.copyOf(classPath);
        this.roots = this.classPath.stream().filter(Files::isDirectory).toList();
    }

    /**
     * Says which tests are challenged.
     *
     * @param names qualified names with commas between; a star matches anything
     * @return this
     */
    public Challenge onlyClasses(String names) {
        only = TypeNames.wanted(names).pattern();
        return this;
    }

    /** Says how many milliseconds more than before a test may take that takes hardly any. */
    Challenge allowing(long millis) {
        moreMillis = millis;
        return this;
    }

    /**
     * Says which calls nobody needs to check: these are not disturbed.
     *
     * @param names methods with their types, such as {@code NightLog.append}, with commas between; a star stands for
     *     anything
     * @return this
     */
    public Challenge except(String names) {
        meant = names.isBlank() ? null : CallPlace.named(names);
        return this;
    }

    /**
     * Names test classes that are not looked for but there, as in a jar.
     *
     * @param names their qualified names
     * @return this
     */
    public Challenge classes(List<String> names) {
        classes = List.copyOf(names);
        return this;
    }

    /**
     * Says where tests are looked for; in all folders of the class path unless given.
     *
     * @param folders folders of test classes
     * @return this
     */
    public Challenge from(List<Path> folders) {
        roots = List.copyOf(folders);
        return this;
    }

    /**
     * Says which tests of these classes are challenged.
     *
     * @param text a part of their names or titles
     * @return this
     */
    public Challenge onlyTests(String text) {
        test = text.toLowerCase(Locale.ROOT);
        return this;
    }

    /**
     * Says what is disturbed.
     *
     * @param wanted the changes
     * @return this
     */
    public Challenge changes(Set<ChangeKind> wanted) {
        changes = EnumSet.copyOf(wanted);
        return this;
    }

    /**
     * Says how the JVM of the tests is started.
     *
     * @param arguments such as {@code -javaagent:...}
     * @return this
     */
    public Challenge jvmArguments(List<String> arguments) {
        jvmArguments = List.copyOf(arguments);
        return this;
    }

    /**
     * Says how long it may take in all; what was found until then is the result.
     *
     * @param time the time
     * @return this
     */
    public Challenge within(Duration time) {
        limit = time;
        return this;
    }

    /** Stops it as soon as the current test has ended. May be called from any thread. */
    public void stop() {
        stopped = true;
        WorkerProcess running = worker;
        if (running != null) {
            running.close();
        }
    }

    /**
     * Runs the challenge.
     *
     * @param progress hears how many of the disturbances known so far were run
     * @return what was found
     * @throws ChallengeException if there are no tests that can be challenged
     */
    public ChallengeResult run(BiConsumer<Integer, Integer> progress) {
        long end = limit == null ? Long.MAX_VALUE : System.nanoTime() + limit.toNanos();
        try {
            baseline();
            Schedule schedule = new Schedule(tests.values(), changes);
            boolean complete = rounds(schedule, end, progress);
            if (complete) {
                // Nobody is told of a gap that is none the second time.
                confirming = true;
                new Judge(tests, tried, leftOut, true).inGaps().forEach(schedule::confirm);
                complete = rounds(schedule, end, progress);
                confirming = false;
            }
            if (complete && changes.contains(ChangeKind.EXTRA)) {
                new Judge(tests, tried, leftOut, true).extras().forEach(schedule::extra);
                complete = rounds(schedule, end, progress);
            }
            return new Judge(tests, tried, leftOut, complete).result();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return new Judge(tests, tried, leftOut, false).result();
        } finally {
            if (worker != null) {
                worker.close();
            }
        }
    }

    private boolean rounds(Schedule schedule, long end, BiConsumer<Integer, Integer> progress)
            throws InterruptedException {
        while (!schedule.isEmpty()) {
            if (stopped || System.nanoTime() > end) {
                return false;
            }
            round(schedule, progress);
        }
        return !stopped;
    }

    private WorkerProcess worker() {
        WorkerProcess running = worker;
        if (running == null || running.isGone()) {
            running = new WorkerProcess(classPath, jvmArguments);
            worker = running;
            warm = false;
            if (changes.contains(ChangeKind.RESULT)) {
                running.send(new Message.ShowResults());
            }
        }
        return running;
    }

    private String nameOf(String test) {
        Baseline known = tests.get(test);
        return known == null || known.name.isEmpty() ? test : known.name;
    }

    private void giveUp() {
        if (worker != null) {
            worker.close();
            worker = null;
        }
    }

    private void baseline() throws InterruptedException {
        List<String> folders =
                classes.isEmpty() ? roots.stream().map(String::valueOf).toList() : List.of();
        Message.Plan plan = new Message.Plan(folders, List.copyOf(classes), List.of(only));
        int found = undisturbed(plan, this::ran);
        if (found == 0) {
            throw new ChallengeException(
                    "No test was found on the class path. Give the folder of the test classes in it, and see that the"
                            + " names of classes that you asked for fit.");
        }
        tests.values().removeIf(each -> each.name.isEmpty() || each.sites.isEmpty());
        if (!tests.isEmpty()) {
            undisturbed(plan, this::ranAgain);
        }
        if (tests.isEmpty()) {
            throw new ChallengeException("None of the " + found + " tests can be challenged: "
                    + (leftOut.isEmpty()
                            ? "no subject of theirs asks a double anything. A class that is written inside a test class"
                                    + " counts as part of the test, and not as its subject."
                            : String.join("; ", leftOut.subList(0, Math.min(3, leftOut.size())))));
        }
    }

    /** Runs all tests as they are; gives how many there were. */
    private int undisturbed(Message.Plan plan, Consumer<Message> each) throws InterruptedException {
        WorkerProcess running = worker();
        running.send(plan);
        warm = true;
        int found = 0;
        long before = System.nanoTime();
        while (true) {
            Message message = running.next(BASELINE_MILLIS);
            long now = System.nanoTime();
            if (message instanceof Message.Began || message instanceof Message.End) {
                // What is set up and put back around tests, such as for a whole class.
                aroundMillis = Math.max(aroundMillis, (now - before) / 1_000_000);
            }
            before = now;
            if (message == null) {
                throw new ChallengeException(
                        stopped
                                ? "It was stopped before the tests had run once."
                                : "The tests do not run to their end: the JVM that runs them is gone or hangs ("
                                        + running.errors()
                                        + "). Give the whole class path of the tests, JUnit's engine included.");
            }
            if (message instanceof Message.End) {
                return found;
            }
            found += message instanceof Message.Done ? 1 : 0;
            each.accept(message);
        }
    }

    private void ranAgain(Message message) {
        if (message instanceof Message.Done done
                && tests.containsKey(done.test())
                && done.verdict() != Verdict.PASSED) {
            leftOut.add(done.name() + " passes only now and then (" + done.failure() + ")");
            tests.remove(done.test());
        }
    }

    private void ran(Message message) {
        if (message instanceof Message.Note note) {
            leftOut.add(note.text());
        } else if (message instanceof Message.Called called) {
            CallPlace site = new CallPlace(called.asked());
            if (meant == null || !meant.matcher(site.qualifiedMethod()).matches()) {
                tests.computeIfAbsent(called.test(), Baseline::new).sites.add(site);
            }
        } else if (message instanceof Message.Done done) {
            ran(done);
        }
    }

    private void ran(Message.Done done) {
        Baseline known = tests.get(done.test());
        if (done.verdict() != Verdict.PASSED) {
            leftOut.add(done.name() + " does not pass as it is (" + done.failure() + ")");
            tests.remove(done.test());
        } else if (known != null
                && (done.name() + " " + done.test()).toLowerCase(Locale.ROOT).contains(test)) {
            known.name = done.name();
            known.type = done.testClass();
            known.millis = done.millis();
        }
    }

    private void round(Schedule schedule, BiConsumer<Integer, Integer> progress) throws InterruptedException {
        List<Disturbance> round = schedule.next();
        WorkerProcess running = worker();
        if (!warm && !warmUp(running, round)) {
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
                // A test that was not even found again says nothing.
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
                    progress.accept(schedule.run(), schedule.known());
                }
            }
        }
    }

    private void finished(
            Schedule schedule,
            Disturbance done,
            Verdict verdict,
            String change,
            List<CallPlace> failedChecks,
            boolean otherwise) {
        if (change.isEmpty() && verdict != Verdict.PASSED) {
            // It failed before anything was disturbed: the JVM is not clean any more.
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
     * Runs the tests of a round as they are in a JVM that has just been started: what is slow there is the JVM, and no
     * sign of a disturbance.
     *
     * @return false if they do not come to their end
     */
    private boolean warmUp(WorkerProcess running, List<Disturbance> round) throws InterruptedException {
        running.send(new Message.WarmUp(List.copyOf(byTest(round).keySet())));
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
        return known == null ? 5 * moreMillis + SLOWER * aroundMillis : moreMillis + SLOWER * known.millis;
    }

    /** The worker hangs or is gone: what ran just now has run away, the others are run again. */
    private void givenUp(Schedule schedule, Map<String, Disturbance> open, @Nullable String current) {
        giveUp();
        if (stopped) {
            return;
        }
        Disturbance away = current == null ? null : open.remove(current);
        if (away != null && runaways.add(away)) {
            // Once more, in a JVM that has run the test as it is before: it may have been the JVM that was slow.
            schedule.again(away);
        } else if (away != null) {
            schedule.done(away, Verdict.NOTICED);
            tried.add(
                    new Tried(away, schedule.site(away), Verdict.NOTICED, "did not end", confirming, List.of(), true));
        }
        for (Disturbance each : open.values()) {
            if (away == null && tries.merge(each, 1, Integer::sum) >= TRIES) {
                schedule.done(each, Verdict.ABORTED);
                String reason =
                        nameOf(each.test()) + " does not come to its end when it runs again, so it was not disturbed";
                if (!leftOut.contains(reason)) {
                    leftOut.add(reason);
                }
            } else {
                schedule.again(each);
            }
        }
    }
}
