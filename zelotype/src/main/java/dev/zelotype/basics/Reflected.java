package dev.zelotype.basics;

import java.util.function.Supplier;

/**
 * Members of a class, for code that also works if the JVM does not list them.
 */
public final class Reflected {

    private Reflected() {}

    /**
     * Returns what a class declares.
     *
     * @param <T> the type of the list, such as an array of methods
     * @param declared asks the JVM for the list
     * @param otherwise what to return if the JVM does not list it, because the class refers to one that is missing
     * @return what the JVM lists
     */
    public static <T> T orElse(Supplier<T> declared, T otherwise) {
        try {
            return declared.get();
        } catch (LinkageError e) {
            return otherwise;
        }
    }
}
