import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Runs the tests of users' builds in many environments, and writes the results to docs/matrix.md. The builds take
 * Zelotype from the repository that "mvn -Prelease -DskipTests deploy" has written.
 *
 *     java consumer/Matrix.java               all rows
 *     java consumer/Matrix.java spring boot   the rows that contain one of these words; the page is not written
 */
final class Matrix {

    /** One build with some versions, on each JDK that can run it. */
    private record Row(String environment, String versions, String module, String options) {}

    private record Ran(Row row, int jdk, boolean right, String told) {}

    private static final Pattern TESTS = Pattern.compile("Tests run: (\\d+), Failures: 0, Errors: 0, Skipped: 0\\s");

    private static final Path HERE = Path.of("consumer").toAbsolutePath();

    private Matrix() {}

    private static List<Row> rows() {
        List<Row> rows = new ArrayList<>();
        for (String junit : List.of("5.9.3", "5.10.5", "5.11.4", "5.12.2", "5.13.4", "5.14.4", "6.0.3", "6.1.3")) {
            String option = "-Djunit.version=" + junit;
            rows.add(new Row("JUnit, declared before Zelotype", "JUnit " + junit, "junit-declared-first", option));
            rows.add(new Row("JUnit, declared after Zelotype", "JUnit " + junit, "junit-declared-last", option));
        }
        for (String junit : List.of("5.12.2", "5.14.4", "6.1.3")) {
            String option = "-Djunit.version=" + junit;
            rows.add(new Row("the class path, with the goals", "JUnit " + junit, "on-class-path", option));
            rows.add(new Row("the module path", "JUnit " + junit, "on-module-path", option));
        }
        for (String profile : List.of("agent", "patterns", "early")) {
            String name = Map.of(
                            "agent", "the agent at the start",
                            "patterns", "patterns put in place by the goal",
                            "early", "the agent, attached early")
                    .get(profile);
            rows.add(new Row(name, "JUnit 5.14.4", "junit-declared-first", "-P" + profile));
        }
        for (String surefire : List.of("3.0.0", "3.2.5", "3.6.1")) {
            rows.add(new Row(
                    "Maven Surefire", "Surefire " + surefire, "junit-declared-first", "-Dsurefire.version=" + surefire));
        }
        rows.add(new Row("coverage", "JaCoCo", "with-coverage", ""));
        for (String junit : List.of("4.12", "4.13.2")) {
            rows.add(new Row("JUnit 4", "JUnit " + junit, "with-junit-4", "-Djunit4.version=" + junit));
        }
        for (String testng : List.of("6.14.3", "7.5.1", "7.12.0")) {
            rows.add(new Row("TestNG", "TestNG " + testng, "with-testng", "-Dtestng.version=" + testng));
        }
        for (String spring : List.of("6.2.11", "6.2.19")) {
            rows.add(new Row("Spring", "Spring " + spring, "with-spring", "-Dspring.version=" + spring));
        }
        rows.add(new Row("Spring, with JUnit 6", "Spring 7.0.10, JUnit 6.1.3", "with-spring",
                "-Dspring.version=7.0.10 -Djunit.version=6.1.3"));
        rows.add(new Row("Spring Boot", "Boot 3.5.16", "with-spring-boot", "-Pmatrix -Dboot.version=3.5.16"));
        rows.add(new Row("Spring Boot", "Boot 4.1.2, JUnit 6.1.3", "with-spring-boot",
                "-Pmatrix -Dboot.version=4.1.2 -Djunit.version=6.1.3"));
        rows.add(new Row("CDI", "Weld JUnit 4.0.5 (Weld 5)", "with-cdi", "-Pmatrix -Dweld.junit.version=4.0.5.Final"));
        rows.add(new Row("CDI", "Weld JUnit 5.0.3 (Weld 6)", "with-cdi", "-Pmatrix -Dweld.junit.version=5.0.3.Final"));
        for (String kotlin : List.of("1.9.25", "2.2.21", "2.4.21")) {
            rows.add(new Row("Kotlin", "Kotlin " + kotlin, "with-kotlin", "-Dkotlin.version=" + kotlin));
        }
        for (String junit : List.of("5.14.4 1.14.4", "6.1.3 6.1.3")) {
            String[] versions = junit.split(" ");
            rows.add(new Row("a launcher of one's own", "JUnit " + versions[0], "with-launcher",
                    "-Pmatrix -Djunit.version=" + versions[0] + " -Dlauncher.version=" + versions[1]));
        }
        rows.add(new Row("Eclipse's compiler", "ecj 3.40.0", "with-eclipse-compiler", "-Pmatrix"));
        rows.add(new Row("Error Prone and NullAway", "as errors", "with-null-checker", ""));
        return rows;
    }

