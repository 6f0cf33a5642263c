package dev.zelotype.engine.pattern;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.make.Allocation;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.Array;
import java.lang.reflect.Modifier;
import org.jspecify.annotations.Nullable;

/**
 * The values that a lambda is run with in place of its free parameters, so that each can be found again among the
 * arguments of the call it makes.
 *
 * <p>Boxed primitives are told apart by their values, which differ between any two parameters and from run to run.
 * Booleans have only two values, so each is true in a run of its own, and all are false in the last one. Any other
 * parameter is an object that exists nowhere else in the first run, and null in the others: whoever looks inside it fails
 * at once. Such an object may have been made without a constructor; it is never printed, compared or hashed.
 */
final class Placeholders {

    private static final Class<?>[] CLASSES = {P1.class, P2.class, P3.class, P4.class, P5.class, P6.class};

    private final Class<?>[] types;
    private final Object[][] runs;

    private static final class P1 {}

    private static final class P2 {}

    private static final class P3 {}

    private static final class P4 {}

    private static final class P5 {}

    private static final class P6 {}

    Placeholders(Class<?>[] types) {
        this.types = types;
        int booleans = 0;
        for (Class<?> type : types) {
            booleans += type == Boolean.class ? 1 : 0;
        }
        this.runs = new Object[types.length == 0 ? 1 : Math.max(2, booleans + 1)][types.length];
        for (int run = 0; run < runs.length; run++) {
            int seen = 0;
            for (int i = 0; i < types.length; i++) {
                runs[run][i] = types[i] == Boolean.class ? (Boolean) (seen++ == run) : value(i, run);
            }
        }
    }

    int runs() {
        return runs.length;
    }

    Object[] run(int run) {
        return runs[run].clone();
    }

    private @Nullable Object value(int parameter, int run) {
        Class<?> type = types[parameter];
        int small = 11 + 7 * run + parameter;
        // Exactly representable in every wider type, so that a widened parameter is still found.
        int large = 1_000_003 + 1_009 * run + 101 * parameter;
        if (type == Byte.class) {
            return (byte) small;
        } else if (type == Short.class) {
            return (short) (20_000 + small);
        } else if (type == Character.class) {
            return (char) (0x2460 + small);
        } else if (type == Integer.class) {
            return large;
        } else if (type == Long.class) {
            return (long) large;
        } else if (type == Float.class) {
            return (float) large;
        } else if (type == Double.class) {
            return (double) large;
        }
        return run == 0 ? object(type, parameter) : null;
    }

    private static Object object(Class<?> type, int parameter) {
        if (type == String.class) {
            return new String();
        } else if (type == Object.class) {
            return new Object();
        } else if (type == Class.class) {
            return CLASSES[parameter];
        } else if (type.isArray()) {
            return Array.newInstance(type.getComponentType(), 0);
        }
        try {
            return instance(type);
        } catch (InstantiationException | LinkageError | MisuseException e) {
            throw new MisuseException(
                    "A lambda's free parameter cannot stand for any " + type.getTypeName() + ".",
                    "use a method reference and narrow it with where(...), or put a value in the lambda",
                    e);
        }
    }

    private static Object instance(Class<?> type) throws InstantiationException {
        if (type.isSealed()) {
            return instance(type.getPermittedSubclasses()[0]);
        } else if (type.isEnum() && Modifier.isAbstract(type.getModifiers())) {
            return Allocation.allocate(type.getEnumConstants()[0].getClass());
        } else if (Modifier.isAbstract(type.getModifiers())) {
            return new Placeholder(DoubleClass.of(type)).self();
        }
        return Allocation.allocate(type);
    }

    /** Stands for a parameter of an abstract type; that the lambda calls it means that it looks inside. */
    private static final class Placeholder extends StandIn {

        Placeholder(DoubleClass doubleClass) {
            super("a free parameter", Kind.DUMMY, doubleClass);
        }

        @Override
        public Object apply(Object index, Object[] arguments) {
            throw new IllegalStateException("A pattern's free parameter was used.");
        }
    }
}
