package dev.zelotype.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.Ending;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.Kind;
import dev.zelotype.doubles.NamedDouble;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Damage in a journal costs only its own scene, and is reported once.
 */
class DamageTest {

    private static final int SCENES = 4;
    private static final int SEEDED = 1_000;

    @TempDir
    Path folder;

    private byte[] whole;

    private static JournalScene scene(int number) {
        String type = "dev.observatory.Log" + number;
        Conversation.Builder told = Conversation.builder()
                .subject("dev.observatory.NightRun")
                .add(DoubledType.of(type, List.of("note(String)")))
                .add(NamedDouble.of("log", Kind.SPY, type));
        for (int i = 1; i <= 2; i++) {
            told.add(RecordedCall.builder()
                    .number(i)
                    .caller("dev.observatory.NightRun")
                    .receiver("log")
                    .signature("note(String)")
                    .arguments(List.of("\"Größe é " + i + "\""))
                    .ending(Ending.ANSWERED)
                    .thread("main")
                    .build());
        }
        told.add(TestStatement.builder()
                .verb(Verb.VERIFIED)
                .receiver("log")
                .signature("note(String)")
                .min(1)
                .build());
        return JournalScene.of("NightRunTest#number" + number, told.build())
                .title("number " + number)
                .build();
    }

    private static String title(int number) {
        return "number " + number;
    }

    @BeforeEach
    void write() throws IOException {
        JournalWriter writer = new JournalWriter(folder, null);
        for (int i = 1; i <= SCENES; i++) {
            writer.write(scene(i));
        }
        whole = Files.readAllBytes(writer.file());
        Files.delete(writer.file());
    }

    private Path file() {
        return folder.resolve("zelotype-1.jsonl");
    }

    private record Result(List<String> titles, Losses losses) {}

    private Result read(byte[] content) throws IOException {
        Files.write(file(), content);
        List<String> titles = new ArrayList<>();
        Losses losses = JournalReader.read(folder, scene -> titles.add(scene.title()));
        return new Result(titles, losses);
    }

    /** The number of scenes that end at or before a position. */
    private int wholeBefore(int place) {
        int scenes = 0;
        int ends = 0;
        String text = new String(whole, 0, place, StandardCharsets.ISO_8859_1);
        for (String line : text.split("(?<=\n)")) {
            ends += line.length();
            // A line is complete with its last bracket.
            boolean closed = line.endsWith("\n") || line.endsWith("}");
            scenes += line.startsWith("{\"end\"") && closed && line.contains("\"notes\":[") && balanced(line) ? 1 : 0;
        }
        assertThat(ends).isEqualTo(text.length());
        return scenes;
    }

    private static boolean balanced(String line) {
        return line.chars().filter(c -> c == '{').count()
                == line.chars().filter(c -> c == '}').count();
    }

    @Test
    void cut_at_every_byte_it_keeps_every_scene_before_the_cut() throws IOException {
        for (int cut = 0; cut < whole.length; cut++) {
            int expected = wholeBefore(cut);
            Result result = read(Arrays.copyOf(whole, cut));
            assertThat(result.titles())
                    .as("cut at %s", cut)
                    .isEqualTo(Stream.iterate(1, i -> i + 1)
                            .limit(expected)
                            .map(DamageTest::title)
                            .toList());
        }
    }

    @Test
    void a_damaged_byte_costs_at_most_the_scene_it_stands_in() throws IOException {
        Random random = new Random(4711);
        List<Integer> lineOfScene = sceneOfEachByte();
        for (int i = 0; i < SEEDED; i++) {
            byte[] damaged = whole.clone();
            int place = random.nextInt(whole.length);
            byte instead = (byte) random.nextInt(256);
            if (isVersion(place) && Character.isDigit(instead)) {
                // A different version is refused with a message about the version.
                continue;
            }
            damaged[place] = instead;
            Result result = read(damaged);
            List<String> expected = new ArrayList<>();
            for (int number = 1; number <= SCENES; number++) {
                boolean hit = lineOfScene.get(place) == number;
                if (!hit) {
                    expected.add(title(number));
                }
            }
            assertThat(result.titles())
                    .as("byte %s became %s", place, damaged[place])
                    .containsAll(expected.stream()
                            .filter(title -> !nextToABreak(place, title))
                            .toList());
            assertThat(result.losses().lines())
                    .allMatch(line -> !line.contains("Exception") && !line.contains("java."));
        }
    }

