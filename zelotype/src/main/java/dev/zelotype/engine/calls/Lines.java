package dev.zelotype.engine.calls;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.basics.CodePlace;
import dev.zelotype.engine.make.Overflow;
import java.lang.StackWalker.StackFrame;
import java.lang.invoke.MethodType;
import java.lang.reflect.Method;
import java.util.Iterator;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Where in the code of the test or of its subject something was called.
 */
public final class Lines {

    private static final StackWalker WALKER = StackWalker.getInstance(StackWalker.Option.RETAIN_CLASS_REFERENCE);

    private Lines() {}

    /** A named class, because it runs before the first lambda of most test JVMs would. */
    private static final class FirstOutside implements Function<Stream<StackFrame>, @Nullable StackFrame> {

        private static final FirstOutside PLAIN = new FirstOutside(0);
        private static final FirstOutside WOVEN = new FirstOutside(1);

        private final int skipped;

        FirstOutside(int skipped) {
            this.skipped = skipped;
        }

        @Override
        public @Nullable StackFrame apply(Stream<StackFrame> frames) {
            StackFrame first = null;
            StackFrame woven = null;
            int toSkip = skipped;
            for (Iterator<StackFrame> i = frames.iterator(); i.hasNext(); ) {
                StackFrame frame = i.next();
                String name = frame.getClassName();
                if (CodeOwner.isOurs(name)) {
                    continue;
                }
                if (toSkip-- > 0) {
                    woven = frame;
                    continue;
                }
                if (woven != null && isBridgeTo(woven, frame)) {
                    continue;
                }
                if (!CodeOwner.isOfJdk(name)) {
                    return frame;
                }
                first = first == null ? frame : first;
            }
            return first;
        }
    }

    /** Whether a frame is of a method that the compiler wrote only to call another one of the class, of narrower types. */
    private static boolean isBridgeTo(StackFrame called, StackFrame frame) {
        if (!frame.getClassName().equals(called.getClassName())
                || !frame.getMethodName().equals(called.getMethodName())) {
            return false;
        }
        for (Method method : frame.getDeclaringClass().getDeclaredMethods()) {
            boolean isItself = method.getName().equals(frame.getMethodName())
                    && MethodType.methodType(method.getReturnType(), method.getParameterTypes())
                            .equals(frame.getMethodType());
            if (isItself) {
                return method.isBridge();
            }
        }
        return false;
    }

    /** The nearest frame outside Zelotype and, if there is one, outside the JDK. */
    public static @Nullable StackFrame caller() {
        return caller(false);
    }

    /** As {@link #caller()}; a woven method that was called is on the stack itself and is skipped. */
    public static @Nullable StackFrame caller(boolean woven) {
        try {
            return WALKER.walk(woven ? FirstOutside.WOVEN : FirstOutside.PLAIN);
        } catch (InternalError e) {
            throw Overflow.in(e);
        }
    }

    /** The frame with its file and line looked up now, since the JVM forgets them when the class is woven. */
    public static @Nullable StackFrame settled(@Nullable StackFrame frame) {
        if (frame != null) {
            frame.toStackTraceElement();
        }
        return frame;
    }

    /** The frame in short, such as {@code NightRun.java:41}. */
    public static String text(@Nullable StackFrame frame) {
        if (frame == null) {
            return "";
        }
        String file = frame.getFileName();
        return file == null ? frame.getClassName() : file + ":" + frame.getLineNumber();
    }

    /** The frame as a place that consoles lead to; empty if there is none. */
    public static String at(@Nullable StackFrame frame) {
        return frame == null
                ? ""
                : CodePlace.at(frame.getClassName(), frame.getMethodName(), frame.getFileName(), frame.getLineNumber());
    }
}
