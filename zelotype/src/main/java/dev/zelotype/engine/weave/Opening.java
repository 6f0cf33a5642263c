package dev.zelotype.engine.weave;

import dev.zelotype.engine.make.Jdk;
import dev.zelotype.error.OwnNames;
import java.lang.StackWalker.StackFrame;
import java.net.URL;
import java.security.CodeSource;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The stack on which a scene was opened. Frames above the one that opened it are the test's; those below are of
 * whatever runs the test (a runner, a launcher, an IDE, a {@code main} method), which is neither accused nor answered.
 */
public final class Opening {

    private static final StackWalker WALKER = StackWalker.getInstance(StackWalker.Option.RETAIN_CLASS_REFERENCE);

    /** From the bottom of the stack to the frame that opened the scene. */
    private final StackFrame[] below;

    private final boolean byTest;
    private final @Nullable URL test;
    private @Nullable Set<String> methods;
    private @Nullable Set<URL> jars;

    private Opening(StackFrame[] below, boolean byTest, @Nullable URL test) {
        this.below = below;
        this.byTest = byTest;
        this.test = test;
    }

    /**
     * The stack of this thread as it is now.
     *
     * @param byTest whether the test itself opens the scene, and not what runs it
     * @param test the class of the test, if that is known
     */
    public static Opening here(boolean byTest, @Nullable Class<?> test) {
        return new Opening(fromBottom(), byTest, test == null ? null : placeOf(test));
    }

    private static StackFrame[] fromBottom() {
        List<StackFrame> frames = WALKER.walk(all ->
                all.dropWhile(frame -> OwnNames.has(frame.getClassName())).toList());
        StackFrame[] reversed = new StackFrame[frames.size()];
        for (int i = 0; i < reversed.length; i++) {
            reversed[i] = frames.get(reversed.length - 1 - i);
        }
        return reversed;
    }

    private static @Nullable URL placeOf(Class<?> type) {
        CodeSource source = type.getProtectionDomain().getCodeSource();
        return source == null ? null : source.getLocation();
    }

    private static boolean isSameMethod(StackFrame one, StackFrame other) {
        return one.getDeclaringClass() == other.getDeclaringClass()
                && one.getMethodName().equals(other.getMethodName())
                && one.getDescriptor().equals(other.getDescriptor());
    }

    /**
     * The place from the bottom of the first frame that is the test's.
     *
     * @param now the stack of the same thread, from the bottom
     */
    private int first(StackFrame[] now) {
        int same = 0;
        while (same < below.length
                && same < now.length
                && isSameMethod(now[same], below[same])
                && now[same].getByteCodeIndex() == below[same].getByteCodeIndex()) {
            same++;
        }
        boolean goesOn = same < below.length && same < now.length && isSameMethod(now[same], below[same]);
        return goesOn && !isOpener(same) ? same + 1 : same;
    }

    /** Whether the frame at a place from the bottom is that of the test's method which opened the scene. */
    private boolean isOpener(int place) {
        return byTest && place == below.length - 1;
    }

    /** A frame of the test, with its place from the bottom of the stack. */
    record Placed(StackFrame frame, int place, boolean opened) {}

    /** The frames of the current thread that are the test's or its subject's, the lowest first. */
    Placed[] above() {
        StackFrame[] now = fromBottom();
        int first = first(now);
        Placed[] above = new Placed[now.length - first];
        for (int i = first; i < now.length; i++) {
            above[i - first] = new Placed(now[i], i, isOpener(i) && isSameMethod(now[i], below[i]));
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

    /** Whether a call on this thread is made by what runs the test, and not by the test or its subject. */
    public boolean isRunners(WovenMethod call) {
        Class<?> calling = call.calling();
        if (calling == null || !mayRun(calling, call.callingMethod())) {
            return false;
        }
        for (Placed each : above()) {
            Class<?> type = each.frame().getDeclaringClass();
            if (!Jdk.has(type) && !isRunners(type)) {
                return false;
            }
        }
        return true;
    }

    private boolean isRunners(Class<?> type) {
        return jars().contains(placeOf(type));
    }

    private boolean mayRun(Class<?> calling, @Nullable String method) {
        return isRunners(calling) || methods().contains(calling.getName() + "." + method);
    }

    private synchronized Set<String> methods() {
        Set<String> known = methods;
        if (known == null) {
            known = new HashSet<>();
            for (int i = 0; i < below.length; i++) {
                if (!isOpener(i)) {
                    known.add(below[i].getClassName() + "." + below[i].getMethodName() + below[i].getDescriptor());
                }
            }
            methods = known;
        }
        return known;
    }

    /** Where the runner's classes lie; nothing is known of them if the test opens its scene itself. */
    private synchronized Set<URL> jars() {
        Set<URL> known = jars;
        if (known == null) {
            known = new HashSet<>();
            for (StackFrame frame : byTest ? new StackFrame[0] : below) {
                URL place = Jdk.has(frame.getDeclaringClass()) ? null : placeOf(frame.getDeclaringClass());
                if (place != null && !place.getPath().endsWith("/") && !place.equals(test)) {
                    known.add(place);
                }
            }
            jars = known;
        }
        return known;
    }
}
