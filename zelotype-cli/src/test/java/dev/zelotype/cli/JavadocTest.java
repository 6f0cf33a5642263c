package dev.zelotype.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The examples in the javadoc compile, within a class that declares what they use.
 */
class JavadocTest {

    private static final Pattern EXAMPLE = Pattern.compile("<pre>\\{@code\\n(.*?)}</pre>", Pattern.DOTALL);
    private static final JavaCompiler COMPILER = ToolProvider.getSystemJavaCompiler();

    private static final String AROUND = """
            package dev.observatory;

            import static dev.zelotype.Zelotype.*;
            import static dev.zelotype.doubles.Kind.*;
            import static java.time.Duration.ofSeconds;

            import %s;
            import dev.zelotype.*;
            import dev.zelotype.challenge.*;
            import dev.zelotype.challenge.change.*;
            import dev.zelotype.challenge.finding.*;
            import dev.zelotype.challenge.kept.*;
            import dev.zelotype.challenge.patch.*;
            import dev.zelotype.challenge.run.*;
            import dev.zelotype.conversation.*;
            import dev.zelotype.conversation.ConversationStatements.Form;
            import dev.zelotype.doubles.*;
            import dev.zelotype.error.*;
            import dev.zelotype.examples.observatory.*;
            import dev.zelotype.generate.*;
            import dev.zelotype.host.*;
            import dev.zelotype.journal.*;
            import dev.zelotype.junit.*;
            import dev.zelotype.report.coverage.*;
            import dev.zelotype.report.site.*;
            import dev.zelotype.report.story.*;
            import java.io.*;
            import java.nio.file.*;
            import java.util.*;
            import java.util.regex.Pattern;
            import java.util.stream.Stream;
            import org.junit.jupiter.api.*;

            abstract class Given {
                static final SkyTarget HARROW = new SkyTarget("Harrow-2", 47);
                SkyTarget quill;
                WeatherStation weather;
                Dome dome;
                Mount mount;
                Camera camera;
                NightLog log;
                NightRun run;
                Throwable failure;
                Class<?> testClass;
                StackTraceElement frame;
                Path folder;
                %s

                abstract static class InMemoryLog implements NightLog {
                    InMemoryLog(String site) {}
                }

                static class PaperLog implements NightLog {
                    @Override public LogEntry append(LogEntry entry) { return entry; }
                    @Override public void note(String text) {}
                }

                static class CatalogClaims {
                    static void claims(TargetCatalog catalog) {}
                }

                static class NightRunTest {}
            }

            abstract class Around extends Given {
                %s
            }
            """;

    /** Further declarations that the examples of some packages use. */
    private static final Map<String, String> MORE = moreOf(
            "dev.zelotype.challenge.run", "List<Path> classPath;",
            "dev.zelotype.challenge.patch", "List<Path> classPath; ChallengeResult result;",
            "dev.zelotype.basics", "java.lang.reflect.Method method;",
            "dev.zelotype.challenge", "List<Path> classPath; ChallengeResult result;",
            "dev.zelotype.host", "java.lang.reflect.Field field; java.lang.reflect.InaccessibleObjectException cause;",
            "dev.zelotype.generate", "Generator.Plan plan;",
            "dev.zelotype.journal", "TestSettings settings; Scene scene; String test; String title;",
            "dev.zelotype.report.story", "JournalScene scene; Path before; Path after;",
            "dev.zelotype.report.coverage", "Coverage coverage;",
            "dev.zelotype.report.site", "Path journal;");