    @Test
    void a_damaged_head_costs_no_scene() throws IOException {
        int head = new String(whole, StandardCharsets.ISO_8859_1).indexOf('\n');
        for (int place = 0; place < head; place++) {
            for (char instead : "W{}\",:".toCharArray()) {
                byte[] damaged = whole.clone();
                damaged[place] = (byte) instead;
                assertThat(read(damaged).titles())
                        .as("byte %s became %s", place, instead)
                        .hasSize(SCENES);
            }
        }
    }

    /** The digit of the version, and the position at which a second digit could be. */
    private static boolean isVersion(int place) {
        int version = "{\"journal\":".length();
        return place == version || place == version + 1;
    }

    /** A damaged line break joins two lines, possibly of two scenes. */
    private boolean nextToABreak(int place, String title) {
        return whole[place] == '\n'
                && place + 1 < whole.length
                && title.equals(title(sceneOfEachByte().get(place + 1)));
    }

    private List<Integer> sceneOfEachByte() {
        List<Integer> scenes = new ArrayList<>();
        int scene = 0;
        for (String line : new String(whole, StandardCharsets.ISO_8859_1).split("(?<=\n)")) {
            scene += line.startsWith("{\"scene\"") ? 1 : 0;
            int of = line.startsWith("{\"type\"") || line.startsWith("{\"journal\"") ? 0 : scene;
            for (int i = 0; i < line.length(); i++) {
                scenes.add(of);
            }
        }
        return scenes;
    }

    @Test
    @Timeout(20)
    void only_regular_files_are_read() throws IOException, InterruptedException {
        Files.write(folder.resolve("a.jsonl"), whole);
        Files.createDirectory(folder.resolve("folder.jsonl"));
        List<String> odd = new ArrayList<>(List.of("folder.jsonl"));
        if (Files.exists(Path.of("/dev/zero"))) {
            Files.createSymbolicLink(folder.resolve("endless.jsonl"), Path.of("/dev/zero"));
            Process pipe =
                    new ProcessBuilder("mkfifo", folder.resolve("pipe.jsonl").toString()).start();
            assertThat(pipe.waitFor()).isZero();
            odd.addAll(List.of("endless.jsonl", "pipe.jsonl"));
        }
        List<String> titles = new ArrayList<>();
        Losses losses = JournalReader.read(folder, scene -> titles.add(scene.title()));
        assertThat(titles).hasSize(SCENES);
        for (String each : odd) {
            assertThat(losses.lines()).anyMatch(line -> line.contains(each + ": it is not a regular file"));
        }
    }

    private record Case(String name, UnaryOperator<String> damage, List<Integer> kept, String told) {

        @Override
        public String toString() {
            return name;
        }
    }

    private static Case damage(String name, String from, String to, List<Integer> kept, String told) {
        return new Case(name, text -> text.replaceFirst(from, to), kept, told);
    }

    /** A line of any kind is found after a truncated line: here one that was cut in the middle of the last scene. */
    private static Case cut(String kind, String next) {
        return new Case(
                "a cut line, then " + kind,
                text -> text.replaceFirst("(?s)(\\{\"call\":2,\"scene\":4,\"from)[^\n]*\n.*", "$1" + next + "\n"),
                List.of(1, 2, 3),
                "it was cut off");
    }

