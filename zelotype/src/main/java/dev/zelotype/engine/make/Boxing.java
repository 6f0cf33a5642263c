package dev.zelotype.engine.make;

import static org.objectweb.asm.Opcodes.BIPUSH;
import static org.objectweb.asm.Opcodes.CHECKCAST;
import static org.objectweb.asm.Opcodes.ICONST_0;
import static org.objectweb.asm.Opcodes.INVOKESTATIC;
import static org.objectweb.asm.Opcodes.INVOKEVIRTUAL;
import static org.objectweb.asm.Opcodes.IRETURN;
import static org.objectweb.asm.Opcodes.POP;
import static org.objectweb.asm.Opcodes.RETURN;
import static org.objectweb.asm.Opcodes.SIPUSH;

import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Type;

/**
 * Code that boxes and unboxes primitives, for all classes that write classes.
 */
public final class Boxing {

    private Boxing() {}

    /** Boxes the value on the stack. */
    public static void box(MethodVisitor code, Type type) {
        if (isPrimitive(type)) {
            String box = boxOf(type);
            code.visitMethodInsn(INVOKESTATIC, box, "valueOf", "(" + type.getDescriptor() + ")L" + box + ";", false);
        }
    }

    /** Returns the object on the stack as the return type of the method. */
    public static void unpackAnswer(MethodVisitor code, Type type) {
        if (type.getSort() == Type.VOID) {
            code.visitInsn(POP);
            code.visitInsn(RETURN);
            return;
        }
        unbox(code, type);
        code.visitInsn(type.getOpcode(IRETURN));
    }

    /** Unboxes the object on the stack to a value of a type. */
    public static void unbox(MethodVisitor code, Type type) {
        if (isPrimitive(type)) {
            String box = boxOf(type);
            code.visitTypeInsn(CHECKCAST, box);
            code.visitMethodInsn(INVOKEVIRTUAL, box, type.getClassName() + "Value", "()" + type.getDescriptor(), false);
        } else if (!type.getInternalName().equals("java/lang/Object")) {
            code.visitTypeInsn(CHECKCAST, type.getInternalName());
        }
    }

    public static void pushInt(MethodVisitor code, int value) {
        if (value >= -1 && value <= 5) {
            code.visitInsn(ICONST_0 + value);
        } else if (value >= Byte.MIN_VALUE && value <= Byte.MAX_VALUE) {
            code.visitIntInsn(BIPUSH, value);
        } else if (value >= Short.MIN_VALUE && value <= Short.MAX_VALUE) {
            code.visitIntInsn(SIPUSH, value);
        } else {
            code.visitLdcInsn(value);
        }
    }

    private static boolean isPrimitive(Type type) {
        return type.getSort() < Type.ARRAY;
    }

    private static String boxOf(Type type) {
        return switch (type.getSort()) {
            case Type.BOOLEAN -> "java/lang/Boolean";
            case Type.CHAR -> "java/lang/Character";
            case Type.BYTE -> "java/lang/Byte";
            case Type.SHORT -> "java/lang/Short";
            case Type.INT -> "java/lang/Integer";
            case Type.LONG -> "java/lang/Long";
            case Type.FLOAT -> "java/lang/Float";
            default -> "java/lang/Double";
        };
    }
}
