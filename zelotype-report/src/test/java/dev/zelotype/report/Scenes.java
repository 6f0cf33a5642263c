package dev.zelotype.report;

import dev.zelotype.doubles.Conversation;
import dev.zelotype.doubles.Conversation.CallInfo;
import dev.zelotype.doubles.Conversation.DoubleInfo;
import dev.zelotype.doubles.Conversation.Role;
import dev.zelotype.doubles.Conversation.StatementInfo;
import dev.zelotype.doubles.Conversation.TypeInfo;
import dev.zelotype.doubles.Conversation.Verb;
import dev.zelotype.doubles.Kind;
import dev.zelotype.journal.JournalScene;
import java.util.ArrayList;
import java.util.List;

/**
 * Scenes as a journal could hold them.
 */
final class Scenes {

    /** What nobody should put into a page unescaped. */
    static final String HOSTILE =
            "</script><img src=x onerror=\"alert(1)\">&'\u2028]]>{{title}}\n!include x\n@enduml #;%%";

    private final List<CallInfo> calls = new ArrayList<>();
    private final List<StatementInfo> statements = new ArrayList<>();
    private final List<String> notes = new ArrayList<>();

    Scenes call(String receiver, String signature, String argument, String answer, Conversation.Outcome outcome) {
        Role role = outcome == Conversation.Outcome.UNEXPECTED
                ? Role.UNEXPECTED
                : receiver.equals("dome") ? Role.EXPECTED : Role.ALLOWED;
        calls.add(new CallInfo(
                calls.size() + 1,
                "dev.observatory.NightRun$$Lambda/0x1",
                receiver,
                signature.substring(0, signature.indexOf('(')),
                signature,
                argument.isEmpty() ? List.of() : List.of(argument),
                answer,
                outcome,
                role,
                "main",
                "NightRun.java",
                30 + calls.size(),
                calls.size() * 250L));
        return this;
    }

    Scenes said(Verb verb, String receiver, String signature, int min, int max, int found, int pinned, int order) {
        boolean query = !signature.startsWith("open") && !signature.startsWith("park") && !signature.startsWith("note");
        String inside = signature.substring(signature.indexOf('(') + 1, signature.length() - 1);
        statements.add(new StatementInfo(
                verb,
                receiver,
                signature,
                receiver + "." + signature,
                min,
                max,
                found,
                query,
                inside.isEmpty() ? 0 : inside.split(",").length,
                pinned,
                order,
                "NightRunTest.java:" + (20 + statements.size())));
        return this;
    }

    Scenes note(String note) {
        notes.add(note);
        return this;
    }

    JournalScene scene(String title, JournalScene.Outcome outcome) {
        return new JournalScene(
                "dev.observatory.NightRunTest#" + title.replace(' ', '_'),
                title,
                "NightRunTest",
                outcome,
                outcome == JournalScene.Outcome.FAILED
                        ? "Expected exactly 1 call of mount.park(), but there was none."
                        : "",
                new Conversation(
                        "dev.observatory.NightRun",
                        List.of(
                                new TypeInfo("dev.observatory.Dome", List.of("open()", "close()")),
                                new TypeInfo(
                                        "dev.observatory.Mount",
                                        List.of("park()", "rate()", "track(String, int, int)")),
                                new TypeInfo("dev.observatory.Weather", List.of("humidityAt(String)", "note(String)"))),
                        List.of(
                                new DoubleInfo("dome", Kind.MOCK, "dev.observatory.Dome"),
                                new DoubleInfo("mount", Kind.SPY, "dev.observatory.Mount"),
                                new DoubleInfo("weather", Kind.STUB, "dev.observatory.Weather")),
                        List.copyOf(calls),
                        List.copyOf(statements),
                        List.copyOf(notes)));
    }

    /** A failed test with a call of each sort. */
    static JournalScene troubled() {
        Scenes scenes = new Scenes()
                .call("weather", "humidityAt(String)", "\"north\"", "40", Conversation.Outcome.ANSWERED)
                .call("dome", "open()", "", "", Conversation.Outcome.ANSWERED);
        for (int i = 0; i < 4; i++) {
            scenes.call("weather", "humidityAt(String)", "\"" + i + "\"", "0", Conversation.Outcome.DEFAULTED)
                    .call("mount", "rate()", "", "2", Conversation.Outcome.ANSWERED);
        }
        return scenes.call("weather", "note(String)", HOSTILE, "", Conversation.Outcome.ANSWERED)
                .call("mount", "rate()", "", "Fault: stuck", Conversation.Outcome.THREW)
                .call("dome", "close()", "", "", Conversation.Outcome.UNEXPECTED)
                .said(Verb.SUPPOSED, "weather", "humidityAt(String)", 0, Integer.MAX_VALUE, 1, 1, 0)
                .said(Verb.EXPECTED, "dome", "open()", 1, 1, 1, 0, 0)
                .said(Verb.VERIFIED, "mount", "park()", 1, 1, 0, 0, 0)
                .note("suppose(mount.track(any String, 1, 2)) at NightRunTest.java:12")
                .scene("a troubled night", JournalScene.Outcome.FAILED);
    }
}
