package dev.zelotype.engine.weave;

import static org.objectweb.asm.Opcodes.AASTORE;
import static org.objectweb.asm.Opcodes.ACC_ABSTRACT;
import static org.objectweb.asm.Opcodes.ACC_NATIVE;
import static org.objectweb.asm.Opcodes.ACC_STATIC;
import static org.objectweb.asm.Opcodes.ACC_SYNTHETIC;
import static org.objectweb.asm.Opcodes.ACONST_NULL;
import static org.objectweb.asm.Opcodes.ALOAD;
import static org.objectweb.asm.Opcodes.ANEWARRAY;
import static org.objectweb.asm.Opcodes.CHECKCAST;
import static org.objectweb.asm.Opcodes.DCONST_0;
import static org.objectweb.asm.Opcodes.DUP;
import static org.objectweb.asm.Opcodes.FCONST_0;
import static org.objectweb.asm.Opcodes.F_FULL;
import static org.objectweb.asm.Opcodes.F_SAME;
import static org.objectweb.asm.Opcodes.F_SAME1;
import static org.objectweb.asm.Opcodes.GETSTATIC;
import static org.objectweb.asm.Opcodes.ICONST_0;
import static org.objectweb.asm.Opcodes.IFEQ;
import static org.objectweb.asm.Opcodes.IFNULL;
import static org.objectweb.asm.Opcodes.ILOAD;
import static org.objectweb.asm.Opcodes.INVOKEINTERFACE;
import static org.objectweb.asm.Opcodes.INVOKESPECIAL;
import static org.objectweb.asm.Opcodes.LCONST_0;
import static org.objectweb.asm.Opcodes.NOP;
import static org.objectweb.asm.Opcodes.POP;
import static org.objectweb.asm.Opcodes.RETURN;

import dev.zelotype.engine.make.Boxing;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Puts a question at the head of each method of a class: is anything replaced, and if so, what does this call answer? The
 * original code follows unchanged.
 */
final class HeadWriter extends ClassVisitor {

    private static final String ANSWER = "[Ljava/lang/Object;";

    private final Map<String, Integer> ids;
    private final @Nullable String superConstructor;
    private String superName = "";

    /**
     * Prepares the weaving of one class.
     *
     * @param ids the number of each method, by its name and descriptor
     * @param superConstructor the descriptor of the superclass's constructor that hollow objects are made with; null if no
     *     constructor is to be woven
     */
    private HeadWriter(ClassWriter out, Map<String, Integer> ids, @Nullable String superConstructor) {
        super(Opcodes.ASM9, out);
        this.ids = ids;
        this.superConstructor = superConstructor;
    }

    static byte[] weave(byte[] code, Map<String, Integer> ids, @Nullable String superConstructor) {
        ClassReader in = new ClassReader(code);
        ClassWriter out = new ClassWriter(in, ClassWriter.COMPUTE_MAXS);
        in.accept(new HeadWriter(out, ids, superConstructor), 0);
        return out.toByteArray();
    }

    @Override
    public void visit(int version, int access, String name, String signature, String parent, String[] interfaces) {
        superName = parent;
        super.visit(version, access, name, signature, parent, interfaces);
    }

    @Override
    public MethodVisitor visitMethod(
            int access, String name, String descriptor, String signature, String[] exceptions) {
        MethodVisitor out = super.visitMethod(access, name, descriptor, signature, exceptions);
        Integer id = ids.get(name + descriptor);
        boolean bodiless = (access & (ACC_ABSTRACT | ACC_NATIVE)) != 0;
        if (id == null || bodiless || (access & ACC_SYNTHETIC) != 0 && !name.equals("<init>")) {
            return out;
        }
        boolean constructor = name.equals("<init>");
        if (constructor && superConstructor == null) {
            return out;
        }
        return new MethodVisitor(Opcodes.ASM9, out) {
            @Override
            public void visitCode() {
                super.visitCode();
                if (constructor) {
                    constructorHead(mv, id, descriptor);
                } else {
                    methodHead(mv, id, (access & ACC_STATIC) != 0, descriptor);
                }
            }
        };
    }

    private void methodHead(MethodVisitor code, int id, boolean isStatic, String descriptor) {
        Label original = new Label();
        Label proceed = new Label();
        code.visitFieldInsn(GETSTATIC, Gate.NAME, Gate.ACTIVE, "Z");
        code.visitJumpInsn(IFEQ, original);
        ask(code, id, isStatic, true, descriptor);
        code.visitTypeInsn(CHECKCAST, ANSWER);
        code.visitInsn(DUP);
        code.visitJumpInsn(IFNULL, proceed);
        code.visitInsn(ICONST_0);
        code.visitInsn(Opcodes.AALOAD);
        Boxing.unpackAnswer(code, Type.getReturnType(descriptor));
        code.visitLabel(proceed);
        code.visitFrame(F_SAME1, 0, null, 1, new Object[] {ANSWER});
        code.visitInsn(POP);
        code.visitLabel(original);
        code.visitFrame(F_SAME, 0, null, 0, null);
        // Keeps this frame apart from one that the original code may have at its first instruction.
        code.visitInsn(NOP);
    }

