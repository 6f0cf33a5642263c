package dev.zelotype.basics;

/**
 * Whose code a class is, told by its name as in a stack trace. Each list is here and nowhere else. Stateless.
 *
 * <pre>{@code
 * boolean ours = CodeOwner.isOurs(frame.getClassName());
 * }</pre>
 */
public final class CodeOwner {

    /** Stands in the name of every class of doubles. */
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
    /** How the JDK names its proxies, which some doubles are. */
    private static final String PROXY = "$Proxy";

    private static final String[] JDK = {"java.", "jdk.", "sun."};
    /** What runs tests, and what they check with: its calls are not the subject's, and it runs the test's own lambdas. */
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
     * Whether a class is Zelotype's own, or one of doubles: its calls are not calls of the subject.
     *
     * @param className the binary name
     * @return true if it is
     */
    public static boolean isOurs(String className) {
        if (className.contains(MARK) || className.startsWith(PROXY, className.lastIndexOf('.') + 1)) {
            return true;
        }
        return className.startsWith(ROOT)
                && (startsWithAny(className, ROOT.length(), ROOMS) || className.indexOf('.', ROOT.length()) < 0);
    }

    /**
     * Whether a class belongs to what runs tests or checks in them.
     *
     * @param className the binary name
     * @return true for frameworks, launchers and libraries of assertions
     */
    public static boolean isOfTestLibrary(String className) {
        return startsWithAny(className, 0, OF_TESTS);
    }

    /**
     * Whether a class is part of the JDK.
     *
     * @param className the binary name
     * @return true if it is
     */
    public static boolean isOfJdk(String className) {
        return startsWithAny(className, 0, JDK);
    }

    /**
     * Whether a class is part of the JDK.
     *
     * @param type the class
     * @return true if the JVM has loaded it with its own loaders
     */
    public static boolean isOfJdk(Class<?> type) {
        ClassLoader loader = type.getClassLoader();
        return loader == null || loader == ClassLoader.getPlatformClassLoader();
    }

    /**
     * The class in whose source file a class is written.
     *
     * @param className the binary or internal name
     * @return the name without those of inner classes, such as {@code dev.observatory.NightRun} for
     *     {@code dev.observatory.NightRun$Plan}
     */
    public static String outermost(String className) {
        int inner = className.indexOf('$');
        return inner < 0 ? className : className.substring(0, inner);
    }

    /** Asked for each frame of the first calls of a scene: no streams, no pieces of text. */
    private static boolean startsWithAny(String className, int from, String[] prefixes) {
        for (String prefix : prefixes) {
            if (className.startsWith(prefix, from)) {
                return true;
            }
        }
        return false;
    }
}
