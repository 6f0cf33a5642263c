package dev.zelotype.engine.weave;

import dev.zelotype.engine.make.Jdk;
import dev.zelotype.engine.make.Overflow;
import dev.zelotype.error.OwnNames;
import java.lang.StackWalker.StackFrame;
import java.util.Iterator;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Static initialisers that run right now.
 */
public final class Initializers {

    /** Deeper down nobody looks: frames cost, and deep stacks are those of recursions. */
    private static final int DEEPEST = 16;

    private static final StackWalker WALKER =
            StackWalker.getInstance(Set.of(StackWalker.Option.RETAIN_CLASS_REFERENCE), DEEPEST);
    private static final First FIRST = new First();
    /** Whether a class is neither the JDK's nor Zelotype's. */
    private static final ClassValue<Boolean> COUNTS = new ClassValue<>() {
        @Override
        protected Boolean computeValue(Class<?> type) {
            return !Jdk.has(type) && !OwnNames.has(type.getName());
        }
    };

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
                // The class first, since the JVM looks up the name of a method anew for each frame.
                if (COUNTS.get(frame.getDeclaringClass())
                        && frame.getMethodName().equals("<clinit>")) {
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
