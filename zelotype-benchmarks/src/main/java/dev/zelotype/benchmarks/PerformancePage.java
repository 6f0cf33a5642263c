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

    private static final int PROCESSES = 15;

    private static final int REPORT_MEMORY = 64;
    private static final int STORY_MEMORY = 256;
    private static final String OF_REPORTS = ".*(zelotype-report|plantuml|jmustache|chart\\.js)[^/]*\\.jar";

    private final List<String> rows = new ArrayList<>();
    private final List<String> stories = new ArrayList<>();
    private String report = "";
    private String challenge = "";

    private PerformancePage() {}

    public static void main(String[] arguments) throws IOException, InterruptedException, RunnerException {
        PerformancePage page = new PerformancePage();
        page.measureCalls();
        page.measureInstances();
        page.measureWoven();
        page.measureOrder();
        page.measureFirstDoubles();
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
        double zelotype = score(results, "zelotype");
        row(
                "an answered and recorded call",
                zelotype,
                "hand-written recording double",
                score(results, "written"),
                2.0,
                "ns");
        row(
                "an answered and recorded call",
                zelotype,
                "Proxy with a recording handler",
                score(results, "proxy"),
                0.7,
                "ns");
        row(
                "an answered call that a journal will tell of",
                score(jmh(DetailedCallBenchmark.class), "detailed"),
                "the same without a journal",
                zelotype,
                0,
                "ns");
    }

    private void measureInstances() throws RunnerException {
        Collection<RunResult> results = jmh(InstanceBenchmark.class);
        double proxy = score(results, "proxy");
        row(
                "a new double of a known type, in a scene of 20",
                score(results, "zelotype"),
                "Proxy instance",
                proxy,
                2.0,
                "ns");
    }

    private void measureWoven() throws RunnerException {
        Collection<RunResult> results = jmh(WovenBenchmark.class);
        row(
                "a woven static method that nobody replaces",
                score(results, "woven"),
                "the same, not woven",
                score(results, "plain"),
                0,
                "ns");
    }

    private void measureOrder() throws RunnerException {
        Collection<RunResult> results = jmh(OrderBenchmark.class);
        row(
                "20 checks in an order over 1,000 calls",
                score(results, "ordered"),
                "the same without an order",
                score(results, "unordered"),
                0,
                "us");
    }

    private void measureFirstDoubles() throws IOException, InterruptedException {
        double[][] zelotype = new double[2][PROCESSES];
        double[][] proxy = new double[2][PROCESSES];
        for (int i = 0; i < PROCESSES; i++) {
            keep(zelotype, i, java("FirstDouble", "zelotype"));
            keep(proxy, i, java("FirstDouble", "proxy"));
        }
        row(
                "the first double of a JVM",
                median(zelotype[0]) / 1e6,
                "first Proxy of a JVM",
                median(proxy[0]) / 1e6,
                0,
                "ms");
        row(
                "the first double of a new interface, later",
                median(zelotype[1]) / 1e3,
                "first Proxy of a new interface, later",
                median(proxy[1]) / 1e3,
                1.0,
                "us");
    }

    private static void keep(double[][] into, int run, String output) {
        String[] numbers = output.trim().split(" ");
        into[0][run] = Double.parseDouble(numbers[0]);
        into[1][run] = Double.parseDouble(numbers[1]);
    }

    private void measureOneTest() throws IOException, InterruptedException {
        double[] zelotype = new double[PROCESSES];
        double[] written = new double[PROCESSES];
        for (int i = 0; i < PROCESSES; i++) {
            zelotype[i] = timed("zelotype");
            written[i] = timed("written");
        }
        row(
                "a JVM that runs one JUnit test",
                median(zelotype),
                "same with a hand-written double",
                median(written),
                1.15,
                "ms");
    }

    private void measureLinked() throws IOException, InterruptedException {
        double[] linked = new double[PROCESSES];
        double[] made = new double[PROCESSES];
        for (int i = 0; i < PROCESSES; i++) {
            linked[i] = Double.parseDouble(java("LinkedSuite", "linked").trim());
            made[i] = Double.parseDouble(java("LinkedSuite", "made").trim());
        }
        row(
                "the doubles of 200 interfaces, written as linked classes before",
                median(linked),
                "the same, made while the tests run",
                median(made),
                0,
                "ms");
    }

    private void measureGeneration() throws IOException, InterruptedException {
        double[] zelotype = new double[PROCESSES];
        double[] javac = new double[PROCESSES];
        for (int i = 0; i < PROCESSES; i++) {
            zelotype[i] =
                    Double.parseDouble(java("ThousandInterfaces", "zelotype").trim());
            javac[i] = Double.parseDouble(java("ThousandInterfaces", "javac").trim());
        }
        row(
                "stubs as source for 1,000 interfaces, read and written",
                median(zelotype),
                "the compiler parsing and attributing them",
                median(javac),
                2.0,
                "ms");
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
        Path folder = Files.createTempDirectory("zelotype-long");
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
        String[] figures = java("ThousandTests", "").trim().split(" ");
        double seconds = Double.parseDouble(figures[0]) / 1000;
        challenge = String.format(
                Locale.ROOT,
                "A challenge of %s small tests is %s disturbed runs and takes %.0f s, %.0f runs a second.",
                figures[2],
                figures[1],
                seconds,
                Double.parseDouble(figures[1]) / seconds);
    }

    private static double timed(String which) throws IOException, InterruptedException {
        long start = System.nanoTime();
        java("OneTest", which);
        return (System.nanoTime() - start) / 1e6;
    }

    private static String java(String main, String argument) throws IOException, InterruptedException {
        return java("-Xshare:auto", main, new String[] {argument});
    }

    private static String java(String option, String main, String... arguments)
            throws IOException, InterruptedException {
        boolean reports = main.equals("MillionCalls") || main.equals("LongStories");
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                option,
                "-cp",
                reports ? System.getProperty("java.class.path") : testClassPath(),
                "dev.zelotype.benchmarks." + main));
        command.addAll(List.of(arguments));
        Process process = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        String output = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (process.waitFor() != 0) {
            throw new IllegalStateException(main + " failed.");
        }
        return output;
    }

    /** The class path without the libraries that draw reports, which no test has; opening them would cost time. */
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

    private static double score(Collection<RunResult> results, String name) {
        return results.stream()
                .filter(result -> result.getParams().getBenchmark().endsWith("." + name))
                .findFirst()
                .orElseThrow()
                .getPrimaryResult()
                .getScore();
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }

    private void row(String what, double ours, String against, double theirs, double goal, String unit) {
        double ratio = ours / theirs;
        String verdict = goal == 0
                ? ""
                : String.format(Locale.ROOT, "at most %.2f: %s", goal, ratio <= goal ? "met" : "**missed**");
        rows.add(String.format(
                Locale.ROOT,
                "| %s | %.1f %s | %s | %.1f %s | **%.2f** | %s |",
                what,
                ours,
                unit,
                against,
                theirs,
                unit,
                ratio,
                verdict));
    }

    private String text() {
        return """
                # Performance

                Ratios, measured in one run on one machine; below 1 means that Zelotype is faster. Single times change from
                machine to machine and from day to day, the ratios hardly. Written by `zelotype-benchmarks/measure`.

                | what | Zelotype | against | takes | ratio | goal |
                |---|---|---|---|---|---|
                %s

                JDK %s, %s processors, %s %s. Calls and instances: JMH, averages of 3 forks of 5 iterations of 1 s. First
                doubles and the one test: medians of %d JVMs, taken in turn. Recorded calls are measured after the first
                thousand of a scene, for which Zelotype also notes the line (some microseconds a call).

                %s

                Tests that are larger than anybody means them to be, told by a JVM with %d MB of heap:

                | the test made | as text | as a page | in a report |
                |---|---|---|---|
                %s

                A page lays out all calls and draws those that are looked at; a picture is drawn of at most 400.

                %s

                Where a goal is missed, and why:

                - A call keeps more than the handler that it is compared with: it is linked in so that other threads may call
                  at the same time, and so that a check looks only at the calls of its own method. The record is 48 bytes and
                  its array of arguments.
                - A new double belongs to a scene, which counts it, names it and can show it; a proxy belongs to nobody. The
                  row holds the making of the scene as well.
                - Linked doubles save the making of classes, and pay for finding and loading them from where the tests are:
                  at the start of a suite that is nearly the same. What they are for is a JVM in which no class may be made.
                - The first double of a JVM loads the bytecode library and the engine; the JVM keeps no archive of them as it
                  does of its own proxies. One JUnit test hardly feels it.
                """.formatted(
                        String.join("\n", rows),
                        System.getProperty("java.version"),
                        Runtime.getRuntime().availableProcessors(),
                        System.getProperty("os.name"),
                        ManagementFactory.getOperatingSystemMXBean().getArch(),
                        PROCESSES,
                        report,
                        STORY_MEMORY,
                        String.join("\n", stories),
                        challenge);
    }
}
