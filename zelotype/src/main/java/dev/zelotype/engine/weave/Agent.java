package dev.zelotype.engine.weave;

import java.lang.instrument.Instrumentation;

/**
 * Receives the JVM's instrumentation: at the start with {@code -javaagent}, or when attached later. Every copy of
 * Zelotype in the JVM finds it in the class with this name in the system class loader.
 */
public final class Agent {

    private static volatile Instrumentation instrumentation;

    private Agent() {}

    public static void premain(String options, Instrumentation given) {
        if (instrumentation == null) {
            // It may be given twice: by the build, and by whatever starts the JVM.
            instrumentation = given;
            PatternTransformer.install(given);
        }
    }

    public static void agentmain(String options, Instrumentation given) {
        instrumentation = given;
    }

    /** The instrumentation of the JVM; null if no agent was started. */
    public static Instrumentation instrumentation() {
        return instrumentation;
    }
}
