package dev.zelotype.engine.pattern;

import dev.zelotype.basics.Boxes;
import dev.zelotype.engine.pattern.Symbols.NewArray;
import dev.zelotype.engine.pattern.Symbols.NewLambda;
import dev.zelotype.engine.pattern.Symbols.Parameter;
import dev.zelotype.engine.pattern.Symbols.Result;
import dev.zelotype.engine.pattern.Symbols.Unmade;
import dev.zelotype.engine.pattern.Symbols.Wide;
import dev.zelotype.engine.pattern.code.Arithmetic;
import dev.zelotype.engine.pattern.code.MethodCode.Instruction;
import dev.zelotype.engine.pattern.code.MethodCode.Member;
import dev.zelotype.engine.pattern.code.RealCode;
import dev.zelotype.engine.pattern.rule.Widening;
import java.lang.reflect.Array;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * The local variables and the stack while a lambda is read, with the instructions that only move or compute values.
 */
final class Frame {

    private final Refused refused;
    private final List<@Nullable Object> locals = new ArrayList<>();
    private final List<@Nullable Object> stack = new ArrayList<>();
    private final Set<Object> probes = Collections.newSetFromMap(new IdentityHashMap<>());

    Frame(Refused refused) {
        this.refused = refused;
    }

    void store(int slot, @Nullable Object value) {
        while (locals.size() <= slot) {
            locals.add(null);
        }
        locals.set(slot, value);
    }

    void push(@Nullable Object value) {
        stack.add(value);
    }

    @Nullable
    Object pop() {
        return stack.remove(stack.size() - 1);
    }

    @Nullable
    Object peek() {
        return stack.get(stack.size() - 1);
    }

    /** Pops several values; the one that was pushed first comes first. */
    Object[] popAll(int count) {
        Object[] values = new Object[count];
        for (int i = count - 1; i >= 0; i--) {
            values[i] = pop();
        }
        return values;
    }

    /** The value itself, which must not be a symbol. */
    @Nullable
    Object known(@Nullable Object value) {
        if (value instanceof Wide wide) {
            return wide.value();
        } else if (value instanceof NewArray array) {
            Object symbol = array.anySymbol();
            return symbol == null ? array.real : known(symbol);
        } else if (value instanceof Parameter parameter) {
            throw refused.computed(parameter);
        } else if (value instanceof Result result) {
            throw refused.goesOn(result.call(), "uses its return value");
        } else if (value instanceof Unmade || value instanceof NewLambda) {
            throw refused.other("looks at an object that it only makes");
        }
        return value;
    }

    @Nullable
    Object popKnown() {
        return known(pop());
    }

    /** As {@link #known}; a lambda that the pattern creates is really created. */
    @Nullable
    Object knownOrMade(@Nullable Object value, RealCode real) throws Throwable {
        return value instanceof NewLambda lambda
                ? real.lambda(lambda.recipe(), lambda.captured().clone())
                : known(value);
    }

    void replace(Object old, Object by) {
        stack.replaceAll(value -> value == old ? by : value);
        locals.replaceAll(value -> value == old ? by : value);
    }

    /** Executes an instruction that moves values; returns whether it was one. */
    boolean moves(Instruction instruction) {
        int opcode = instruction.opcode();
        if (opcode >= Opcodes.ICONST_M1 && opcode <= Opcodes.DCONST_1) {
            push(small(opcode));
        } else if (opcode >= Opcodes.ILOAD && opcode <= Opcodes.ALOAD) {
            push(locals.get(instruction.number()));
        } else if (opcode >= Opcodes.ISTORE && opcode <= Opcodes.ASTORE) {
            store(instruction.number(), pop());
        } else if (opcode >= Opcodes.IALOAD && opcode <= Opcodes.SALOAD) {
            load();
        } else if (opcode >= Opcodes.IASTORE && opcode <= Opcodes.SASTORE) {
            storeElement();
        } else {
            switch (opcode) {
                case Opcodes.NOP -> {}
                case Opcodes.ACONST_NULL -> push(null);
                case Opcodes.BIPUSH, Opcodes.SIPUSH -> push(instruction.number());
                case Opcodes.ARRAYLENGTH -> push(length(pop()));
                case Opcodes.POP, Opcodes.POP2, Opcodes.SWAP -> dropOrSwap(opcode);
                case Opcodes.DUP, Opcodes.DUP_X1, Opcodes.DUP_X2 -> copy(1, opcode - Opcodes.DUP);
                case Opcodes.DUP2, Opcodes.DUP2_X1, Opcodes.DUP2_X2 -> copy(2, opcode - Opcodes.DUP2);
                default -> {
                    return false;
                }
            }
        }
        return true;
    }

