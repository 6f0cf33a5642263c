package dev.zelotype.engine.statement;

import dev.zelotype.call.Shape;
import dev.zelotype.call.WrittenPattern;
import dev.zelotype.conversation.Verb;
import dev.zelotype.engine.calls.Lines;
import dev.zelotype.engine.decide.DoubleState;
import dev.zelotype.engine.decide.MethodState;
import dev.zelotype.engine.decide.Part;
import dev.zelotype.engine.decide.Stated;
import dev.zelotype.engine.decide.facts.Count;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Rethrow;
import dev.zelotype.engine.pattern.PatternReader;
import dev.zelotype.engine.pattern.rule.CallPattern;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.lang.StackWalker.StackFrame;
import org.jspecify.annotations.Nullable;

/**
 * A statement of the test about calls of one double: a supposition, an expectation or a check. It belongs to the scene in
 * which it is made.
 */
public abstract class Statement {

    private final Stated said;
    private final Part part;
    private boolean fixed;

    Statement(Stated said, Part part) {
        this.said = said;
        this.part = part;
        if (part.scene().closed()) {
            throw new MisuseException(
                    said.verb().call() + "(" + said.patternText() + ") was called after the scene of "
                            + part.owner().name() + " had been closed.",
                    "write it before the end of the test, and make new doubles for each test");
        }
    }

    /** A pattern, its place in the test, and the part of its double. */
    record Written(CallPattern pattern, @Nullable StackFrame frame, Part part) {

        Written(CallPattern pattern, @Nullable StackFrame frame) {
            this(pattern, frame, ((DoubleState) pattern.participant()).partOfStatement());
        }

        Stated said(Verb verb) {
            return new Stated(verb, pattern, frame);
        }

        MethodState state() {
            return part.state(pattern.method());
        }
    }

    /** Reads a pattern; a chain becomes a pattern on the double at its end. */
    static Written read(Serializable shape, boolean mayMakeLinks) {
        // Looked up first: reading may weave the very method that makes the statement, which then has no lines any
        // more.
        StackFrame written = shape instanceof WrittenPattern pattern ? pattern.place() : null;
        StackFrame frame = written == null ? Lines.settled(Lines.caller()) : written;
        return new Written(Chains.resolve(PatternReader.read(shape, mayMakeLinks), mayMakeLinks), frame);
    }

    public final void with(@Nullable Object... values) {
        say(() -> {
            refuseIfFixed("with(...)");
            narrow(pattern().with(values));
        });
    }

    public final void where(@Nullable String description, @Nullable Shape condition) {
        say(() -> {
            refuseIfFixed("where(...)");
            if (condition == null) {
                throw new MisuseException(
                        "The condition of " + verb().call() + "(...).where is null.", "give a condition");
            }
            narrow(pattern().where(description, free -> holds(condition, free)));
        });
    }

    private static boolean holds(Shape condition, Object[] free) {
        try {
            return (Boolean) condition.spread(free);
        } catch (Throwable e) {
            throw Rethrow.rethrow(e);
        }
    }

    void narrow(CallPattern narrower) {
        said.narrow(narrower);
    }

    /** Continues the statement; a refused statement is not reported as incomplete as well. */
    final void say(Runnable more) {
        try {
            more.run();
        } catch (MisuseException e) {
            throw refused(e);
        }
    }

    final MisuseException refused(MisuseException reason) {
        scene().completed(this);
        return reason;
    }

    private void refuseIfFixed(String what) {
        if (fixed) {
            throw new MisuseException(
                    what + " was called too late: " + this + " is already complete.",
                    "narrow the pattern right after " + verb().call() + "(...)");
        }
    }

    /** From here on the pattern is final. */
    final void fix() {
        fixed = true;
    }

    final boolean isFixed() {
        return fixed;
    }

    final Stated said() {
        return said;
    }

    public final Verb verb() {
        return said.verb();
    }

    /** How many calls it requires. */
    public abstract Count count();

    /** How many of them there were. */
    public abstract int found();

    /** The order that contains it, or null. */
    public abstract @Nullable Order order();

    /** The name of its double in messages. */
    public final String receiver() {
        return part.owner().name();
    }

    /** The statements and calls of its double in the scene of this statement. */
    final Part part() {
        return part;
    }

    final SpokenScene scene() {
        // Every scene accepts statements.
        return (SpokenScene) part.scene();
    }

    final MethodState state() {
        return part.state(method());
    }

    public final DoubledMethod method() {
        return pattern().method();
    }

    public final CallPattern pattern() {
        return said.pattern();
    }

    public final String patternText() {
        return said.patternText();
    }

    public final String callText() {
        return said.callText();
    }

    /** The frame of the test that makes it; null if unknown. */
    public final @Nullable StackFrame frame() {
        return said.frame();
    }

    /** Its place in the test, in short form. */
    public final String place() {
        return said.place();
    }

    /** Its place in the test, in the form that consoles turn into links. */
    public final String at() {
        return said.at();
    }

    final void refuseIfNotRecorded() {
        if (method().ofObject()) {
            throw new MisuseException(
                    "Calls of " + receiver() + "." + method().name() + " are not recorded: it is a method of Object.",
                    "check calls of another method");
        }
    }

    /** The statement with its line, for messages. */
    @Override
    public final String toString() {
        return said.toString();
    }
}
