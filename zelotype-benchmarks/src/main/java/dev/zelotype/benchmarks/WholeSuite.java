package dev.zelotype.benchmarks;

import static org.junit.platform.engine.discovery.DiscoverySelectors.selectClasspathRoots;

import com.sun.management.OperatingSystemMXBean;
import dev.zelotype.host.PatternsInPlace;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.tools.ToolProvider;
import org.junit.platform.launcher.core.LauncherDiscoveryRequestBuilder;
import org.junit.platform.launcher.core.LauncherFactory;
import org.junit.platform.launcher.listeners.SummaryGeneratingListener;

/**
 * A whole suite of test classes, with five tests of four statements each, in three equivalent versions: with Zelotype,
 * with hand-written doubles, and with hand-written doubles next to the same lambdas, which are linked but not used.
 * Given a folder and a number of classes, it writes and compiles the three, the first one also with its patterns in
 * place. Given the folder of one of them, it runs that in a JVM of its own.
 */
public final class WholeSuite {

    private static final int TYPES = 20;
    private static final int TESTS = 5;

    private WholeSuite() {}

    public static void main(String[] arguments) throws IOException {
        if (arguments.length == 1) {
            run(Path.of(arguments[0]));
            return;
        }
        int classes = Integer.parseInt(arguments[1]);
        for (String way : List.of("zelotype", "written", "lambdas")) {
            write(Files.createDirectories(Path.of(arguments[0], way + classes)), way, classes);
        }
        putInPlace(Path.of(arguments[0], "zelotype" + classes), Path.of(arguments[0], "inplace" + classes));
    }

    private static void run(Path folder) throws IOException {
        try (URLClassLoader loader =
                new URLClassLoader(new URL[] {folder.toUri().toURL()}, WholeSuite.class.getClassLoader())) {
            Thread.currentThread().setContextClassLoader(loader);
            SummaryGeneratingListener summary = new SummaryGeneratingListener();
            LauncherFactory.create()
                    .execute(
                            LauncherDiscoveryRequestBuilder.request()
                                    .selectors(selectClasspathRoots(Set.of(folder)))
                                    .build(),
                            summary);
            long passed = summary.getSummary().getTestsSucceededCount();
            if (passed == 0 || summary.getSummary().getTotalFailureCount() > 0) {
                throw new IllegalStateException(
                        passed + " tests passed, " + summary.getSummary().getTotalFailureCount() + " failed.");
            }
            System.out.println(passed + " " + cpuMillis());
        }
    }

    private static long cpuMillis() {
        return ManagementFactory.getOperatingSystemMXBean() instanceof OperatingSystemMXBean system
                ? system.getProcessCpuTime() / 1_000_000
                : 0;
    }

    /** As the Maven goal leaves the classes. */
    private static void putInPlace(Path from, Path to) throws IOException {
        Files.createDirectories(to);
        try (Stream<Path> classes = Files.list(from)) {
            for (Path each :
                    classes.filter(file -> file.toString().endsWith(".class")).toList()) {
                byte[] code = Files.readAllBytes(each);
                byte[] changed = PatternsInPlace.of(code);
                Files.write(to.resolve(each.getFileName()), changed == null ? code : changed);
            }
        }
    }

    private static void write(Path folder, String way, int classes) throws IOException {
        List<String> options = new ArrayList<>(
                List.of("-d", folder.toString(), "-proc:none", "-cp", System.getProperty("java.class.path")));
        for (int i = 0; i < TYPES; i++) {
            options.add(file(folder, "Station" + i, type(i)));
            options.add(file(folder, "Written" + i, written(i)));
            options.add(file(folder, "Night" + i, subject(i)));
        }
        for (int i = 0; i < classes; i++) {
            options.add(file(folder, "Case" + i + "Test", tests(way, i)));
        }
        if (ToolProvider.getSystemJavaCompiler().run(null, null, null, options.toArray(new String[0])) != 0) {
            throw new IllegalStateException("the suite does not compile");
        }
    }

    private static String file(Path folder, String name, String code) throws IOException {
        return Files.writeString(folder.resolve(name + ".java"), code).toString();
    }

    private static String type(int i) {
        return """
                public interface Station%d {
                    int humidity();
                    boolean isOpen(String dome);
                    void note(String text);
                }
                """.formatted(i);
    }

    private static String written(int i) {
        return """
                class Written%1$d implements Station%1$d {
                    int humidity;
                    boolean open;
                    final java.util.List<String> calls = new java.util.ArrayList<>();
                    public int humidity() { calls.add("humidity()"); return humidity; }
                    public boolean isOpen(String dome) { calls.add("isOpen(" + dome + ")"); return open; }
                    public void note(String text) { calls.add("note(" + text + ")"); }
                    long count(String call) { return calls.stream().filter(call::equals).count(); }
                }
                """.formatted(i);
    }

    private static String subject(int i) {
        return """
                class Night%1$d {
                    private final Station%1$d station;
                    Night%1$d(Station%1$d station) { this.station = station; }
                    String run(String dome) {
                        if (station.humidity() > 80) { return "humid"; }
                        station.note("opening " + dome);
                        return station.isOpen(dome) ? "open" : "stuck";
                    }
                }
                """.formatted(i);
    }

    private static String tests(String way, int number) {
        int type = number % TYPES;
        StringBuilder code = new StringBuilder("""
                import static dev.zelotype.Zelotype.*;
                import static org.junit.jupiter.api.Assertions.assertEquals;
                import dev.zelotype.call.*;
                import org.junit.jupiter.api.Test;
                """);
        code.append(way.equals("zelotype") ? "@dev.zelotype.junit.WithDoubles\n" : "")
                .append("class Case" + number + "Test {\n");
        for (int test = 0; test < TESTS; test++) {
            String body = switch (way) {
                case "zelotype" -> """
                            Station%1$d station = stub(Station%1$d.class);
                            suppose(station::humidity).returns(%2$d);
                            suppose(() -> station.isOpen("d%2$d")).returns(true);
                            assertEquals("open", new Night%1$d(station).run("d%2$d"));
                            verify(() -> station.note("opening d%2$d")).once();
                            verify(station::humidity).once();
                    """;
                case "written" -> """
                            Written%1$d station = new Written%1$d();
                            station.humidity = %2$d;
                            station.open = true;
                            assertEquals("open", new Night%1$d(station).run("d%2$d"));
                            assertEquals(1, station.count("note(opening d%2$d)"));
                            assertEquals(1, station.count("humidity()"));
                    """;
                default -> """
                            Written%1$d station = new Written%1$d();
                            Query0<Integer> first = station::humidity;
                            Query0<Boolean> second = () -> station.isOpen("d%2$d");
                            Act0 third = () -> station.note("opening d%2$d");
                            Query0<Integer> fourth = station::humidity;
                            station.humidity = %2$d;
                            station.open = true;
                            assertEquals("open", new Night%1$d(station).run("d%2$d"));
                            assertEquals(1, station.count("note(opening d%2$d)"));
                            assertEquals(1, station.count("humidity()"));
                    """;
            };
            code.append("    @Test void test_" + test + "() {\n")
                    .append(body.formatted(type, test))
                    .append("    }\n");
        }
        return code.append("}\n").toString();
    }
}
