package dev.zelotype.journal;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.Ending;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.Role;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.Kind;
import dev.zelotype.doubles.NamedDouble;
import dev.zelotype.journal.JournalFields.Damaged;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Combines the lines of one file into scenes. Scenes are written one after the other as a whole, so a damaged line
 * belongs to the scene that is open at that point.
 */
final class SceneReader {

    private final String file;
    private final JournalSink sink;
    private final Losses losses;
    private final Set<String> runs;
    private final Map<String, DoubledType> types = new HashMap<>();
    private final Map<String, String> words = new HashMap<>();
    private final Set<Integer> lostIds = new HashSet<>();
    private @Nullable Open open;
    private @Nullable Challenge challenge;
    private boolean any;

    private static final class Open {
        private final int id;
        private final JournalFields head;
        private final List<RecordedCall> calls = new ArrayList<>();
        private final List<TestStatement> statements = new ArrayList<>();

        Open(int id, JournalFields head) {
            this.id = id;
            this.head = head;
        }
    }

    private static final class Challenge {
        private final int runs;
        private final boolean complete;
        private final List<JournalChallenge.Tested> tests = new ArrayList<>();
        private final List<JournalChallenge.Place> places = new ArrayList<>();

        Challenge(int runs, boolean complete) {
            this.runs = runs;
            this.complete = complete;
        }
    }

    SceneReader(String file, JournalSink sink, Losses losses, Set<String> runs) {
        this.file = file;
        this.sink = sink;
        this.losses = losses;
        this.runs = runs;
    }

    /** Processes a line; returns false if the rest of the file must not be read. */
    boolean take(String line, int number) throws Damaged {
        JournalFields fields;
        try {
            fields = JournalFields.parse(line, words);
        } catch (Damaged e) {
            String whole = wholeLineIn(line);
            if (whole == null) {
                throw e;
            }
            // A truncated line, directly followed by the next one.
            damaged(number, "it was cut off");
            return take(whole, number);
        }
        if (number == 1 && !any) {
            any = true;
            return header(fields);
        }
        any = true;
        line(fields, number);
        return true;
    }

    private @Nullable String wholeLineIn(String line) {
        for (int start = line.indexOf("{\"", 1); start > 0; start = line.indexOf("{\"", start + 1)) {
            String rest = line.substring(start);
            try {
                JournalFields fields = JournalFields.parse(rest, words);
                if (LineKind.of(fields) != null) {
                    return rest;
                }
            } catch (Damaged e) {
                continue;
            }
        }
        return null;
    }

    private boolean header(JournalFields fields) throws Damaged {
        if (!fields.has("journal") && fields.has("run")) {
            // A head of a journal whose first word is damaged: the rest can still be read.
            losses.note(file + ": its first line gives no version");
            return true;
        }
        if (!fields.has("journal")) {
            losses.note(file + ": not a Zelotype journal: its first line contains no version");
            return false;
        }
        long version = fields.count("journal", 0);
        if (version > JournalWriter.VERSION) {
            throw new JournalException(
                    "The journal " + file + " is of version " + version + ", but this Zelotype reads up to version "
                            + JournalWriter.VERSION + ". Read it with the Zelotype that wrote it, or a newer one.");
        }
        String run = fields.text("run");
        if (!run.isEmpty() && !runs.add(run)) {
            losses.note(file + ": its scenes were read from another file already");
            return false;
        }
        return true;
    }

    private void line(JournalFields fields, int number) throws Damaged {
        LineKind kind = LineKind.of(fields);
        if (kind == null) {
            // Of a later version.
            return;
        }
        switch (kind) {
            case CLAIM -> sink.add(claim(fields));
            case CHALLENGE -> {
                tellChallenge();
                challenge = new Challenge(fields.number("challenge"), fields.flag("complete"));
            }
            case CHALLENGED, DISTURBED -> {
                if (challenge != null && kind == LineKind.CHALLENGED) {
                    challenge.tests.add(challenged(fields));
                } else if (challenge != null) {
                    challenge.places.add(place(fields));
                }
            }
            case CALL, STATEMENT -> {
                Open scene = openFor(fields, number);
                if (scene != null && kind == LineKind.CALL) {
                    scene.calls.add(call(fields));
                } else if (scene != null) {
                    scene.statements.add(statement(fields));
                }
            }
            case TYPE -> {
                String name = fields.text("type");
                types.put(name, DoubledType.of(name, fields.texts("methods")));
            }
            case SCENE -> {
                lose(number, "the scene before it has no end");
                open = new Open(fields.number("scene"), fields);
            }
            case END -> end(fields, number);
            case MISSING ->
                losses.scenesLost(
                        fields.number("missing"),
                        file + ":" + number + ": it could not be written: " + fields.text("why"));
            case JOURNAL -> {
                // A second head, written by another JVM, adds nothing.
            }
        }
    }

