package dev.zelotype.benchmarks;

import dev.zelotype.doubles.Conversation;
import dev.zelotype.doubles.Conversation.CallInfo;
import dev.zelotype.doubles.Conversation.DoubleInfo;
import dev.zelotype.doubles.Conversation.Outcome;
import dev.zelotype.doubles.Conversation.Role;
import dev.zelotype.doubles.Conversation.StatementInfo;
import dev.zelotype.doubles.Conversation.TypeInfo;
import dev.zelotype.doubles.Conversation.Verb;
import dev.zelotype.doubles.Kind;
import dev.zelotype.journal.JournalReader;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalWriter;
import dev.zelotype.report.site.Site;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * Writes the journal of a suite of 10,000 tests and a million calls, and the report of it; prints the milliseconds of both
 * and the megabytes of the journal.
 */
public final class MillionCalls {

    private static final int TESTS = 10_000;
    private static final int CALLS = 100;

    private MillionCalls() {}

    public static void main(String[] arguments) throws IOException {
        Path folder = Files.createTempDirectory("zelotype-million");
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
            try (Stream<Path> files = Files.walk(folder)) {
                for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(file);
                }
            }
        }
    }

    private static JournalScene scene(int number) {
        String type = "dev.observatory.Instrument" + number % 40;
        String log = "dev.observatory.NightLog";
        List<CallInfo> calls = new ArrayList<>();
        for (int i = 0; i < CALLS; i++) {
            boolean query = (number + i) % 3 != 0;
            calls.add(new CallInfo(
                    i + 1,
                    "dev.observatory.NightRun",
                    query ? "instrument" : "log",
                    query ? "levelAt" : "note",
                    query ? "levelAt(String)" : "note(String)",
                    List.of("\"step " + (number * 31 + i) % 977 + "\""),
                    query ? String.valueOf(i) : "",
                    i % 7 == 0 ? Outcome.DEFAULTED : Outcome.ANSWERED,
                    Role.ALLOWED,
                    "main",
                    "NightRun.java",
                    20 + i,
                    i * 9L));
        }
        return new JournalScene(
                "dev.observatory.Night" + number / 20 + "Test#step" + number % 20,
                "step " + number % 20 + " of the night is taken",
                "Night" + number / 20 + "Test",
                number % 500 == 0 ? JournalScene.Outcome.FAILED : JournalScene.Outcome.PASSED,
                number % 500 == 0 ? "Expected exactly 1 call, but there was none." : "",
                new Conversation(
                        "dev.observatory.NightRun",
                        List.of(
                                new TypeInfo(type, List.of("levelAt(String)", "park()")),
                                new TypeInfo(log, List.of("note(String)"))),
                        List.of(new DoubleInfo("instrument", Kind.STUB, type), new DoubleInfo("log", Kind.SPY, log)),
                        calls,
                        List.of(new StatementInfo(
                                Verb.VERIFIED,
                                "instrument",
                                "levelAt(String)",
                                "instrument.levelAt(any String)",
                                1,
                                1,
                                1,
                                true,
                                1,
                                0,
                                0,
                                "Night" + number / 20 + "Test.java:" + number % 20)),
                        List.of()));
    }
}
