package dev.zelotype.engine.statement;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.decide.CallScene;
import dev.zelotype.engine.decide.Disturber;
import dev.zelotype.engine.decide.DoubleState;
import dev.zelotype.engine.decide.NewDouble;
import dev.zelotype.engine.decide.OutsideDoubles;
import dev.zelotype.engine.decide.facts.Settings;
import dev.zelotype.engine.replace.Seat;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The part of a scene with its statements: in order, and the incomplete ones.
 */
public class SpokenScene extends CallScene {

    private final List<Statement> said = new ArrayList<>();
    private final Map<Statement, String> unfinished = new LinkedHashMap<>();

    protected SpokenScene(String title, boolean open, Settings settings, boolean worded) {
        super(title, open, settings, worded);
    }

    /** The home of doubles outside any scene, which is never opened. */
    protected SpokenScene(String title) {
        this(title, false, Settings.unchecked(Settings.LINES_KEPT), false);
    }

    /** Makes a double; outside any scene, one with a scene of its own that is never closed. */
    public static DoubleState makeDouble(NewDouble order) {
        // An object that is real elsewhere is spied on wherever the thread sees replacements.
        CallScene scene = order.isInPlace() ? (CallScene) Seat.current() : current();
        if (scene == null) {
            if (order.kind() == Kind.MOCK) {
                throw new MisuseException(
                        "mock(" + order.type().doubledType().getSimpleName()
                                + ".class) was called outside a scene, so its expectations would never be checked.",
                        "annotate the test class with @WithDoubles, or write try (Scene scene = Scene.open()) { ... }");
            }
            DoubleState made = new SpokenScene("").make(order);
            OutsideDoubles.note(made);
            return made;
        }
        return scene.make(order);
    }

    final synchronized void begun(Statement statement, String cure) {
        demands().settleLast();
        unfinished.put(statement, cure);
    }

    final synchronized void completed(Statement statement) {
        unfinished.remove(statement);
    }

    final synchronized void said(Statement statement) {
        said.add(statement);
    }

    /** A check has failed: the test ends here, unless a disturber keeps the failure. */
    final void failed(Statement check, CheckFailure failure) {
        Disturber disturber = disturber();
        if (disturber == null || !disturber.keeps(check.said(), check.count().text(), failure)) {
            throw failure;
        }
    }

    /** The statements of the test so far, in order. */
    public final synchronized List<Statement> statements() {
        return List.copyOf(said);
    }

    /** The incomplete statements, each with its cure. */
    public final synchronized List<String> unfinished() {
        List<String> texts = new ArrayList<>();
        unfinished.forEach((statement, cure) -> texts.add(statement + " is unfinished: " + cure + "."));
        return texts;
    }
}
