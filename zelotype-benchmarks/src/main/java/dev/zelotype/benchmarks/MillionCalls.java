package dev.zelotype.benchmarks;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.Ending;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.Kind;
import dev.zelotype.doubles.NamedDouble;
import dev.zelotype.journal.JournalReader;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalWriter;
import dev.zelotype.report.site.Site;
import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/**
 * Writes the journal of a suite of 10,000 tests and a million calls, and the report of it; prints the milliseconds of both
 * and the megabytes of the journal.
 */
public final class MillionCalls {

    private static final int TESTS = 10_000;
    private static final int CALLS = 100;

    private MillionCalls() {}

    public static void main(String[] arguments) throws IOException {
        Path folder = WholeFiles.temporaryFolder("zelotype-million");
        try {
            long start = System.nanoTime();
            JournalWriter writer = new JournalWriter(folder.resolve("journal"), null);
            for (int i = 0; i < TESTS; i++) {
                writer.write(scene(i));
            }
            long written = System.nanoTime();
            try (Site site = new Site(folder.resolve("site"), "A million calls")) {
                JournalReader.read(folder.resolve("journal"), site::add);
                site.finish();
            }
            long reported = System.nanoTime();
            System.out.println((written - start) / 1_000_000 + " " + (reported - written) / 1_000_000 + " "
                    + Files.size(writer.file()) / 1_000_000);
        } finally {
            WholeFiles.delete(folder);
        }
    }

    static JournalScene scene(int number) {
        String type = "dev.observatory.Instrument" + number % 40;
        String log = "dev.observatory.NightLog";
        Conversation.Builder told = Conversation.builder()
                .subject("dev.observatory.NightRun")
                .add(DoubledType.of(type, List.of("levelAt(String)", "park()")))
                .add(DoubledType.of(log, List.of("note(String)")))
                .add(NamedDouble.of("instrument", Kind.STUB, type))
                .add(NamedDouble.of("log", Kind.SPY, log));
        for (int i = 0; i < CALLS; i++) {
            boolean query = (number + i) % 3 != 0;
            told.add(RecordedCall.builder()
                    .number(i + 1)
                    .caller("dev.observatory.NightRun")
                    .receiver(query ? "instrument" : "log")
                    .signature(query ? "levelAt(String)" : "note(String)")
                    .arguments(List.of("\"step " + (number * 31 + i) % 977 + "\""))
                    .answer(query ? String.valueOf(i) : "")
                    .ending(i % 7 == 0 ? Ending.DEFAULTED : Ending.ANSWERED)
                    .thread("main")
                    .file("NightRun.java")
                    .line(20 + i)
                    .micros(i * 9L)
                    .build());
        }
        told.add(TestStatement.builder()
                .verb(Verb.VERIFIED)
                .receiver("instrument")
                .signature("levelAt(String)")
                .text("instrument.levelAt(any String)")
                .min(1)
                .max(1)
                .found(1)
                .query(true)
                .parameters(1)
                .place("Night" + number / 20 + "Test.java:" + number % 20)
                .build());
        boolean failed = number % 500 == 0;
        return JournalScene.of("dev.observatory.Night" + number / 20 + "Test#step" + number % 20, told.build())
                .title("step " + number % 20 + " of the night is taken")
                .group("Night" + number / 20 + "Test")
                .ended(
                        failed ? JournalScene.Outcome.FAILED : JournalScene.Outcome.PASSED,
                        failed ? "Expected exactly 1 call, but there was none." : "")
                .build();
    }
}