    /** Records an array added by a coverage tool. */
    void noteProbes(Object array) {
        probes.add(array);
    }

    private int length(@Nullable Object array) {
        Object real = array instanceof NewArray made ? made.real : known(array);
        if (real == null) {
            throw new NullPointerException();
        }
        return Array.getLength(real);
    }

    private static Object small(int opcode) {
        if (opcode <= Opcodes.ICONST_5) {
            return opcode - Opcodes.ICONST_0;
        } else if (opcode <= Opcodes.LCONST_1) {
            return new Wide((long) (opcode - Opcodes.LCONST_0));
        } else if (opcode <= Opcodes.FCONST_2) {
            return (float) (opcode - Opcodes.FCONST_0);
        }
        return new Wide((double) (opcode - Opcodes.DCONST_0));
    }

    private void dropOrSwap(int opcode) {
        Object top = pop();
        if (opcode == Opcodes.SWAP) {
            Object below = pop();
            push(top);
            push(below);
        } else if (opcode == Opcodes.POP2 && !Symbols.isWide(top)) {
            pop();
        }
    }

    /** Copies the topmost words below the words under them. */
    private void copy(int words, int below) {
        List<Object> copied = take(words);
        List<Object> under = take(below);
        stack.addAll(copied);
        stack.addAll(under);
        stack.addAll(copied);
    }

    private List<Object> take(int words) {
        List<Object> taken = new ArrayList<>();
        for (int left = words; left > 0; ) {
            Object value = pop();
            left -= Symbols.isWide(value) ? 2 : 1;
            taken.add(0, value);
        }
        return taken;
    }

    private void load() {
        int place = (Integer) popKnown();
        Object array = pop();
        if (array instanceof NewArray made && made.symbol(place) != null) {
            push(made.symbol(place));
            return;
        }
        Object real = array instanceof NewArray made ? made.real : known(array);
        push(onStack(Array.get(real, place), Type.getType(real.getClass().getComponentType())));
    }

    private void storeElement() {
        Object value = pop();
        int place = (Integer) popKnown();
        Object array = pop();
        if (array instanceof NewArray made) {
            Class<?> element = made.real.getClass().getComponentType();
            boolean symbol = Symbols.isSymbol(value);
            made.symbol(place, symbol ? value : null);
            if (!symbol) {
                Array.set(made.real, place, offStack(known(value), Type.getType(element)));
            } else if (value instanceof NewArray inner) {
                Array.set(made.real, place, inner.real);
            }
        } else if (known(array) instanceof boolean[] written && probes.contains(written)) {
            // Coverage tools record in such an array that the lambda was reached.
            written[place] = (Integer) known(value) != 0;
        } else {
            throw refused.other("writes into an array");
        }
    }

    /** Executes an instruction that computes numbers; returns whether it was one. */
    boolean computes(Instruction instruction) {
        int opcode = instruction.opcode();
        if (Arithmetic.isConversion(opcode)) {
            convert(opcode);
        } else if (Arithmetic.isUnary(opcode)) {
            pushNumber(Arithmetic.negate(opcode, popKnown()));
        } else if (Arithmetic.isBinary(opcode)) {
            Object right = popKnown();
            pushNumber(Arithmetic.binary(opcode, popKnown(), right));
        } else if (opcode == Opcodes.IINC) {
            int slot = instruction.number();
            store(slot, (Integer) known(locals.get(slot)) + (Integer) instruction.operand());
        } else {
            return false;
        }
        return true;
    }

