package dev.zelotype.report;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.Kind;
import dev.zelotype.doubles.NamedDouble;
import dev.zelotype.journal.JournalChallenge;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalScene.Outcome;
import dev.zelotype.report.site.Site;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The precision of the report's advice: statements of an observatory's tests, each with the verdict of an experienced
 * reader. A rule that is wrong in more than one of ten cases is not published.
 */
class AdviceTest {

    private static final double LEAST_PRECISION = 90;

    @TempDir
    private Path folder;

    /**
     * What a statement is about (`answered`: supposed and verified; `counted`: an exact number; `ordered`: one order over
     * three doubles; `pinned`: all arguments are values, in as many tests as the number says), the method, how its answers
     * differ (`varied`, `one`, `none` for what returns nothing), and whether its reader would follow the advice.
     */
    private static final List<String> LABELLED = List.of(
            "answered | humidity()                  | varied | follow",
            "answered | humidityAt(String)          | varied | leave",
            "answered | getHumidity()               | one    | follow",
            "answered | getTarget(String)           | varied | follow",
            "answered | isOpen()                    | one    | follow",
            "answered | isSafe(int)                 | varied | follow",
            "answered | hasPower()                  | one    | follow",
            "answered | find(String)                | varied | follow",
            "answered | findNearest(int, int)       | one    | follow",
            "answered | countFrames(String)         | one    | follow",
            "answered | exists(String)              | one    | follow",
            "answered | containsTarget(String)      | one    | follow",
            "answered | listTargets()               | one    | follow",
            "answered | size()                      | one    | follow",
            "answered | canSlew(Target)             | one    | follow",
            "answered | searchCatalog(String)       | varied | follow",
            "answered | append(LogEntry)            | varied | leave",
            "answered | add(Frame)                  | one    | leave",
            "answered | save(Frame)                 | varied | leave",
            "answered | put(String, Frame)          | one    | leave",
            "answered | remove(String)              | one    | leave",
            "answered | send(String)                | varied | leave",
            "answered | submit(Runnable)            | one    | leave",
            "answered | open()                      | varied | leave",
            "answered | start()                     | varied | leave",
            "answered | next()                      | varied | leave",
            "answered | poll()                      | varied | leave",
            "answered | takeFrame()                 | varied | leave",
            "answered | getAndLock(String)          | one    | leave",
            "answered | getOrCreate(String)         | one    | leave",
            "answered | findAndRemove(String)       | one    | leave",
            "answered | getNext()                   | varied | leave",
            "answered | getReady()                  | one    | leave",
            "answered | reserve(Slot)               | one    | leave",
            "answered | publish(Event)              | one    | leave",
            "answered | expose(Duration)            | one    | leave",
            "answered | readInto(byte[])            | varied | leave",
            "answered | issueTicket(String)         | one    | leave",
            "answered | temperature()               | varied | follow",
            "answered | currentSite()               | one    | follow",
            "counted  | humidity()                  | varied | follow",
            "counted  | getRate()                   | one    | follow",
            "counted  | isOpen()                    | one    | follow",
            "counted  | find(String)                | one    | follow",
            "counted  | length()                    | one    | follow",
            "counted  | hasNext()                   | varied | follow",
            "counted  | append(LogEntry)            | varied | leave",
            "counted  | save(Frame)                 | one    | leave",
            "counted  | next()                      | varied | leave",
            "counted  | read()                      | varied | leave",
            "counted  | close()                     | one    | leave",
            "counted  | getAndIncrement()           | varied | leave",
            "counted  | count(Frame)                | varied | leave",
            "counted  | refresh()                   | varied | leave",
            "counted  | issue(Order)                | one    | leave",
            "counted  | park()                      | none   | leave",
            "ordered  | humidity()                  | varied | follow",
            "ordered  | isOpen()                    | one    | follow",
            "ordered  | getSite()                   | one    | follow",
            "ordered  | open()                      | one    | leave",
            "ordered  | slewTo(Target)              | one    | leave",
            "ordered  | lock()                      | varied | leave",
            "ordered  | acquireGuide()              | varied | leave",
            "ordered  | park()                      | none   | leave",
            "pinned 1 | track(Target, int, int)     | none   | leave",
            "pinned 2 | expose(Duration, int, int)  | none   | leave",
            "pinned 3 | track(Target, int, int)     | none   | follow",
            "pinned 4 | plan(Site, Target, int)     | one    | follow",
            "pinned 5 | move(int, int, int)         | none   | follow",
            "pinned 1 | move(int, int, int)         | none   | leave",
            "timed    | Clock.instant()             | one    | follow",
            "timed    | Clock.millis()              | varied | follow",
            "timed    | SkyClock.now()              | one    | follow",
            "timed    | Ticker.read()               | varied | follow",
            "timed    | TimeSource.nanos()          | one    | follow",
            "timed    | Stopwatch.start()           | none   | leave",
            "timed    | Clock.withZone(ZoneId)      | one    | leave",
            "timed    | Shutter.read()              | varied | leave",
            "nothing  | humidity()                  | varied | follow",
            "nothing  | getSite(); isOpen()         | one    | follow",
            "nothing  | humidityAt(String)          | varied | follow",
            "nothing  | find(String); findAll()     | one    | follow",
            "nothing  | targetsOf(Night)            | one    | follow",
            "nothing  | open()                      | none   | leave",
            "nothing  | isOpen(); open()            | one    | leave",
            "nothing  | note(String)                | none   | leave",
            "nothing  | next()                      | varied | leave",
            "nothing  | sendTo(String)              | one    | leave",
            "nothing  | slewAt(Target)              | one    | leave",
            "nothing  | getAndLock(String)          | one    | leave",
            "nothing  | save(Frame)                 | one    | leave",
            "blind    | open()                      | none   | follow",
            "blind    | note(String)                | none   | follow",
            "blind    | humidity()                  | varied | leave",
            "checking | open()                      | none   | leave",
            "strict   | open()                      | none   | leave");

