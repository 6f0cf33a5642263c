package dev.zelotype.engine.make;

import dev.zelotype.error.MisuseException;
import java.lang.reflect.Modifier;
import org.jspecify.annotations.Nullable;

/**
 * Which types can be doubled, and what to do about others.
 */
final class DoublableTypes {

    private DoublableTypes() {}

    /** Why a type cannot be doubled, and a cure. */
    record Reason(String problem, String cure) {}

    static void check(Class<?> type) {
        Reason reason = reason(type);
        if (reason != null) {
            throw new MisuseException(
                    type.getTypeName() + " cannot be doubled: " + reason.problem() + ".", reason.cure());
        }
    }

    static @Nullable Reason reason(Class<?> type) {
        if (type.isPrimitive()) {
            return new Reason("it is a primitive type", "give the value itself");
        } else if (type.isArray()) {
            return new Reason("it is an array", "make an array of doubles");
        } else if (type.isEnum()) {
            return new Reason("it is an enum", "use one of its constants, or spy on one with spy(CONSTANT)");
        } else if (type.isRecord()) {
            return new Reason("it is a record, a plain value", "make a real one");
        } else if (type.isSealed() && open(type) == null) {
            return new Reason(
                    "it is sealed and permits " + permitted(type) + " only", "double one of those, or make a real one");
        } else if (type.isHidden()) {
            return new Reason("it is a hidden class, which has no name to refer to", "double one of its interfaces");
        } else if (Modifier.isFinal(type.getModifiers())) {
            return new Reason("it is a final class", "double an interface that it implements, or use a real one");
        }
        return null;
    }

    /**
     * What to double instead of a sealed type: the first permitted subtype that can be extended; null if there is none.
     */
    static @Nullable Class<?> open(Class<?> type) {
        if (!type.isSealed()) {
            return reason(type) == null ? type : null;
        }
        for (Class<?> permitted : type.getPermittedSubclasses()) {
            Class<?> open = open(permitted);
            if (open != null) {
                return open;
            }
        }
        return null;
    }

    private static String permitted(Class<?> type) {
        StringBuilder names = new StringBuilder();
        for (Class<?> permitted : type.getPermittedSubclasses()) {
            names.append(names.length() == 0 ? "" : ", ").append(permitted.getSimpleName());
        }
        return names.toString();
    }
}
