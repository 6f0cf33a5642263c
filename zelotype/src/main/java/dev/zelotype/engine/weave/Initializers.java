package dev.zelotype.engine.weave;

import dev.zelotype.engine.make.Jdk;
import dev.zelotype.error.OwnNames;
import java.lang.StackWalker.StackFrame;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Static initialisers that run right now.
 */
public final class Initializers {

    private static final StackWalker WALKER = StackWalker.getInstance(StackWalker.Option.RETAIN_CLASS_REFERENCE);

    private Initializers() {}

    /** A class that is being initialised, and where. */
    public record Found(Class<?> type, StackFrame frame) {}

    /** The class whose static initialiser this thread runs, or null; the JDK's and Zelotype's do not count. */
    public static @Nullable Found running() {
        Optional<StackFrame> frame = WALKER.walk(frames -> frames.filter(each -> each.getMethodName().equals("<clinit>")
                        && !Jdk.has(each.getDeclaringClass())
                        && !OwnNames.has(each.getClassName()))
                .findFirst());
        return frame.map(each -> new Found(each.getDeclaringClass(), each)).orElse(null);
    }
}
