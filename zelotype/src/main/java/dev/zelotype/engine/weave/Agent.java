package dev.zelotype.engine.weave;

import java.lang.instrument.Instrumentation;

/**
 * Where the JVM hands over its instrumentation: at the start with {@code -javaagent}, or when attached later. Every copy
 * of Zelotype in the JVM finds it among the system properties.
 */
public final class Agent {

    static final String KEY = "dev.zelotype.instrumentation";

    private Agent() {}

    public static void premain(String options, Instrumentation instrumentation) {
        System.getProperties().put(KEY, instrumentation);
    }

    public static void agentmain(String options, Instrumentation instrumentation) {
        System.getProperties().put(KEY, instrumentation);
    }
}
