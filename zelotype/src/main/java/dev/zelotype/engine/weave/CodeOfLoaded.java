package dev.zelotype.engine.weave;

import dev.zelotype.error.MisuseException;
import java.lang.instrument.ClassFileTransformer;
import java.lang.instrument.Instrumentation;
import java.lang.instrument.UnmodifiableClassException;
import java.security.ProtectionDomain;
import org.jspecify.annotations.Nullable;

/**
 * The code of classes as the JVM has loaded it, for those whose class files are not to be found.
 */
public final class CodeOfLoaded {

    private CodeOfLoaded() {}

    /** The class file of a loaded class; null if this JVM lets no agent in, or keeps the class's code to itself. */
    public static byte @Nullable [] of(Class<?> type) {
        byte[][] seen = new byte[1][];
        ClassFileTransformer looking = new ClassFileTransformer() {
            @Override
            public byte @Nullable [] transform(
                    @Nullable ClassLoader loader,
                    String name,
                    @Nullable Class<?> redefined,
                    @Nullable ProtectionDomain domain,
                    byte[] code) {
                if (redefined == type) {
                    seen[0] = code;
                }
                return null;
            }
        };
        try {
            Instrumentation instrumentation = Attachment.instrumentation();
            if (!instrumentation.isModifiableClass(type)) {
                return null;
            }
            instrumentation.addTransformer(looking, true);
            try {
                instrumentation.retransformClasses(type);
            } finally {
                instrumentation.removeTransformer(looking);
            }
        } catch (MisuseException | UnmodifiableClassException | LinkageError e) {
            // Whoever asked says what to do without it.
            return null;
        }
        return seen[0];
    }
}
