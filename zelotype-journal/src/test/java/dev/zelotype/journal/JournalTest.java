package dev.zelotype.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.doubles.Conversation;
import dev.zelotype.doubles.Conversation.CallInfo;
import dev.zelotype.doubles.Conversation.DoubleInfo;
import dev.zelotype.doubles.Kind;
import dev.zelotype.journal.JournalScene.Outcome;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class JournalTest {

    @TempDir
    Path folder;

    private static JournalScene scene(String title, Outcome outcome) {
        List<CallInfo> calls = new ArrayList<>();
        for (Conversation.Outcome each : Conversation.Outcome.values()) {
            calls.add(new CallInfo(
                    calls.size() + 1,
                    "dev.observatory.NightRun",
                    "log",
                    "note",
                    List.of("\"a\n\u2028</script>\"", "2"),
                    "",
                    each,
                    "main",
                    "NightRun.java",
                    41));
        }
        return new JournalScene(
                "NightRunTest#closes",
                title,
                "A night run",
                outcome,
                outcome == Outcome.FAILED ? "no" : "",
                new Conversation(
                        List.of(new DoubleInfo("log", Kind.SPY, "dev.observatory.NightLog")),
                        calls,
                        List.of("not needed")));
    }

    private List<JournalScene> read() {
        List<JournalScene> scenes = new ArrayList<>();
        JournalReader.read(folder, scenes::add);
        return scenes;
    }

    @Test
    void what_is_written_is_read_again_from_any_number_of_files() {
        JournalWriter first = new JournalWriter(folder.resolve("new/deep"));
        JournalWriter second = new JournalWriter(folder.resolve("new/deep"));
        List<JournalScene> written = new ArrayList<>();
        for (Outcome outcome : Outcome.values()) {
            written.add(scene("first " + outcome, outcome));
            written.add(scene("second " + outcome, outcome));
            first.write(written.get(written.size() - 2));
            second.write(written.get(written.size() - 1));
        }
        folder = folder.resolve("new/deep");
        assertThat(read()).containsExactlyInAnyOrderElementsOf(written);
    }

    @Test
    void a_last_line_that_was_cut_off_is_passed_over() throws IOException {
        JournalWriter writer = new JournalWriter(folder);
        writer.write(scene("whole", Outcome.PASSED));
        long whole = Files.size(writer.file());
        writer.write(scene("torn", Outcome.PASSED));
        String all = Files.readString(writer.file());
        for (long cut = whole + 1; cut < all.length() - 1; cut += 7) {
            Files.writeString(writer.file(), all.substring(0, (int) cut));
            assertThat(read())
                    .as("cut at %s", cut)
                    .extracting(JournalScene::title)
                    .containsExactly("whole");
        }
    }

    @Test
    void what_cannot_be_read_is_said_clearly() throws IOException {
        assertThatThrownBy(this::read)
                .isInstanceOf(JournalException.class)
                .hasMessageContaining("There is no journal in");
        JournalWriter writer = new JournalWriter(folder);
        Files.writeString(writer.file(), "{oops}\n{\"end\":1}\n", StandardOpenOption.APPEND);
        assertThatThrownBy(this::read).hasMessageContaining("Line 2 of the journal");
        Files.writeString(writer.file(), "{\"journal\":2}\n");
        assertThatThrownBy(this::read).hasMessageContaining("is of version 2").hasMessageContaining("up to version 1");
        Files.writeString(writer.file(), "{\"other\":2}\n");
        assertThatThrownBy(this::read).hasMessageContaining("is no Zelotype journal");
        assertThatThrownBy(() -> new JournalWriter(writer.file())).hasMessageContaining("No journal can be written to");
    }
}
