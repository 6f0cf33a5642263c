package dev.zelotype.engine.make;

import dev.zelotype.error.MisuseException;
import java.lang.reflect.Constructor;
import java.lang.reflect.Field;
import java.lang.reflect.Method;
import java.util.function.Function;

/**
 * The members of users' classes. The JVM does not list them if one refers to a class that is missing, for example one of
 * an optional library, or that it cannot load; then a {@link MisuseException} says which.
 */
public final class Members {

    private Members() {}

    /** The methods that a class itself declares. */
    public static Method[] methods(Class<?> type) {
        return all(type, "methods", Class::getDeclaredMethods);
    }

    /** The public methods of a class and of its supertypes. */
    public static Method[] publicMethods(Class<?> type) {
        return all(type, "methods", Class::getMethods);
    }

    /** The constructors of a class. */
    public static Constructor<?>[] constructors(Class<?> type) {
        return all(type, "constructors", Class::getDeclaredConstructors);
    }

    /** The fields that a class itself declares. */
    public static Field[] fields(Class<?> type) {
        return all(type, "fields", Class::getDeclaredFields);
    }

    private static <M> M[] all(Class<?> type, String what, Function<Class<?>, M[]> members) {
        try {
            return members.apply(type);
        } catch (LinkageError e) {
            throw refusal(type, what, e);
        }
    }

    /** Says which class is missing, or what else keeps the JVM from listing the members. */
    public static MisuseException refusal(Class<?> type, String what, LinkageError reason) {
        String begin = "The JVM does not list the " + what + " of " + type.getTypeName() + ": ";
        if (reason instanceof NoClassDefFoundError) {
            return new MisuseException(
                    begin + "one of them refers to "
                            + String.valueOf(reason.getMessage()).replace('/', '.')
                            + ", which is not on the class path.",
                    "add the library that contains it to the class path of the tests",
                    reason);
        }
        return new MisuseException(
                begin + reason + ".", "use versions of its libraries that go together, and with this JDK", reason);
    }
}
