package dev.zelotype.engine.make;

/**
 * What belongs to the JDK itself.
 */
public final class Jdk {

    private Jdk() {}

    public static boolean has(Class<?> type) {
        ClassLoader loader = type.getClassLoader();
        return loader == null || loader == ClassLoader.getPlatformClassLoader();
    }

    /** As {@link #has(Class)}, told by the name alone, as in a stack trace. */
    public static boolean has(String className) {
        return className.startsWith("java.") || className.startsWith("jdk.") || className.startsWith("sun.");
    }
}
