package dev.zelotype.engine.run;

import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.journal.Lines;
import dev.zelotype.engine.pattern.CallPattern;
import dev.zelotype.engine.pattern.PatternReader;
import dev.zelotype.engine.pattern.Shapes;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.lang.StackWalker.StackFrame;
import org.jspecify.annotations.Nullable;

/**
 * A statement of the test about calls of one double: a supposition, an expectation or a check.
 */
public abstract class Statement {

    private final String verb;
    private final Told told;
    private final @Nullable StackFrame frame;
    private volatile CallPattern pattern;
    private boolean fixed;

    Statement(String verb, CallPattern pattern) {
        this.verb = verb;
        this.pattern = pattern;
        this.told = (Told) pattern.participant();
        this.frame = Lines.caller();
    }

    /** Reads a pattern; a chain becomes a pattern on the double at its end. */
    static CallPattern read(Serializable shape, boolean mayMakeLinks) {
        CallPattern pattern = PatternReader.read(shape, type -> Replacements.of(type, mayMakeLinks));
        return pattern.before() == null ? pattern : Chains.resolve(pattern, mayMakeLinks);
    }

    public final void with(Object... values) {
        refuseIfFixed("with(...)");
        pattern = pattern.with(values);
    }

    public final void where(@Nullable String description, Serializable condition) {
        refuseIfFixed("where(...)");
        if (condition == null) {
            throw new MisuseException("The condition of " + verb + "(...).where is null.", "give a condition");
        }
        pattern = pattern.where(description, free -> Shapes.holds(condition, free));
    }

    final void narrow(CallPattern narrower) {
        pattern = narrower;
    }

    private void refuseIfFixed(String what) {
        if (fixed) {
            throw new MisuseException(
                    what + " comes too late: " + this + " is complete already.",
                    "narrow the pattern right after " + verb + "(...)");
        }
    }

    /** From here on the pattern stays as it is. */
    final void fix() {
        fixed = true;
    }

    /** What it does, in the word that the test wrote. */
    final String verb() {
        return verb;
    }

    /** How many calls it asks for. */
    abstract Count count();

    /** How many of them there were. */
    abstract int found();

    /** The order that it is part of, or null. */
    abstract @Nullable Order order();

    final Told told() {
        return told;
    }

    final CallPattern pattern() {
        return pattern;
    }

    final String patternText() {
        return Calls.pattern(pattern);
    }

    final String line() {
        return Lines.text(frame);
    }

    final void refuseIfClosed() {
        if (told.scene().closed()) {
            throw new MisuseException(
                    verb + "(" + patternText() + ") comes too late: the scene of " + told.name() + " is closed.",
                    "write it before the end of the test, and make doubles anew for each");
        }
    }

    final void refuseIfNotRecorded() {
        if (pattern.method().ofObject()) {
            throw new MisuseException(
                    "Calls of " + told.name() + "." + pattern.method().name()
                            + " are not recorded, as of all methods of Object.",
                    "check something that the subject asks for");
        }
    }

    /** The statement with its line, for messages. */
    @Override
    public final String toString() {
        return verb + "(" + patternText() + ") at " + line();
    }
}