    public static void main(String[] words) throws IOException, InterruptedException {
        if (!Files.isDirectory(HERE)) {
            System.err.println("Run it from the folder of the whole project: java consumer/Matrix.java");
            System.exit(2);
        }
        Map<Integer, Path> jdks = jdks();
        List<Ran> all = new ArrayList<>();
        for (Row row : rows()) {
            String text = (row.environment() + " " + row.versions()).toLowerCase(Locale.ROOT);
            if (words.length > 0 && Stream.of(words).noneMatch(word -> text.contains(word.toLowerCase(Locale.ROOT)))) {
                continue;
            }
            for (Map.Entry<Integer, Path> jdk : jdks.entrySet()) {
                if (row.versions().equals("Kotlin 1.9.25") && jdk.getKey() > 21) {
                    all.add(new Ran(row, jdk.getKey(), true, "this compiler knows no JDK after 21"));
                    continue;
                }
                Ran ran = run(row, jdk.getKey(), jdk.getValue());
                System.out.println((ran.right() ? "" : "!! ") + row.environment() + ", " + row.versions() + ", JDK "
                        + jdk.getKey() + ": " + ran.told());
                all.add(ran);
            }
        }
        if (words.length == 0) {
            Files.writeString(HERE.resolveSibling("docs").resolve("matrix.md"), page(all));
        }
        if (all.isEmpty() || all.stream().anyMatch(each -> !each.right())) {
            System.exit(1);
        }
    }

    private static Map<Integer, Path> jdks() {
        Map<Integer, Path> found = new TreeMap<>();
        for (Path folder : List.of(Path.of("/usr/lib/jvm"), Path.of(System.getProperty("user.home"), ".jdks"))) {
            try (Stream<Path> all = Files.isDirectory(folder) ? Files.list(folder) : Stream.<Path>empty()) {
                all.filter(each -> Files.isExecutable(each.resolve("bin/javac"))).sorted().forEach(each -> {
                    try {
                        Matcher version = Pattern.compile("JAVA_VERSION=\"(17|25)\\.")
                                .matcher(Files.readString(each.resolve("release")));
                        if (version.find()) {
                            found.putIfAbsent(Integer.parseInt(version.group(1)), each);
                        }
                    } catch (IOException e) {
                        throw new UncheckedIOException(e);
                    }
                });
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        return found;
    }

    private static Ran run(Row row, int jdk, Path home) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of("mvn", "-B", "-ntp", "-pl", row.module()));
        Stream.of(row.options().split(" ")).filter(each -> !each.isEmpty()).forEach(command::add);
        command.addAll(List.of("clean", "verify"));
        ProcessBuilder builder = new ProcessBuilder(command).directory(HERE.toFile()).redirectErrorStream(true);
        builder.environment().put("JAVA_HOME", home.toString());
        builder.environment().merge("MAVEN_OPTS", "-XX:TieredStopAtLevel=1", (set, more) -> set + " " + more);
        Process process = builder.start();
        String printed = new String(process.getInputStream().readAllBytes());
        boolean passed = process.waitFor() == 0;
        int tests = 0;
        Matcher counted = TESTS.matcher(printed + "\n");
        while (counted.find()) {
            tests = Math.max(tests, Integer.parseInt(counted.group(1)));
        }
        if (!passed || tests == 0) {
            Files.writeString(Files.createDirectories(HERE.resolve("target")).resolve("failed.log"), printed);
            String line = printed.lines()
                    .filter(each -> each.startsWith("[ERROR]"))
                    .findFirst()
                    .orElse("no test ran");
            return new Ran(row, jdk, false, line);
        }
        return new Ran(row, jdk, true, tests + (tests == 1 ? " test passes" : " tests pass"));
    }

    private static String page(List<Ran> all) {
        StringBuilder out = new StringBuilder();
        long work = all.stream().filter(each -> each.told().endsWith("pass") || each.told().endsWith("passes")).count();
        out.append("# Where Zelotype runs\n\nIn ")
                .append(work)
                .append(" of ")
                .append(all.size())
                .append(" environments all tests pass; for the others, the table has the reason. Run on ")
                .append(LocalDate.now())
                .append(" by `java consumer/Matrix.java`. Each row is a build in [`consumer`](../consumer) that takes"
                        + " Zelotype\nfrom a repository, compiles its tests and runs them.\n\n")
                .append("| environment | versions | JDK | build | result |\n|---|---|---|---|---|\n");
        for (Ran each : all) {
            Row row = each.row();
            String build = "`" + row.module() + "`" + (row.options().isEmpty() ? "" : " `" + row.options() + "`");
            out.append("| ")
                    .append(String.join(
                            " | ", row.environment(), row.versions(), String.valueOf(each.jdk()), build, each.told()))
                    .append(" |\n");
        }
        return out.toString();
    }
}
