package dev.zelotype.engine.explain;

import dev.zelotype.basics.CodeOwner;
import java.net.URI;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Values that have the same text whenever they are printed, so that it can be done later: printing them runs no code
 * outside the JDK, and they never change.
 */
public final class StableValues {

    private static final Set<Class<?>> KNOWN = Set.of(
            String.class,
            Integer.class,
            Long.class,
            Boolean.class,
            Double.class,
            Character.class,
            Short.class,
            Byte.class,
            Float.class,
            Class.class,
            UUID.class,
            URI.class,
            Locale.class);

    private static final ClassValue<Boolean> ARE = new ClassValue<>() {
        @Override
        protected Boolean computeValue(Class<?> type) {
            return KNOWN.contains(type)
                    || CodeOwner.isOfJdk(type) && type.getPackageName().equals("java.time")
                    || Enum.class.isAssignableFrom(type) && printsItsName(type);
        }
    };

    private StableValues() {}

    public static boolean are(@Nullable Object[] values) {
        for (Object each : values) {
            if (!is(each)) {
                return false;
            }
        }
        return true;
    }

    public static boolean is(@Nullable Object value) {
        return value == null || ARE.get(value.getClass());
    }

    private static boolean printsItsName(Class<?> type) {
        try {
            return type.getMethod("toString").getDeclaringClass() == Enum.class;
        } catch (NoSuchMethodException | LinkageError e) {
            return false;
        }
    }
}
