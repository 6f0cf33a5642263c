package dev.zelotype.engine.make;

import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.Method;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * What methods call that the compiler wrote only to call another one of the same name.
 */
final class BridgeCode {

    private BridgeCode() {}

    /** The descriptor of the method that a bridge calls; null if its class file is not to be found. */
    static @Nullable String descriptorCalledBy(Method bridge) {
        Class<?> type = bridge.getDeclaringClass();
        String file = type.getName().substring(type.getName().lastIndexOf('.') + 1) + ".class";
        try (InputStream in = type.getResourceAsStream(file)) {
            return in == null ? null : read(in.readAllBytes(), bridge.getName(), Type.getMethodDescriptor(bridge));
        } catch (IOException | RuntimeException e) {
            // The first that fits is taken then.
            return null;
        }
    }

    private static @Nullable String read(byte[] code, String name, String descriptor) {
        String[] called = new String[1];
        new ClassReader(code)
                .accept(
                        new ClassVisitor(Opcodes.ASM9) {
                            @Override
                            public @Nullable MethodVisitor visitMethod(
                                    int access, String itsName, String its, String signature, String[] exceptions) {
                                return itsName.equals(name) && its.equals(descriptor) ? new Called(name, called) : null;
                            }
                        },
                        ClassReader.SKIP_DEBUG | ClassReader.SKIP_FRAMES);
        return called[0];
    }

    /** Keeps the descriptor of the last call of a method of the same name. */
    private static final class Called extends MethodVisitor {

        private final String name;
        private final String[] called;

        Called(String name, String[] called) {
            super(Opcodes.ASM9);
            this.name = name;
            this.called = called;
        }

        @Override
        public void visitMethodInsn(int opcode, String owner, String itsName, String its, boolean ofInterface) {
            if (itsName.equals(name)) {
                called[0] = its;
            }
        }
    }
}