    private void pushNumber(Object number) {
        push(number instanceof Long || number instanceof Double ? new Wide(number) : number);
    }

    private void convert(int opcode) {
        Object value = pop();
        Class<?> to = Arithmetic.convertedTo(opcode);
        if (value instanceof Parameter parameter && Widening.leads(parameter.as(), to)) {
            push(new Parameter(parameter.number(), parameter.type(), to));
        } else {
            Object converted = Widening.convert(known(value), Boxes.of(to));
            push(onStack(converted, Type.getType(to)));
        }
    }

    /** Whether a conditional jump is taken. */
    boolean jumps(int opcode) {
        if (opcode == Opcodes.IFNULL || opcode == Opcodes.IFNONNULL || opcode <= Opcodes.IFLE) {
            return Arithmetic.jumps(opcode, popKnown());
        }
        Object right = popKnown();
        return Arithmetic.jumps(opcode, popKnown(), right);
    }

    /** A value of a declared type in the form that the JVM keeps on its stack. */
    static @Nullable Object onStack(@Nullable Object value, Type type) {
        return switch (type.getSort()) {
            case Type.BOOLEAN -> (Boolean) value ? 1 : 0;
            case Type.CHAR -> (int) (Character) value;
            case Type.BYTE, Type.SHORT -> ((Number) value).intValue();
            case Type.LONG, Type.DOUBLE -> new Wide(value);
            default -> value;
        };
    }

    /** A value from the stack as one of a declared type. */
    static @Nullable Object offStack(@Nullable Object value, Type type) {
        return switch (type.getSort()) {
            case Type.BOOLEAN -> (Integer) value != 0;
            case Type.CHAR -> (char) (int) (Integer) value;
            case Type.BYTE -> (byte) (int) (Integer) value;
            case Type.SHORT -> (short) (int) (Integer) value;
            default -> value;
        };
    }

    static Class<?> elementType(int number) {
        return switch (number) {
            case Opcodes.T_BOOLEAN -> boolean.class;
            case Opcodes.T_CHAR -> char.class;
            case Opcodes.T_FLOAT -> float.class;
            case Opcodes.T_DOUBLE -> double.class;
            case Opcodes.T_BYTE -> byte.class;
            case Opcodes.T_SHORT -> short.class;
            case Opcodes.T_INT -> int.class;
            default -> long.class;
        };
    }

    /** Whether a method boxes a primitive. */
    static boolean isBoxing(Member method) {
        return method.owner().equals("kotlin/coroutines/jvm/internal/Boxing")
                        && method.name().startsWith("box")
                || method.name().equals("valueOf")
                        && isBox(method.owner())
                        && method.descriptor().length() > 3
                        && method.descriptor().charAt(2) == ')'
                        && method.descriptor().charAt(1) == primitive(method.owner());
    }

    /** Whether a method unboxes a primitive. */
    static boolean isUnboxing(Member method) {
        return method.name().endsWith("Value")
                && isBox(method.owner())
                && method.descriptor().equals("()" + primitive(method.owner()));
    }

    private static boolean isBox(String owner) {
        return owner.startsWith("java/lang/") && primitive(owner) != ' ';
    }

    private static char primitive(String box) {
        return switch (box) {
            case "java/lang/Boolean" -> 'Z';
            case "java/lang/Character" -> 'C';
            case "java/lang/Byte" -> 'B';
            case "java/lang/Short" -> 'S';
            case "java/lang/Integer" -> 'I';
            case "java/lang/Long" -> 'J';
            case "java/lang/Float" -> 'F';
            case "java/lang/Double" -> 'D';
            default -> ' ';
        };
    }
}
