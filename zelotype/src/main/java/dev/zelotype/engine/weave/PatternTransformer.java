package dev.zelotype.engine.weave;

import dev.zelotype.basics.CodeOwner;
import java.lang.instrument.ClassFileTransformer;
import java.lang.instrument.Instrumentation;
import java.security.ProtectionDomain;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.WeakHashMap;
import org.jspecify.annotations.Nullable;

/**
 * Replaces the lambdas of patterns while classes are loaded ({@link PatternPatch}). It can retransform, so it runs
 * after coverage agents, in whatever order they are given: they see the classes as compiled.
 */
public final class PatternTransformer implements ClassFileTransformer {

    /** If set to {@code linked}, all lambdas are left to the JVM. */
    public static final String SETTING = "zelotype.patterns";

    private static final String OFF = "linked";
    private static final String PATTERN = "dev/zelotype/call/WrittenPattern.class";

    /** The changed classes, because a class that is transformed again must get the same change. */
    private final Map<ClassLoader, Set<String>> changed = new WeakHashMap<>();
    /** Whether the classes of a loader see a version of Zelotype that supports such patterns. */
    private final Map<ClassLoader, Boolean> knows = new WeakHashMap<>();

    private PatternTransformer() {}

    static void install(Instrumentation instrumentation) {
        if (!OFF.equals(System.getProperty(SETTING))) {
            instrumentation.addTransformer(new PatternTransformer(), true);
        }
    }

    /** For classes loaded from now on, unless the agent was there from the start. */
    public static void attach() {
        if (Attachment.known() == null) {
            install(Attachment.instrumentation());
        }
    }

    @Override
    public byte @Nullable [] transform(
            @Nullable ClassLoader loader,
            @Nullable String className,
            @Nullable Class<?> type,
            @Nullable ProtectionDomain domain,
            byte[] code) {
        if (loader == null || className == null || loader == ClassLoader.getPlatformClassLoader()) {
            return null;
        }
        CodeOfLoaded.pass(type, code);
        try {
            if (type != null ? !wasChanged(loader, className) : CodeOwner.isOurs(className.replace('/', '.'))) {
                return null;
            }
            byte[] patched = PatternPatch.ofLoaded(code);
            if (patched == null || !knows(loader)) {
                return null;
            }
            if (type == null) {
                note(loader, className);
            }
            return patched;
        } catch (RuntimeException | LinkageError e) {
            // The lambdas are left alone.
            return null;
        }
    }

    private boolean wasChanged(ClassLoader loader, String className) {
        synchronized (changed) {
            return changed.getOrDefault(loader, Set.of()).contains(className);
        }
    }

    private void note(ClassLoader loader, String className) {
        synchronized (changed) {
            Set<String> ofLoader = changed.get(loader);
            if (ofLoader == null) {
                ofLoader = new HashSet<>();
                changed.put(loader, ofLoader);
            }
            ofLoader.add(className);
        }
    }

    private boolean knows(ClassLoader loader) {
        synchronized (knows) {
            Boolean known = knows.get(loader);
            if (known == null) {
                known = loader == PatternTransformer.class.getClassLoader() || loader.getResource(PATTERN) != null;
                knows.put(loader, known);
            }
            return known;
        }
    }
}
