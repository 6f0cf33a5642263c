package dev.zelotype.engine.weave;

import java.lang.instrument.Instrumentation;

/**
 * Where the JVM hands over its instrumentation: at the start with {@code -javaagent}, or when attached later. Every copy
 * of Zelotype in the JVM finds it in the class of this name that the system class loader has.
 */
public final class Agent {

    private static volatile Instrumentation instrumentation;

    private Agent() {}

    public static void premain(String options, Instrumentation given) {
        if (instrumentation == null) {
            // It may be named twice: as the build names it, and by what starts the JVM.
            instrumentation = given;
            PatternTransformer.install(given);
        }
    }

    public static void agentmain(String options, Instrumentation given) {
        instrumentation = given;
    }

    /** What the JVM handed over; null if no agent was started. */
    public static Instrumentation instrumentation() {
        return instrumentation;
    }
}
