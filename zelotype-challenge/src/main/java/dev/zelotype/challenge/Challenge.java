package dev.zelotype.challenge;

import dev.zelotype.challenge.change.Baseline;
import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.change.Disturbance;
import dev.zelotype.challenge.change.Message;
import dev.zelotype.challenge.change.Tried;
import dev.zelotype.challenge.change.Verdict;
import dev.zelotype.challenge.error.ChallengeException;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.challenge.judge.Judge;
import dev.zelotype.challenge.kept.CodeHashes;
import dev.zelotype.challenge.kept.Distribution;
import dev.zelotype.challenge.kept.KeptFile;
import dev.zelotype.challenge.kept.KeptRuns;
import dev.zelotype.challenge.kept.Shard;
import dev.zelotype.challenge.run.Lane;
import dev.zelotype.challenge.run.Rounds;
import dev.zelotype.challenge.run.Schedule;
import dev.zelotype.challenge.run.SecondRuns;
import dev.zelotype.challenge.run.TestRun;
import dev.zelotype.challenge.run.Trials;
import dev.zelotype.challenge.run.WorkerProcess;
import dev.zelotype.tools.TypeNames;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * For builds and tools: challenges tests. First they run unchanged. Then, in rounds, each runs with one disturbance at
 * a time, in a separate JVM that is killed if a test does not end. Not safe for use from several threads.
 *
 * <pre>{@code
 * ChallengeResult result = new Challenge(classPath).onlyClasses("dev.observatory.*").run((done, all) -> {});
 * result.findings().forEach(finding -> System.out.println(finding.sentence()));
 * }</pre>
 *
 * @since 0.2
 */
public final class Challenge {

    private static final String ALL = ".*";
    private static final long MORE_MILLIS = 2_000;
    private static final long BASELINE_MILLIS = 10 * 60_000;
    /** Tests that take longer than this are run unchanged only twice. */
    private static final long SOON_DONE_MILLIS = 10_000;

    private static final int NAMED_REASONS = 5;

    private final List<Path> classPath;
    private List<String> classes = List.of();
    private List<Path> roots;
    private String only = ALL;
    private String test = "";
    private @Nullable Pattern meant;
    private Set<ChangeKind> changes = ChangeKind.usual();
    private TestRun testRun = TestRun.PLAIN;
    private @Nullable ChangedCode changed;
    private @Nullable Duration limit;
    private int jvms = 1;
    private volatile boolean stopped;
    private long moreMillis = MORE_MILLIS;
    private String minor = "";
    private Shard shard = Shard.WHOLE;
    private @Nullable Path times;
    private @Nullable Path keptIn;
    private boolean reuses;
    private @Nullable CodeHashes code;
    private String cut = "";
    private KeptRuns earlier = KeptRuns.none();
    private Set<String> unchanged = Set.of();

    private final Map<String, Baseline> tests = new LinkedHashMap<>();
    /** Tests of subjects that call no double. */
    private final Map<String, Baseline> silent = new LinkedHashMap<>();

    private final Set<String> leftOut = new LinkedHashSet<>();
    private final Set<String> seenClasses = new HashSet<>();
    private final List<Lane> lanes = new CopyOnWriteArrayList<>();
    private final List<Tried> tried = Collections.synchronizedList(new ArrayList<>());
    /** Flaky tests, sorted by name so that they are listed together. */
    private final Set<String> flaky = new TreeSet<>();

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
     * Chooses the tests to challenge, by class.
     *
     * @param names qualified names with commas between; a star matches anything
     * @return this
     */
    public Challenge onlyClasses(String names) {
        only = names.strip().equals("*") ? ALL : TypeNames.wanted(names).pattern();
        return this;
    }

    /** Sets how many milliseconds a very short test may take in addition to its usual time. */
    Challenge allowing(long millis) {
        moreMillis = millis;
        return this;
    }

    /**
     * Sets the calls that need no check: these are not disturbed.
     *
     * @param names methods with their types, such as {@code NightLog.append}, with commas between; a star matches
     *     anything
     * @return this
     */
    public Challenge except(String names) {
        meant = names.isBlank() ? null : CallPlace.named(names);
        return this;
    }

    /**
     * Sets which calls are reported separately and do not count, in addition to those of logging, metrics and audit.
     *
     * @param names methods with their types, such as {@code NightLog.append}, with commas between; a star matches
     *     anything
     * @return this
     */
    public Challenge minor(String names) {
        minor = names;
        return this;
    }

