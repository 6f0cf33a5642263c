package dev.zelotype.generate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

import dev.zelotype.generate.GeneratedFile.State;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

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

        Files.writeString(mountStub, Files.readString(mountStub).replace("-> 0", "-> 15"));
        Files.delete(dome);
        assertThat(states(plan(Set.of(Style.STUB), "").write(false))).containsExactly(State.EDITED, State.VANISHED);
        assertThat(mountStub).content().contains("-> 15");
        assertThat(states(plan(Set.of(Style.STUB), "").write(true))).containsExactly(State.EDITED, State.VANISHED);
        assertThat(mountStub).content().doesNotContain("-> 15");
        assertThat(domeStub).exists();
    }

    @Test
    void what_somebody_has_written_is_never_overwritten_whatever_it_is_called() throws IOException {
        source("sky/Dome.java", "package sky; public interface Dome { void open(); }");
        Path written = folder.resolve("out/sky/DomeStub.java");
        Files.createDirectories(written.getParent());
        Files.writeString(written, "package sky; class DomeStub { }");
        for (boolean force : new boolean[] {false, true}) {
            assertThat(states(plan(Set.of(Style.STUB), "").write(force))).containsExactly(State.FOREIGN);
            assertThat(written).hasContent("package sky; class DomeStub { }");
        }
    }

    @Test
    void a_name_that_is_taken_is_refused_and_written_doubles_breed_none() throws IOException {
        source("sky/Socket.java", "package sky; public interface Socket { void send(String text); }");
        source("sky/SocketBase.java", "package sky; public abstract class SocketBase implements Socket { }");
        source("sky/Dome.java", "package sky; public interface Dome { void open(); }");
        Path in = folder.resolve("in");
        for (int round = 0; round < 2; round++) {
            Generator generator = generator(in, "*");
            generator
                    .plan(Set.of(Style.BASE, Style.LINKED), "", in, "./doubles")
                    .write(false);
            assertThat(generator.leftOut())
                    .containsExactly("sky.Socket gets no base: sky.SocketBase is there already, and was not generated"
                            + " into this folder. Write it to another package.");
        }
        assertThat(in.resolve("sky").toFile().list())
                .containsExactlyInAnyOrder(
                        "Socket.java",
                        "SocketBase.java",
                        "SocketBaseBase.java",
                        "Dome.java",
                        "DomeBase.java",
                        "Dome$ZelotypeDouble.java",
                        "Socket$ZelotypeDouble.java",
                        "SocketBase$ZelotypeDouble.java");
        compiled().close();
        Generator ofClasses = generator(folder.resolve("classes"), "*");
        assertThat(ofClasses.plan(Set.of(Style.BASE), "", in, "./doubles").compare())
                .extracting(outcome -> outcome.file().getFileName().toString())
                .containsExactly("DomeBase.java", "SocketBaseBase.java");
    }

    @ParameterizedTest
    @ValueSource(strings = {"in", "in/", "./in", "in/../in", "<absolute>"})
    void types_that_are_gone_are_found_however_paths_are_written(String place) throws IOException {
        source("sky/Dome.java", "package sky; public interface Dome { void open(); }");
        source("sky/Mount.java", "package sky; public interface Mount { int rate(); }");
        String here = Path.of("").toAbsolutePath().relativize(folder).toString();
        planned("--from " + here + "/in --into " + here + "/out").write(false);
        Files.delete(folder.resolve("in/sky/Mount.java"));
        String other = place.equals("<absolute>") ? folder + "/in" : here + "/" + place;
        assertThat(states(planned("--from " + other + " --into " + folder + "/out")
                        .compare()))
                .containsExactly(State.SAME, State.VANISHED);
    }

    private Generator.Plan planned(String again) {
        Generator generator = generator(folder.resolve("in"), "*");
        return generator.plan(Set.of(Style.STUB), "", folder.resolve("out"), "zelotype generate " + again);
    }

    private static List<State> states(List<GeneratedFile> outcomes) {
        return outcomes.stream().map(GeneratedFile::state).toList();
    }

    @Test
    void what_cannot_be_written_is_said_and_nothing_is_guessed() throws IOException {
        Path bad = source("sky/Bad.java", "package sky; public interface Bad { Missing find(); }");
        assertThatThrownBy(() -> plan(ALL, ""))
                .isInstanceOf(GenerateException.class)
                .hasMessageContaining(bad + ":1: cannot find symbol (class Missing)")
                .hasMessageContaining("--class-path");
        source("sky/Bad.java", "package sky; public interface Bad { int find(); long find(); }");
        assertThatThrownBy(() -> plan(ALL, "")).hasMessageContaining("Mend the sources first");
        // Doubles do not depend on method bodies.
        source("sky/Bad.java", "package sky; public abstract class Bad { int find() { return \"half\"; } }");
        assertThat(plan(Set.of(Style.STUB), "").compare()).hasSize(1);
        Files.delete(bad);
        assertThatThrownBy(() -> plan(ALL, "")).hasMessageContaining("There is no .java file in");
        Path statics = source(
                "sky/Statics.java",
                "package sky; public abstract class Statics { public static int now() { return 1; } }");
        assertThatThrownBy(() -> plan(ALL, "")).hasMessageContaining("sky.Statics has only static methods");
        Files.delete(statics);
        source("sky/Final.java", "package sky; public final class Final { }");
        assertThatThrownBy(() -> plan(ALL, "")).hasMessageContaining("No interface and no abstract class was found.");
        Generator generator = new Generator(List.of(), Progress.NONE);
        String cure = ". Give the jar or folder that contains it with --class-path.";
        assertThatThrownBy(() -> generator.addTypes(List.of("sky.Nowhere")))
                .hasMessage("Type sky.Nowhere was not found in the JDK" + cure);
        assertThatThrownBy(() -> generator.addTypes(List.of("sky.*Nowhere")))
                .hasMessage("No interface or abstract class called sky.*Nowhere was found in the JDK" + cure);
        Generator withFolder = new Generator(List.of(folder), Progress.NONE);
        assertThatThrownBy(() -> withFolder.addTypes(List.of("sky.Nowhere")))
                .hasMessage("Type sky.Nowhere was not found in the JDK, nor in " + folder + cure);
        Generator ofBuild = new Generator(Collections.nCopies(40, folder), Progress.NONE);
        assertThatThrownBy(() -> ofBuild.addTypes(List.of("sky.Nowhere")))
                .hasMessage(
                        "Type sky.Nowhere was not found in the JDK, nor in the 40 entries of the class path" + cure);
        assertThatThrownBy(() -> generator.addFrom(List.of(Path.of("no/such/place")), "*"))
                .hasMessageContaining("File or folder no/such/place does not exist");
        assertThat(folder.resolve("out")).doesNotExist();
    }

    @Test
    void what_a_jdk_only_shows_beforehand_is_refused() {
        Map<Integer, String> previews = Map.of(
                17, "com.sun.source.tree.GuardedPatternTree", 25, "java.util.concurrent.StructuredTaskScope.Joiner");
        String preview = previews.get(Runtime.version().feature());
        assumeThat(preview).as("known of this JDK").isNotNull();
        Generator generator = new Generator(List.of(), Progress.NONE);
        generator.addTypes(List.of(preview));
        assertThat(generator.leftOut()).singleElement().asString().contains(preview + " belongs to a preview API");
    }
}
