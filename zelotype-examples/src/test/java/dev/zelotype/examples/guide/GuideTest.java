package dev.zelotype.examples.guide;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every block of Java that the guide and the README show stands in a test or an example of this module, where it runs.
 */
class GuideTest {

    private static final Pattern LINK = Pattern.compile("]\\(([^)\\s]+)\\)");
    private static final Pattern BLOCK = Pattern.compile("```java\n(.*?)```", Pattern.DOTALL);

    static List<Path> pages() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("../docs/guide"))) {
            List<Path> pages = new ArrayList<>(files.sorted().toList());
            pages.add(Path.of("../README.md"));
            return pages;
        }
    }

    @ParameterizedTest
    @MethodSource("pages")
    void every_block_of_java_is_run(Path page) throws IOException {
        String sources = flat(sources());
        List<String> blocks = BLOCK.matcher(Files.readString(page))
                .results()
                .map(MatchResult::group)
                .toList();
        assertThat(blocks).allSatisfy(block -> {
            for (String part : block.replace("```java", "").replace("```", "").split("\n\n|\n *\\.\\.\\.\n")) {
                assertThat(sources.contains(flat(part)))
                        .as("stands in a test: %s", part)
                        .isTrue();
            }
        });
    }

    @ParameterizedTest
    @MethodSource("pages")
    void every_link_leads_somewhere(Path page) throws IOException {
        List<String> links = LINK.matcher(Files.readString(page))
                .results()
                .map(found -> found.group(1))
                .filter(link -> !link.startsWith("http") && !link.startsWith("#"))
                .toList();
        assertThat(links)
                .isNotEmpty()
                .allSatisfy(link -> assertThat(page.resolveSibling(link.replaceFirst("#.*", "")))
                        .exists());
    }

    private static String sources() throws IOException {
        StringBuilder all = new StringBuilder();
        for (String place : List.of("src", "target/generated-test-sources/test-annotations")) {
            try (Stream<Path> files = Files.walk(Path.of(place))) {
                for (Path file :
                        files.filter(path -> path.toString().endsWith(".java")).toList()) {
                    all.append(Files.readString(file)).append('\n');
                }
            }
        }
        return all.toString();
    }

    private static String flat(String code) {
        return code.replaceAll("\\s+", "");
    }
}
