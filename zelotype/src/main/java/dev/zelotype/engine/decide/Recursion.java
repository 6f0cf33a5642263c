package dev.zelotype.engine.decide;

import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.error.MisuseException;
import org.jspecify.annotations.Nullable;

/**
 * Tells an answer that calls the very method it answers from other code that recurses too deeply.
 */
final class Recursion {

    /** So often only a method without end stands on a stack that has run out. */
    private static final int FEWEST = 20;

    private Recursion() {}

    /** What to throw for a stack that ran out during a call: a misuse if that call filled it, else the error itself. */
    static Throwable explain(DoubleState owner, DoubledMethod method, @Nullable Rule answer, StackOverflowError error) {
        String type = owner.self().getClass().getName();
        int times = 0;
        for (StackTraceElement frame : error.getStackTrace()) {
            if (frame.getMethodName().equals(method.name())
                    && frame.getClassName().equals(type)) {
                times++;
            }
        }
        if (times < FEWEST) {
            return error;
        }
        String call = owner.name() + "." + method.name();
        return answer == null
                ? new MisuseException(
                        "The default method " + call + " calls itself without end, by way of other methods that nobody"
                                + " said anything of.",
                        "say what one of them answers, such as suppose(" + owner.name() + "::" + method.name()
                                + ").returns(...)")
                : new MisuseException(
                        "The answer of " + answer + " calls " + call + " itself, without end.",
                        "call the real code inside the answer, with .around((real, ...) -> real.ask(...)), or another"
                                + " method");
    }
}
