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
import static org.objectweb.asm.Opcodes.DUP;
import static org.objectweb.asm.Opcodes.F_SAME;
import static org.objectweb.asm.Opcodes.F_SAME1;
import static org.objectweb.asm.Opcodes.GETSTATIC;
import static org.objectweb.asm.Opcodes.ICONST_0;
import static org.objectweb.asm.Opcodes.IFEQ;
import static org.objectweb.asm.Opcodes.IFNULL;
import static org.objectweb.asm.Opcodes.ILOAD;
import static org.objectweb.asm.Opcodes.INVOKEINTERFACE;
import static org.objectweb.asm.Opcodes.NOP;
import static org.objectweb.asm.Opcodes.POP;

import dev.zelotype.engine.make.Boxing;
import java.util.Map;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Adds a check to the start of each method of a class: is anything replaced, and if so, what does this call answer? The
 * original code follows unchanged.
 */
final class HeadWriter extends ClassVisitor {

    private static final String ANSWER = "[Ljava/lang/Object;";

    private final String gate;
    private final Map<String, Integer> ids;
    private boolean framed;

    private HeadWriter(ClassWriter out, String gate, Map<String, Integer> ids) {
        super(Opcodes.ASM9, out);
        this.gate = gate;
        this.ids = ids;
    }

    /**
     * Weaves one class.
     *
     * @param ids the number of each method, by its name and descriptor
     */
    static byte[] weave(byte[] code, String gate, Map<String, Integer> ids) {
        ClassReader in = new ClassReader(code);
        ClassWriter out = new ClassWriter(in, ClassWriter.COMPUTE_MAXS);
        in.accept(NamedSource.of(code, new HeadWriter(out, gate, ids)), 0);
        return out.toByteArray();
    }

    @Override
    public void visit(int version, int access, String name, String signature, String parent, String[] interfaces) {
        framed = (version & 0xffff) >= Opcodes.V1_6;
        super.visit(version, access, name, signature, parent, interfaces);
    }

    @Override
    public MethodVisitor visitMethod(
            int access, String name, String descriptor, String signature, String[] exceptions) {
        MethodVisitor out = super.visitMethod(access, name, descriptor, signature, exceptions);
        Integer id = ids.get(name + descriptor);
        boolean bodiless = (access & (ACC_ABSTRACT | ACC_NATIVE)) != 0;
        if (id == null || bodiless || (access & ACC_SYNTHETIC) != 0) {
            return out;
        }
        return new MethodVisitor(Opcodes.ASM9, out) {
            @Override
            public void visitCode() {
                super.visitCode();
                head(mv, id, (access & ACC_STATIC) != 0, descriptor);
            }
        };
    }

    private void head(MethodVisitor code, int id, boolean isStatic, String descriptor) {
        Label original = new Label();
        Label proceed = new Label();
        code.visitFieldInsn(GETSTATIC, gate, Gate.ACTIVE, "Z");
        code.visitJumpInsn(IFEQ, original);
        ask(code, id, isStatic, descriptor);
        code.visitTypeInsn(CHECKCAST, ANSWER);
        code.visitInsn(DUP);
        code.visitJumpInsn(IFNULL, proceed);
        code.visitInsn(ICONST_0);
        code.visitInsn(Opcodes.AALOAD);
        Boxing.unpackAnswer(code, Type.getReturnType(descriptor));
        code.visitLabel(proceed);
        frame(code, F_SAME1, new Object[] {ANSWER});
        code.visitInsn(POP);
        code.visitLabel(original);
        frame(code, F_SAME, new Object[0]);
        // Distinguishes this frame from one at the first instruction of the original code.
        code.visitInsn(NOP);
    }

    /** Adds a stack map frame, if the class file has them. */
    private void frame(MethodVisitor code, int sort, Object[] stack) {
        if (framed) {
            code.visitFrame(sort, 0, null, stack.length, stack);
        }
    }

    /** Passes the number of the method and an array of the object (or null) and the arguments to the decider. */
    private void ask(MethodVisitor code, int id, boolean isStatic, String descriptor) {
        Type[] types = Type.getArgumentTypes(descriptor);
        code.visitFieldInsn(GETSTATIC, gate, Gate.DECIDER, Gate.FUNCTION_TYPE);
        Boxing.pushInt(code, id);
        Boxing.box(code, Type.INT_TYPE);
        Boxing.pushInt(code, types.length + 1);
        code.visitTypeInsn(ANEWARRAY, "java/lang/Object");
        code.visitInsn(DUP);
        code.visitInsn(ICONST_0);
        if (!isStatic) {
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
}
