package dev.zelotype.engine.decide.facts;

import dev.zelotype.engine.calls.Lines;
import dev.zelotype.engine.calls.MethodLog;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Columns;
import java.util.ArrayList;
import java.util.List;

/**
 * Calls of doubles whose scene was closed before: such a double was kept, perhaps in a static field, and is called
 * instead of the next test's double. They are reported with the next failure, because they may be its cause.
 */
public final class LateCalls {

    private static final int MOST = 10;
    private static final List<String> NOTED = new ArrayList<>();
    private static int more;

    private LateCalls() {}

    public static synchronized void note(String scene, MethodLog log, Object[] arguments) {
        if (NOTED.size() == MOST) {
            more++;
            return;
        }
        NOTED.add(Columns.gap(
                Calls.call(log.owner(), log.method(), arguments) + ", a double of the scene " + scene,
                Lines.at(Lines.caller())));
    }

    /** The calls recorded since the last report. */
    public static synchronized List<String> take() {
        List<String> taken = new ArrayList<>(NOTED);
        if (more > 0) {
            taken.add("... and " + Count.calls(more) + " more");
        }
        NOTED.clear();
        more = 0;
        return taken;
    }
}
