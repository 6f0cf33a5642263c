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
 * Counts phrases that sound translated, in what users read: messages and the guide. The numbers may only fall.
 */
class PlainWordsTest {

    private static final Path ROOT = Path.of("..");
    private static final int IN_MESSAGES = 18;
    private static final int IN_GUIDE = 6;

    private static final Pattern PHRASE = Pattern.compile(String.join(
            "|",
            "\\bis no [a-z]+",
            "\\bare no [a-z]+\\b",
            "\\b([Nn]obody|[Aa]nybody|[Ss]omebody)\\b",
            "\\b(of|by) which\\b",
            "\\bwhich no\\b",
            "\\banew\\b",
            "\\ball the same\\b",
            "\\bleans? on\\b",
            "\\b(runs?|ran) away\\b",
            "\\b(comes?|came) by\\b",
            "\\basked of\\b",
            "\\bwhat (was|is) (said|told|asked)\\b",
            "\\bsays? so\\b",
            "\\btells? (of|which|what|where|how|that)\\b",
            "\\bspeaks? of\\b",
            "\\bha[sd] to say\\b",
            "\\bstands? (in|at|on|for|beside|between|there|here)\\b",
            "\\bfor real\\b",
            "\\b(gives?|gave) back\\b",
            "\\bcomes? back\\b",
            "\\bwants? (to|that|it)\\b",
            "\\bdoes not (want|ask)\\b",
            "\\blies? (between|in|beside)\\b",
            "\\bdo without\\b",
            "\\bat once\\b"));
    private static final Pattern COMMENT = Pattern.compile("\\s*(\\*|/\\*|//).*");
    private static final Pattern TEXT = Pattern.compile("\"(?:[^\"\\\\]|\\\\.)*\"");

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
    void messages_are_plain() throws IOException {
        List<String> found = new ArrayList<>();
        int texts = 0;
        try (Stream<Path> modules = Files.list(ROOT)) {
            for (Path module : modules.filter(
                            one -> one.getFileName().toString().matches("zelotype(-[a-z-]+)?"))
                    .filter(one -> !one.toString().matches(".*(benchmarks|sweep|bom)"))
                    .toList()) {
                for (Path file : files(module.resolve("src/main/java"), ".java")) {
                    for (String line : Files.readAllLines(file)) {
                        Matcher text = COMMENT.matcher(line).matches() ? TEXT.matcher("") : TEXT.matcher(line);
                        while (text.find()) {
                            texts++;
                            found.addAll(phrases(file, text.group()));
                        }
                    }
                }
            }
        }
        assertThat(texts).isGreaterThan(1000);
        assertThat(found).hasSizeLessThanOrEqualTo(IN_MESSAGES);
    }

    @Test
    void the_guide_is_plain() throws IOException {
        List<Path> pages = new ArrayList<>(files(ROOT.resolve("docs/guide"), ".md"));
        pages.addAll(List.of(ROOT.resolve("README.md"), ROOT.resolve("docs/mistakes.md")));
        List<String> found = new ArrayList<>();
        for (Path page : pages) {
            found.addAll(phrases(page, Files.readString(page)));
        }
        assertThat(pages).hasSizeGreaterThan(10);
        assertThat(found).hasSizeLessThanOrEqualTo(IN_GUIDE);
    }
}
