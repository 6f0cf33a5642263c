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
 * No phrase that sounds translated is in messages, comments, javadoc or pages.
 */
class PlainWordsTest {

    private static final Path ROOT = Path.of("..");

    private static final Pattern PHRASE = Pattern.compile(String.join(
            "|",
            "\\bis no [a-z]+",
            "\\bare no [a-z]+\\b",
            "\\b[Nn]obody\\b",
            "\\b[Aa]nybody\\b",
            "\\b[Ss]omebody\\b",
            "\\bof which\\b",
            "\\bby which\\b",
            "\\bwhich no\\b",
            "\\banew\\b",
            "\\ball the same\\b",
            "\\bleans? on\\b",
            "\\bruns? away\\b",
            "\\bran away\\b",
            "\\bcomes? by\\b",
            "\\bcame by\\b",
            "\\basked of\\b",
            "\\bwhat (was|is) (said|told|asked)\\b",
            "\\bsays? so\\b",
            "\\btells? (of|which|what|where|how|that)\\b",
            "\\bspeaks? of\\b",
            "\\bhas to say\\b",
            "\\bhad to say\\b",
            "\\bstands? (in|at|on|for|beside|between|there|here)\\b",
            "\\bfor real\\b",
            "\\bgives? back\\b",
            "\\bgave back\\b",
            "\\bcomes? back\\b",
            "\\bwants? (to|that|it)\\b",
            "\\bdoes not (want|ask)\\b",
            "\\bbeside (it|them|others?|Zelotype)\\b",
            "\\blies? (between|in|beside)\\b",
            "\\bdo without\\b",
            "\\bat once\\b"));

    private static List<String> phrases(Path file, String text) {
        List<String> found = new ArrayList<>();
        Matcher phrase = PHRASE.matcher(text);
        while (phrase.find()) {
            found.add(file.getFileName() + ": " + phrase.group());
        }
        return found;
    }

    private static List<Path> files(Path folder, String ending) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(file -> file.toString().endsWith(ending)).toList();
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
                for (Path file : files(module.resolve("src/main/java"), ".java")) {
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
        pages.addAll(List.of(ROOT.resolve("README.md"), ROOT.resolve("CONTRIBUTING.md")));
        List<String> found = new ArrayList<>();
        for (Path page : pages) {
            found.addAll(phrases(page, Files.readString(page)));
        }
        assertThat(pages).hasSizeGreaterThan(10);
        assertThat(found).isEmpty();
    }
}
