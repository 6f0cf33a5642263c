package dev.zelotype.engine.statement;

import dev.zelotype.call.Act0;
import dev.zelotype.conversation.Ending;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.decide.DoubleState;
import dev.zelotype.engine.decide.Part;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Rethrow;
import dev.zelotype.engine.pattern.rule.CallPattern;
import java.io.Serializable;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A call that must have been made before a supposition applies; used by a block of suppositions. Nested blocks require
 * calls in sequence.
 */
public final class Before {

    private static final ThreadLocal<Before> CURRENT = new ThreadLocal<>();

    private final @Nullable Before earlier;
    private final CallPattern pattern;
    private final Part part;

    private Before(@Nullable Before earlier, Statement.Written call) {
        this.earlier = earlier;
        this.pattern = call.pattern();
        this.part = call.part();
    }

    /** Runs suppositions that apply once a call was made. */
    public static void after(Serializable call, Act0 suppositions) {
        Before earlier = CURRENT.get();
        CURRENT.set(new Before(earlier, Statement.read(call, false)));
        try {
            suppositions.act();
        } catch (Throwable e) {
            throw Rethrow.rethrow(e);
        } finally {
            if (earlier == null) {
                CURRENT.remove();
            } else {
                CURRENT.set(earlier);
            }
        }
    }

    /** The calls that a statement made now requires before it applies; null for none. */
    static @Nullable Before current() {
        return CURRENT.get();
    }

    /** All calls that must have been made, the first one first. */
    public List<Before> all() {
        List<Before> all = earlier == null ? new ArrayList<>() : earlier.all();
        all.add(this);
        return all;
    }

    public DoubledMethod method() {
        return pattern.method();
    }

    /** The called double. */
    public DoubleState about() {
        return part.owner();
    }

    /** The arguments of the call. */
    public Object[] arguments() {
        return pattern.example(new Object[0]);
    }

    public String text() {
        return Calls.pattern(pattern);
    }

    /** A pattern that covers a call only after these calls were made. */
    CallPattern narrowed(CallPattern statement) {
        List<String> texts = new ArrayList<>();
        all().forEach(each -> texts.add(each.text()));
        return statement.where("after " + String.join(", ", texts), free -> made() != null);
    }

    /** The call that was made after all earlier ones; null if there was none. */
    private @Nullable Call made() {
        Call previous = earlier == null ? null : earlier.made();
        if (earlier != null && previous == null) {
            return null;
        }
        for (Call call : part.state(pattern.method()).calls()) {
            boolean hasEnded = call.ending() != Ending.RUNNING;
            boolean isLater = previous == null || Call.IN_ORDER.compare(previous, call) < 0;
            if (hasEnded && isLater && pattern.covers(call.arguments())) {
                return call;
            }
        }
        return null;
    }
}
