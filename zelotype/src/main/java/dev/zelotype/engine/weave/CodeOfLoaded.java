package dev.zelotype.engine.weave;

import dev.zelotype.error.MisuseException;
import java.lang.instrument.ClassFileTransformer;
import java.lang.instrument.Instrumentation;
import java.lang.instrument.UnmodifiableClassException;
import java.security.ProtectionDomain;
import org.jspecify.annotations.Nullable;

/**
 * The code of classes as loaded by the JVM, for classes whose class files are not found.
 */
public final class CodeOfLoaded {

    private static final ThreadLocal<CodeOfLoaded> LOOKING = new ThreadLocal<>();

    private final Class<?> type;
    private byte @Nullable [] seen;

    private CodeOfLoaded(Class<?> type) {
        this.type = type;
    }

    /** The class file of a loaded class; null if this JVM allows no agent, or does not provide the class's code. */
    public static byte @Nullable [] of(Class<?> type) {
        CodeOfLoaded looking = new CodeOfLoaded(type);
        LOOKING.set(looking);
        try {
            Instrumentation instrumentation = Attachment.instrumentation();
            if (!instrumentation.isModifiableClass(type)) {
                return null;
            }
            ClassFileTransformer last = new Last();
            instrumentation.addTransformer(last, true);
            try {
                instrumentation.retransformClasses(type);
            } finally {
                instrumentation.removeTransformer(last);
            }
        } catch (MisuseException | UnmodifiableClassException | LinkageError e) {
            // The caller decides what to do then.
            return null;
        } finally {
            LOOKING.remove();
        }
        return looking.seen;
    }

    /** Called by each of our transformers with its input; the first one sees the code before it is woven. */
    static void pass(@Nullable Class<?> type, byte[] code) {
        CodeOfLoaded looking = type == null ? null : LOOKING.get();
        if (looking != null && looking.type == type && looking.seen == null) {
            looking.seen = code;
        }
    }

    /** Sees the code if nothing was woven in this JVM yet. */
    private static final class Last implements ClassFileTransformer {

        @Override
        public byte @Nullable [] transform(
                @Nullable ClassLoader loader,
                String name,
                @Nullable Class<?> redefined,
                @Nullable ProtectionDomain domain,
                byte[] code) {
            pass(redefined, code);
            return null;
        }
    }
}