    private static Map<String, String> moreOf(String... pairs) {
        Map<String, String> more = new HashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            more.put(pairs[i], pairs[i + 1]);
        }
        return more;
    }

    /** Packages that no module exports, and those of Zelotype's own tools. */
    private static final Pattern INNER =
            Pattern.compile("zelotype/(engine|basics|report|generate/(model|text|type|read)"
                    + "|challenge/(values|worker|judge|kept/(?!Shard)|run/(?!TestRun)|change/(?!CallPlace|ChangeKind)"
                    + "|finding/Proposal))"
                    + "|(package|module)-info");

    private static final Pattern PUBLIC = Pattern.compile(
            "(?s)\\A.*?\\R(?:public )(?:static |final |abstract |sealed )*(?:class|interface|enum|record|@interface) ");

    @TempDir
    Path made;

    /** Those of {@code zelotype-hosts} need two more test frameworks; they are in the builds in {@code consumer}. */
    private static Stream<String> modules() {
        return Stream.of(
                "zelotype",
                "zelotype-challenge",
                "zelotype-generate",
                "zelotype-journal",
                "zelotype-junit",
                "zelotype-report");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"zelotype", "zelotype-challenge", "zelotype-generate", "zelotype-journal", "zelotype-junit"})
    void types_say_since_when_they_are_there(String module) throws IOException {
        try (Stream<Path> files = Files.walk(Path.of("..", module, "src", "main", "java"))) {
            List<Path> types = files.filter(each -> each.toString().endsWith(".java"))
                    .filter(each ->
                            !INNER.matcher(each.toString().replace('\\', '/')).find())
                    .toList();
            assertThat(types).isNotEmpty();
            for (Path each : types) {
                Matcher type = PUBLIC.matcher(Files.readString(each));
                assertThat(!type.find() || type.group().contains("@since "))
                        .as(each.toString())
                        .isTrue();
            }
        }
    }

    @ParameterizedTest
    @MethodSource("modules")
    void examples_compile(String module) throws IOException {
        List<String> problems = new ArrayList<>();
        int found = 0;
        try (Stream<Path> files = Files.walk(Path.of("..", module, "src", "main", "java"))) {
            for (Path file : files.filter(each -> each.toString().endsWith(".java"))
                    .sorted()
                    .toList()) {
                String source = Files.readString(file);
                Matcher example = EXAMPLE.matcher(source);
                while (example.find()) {
                    found++;
                    String code =
                            example.group(1).replaceAll("(?m)^ *\\* ?", "").replaceAll("(?m)^ *\\.\\.\\.( //.*)?$", "");
                    problems.addAll(problemsOf(typeIn(file), code));
                }
            }
        }
        assertThat(found).isPositive();
        assertThat(problems).isEmpty();
    }

    private static String typeIn(Path file) {
        String path = file.toString().replace('\\', '/');
        return path.substring(
                        path.indexOf("src/main/java/") + "src/main/java/".length(), path.length() - ".java".length())
                .replace('/', '.');
    }

    /**
     * Empty if it compiles as members of a class, as statements, or as members and statements separated by a blank
     * line.
     */
    private List<String> problemsOf(String type, String code) throws IOException {
        String packageName = type.substring(0, type.lastIndexOf('.'));
        String more = packageName.equals("dev.zelotype.stage")
                ? "ExposurePlan plan;"
                : MORE.getOrDefault(packageName, "Scene scene;");
        int blank = code.indexOf("\n\n");
        List<String> problems = List.of();
        for (String members : List.of(
                "void statements() throws Throwable {\n" + code + "\n}",
                code,
                blank < 0 ? code : code.substring(0, blank) + "\nvoid statements() {" + code.substring(blank) + "}")) {
            problems = compiled(AROUND.formatted(type, more, members)).stream()
                    .map(problem -> type + ": " + problem + "\n" + code)
                    .toList();
            if (problems.isEmpty()) {
                return problems;
            }
        }
        return problems;
    }

    private List<String> compiled(String source) throws IOException {
        DiagnosticCollector<JavaFileObject> said = new DiagnosticCollector<>();
        JavaFileObject file =
                new SimpleJavaFileObject(URI.create("string:///Around.java"), JavaFileObject.Kind.SOURCE) {
                    @Override
                    public CharSequence getCharContent(boolean ignoreEncodingErrors) {
                        return source;
                    }
                };
        List<String> options = new ArrayList<>(List.of("-d", made.toString(), "-Xlint:none"));
        options.addAll(
                source.contains("@DoubleFor")
                        ? List.of("-processor", "dev.zelotype.generate.DoubleProcessor")
                        : List.of("-proc:none"));
        COMPILER.getTask(null, null, said, options, null, List.of(file)).call();
        return said.getDiagnostics().stream()
                .filter(problem -> problem.getKind() == Diagnostic.Kind.ERROR)
                .map(problem -> problem.getMessage(Locale.ROOT))
                .toList();
    }
}
