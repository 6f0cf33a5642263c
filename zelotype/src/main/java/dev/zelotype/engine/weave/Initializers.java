package dev.zelotype.engine.weave;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.engine.make.Overflow;
import java.lang.StackWalker.StackFrame;
import java.util.HashSet;
import java.util.Iterator;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Running static initializers.
 */
public final class Initializers {

    /** Deeper frames are not examined: frames cost time, and deep stacks come from recursion. */
    private static final int DEEPEST = 16;

    private static final StackWalker WALKER =
            StackWalker.getInstance(Set.of(StackWalker.Option.RETAIN_CLASS_REFERENCE), DEEPEST);
    private static final First FIRST = new First();
    private static final ClassValue<Looked> LOOKED = new ClassValue<>() {
        @Override
        protected Looked computeValue(Class<?> type) {
            return new Looked(CodeOwner.isOfJdk(type) || CodeOwner.isOurs(type.getName()));
        }
    };

    /** Whether a class is relevant: it is neither the JDK's nor Zelotype's, and not known to be initialized. */
    private static final class Looked {

        private volatile boolean done;

        Looked(boolean done) {
            this.done = done;
        }
    }

    private Initializers() {}

    /** A class that is being initialized, and the place. */
    public record Found(Class<?> type, StackFrame frame) {}

    /** A named class, so that nothing is linked when the stack may be nearly exhausted. */
    private static final class First implements Function<Stream<StackFrame>, @Nullable Found> {

        @Override
        public @Nullable Found apply(Stream<StackFrame> frames) {
            Set<Looked> seen = null;
            int left = DEEPEST;
            for (Iterator<StackFrame> i = frames.iterator(); left-- > 0 && i.hasNext(); ) {
                StackFrame frame = i.next();
                Looked type = LOOKED.get(frame.getDeclaringClass());
                if (type.done) {
                    continue;
                }
                if (frame.getMethodName().equals("<clinit>")) {
                    return new Found(frame.getDeclaringClass(), frame);
                }
                seen = seen == null ? new HashSet<>() : seen;
                seen.add(type);
            }
            if (seen != null) {
                // They run, but not their initializers. Getting the name of a method is expensive, so it is done once.
                for (Looked each : seen) {
                    each.done = true;
                }
            }
            return null;
        }
    }

    /**
     * The class whose static initializer runs on this thread, or null; those of the JDK and of Zelotype do not count.
     */
    public static @Nullable Found running() {
        try {
            return WALKER.walk(FIRST);
        } catch (InternalError e) {
            throw Overflow.in(e);
        }
    }
}
