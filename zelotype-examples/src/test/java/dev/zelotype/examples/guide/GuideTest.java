package dev.zelotype.examples.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Each Java block of the guide and the README is code that this module compiles and runs: the statements of the block
 * are consecutive statements of a method that is called, or its members are members of a class.
 */
class GuideTest {

    private static final Pattern LINK = Pattern.compile("]\\(([^)\\s]+)\\)");
    private static final Pattern BLOCK = Pattern.compile("```java\n(.*?)```", Pattern.DOTALL);
    /** Blank lines, and lines that mark an omission, separate parts that need not be consecutive. */
    private static final Pattern BETWEEN_PARTS = Pattern.compile("\n\n|\n *\\.\\.\\.\n");

    private static CodeThatRuns code;

    @BeforeAll
    static void read() throws IOException {
        code = new CodeThatRuns(List.of(
                Path.of("src"),
                Path.of("target/generated-test-sources/test-annotations"),
                Path.of("../zelotype-spring/src/test"),
                Path.of("../zelotype-cdi/src/test"),
                Path.of("../consumer/with-junit-4/src/test")));
    }

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
        List<String> blocks = BLOCK.matcher(Files.readString(page))
                .results()
                .map(found -> found.group(1))
                .toList();
        for (String block : blocks) {
            for (String part : BETWEEN_PARTS.split(block)) {
                String problem = code.problemOf(part);
                if (!problem.isEmpty()) {
                    fail(problem + ":\n" + part);
                }
            }
        }
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
}