    private int line;

    /** A test with the statement, the only one of its kind. */
    private JournalScene scene(String about, String signature, String answers, String type, String place) {
        boolean query = !answers.equals("none");
        if (about.equals("timed")) {
            type = "dev.observatory." + place.replaceAll("\\D", "") + signature.substring(0, signature.indexOf('.'));
            signature = signature.substring(signature.indexOf('.') + 1);
        }
        List<String> methods = List.of(signature.split("; "));
        signature = methods.get(0);
        int parameters = signature.endsWith("()") ? 0 : signature.split(",").length;
        Conversation.Builder told = Conversation.builder()
                .subject("dev.observatory.NightRun")
                .add(DoubledType.of(type, methods))
                .add(NamedDouble.of("part", about.equals("strict") ? Kind.MOCK : Kind.STUB, type));
        for (int i = 0; i < 2 * methods.size(); i++) {
            told.add(RecordedCall.builder()
                    .number(i + 1)
                    .caller("dev.observatory.NightRun")
                    .receiver("part")
                    .signature(methods.get(i / 2))
                    .answer(query ? String.valueOf(answers.equals("varied") ? i : 7) : "")
                    .thread("main")
                    .build());
        }
        int order = about.equals("ordered") ? 1 : 0;
        if (about.equals("answered")) {
            told.add(statement(Verb.SUPPOSED, "part", signature, query, 0, Integer.MAX_VALUE, 0, 0, "-"));
        }
        if (order > 0) {
            told.add(statement(Verb.VERIFIED, "dome", "open()", false, 1, 1, 0, order, "-"));
            told.add(statement(Verb.VERIFIED, "log", "note(String)", false, 1, 1, 0, order, "-"));
        }
        boolean whole = about.equals("blind") || about.equals("checking") || about.equals("strict");
        if (about.equals("nothing")) {
            told.add(TestStatement.builder()
                    .verb(Verb.NOTHING_ELSE)
                    .receiver("part")
                    .text("part")
                    .place(place)
                    .build());
        }
        if (whole || about.equals("nothing")) {
            return ended(whole ? place : "test " + line, told, about.equals("checking") || !whole);
        }
        boolean counted = about.equals("counted") || about.equals("timed");
        told.add(statement(
                Verb.VERIFIED,
                "part",
                signature,
                query,
                1,
                counted || order > 0 ? 1 : Integer.MAX_VALUE,
                about.startsWith("pinned") ? parameters : 0,
                order,
                place));
        return ended("test " + line, told, true);
    }

    private JournalScene ended(String title, Conversation.Builder told, boolean checks) {
        return JournalScene.of("dev.observatory.NightTest#test" + line++, told.build())
                .title(title)
                .group("NightTest")
                .ended(Outcome.PASSED, "")
                .checks(checks)
                .build();
    }

    private static TestStatement statement(
            Verb verb,
            String receiver,
            String signature,
            boolean query,
            int min,
            int max,
            int pinned,
            int order,
            String place) {
        int parameters = signature.endsWith("()") ? 0 : signature.split(",").length;
        return TestStatement.builder()
                .verb(verb)
                .receiver(receiver)
                .signature(signature)
                .text(receiver + "." + signature)
                .min(min)
                .max(max)
                .found(1)
                .query(query)
                .parameters(parameters)
                .pinned(pinned)
                .order(order)
                .place(place)
                .build();
    }

