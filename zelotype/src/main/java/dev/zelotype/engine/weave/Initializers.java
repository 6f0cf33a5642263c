package dev.zelotype.engine.weave;

import dev.zelotype.engine.make.Jdk;
import dev.zelotype.engine.make.Overflow;
import dev.zelotype.error.OwnNames;
import java.lang.StackWalker.StackFrame;
import java.util.Iterator;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Static initialisers that run right now.
 */
public final class Initializers {

    private static final StackWalker WALKER = StackWalker.getInstance(StackWalker.Option.RETAIN_CLASS_REFERENCE);
    private static final First FIRST = new First();
    /** Deeper down nobody looks, since deep stacks are those of recursions. */
    private static final int DEEPEST = 24;

    private Initializers() {}

    /** A class that is being initialised, and where. */
    public record Found(Class<?> type, StackFrame frame) {}

    /** A named class, so that nothing is linked when the stack may be running out. */
    private static final class First implements Function<Stream<StackFrame>, @Nullable Found> {

        @Override
        public @Nullable Found apply(Stream<StackFrame> frames) {
            int left = DEEPEST;
            for (Iterator<StackFrame> i = frames.iterator(); left-- > 0 && i.hasNext(); ) {
                StackFrame frame = i.next();
                if (frame.getMethodName().equals("<clinit>")
                        && !Jdk.has(frame.getDeclaringClass())
                        && !OwnNames.has(frame.getClassName())) {
                    return new Found(frame.getDeclaringClass(), frame);
                }
            }
            return null;
        }
    }

    /** The class whose static initialiser this thread runs, or null; the JDK's and Zelotype's do not count. */
    public static @Nullable Found running() {
        try {
            return WALKER.walk(FIRST);
        } catch (InternalError e) {
            throw Overflow.in(e);
        }
    }
}
