package dev.zelotype.engine.pattern;

import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * Whether the last thing that a lambda does is to call a static method or a constructor, read from its class file so that
 * the lambda need not be run. A class is read once for all its lambdas.
 */
final class LambdaBody extends MethodVisitor {

    private static final ClassValue<Map<String, Target>> TARGETS = new ClassValue<>() {
        @Override
        protected Map<String, Target> computeValue(Class<?> type) {
            return read(type);
        }
    };

    private @Nullable Target last;
    private boolean branches;
    private final Map<String, Target> found;
    private final String key;

    /**
     * The static method or constructor that a lambda ends with.
     *
     * @param owner the binary name of the class
     * @param name the method's name
     * @param descriptor the method's descriptor
     */
    record Target(String owner, String name, String descriptor) {}

    private LambdaBody(Map<String, Target> found, String key) {
        super(Opcodes.ASM9);
        this.found = found;
        this.key = key;
    }

    /** What a lambda ends with; null if that is a call on an object, or cannot be read. */
    static @Nullable Target target(Class<?> owner, String method, String descriptor) {
        return TARGETS.get(owner).get(method + descriptor);
    }

    private static Map<String, Target> read(Class<?> owner) {
        Map<String, Target> found = new HashMap<>();
        // A class whose file cannot be read has no lambda that is known to end so; it is run to learn what it calls.
        return ClassFiles.visit(owner, new Lambdas(found), ClassReader.SKIP_DEBUG | ClassReader.SKIP_FRAMES)
                ? found
                : Map.of();
    }

    /** Looks at the methods that the compiler wrote for lambdas. */
    private static final class Lambdas extends ClassVisitor {

        private final Map<String, Target> found;

        Lambdas(Map<String, Target> found) {
            super(Opcodes.ASM9);
            this.found = found;
        }

        @Override
        public @Nullable MethodVisitor visitMethod(
                int access, String name, String type, String signature, String[] exceptions) {
            return (access & Opcodes.ACC_SYNTHETIC) == 0 ? null : new LambdaBody(found, name + type);
        }
    }

    @Override
    public void visitMethodInsn(int opcode, String owner, String name, String descriptor, boolean ofInterface) {
        boolean boxing = opcode == Opcodes.INVOKESTATIC && name.equals("valueOf") && owner.startsWith("java/lang/")
                || opcode == Opcodes.INVOKEVIRTUAL && name.endsWith("Value") && owner.startsWith("java/lang/");
        if (!boxing) {
            boolean direct = opcode == Opcodes.INVOKESTATIC || name.equals("<init>");
            last = direct ? new Target(owner.replace('/', '.'), name, descriptor) : null;
        }
    }

    @Override
    public void visitInvokeDynamicInsn(String name, String descriptor, Handle bootstrap, Object... arguments) {
        last = null;
    }

    @Override
    public void visitJumpInsn(int opcode, Label label) {
        branches = true;
    }

    @Override
    public void visitEnd() {
        if (last != null && !branches) {
            found.put(key, last);
        }
    }
}
