package dev.zelotype.engine.weave;

import static org.objectweb.asm.Opcodes.ACC_FINAL;
import static org.objectweb.asm.Opcodes.ACC_PRIVATE;
import static org.objectweb.asm.Opcodes.ACC_PUBLIC;
import static org.objectweb.asm.Opcodes.ACC_SUPER;
import static org.objectweb.asm.Opcodes.ACC_SYNTHETIC;
import static org.objectweb.asm.Opcodes.ALOAD;
import static org.objectweb.asm.Opcodes.ARETURN;
import static org.objectweb.asm.Opcodes.H_INVOKESTATIC;
import static org.objectweb.asm.Opcodes.ILOAD;
import static org.objectweb.asm.Opcodes.INVOKESPECIAL;
import static org.objectweb.asm.Opcodes.INVOKEVIRTUAL;
import static org.objectweb.asm.Opcodes.IRETURN;
import static org.objectweb.asm.Opcodes.RETURN;
import static org.objectweb.asm.Opcodes.V17;

import java.io.Serializable;
import java.lang.invoke.LambdaMetafactory;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandleInfo;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.lang.invoke.SerializedLambda;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.ConstantDynamic;
import org.objectweb.asm.Handle;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Type;

/**
 * Creates the function objects of method references to replaced methods: hidden classes in the nest of the referring
 * class, with everything that the JDK's own would have (further interfaces, bridges, a serialized form).
 */
final class References {

    private static final Handle DATA = new Handle(
            H_INVOKESTATIC,
            "java/lang/invoke/MethodHandles",
            "classDataAt",
            "(Ljava/lang/invoke/MethodHandles$Lookup;Ljava/lang/String;Ljava/lang/Class;I)Ljava/lang/Object;",
            false);

    private final MethodHandles.Lookup caller;
    private final Class<?> type;
    private final String name;
    private final MethodType erased;
    private final MethodHandle implementation;
    private final MethodType dynamic;
    private final Set<String> interfaces = new LinkedHashSet<>();
    private final Set<MethodType> forms = new LinkedHashSet<>();
    private final boolean serializable;
    private final List<Object> data = new ArrayList<>();

    /**
     * Reads the compiler's arguments for the JDK's own factory.
     *
     * @param arguments the erased type, the implementation, the type as used, and for special forms flags and their
     *     data
     */
    References(MethodHandles.Lookup caller, Class<?> type, String name, List<Object> arguments) {
        this.caller = caller;
        this.type = type;
        this.name = name;
        this.erased = (MethodType) arguments.get(0);
        this.implementation = (MethodHandle) arguments.get(1);
        this.dynamic = (MethodType) arguments.get(2);
        int flags = arguments.size() > 3 ? (Integer) arguments.get(3) : 0;
        int next = 4;
        interfaces.add(Type.getInternalName(type));
        forms.add(erased);
        if ((flags & LambdaMetafactory.FLAG_MARKERS) != 0) {
            for (int left = (Integer) arguments.get(next++); left > 0; left--) {
                interfaces.add(Type.getInternalName((Class<?>) arguments.get(next++)));
            }
        }
        if ((flags & LambdaMetafactory.FLAG_BRIDGES) != 0) {
            for (int left = (Integer) arguments.get(next++); left > 0; left--) {
                forms.add((MethodType) arguments.get(next++));
            }
        }
        serializable = (flags & LambdaMetafactory.FLAG_SERIALIZABLE) != 0;
        if (serializable && !Serializable.class.isAssignableFrom(type)) {
            interfaces.add(Type.getInternalName(Serializable.class));
        }
    }

    /** Creates the object; each call of it calls a handle with the signature of the implementation. */
    Object object(MethodHandle target) throws Throwable {
        boolean dropsResult = dynamic.returnType() == void.class;
        MethodHandle adapted =
                (dropsResult ? target.asType(target.type().changeReturnType(void.class)) : target).asType(dynamic);
        ClassWriter out = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        out.visit(
                V17,
                ACC_FINAL | ACC_SUPER | ACC_SYNTHETIC,
                Type.getInternalName(caller.lookupClass()) + "$$Reference",
                null,
                "java/lang/Object",
                interfaces.toArray(new String[0]));
        writeConstructor(out);
        for (MethodType form : forms) {
            write(out, form, adapted.asType(form));
        }
        if (serializable) {
            writeSerializedForm(out);
        }
        out.visitEnd();
        MethodHandles.Lookup made = caller.defineHiddenClassWithClassData(
                out.toByteArray(), List.copyOf(data), true, MethodHandles.Lookup.ClassOption.NESTMATE);
        return made.findConstructor(made.lookupClass(), MethodType.methodType(void.class))
                .invoke();
    }

    private static void writeConstructor(ClassWriter out) {
        MethodVisitor code = out.visitMethod(ACC_PRIVATE, "<init>", "()V", null, null);
        code.visitCode();
        code.visitVarInsn(ALOAD, 0);
        code.visitMethodInsn(INVOKESPECIAL, "java/lang/Object", "<init>", "()V", false);
        code.visitInsn(RETURN);
        code.visitMaxs(0, 0);
        code.visitEnd();
    }

    /** One method of the function object, for the erased types or for a bridge. */
    private void write(ClassWriter out, MethodType form, MethodHandle target) {
        String descriptor = form.toMethodDescriptorString();
        MethodVisitor code = out.visitMethod(ACC_PUBLIC, name, descriptor, null, null);
        code.visitCode();
        code.visitLdcInsn(datum("Ljava/lang/invoke/MethodHandle;", target));
        int slot = 1;
        for (Type argument : Type.getArgumentTypes(descriptor)) {
            code.visitVarInsn(argument.getOpcode(ILOAD), slot);
            slot += argument.getSize();
        }
        code.visitMethodInsn(INVOKEVIRTUAL, "java/lang/invoke/MethodHandle", "invokeExact", descriptor, false);
        code.visitInsn(Type.getReturnType(descriptor).getOpcode(IRETURN));
        code.visitMaxs(0, 0);
        code.visitEnd();
    }

    /** Deserialization is done by the referring class, as for any method reference. */
    private void writeSerializedForm(ClassWriter out) {
        MethodHandleInfo means = caller.revealDirect(implementation);
        SerializedLambda form = new SerializedLambda(
                caller.lookupClass(),
                Type.getInternalName(type),
                name,
                erased.toMethodDescriptorString(),
                means.getReferenceKind(),
                Type.getInternalName(means.getDeclaringClass()),
                means.getName(),
                means.getMethodType().toMethodDescriptorString(),
                dynamic.toMethodDescriptorString(),
                new Object[0]);
        MethodVisitor code =
                out.visitMethod(ACC_PRIVATE | ACC_FINAL, "writeReplace", "()Ljava/lang/Object;", null, null);
        code.visitCode();
        code.visitLdcInsn(datum("Ljava/lang/Object;", form));
        code.visitInsn(ARETURN);
        code.visitMaxs(0, 0);
        code.visitEnd();
    }

    private ConstantDynamic datum(String descriptor, Object value) {
        data.add(value);
        return new ConstantDynamic("_", descriptor, DATA, data.size() - 1);
    }
}