    /**
     * Adds test classes that cannot be found by searching folders, for example those in a jar.
     *
     * @param names their qualified names
     * @return this
     */
    public Challenge classes(List<String> names) {
        classes = List.copyOf(names);
        return this;
    }

    /**
     * Sets where tests are searched for; by default in all folders of the class path.
     *
     * @param folders folders of test classes
     * @return this
     */
    public Challenge from(List<Path> folders) {
        roots = List.copyOf(folders);
        return this;
    }

    /**
     * Chooses the tests to challenge within these classes.
     *
     * @param text a part of their names or titles
     * @return this
     */
    public Challenge onlyTests(String text) {
        test = text.toLowerCase(Locale.ROOT);
        return this;
    }

    /**
     * Sets what is disturbed; by default the {@linkplain ChangeKind#usual() usual} changes.
     *
     * @param wanted the changes
     * @return this
     */
    public Challenge changes(Set<ChangeKind> wanted) {
        changes = EnumSet.copyOf(wanted);
        return this;
    }

    /**
     * Sets how the tests are run: with which JVM options, in which folder, with which tags.
     *
     * @param run as the build runs them
     * @return this
     */
    public Challenge runningAs(TestRun run) {
        testRun = run;
        return this;
    }

    /**
     * Sets in how many JVMs tests run side by side. The findings do not depend on the number.
     *
     * @param number at least 1, which is the default
     * @return this
     * @throws ChallengeException if it is less
     */
    public Challenge jvms(int number) {
        if (number < 1) {
            throw new ChallengeException("It takes at least one JVM, but " + number + " were asked for.");
        }
        jvms = number;
        return this;
    }

    /**
     * Disturbs only what a change can affect: calls in changed lines, and all calls in tests whose own class, or whose
     * subject's class, has changed.
     *
     * @param code what has changed
     * @return this
     */
    public Challenge onlyWhere(ChangedCode code) {
        changed = code;
        return this;
    }

    /**
     * Challenges one part of the tests; other machines challenge the other parts, and {@link MergedRuns} combines the
     * results. All machines must have the same class path and the same times.
     *
     * @param part which part
     * @param earlier a folder in which an earlier challenge has {@linkplain #keeping kept its runs}; tests are
     *     distributed by their times. Null to go by the size of the test classes
     * @return this
     */
    public Challenge shard(Shard part, @Nullable Path earlier) {
        shard = part;
        times = earlier;
        return this;
    }

    /**
     * Keeps the disturbed runs in a file, for {@link MergedRuns} and for later challenges. A challenge of some tests
     * only, by {@link #onlyClasses}, {@link #onlyTests} or {@link #onlyWhere}, keeps none.
     *
     * @param folder the folder, for example that of a journal
     * @param reuse whether kept runs are reused. A run is reused if neither the test's class, nor its subject's, nor
     *     any class that these refer to has changed
     * @return this
     */
    public Challenge keeping(Path folder, boolean reuse) {
        keptIn = folder;
        reuses = reuse;
        return this;
    }

    /**
     * Limits the total time; what was found until then is the result.
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
        lanes.forEach(Lane::stop);
    }

    /**
     * Runs the challenge.
     *
     * @param progress is told how many of the known disturbances were run
     * @return what was found
     * @throws ChallengeException if no test can be challenged
     */
    public ChallengeResult run(BiConsumer<Integer, Integer> progress) {
        long end = limit == null ? Long.MAX_VALUE : System.nanoTime() + limit.toNanos();
        try (Trials trials = new Trials(classPath)) {
            return run(trials, end, progress);
        } finally {
            lanes.forEach(Lane::close);
        }
    }

    private ChallengeResult run(Trials trials, long end, BiConsumer<Integer, Integer> progress) {
        boolean complete = false;
        try {
            baseline(trials);
            Rounds rounds = new Rounds(lanes, tests, plan(), earlier, end, progress);
            complete = rounds.run(() -> stopped);
            if (complete) {
                // A gap that is not found a second time is not reported.
                lanes.forEach(lane -> lane.confirm(true));
                rounds.confirm(judge().inGaps());
                complete = rounds.run(() -> stopped);
                lanes.forEach(lane -> lane.confirm(false));
            }
            if (complete && changes.contains(ChangeKind.EXTRA)) {
                rounds.extras(judge().extras());
                complete = rounds.run(() -> stopped);
            }
            Judge judge = judge();
            List<Finding> findings = judge.findings();
            if (complete) {
                findings = rounds.withTried(findings, trials, all());
                complete = !stopped;
            }
            keep(rounds, complete);
            return result(judge, complete ? findings : plain(findings), complete);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            Judge judge = judge();
            return result(judge, plain(judge.findings()), false);
        }
    }

