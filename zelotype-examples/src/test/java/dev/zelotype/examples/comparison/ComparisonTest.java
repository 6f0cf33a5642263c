package dev.zelotype.examples.comparison;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The guide states the correct number of lines for each of three versions of the same test. */
class ComparisonTest {

    @ParameterizedTest
    @CsvSource({"hand-written doubles, ByHandTest", "plain scenes, ScenesTest", "annotations, AnnotationsTest"})
    void the_guide_tells_the_lines(String way, String test) throws IOException {
        List<String> lines =
                Files.readAllLines(Path.of("src/test/java/dev/zelotype/examples/comparison", test + ".java"));
        long counted = lines.stream()
                .filter(line -> !line.isBlank() && !line.startsWith("import ") && !line.startsWith("package "))
                .count();

        assertThat(Files.readString(Path.of("../docs/guide/doubles.md"))).contains("| " + way + " | " + counted + " |");
    }
}
