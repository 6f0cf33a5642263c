package dev.zelotype.cli;

import static java.util.stream.Collectors.toCollection;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * The table of changes in CONTRIBUTING is correct: the files of each row are those that contain an earlier change of
 * this kind.
 */
class ChangesTest {

    private static final Path ROOT = Path.of("..");
    private static final Pattern ROW = Pattern.compile("(?m)^\\| (an? [^|]+) \\| (`[^|]+) \\|$");
    private static final Pattern FILE = Pattern.compile("`([\\w.]+)`");

    /**
     * An earlier change.
     *
     * @param example what to search for
     * @param places where to search
     */
    private record Earlier(String example, String... places) {}

    private static final Map<String, Earlier> EARLIER = Map.of(
            "a count", new Earlier("\\bbetween\\(int", "zelotype"),
            "a kind of doubles", new Earlier("\\bFAKE\\b", "zelotype", "zelotype-junit"),
            "a setting of a scene", new Earlier("\\btasksFollow\\b", "zelotype", "zelotype-journal"),
            "a line of the journal",
                    new Earlier("\\bMISSING\\b|\"missing\"", "zelotype-journal", "docs/journal.schema.json"),
            "a change that a challenge makes",
                    new Earlier(
                            "\\bTWICE\\b|\\btwice,|\"twice\"",
                            "zelotype-challenge",
                            "zelotype-journal",
                            "zelotype-cli",
                            "zelotype-maven-plugin",
                            "docs/journal.schema.json"),
            "a rule of advice", new Earlier("\\bALL_ARGUMENTS_PINNED\\b", "zelotype-report", "zelotype-cli"),
            "a format of stories", new Earlier("\"mermaid\"|class Mermaid", "zelotype-report", "zelotype-cli"),
            "a style of doubles as source", new Earlier("\\bSTRICT\\b", "zelotype-generate", "zelotype-cli"),
            "a number of parameters", new Earlier("\\bMOST = 8\\b", "zelotype/src/test"));

    @Test
    void the_files_of_a_change_are_those_that_contributing_names() throws IOException {
        List<MatchResult> rows = ROW.matcher(Files.readString(ROOT.resolve("CONTRIBUTING.md")))
                .results()
                .toList();
        assertThat(rows).extracting(row -> row.group(1)).containsExactlyInAnyOrderElementsOf(EARLIER.keySet());
        for (MatchResult row : rows) {
            Set<String> named = FILE.matcher(row.group(2))
                    .results()
                    .map(file -> file.group(1))
                    .collect(toCollection(TreeSet::new));
            assertThat(filesOf(EARLIER.get(row.group(1)))).as(row.group(1)).isEqualTo(named);
        }
    }

    private static Set<String> filesOf(Earlier change) throws IOException {
        Pattern example = Pattern.compile(change.example());
        Set<String> files = new TreeSet<>();
        for (String place : change.places()) {
            Path from = ROOT.resolve(place);
            Path sources = place.startsWith("zelotype") && !place.contains("/") ? from.resolve("src/main/java") : from;
            try (Stream<Path> all = Files.walk(sources)) {
                all.filter(Files::isRegularFile)
                        .filter(file -> example.matcher(read(file)).find())
                        .forEach(file -> files.add(file.getFileName().toString().replaceFirst("\\.java$", "")));
            }
        }
        return files;
    }

    private static String read(Path file) {
        try {
            return Files.readString(file, StandardCharsets.ISO_8859_1);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
