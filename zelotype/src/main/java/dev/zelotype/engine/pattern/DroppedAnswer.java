package dev.zelotype.engine.pattern;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Answers that the calling code throws away at once: another one could not be noticed by anybody.
 */
public final class DroppedAnswer {

    private static final Map<String, Boolean> KNOWN = new ConcurrentHashMap<>();

    private DroppedAnswer() {}

    /** Whether all calls of this method on this line drop the answer. Read from the class file as it was compiled. */
    public static boolean isDropped(String className, int line, String method) {
        return KNOWN.computeIfAbsent(className + ":" + line + " " + method, key -> read(className, line, method));
    }

    private static boolean read(String className, int line, String method) {
        ClassLoader loader = Thread.currentThread().getContextClassLoader();
        try {
            Class<?> caller =
                    Class.forName(className, false, loader == null ? ClassLoader.getSystemClassLoader() : loader);
            Finder finder = new Finder(line, method);
            return ClassFiles.visit(caller, finder, ClassReader.SKIP_FRAMES) && finder.dropped > 0 && finder.used == 0;
        } catch (ClassNotFoundException e) {
            // A class made while the tests run: its answers count as used.
            return false;
        }
    }

    private static final class Finder extends ClassVisitor {

        private final int line;
        private final String method;
        private int dropped;
        private int used;

        Finder(int line, String method) {
            super(Opcodes.ASM9);
            this.line = line;
            this.method = method;
        }

        @Override
        public MethodVisitor visitMethod(
                int access,
                @Nullable String name,
                @Nullable String descriptor,
                @Nullable String signature,
                String @Nullable [] exceptions) {
            return new Calls();
        }

        private final class Calls extends MethodVisitor {

            private int current;
            private boolean pending;

            Calls() {
                super(Opcodes.ASM9);
            }

            @Override
            public void visitLineNumber(int number, @Nullable Label start) {
                current = number;
            }

            @Override
            public void visitMethodInsn(
                    int opcode, @Nullable String owner, String name, String descriptor, boolean isInterface) {
                settle(false);
                pending = current == line && name.equals(method) && !descriptor.endsWith(")V");
            }

            @Override
            public void visitInvokeDynamicInsn(
                    @Nullable String name, @Nullable String descriptor, Handle bootstrap, Object... arguments) {
                settle(false);
                // A method reference that is handed over as something that gives nothing.
                boolean isReference = arguments.length == 3
                        && arguments[1] instanceof Handle target
                        && current == line
                        && target.getName().equals(method)
                        && !target.getDesc().endsWith(")V");
                if (isReference) {
                    boolean nothing = arguments[0] instanceof Type sam && sam.getReturnType() == Type.VOID_TYPE;
                    dropped += nothing ? 1 : 0;
                    used += nothing ? 0 : 1;
                }
            }

            @Override
            public void visitTypeInsn(int opcode, @Nullable String type) {
                // A cast of a generic answer comes before it is used or dropped.
                if (opcode != Opcodes.CHECKCAST) {
                    settle(false);
                }
            }

            @Override
            public void visitInsn(int opcode) {
                settle(opcode == Opcodes.POP || opcode == Opcodes.POP2);
            }

            @Override
            public void visitVarInsn(int opcode, int variable) {
                settle(false);
            }

            @Override
            public void visitJumpInsn(int opcode, @Nullable Label target) {
                settle(false);
            }

            @Override
            public void visitFieldInsn(
                    int opcode, @Nullable String owner, @Nullable String name, @Nullable String descriptor) {
                settle(false);
            }

            @Override
            public void visitEnd() {
                settle(false);
            }

            private void settle(boolean isDropped) {
                if (pending) {
                    dropped += isDropped ? 1 : 0;
                    used += isDropped ? 0 : 1;
                }
                pending = false;
            }
        }
    }
}
