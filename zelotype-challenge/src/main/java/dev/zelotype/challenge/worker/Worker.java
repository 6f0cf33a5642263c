package dev.zelotype.challenge.worker;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.basics.Mask;
import dev.zelotype.challenge.change.Disturbance;
import dev.zelotype.challenge.change.Message;
import dev.zelotype.challenge.change.Verdict;
import dev.zelotype.challenge.change.Wire;
import dev.zelotype.error.MisuseException;
import dev.zelotype.host.CallDisturber;
import dev.zelotype.host.DisturbedCall;
import dev.zelotype.host.DisturbedScene;
import dev.zelotype.host.ResultDisturber;
import dev.zelotype.host.TestVariables;
import java.io.BufferedOutputStream;
import java.io.BufferedReader;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.PrintStream;
import java.lang.StackWalker.StackFrame;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.junit.platform.engine.DiscoverySelector;
import org.junit.platform.engine.FilterResult;
import org.junit.platform.engine.TestExecutionResult;
import org.junit.platform.engine.TestSource;
import org.junit.platform.engine.UniqueId;
import org.junit.platform.engine.discovery.ClassNameFilter;
import org.junit.platform.engine.discovery.DiscoverySelectors;
import org.junit.platform.engine.support.descriptor.ClassSource;
import org.junit.platform.engine.support.descriptor.MethodSource;
import org.junit.platform.launcher.Launcher;
import org.junit.platform.launcher.LauncherDiscoveryRequest;
import org.junit.platform.launcher.TagFilter;
import org.junit.platform.launcher.TestExecutionListener;
import org.junit.platform.launcher.TestIdentifier;
import org.junit.platform.launcher.core.LauncherDiscoveryRequestBuilder;
import org.junit.platform.launcher.core.LauncherFactory;

/**
 * For Zelotype's own tools: runs tests on command, on the class path of the tests, in a JVM that the tests may crash.
 *
 * @since 0.2
 */
public final class Worker {

    private static final long FLUSHED_AFTER_MILLIS = 20;

    private final PrintStream wire;
    private final Launcher launcher = LauncherFactory.create();
    private List<String> parameters = List.of();
    private volatile @Nullable Recorder recorder;
    /** The tests whose calls and variables have been reported: they are the same in every undisturbed run. */
    private final Set<String> told = new HashSet<>();

    private Worker(PrintStream wire) {
        this.wire = wire;
    }

    /**
     * Processes commands from standard input until it ends.
     *
     * @param arguments none
     * @throws IOException if the supervisor is gone
     */
    public static void main(String[] arguments) throws IOException {
        PrintStream nowhere = new PrintStream(OutputStream.nullOutputStream(), false, StandardCharsets.UTF_8);
        System.setOut(nowhere);
        System.setErr(nowhere);
        Thread.setDefaultUncaughtExceptionHandler((thread, thrown) -> {});
        keepNoJournal();
        BufferedOutputStream wire = new BufferedOutputStream(new FileOutputStream(FileDescriptor.out));
        new Worker(new PrintStream(wire, false, StandardCharsets.UTF_8)).work();
        // Threads that tests have left behind do not keep the worker.
        Runtime.getRuntime().halt(0);
    }

    private void work() throws IOException {
        Thread flushing = new Thread(this::flush);
        flushing.setDaemon(true);
        flushing.start();
        BufferedReader commands = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
        System.setIn(java.io.InputStream.nullInputStream());
        CallDisturber.everywhere(new Between());
        List<Disturbance> round = new ArrayList<>();
        for (String line = commands.readLine(); line != null; line = commands.readLine()) {
            Message command = Wire.message(line);
            if (command instanceof Message.Configure configure) {
                parameters = configure.parameters();
            } else if (command instanceof Message.ShowResults) {
                showResults();
            } else if (command instanceof Message.Plan plan) {
                baseline(plan);
            } else if (command instanceof Message.WarmUp warmUp) {
                Set<DiscoverySelector> selectors = new LinkedHashSet<>();
                warmUp.tests().forEach(id -> selectors.add(DiscoverySelectors.selectUniqueId(id)));
                run(request(List.copyOf(selectors)).build(), Map.of());
            } else if (command instanceof Message.Disturb one) {
                round.add(one.disturbance());
            } else if (command instanceof Message.Try trial) {
                Disturbance wanted = trial.disturbance();
                Map<String, Disturbance> disturbed = trial.disturbed() ? Map.of(wanted.test(), wanted) : Map.of();
                if (trial.disturbed()) {
                    remember(List.of(wanted));
                }
                DiscoverySelector test = DiscoverySelectors.selectUniqueId(wanted.test());
                Listener listener = new Listener(disturbed, new Trial(trial.trial(), trial.doubles()));
                launcher.execute(request(List.of(test)).build(), listener);
                tell(new Message.End());
            } else if (command instanceof Message.Go) {
                run(round);
                round.clear();
            } else {
                throw new IllegalStateException("no command: " + line);
            }
        }
    }