    private Schedule.Plan plan() {
        return new Schedule.Plan(changes, this::isAffected, changed != null);
    }

    private static List<Finding> plain(List<Finding> findings) {
        return findings.stream().map(each -> each.with("", "")).toList();
    }

    private ChallengeResult result(Judge judge, List<Finding> findings, boolean complete) {
        int reused = lanes.stream().mapToInt(Lane::reused).sum();
        return judge.result(findings, allLeftOut(), reused, complete);
    }

    private List<String> allLeftOut() {
        Set<String> all = new LinkedHashSet<>(leftOut);
        lanes.forEach(lane -> all.addAll(lane.leftOut()));
        return List.copyOf(all);
    }

    /** Sorted by class, because the order of files in a folder differs between machines. */
    private Map<String, Baseline> all() {
        List<Baseline> all = new ArrayList<>(tests.values());
        all.addAll(silent.values());
        return byClass(all);
    }

    static Map<String, Baseline> byClass(List<Baseline> all) {
        Map<String, Baseline> sorted = new LinkedHashMap<>();
        all.stream().sorted(Comparator.comparing(Baseline::type)).forEach(each -> sorted.put(each.id(), each));
        return sorted;
    }

    private void keep(Rounds rounds, boolean complete) {
        Path folder = keptIn;
        boolean some = !only.equals(ALL) || !test.isEmpty() || changed != null;
        if (folder == null || some) {
            return;
        }
        KeptRuns runs = new KeptRuns(new Message.Kept(setUp(), shard.number(), shard.count(), cut, minor, complete));
        all().values().forEach(each -> runs.add(each, print(each)));
        tried.forEach(runs::add);
        rounds.said().forEach(runs::add);
        allLeftOut().forEach(runs::leftOut);
        KeptFile.write(folder, runs);
    }

    private CodeHashes code() {
        CodeHashes known = code;
        if (known == null) {
            known = new CodeHashes(classPath, roots);
            code = known;
        }
        return known;
    }

    /** What two runs must have in common for one to be reused as the other. */
    private String setUp() {
        return String.join(
                " ",
                code().others(),
                changes.toString(),
                testRun.jvmOptions().toString(),
                new TreeMap<>(testRun.environment()).toString(),
                testRun.parameters().toString(),
                Runtime.version().toString());
    }

    private String print(Baseline test) {
        Set<String> names = new LinkedHashSet<>(Set.of(test.type()));
        test.sites().forEach(site -> names.add(site.caller()));
        return code().of(names);
    }

    /** Takes over the kept runs of tests that have not changed. */
    private void remember() {
        Path folder = keptIn;
        KeptRuns kept = !reuses || folder == null ? null : KeptFile.read(KeptFile.in(folder, shard), leftOut::add);
        if (kept == null || !kept.head().setUp().equals(setUp())) {
            return;
        }
        unchanged = new HashSet<>();
        all().forEach((id, test) -> {
            Baseline before = kept.tests().get(id);
            if (before != null && kept.print(id).equals(print(test)) && before.asksAs(test)) {
                unchanged.add(id);
                test.callsSubject(before.callsSubject());
            }
        });
        earlier = kept.only(unchanged);
    }

    private Judge judge() {
        Map<String, Baseline> all = all();
        return judge(all, List.copyOf(tried), minor);
    }

    /** The same for any number of JVMs and shards: each keeps the order of a test. */
    static Judge judge(Map<String, Baseline> all, List<Tried> tried, String minor) {
        List<String> order = List.copyOf(all.keySet());
        Map<String, Integer> places = new HashMap<>();
        for (int i = 0; i < order.size(); i++) {
            places.put(order.get(i), i);
        }
        List<Tried> sorted = new ArrayList<>(tried);
        sorted.sort(Comparator.comparing(each -> places.get(each.disturbance().test())));
        return new Judge(all, sorted, minor.isBlank() ? null : CallPlace.named(minor));
    }

    private boolean isAffected(Disturbance disturbance, CallPlace site) {
        return isAffected(tests.get(disturbance.test()), site);
    }

