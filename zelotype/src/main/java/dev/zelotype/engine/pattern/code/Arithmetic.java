package dev.zelotype.engine.pattern.code;

import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Opcodes;

/**
 * The JVM's arithmetic and comparison instructions.
 */
public final class Arithmetic {

    private static final Class<?>[] KINDS = {int.class, long.class, float.class, double.class};
    /** The result types of the conversions from {@code I2L} to {@code I2S}, in the order of their opcodes. */
    private static final Class<?>[] CONVERTED = {
        long.class, float.class, double.class,
        int.class, float.class, double.class,
        int.class, long.class, double.class,
        int.class, long.class, float.class,
        byte.class, char.class, short.class
    };

    private Arithmetic() {}

    public static boolean isConversion(int opcode) {
        return opcode >= Opcodes.I2L && opcode <= Opcodes.I2S;
    }

    public static Class<?> convertedTo(int opcode) {
        return CONVERTED[opcode - Opcodes.I2L];
    }

    public static boolean isUnary(int opcode) {
        return opcode >= Opcodes.INEG && opcode <= Opcodes.DNEG;
    }

    public static boolean isBinary(int opcode) {
        return opcode >= Opcodes.IADD && opcode <= Opcodes.LXOR && !isUnary(opcode)
                || opcode >= Opcodes.LCMP && opcode <= Opcodes.DCMPG;
    }

    public static Object negate(int opcode, Object value) {
        return switch (opcode) {
            case Opcodes.INEG -> -(Integer) value;
            case Opcodes.LNEG -> -(Long) value;
            case Opcodes.FNEG -> -(Float) value;
            default -> -(Double) value;
        };
    }

    public static Object binary(int opcode, Object left, Object right) {
        if (opcode >= Opcodes.LCMP) {
            return compare(opcode, left, right);
        } else if (opcode >= Opcodes.IAND) {
            boolean ints = (opcode - Opcodes.IAND) % 2 == 0;
            return ints
                    ? (Object) (int) bits(opcode, (Integer) left, (Integer) right)
                    : bits(opcode - 1, (Long) left, (Long) right);
        } else if (opcode >= Opcodes.ISHL) {
            return shift(opcode, left, (Integer) right);
        }
        Class<?> kind = KINDS[(opcode - Opcodes.IADD) % 4];
        int operation = (opcode - Opcodes.IADD) / 4;
        if (kind == int.class) {
            return ints(operation, (Integer) left, (Integer) right);
        } else if (kind == long.class) {
            return longs(operation, (Long) left, (Long) right);
        } else if (kind == float.class) {
            return (float) floating(operation, (Float) left, (Float) right, true);
        }
        return floating(operation, (Double) left, (Double) right, false);
    }

    private static int ints(int operation, int a, int b) {
        return switch (operation) {
            case 0 -> a + b;
            case 1 -> a - b;
            case 2 -> a * b;
            case 3 -> a / b;
            default -> a % b;
        };
    }

    private static long longs(int operation, long a, long b) {
        return switch (operation) {
            case 0 -> a + b;
            case 1 -> a - b;
            case 2 -> a * b;
            case 3 -> a / b;
            default -> a % b;
        };
    }

    /** Floats are computed as floats, because an intermediate double would round twice. */
    private static double floating(int operation, double a, double b, boolean single) {
        return switch (operation) {
            case 0 -> single ? (float) a + (float) b : a + b;
            case 1 -> single ? (float) a - (float) b : a - b;
            case 2 -> single ? (float) a * (float) b : a * b;
            case 3 -> single ? (float) a / (float) b : a / b;
            default -> single ? (float) a % (float) b : a % b;
        };
    }

    private static long bits(int intOpcode, long a, long b) {
        return switch (intOpcode) {
            case Opcodes.IAND -> a & b;
            case Opcodes.IOR -> a | b;
            default -> a ^ b;
        };
    }

    private static Object shift(int opcode, Object value, int by) {
        return switch (opcode) {
            case Opcodes.ISHL -> (Integer) value << by;
            case Opcodes.LSHL -> (Long) value << by;
            case Opcodes.ISHR -> (Integer) value >> by;
            case Opcodes.LSHR -> (Long) value >> by;
            case Opcodes.IUSHR -> (Integer) value >>> by;
            default -> (Long) value >>> by;
        };
    }

    private static int compare(int opcode, Object left, Object right) {
        if (opcode == Opcodes.LCMP) {
            return Long.compare((Long) left, (Long) right);
        }
        double a = ((Number) left).doubleValue();
        double b = ((Number) right).doubleValue();
        if (Double.isNaN(a) || Double.isNaN(b)) {
            return opcode == Opcodes.FCMPG || opcode == Opcodes.DCMPG ? 1 : -1;
        }
        return a < b ? -1 : a > b ? 1 : 0;
    }

    /** Whether a jump that tests one value is taken. */
    public static boolean jumps(int opcode, @Nullable Object value) {
        return switch (opcode) {
            case Opcodes.IFNULL -> value == null;
            case Opcodes.IFNONNULL -> value != null;
            default -> holds(opcode - Opcodes.IFEQ, (Integer) value, 0);
        };
    }

    /** Whether a jump that compares two values is taken. */
    public static boolean jumps(int opcode, @Nullable Object left, @Nullable Object right) {
        return switch (opcode) {
            case Opcodes.IF_ACMPEQ -> left == right;
            case Opcodes.IF_ACMPNE -> left != right;
            default -> holds(opcode - Opcodes.IF_ICMPEQ, (Integer) left, (Integer) right);
        };
    }

    private static boolean holds(int relation, int a, int b) {
        return switch (relation) {
            case 0 -> a == b;
            case 1 -> a != b;
            case 2 -> a < b;
            case 3 -> a >= b;
            case 4 -> a > b;
            default -> a <= b;
        };
    }
}
