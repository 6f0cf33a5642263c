package dev.zelotype.architecture;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Classes that differ only in the number of free parameters are exactly as their template defines; the formatter breaks
 * the lines. With {@code -Dzelotype.templates=write} the files are written.
 */
class TemplatesTest {

    @Test
    void classes_for_each_arity_are_what_the_templates_say() throws IOException {
        Map<Path, String> written = Templates.written();
        if ("write".equals(System.getProperty("zelotype.templates"))) {
            for (Map.Entry<Path, String> file : written.entrySet()) {
                Files.writeString(file.getKey(), file.getValue());
            }
        }
        assertThat(written).hasSizeGreaterThan(80);
        for (Map.Entry<Path, String> file : written.entrySet()) {
            assertThat(words(Files.readString(file.getKey())))
                    .as("%s: write it again with -Dzelotype.templates=write", file.getKey())
                    .isEqualTo(words(file.getValue()));
        }
    }

    @Test
    void nobody_edits_an_arity_by_hand() throws IOException {
        List<Path> numbered = new ArrayList<>();
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            files.filter(file -> file.getFileName().toString().matches(".*\\d\\.java"))
                    .forEach(numbered::add);
        }
        assertThat(Templates.written().keySet()).containsAll(numbered);
    }

    /** The text without white space, which the formatter changes. */
    private static String words(String text) {
        return text.replaceAll("\\s+", "");
    }
}
