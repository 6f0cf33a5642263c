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
 * Static initialisers that run right now.
 */
public final class Initializers {

    /** Deeper frames are not looked at: frames cost, and deep stacks are those of recursions. */
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

    /** Whether a class is of interest: it is neither the JDK's nor Zelotype's, and was not seen to be initialised. */
    private static final class Looked {

        private volatile boolean done;

        Looked(boolean done) {
            this.done = done;
        }
    }

    private Initializers() {}

    /** A class that is being initialised, and where. */
    public record Found(Class<?> type, StackFrame frame) {}

    /** A named class, so that nothing is linked when the stack may be running out. */
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
                // They run, and not in their initialisers. The name of a method is expensive, so it is read once.
                for (Looked each : seen) {
                    each.done = true;
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
