package dev.zelotype.engine.make;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.error.MisuseException;
import java.lang.invoke.MethodHandles;
import java.lang.reflect.Field;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A class of doubles that was written as source and compiled with the tests, so that none need be generated.
 */
final class LinkedClass {

    /** The methods that the class answers, by number: names with descriptors. */
    private static final String METHODS = "zelotype$methods";

    private LinkedClass() {}

    /** The precompiled class of a type's doubles, or null. */
    static @Nullable Class<?> beside(Class<?> type) {
        try {
            Class<?> found = Class.forName(type.getName() + CodeOwner.MARK, false, type.getClassLoader());
            return type.isAssignableFrom(found) ? found : null;
        } catch (ClassNotFoundException | LinkageError | RuntimeException e) {
            // Class loaders of tests may fail in many ways if a class is missing.
            return null;
        }
    }

    /** Numbers the methods as the class does; it must have exactly the methods that the type has now. */
    static void adopt(Class<?> type, Class<?> linked, MethodTable table) {
        List<String> known = List.of(methods(linked));
        String difference = table.renumber(known);
        if (difference != null) {
            throw new MisuseException(
                    linked.getName() + " was written for another " + type.getSimpleName() + ": " + difference + ".",
                    "write it again with the command in the first line of its source, or delete it");
        }
    }

    private static String[] methods(Class<?> linked) {
        try {
            Field field = linked.getDeclaredField(METHODS);
            return (String[]) MethodHandles.privateLookupIn(linked, DoubleClass.lookup())
                    .unreflectGetter(field)
                    .invoke();
        } catch (Throwable e) {
            throw new MisuseException(
                    linked.getName() + " has the name of a linked double, but is not one: " + e + ".",
                    "give it another name, or have it written by zelotype generate --style linked",
                    e);
        }
    }
}
