package dev.zelotype.architecture;

import com.samskivert.mustache.Mustache;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Generates the classes that differ only in the number of free parameters, from the templates in {@code src/templates}.
 * To write them, run {@code TemplatesTest} with {@code -Dzelotype.templates=write}, and then the formatter.
 */
final class Templates {

    /** The maximum number of free parameters; the only place to change it. */
    static final int MOST = 8;

    private static final Path TEMPLATES = Path.of("src/templates");
    private static final Path SOURCES = Path.of("src/main/java/dev/zelotype");
    private static final List<String> ORDINALS =
            List.of("first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth");
    private static final List<String> WORDS =
            List.of("no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine");

    private Templates() {}

    /** The result of all templates: the files in the source folder, with their text before formatting. */
    static Map<Path, String> written() {
        Map<Path, String> files = new TreeMap<>();
        for (String shape : List.of("Query", "Act", "AroundQuery", "AroundAct")) {
            eachArity(files, shape, "call", 0);
        }
        eachArity(files, "Where", "call", 1);
        eachArity(files, "Args", "call", 2);
        for (String stage : List.of("SupposedQuery", "SupposedAct", "ExpectedQuery", "ExpectedAct", "Check")) {
            eachArity(files, stage, "stage", 0);
        }
        eachArity(files, "Recorded", "stage", 2);
        Map<String, Object> permits = Map.of(
                "permits",
                IntStream.rangeClosed(2, MOST).mapToObj(n -> "Recorded" + n).collect(Collectors.joining(", ")));
        files.put(SOURCES.resolve("stage/Recorded.java"), text("RecordedOfAll", permits));
        List<Map<String, Object>> arities =
                IntStream.rangeClosed(0, MOST).mapToObj(Templates::arity).toList();
        files.put(SOURCES.resolve("Zelotype.java"), text("Zelotype", Map.of("arities", arities)));
        files.put(SOURCES.resolve("call/WrittenPattern.java"), text("WrittenPattern", Map.of("arities", arities)));
        return files;
    }

    private static void eachArity(Map<Path, String> files, String template, String room, int least) {
        for (int n = least; n <= MOST; n++) {
            files.put(SOURCES.resolve(room).resolve(template + n + ".java"), text(template, arity(n)));
        }
    }

    private static String text(String template, Map<String, Object> values) {
        try {
            return Mustache.compiler()
                    .escapeHTML(false)
                    .compile(Files.readString(TEMPLATES.resolve(template + ".mustache")))
                    .execute(values);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Map<String, Object> arity(int n) {
        List<Map<String, String>> params = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            params.add(Map.of("type", letter(i), "ordinal", ORDINALS.get(i)));
        }
        String parameters = WORDS.get(n) + " free parameter" + (n == 1 ? "" : "s");
        Map<String, Object> values = new LinkedHashMap<>();
        values.put("n", n);
        values.put("params", params);
        values.put("some", n > 0);
        values.put("several", n > 1);
        values.put("word", WORDS.get(n));
        values.put("count", parameters);
        values.put("free", parameters);
        values.put("types", each(n, Templates::letter));
        values.put("bounded", each(n, i -> letter(i) + " extends @Nullable Object"));
        values.put("parameters", each(n, i -> letter(i) + " " + ORDINALS.get(i)));
        values.put("objects", each(n, i -> "@Nullable Object " + ORDINALS.get(i)));
        values.put("anything", each(n, i -> "@Nullable Object"));
        values.put("wildcards", each(n, i -> "?"));
        values.put("names", each(n, ORDINALS::get));
        values.put("rows", each(n, i -> "row." + ORDINALS.get(i) + "()"));
        values.put("casts", casts(n));
        values.put("key", n == 1 ? "A" : "Args" + n + "<" + each(n, Templates::letter) + ">");
        values.put("tuple", n == 1 ? casts(1) : "new Args" + n + "<>(" + casts(n) + ")");
        String untyped = each(n, i -> "arguments[" + i + "]");
        values.put("untyped", n == 1 ? untyped : "new Args" + n + "<>(" + untyped + ")");
        return values;
    }

    private static String letter(int i) {
        return String.valueOf((char) ('A' + i));
    }

    private static String casts(int n) {
        return each(n, i -> "(" + letter(i) + ") arguments[" + i + "]");
    }

    private static String each(int n, Function<Integer, String> text) {
        return IntStream.range(0, n).boxed().map(text).collect(Collectors.joining(", "));
    }
}
