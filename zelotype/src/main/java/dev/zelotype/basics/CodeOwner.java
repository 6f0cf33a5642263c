package dev.zelotype.basics;

import java.lang.reflect.Proxy;

/**
 * Classifies code by class names as they appear in a stack trace. All such lists are in this class. Stateless.
 *
 * <pre>{@code
 * boolean ours = CodeOwner.isOurs(frame.getClassName());
 * }</pre>
 */
public final class CodeOwner {

    /** Part of the name of every class of doubles. */
    public static final String MARK = "$ZelotypeDouble";

    private static final String ROOT = "dev.zelotype.";
    private static final String[] ROOMS = {
        "engine.",
        "basics.",
        "stage.",
        "call.",
        "doubles.",
        "conversation.",
        "error.",
        "host.",
        "junit.",
        "journal.",
        "hosts.",
        "challenge."
    };
    /** The name of the JDK's proxies, which some doubles are. */
    private static final String PROXY = "$Proxy";

    private static final String[] JDK = {"java.", "jdk.", "sun."};
    private static final String[] REFLECTION = {"java.lang.reflect.", "jdk.internal.reflect."};
    /**
     * Test frameworks and assertion libraries: their calls are not the subject's, and they run the test's own lambdas.
     */
    private static final String[] OF_TESTS = {
        "org.junit.",
        "junit.framework.",
        "junit.runner.",
        "org.testng.",
        "org.opentest4j.",
        "org.apache.maven.surefire.",
        "org.gradle.api.internal.tasks.testing.",
        "org.gradle.process.internal.worker.",
        "com.intellij.rt.",
        "com.intellij.junit",
        "org.eclipse.jdt.internal.junit",
        "org.assertj.",
        "org.hamcrest.",
        "kotlin.test."
    };

    private CodeOwner() {}

    /**
     * Tells whether a class is Zelotype's own, or a class of doubles: its calls are not calls of the subject.
     *
     * @param className the binary name
     * @return true if it is
     */
    public static boolean isOurs(String className) {
        boolean inRoot = className.startsWith(ROOT)
                && (startsWithAny(className, ROOT.length(), ROOMS) || className.indexOf('.', ROOT.length()) < 0);
        return inRoot || className.contains(MARK) || className.startsWith(PROXY, className.lastIndexOf('.') + 1);
    }

    /**
     * Tells whether a class belongs to a test framework or an assertion library.
     *
     * @param className the binary name
     * @return true for frameworks, launchers and assertion libraries
     */
    public static boolean isOfTestLibrary(String className) {
        return startsWithAny(className, 0, OF_TESTS);
    }

    /**
     * Tells whether a class is part of the JDK.
     *
     * @param className the binary name
     * @return true if it is
     */
    public static boolean isOfJdk(String className) {
        return startsWithAny(className, 0, JDK);
    }

    /**
     * Tells whether a class is part of the JDK.
     *
     * @param type the class
     * @return true if it was loaded by one of the JDK's own loaders and is not a proxy, which runs other code
     */
    public static boolean isOfJdk(Class<?> type) {
        ClassLoader loader = type.getClassLoader();
        return (loader == null || loader == ClassLoader.getPlatformClassLoader()) && !Proxy.isProxyClass(type);
    }

    /**
     * Tells whether a class carries out calls by reflection.
     *
     * @param className the binary name
     * @return true if it belongs to the JDK's reflection
     */
    public static boolean isOfReflection(String className) {
        return startsWithAny(className, 0, REFLECTION);
    }

    /**
     * Returns the top-level class of a class.
     *
     * @param className the binary or internal name
     * @return the name without those of inner classes, for example {@code dev.observatory.NightRun} for {@code
     *     dev.observatory.NightRun$Plan}
     */
    public static String outermost(String className) {
        int inner = className.indexOf('$');
        return inner < 0 ? className : className.substring(0, inner);
    }

    /** Called for each frame of the first calls of a scene: no streams, no substrings. */
    private static boolean startsWithAny(String className, int from, String[] prefixes) {
        for (String prefix : prefixes) {
            if (className.startsWith(prefix, from)) {
                return true;
            }
        }
        return false;
    }
}
