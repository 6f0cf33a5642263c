package dev.zelotype.engine.decide;

import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.error.MisuseException;
import java.lang.StackWalker.StackFrame;
import java.util.Iterator;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Tells an answer that calls the very method it answers from other code that recurses too deeply.
 */
final class Recursion {

    /** So often only a method without end stands on a stack that has run out. */
    private static final int FEWEST = 20;

    private static final StackWalker WALKER = StackWalker.getInstance();
    private static final NextDecision NEXT = new NextDecision();

    private Recursion() {}

    /** Loads what is needed where there is no room left on the stack to load a class. */
    static void load() {
        isOutermost();
    }

    /** Whether a frame below this decision is another one. A named class, so that nothing is linked when the stack runs out. */
    private static final class NextDecision implements Function<Stream<StackFrame>, Boolean> {

        private static final String DECISION = Decision.class.getName();

        @Override
        public Boolean apply(Stream<StackFrame> frames) {
            boolean inThis = false;
            boolean below = false;
            for (Iterator<StackFrame> i = frames.iterator(); i.hasNext(); ) {
                boolean decides = i.next().getClassName().equals(DECISION);
                if (decides && below) {
                    return true;
                }
                below |= inThis && !decides;
                inThis |= decides;
            }
            return false;
        }
    }

    /** Whether the decision that calls this was made in the course of no other one on this thread. */
    static boolean isOutermost() {
        return !WALKER.walk(NEXT);
    }

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
