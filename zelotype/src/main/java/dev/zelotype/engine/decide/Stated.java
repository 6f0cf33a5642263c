package dev.zelotype.engine.decide;

import dev.zelotype.conversation.Verb;
import dev.zelotype.engine.calls.Lines;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.pattern.rule.CallPattern;
import java.lang.StackWalker.StackFrame;
import org.jspecify.annotations.Nullable;

/**
 * A completed statement of the test about some calls, with its place.
 */
public class Stated {

    private final Verb verb;
    private final @Nullable StackFrame frame;
    private volatile CallPattern pattern;

    public Stated(Verb verb, CallPattern pattern, @Nullable StackFrame frame) {
        this.verb = verb;
        this.pattern = pattern;
        this.frame = frame;
    }

    public final Verb verb() {
        return verb;
    }

    public final CallPattern pattern() {
        return pattern;
    }

    /** Narrows it to fewer calls. */
    public final void narrow(CallPattern narrower) {
        pattern = narrower;
    }

    public final boolean covers(Object[] arguments) {
        return pattern.covers(arguments);
    }

    /**
     * The calls that it covers, without the name of the double; for a double in a chain, from the first call of the
     * chain on, for example {@code mount().rate()}.
     */
    public final String callText() {
        return callText(pattern);
    }

    private static String callText(CallPattern pattern) {
        CallPattern origin = pattern.participant() instanceof DoubleState told ? told.origin() : null;
        return (origin == null ? "" : callText(origin) + ".") + Calls.called(pattern);
    }

    public final String patternText() {
        return Calls.pattern(pattern);
    }

    /** The frame of the statement; null if there is none outside the library. */
    public final @Nullable StackFrame frame() {
        return frame;
    }

    /** Its place in the test, in short form. */
    public final String place() {
        return Lines.text(frame);
    }

    /** Its place in the test, in the form that consoles turn into links. */
    public final String at() {
        return Lines.at(frame);
    }

    /** The statement with its line, for messages. */
    @Override
    public final String toString() {
        return (verb.call() + "(" + patternText() + ") " + at()).stripTrailing();
    }
}
