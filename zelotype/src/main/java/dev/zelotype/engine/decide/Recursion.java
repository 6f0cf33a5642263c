package dev.zelotype.engine.decide;

import dev.zelotype.engine.calls.CallLog;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Rethrow;
import dev.zelotype.engine.make.Unrecorded;
import dev.zelotype.error.MisuseException;
import java.lang.invoke.WrongMethodTypeException;
import java.lang.reflect.InvocationTargetException;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * Distinguishes an answer that calls the method that it answers from other infinite recursion.
 */
final class Recursion {

    /** Only infinite recursion occurs this often on an exhausted stack. */
    private static final int FEWEST = 20;

    /** After so many unwound decisions, there is enough stack again to examine it and to load classes. */
    private static final int ROOM = 64;

    private static final ThreadLocal<Unwinding> UNWINDING = new ThreadLocal<>();

    /** How many decisions a stack overflow has unwound so far on a thread. */
    private static final class Unwinding {
        private @Nullable StackOverflowError error;
        private int ended;
    }

    private Recursion() {}

    /** Loads classes in advance that are needed when the stack is exhausted. */
    static void load() {
        Objects.requireNonNull(Unwinding.class);
        Objects.requireNonNull(Rethrow.class);
        Objects.requireNonNull(Unrecorded.class);
        // The JVM loads the exception types that a frame could catch when an error passes through it.
        Objects.requireNonNull(WrongMethodTypeException.class);
        Objects.requireNonNull(InvocationTargetException.class);
        Objects.requireNonNull(MisuseException.class);
        CallLog.load();
    }

    /** Whether a stack overflow has unwound enough decisions to be examined; true once per error. */
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

    /** What to throw after a stack overflow during a call: a misuse if that call caused it, else the error itself. */
    static Throwable explain(DoubleState owner, DoubledMethod method, @Nullable Rule answer, StackOverflowError error) {
        boolean atSite = owner.isOfClass() && !method.isWovenItself();
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
                        "set an answer for one of them, such as suppose(" + owner.name() + "::" + method.name()
                                + ").returns(...)")
                : new MisuseException(
                        "The answer of " + answer + " calls " + call + " again, and so without end.",
                        "call the real code inside the answer, with .around((real, ...) -> real.ask(...)), or another"
                                + " method");
    }
}