    static Stream<Case> cases() {
        List<Integer> all = List.of(1, 2, 3, 4);
        List<Integer> butFirst = List.of(2, 3, 4);
        return Stream.of(
                new Case("nothing", text -> text, all, null),
                new Case("a byte order mark", text -> "\ufeff" + text, all, null),
                new Case("line breaks of Windows", text -> text.replace("\n", "\r\n"), all, null),
                new Case("blank lines", text -> text.replace("\n", "\n\n  \n"), all, null),
                new Case("an unknown line", text -> text.replace("{\"end\"", "{\"later\":[1]}\n{\"end\""), all, null),
                new Case("an unknown field", text -> text.replace("{\"call\"", "{\"later\":{},\"call\""), all, null),
                new Case("nothing at all", text -> "", List.of(), "it is empty"),
                new Case("zeros", text -> "\0".repeat(200), List.of(), "it is not a JSON object"),
                new Case("something else", text -> "{\"other\":2}\n", List.of(), "not a Zelotype journal"),
                new Case("a torn first line", text -> text.substring(5), all, "it is not a JSON object"),
                damage("a null", "\"thread\":\"main\"", "\"thread\":null", butFirst, "\"thread\" is not a text"),
                damage("a text for a number", "\"line\":0", "\"line\":\"x\"", butFirst, "\"line\" must be a number"),
                damage("a negative number", "\"line\":0", "\"line\":-3", butFirst, "\"line\" must be a number"),
                damage("a huge number", "\"line\":0", "\"line\":99999999999", butFirst, "\"line\" is too large"),
                damage("a number for a text", "\"answer\":\"\"", "\"answer\":7", butFirst, "\"answer\" is not a text"),
                damage(
                        "a text for a list",
                        "\"arguments\":\\[[^]]*]",
                        "\"arguments\":\"x\"",
                        butFirst,
                        "is not a list"),
                damage("an unknown word", "\"outcome\":\"answered\"", "\"outcome\":\"odd\"", butFirst, "is none of"),
                damage("an unknown kind", "\"kind\":\"spy\"", "\"kind\":\"odd\"", butFirst, "\"kind\" is none of"),
                damage("a flag that is none", "\"query\":false", "\"query\":1", butFirst, "is neither true nor false"),
                damage("no end", "\\{\"end\":1[^\n]*\n", "", butFirst, "the scene before it has no end"),
                damage("no beginning", "\\{\"scene\":1[^\n]*\n", "", butFirst, "the beginning of its scene is missing"),
                damage("half a line", "(\\{\"call\":2,\"sc)[^\n]*\n", "$1", butFirst, "it "),
                cut(
                        "a claim",
                        "{\"claim\":\"kept\",\"of\":\"X\",\"method\":\"m()\","
                                + "\"text\":\"x.m()\",\"place\":\"\",\"real\":\"Y\"}"),
                cut("a challenge", "{\"challenge\":3,\"complete\":true}"),
                cut("a loss", "{\"missing\":2,\"why\":\"disk\"}"),
                new Case(
                        "half a scene, then whole ones",
                        text -> text.replaceFirst("(?s)(\\{\"call\":2,\"sc)[^\n]*\n.*?(\\{\"type\")", "$1$2"),
                        butFirst,
                        "it was cut off"));
    }

    @ParameterizedTest
    @MethodSource
    void cases(Case damage) throws IOException {
        String text = new String(whole, StandardCharsets.UTF_8);
        Result result = read(damage.damage().apply(text).getBytes(StandardCharsets.UTF_8));
        assertThat(result.titles())
                .isEqualTo(damage.kept().stream().map(DamageTest::title).toList());
        if (damage.told() == null) {
            assertThat(result.losses().isEmpty()).isTrue();
            assertThat(result.losses().lines()).isEmpty();
        } else {
            assertThat(String.join("\n", result.losses().lines()))
                    .contains("zelotype-1.jsonl")
                    .contains(damage.told());
        }
    }

    @Test
    void a_file_that_is_there_twice_is_read_once_and_a_newer_version_is_refused() throws IOException {
        Files.write(folder.resolve("zelotype-1 (copy).jsonl"), whole);
        Result result = read(whole);
        assertThat(result.titles()).hasSize(SCENES);
        assertThat(result.losses().lines()).anyMatch(line -> line.contains("were read from another file already"));
        byte[] newer = new String(whole, StandardCharsets.UTF_8)
                .replace("{\"journal\":1", "{\"journal\":2")
                .getBytes(StandardCharsets.UTF_8);
        assertThatThrownBy(() -> read(newer))
                .isInstanceOf(JournalException.class)
                .hasMessageContaining("is of version 2")
                .hasMessageContaining("up to version 1");
        Path nowhere = folder.resolve("nowhere");
        assertThatThrownBy(() -> JournalReader.read(nowhere, scene -> {}))
                .hasMessageContaining("No journal was found in " + nowhere);
    }

    @Test
    void what_cannot_be_written_leaves_the_file_as_it_was_and_is_told_later() throws IOException {
        Path target = folder.resolve("journal");
        JournalWriter writer = new JournalWriter(target, null);
        writer.write(scene(1));
        byte[] before = Files.readAllBytes(writer.file());
        Path aside = Files.move(target, folder.resolve("aside"));
        Files.writeString(target, "in the way");
        for (int lost = 2; lost <= 3; lost++) {
            JournalScene scene = scene(lost);
            assertThatThrownBy(() -> writer.write(scene))
                    .isInstanceOf(JournalException.class)
                    .hasMessageContaining("cannot be written: ")
                    .hasMessageContaining("Give a folder that can be written to");
        }
        Files.delete(target);
        Files.move(aside, target);
        assertThat(writer.file()).hasBinaryContent(before);
        writer.write(scene(4));
        List<String> titles = new ArrayList<>();
        Losses losses = JournalReader.read(target, scene -> titles.add(scene.title()));
        assertThat(titles).containsExactly(title(1), title(4));
        assertThat(losses.scenes()).isEqualTo(2);
        assertThat(losses.lines().get(0)).isEqualTo("2 scenes of 4 could not be read:");
    }
}
