package dev.zelotype.benchmarks;

import dev.zelotype.tools.WholeFiles;
import java.io.File;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.Options;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/**
 * Runs all benchmarks and writes the page of their ratios.
 */
public final class PerformancePage {

    /** Passes only options that match the JVM's defaults. */
    private static final String PLAIN = "-Xshare:auto";

    private static final String OWN_JDK = System.getProperty("java.home");
    private static final int PROCESSES = 11;
    /** For what takes long, such as whole suites. */
    private static final String PLENTY = "-Xmx2g";

    private static final int FEWER = 3;

    private static final String ON_DISK = System.getProperty("java.io.tmpdir");
    /** A disk can take several times as long to create a file as the generator to write its text. */
    private static final String IN_MEMORY = Files.isDirectory(Path.of("/dev/shm")) ? "/dev/shm" : ON_DISK;

    private static final int REPORT_MEMORY = 64;
    private static final int STORY_MEMORY = 256;
    private static final String OF_REPORTS = ".*(zelotype-report|plantuml|jmustache|chart\\.js)[^/]*\\.jar";

    private final List<String> rows = new ArrayList<>();
    private final List<String> suites = new ArrayList<>();
    private final List<String> stories = new ArrayList<>();
    private String report = "";
    private String challenge = "";
    private final long began = System.nanoTime();

    private PerformancePage() {}

    /** The page to write, and optionally the home of another JDK to measure suites with. */
    public static void main(String[] arguments) throws IOException, InterruptedException, RunnerException {
        PerformancePage page = new PerformancePage();
        page.measureCalls();
        page.measureInstances();
        page.measureWoven();
        page.measureOrder();
        page.measureSuites(arguments.length > 1 ? arguments[1] : "");
        page.measureFirstDoubles();
        page.measureReplacements();
        page.measureOneTest();
        page.measureLinked();
        page.measureGeneration();
        page.measureReport();
        page.measureLongStories();
        page.measureChallenge();
        Files.writeString(Path.of(arguments[0]), page.text());
    }

    private void measureCalls() throws RunnerException {
        Collection<RunResult> results = jmh(CallBenchmark.class);
        Figure zelotype = figure(results, "zelotype");
        row(
                "an answered and recorded call",
                zelotype,
                "hand-written recording double, safe for threads",
                figure(results, "threadSafe"),
                1.5,
                "ns");
        row(
                "an answered and recorded call",
                zelotype,
                "Proxy that does the same",
                figure(results, "threadSafeProxy"),
                1.2,
                "ns");
        row(
                "an answered and recorded call",
                zelotype,
                "hand-written recording double, for one thread only",
                figure(results, "written"),
                0,
                "ns");
        row(
                "an answered and recorded call",
                zelotype,
                "Proxy that does the same, for one thread only",
                figure(results, "proxy"),
                0,
                "ns");
        row(
                "an answered call that goes into a journal (goal: 200 ns)",
                figure(jmh(DetailedCallBenchmark.class), "detailed"),
                "the same without a journal",
                zelotype,
                0,
                "ns");
        Collection<RunResult> shared = jmh(SharedCallBenchmark.class);
        row(
                "a call of a double that 16 threads share",
                figure(shared, "zelotype"),
                "hand-written with a concurrent queue",
                figure(shared, "written"),
                1.2,
                "ns");
        Collection<RunResult> many = jmh(ManyStatementsBenchmark.class);
        row(
                "a call of a double with 10,000 statements",
                figure(many, "many"),
                "with 10 statements",
                figure(many, "few"),
                1.5,
                "ns");
        row(
                "a call that is answered from a table of 10,000 rows",
                figure(many, "manyInTable"),
                "from a table of 10",
                figure(many, "fewInTable"),
                1.5,
                "ns");
        Collection<RunResult> checks = jmh(VerifyBenchmark.class);
        row(
                "a check over a million calls, for each of them",
                figure(checks, "many"),
                "over a thousand",
                figure(checks, "few"),
                1.5,
                "ns");
    }

    private void measureInstances() throws RunnerException {
        Collection<RunResult> results = jmh(InstanceBenchmark.class);
        row(
                "a new double of a known type, in a scene of 20",
                figure(results, "zelotype"),
                "Proxy instance",
                figure(results, "proxy"),
                3.0,
                "ns");
        row(
                "a new double of a known type, in a scene of 1,000",
                figure(results, "inLargeScene"),
                "Proxy instance",
                figure(results, "proxy"),
                3.0,
                "ns");
    }