    /** Listens between the subjects and their doubles, and between failing checks and their tests. */
    private final class Between implements CallDisturber {

        @Override
        public @Nullable Object disturb(DisturbedCall call) throws Throwable {
            Recorder now = recorder;
            return now == null ? call.proceed() : now.take(call);
        }

        @Override
        public void looks(DisturbedScene scene, boolean last) throws Throwable {
            Recorder now = recorder;
            if (now != null) {
                now.looks(scene, last);
            }
        }

        @Override
        public boolean keeps(String check, String receiver, String signature, @Nullable StackFrame at) {
            Recorder now = recorder;
            return now != null && now.keeps(check, receiver, signature, at);
        }
    }

    /** Listens between the tests and what they call, if this JVM allows an agent. */
    private void showResults() {
        try {
            ResultDisturber.everywhere((result, owner, method, descriptor) -> {
                Recorder now = recorder;
                return now == null ? result : now.result(result, owner, method, descriptor);
            });
        } catch (MisuseException e) {
            tell(new Message.Note("results of subjects are as they are: " + e.getMessage()));
        }
    }

    private void tell(Message message) {
        tellLater(message);
        wire.flush();
    }

    /**
     * Reports messages that may wait for the next one, which usually follows within a millisecond: each write wakes
     * another process.
     */
    private void tellLater(Message message) {
        wire.println(Wire.line(message));
    }

