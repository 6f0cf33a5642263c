package dev.zelotype.engine.run;

import dev.zelotype.call.Shape;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.journal.Lines;
import dev.zelotype.engine.journal.MethodLog;
import dev.zelotype.engine.pattern.CallPattern;
import dev.zelotype.engine.pattern.PatternReader;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.lang.StackWalker.StackFrame;
import org.jspecify.annotations.Nullable;

/**
 * A statement of the test about calls of one double: a supposition, an expectation or a check. It belongs to the scene in
 * which it is made.
 */
public abstract class Statement {

    private final String verb;
    private final Told told;
    private final Part part;
    private final @Nullable StackFrame frame;
    private volatile CallPattern pattern;
    private boolean fixed;

    Statement(String verb, Written written) {
        this.verb = verb;
        this.pattern = written.pattern();
        this.told = (Told) pattern.participant();
        this.part = told.partOfStatement();
        this.frame = written.frame();
        refuseIfClosed();
    }

    /** A pattern, and where in the test it is written. */
    record Written(CallPattern pattern, @Nullable StackFrame frame) {}

    /** Reads a pattern; a chain becomes a pattern on the double at its end. */
    static Written read(Serializable shape, boolean mayMakeLinks) {
        // Looked up first: reading may weave the very method that makes the statement, and its lines are gone then.
        StackFrame frame = Lines.caller();
        return new Written(
                Chains.resolve(PatternReader.read(shape, new Replacements.ForPatterns(mayMakeLinks)), mayMakeLinks),
                frame);
    }

    public final void with(@Nullable Object... values) {
        said(() -> {
            refuseIfFixed("with(...)");
            narrow(pattern.with(values));
        });
    }

    public final void where(@Nullable String description, @Nullable Shape condition) {
        said(() -> {
            refuseIfFixed("where(...)");
            if (condition == null) {
                throw new MisuseException("The condition of " + verb + "(...).where is null.", "give a condition");
            }
            narrow(pattern.where(description, free -> holds(condition, free)));
        });
    }

    private static boolean holds(Shape condition, Object[] free) {
        try {
            return (Boolean) condition.spread(free);
        } catch (Throwable e) {
            throw Sneaky.rethrow(e);
        }
    }

    void narrow(CallPattern narrower) {
        pattern = narrower;
    }

    /** Goes on with the statement; one that is refused is not reported as unfinished besides. */
    final void said(Runnable more) {
        try {
            more.run();
        } catch (MisuseException e) {
            scene().completed(this);
            throw e;
        }
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

    final boolean isFixed() {
        return fixed;
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

    /** What the double is told and asked in the scene of this statement. */
    final Part part() {
        return part;
    }

    final SceneState scene() {
        return part.scene();
    }

    final MethodState state() {
        return part.state(pattern.method());
    }

    final MethodLog log() {
        return state().log();
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

    private void refuseIfClosed() {
        if (scene().closed()) {
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
