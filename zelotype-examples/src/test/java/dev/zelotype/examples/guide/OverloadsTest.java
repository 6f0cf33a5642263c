package dev.zelotype.examples.guide;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaFileObject;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The page on overloaded methods is correct: it states for each reference whether javac accepts it, and the suggested
 * forms compile.
 */
class OverloadsTest {

    private static final Path PAGE = Path.of("../docs/guide/overloads.md");
    private static final Pattern ROW =
            Pattern.compile("(?m)^\\| `([\\w.<>?, ]+)` \\| `([\\w.:]+)` \\| ([^|]+) \\| `(.+)` \\|$");

    @TempDir
    Path folder;

    /** A method of a type, javac's message for a bare reference to it, and what to write instead. */
    record Row(String type, String reference, String says, String write) {}

    private static List<Row> rows() throws IOException {
        return ROW.matcher(Files.readString(PAGE))
                .results()
                .map((MatchResult row) -> new Row(row.group(1), row.group(2), row.group(3), row.group(4)))
                .toList();
    }

    @Test
    void what_the_page_says_to_write_compiles() throws IOException {
        assertThat(rows()).hasSizeGreaterThanOrEqualTo(43);
        assertThat(errors(rows(), Row::write)).isEmpty();
    }

    @Test
    void the_page_says_of_each_bare_reference_whether_it_compiles() throws IOException {
        List<Row> rows = rows();
        Map<Integer, String> errors = errors(rows, row -> "verify(" + row.reference() + ")");
        List<String> said = new ArrayList<>();
        List<String> found = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            Row row = rows.get(i);
            said.add(row.reference() + ": " + row.says());
            found.add(row.reference() + ": " + errors.getOrDefault(i, "compiles"));
        }
        assertThat(found).isEqualTo(said);
    }

    /** The first line of javac's first error in each row, by the number of the row. */
    private Map<Integer, String> errors(List<Row> rows, Function<Row, String> statement) {
        StringBuilder source = new StringBuilder(
                "import static dev.zelotype.Zelotype.*; import java.io.*; import java.net.http.*; import java.nio.file.*;"
                        + " import java.sql.*; import java.time.*; import java.util.*; import java.util.concurrent.*;"
                        + " import java.util.concurrent.locks.*; import jakarta.jms.*; import jakarta.persistence.*;"
                        + " import jakarta.servlet.http.*; import org.springframework.beans.factory.BeanFactory;"
                        + " import org.springframework.context.ApplicationEventPublisher;"
                        + " import org.springframework.core.env.Environment; import java.util.logging.Logger;"
                        + " import jakarta.jms.Message; import jakarta.persistence.Query; import java.sql.Connection;"
                        + " class Overloads { interface Repository<T, K> { <S extends T> S save(S one);"
                        + " <S extends T> Iterable<S> saveAll(Iterable<S> all);"
                        + " void delete(T one); void delete(Iterable<T> all); }\n");
        for (int i = 0; i < rows.size(); i++) {
            String receiver = rows.get(i).reference().replaceFirst("::.*", "");
            String parameter =
                    Character.isUpperCase(receiver.charAt(0)) ? "" : rows.get(i).type() + " " + receiver;
            source.append("void m").append(i).append("(").append(parameter).append(") throws Throwable { ");
            source.append(statement.apply(rows.get(i))).append("; }\n");
        }
        JavaFileObject file = new TextAsFile("Overloads", source + "}");
        DiagnosticCollector<JavaFileObject> found = new DiagnosticCollector<>();
        List<String> options = List.of(
                "-proc:none",
                "-Xmaxerrs",
                "1000",
                "-d",
                folder.toString(),
                "-cp",
                System.getProperty("java.class.path"));
        ToolProvider.getSystemJavaCompiler()
                .getTask(null, null, found, options, null, List.of(file))
                .call();
        Map<Integer, String> errors = new HashMap<>();
        for (Diagnostic<? extends JavaFileObject> each : found.getDiagnostics()) {
            if (each.getKind() == Diagnostic.Kind.ERROR) {
                String first = each.getMessage(null).lines().findFirst().orElse("");
                errors.putIfAbsent((int) each.getLineNumber() - 2, first);
            }
        }
        return errors;
    }
}
