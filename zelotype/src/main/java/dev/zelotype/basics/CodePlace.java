package dev.zelotype.basics;

import org.jspecify.annotations.Nullable;

/**
 * Places in code in the form that consoles of IDEs and build servers recognize: like a frame of a stack trace, so that
 * a click opens it.
 */
public final class CodePlace {

    private CodePlace() {}

    /**
     * Returns a place, for example {@code at dev.observatory.NightRun.observe(NightRun.java:65)}.
     *
     * @param type the binary name of the class
     * @param method the method; for a lambda, its enclosing method
     * @param file the source file; null or empty if unknown
     * @param line the line; 0 or less if unknown
     */
    public static String at(String type, String method, @Nullable String file, int line) {
        String where = file == null || file.isEmpty() ? "Unknown Source" : line > 0 ? file + ":" + line : file;
        return "at " + type + "." + written(method) + "(" + where + ")";
    }

    /** Compilers name the code of a lambda like {@code lambda$observe$0}. */
    private static String written(String method) {
        int end = method.lastIndexOf('$');
        if (!method.startsWith("lambda$") || end <= "lambda$".length()) {
            return method;
        }
        String around = method.substring("lambda$".length(), end);
        return around.equals("new") ? "<init>" : around.equals("static") ? "<clinit>" : around;
    }
}
