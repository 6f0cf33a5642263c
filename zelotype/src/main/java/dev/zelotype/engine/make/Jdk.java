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
}
