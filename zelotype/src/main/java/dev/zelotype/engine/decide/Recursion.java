package dev.zelotype.engine.decide;

import dev.zelotype.engine.calls.CallLog;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Sneaky;
import dev.zelotype.engine.make.Unrecorded;
import dev.zelotype.error.MisuseException;
import java.lang.invoke.WrongMethodTypeException;
import java.lang.reflect.InvocationTargetException;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * Tells an answer that calls the very method it answers from other code that recurses too deeply.
 */
final class Recursion {

    /** Only endless recursion is on an exhausted stack this often. */
    private static final int FEWEST = 20;

    /** After so many decisions have ended, there is room on the stack again to look at it and to load classes. */
    private static final int ROOM = 64;

    private static final ThreadLocal<Unwinding> UNWINDING = new ThreadLocal<>();

    /** How many decisions a stack overflow has ended so far on a thread. */
    private static final class Unwinding {
        private @Nullable StackOverflowError error;
        private int ended;
    }

    private Recursion() {}

    /** Loads classes early that are needed when the stack is exhausted. */
    static void load() {
        Objects.requireNonNull(Unwinding.class);
        Objects.requireNonNull(Sneaky.class);
        Objects.requireNonNull(Unrecorded.class);
        // The JVM loads what a frame could catch when an error passes through it.
        Objects.requireNonNull(WrongMethodTypeException.class);
        Objects.requireNonNull(InvocationTargetException.class);
        Objects.requireNonNull(MisuseException.class);
        CallLog.load();
    }

    /** Whether a stack overflow has ended so many decisions that it can be looked at; true once for each error. */
    static boolean isRoomFor(StackOverflowError error) {
        Unwinding here = UNWINDING.get();
        if (here == null) {
            here = new Unwinding();
            UNWINDING.set(here);
        }
        here.ended = here.error == error ? here.ended + 1 : 1;
        here.error = error;
        if (here.ended < ROOM) {
            return false;
        }
        UNWINDING.remove();
        return true;
    }

    /** What to throw for a stack that ran out during a call: a misuse if that call filled it, else the error itself. */
    static Throwable explain(DoubleState owner, DoubledMethod method, @Nullable Rule answer, StackOverflowError error) {
        boolean atSite = owner.isOfClass() && !method.asksItself();
        String type = atSite
                ? Decision.class.getName()
                : owner.doubleClass().isWoven()
                        ? method.executable().getDeclaringClass().getName()
                        : owner.self().getClass().getName();
        int times = 0;
        for (StackTraceElement frame : error.getStackTrace()) {
            if (frame.getClassName().equals(type)
                    && (atSite || frame.getMethodName().equals(method.name()))) {
                times++;
            }
        }
        if (times < FEWEST) {
            return error;
        }
        String call = owner.name() + "." + method.name();
        return answer == null
                ? new MisuseException(
                        "The default method " + call + " calls itself without end, by way of other methods without a"
                                + " supposition.",
                        "say what one of them answers, such as suppose(" + owner.name() + "::" + method.name()
                                + ").returns(...)")
                : new MisuseException(
                        "The answer of " + answer + " calls " + call + " itself, without end.",
                        "call the real code inside the answer, with .around((real, ...) -> real.ask(...)), or another"
                                + " method");
    }
}