    /** The last message is sent soon as well. */
    private void flush() {
        try {
            while (true) {
                Thread.sleep(FLUSHED_AFTER_MILLIS);
                wire.flush();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void baseline(Message.Plan plan) {
        List<DiscoverySelector> selectors = new ArrayList<>();
        plan.roots().forEach(root -> selectors.addAll(DiscoverySelectors.selectClasspathRoots(Set.of(Path.of(root)))));
        plan.classes().forEach(name -> selectors.add(DiscoverySelectors.selectClass(name)));
        LauncherDiscoveryRequestBuilder request = request(selectors);
        if (!plan.patterns().isEmpty()) {
            request.filters(
                    ClassNameFilter.includeClassNamePatterns(plan.patterns().toArray(new String[0])));
        }
        if (!plan.ofShard().isEmpty()) {
            // Not each by its name: a class with a test's name but no tests may make the whole discovery fail.
            request.filters(new ShardFilter(Set.copyOf(plan.ofShard())));
        }
        if (!plan.includedClasses().isEmpty()) {
            request.filters(ClassNameFilter.includeClassNamePatterns(
                    plan.includedClasses().toArray(new String[0])));
        }
        if (!plan.excludedClasses().isEmpty()) {
            request.filters(ClassNameFilter.excludeClassNamePatterns(
                    plan.excludedClasses().toArray(new String[0])));
        }
        if (!plan.includedTags().isEmpty()) {
            request.filters(TagFilter.includeTags(plan.includedTags()));
        }
        if (!plan.excludedTags().isEmpty()) {
            request.filters(TagFilter.excludeTags(plan.excludedTags()));
        }
        run(request.build(), Map.of());
    }

    /** Lets the classes of a shard pass, with their nested classes. */
    private record ShardFilter(Set<String> names) implements ClassNameFilter {

        @Override
        public FilterResult apply(String name) {
            return FilterResult.includedIf(names.contains(CodeOwner.outermost(name)));
        }
    }

    private void run(List<Disturbance> round) {
        remember(round);
        Map<String, Disturbance> byTest = new HashMap<>();
        Set<DiscoverySelector> selectors = new LinkedHashSet<>();
        for (Disturbance each : round) {
            byTest.put(each.test(), each);
            selectors.add(DiscoverySelectors.selectUniqueId(each.test()));
        }
        run(request(new ArrayList<>(selectors)).build(), byTest);
    }

    /**
     * Runs undisturbed the tests that make the calls which are now to be added to others, unless the arguments are
     * known.
     */
    private void remember(List<Disturbance> round) {
        List<DiscoverySelector> unknown = new ArrayList<>();
        for (Disturbance each : round) {
            if (!each.from().isEmpty() && !CallMemory.has(each.site())) {
                unknown.add(DiscoverySelectors.selectUniqueId(each.from()));
            }
        }
        if (!unknown.isEmpty()) {
            launcher.execute(request(unknown).build(), new Listener(Map.of(), null));
        }
    }

    /** The effects of disturbed tests are never written to a journal. */
    private static void keepNoJournal() {
        System.setProperty("zelotype.journal", "");
    }

    /** One test at a time, and no journal. */
    private LauncherDiscoveryRequestBuilder request(List<DiscoverySelector> selectors) {
        LauncherDiscoveryRequestBuilder request =
                LauncherDiscoveryRequestBuilder.request().selectors(selectors);
        for (String each : parameters) {
            int equals = each.indexOf('=');
            request.configurationParameter(each.substring(0, equals), each.substring(equals + 1));
        }
        return request.configurationParameter("junit.jupiter.execution.parallel.enabled", "false")
                // Only the first line of a failure is reported.
                .configurationParameter("junit.platform.stacktrace.pruning.enabled", "false")
                .configurationParameter("zelotype.journal", "");
    }

    private void run(LauncherDiscoveryRequest request, Map<String, Disturbance> disturbances) {
        launcher.execute(request, new Listener(disturbances, null));
        tell(new Message.End());
    }

    private static String firstLine(Throwable thrown) {
        try {
            return Mask.apply(String.valueOf(thrown.getMessage())
                    .lines()
                    .findFirst()
                    .orElse(thrown.getClass().getName()));
        } catch (Throwable e) {
            return thrown.getClass().getName();
        }
    }

    private final class Listener implements TestExecutionListener {

        private final Map<String, Disturbance> disturbances;
        private final @Nullable Trial trial;
        private long began;

        Listener(Map<String, Disturbance> disturbances, @Nullable Trial trial) {
            this.disturbances = disturbances;
            this.trial = trial;
        }

        @Override
        public void executionStarted(TestIdentifier test) {
            String id = test.getUniqueId();
            TestClasses.add(className(test));
            if (test.isTest()) {
                recorder = new Recorder(disturbances.get(id), trial);
                began = System.nanoTime();
                tell(new Message.Began(id));
            }
        }

        private static String named(TestIdentifier container) {
            String type = className(container);
            return container.getSource().isPresent()
                    ? type.substring(type.lastIndexOf('.') + 1)
                    : container.getDisplayName();
        }

        /** The class that declares a test; its id if there is none. */
        private static String className(TestIdentifier test) {
            TestSource source = test.getSource().orElse(null);
            return source instanceof MethodSource method
                    ? method.getClassName()
                    : source instanceof ClassSource type ? type.getClassName() : ofId(test.getUniqueId());
        }

        /** Dynamic tests have no source, but their ids contain the class that makes them. */
        private static String ofId(String id) {
            List<UniqueId.Segment> segments = UniqueId.parse(id).getSegments();
            String name = id;
            for (UniqueId.Segment each : segments) {
                if (each.getType().equals("class")) {
                    name = each.getValue();
                } else if (each.getType().equals("nested-class")) {
                    name += "$" + each.getValue();
                }
            }
            return name;
        }

        /** The variables that a statement in a test may name. */
        private static List<Message.Variable> variables(TestIdentifier test) {
            List<Message.Variable> all = new ArrayList<>();
            try {
                Class<?> type = Class.forName(
                        className(test), false, Thread.currentThread().getContextClassLoader());
                String method =
                        test.getSource().orElse(null) instanceof MethodSource source ? source.getMethodName() : "";
                TestVariables.of(type, method).forEach((name, of) -> all.add(new Message.Variable(name, of)));
            } catch (ClassNotFoundException | LinkageError e) {
                // A test without a class has none.
                return List.of();
            }
            return all;
        }

        @Override
        public void executionFinished(TestIdentifier test, TestExecutionResult result) {
            if (!test.isTest()) {
                // Its tests do not even run: a whole class whose set-up fails, or a whole engine.
                result.getThrowable()
                        .filter(failure -> disturbances.isEmpty() && trial == null)
                        .ifPresent(failure -> tell(new Message.Note(
                                named(test) + " does not pass as it is (" + firstLine(failure) + ")")));
                return;
            }
            Recorder done = recorder;
            recorder = null;
            if (done == null) {
                return;
            }
            String id = test.getUniqueId();
            boolean first = disturbances.isEmpty() && told.add(id);
            if (first) {
                Pattern meant = TestClasses.unchallenged(className(test));
                done.calls().stream()
                        .filter(call -> !meant.matcher(call.qualifiedMethod()).matches())
                        .forEach(call -> tellLater(new Message.Called(id, call)));
            }
            List<Message.CheckFailed> failedChecks = done.failedChecks(id);
            failedChecks.forEach(Worker.this::tellLater);
            Verdict verdict = Verdict.of(result);
            tellLater(new Message.Done(
                    id,
                    failedChecks.isEmpty() ? verdict : Verdict.NOTICED,
                    done.applied(),
                    (System.nanoTime() - began) / 1_000_000,
                    className(test),
                    test.getDisplayName(),
                    result.getThrowable().map(Worker::firstLine).orElse(""),
                    verdict != Verdict.PASSED,
                    TestClasses.family(className(test)),
                    done.callsSubject(),
                    first ? variables(test) : List.of(),
                    done.tried()));
        }
    }
}
