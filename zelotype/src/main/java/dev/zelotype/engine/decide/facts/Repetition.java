package dev.zelotype.engine.decide.facts;

import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.calls.Lines;
import dev.zelotype.engine.pattern.rule.Equality;
import org.jspecify.annotations.Nullable;

/**
 * Detects that the same query is repeated endlessly from the same line, most likely by a loop that waits for another
 * answer, which an empty value never is.
 */
public final class Repetition {

    /** Checked once per so many queries, because a check takes longer than a call. */
    public static final int LOOKED_AT_EACH = 100_000;

    private static final int MOST_LOOKS = 10;

    private int same;
    private String line = "";
    private Object @Nullable [] arguments;

    /** Checks; returns true if the same was found for more than a million queries. */
    public synchronized boolean goesOn(Call call, boolean isWovenItself) {
        String now = Lines.at(Lines.caller(isWovenItself));
        Object[] before = arguments;
        boolean repeated = before != null && now.equals(line) && Equality.same(before, call.arguments());
        same = repeated ? same + 1 : 0;
        line = now;
        arguments = call.arguments();
        return same >= MOST_LOOKS;
    }

    public String line() {
        return line;
    }
}