    private boolean isAffected(Baseline test, CallPlace site) {
        ChangedCode code = changed;
        return code == null
                || code.has(site.caller(), site.line())
                || code.has(test.type(), 0)
                || !site.isOfResult() && code.has(site.caller(), 0);
    }

    private Lane lane(Trials trials) {
        Lane lane = new Lane(tests, () -> started(trials), () -> earlier, tried, moreMillis);
        lanes.add(lane);
        if (stopped) {
            lane.stop();
        }
        return lane;
    }

    private WorkerProcess started(Trials trials) {
        List<Path> path = new ArrayList<>(classPath);
        path.add(trials.folder());
        WorkerProcess running = new WorkerProcess(path, trials.agent(), testRun);
        running.send(new Message.Configure(testRun.parameters()));
        if (changes.contains(ChangeKind.RESULT) || changes.contains(ChangeKind.EXTRA)) {
            running.send(new Message.ShowResults());
        }
        return running;
    }

    private void baseline(Trials trials) throws InterruptedException {
        List<String> own = shard.isPart() ? ownClasses() : List.of();
        if (shard.isPart() && own.isEmpty()) {
            return;
        }
        boolean named = !classes.isEmpty();
        Message.Plan plan = new Message.Plan(
                named ? List.of() : roots.stream().map(String::valueOf).toList(),
                named && shard.isPart() ? own : classes,
                named ? List.of() : own,
                List.of(only),
                testRun.includedClasses(),
                testRun.excludedClasses(),
                testRun.includedTags(),
                testRun.excludedTags());
        // Each starts its JVM as soon as there is something to run in it.
        for (int i = 0; i < jvms; i++) {
            lane(trials);
        }
        Lane first = lanes.get(0);
        long began = System.nanoTime();
        boolean twice = jvms > 1 && changed == null && !reuses;
        int found = twice ? twice(plan) : undisturbed(first, plan, this::ran);
        long millis = (System.nanoTime() - began) / 1_000_000;
        if (classes.isEmpty()) {
            Predicate<String> wanted = name -> testRun.runs(name) && (!shard.isPart() || own.contains(name));
            leftOut.addAll(new OtherTests(roots, seenClasses, wanted).leftOut());
        }
        if (found == 0 && !shard.isPart()) {
            throw new ChallengeException(
                    "No test was found on the class path. Give the folder of the test classes in it, and see that the"
                            + " names of classes that you asked for fit."
                            + (leftOut.isEmpty() ? "" : " Left out: " + String.join("; ", leftOut)));
        }
        tests.values().removeIf(each -> each.name().isEmpty() || each.sites().isEmpty());
        boolean any = !tests.isEmpty();
        remember();
        if (changed != null) {
            tests.values().removeIf(each -> each.sites().stream().noneMatch(site -> isAffected(each, site)));
            silent.clear();
        }
        lanes.forEach(each -> each.expectAround(first.aroundMillis()));
        again(plan, millis, twice);
        if (tests.isEmpty() && (changed == null || !any) && !shard.isPart()) {
            throw new ChallengeException("None of the " + found + " tests can be challenged: "
                    + (leftOut.isEmpty()
                            ? "no subject of theirs asks a double anything. A class that is written inside a test class"
                                    + " counts as part of the test, and not as its subject."
                            : String.join(
                                    "; ", leftOut.stream().limit(NAMED_REASONS).toList())));
        }
    }

    private List<String> ownClasses() {
        Map<String, Long> sizes = new TreeMap<>(code().sizes());
        if (!classes.isEmpty()) {
            sizes.clear();
            classes.forEach(each -> sizes.put(each, 1L));
        }
        Map<String, Long> millis = new HashMap<>();
        Path folder = times;
        if (folder != null) {
            List<KeptRuns> kept = KeptFile.all(folder, reason -> {});
            if (kept.isEmpty()) {
                throw new ChallengeException("No runs of an earlier challenge are kept in " + folder
                        + ": give a folder in which there are, or none, to go by the size of the test classes.");
            }
            kept.forEach(each -> each.millis().forEach((type, time) -> millis.merge(type, time, Long::sum)));
        }
        Distribution shared = new Distribution(Distribution.weights(sizes, millis), shard.count());
        cut = shared.print();
        return shared.classes(shard.number());
    }

