package dev.zelotype.engine.claim;

import dev.zelotype.engine.explain.Times;
import dev.zelotype.engine.explain.Values;
import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The result of one call: a value or an exception, and its effects on arguments.
 *
 * @param value what was returned
 * @param thrown what was thrown, or null
 * @param callbacks the calls of functional arguments, as text
 * @param written the writable arguments, in their state afterwards
 * @param late the time limit if nothing was returned; null if something was
 */
record Reaction(
        @Nullable Object value,
        @Nullable Throwable thrown,
        List<String> callbacks,
        List<Object> written,
        @Nullable Duration late) {

    String said(boolean givesNothing) {
        if (late != null) {
            return (givesNothing ? "did not return within " : "gave nothing within ") + Times.text(late);
        } else if (thrown != null) {
            return "threw " + Values.print(thrown);
        }
        return givesNothing ? "returned" : "gave " + Values.print(value);
    }
}