    private void measureWoven() throws RunnerException {
        Collection<RunResult> results = jmh(WovenBenchmark.class);
        row(
                "a woven static method that is not replaced",
                figure(results, "woven"),
                "the same, not woven",
                figure(results, "plain"),
                0,
                "ns");
    }

    private void measureOrder() throws RunnerException {
        Collection<RunResult> results = jmh(OrderBenchmark.class);
        row(
                "20 checks in an order over 1,000 calls",
                figure(results, "ordered"),
                "the same without an order",
                figure(results, "unordered"),
                0,
                "us");
    }

    private void measureSuites(String otherJdk) throws IOException, InterruptedException {
        Path folder = WholeFiles.temporaryFolder("zelotype-suites");
        try {
            for (int classes : new int[] {200, 1_000}) {
                java("-Xmx2g", "WholeSuite", folder.toString(), String.valueOf(classes));
                String suite = suite(classes);
                Path lambdas = folder.resolve("lambdas" + classes);
                Figure[] figures = suiteRows(OWN_JDK, suite, folder, classes);
                Figure linking = inTurn(FEWER, () -> wall(PLAIN, "WholeSuite", lambdas.toString()))[0];
                row(
                        suite + ": hand-written, linking the lambdas",
                        linking,
                        "hand-written doubles",
                        figures[1],
                        0,
                        "ms");
                suites.add(String.format(
                        Locale.ROOT,
                        "Of the extra time of %,d classes, %.0f %% is for linking the lambdas.",
                        classes,
                        100 * (linking.median() - figures[1].median()) / (figures[0].median() - figures[1].median())));
            }
            measureOptions(folder.resolve("zelotype200"), folder.resolve("journal"));
            if (!otherJdk.isEmpty()) {
                for (int classes : new int[] {200, 1_000}) {
                    suiteRows(otherJdk, suite(classes) + ", on JDK " + version(otherJdk), folder, classes);
                }
            }
        } finally {
            WholeFiles.delete(folder);
        }
    }

    private static String suite(int classes) {
        return String.format(Locale.ROOT, "a suite of %,d classes of five tests, cold JVM", classes);
    }

