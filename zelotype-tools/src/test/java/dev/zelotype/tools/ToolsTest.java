package dev.zelotype.tools;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ToolsTest {

    @TempDir
    Path folder;

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "dev.observatory.NightRun                | dev.observatory.NightRun      | NightRun",
                "dev.observatory.NightRun$Plan           | dev.observatory.NightRun$Plan | Plan",
                "dev.observatory.NightRun$$Lambda/0x7f01 | dev.observatory.NightRun      | NightRun",
                "dev.observatory.NightRun$Plan$2         | dev.observatory.NightRun$Plan | Plan",
                "NightRun                                | NightRun                      | NightRun"
            })
    void names_are_shortened_to_what_people_call_a_class(String binary, String named, String simple) {
        assertThat(TypeNames.named(binary)).isEqualTo(named);
        assertThat(TypeNames.simple(named)).isEqualTo(simple);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "*                   | dev.observatory.Dome | true",
                "*.Dome              | dev.observatory.Dome | true",
                "*Mount, *.Dome      | dev.observatory.Dome | true",
                "dev.observatoryXDome| dev.observatory.Dome | false",
                "dev.observatory.Do  | dev.observatory.Dome | false",
                "dev.*.D*e           | dev.observatory.Dome | true",
                "\\E.*               | dev.observatory.Dome | false"
            })
    void a_star_stands_for_anything_and_all_else_for_itself(String wanted, String name, boolean fits) {
        assertThat(TypeNames.wanted(wanted).matcher(name).matches()).isEqualTo(fits);
    }

    @Test
    void a_file_is_written_whole_or_stays_as_it_was() throws IOException {
        Path file = folder.resolve("deep/er/night.txt");
        WholeFiles.write(file, "first".getBytes(StandardCharsets.UTF_8));
        WholeFiles.write(file, "second".getBytes(StandardCharsets.UTF_8));
        assertThat(file).hasContent("second");

        Path taken = folder.resolve("deep/er");
        assertThatThrownBy(() -> WholeFiles.write(taken, new byte[1])).isInstanceOf(IOException.class);
        assertThat(file).hasContent("second");
        try (Stream<Path> all = Files.walk(folder)) {
            assertThat(all.filter(Files::isRegularFile)).containsExactly(file);
        }
        WholeFiles.delete(folder.resolve("deep"));
        WholeFiles.delete(folder.resolve("deep"));
        assertThat(folder).isEmptyDirectory();
    }
}
