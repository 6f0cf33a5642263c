package dev.zelotype.examples.libraries;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.doubles.Kind.STUB;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.examples.observatory.NightLog;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Files: existing files are in a temporary folder; a failing disk is simulated by replacing the call that reads.
 */
@WithDoubles
class FilesTest {

    /** Reads the targets of a night from a file. */
    static final class TargetList {
        private final NightLog log;

        TargetList(NightLog log) {
            this.log = log;
        }

        List<String> read(Path file) {
            try {
                return Files.readAllLines(file).stream()
                        .filter(line -> !line.isBlank())
                        .toList();
            } catch (IOException e) {
                log.note("no targets: " + e.getMessage());
                return List.of();
            }
        }
    }

    @StandIn(STUB)
    NightLog log;

    @UnderTest
    TargetList targets;

    @Test
    void each_line_is_a_target(@TempDir Path folder) throws IOException {
        Path file = Files.writeString(folder.resolve("targets.txt"), "Harrow-2\n\nQuill-9\n");

        assertThat(targets.read(file)).containsExactly("Harrow-2", "Quill-9");
    }

    @Test
    void a_disk_that_fails_is_noted() {
        Path file = Path.of("targets.txt");
        suppose(() -> Files.readAllLines(file)).fails(new IOException("disk lost"));

        assertThat(targets.read(file)).isEmpty();

        verify(() -> log.note("no targets: disk lost")).once();
    }
}