    /**
     * Runs all tests for the first time; meanwhile, the other lanes run those that call doubles for the second time.
     */
    private int twice(Message.Plan plan) throws InterruptedException {
        try (SecondRuns second = new SecondRuns(
                jvms - 1, (lane, some) -> undisturbed(lanes.get(lane), new Message.WarmUp(some), this::ranAgain))) {
            int found = undisturbed(lanes.get(0), plan, message -> {
                ran(message);
                if (message instanceof Message.Done done && isChallenged(done.test())) {
                    second.ended(done.test(), done.testClass());
                }
            });
            second.finish();
            return found;
        }
    }

    /** Tests that were not selected have calls, but no name. */
    private synchronized boolean isChallenged(String test) {
        Baseline known = tests.get(test);
        return known != null && !known.name().isEmpty();
    }

    /**
     * Runs tests unchanged once more, or twice if that does not take long: a flaky test says nothing when it fails.
     *
     * @param ranTwice whether those that call doubles have already been run once more
     */
    private void again(Message.Plan plan, long millis, boolean ranTwice) throws InterruptedException {
        boolean all = changed == null && unchanged.isEmpty();
        Distribution shared = Distribution.ofTests(doubtful(tests), jvms);
        int times = tests.isEmpty() ? 0 : millis < SOON_DONE_MILLIS && changed == null ? 2 : 1;
        for (int i = 0; i < times; i++) {
            boolean ran = i == 0 && ranTwice;
            Rounds.sideBySide(jvms, lane -> {
                List<String> share = ran ? new ArrayList<>() : shared.classes(lane + 1);
                if (lane == 0) {
                    // In the JVM that knows which classes call doubles.
                    doubtful(silent).forEach(each -> share.add(each.id()));
                }
                if (!share.isEmpty()) {
                    Message some = all && jvms == 1 ? plan : new Message.WarmUp(share);
                    undisturbed(lanes.get(lane), some, this::ranAgain);
                }
                return true;
            });
        }
        leftOut.addAll(flaky);
    }

    private List<Baseline> doubtful(Map<String, Baseline> all) {
        return all.values().stream()
                .filter(each -> !unchanged.contains(each.id()))
                .toList();
    }

    /** Runs tests unchanged; returns how many there were. */
    private int undisturbed(Lane lane, Message plan, Consumer<Message> each) throws InterruptedException {
        WorkerProcess running = lane.worker();
        running.send(plan);
        int found = 0;
        long around = 0;
        long before = System.nanoTime();
        while (true) {
            Message message = running.next(BASELINE_MILLIS);
            long now = System.nanoTime();
            if (message instanceof Message.Began || message instanceof Message.End) {
                // Calls in set-up and clean-up code, for example of a whole class.
                around = Math.max(around, (now - before) / 1_000_000);
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
                lane.warmed(around);
                return found;
            }
            found += message instanceof Message.Done ? 1 : 0;
            each.accept(message);
        }
    }

    private synchronized void ranAgain(Message message) {
        if (message instanceof Message.Done done) {
            if (tests.containsKey(done.test()) && done.verdict() != Verdict.PASSED) {
                flaky.add(done.name() + " passes only now and then (" + done.failure() + ")");
                tests.remove(done.test());
            }
            Baseline known = silent.get(done.test());
            if (known != null) {
                // Only now is it known for all classes whether they call a double in some test.
                known.callsSubject(done.callsSubject());
            }
        }
    }

    private synchronized void ran(Message message) {
        if (message instanceof Message.Note note) {
            leftOut.add(note.text());
        } else if (message instanceof Message.Called called) {
            CallPlace site = new CallPlace(called.asked());
            if (meant == null || !meant.matcher(site.qualifiedMethod()).matches()) {
                tests.computeIfAbsent(called.test(), Baseline::new).calls(site);
            }
        } else if (message instanceof Message.Done done) {
            ran(done);
        }
    }

    private void ran(Message.Done done) {
        seenClasses.add(done.testClass());
        boolean meantTest =
                (done.name() + " " + done.test()).toLowerCase(Locale.ROOT).contains(test);
        if (done.verdict() != Verdict.PASSED) {
            leftOut.add(done.name() + " does not pass as it is (" + done.failure() + ")");
            tests.remove(done.test());
        } else if (meantTest) {
            Baseline of = tests.containsKey(done.test())
                    ? tests.get(done.test())
                    : silent.computeIfAbsent(done.test(), Baseline::new);
            of.ran(done);
        }
    }
}
