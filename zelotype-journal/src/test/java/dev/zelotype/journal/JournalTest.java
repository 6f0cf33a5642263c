package dev.zelotype.journal;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.Ending;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.Role;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.ValueSource;
import dev.zelotype.conversation.Verb;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.Kind;
import dev.zelotype.doubles.NamedDouble;
import dev.zelotype.journal.JournalScene.Outcome;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class JournalTest {

    @TempDir
    Path folder;

    private static JournalScene scene(String title, Outcome outcome) {
        Conversation.Builder told = Conversation.builder()
                .subject("dev.observatory.NightRun")
                .add(DoubledType.of("dev.observatory.NightLog", List.of("note(String, int)", "size()")))
                .add(NamedDouble.of("log", Kind.SPY, "dev.observatory.NightLog"))
                .note("not needed");
        for (Ending each : Ending.values()) {
            told.add(RecordedCall.builder()
                    .number(each.ordinal() + 1)
                    .caller("dev.observatory.NightRun")
                    .receiver("log")
                    .signature("note(String, int)")
                    .arguments(List.of("\"ab</script>\"", "2"))
                    .ending(each)
                    .role(Role.values()[each.ordinal() % 3])
                    .thread("main")
                    .file("NightRun.java")
                    .line(41)
                    .micros(each.ordinal() * 3_000_000_000L)
                    .tookMicros(each == Ending.RUNNING ? -1 : each.ordinal())
                    .failed(each == Ending.ANSWERED)
                    .argumentSources(
                            each == Ending.REAL
                                    ? List.of(
                                            ValueSource.of("new Note(\"ab\")", List.of("dev.observatory.Note")),
                                            ValueSource.AS_TOLD)
                                    : List.of())
                    .answerSource(
                            each == Ending.THREW
                                    ? ValueSource.unwritten("java.util.function.Consumer")
                                    : ValueSource.AS_TOLD)
                    .build());
        }
        for (Verb verb : Verb.values()) {
            told.add(statement(verb, verb == Verb.SUPPOSED ? Integer.MAX_VALUE : 3));
        }
        return JournalScene.of("NightRunTest#closes", told.build())
                .title(title)
                .group("A night run")
                .ended(outcome, outcome == Outcome.FAILED ? "no" : "")
                .checks(outcome != Outcome.PASSED)
                .build();
    }

    private static TestStatement statement(Verb verb, int max) {
        return TestStatement.builder()
                .verb(verb)
                .receiver("log")
                .signature(verb == Verb.NOTHING_ELSE ? "" : "note(String, int)")
                .text("log.note(\"secret 7\", any int)")
                .min(1)
                .max(max)
                .found(2)
                .parameters(2)
                .pinned(1)
                .place("A.java:3")
                .build();
    }

    private List<JournalScene> read() {
        List<JournalScene> scenes = new ArrayList<>();
        JournalReader.read(folder, scenes::add);
        return scenes;
    }

    @Test
    void what_is_written_is_read_again_from_any_number_of_files() {
        JournalWriter first = new JournalWriter(folder.resolve("new/deep"), null);
        JournalWriter second = new JournalWriter(folder.resolve("new/deep"), null);
        List<JournalScene> written = new ArrayList<>();
        for (Outcome outcome : Outcome.values()) {
            written.add(scene("first " + outcome, outcome));
            written.add(scene("second " + outcome, outcome));
            first.write(written.get(written.size() - 2));
            second.write(written.get(written.size() - 1));
        }
        folder = folder.resolve("new/deep");
        assertThat(read()).usingRecursiveComparison().ignoringCollectionOrder().isEqualTo(written);
    }

    @Test
    void every_line_is_as_the_schema_says() throws IOException {
        JsonSchema schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.readString(Path.of("../docs/journal.schema.json")));
        JournalWriter writer = new JournalWriter(folder, null);
        for (Outcome outcome : Outcome.values()) {
            writer.write(scene("any", outcome));
        }
        List<String> lines = Files.readAllLines(writer.file());
        assertThat(lines)
                .hasSize(2 + 3 * (2 + Ending.values().length + Verb.values().length))
                .allSatisfy(line ->
                        assertThat(schema.validate(line, InputFormat.JSON)).isEmpty());
        assertThat(schema.validate(lines.get(1).replace("methods", "method"), InputFormat.JSON))
                .isNotEmpty();
    }

    @Test
    void what_must_not_be_shown_is_masked_before_it_is_written() throws IOException {
        JournalWriter writer = new JournalWriter(folder, Pattern.compile("secret \\d+|(?<=a)b|^no"));
        writer.write(scene("with secret 12", Outcome.FAILED));
        assertThat(writer.file()).content().doesNotContain("secret").contains("log.note(\\\"***\\\", any int)");
        assertThat(read()).singleElement().satisfies(read -> {
            assertThat(read.title()).isEqualTo("with ***");
            assertThat(read.failure()).isEqualTo("***");
            assertThat(read.conversation().notes()).containsExactly("***t needed");
            assertThat(read.conversation().calls().get(0).arguments().get(0)).startsWith("\"a***<");
        });
    }

    private static JournalChallenge challenge(int runs) {
        return new JournalChallenge(
                runs,
                runs % 2 == 0,
                List.of(new JournalChallenge.Tested("NightRunTest: secret 8", 3, 1, 0)),
                List.of(
                        place(JournalChallenge.NOTICED, "answer", "", ""),
                        place(
                                JournalChallenge.GAP,
                                "lost",
                                "log.note(\"x\") could be left out",
                                "verify(log::note).once();")));
    }

    private static JournalChallenge.Place place(String found, String change, String sentence, String statement) {
        return new JournalChallenge.Place(
                found,
                change,
                "log",
                "dev.observatory.NightLog",
                "note(String, int)",
                "NightRun.java:7",
                sentence,
                statement,
                List.of("NightRunTest: secret 8"));
    }

    @Test
    void what_challenges_found_stands_with_the_scenes_and_the_last_of_a_file_is_the_newest() throws IOException {
        JournalWriter writer = new JournalWriter(folder, null);
        writer.write(challenge(12));
        writer.write(scene("between", Outcome.PASSED));
        writer.write(challenge(13));
        List<JournalChallenge> found = new ArrayList<>();
        Losses losses = JournalReader.read(folder, new JournalSink() {
            @Override
            public void add(JournalChallenge challenge) {
                found.add(challenge);
            }
        });
        assertThat(losses.isEmpty()).isTrue();
        assertThat(found).containsExactly(challenge(12), challenge(13));
        assertThat(found.get(1).count(JournalChallenge.GAP)).isEqualTo(1);
        assertThat(read()).hasSize(1);
        JsonSchema schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.readString(Path.of("../docs/journal.schema.json")));
        assertThat(Files.readAllLines(writer.file()))
                .allSatisfy(line -> assertThat(schema.validate(line, InputFormat.JSON))
                        .as(line)
                        .isEmpty());

        JournalWriter masked = new JournalWriter(folder.resolve("masked"), Pattern.compile("secret \\d+"));
        masked.write(challenge(1));
        assertThat(masked.file()).content().doesNotContain("secret").contains("***");
    }
}
