package dev.zelotype.host;

import dev.zelotype.engine.weave.PatternPatch;
import dev.zelotype.engine.weave.PatternTransformer;
import org.jspecify.annotations.Nullable;

/**
 * For builds and hosts of tests: patterns without lambdas. A pattern is only read, so the compiler's description of its
 * lambda can replace the lambda that the JVM would link. With {@code -javaagent} this happens while classes are loaded.
 * Safe for use from any thread.
 *
 * <pre>{@code
 * Path file = Path.of("target/test-classes/NightRunTest.class");
 * byte[] changed = PatternsInPlace.of(Files.readAllBytes(file));
 * if (changed != null) {
 *     Files.write(file, changed);
 * }
 * }</pre>
 *
 * @since 0.2
 */
public final class PatternsInPlace {

    private PatternsInPlace() {}

    /**
     * Replaces the patterns of a compiled class.
     *
     * @param classFile the class file; it is not changed
     * @return the changed class file; null if it has no pattern, or was changed before
     */
    public static byte @Nullable [] of(byte[] classFile) {
        return PatternPatch.of(classFile);
    }

    /**
     * Attaches the agent, so that the patterns of all classes loaded from now on are replaced. Nothing happens if there
     * is an agent already.
     *
     * @throws dev.zelotype.error.MisuseException if this JVM allows no agent; the message says what to add
     */
    public static void fromNowOn() {
        PatternTransformer.attach();
    }
}