    private void constructorHead(MethodVisitor code, int id, String descriptor) {
        Label original = new Label();
        code.visitFieldInsn(GETSTATIC, Gate.NAME, Gate.ACTIVE, "Z");
        code.visitJumpInsn(IFEQ, original);
        ask(code, id, false, false, descriptor);
        code.visitJumpInsn(IFNULL, original);
        code.visitVarInsn(ALOAD, 0);
        for (Type type : Type.getArgumentTypes(superConstructor)) {
            neutral(code, type);
        }
        code.visitMethodInsn(INVOKESPECIAL, superName, "<init>", superConstructor, false);
        code.visitFieldInsn(GETSTATIC, Gate.NAME, Gate.DECIDER, Gate.DECIDER_TYPE);
        Boxing.pushInt(code, -1 - id);
        Boxing.box(code, Type.INT_TYPE);
        Boxing.pushInt(code, 1);
        code.visitTypeInsn(ANEWARRAY, "java/lang/Object");
        code.visitInsn(DUP);
        code.visitInsn(ICONST_0);
        code.visitVarInsn(ALOAD, 0);
        code.visitInsn(AASTORE);
        apply(code);
        code.visitInsn(POP);
        code.visitInsn(RETURN);
        code.visitLabel(original);
        Object[] locals = locals(descriptor);
        code.visitFrame(F_FULL, locals.length, locals, 0, null);
        code.visitInsn(NOP);
    }

    /** Hands the number of the method and an array of the object (or null) and the arguments to the decider. */
    private static void ask(MethodVisitor code, int id, boolean isStatic, boolean withSelf, String descriptor) {
        Type[] types = Type.getArgumentTypes(descriptor);
        code.visitFieldInsn(GETSTATIC, Gate.NAME, Gate.DECIDER, Gate.DECIDER_TYPE);
        Boxing.pushInt(code, id);
        Boxing.box(code, Type.INT_TYPE);
        Boxing.pushInt(code, types.length + 1);
        code.visitTypeInsn(ANEWARRAY, "java/lang/Object");
        code.visitInsn(DUP);
        code.visitInsn(ICONST_0);
        if (withSelf && !isStatic) {
            code.visitVarInsn(ALOAD, 0);
        } else {
            code.visitInsn(ACONST_NULL);
        }
        code.visitInsn(AASTORE);
        int slot = isStatic ? 0 : 1;
        for (int i = 0; i < types.length; i++) {
            code.visitInsn(DUP);
            Boxing.pushInt(code, i + 1);
            code.visitVarInsn(types[i].getOpcode(ILOAD), slot);
            Boxing.box(code, types[i]);
            code.visitInsn(AASTORE);
            slot += types[i].getSize();
        }
        apply(code);
    }

    private static void apply(MethodVisitor code) {
        code.visitMethodInsn(
                INVOKEINTERFACE,
                "java/util/function/BiFunction",
                "apply",
                "(Ljava/lang/Object;Ljava/lang/Object;)Ljava/lang/Object;",
                true);
    }

    private static void neutral(MethodVisitor code, Type type) {
        switch (type.getSort()) {
            case Type.LONG -> code.visitInsn(LCONST_0);
            case Type.FLOAT -> code.visitInsn(FCONST_0);
            case Type.DOUBLE -> code.visitInsn(DCONST_0);
            case Type.ARRAY, Type.OBJECT -> code.visitInsn(ACONST_NULL);
            default -> code.visitInsn(ICONST_0);
        }
    }

    private static Object[] locals(String descriptor) {
        List<Object> locals = new ArrayList<>();
        locals.add(Opcodes.UNINITIALIZED_THIS);
        for (Type type : Type.getArgumentTypes(descriptor)) {
            locals.add(
                    switch (type.getSort()) {
                        case Type.LONG -> Opcodes.LONG;
                        case Type.FLOAT -> Opcodes.FLOAT;
                        case Type.DOUBLE -> Opcodes.DOUBLE;
                        case Type.ARRAY, Type.OBJECT -> type.getInternalName();
                        default -> Opcodes.INTEGER;
                    });
        }
        return locals.toArray();
    }
}
