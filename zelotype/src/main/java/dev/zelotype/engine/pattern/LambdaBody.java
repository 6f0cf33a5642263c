package dev.zelotype.engine.pattern;

import java.io.IOException;
import java.io.InputStream;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * Whether the last thing that a lambda does is to call a static method or a constructor, read from its class file so that
 * the lambda need not be run.
 */
final class LambdaBody extends MethodVisitor {

    private @Nullable Target last;
    private boolean branches;

    /**
     * The static method or constructor that a lambda ends with.
     *
     * @param owner the binary name of the class
     * @param name the method's name
     * @param descriptor the method's descriptor
     */
    record Target(String owner, String name, String descriptor) {}

    private LambdaBody() {
        super(Opcodes.ASM9);
    }

    /** Reads a lambda's body; null if it ends with a call on an object, or cannot be read. */
    static @Nullable Target target(Class<?> owner, String method, String descriptor) {
        LambdaBody body = new LambdaBody();
        String file = owner.getName().substring(owner.getName().lastIndexOf('.') + 1) + ".class";
        try (InputStream in = owner.getResourceAsStream(file)) {
            if (in == null) {
                return null;
            }
            new ClassReader(in.readAllBytes())
                    .accept(
                            new ClassVisitor(Opcodes.ASM9) {
                                @Override
                                public @Nullable MethodVisitor visitMethod(
                                        int access, String name, String type, String signature, String[] exceptions) {
                                    return name.equals(method) && type.equals(descriptor) ? body : null;
                                }
                            },
                            ClassReader.SKIP_DEBUG | ClassReader.SKIP_FRAMES);
        } catch (IOException | IllegalArgumentException e) {
            return null;
        }
        return body.branches ? null : body.last;
    }

    @Override
    public void visitMethodInsn(int opcode, String owner, String name, String descriptor, boolean ofInterface) {
        boolean boxing = opcode == Opcodes.INVOKESTATIC && name.equals("valueOf") && owner.startsWith("java/lang/")
                || opcode == Opcodes.INVOKEVIRTUAL && name.endsWith("Value") && owner.startsWith("java/lang/");
        if (boxing) {
            return;
        }
        boolean direct = opcode == Opcodes.INVOKESTATIC || name.equals("<init>");
        last = direct ? new Target(owner.replace('/', '.'), name, descriptor) : null;
    }

    @Override
    public void visitInvokeDynamicInsn(String name, String descriptor, Handle bootstrap, Object... arguments) {
        last = null;
    }

    @Override
    public void visitJumpInsn(int opcode, Label label) {
        branches = true;
    }
}
