package dev.zelotype.engine.claim;

import dev.zelotype.engine.explain.Times;
import dev.zelotype.engine.explain.Values;
import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What became of one call: a value or an exception, and what it did to its arguments.
 *
 * @param value what was returned
 * @param thrown what was thrown, or null
 * @param callbacks the calls of the arguments that can be called, in words
 * @param written the arguments that can be written into, as they were afterwards
 * @param late the time in which nothing was returned; null if something was
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
