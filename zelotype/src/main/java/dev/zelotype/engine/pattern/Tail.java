package dev.zelotype.engine.pattern;

import dev.zelotype.engine.pattern.code.Arithmetic;
import dev.zelotype.engine.pattern.code.MethodCode;
import dev.zelotype.engine.pattern.code.MethodCode.Instruction;
import dev.zelotype.engine.pattern.code.MethodCode.Member;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Label;
import org.objectweb.asm.Opcodes;

/**
 * The code after a call in a lambda.
 */
final class Tail {

    private Tail() {}

    /**
     * Whether the lambda ends at a position: only code added by compilers and coverage tools follows before the return.
     */
    static boolean isTail(MethodCode code, int place) {
        int next = place;
        for (int steps = 0; steps < code.length(); steps++) {
            Instruction instruction = code.at(next++);
            int opcode = instruction.opcode();
            if (opcode >= Opcodes.IRETURN && opcode <= Opcodes.RETURN) {
                return true;
            } else if (opcode == Opcodes.GOTO) {
                next = MethodCode.placeOf((Label) instruction.operand());
            } else if (isComparedWithSuspended(code, next - 1)) {
                // A described call never suspends.
                next = MethodCode.placeOf((Label) code.at(next + 1).operand());
            } else if (isBoxedUnlessNull(code, next - 1)) {
                next++;
            } else if (isStore(code, next - 1)) {
                next += 3;
            } else if (!isHarmless(instruction)) {
                return false;
            }
        }
        return false;
    }

    /** The static method or constructor that a lambda ends with, or null. */
    static @Nullable Member lastCall(MethodCode code) {
        for (int place = 0; place < code.length(); place++) {
            Instruction instruction = code.at(place);
            if (instruction.operand() instanceof Member member
                    && (instruction.opcode() == Opcodes.INVOKESTATIC && !Frame.isBoxing(member)
                            || instruction.opcode() == Opcodes.INVOKESPECIAL
                                    && member.name().equals("<init>"))
                    && isTail(code, place + 1)) {
                return member;
            }
        }
        return null;
    }

    private static boolean isHarmless(Instruction instruction) {
        int opcode = instruction.opcode();
        if (instruction.operand() instanceof Member member) {
            return opcode == Opcodes.INVOKESTATIC
                            && (Frame.isBoxing(member) || member.name().equals("box-impl"))
                    || opcode == Opcodes.INVOKEVIRTUAL && member.name().equals("unbox-impl")
                    || opcode == Opcodes.INVOKEVIRTUAL && Frame.isUnboxing(member)
                    || opcode == Opcodes.GETSTATIC && member.owner().equals("kotlin/Unit");
        }
        return opcode == Opcodes.CHECKCAST
                || opcode == Opcodes.POP
                || opcode == Opcodes.POP2
                || opcode == Opcodes.NOP
                || opcode == Opcodes.ACONST_NULL
                || Arithmetic.isConversion(opcode);
    }

    /** Whether the result of a call is compared with Kotlin's suspension mark. */
    private static boolean isComparedWithSuspended(MethodCode code, int place) {
        if (place + 2 >= code.length()
                || code.at(place).opcode() != Opcodes.DUP
                || code.at(place + 2).opcode() != Opcodes.IF_ACMPNE) {
            return false;
        }
        Instruction mark = code.at(place + 1);
        return mark.opcode() == Opcodes.ALOAD
                || mark.operand() instanceof Member member && member.name().equals("getCOROUTINE_SUSPENDED");
    }

    /** Whether the value of a value class of Kotlin is put into an object, or taken out of it, unless it is null. */
    static boolean isBoxedUnlessNull(MethodCode code, int place) {
        return place + 2 < code.length()
                && code.at(place).opcode() == Opcodes.DUP
                && code.at(place + 1).opcode() == Opcodes.IFNULL
                && code.at(place + 2).operand() instanceof Member member
                && (member.name().equals("box-impl") || member.name().equals("unbox-impl"));
    }

    /** Whether a coverage probe follows: a boolean array, an index, true. */
    private static boolean isStore(MethodCode code, int place) {
        return code.at(place).opcode() == Opcodes.ALOAD
                && place + 3 < code.length()
                && isInt(code.at(place + 1))
                && code.at(place + 2).opcode() == Opcodes.ICONST_1
                && code.at(place + 3).opcode() == Opcodes.BASTORE;
    }

    private static boolean isInt(Instruction instruction) {
        int opcode = instruction.opcode();
        return opcode >= Opcodes.ICONST_0 && opcode <= Opcodes.SIPUSH
                || opcode == Opcodes.LDC && instruction.operand() instanceof Integer;
    }

    /** Whether no further call follows, so that the previous one must be the described call. */
    static boolean isLastCall(MethodCode code, int place) {
        for (int next = place; next < code.length(); next++) {
            Instruction instruction = code.at(next);
            if (instruction.opcode() == Opcodes.GOTO && MethodCode.placeOf((Label) instruction.operand()) < place) {
                return false;
            }
            if (instruction.operand() instanceof Member member
                    && instruction.opcode() >= Opcodes.INVOKEVIRTUAL
                    && instruction.opcode() <= Opcodes.INVOKEINTERFACE
                    && !(Frame.isBoxing(member) || Frame.isUnboxing(member))) {
                return false;
            }
        }
        return true;
    }
}