    private static JournalClaim claim(JournalFields fields) throws Damaged {
        JournalClaim.Builder claim = JournalClaim.of(fields.text("of"), fields.text("method"), fields.text("text"))
                .call(fields.textIfThere("covers"))
                .place(fields.text("place"))
                .real(fields.text("real"));
        return fields.text("claim").equals("broken")
                ? claim.broken(fields.text("failure")).build()
                : claim.build();
    }

    private static JournalChallenge.Tested challenged(JournalFields fields) throws Damaged {
        return new JournalChallenge.Tested(
                fields.text("challenged"),
                fields.number("noticed"),
                fields.number("unnoticed"),
                fields.number("unclear"));
    }

    private static JournalChallenge.Place place(JournalFields fields) throws Damaged {
        return new JournalChallenge.Place(
                fields.word("disturbed"),
                fields.word("change"),
                fields.word("to"),
                fields.textIfThere("of"),
                fields.word("method"),
                fields.word("place"),
                fields.text("text"),
                fields.text("write"),
                fields.texts("tests"));
    }

    private void tellChallenge() {
        Challenge told = challenge;
        challenge = null;
        if (told != null) {
            sink.add(new JournalChallenge(told.runs, told.complete, told.tests, told.places));
        }
    }

    private @Nullable Open openFor(JournalFields fields, int number) throws Damaged {
        int id = fields.number("scene");
        Open scene = open;
        if (scene != null && scene.id == id) {
            return scene;
        }
        orphan(id, number);
        return null;
    }

    /** A scene whose start is missing. */
    private void orphan(int id, int number) {
        if (lostIds.add(id)) {
            losses.sceneLost(file + ":" + number + ": the beginning of its scene is missing");
        }
    }

    /** An unreadable line makes the open scene unreadable. */
    void damaged(int number, String why) {
        any = true;
        if (open == null) {
            losses.note(file + ":" + number + ": " + why);
        } else {
            lose(number, why);
        }
    }

    private void lose(int number, String why) {
        Open lost = open;
        if (lost != null) {
            open = null;
            if (lostIds.add(lost.id)) {
                losses.sceneLost(file + ":" + number + ": " + why);
            }
        }
    }

    /** Called at the end of the file. */
    void end(int lines) {
        if (!any) {
            losses.note(file + ": it is empty");
        }
        lose(lines, "the file ends in the middle of its scene");
        tellChallenge();
    }

    private void end(JournalFields fields, int number) throws Damaged {
        int id = fields.number("end");
        Open scene = open;
        if (scene == null || scene.id != id) {
            orphan(id, number);
            return;
        }
        JournalScene read = scene(scene, fields);
        open = null;
        losses.sceneRead();
        sink.add(read);
    }

    private RecordedCall call(JournalFields fields) throws Damaged {
        return RecordedCall.builder()
                .number(fields.number("call"))
                .caller(fields.word("from"))
                .receiver(fields.word("to"))
                .signature(fields.word("method"))
                .instance(fields.word("instance"))
                .arguments(fields.texts("arguments"))
                .answer(fields.text("answer"))
                .ending(fields.word("outcome", Ending.class))
                .role(fields.word("role", Role.class))
                .thread(fields.word("thread"))
                .file(fields.word("file"))
                .line(fields.number("line"))
                .micros(fields.count("micros", 0))
                .tookMicros(fields.count("took", -1))
                .failed(fields.flag("failed"))
                .argumentSources(fields.sources("sources"))
                .answerSource(fields.source("answerSource"))
                .build();
    }

    private TestStatement statement(JournalFields fields) throws Damaged {
        return TestStatement.builder()
                .verb(fields.word("statement", Verb.class))
                .receiver(fields.word("to"))
                .signature(fields.word("method"))
                .text(fields.text("text"))
                .call(fields.textIfThere("covers"))
                .link(fields.flag("link"))
                .min(fields.number("min"))
                .max(fields.has("max") ? fields.number("max") : Integer.MAX_VALUE)
                .found(fields.number("found"))
                .query(fields.flag("query"))
                .parameters(fields.number("parameters"))
                .pinned(fields.number("pinned"))
                .order(fields.number("order"))
                .place(fields.word("place"))
                .build();
    }

    private JournalScene scene(Open scene, JournalFields end) throws Damaged {
        Conversation.Builder told = Conversation.builder().subject(scene.head.text("subject"));
        Set<String> doubledTypes = new HashSet<>();
        for (JournalFields one : scene.head.objects("doubles")) {
            String type = one.word("type");
            told.add(NamedDouble.of(one.text("name"), one.word("kind", Kind.class), type));
            if (doubledTypes.add(type)) {
                told.add(types.getOrDefault(type, DoubledType.of(type, List.of())));
            }
        }
        scene.calls.forEach(told::add);
        scene.statements.forEach(told::add);
        end.texts("notes").forEach(told::note);
        return JournalScene.of(scene.head.text("test"), told.build())
                .title(scene.head.text("title"))
                .group(scene.head.text("group"))
                .ended(end.word("outcome", JournalScene.Outcome.class), end.text("failure"))
                .checks(!end.flag("unchecked"))
                .build();
    }
}