    private String overview(Site site) throws IOException {
        site.finish();
        String data = Files.readString(folder.resolve("report/data/overview.js"));
        return data.substring(data.indexOf("\"advice\":["));
    }

    @Test
    void each_rule_is_right_nine_times_in_ten_and_says_something() throws IOException {
        String advice;
        try (Site site = new Site(folder.resolve("report"), "x")) {
            for (int row = 0; row < LABELLED.size(); row++) {
                String[] cells = LABELLED.get(row).split("\\|");
                String about = cells[0].strip();
                int tests = about.startsWith("pinned") ? Integer.parseInt(about.substring(7)) : 1;
                for (int test = 0; test < tests; test++) {
                    site.add(scene(
                            about,
                            cells[1].strip(),
                            cells[2].strip(),
                            "dev.observatory.Part" + row,
                            "Row" + row + ".java:1"));
                }
            }
            advice = overview(site);
        }
        assertThat(LABELLED).hasSizeGreaterThan(60);
        Map<String, List<String>> right = new TreeMap<>();
        Map<String, List<String>> wrong = new TreeMap<>();
        Map<String, List<String>> unsaid = new TreeMap<>();
        for (int row = 0; row < LABELLED.size(); row++) {
            String text = LABELLED.get(row);
            String rule = text.substring(0, 7).strip();
            // For a test as a whole, the title is reported; for a statement, its place.
            boolean given = advice.contains("\"Row" + row + ".java:1\"")
                    || advice.contains("NightTest: Row" + row + ".java:1\"");
            boolean follow = text.endsWith("follow");
            if (given || follow) {
                (given && follow ? right : given ? wrong : unsaid)
                        .computeIfAbsent(rule, first -> new ArrayList<>())
                        .add(text);
            }
        }
        assertThat(right.keySet())
                .containsExactly("answere", "blind", "counted", "nothing", "ordered", "pinned", "timed");
        right.forEach((rule, good) -> {
            int bad = wrong.getOrDefault(rule, List.of()).size();
            assertThat(100.0 * good.size() / (good.size() + bad))
                    .as("precision of %s, wrong: %s", rule, wrong.get(rule))
                    .isGreaterThanOrEqualTo(LEAST_PRECISION);
            assertThat(unsaid.getOrDefault(rule, List.of()).size())
                    .as("unsaid: %s", unsaid.get(rule))
                    .isLessThan(good.size());
        });
    }

    @Test
    void a_broken_claim_names_the_tests_that_rely_on_it() throws IOException {
        String type = "dev.observatory.WeatherStation";
        try (Site site = new Site(folder.resolve("report"), "x")) {
            site.add(Scenes.troubled());
            for (String place : List.of("NightRunTest.java:20", "NightRunTest.java:999")) {
                site.add(JournalClaim.of(type, "humidityAt(String)", "weather.humidityAt(String)")
                        .place(place)
                        .real("dev.observatory.RealStation")
                        .broken("expected 40, was 41")
                        .build());
            }
            site.finish();
            assertThat(folder.resolve("report/data/overview.js"))
                    .content()
                    .containsPattern("NightRunTest.java:20\"[^}]*\"tests\":\\[0\\]")
                    .containsPattern("NightRunTest.java:999\"[^}]*\"tests\":\\[\\]");
        }
    }

    @Test
    void what_a_challenge_found_decides() throws IOException {
        String dome = "dev.observatory.Dome";
        // Findings about another type do not count, although its double has the same name.
        for (List<String> each : List.of(
                List.of(JournalChallenge.GAP, dome),
                List.of(JournalChallenge.NOTICED, dome),
                List.of(JournalChallenge.GAP, "dev.observatory.Shutter"))) {
            String found = each.get(0);
            try (Site site = new Site(folder.resolve("report"), "x")) {
                site.add(scene("answered", "isOpen()", "one", dome, "NightTest.java:9"));
                site.add(new JournalChallenge(
                        3,
                        true,
                        List.of(),
                        List.of(new JournalChallenge.Place(
                                found,
                                "answer",
                                "part",
                                each.get(1),
                                "isOpen()",
                                "NightRun.java:3",
                                "",
                                "",
                                List.of()))));
                assertThat(overview(site).contains("NightTest.java:9"))
                        .isEqualTo(found.equals(JournalChallenge.NOTICED)
                                || !each.get(1).equals(dome));
            }
        }
    }
}
