package dev.zelotype.basics;

import org.jspecify.annotations.Nullable;

/**
 * Places in code as the consoles of development environments and build servers recognise them: written like a frame of a
 * stack trace, so that a click leads there.
 */
public final class CodePlace {

    private CodePlace() {}

    /**
     * A place, such as {@code at dev.observatory.NightRun.observe(NightRun.java:65)}.
     *
     * @param type the binary name of the class
     * @param method the method; what a lambda does is told as done by the method around it
     * @param file the source file; null or empty if it is not known
     * @param line the line; 0 or less if it is not known
     */
    public static String at(String type, String method, @Nullable String file, int line) {
        String where = file == null || file.isEmpty() ? "Unknown Source" : line > 0 ? file + ":" + line : file;
        return "at " + type + "." + written(method) + "(" + where + ")";
    }

    /** Compilers call the code of a lambda {@code lambda$observe$0}. */
    private static String written(String method) {
        int end = method.lastIndexOf('$');
        if (!method.startsWith("lambda$") || end <= "lambda$".length()) {
            return method;
        }
        String around = method.substring("lambda$".length(), end);
        return around.equals("new") ? "<init>" : around.equals("static") ? "<clinit>" : around;
    }
}
