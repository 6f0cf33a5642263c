package dev.zelotype.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Messages, comments, javadoc and pages contain no phrases that sound translated.
 */
class PlainWordsTest {

    private static final Path ROOT = Path.of("..");

    /** Each starts at the beginning of a word, so the text is searched only there. */
    private static final Pattern PHRASE = Pattern.compile("\\b(?:"
            + String.join(
                    "|",
                    "is no [a-z]+",
                    "are no [a-z]+\\b",
                    "[Nn]obody\\b",
                    "[Aa]nybody\\b",
                    "[Ss]omebody\\b",
                    "of which\\b",
                    "by which\\b",
                    "which no\\b",
                    "anew\\b",
                    "all the same\\b",
                    "leans? on\\b",
                    "runs? away\\b",
                    "ran away\\b",
                    "comes? by\\b",
                    "came by\\b",
                    "asked of\\b",
                    "what (was|is) (said|told|asked)\\b",
                    "says? so\\b",
                    "tells? (of|which|what|where|how|that)\\b",
                    "speaks? of\\b",
                    "has to say\\b",
                    "had to say\\b",
                    "stands? (in|at|on|for|beside|between|there|here)\\b",
                    "for real\\b",
                    "gives? back\\b",
                    "gave back\\b",
                    "comes? back\\b",
                    "wants? (to|that|it)\\b",
                    "does not (want|ask)\\b",
                    "beside (it|them|others?|Zelotype)\\b",
                    "lies? (between|in|beside)\\b",
                    "do without\\b",
                    "at once\\b")
            + ")");

    private static List<String> phrases(Path file, String text) {
        List<String> found = new ArrayList<>();
        Matcher phrase = PHRASE.matcher(text);
        while (phrase.find()) {
            found.add(file.getFileName() + ": " + phrase.group());
        }
        return found;
    }

    private static List<Path> files(Path folder, String... endings) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(file -> Stream.of(endings).anyMatch(file.toString()::endsWith))
                    .toList();
        }
    }

    @Test
    void messages_comments_and_javadoc_are_plain() throws IOException {
        List<String> found = new ArrayList<>();
        int files = 0;
        try (Stream<Path> modules = Files.list(ROOT)) {
            for (Path module : modules.filter(
                            one -> one.getFileName().toString().matches("zelotype(-[a-z-]+)?"))
                    .filter(one -> !one.toString().matches(".*bom"))
                    .toList()) {
                for (Path file : files(module.resolve("src/main"), ".java", ".kt")) {
                    files++;
                    found.addAll(phrases(file, Files.readString(file)));
                }
            }
        }
        assertThat(files).isGreaterThan(400);
        assertThat(found).isEmpty();
    }

    @Test
    void the_guide_is_plain() throws IOException {
        List<Path> pages = new ArrayList<>(files(ROOT.resolve("docs"), ".md"));
        for (String page : List.of("README.md", "CONTRIBUTING.md", "SECURITY.md", "CHANGELOG.md")) {
            pages.add(ROOT.resolve(page));
        }
        List<String> found = new ArrayList<>();
        for (Path page : pages) {
            found.addAll(phrases(page, Files.readString(page)));
        }
        assertThat(pages).hasSizeGreaterThan(10);
        assertThat(found).isEmpty();
    }
}
