package dev.zelotype.report;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.Ending;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.Role;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.Kind;
import dev.zelotype.doubles.NamedDouble;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.report.site.StoryPage;
import dev.zelotype.report.story.Story;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;

/**
 * Scenes that a journal could contain.
 */
final class Scenes {

    /** Text that must be escaped in a page. */
    static final String HOSTILE =
            "</script><img src=x onerror=\"alert(1)\">&'\u2028]]>{{title}}\n!include x\n@enduml #;%%";

    /** An argument that receives an exception. */
    static final String FAILURE = "onFailure";

    private final Conversation.Builder told = Conversation.builder()
            .subject("dev.observatory.NightRun")
            .add(DoubledType.of("dev.observatory.Dome", List.of("open()", "close()")))
            .add(DoubledType.of("dev.observatory.Mount", List.of("park()", "rate()", "track(String, int, int)")))
            .add(DoubledType.of("dev.observatory.Weather", List.of("humidityAt(String)", "note(String)")))
            .add(NamedDouble.of("dome", Kind.MOCK, "dev.observatory.Dome"))
            .add(NamedDouble.of("mount", Kind.SPY, "dev.observatory.Mount"))
            .add(NamedDouble.of("weather", Kind.STUB, "dev.observatory.Weather"));
    private int calls;
    private int statements;

    Scenes call(String receiver, String signature, String argument, String answer, Ending ending) {
        return call(receiver, signature, argument, answer, ending, "main", calls);
    }

    /** With a call of another thread, which may last so long that other calls are made during it. */
    Scenes call(
            String receiver,
            String signature,
            String argument,
            String answer,
            Ending ending,
            String thread,
            long took) {
        Role role =
                ending == Ending.UNEXPECTED ? Role.UNEXPECTED : receiver.equals("dome") ? Role.EXPECTED : Role.ALLOWED;
        told.add(RecordedCall.builder()
                .number(calls + 1)
                .caller("dev.observatory.NightRun$$Lambda/0x1")
                .receiver(receiver)
                .signature(signature)
                .arguments(argument.isEmpty() ? List.of() : List.of(argument))
                .answer(answer)
                .ending(ending)
                .role(role)
                .thread(thread)
                .file("NightRun.java")
                .line(30 + calls)
                .micros(calls * 250L)
                .tookMicros(took)
                .failed(argument.equals(FAILURE))
                .build());
        calls++;
        return this;
    }

    Scenes said(Verb verb, String receiver, String signature, int min, int max, int found, int pinned, int order) {
        boolean query = !signature.startsWith("open") && !signature.startsWith("park") && !signature.startsWith("note");
        String inside = signature.substring(signature.indexOf('(') + 1, signature.length() - 1);
        told.add(TestStatement.builder()
                .verb(verb)
                .receiver(receiver)
                .signature(signature)
                .text(receiver + "." + signature)
                .call(signature)
                .min(min)
                .max(max)
                .found(found)
                .query(query)
                .parameters(inside.isEmpty() ? 0 : inside.split(",").length)
                .pinned(pinned)
                .order(order)
                .place("NightRunTest.java:" + (20 + statements++))
                .build());
        return this;
    }

    Scenes note(String note) {
        told.note(note);
        return this;
    }

    JournalScene scene(String title, JournalScene.Outcome outcome) {
        return JournalScene.of("dev.observatory.NightRunTest#" + title.replace(' ', '_'), told.build())
                .title(title)
                .group("NightRunTest")
                .ended(
                        outcome,
                        outcome == JournalScene.Outcome.FAILED
                                ? "Expected exactly 1 call of mount.park(), but there was none."
                                : "")
                .build();
    }

    /** A failed test with one call of each kind. */
    static JournalScene troubled() {
        Scenes scenes = new Scenes()
                .call("weather", "humidityAt(String)", "\"north\"", "40", Ending.ANSWERED)
                .call("dome", "open()", "", "", Ending.ANSWERED);
        for (int i = 0; i < 4; i++) {
            scenes.call("weather", "humidityAt(String)", "\"" + i + "\"", "0", Ending.DEFAULTED)
                    .call("mount", "rate()", "", "2", Ending.ANSWERED);
        }
        return scenes.call("weather", "note(String)", HOSTILE, "", Ending.ANSWERED)
                .call("mount", "rate()", "", "Fault: stuck", Ending.THREW)
                .call("dome", "close()", "", "", Ending.UNEXPECTED)
                .said(Verb.SUPPOSED, "weather", "humidityAt(String)", 0, Integer.MAX_VALUE, 1, 1, 0)
                .said(Verb.EXPECTED, "dome", "open()", 1, 1, 1, 0, 0)
                .said(Verb.VERIFIED, "mount", "park()", 1, 1, 0, 0, 0)
                .note("suppose(mount.track(any String, 1, 2)) at NightRunTest.java:12")
                .scene("a troubled night", JournalScene.Outcome.FAILED);
    }

    /** The page of one story. */
    static String page(Story story) {
        StringWriter page = new StringWriter();
        try {
            StoryPage.write(story, page);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return page.toString();
    }
}
