package dev.zelotype.benchmarks;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.Ending;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.Kind;
import dev.zelotype.doubles.NamedDouble;
import dev.zelotype.journal.JournalReader;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalWriter;
import dev.zelotype.report.site.Site;
import dev.zelotype.report.site.StoryPage;
import dev.zelotype.report.story.Story;
import dev.zelotype.report.story.TextStory;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Writes journals of unusually large tests, and shows each as text, as a page or in a report.
 *
 * <p>Given {@code write} and a folder, it writes the journals. Given {@code text}, {@code page} or {@code report}, the
 * folder and the name of a journal, it prints the milliseconds of reading and telling, and the megabytes of the page.
 */
public final class LongStories {

    private static final int WIDTH = 100;
    private static final String TYPE = "dev.observatory.Instrument";

    private LongStories() {}

    public static void main(String[] arguments) throws IOException {
        Path folder = Path.of(arguments[1]);
        if (arguments[0].equals("write")) {
            write(folder, "calls", scene(200_000, 3, 4, ""));
            write(folder, "doubles", scene(5_000, 500, 4, ""));
            write(folder, "methods", scene(5_000, 1, 5_000, ""));
            write(folder, "arguments", scene(20, 1, 4, "x".repeat(1_000_000)));
            return;
        }
        Path own = folder.resolve(arguments[2]);
        Path page = own.resolve("story.html");
        Telling telling = switch (arguments[0]) {
            case "text" -> scene -> TextStory.of(Story.of(scene), WIDTH, TextStory.Signs.DRAWN);
            case "page" ->
                scene -> {
                    try (Writer out = Files.newBufferedWriter(page)) {
                        StoryPage.write(Story.of(scene), out);
                    }
                };
            default -> scene -> report(own.resolve("report"), scene);
        };
        System.out.println(timed(own, telling) + " " + page.toFile().length() / 1_000_000);
    }

    private static void write(Path folder, String name, Conversation conversation) {
        new JournalWriter(folder.resolve(name), null)
                .write(JournalScene.of("dev.observatory.NightTest#night", conversation)
                        .title("a long night")
                        .group("NightTest")
                        .ended(JournalScene.Outcome.PASSED, "")
                        .build());
    }

    private static void report(Path folder, JournalScene scene) {
        try (Site site = new Site(folder, "A long night")) {
            site.add(scene);
            site.finish();
        }
    }

    private interface Telling {
        void tell(JournalScene scene) throws IOException;
    }

    /** The milliseconds that it takes to read the journal and to render it. */
    private static long timed(Path journal, Telling telling) {
        long start = System.nanoTime();
        JournalReader.read(journal, scene -> {
            try {
                telling.tell(scene);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
        return (System.nanoTime() - start) / 1_000_000;
    }

    private static Conversation scene(int calls, int doubles, int methods, String filling) {
        Conversation.Builder told = Conversation.builder()
                .subject("dev.observatory.NightRun")
                .add(DoubledType.of(
                        TYPE,
                        IntStream.range(0, methods)
                                .mapToObj(i -> "levelAt" + i + "(String)")
                                .toList()));
        for (int i = 0; i < doubles; i++) {
            told.add(NamedDouble.of("instrument" + i, Kind.STUB, TYPE));
        }
        for (int i = 0; i < calls; i++) {
            told.add(RecordedCall.builder()
                    .number(i + 1)
                    .caller("dev.observatory.NightRun")
                    .receiver("instrument" + (i * 31L) % doubles)
                    .signature("levelAt" + (i * 7L) % methods + "(String)")
                    .arguments(List.of("\"step " + i + filling + "\""))
                    .answer(String.valueOf(i % 97))
                    .ending(i % 7 == 0 ? Ending.DEFAULTED : Ending.ANSWERED)
                    .thread("main")
                    .file("NightRun.java")
                    .line(20 + i % 50)
                    .micros(i * 9L)
                    .build());
        }
        return told.build();
    }
}
