package dev.zelotype.engine.pattern;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.MadeNames;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.lang.StackWalker.StackFrame;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;

/**
 * One run of a lambda during which calls of doubles are noted instead of answered, on this thread only.
 */
public final class Capture {

    private static final AtomicInteger ACTIVE = new AtomicInteger();
    private static final ThreadLocal<Capture> CURRENT = new ThreadLocal<>();

    private final List<CapturedCall> calls = new ArrayList<>();
    private final boolean linking;
    private final @Nullable DoubledMethod target;

    /** A call that the lambda made. */
    record CapturedCall(Participant participant, DoubledMethod method, Object[] arguments, StackFrame caller) {}

    private Capture(boolean linking, @Nullable DoubledMethod target) {
        this.linking = linking;
        this.target = target;
    }

    /** The capture that the current thread is in, or null. */
    public static @Nullable Capture current() {
        return ACTIVE.get() == 0 ? null : CURRENT.get();
    }

    /**
     * Runs a lambda and tells what it called; whatever it throws comes with that.
     *
     * @param linking whether calls give back doubles that carry a chain on, which costs a class for each such type
     * @param target the static method or constructor that the lambda ends with, or null
     */
    static Run of(Serializable lambda, Object[] arguments, boolean linking, @Nullable DoubledMethod target) {
        Capture outer = CURRENT.get();
        Capture capture = new Capture(linking, target);
        Throwable thrown = null;
        ACTIVE.incrementAndGet();
        CURRENT.set(capture);
        try {
            Shapes.run(lambda, arguments);
        } catch (Throwable e) {
            thrown = e;
        } finally {
            ACTIVE.decrementAndGet();
            if (outer == null) {
                CURRENT.remove();
            } else {
                CURRENT.set(outer);
            }
        }
        return new Run(capture.calls, thrown);
    }

    record Run(List<CapturedCall> calls, @Nullable Throwable thrown) {}

    /** Whether a call of a replaced class is the one that the lambda is about; others run as they came. */
    public boolean isAbout(DoubledMethod method) {
        return method == target;
    }

    /** Notes a call, and gives back something that the lambda can carry on with: for a chain, its next link. */
    public @Nullable Object called(Participant participant, DoubledMethod method, Object[] arguments) {
        CapturedCall call = new CapturedCall(
                participant, method, arguments, caller(participant.doubleClass().isWoven() ? 1 : 0));
        calls.add(call);
        Class<?> type = method.returnType();
        if (type.isPrimitive()) {
            return Zero.of(type);
        }
        return linking && isLinkType(type) ? link(call, type) : null;
    }

    private static boolean isLinkType(Class<?> type) {
        String name = type.getName();
        boolean plain = type.isArray()
                || type.isEnum()
                || type.isSealed()
                || name.startsWith("java.lang.")
                || name.startsWith("java.util.")
                || name.startsWith("java.time.");
        return !plain && !Modifier.isFinal(type.getModifiers());
    }

    private static @Nullable Object link(CapturedCall call, Class<?> type) {
        try {
            return new ChainLink(call, DoubleClass.of(type)).self();
        } catch (MisuseException e) {
            // Not doublable, so the chain ends here; a lambda that goes on is told so.
            return null;
        }
    }

    /** Who called; a woven method stands on the stack itself and is skipped. */
    private static StackFrame caller(int skipped) {
        return StackWalker.getInstance(StackWalker.Option.RETAIN_CLASS_REFERENCE)
                .walk(frames -> frames.filter(frame -> !frame.getClassName().startsWith("dev.zelotype.engine.")
                                && !MadeNames.isMade(frame.getClassName())
                                && !isBridge(frame))
                        .skip(skipped)
                        .findFirst()
                        .orElseThrow());
    }

    private static boolean isBridge(StackFrame frame) {
        if (frame.getMethodName().contains("$")) {
            return false;
        }
        try {
            return frame.getDeclaringClass()
                    .getDeclaredMethod(
                            frame.getMethodName(), frame.getMethodType().parameterArray())
                    .isBridge();
        } catch (NoSuchMethodException e) {
            return false;
        }
    }

    /** What a captured call gave back; a call on it continues the chain. */
    static final class ChainLink extends StandIn {

        private final CapturedCall origin;

        ChainLink(CapturedCall origin, DoubleClass doubleClass) {
            super(origin.participant().name() + "." + origin.method().name() + "()", Kind.STUB, doubleClass);
            this.origin = origin;
        }

        CapturedCall origin() {
            return origin;
        }

        @Override
        public @Nullable Object apply(Object index, Object[] arguments) {
            Capture capture = current();
            DoubledMethod method = doubleClass().method((Integer) index);
            if (capture == null || method.ofObject()) {
                throw new IllegalStateException("A link of a chain was used outside its pattern.");
            }
            return capture.called(this, method, arguments == null ? CallPattern.NO_ARGUMENTS : arguments);
        }
    }
}
