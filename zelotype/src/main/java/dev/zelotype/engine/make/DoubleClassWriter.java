package dev.zelotype.engine.make;

import static org.objectweb.asm.Opcodes.AASTORE;
import static org.objectweb.asm.Opcodes.ACC_ABSTRACT;
import static org.objectweb.asm.Opcodes.ACC_NATIVE;
import static org.objectweb.asm.Opcodes.ACC_PRIVATE;
import static org.objectweb.asm.Opcodes.ACC_PUBLIC;
import static org.objectweb.asm.Opcodes.ACC_SUPER;
import static org.objectweb.asm.Opcodes.ACC_SYNCHRONIZED;
import static org.objectweb.asm.Opcodes.ACC_SYNTHETIC;
import static org.objectweb.asm.Opcodes.ACC_TRANSIENT;
import static org.objectweb.asm.Opcodes.ACONST_NULL;
import static org.objectweb.asm.Opcodes.ALOAD;
import static org.objectweb.asm.Opcodes.ANEWARRAY;
import static org.objectweb.asm.Opcodes.CHECKCAST;
import static org.objectweb.asm.Opcodes.DUP;
import static org.objectweb.asm.Opcodes.F_SAME1;
import static org.objectweb.asm.Opcodes.GETFIELD;
import static org.objectweb.asm.Opcodes.IFNONNULL;
import static org.objectweb.asm.Opcodes.ILOAD;
import static org.objectweb.asm.Opcodes.INVOKEINTERFACE;
import static org.objectweb.asm.Opcodes.INVOKESPECIAL;
import static org.objectweb.asm.Opcodes.INVOKESTATIC;
import static org.objectweb.asm.Opcodes.INVOKEVIRTUAL;
import static org.objectweb.asm.Opcodes.IRETURN;
import static org.objectweb.asm.Opcodes.POP;
import static org.objectweb.asm.Opcodes.PUTFIELD;
import static org.objectweb.asm.Opcodes.RETURN;
import static org.objectweb.asm.Opcodes.V17;

import dev.zelotype.basics.Reflected;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.List;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Type;

/**
 * Writes the class file of a double: one field with its receiver, and one method for each descriptor, which passes its
 * number and its arguments as an array, and unpacks the answer.
 */
final class DoubleClassWriter {

    static final String RECEIVER = "zelotype$receiver";

    private static final String FUNCTION = "java/util/function/BiFunction";
    private static final String FUNCTION_TYPE = "L" + FUNCTION + ";";

    private final String className;
    private final ClassWriter out = new ClassWriter(ClassWriter.COMPUTE_MAXS);

    private DoubleClassWriter(String className) {
        this.className = className;
    }

    static byte[] write(String className, Class<?> superclass, List<Class<?>> interfaces, MethodTable methods) {
        return new DoubleClassWriter(className.replace('.', '/')).write(superclass, interfaces, methods);
    }

    private byte[] write(Class<?> superclass, List<Class<?>> interfaces, MethodTable methods) {
        String[] names = new String[interfaces.size()];
        for (int i = 0; i < names.length; i++) {
            names[i] = Type.getInternalName(interfaces.get(i));
        }
        out.visit(
                V17, ACC_PUBLIC | ACC_SUPER | ACC_SYNTHETIC, className, null, Type.getInternalName(superclass), names);
        out.visitField(ACC_PRIVATE | ACC_TRANSIENT | ACC_SYNTHETIC, RECEIVER, FUNCTION_TYPE, null, null)
                .visitEnd();
        if (superclass == Object.class) {
            constructor(superclass, "()V");
        } else {
            constructors(superclass);
        }
        for (DoubledMethod method : methods.methods()) {
            for (String descriptor : method.descriptors()) {
                method(superclass, method, descriptor);
            }
        }
        methods.bridges().forEach(this::bridge);
        out.visitEnd();
        return out.toByteArray();
    }

    /**
     * For fakes: the superclass's constructors, each with the receiver as an additional last parameter. Doubles of
     * interfaces are made by such a constructor as well, which is the fastest way.
     */
    private void constructors(Class<?> superclass) {
        // Other doubles need none, and making a fake reports that they are not listed.
        for (Constructor<?> constructor :
                Reflected.orElse(superclass::getDeclaredConstructors, new Constructor<?>[0])) {
            if (!Modifier.isPrivate(constructor.getModifiers())) {
                constructor(superclass, Type.getConstructorDescriptor(constructor));
            }
        }
    }

    private void constructor(Class<?> superclass, String descriptor) {
        MethodVisitor code =
                out.visitMethod(ACC_PUBLIC, "<init>", descriptor.replace(")", FUNCTION_TYPE + ")"), null, null);
        code.visitCode();
        int afterLast = superCall(code, superclass, "<init>", descriptor);
        code.visitVarInsn(ALOAD, 0);
        code.visitVarInsn(ALOAD, afterLast);
        code.visitFieldInsn(PUTFIELD, className, RECEIVER, FUNCTION_TYPE);
        code.visitInsn(RETURN);
        code.visitMaxs(0, 0);
        code.visitEnd();
    }

