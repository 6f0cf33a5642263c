package dev.zelotype.engine.weave;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.engine.make.Overflow;
import java.lang.StackWalker.StackFrame;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The stack on which a scene was opened. Frames above the opening one belong to the test; those below belong to
 * whatever runs the test (a framework, a launcher, an IDE, a {@code main} method), whose calls are neither reported nor
 * answered.
 */
public final class Opening {

    private static final StackWalker WALKER = StackWalker.getInstance(StackWalker.Option.RETAIN_CLASS_REFERENCE);

    /** The jars of classes; empty for classes in folders, and of unknown origin. */
    private static final ClassValue<String> JARS = new ClassValue<>() {
        @Override
        protected String computeValue(Class<?> type) {
            String place = placeOf(type);
            return place.endsWith("/") ? "" : place;
        }
    };

    /** Recorded within a few microseconds; only few scenes read it. */
    private final Throwable stack = new Throwable();

    private final boolean byTest;
    /** The class of the test, if it is known and the test did not open the scene itself. */
    private final @Nullable Class<?> test;

    private StackTraceElement @Nullable [] below;
    private @Nullable Set<String> methods;
    private @Nullable Set<String> jars;

    private Opening(boolean byTest, @Nullable Class<?> test) {
        this.byTest = byTest;
        this.test = test;
    }

    /**
     * The current stack of this thread.
     *
     * @param byTest whether the test itself opens the scene, rather than its framework
     * @param test the class of the test, if it is known
     */
    public static Opening here(boolean byTest, @Nullable Class<?> test) {
        return new Opening(byTest, byTest ? null : test);
    }

    private static String placeOf(Class<?> type) {
        var source = type.getProtectionDomain().getCodeSource();
        return source == null || source.getLocation() == null
                ? ""
                : source.getLocation().toString();
    }

    /** The frames from the bottom of the stack up to the one that opened the scene. */
    private synchronized StackTraceElement[] below() {
        StackTraceElement[] known = below;
        if (known == null) {
            List<StackTraceElement> frames = new ArrayList<>();
            for (StackTraceElement each : stack.getStackTrace()) {
                if (counts(each.getClassName(), frames.isEmpty())) {
                    frames.add(each);
                }
            }
            Collections.reverse(frames);
            known = frames.toArray(new StackTraceElement[0]);
            below = known;
        }
        return known;
    }

    /** Whether a frame is neither reflection nor code of Zelotype on top. */
    private static boolean counts(String className, boolean onTop) {
        // A stack walk omits these frames, but an exception does not.
        if (CodeOwner.isOfReflection(className) || className.startsWith("java.lang.invoke.")) {
            return false;
        }
        return !onTop || !CodeOwner.isOurs(className);
    }

    /** Plain classes and loops: this code runs once per suite, and each lambda would have to be linked first. */
    private static final class FromBottom implements Function<Stream<StackFrame>, StackFrame[]> {

        @Override
        public StackFrame[] apply(Stream<StackFrame> all) {
            List<StackFrame> frames = new ArrayList<>();
            for (Iterator<StackFrame> i = all.iterator(); i.hasNext(); ) {
                StackFrame frame = i.next();
                if (counts(frame.getClassName(), frames.isEmpty())) {
                    frames.add(frame);
                }
            }
            Collections.reverse(frames);
            return frames.toArray(new StackFrame[0]);
        }
    }

    private static StackFrame[] fromBottom() {
        try {
            return WALKER.walk(new FromBottom());
        } catch (InternalError e) {
            throw Overflow.in(e);
        }
    }

    private static boolean isSameMethod(StackFrame one, StackTraceElement other) {
        return one.getClassName().equals(other.getClassName())
                && one.getMethodName().equals(other.getMethodName());
    }

    /** The JVM no longer knows the line of a method whose class was woven meanwhile. */
    private static boolean isSameLine(StackFrame one, StackTraceElement other) {
        return one.getFileName() == null || other.getLineNumber() <= 0 || one.getLineNumber() == other.getLineNumber();
    }

    /**
     * The index from the bottom of the first frame of the test.
     *
     * @param now the current stack of the same thread, from the bottom
     */
    private int first(StackFrame[] now) {
        StackTraceElement[] then = below();
        int same = 0;
        while (same < then.length
                && same < now.length
                && isSameMethod(now[same], then[same])
                && isSameLine(now[same], then[same])) {
            same++;
        }
        boolean goesOn = same < then.length && same < now.length && isSameMethod(now[same], then[same]);
        int first = goesOn ? same + 1 : same;
        int opener = then.length - 1;
        boolean runsOn = byTest && first >= opener && opener < now.length && isSameMethod(now[opener], then[opener]);
        return runsOn ? opener : first;
    }

    /** A frame of the test, with its index from the bottom of the stack. */
    record Placed(StackFrame frame, int place, boolean opened) {}

    /** The frames of the test and its subject on the current thread, the lowest first. */
    Placed[] above() {
        StackFrame[] now = fromBottom();
        int first = first(now);
        StackTraceElement[] then = below();
        Placed[] above = new Placed[now.length - first];
        for (int i = first; i < now.length; i++) {
            boolean opened = byTest && i == then.length - 1 && isSameMethod(now[i], then[i]);
            above[i - first] = new Placed(now[i], i, opened);
        }
        return above;
    }

    /** All frames of the current thread, the lowest first. */
    static Placed[] all() {
        StackFrame[] now = fromBottom();
        Placed[] all = new Placed[now.length];
        for (int i = 0; i < now.length; i++) {
            all[i] = new Placed(now[i], i, false);
        }
        return all;
    }

    /** Whether a call on this thread is made by the framework that runs the test. */
    public boolean isRunners(WovenMethod call) {
        Class<?> calling = call.calling();
        if (calling == null || !isRunners(calling) && !methods().contains(call.callingMethod())) {
            return false;
        }
        for (Placed each : above()) {
            Class<?> type = each.frame().getDeclaringClass();
            if (!CodeOwner.isOfJdk(type) && !isRunners(type)) {
                return false;
            }
        }
        return true;
    }

    private boolean isRunners(Class<?> type) {
        if (byTest) {
            return false;
        }
        String jar = JARS.get(type);
        return !jar.isEmpty() && jars().contains(jar);
    }

    /** The methods that were running when the scene was opened, without the test method that opened it. */
    private synchronized Set<String> methods() {
        Set<String> known = methods;
        if (known == null) {
            known = new HashSet<>();
            StackTraceElement[] then = below();
            for (int i = 0; i < then.length - (byTest ? 1 : 0); i++) {
                known.add(then[i].getClassName() + "." + then[i].getMethodName());
            }
            methods = known;
        }
        return known;
    }

    /** The jars of the framework that runs the test, if that opened the scene. */
    private synchronized Set<String> jars() {
        Set<String> known = jars;
        if (known == null) {
            known = new HashSet<>();
            String place = test == null ? "" : placeOf(test);
            StackFrame[] now = fromBottom();
            int first = first(now);
            for (int i = 0; i < first; i++) {
                Class<?> type = now[i].getDeclaringClass();
                String jar = CodeOwner.isOfJdk(type) ? "" : JARS.get(type);
                if (!jar.isEmpty() && !jar.equals(place)) {
                    known.add(jar);
                }
            }
            jars = known;
        }
        return known;
    }
}
