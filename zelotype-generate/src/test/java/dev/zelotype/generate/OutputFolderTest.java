package dev.zelotype.generate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.generate.Outcome.State;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class OutputFolderTest extends Workshop {

    @Test
    void files_are_written_once_kept_when_edited_and_missed_when_their_type_is_gone() throws IOException {
        Path dome = source("sky/Dome.java", "package sky; public interface Dome { void open(); }");
        source("sky/Mount.java", "package sky; public interface Mount { int rate(); }");
        Path domeStub = folder.resolve("out/sky/DomeStub.java");
        Path mountStub = folder.resolve("out/sky/MountStub.java");
        assertThat(states(plan(Set.of(Style.STUB), "").compare())).containsExactly(State.NEW, State.NEW);
        assertThat(folder.resolve("out")).doesNotExist();

        plan(Set.of(Style.STUB), "").write(false);
        assertThat(states(plan(Set.of(Style.STUB), "").compare())).containsExactly(State.SAME, State.SAME);
        var written = Files.getLastModifiedTime(domeStub);
        source("sky/Mount.java", "package sky; public interface Mount { int rate(); int speed(); }");
        assertThat(states(plan(Set.of(Style.STUB), "").write(false))).containsExactly(State.SAME, State.STALE);
        assertThat(Files.getLastModifiedTime(domeStub)).as("untouched").isEqualTo(written);
        assertThat(mountStub).content().contains("speedAnswers");

        Files.writeString(mountStub, Files.readString(mountStub).replace("= 0", "= 15"));
        Files.delete(dome);
        assertThat(states(plan(Set.of(Style.STUB), "").write(false))).containsExactly(State.EDITED, State.VANISHED);
        assertThat(mountStub).content().contains("= 15");
        assertThat(states(plan(Set.of(Style.STUB), "").write(true))).containsExactly(State.EDITED, State.VANISHED);
        assertThat(mountStub).content().doesNotContain("= 15");
        assertThat(domeStub).exists();
    }

    private static List<State> states(List<Outcome> outcomes) {
        return outcomes.stream().map(Outcome::state).toList();
    }

    @Test
    void what_cannot_be_written_is_said_and_nothing_is_guessed() throws IOException {
        Path bad = source("sky/Bad.java", "package sky; public interface Bad { Missing find(); }");
        assertThatThrownBy(() -> plan(ALL, ""))
                .isInstanceOf(GenerateException.class)
                .hasMessageContaining("Bad.java:1: cannot find symbol")
                .hasMessageContaining("--class-path");
        Files.delete(bad);
        assertThatThrownBy(() -> plan(ALL, "")).hasMessageContaining("There is no .java file in");
        source("sky/Final.java", "package sky; public final class Final { }");
        assertThatThrownBy(() -> plan(ALL, "")).hasMessageContaining("No interface and no abstract class was found.");
        Generator generator = new Generator(List.of(), Progress.NONE);
        assertThatThrownBy(() -> generator.addTypes(List.of("sky.Nowhere")))
                .hasMessageContaining("There is no type sky.Nowhere");
        assertThatThrownBy(() -> generator.addFrom(List.of(Path.of("no/such/place")), "*"))
                .hasMessageContaining("There is no file or folder no/such/place");
        assertThat(folder.resolve("out")).doesNotExist();
    }
}
