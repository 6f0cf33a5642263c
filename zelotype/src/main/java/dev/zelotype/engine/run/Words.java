package dev.zelotype.engine.run;

import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.journal.MethodLog;
import dev.zelotype.engine.journal.Witness;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Prints calls while they happen. Printing a value runs the value's own code, and what that asks of doubles is no call of
 * the subject.
 */
final class Words implements Witness {

    private static final ThreadLocal<Boolean> PRINTING = new ThreadLocal<>();

    /** Whether a value is being printed on this thread. */
    boolean printing() {
        return PRINTING.get() != null;
    }

    @Override
    public List<String> arguments(MethodLog log, Object[] arguments) {
        PRINTING.set(true);
        try {
            return Calls.arguments(log.method(), arguments);
        } finally {
            PRINTING.remove();
        }
    }

    @Override
    public String answer(@Nullable Object answer) {
        PRINTING.set(true);
        try {
            return Values.print(answer);
        } finally {
            PRINTING.remove();
        }
    }
}