    /**
     * A suite by hand, with Zelotype, with its agent, and with its patterns in place. Each is measured in wall time and
     * CPU time.
     */
    private Figure[] suiteRows(String jdk, String suite, Path folder, int classes)
            throws IOException, InterruptedException {
        String agent = "-javaagent:" + ownJar();
        List<List<Double>> cpu = List.of(new ArrayList<>(), new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        Figure[] figures = inTurn(
                FEWER,
                () -> suite(jdk, PLAIN, folder.resolve("zelotype" + classes), cpu.get(0)),
                () -> suite(jdk, PLAIN, folder.resolve("written" + classes), cpu.get(1)),
                () -> suite(jdk, agent, folder.resolve("zelotype" + classes), cpu.get(2)),
                () -> suite(jdk, PLAIN, folder.resolve("inplace" + classes), cpu.get(3)));
        boolean few = classes == 200;
        String byHand = "hand-written doubles";
        row(suite, figures[0], byHand, figures[1], 0, "ms");
        row(suite + ": CPU time", cpu(cpu.get(0)), byHand, cpu(cpu.get(1)), 0, "ms");
        row(suite + ", with the agent", figures[2], byHand, figures[1], few ? 1.6 : 1.8, "ms");
        row(suite + ", with the agent: CPU time", cpu(cpu.get(2)), byHand, cpu(cpu.get(1)), few ? 1.6 : 1.8, "ms");
        row(suite + ", patterns in place", figures[3], byHand, figures[1], few ? 1.5 : 1.6, "ms");
        row(suite + ", patterns in place: CPU time", cpu(cpu.get(3)), byHand, cpu(cpu.get(1)), few ? 1.5 : 1.6, "ms");
        suites.add(String.format(
                Locale.ROOT,
                "%s: %.2f ms a test more than with hand-written doubles, with the agent %.2f ms (goal: at most 0.60),"
                        + " with patterns in place %.2f ms.",
                suite.substring(0, 1).toUpperCase(Locale.ROOT) + suite.substring(1),
                (figures[0].median() - figures[1].median()) / (classes * 5.0),
                (figures[2].median() - figures[1].median()) / (classes * 5.0),
                (figures[3].median() - figures[1].median()) / (classes * 5.0)));
        return figures;
    }

    private static double suite(String jdk, String option, Path folder, List<Double> cpu)
            throws IOException, InterruptedException {
        long start = System.nanoTime();
        String[] said =
                javaOf(jdk, option, "WholeSuite", folder.toString()).trim().split(" ");
        cpu.add(Double.parseDouble(said[1]));
        return (System.nanoTime() - start) / 1e6;
    }

    private static Figure cpu(List<Double> millis) {
        return Figure.of(millis.stream().mapToDouble(Double::doubleValue).toArray());
    }

    private void measureOptions(Path zelotype, Path journal) throws IOException, InterruptedException {
        Figure[] figures = inTurn(
                FEWER,
                () -> wall("-Dzelotype.journal=" + journal, "WholeSuite", zelotype.toString()),
                () -> wall(PLAIN, "WholeSuite", zelotype.toString()),
                () -> wall("-XX:TieredStopAtLevel=1", "WholeSuite", zelotype.toString()));
        row(suite(200) + ", with a journal", figures[0], "without", figures[1], 1.1, "ms");
        row(suite(200) + ", with -XX:TieredStopAtLevel=1", figures[2], "without", figures[1], 0, "ms");
    }

    private static String version(String jdk) throws IOException {
        return Files.readAllLines(Path.of(jdk, "release")).stream()
                .filter(line -> line.startsWith("JAVA_VERSION="))
                .map(line -> line.replaceAll("[^0-9.]", ""))
                .findFirst()
                .orElse(jdk);
    }

    private void measureFirstDoubles() throws IOException, InterruptedException {
        Figure[] first = new Figure[4];
        double[][] values = new double[4][PROCESSES];
        for (int i = 0; i < PROCESSES; i++) {
            keep(values, 0, i, java(PLAIN, "FirstDouble", "zelotype"));
            keep(values, 2, i, java(PLAIN, "FirstDouble", "proxy"));
        }
        for (int i = 0; i < first.length; i++) {
            first[i] = Figure.of(values[i]);
        }
        row(
                "the first double of a JVM (goal: 40 ms)",
                first[0].over(1e6),
                "first Proxy of a JVM",
                first[2].over(1e6),
                0,
                "ms");
        row(
                "the first double of a new interface, later",
                first[1].over(1e3),
                "first Proxy of a new interface, later",
                first[3].over(1e3),
                1.0,
                "us");
    }

    private static void keep(double[][] into, int from, int run, String output) {
        String[] numbers = output.trim().split(" ");
        into[from][run] = Double.parseDouble(numbers[0]);
        into[from + 1][run] = Double.parseDouble(numbers[1]);
    }

    private void measureReplacements() throws IOException, InterruptedException {
        double[][] values = new double[4][PROCESSES];
        String agent = "-javaagent:" + ownJar();
        for (int i = 0; i < PROCESSES; i++) {
            keep(values, 0, i, java("-XX:+EnableDynamicAgentLoading", "FirstReplacement"));
            keep(values, 2, i, java(agent, "FirstReplacement"));
        }
        row(
                "the first replacement of a JVM, the agent attached meanwhile",
                Figure.of(values[0]).over(1e6),
                "the agent given at the start",
                Figure.of(values[2]).over(1e6),
                0,
                "ms");
        row(
                "a replacement of a further class, agent attached",
                Figure.of(values[1]).over(1e6),
                "agent given at the start",
                Figure.of(values[3]).over(1e6),
                0,
                "ms");
    }

    private static String ownJar() throws IOException {
        for (String entry : testClassPath().split(File.pathSeparator)) {
            if (entry.matches(".*[/\\\\]zelotype-[0-9][^/\\\\]*\\.jar")) {
                return entry;
            }
        }
        throw new IllegalStateException("Zelotype's jar is not on the class path.");
    }

    private void measureOneTest() throws IOException, InterruptedException {
        Figure[] figures =
                inTurn(PROCESSES, () -> wall(PLAIN, "OneTest", "zelotype"), () -> wall(PLAIN, "OneTest", "written"));
        row("a JVM that runs one JUnit test", figures[0], "same with a hand-written double", figures[1], 1.10, "ms");
    }

    private void measureLinked() throws IOException, InterruptedException {
        Figure[] figures = inTurn(
                PROCESSES,
                () -> Double.parseDouble(java(PLAIN, "LinkedSuite", "linked").trim()),
                () -> Double.parseDouble(java(PLAIN, "LinkedSuite", "made").trim()));
        row(
                "the doubles of 200 interfaces, written as linked classes before",
                figures[0],
                "the same, made while the tests run",
                figures[1],
                0,
                "ms");
    }

    private void measureGeneration() throws IOException, InterruptedException {
        Figure[] thousand = inTurn(
                PROCESSES,
                () -> generation(PLENTY, "stub,spy", 1_000, IN_MEMORY),
                () -> generation(PLENTY, "javac", 1_000, IN_MEMORY),
                () -> generation(PLENTY, "stub,spy", 1_000, ON_DISK),
                () -> generation(PLENTY, "javac", 1_000, ON_DISK));
        Figure[] many = inTurn(
                1,
                () -> generation(PLENTY, "stub,spy", 4_000, IN_MEMORY),
                () -> generation(PLENTY, "javac", 4_000, IN_MEMORY),
                () -> generation("-XX:TieredStopAtLevel=1", "stub,spy", 4_000, IN_MEMORY));
        String what = "stubs and spies as source for %s interfaces, read and written";
        String compiler = "the compiler parsing and attributing them";
        row(what.formatted("1,000") + " in memory", thousand[0], compiler, thousand[1], 1.85, "ms");
        row(what.formatted("1,000") + " on this disk", thousand[2], compiler, thousand[3], 0, "ms");
        row(what.formatted("4,000"), many[0], "four times what 1,000 take", thousand[0].over(0.25), 1.0, "ms");
        row(what.formatted("4,000"), many[0], compiler, many[1], 0, "ms");
        row(
                what.formatted("4,000") + " with -XX:TieredStopAtLevel=1, as by the command",
                many[2],
                "without",
                many[0],
                0,
                "ms");
        row(
                "the least heap in which 1,000 interfaces get stubs and spies",
                Figure.of(leastHeap("stub,spy")),
                "the compiler only reading them",
                Figure.of(leastHeap("javac")),
                2.0,
                "MB");
    }

    private static double generation(String option, String what, int count, String folder)
            throws IOException, InterruptedException {
        return Double.parseDouble(java(option, "ThousandInterfaces", what, String.valueOf(count), folder)
                .trim()
                .split(" ")[0]);
    }

    /** In steps of 8 MB. */
    private static double leastHeap(String what) throws IOException, InterruptedException {
        for (int megabytes = 24; ; megabytes += 8) {
            try {
                generation("-Xmx" + megabytes + "m", what, 1_000, IN_MEMORY);
                return megabytes;
            } catch (IllegalStateException tooSmall) {
                if (megabytes > 512) {
                    throw tooSmall;
                }
            }
        }
    }

    private void measureReport() throws IOException, InterruptedException {
        String[] figures =
                java("-Xmx" + REPORT_MEMORY + "m", "MillionCalls", "").trim().split(" ");
        report = String.format(
                Locale.ROOT,
                "A journal of 10,000 tests and a million calls (%s MB) is written in %.0f s, and read and reported in %.0f s"
                        + " by a JVM with %d MB of heap.",
                figures[2],
                Double.parseDouble(figures[0]) / 1000,
                Double.parseDouble(figures[1]) / 1000,
                REPORT_MEMORY);
    }

    private void measureLongStories() throws IOException, InterruptedException {
        Path folder = WholeFiles.temporaryFolder("zelotype-long");
        try {
            java("-Xmx2g", "LongStories", "write", folder.toString());
            for (String name : List.of("calls", "doubles", "methods", "arguments")) {
                double[] seconds = new double[3];
                String megabytes = "";
                for (int i = 0; i < 3; i++) {
                    String form = List.of("text", "page", "report").get(i);
                    String[] figures = java("-Xmx" + STORY_MEMORY + "m", "LongStories", form, folder.toString(), name)
                            .trim()
                            .split(" ");
                    seconds[i] = Double.parseDouble(figures[0]) / 1000;
                    megabytes = form.equals("page") ? figures[1] : megabytes;
                }
                stories.add(String.format(
                        Locale.ROOT,
                        "| %s | %.1f s | %.1f s, %s MB | %.1f s |",
                        switch (name) {
                            case "calls" -> "200,000 calls";
                            case "doubles" -> "5,000 calls of 500 doubles";
                            case "methods" -> "5,000 calls of a double with 5,000 methods";
                            default -> "20 calls with arguments of a million characters";
                        },
                        seconds[0],
                        seconds[1],
                        megabytes.equals("0") ? "under 1" : megabytes,
                        seconds[2]));
            }
        } finally {
            WholeFiles.delete(folder);
        }
    }

    private void measureChallenge() throws IOException, InterruptedException {
        // As bin/zelotype starts it.
        String[] figures =
                java("-XX:TieredStopAtLevel=1", "ThousandTests").trim().split(" ");
        double seconds = Double.parseDouble(figures[0]) / 1000;
        challenge = String.format(
                Locale.ROOT,
                "A challenge of %s small tests makes %s disturbed runs in %.0f s on %d processors, %.0f runs a second"
                        + " (goal: 10,000 in 15 s, 667 a second).",
                figures[2],
                figures[1],
                seconds,
                Runtime.getRuntime().availableProcessors(),
                Double.parseDouble(figures[1]) / seconds);
    }

    /** A figure and the spread of its runs. */
    private record Figure(double median, double least, double most) {

        static Figure of(double... runs) {
            double[] sorted = runs.clone();
            Arrays.sort(sorted);
            double median = (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2;
            return new Figure(median, sorted[0], sorted[sorted.length - 1]);
        }

        Figure over(double unit) {
            return new Figure(median / unit, least / unit, most / unit);
        }

        String text(String unit) {
            return most == least
                    ? String.format(Locale.ROOT, "%.1f %s", median, unit)
                    : String.format(Locale.ROOT, "%.1f %s (%.1f to %.1f)", median, unit, least, most);
        }
    }

    private interface Run {
        double measure() throws IOException, InterruptedException;
    }

    /** Interleaves the runs, so that changes in the machine's load affect all of them alike. */
    private static Figure[] inTurn(int times, Run... runs) throws IOException, InterruptedException {
        double[][] values = new double[runs.length][times];
        for (int i = 0; i < times; i++) {
            for (int run = 0; run < runs.length; run++) {
                values[run][i] = runs[run].measure();
            }
        }
        return Arrays.stream(values).map(Figure::of).toArray(Figure[]::new);
    }

    private static double wall(String option, String main, String... arguments)
            throws IOException, InterruptedException {
        return wallOf(OWN_JDK, option, main, arguments);
    }

    private static double wallOf(String jdk, String option, String main, String... arguments)
            throws IOException, InterruptedException {
        long start = System.nanoTime();
        javaOf(jdk, option, main, arguments);
        return (System.nanoTime() - start) / 1e6;
    }

    /** Runs a class in a JVM of its own, and returns its output. */
    private static String java(String option, String main, String... arguments)
            throws IOException, InterruptedException {
        return javaOf(OWN_JDK, option, main, arguments);
    }

    private static String javaOf(String jdk, String option, String main, String... arguments)
            throws IOException, InterruptedException {
        boolean reports = main.equals("MillionCalls") || main.equals("LongStories");
        List<String> command = new ArrayList<>(List.of(
                Path.of(jdk, "bin", "java").toString(),
                option,
                "-cp",
                reports ? System.getProperty("java.class.path") : testClassPath(),
                "dev.zelotype.benchmarks." + main));
        command.addAll(List.of(arguments));
        Process process = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        String output = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (process.waitFor() != 0) {
            throw new IllegalStateException(main + " failed.");
        }
        return output;
    }

    /**
     * The class path without the libraries that draw reports: tests do not have them, and opening those jars would take
     * time.
     */
    private static String testClassPath() throws IOException {
        List<String> entries = new ArrayList<>();
        for (String entry : System.getProperty("java.class.path").split(File.pathSeparator)) {
            if (!entry.endsWith("*")) {
                entries.add(entry);
                continue;
            }
            try (Stream<Path> jars = Files.list(Path.of(entry).getParent())) {
                jars.map(Path::toString).forEach(entries::add);
            }
        }
        entries.removeIf(entry -> entry.matches(OF_REPORTS));
        return String.join(File.pathSeparator, entries);
    }

    private static Collection<RunResult> jmh(Class<?> benchmark) throws RunnerException {
        Options options = new OptionsBuilder()
                .include(benchmark.getName().replace(".", "\\.") + "\\.")
                .build();
        return new Runner(options).run();
    }

    /** The median of the JVMs' means. */
    private static Figure figure(Collection<RunResult> results, String name) {
        RunResult found = results.stream()
                .filter(result -> result.getParams().getBenchmark().endsWith("." + name))
                .findFirst()
                .orElseThrow();
        return Figure.of(found.getBenchmarkResults().stream()
                .mapToDouble(fork -> fork.getPrimaryResult().getScore())
                .toArray());
    }

    private void row(String what, Figure ours, String against, Figure theirs, double goal, String unit) {
        double ratio = ours.median() / theirs.median();
        String verdict = goal == 0
                ? ""
                : String.format(Locale.ROOT, "at most %.2f: %s", goal, ratio <= goal ? "met" : "**missed**");
        String row = String.format(
                Locale.ROOT,
                "| %s | %s | %s | %s | **%.2f** | %s |",
                what,
                ours.text(unit),
                against,
                theirs.text(unit),
                ratio,
                verdict);
        rows.add(row);
        // A run takes a quarter of an hour: earlier results are not lost if a later part fails.
        System.err.println(row);
    }

    private String text() {
        return """
                # Performance

                Ratios from a single run on one machine; below 1 means that Zelotype is faster. Absolute times differ
                between machines and days, ratios hardly do. Written by `zelotype-benchmarks/measure`.

                | what | Zelotype | against | takes | ratio | goal |
                |---|---|---|---|---|---|
                %s

                JDK %s, %s processors, %s %s, measured in %d minutes. Each figure is a median, with minimum and maximum
                in parentheses. Calls and instances: JMH, 2 or 3 JVMs of 2 or 3 iterations. Suites: 3 JVMs;
                source for 4,000 interfaces: one; other processes %d; interleaved.
                Recorded calls are measured after the first thousand of a scene, for which Zelotype also records the
                line (some microseconds per call).

                %s

                %s

                Unusually large tests, shown by a JVM with %d MB of heap:

                | the test made | as text | as a page | in a report |
                |---|---|---|---|
                %s

                A page contains all calls and draws the visible ones; a picture shows at most 400.

                %s

                %s

                If one of 80 checks is removed from tests that check everything, a challenge finds the gap in all 80
                cases, and it reports no false gap in the complete tests (`PlantedGapsTest`). The challenge of the
                observatory's tests (`./demo --challenge`) takes 5 s.

                Explanations, for missed goals in particular:

                - A double for a single thread needs less for a call: Zelotype's call is linked so that other threads can
                  call at the same time, and so that a check only reads the calls of its own method. It takes 64
                  bytes, 40 of them for its record.
                - A new double belongs to a scene, which lists it, and takes 228 bytes; a proxy takes 141. The time for
                  opening and closing the scene is included; in a large scene it hardly matters.
                - Without the agent a suite links a lambda for each statement, which takes the JVM a fifth of a
                  millisecond, as the rows with the same lambdas show. With the agent, or with patterns in place, it links
                  none. With 1,000 classes and the agent, the thread that runs the tests was sampled 1,685 times, and 1,106
                  times by hand: 134 times in code before a test, 129 in reading statements, 71 in calls of doubles, 39 in
                  code after a test; the rest is JUnit's. In a suite of 200 classes, JUnit searches for annotations 125,200
                  times instead of 106,800, because it also looks at those of `@WithDoubles`. The JIT compiler spends most
                  of its time on this search, and more time the longer a suite runs.
                - With a journal, the lines of a test are written when it ends: of 216 samples of a run with 200 classes,
                  37 were in closing scenes, 12 of them in collecting the conversation and 12 in writing it.
                - The first double of a JVM loads 789 classes, a first proxy 612; 26 are the bytecode library's, and
                they are not in the JVM's class archive. A single JUnit test notices a tenth of this.

                Of 3,295 samples of three runs that write stubs and spies for 1,000 interfaces, 996 were in the compiler
                that reads them, 546 in models of types, 947 in the layout of 2,000 files, and 609 in writing them, 397 of
                these in the system call that creates a file. This disk takes up to forty times as long for that as
                memory, and the compiler creates no file, so all files of these rows are in memory, except in the row
                for this disk. Both processors are always busy, half of the time with JIT compilation, so pairs of
                runs vary a lot.

                Linked doubles need not be generated, but they must be found and loaded from the class path. They are
                meant for a JVM in which classes cannot be defined.
                """.formatted(
                        String.join("\n", rows),
                        System.getProperty("java.version"),
                        Runtime.getRuntime().availableProcessors(),
                        System.getProperty("os.name"),
                        ManagementFactory.getOperatingSystemMXBean().getArch(),
                        (System.nanoTime() - began) / 60_000_000_000L,
                        PROCESSES,
                        String.join("\n\n", suites),
                        report,
                        STORY_MEMORY,
                        String.join("\n", stories),
                        challenge,
                        HundredThousandTests.told());
    }
}
