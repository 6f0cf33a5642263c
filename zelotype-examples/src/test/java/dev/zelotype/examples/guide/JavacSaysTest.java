package dev.zelotype.examples.guide;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Each row of the guide's table of misunderstandings is correct: the first form does not compile, with the quoted
 * message of javac, and the suggested form does.
 */
class JavacSaysTest {

    private static final Pattern ROW =
            Pattern.compile("(?m)^\\| (`(?:suppose|expect|verify|assertThat)\\(.*?) \\| `(.+?)` \\| (.*) \\|$");
    private static final Pattern CODE = Pattern.compile("`([^`]+)`");

    @TempDir
    static Path folder;

    record Row(String wrong, String says, List<String> right) {}

    static List<Row> rows() throws IOException {
        List<Row> rows = new ArrayList<>();
        Matcher found = ROW.matcher(Files.readString(Path.of("../docs/guide/patterns.md")));
        while (found.find()) {
            List<String> wrong = codes(found.group(1));
            List<String> right = codes(found.group(3));
            right.removeIf(code -> !code.contains("(") && !code.contains("="));
            rows.add(new Row(wrong.get(0), found.group(2), right));
        }
        return rows;
    }

    private static List<String> codes(String cell) {
        return new ArrayList<>(CODE.matcher(cell)
                .results()
                .map(MatchResult::group)
                .map(code -> code.replace("`", ""))
                .toList());
    }

    @ParameterizedTest
    @MethodSource("rows")
    void javac_says_what_the_guide_quotes(Row row) {
        assertThat(firstError(row.wrong())).isEqualTo(row.says());
        assertThat(row.right())
                .isNotEmpty()
                .allSatisfy(code -> assertThat(firstError(code)).as(code).isEmpty());
    }

    @Test
    void the_table_is_found() throws IOException {
        assertThat(rows()).hasSizeGreaterThan(10);
    }

    /** The first line of javac's first error in a statement, without its position; empty if it compiles. */
    private static String firstError(String statement) {
        String source = """
                import static dev.zelotype.Zelotype.*;
                import static org.assertj.core.api.Assertions.assertThat;
                import dev.zelotype.call.*;
                import java.util.concurrent.Future;
                class Wrong {
                    record SkyTarget(String name) {}
                    interface WeatherStation { int humidity(); int humidityAt(String dome); }
                    interface Dome { void open(); }
                    interface NightLog {
                        void note(String text);
                        void note(String text, int severity);
                        void noteAll(String... all);
                    }
                    interface Mount {
                        boolean track(SkyTarget target, int rate);
                        int rate();
                        void slewTo(SkyTarget target);
                    }
                    interface Repository { <K extends Comparable<K>> SkyTarget first(K key); }
                    interface Panel { int set(int a, int b, int c, int d, int e, int f, int g, int h, int i); }
                    interface Pool { Future<?> submit(Runnable task); }
                    WeatherStation weather; Dome roof; NightLog log; Mount mount;
                    Repository repository; Panel panel; Pool pool;
                    Future<?> done; SkyTarget harrow;
                    void test() {
                        String last = "north";
                        last = last + "!";
                        %s;
                    }
                }
                """.formatted(statement.replace("dome::", "roof::"));
        JavaCompiler javac = ToolProvider.getSystemJavaCompiler();
        JavaFileObject file = new TextAsFile("Wrong", source);
        StringWriter said = new StringWriter();
        List<String> options =
                List.of("-proc:none", "-d", folder.toString(), "-cp", System.getProperty("java.class.path"));
        javac.getTask(said, null, null, options, null, List.of(file)).call();
        return said.toString()
                .lines()
                .filter(line -> line.contains(" error: "))
                .findFirst()
                .map(line -> line.substring(line.indexOf(" error: ") + 8))
                .orElse("");
    }
}