    /** Calls the superclass with the arguments; returns the first free local variable. */
    private static int superCall(MethodVisitor code, Class<?> superclass, String name, String descriptor) {
        code.visitVarInsn(ALOAD, 0);
        int slot = 1;
        for (Type type : Type.getArgumentTypes(descriptor)) {
            code.visitVarInsn(type.getOpcode(ILOAD), slot);
            slot += type.getSize();
        }
        code.visitMethodInsn(INVOKESPECIAL, Type.getInternalName(superclass), name, descriptor, false);
        return slot;
    }

    /**
     * While the superclass's constructor runs, the receiver is not set yet, so its calls of itself run its own code.
     */
    private static void callUpWithoutReceiver(
            MethodVisitor code, Class<?> superclass, DoubledMethod method, String descriptor) {
        Label received = new Label();
        code.visitInsn(DUP);
        code.visitJumpInsn(IFNONNULL, received);
        code.visitInsn(POP);
        superCall(code, superclass, method.name(), descriptor);
        code.visitInsn(Type.getReturnType(descriptor).getOpcode(IRETURN));
        code.visitLabel(received);
        code.visitFrame(F_SAME1, 0, null, 1, new Object[] {FUNCTION});
    }

    private static int access(Executable overridden) {
        return overridden.getModifiers() & ~(ACC_ABSTRACT | ACC_NATIVE | ACC_SYNCHRONIZED);
    }

    private void method(Class<?> superclass, DoubledMethod method, String descriptor) {
        MethodVisitor code = out.visitMethod(access(method.executable()), method.name(), descriptor, null, null);
        code.visitCode();
        code.visitVarInsn(ALOAD, 0);
        code.visitFieldInsn(GETFIELD, className, RECEIVER, FUNCTION_TYPE);
        if (superclass != Object.class
                && method.hasCode()
                && !method.executable().getDeclaringClass().isInterface()) {
            callUpWithoutReceiver(code, superclass, method, descriptor);
        }
        Boxing.pushInt(code, method.index());
        code.visitMethodInsn(INVOKESTATIC, "java/lang/Integer", "valueOf", "(I)Ljava/lang/Integer;", false);
        packArguments(code, Type.getArgumentTypes(descriptor));
        code.visitMethodInsn(
                INVOKEINTERFACE, FUNCTION, "apply", "(Ljava/lang/Object;Ljava/lang/Object;)Ljava/lang/Object;", true);
        Boxing.unpackAnswer(code, Type.getReturnType(descriptor));
        code.visitMaxs(0, 0);
        code.visitEnd();
    }

    /**
     * Bridges are written again, because the type's own bridge would be between the double and its caller, or is missing.
     */
    private void bridge(MethodTable.Bridge bridge) {
        Type[] narrow = Type.getArgumentTypes(bridge.behind());
        Type[] wide = Type.getArgumentTypes(bridge.method());
        MethodVisitor code = out.visitMethod(
                access(bridge.method()),
                bridge.method().getName(),
                Type.getMethodDescriptor(bridge.method()),
                null,
                null);
        code.visitCode();
        code.visitVarInsn(ALOAD, 0);
        int slot = 1;
        for (int i = 0; i < wide.length; i++) {
            code.visitVarInsn(wide[i].getOpcode(ILOAD), slot);
            Class<?> box = bridge.unboxing() == null ? null : bridge.unboxing().parameters()[i];
            if (box != null) {
                String name = Type.getInternalName(box);
                code.visitTypeInsn(CHECKCAST, name);
                code.visitMethodInsn(INVOKEVIRTUAL, name, "unbox-impl", "()" + narrow[i].getDescriptor(), false);
            } else if (wide[i].getSort() >= Type.ARRAY) {
                Boxing.unbox(code, narrow[i]);
            }
            slot += wide[i].getSize();
        }
        Method behind = bridge.behind();
        code.visitMethodInsn(INVOKEVIRTUAL, className, behind.getName(), Type.getMethodDescriptor(behind), false);
        Type result = Type.getReturnType(bridge.method());
        Class<?> resultBox =
                bridge.unboxing() == null ? null : bridge.unboxing().result();
        if (resultBox != null) {
            code.visitMethodInsn(
                    INVOKESTATIC,
                    Type.getInternalName(resultBox),
                    "box-impl",
                    "(" + Type.getDescriptor(behind.getReturnType()) + ")" + Type.getDescriptor(resultBox),
                    false);
        } else if (result.getSort() >= Type.ARRAY) {
            Boxing.box(code, Type.getReturnType(bridge.behind()));
        }
        code.visitInsn(result.getOpcode(IRETURN));
        code.visitMaxs(0, 0);
        code.visitEnd();
    }

    private static void packArguments(MethodVisitor code, Type[] types) {
        if (types.length == 0) {
            code.visitInsn(ACONST_NULL);
            return;
        }
        Boxing.pushInt(code, types.length);
        code.visitTypeInsn(ANEWARRAY, "java/lang/Object");
        int slot = 1;
        for (int i = 0; i < types.length; i++) {
            Type type = types[i];
            code.visitInsn(DUP);
            Boxing.pushInt(code, i);
            code.visitVarInsn(type.getOpcode(ILOAD), slot);
            Boxing.box(code, type);
            code.visitInsn(AASTORE);
            slot += type.getSize();
        }
    }
}
