package dev.zelotype.engine.weave;

import java.lang.StackWalker.StackFrame;
import java.util.Collection;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * Finds calls that are still to come in methods that run already: the JVM goes on with their old code, whatever is woven.
 */
final class RunningCalls {

    private RunningCalls() {}

    /** A call that the current thread will make in a method it is in by now, such as {@code NightRun.java:12}; or null. */
    static @Nullable String toCome(Collection<Class<?>> callers, Set<Site> sites) {
        return StackWalker.getInstance(StackWalker.Option.RETAIN_CLASS_REFERENCE)
                .walk(frames -> frames.filter(frame -> callers.contains(frame.getDeclaringClass()))
                        .map(frame -> toCome(frame, sites))
                        .filter(line -> line != null)
                        .findFirst()
                        .orElse(null));
    }

    private static @Nullable String toCome(StackFrame frame, Set<Site> sites) {
        byte[] code = ClassFile.of(frame.getDeclaringClass());
        if (code == null) {
            return null;
        }
        int[] found = {0};
        try {
            new ClassReader(code).accept(finder(frame, sites, found), ClassReader.SKIP_FRAMES);
        } catch (RuntimeException e) {
            return null;
        }
        return found[0] == 0 ? null : frame.getFileName() + ":" + found[0];
    }

    private static ClassVisitor finder(StackFrame frame, Set<Site> sites, int[] found) {
        return new ClassVisitor(Opcodes.ASM9) {
            @Override
            public @Nullable MethodVisitor visitMethod(
                    int access, String name, String descriptor, String signature, String[] exceptions) {
                if (!name.equals(frame.getMethodName()) || !descriptor.equals(frame.getDescriptor())) {
                    return null;
                }
                return new MethodVisitor(Opcodes.ASM9) {
                    private int line;

                    @Override
                    public void visitLineNumber(int number, Label start) {
                        line = number;
                    }

                    @Override
                    public void visitMethodInsn(
                            int opcode, String owner, String called, String type, boolean ofInterface) {
                        if (line > frame.getLineNumber()
                                && found[0] == 0
                                && sites.contains(new Site(owner, called, type))) {
                            found[0] = line;
                        }
                    }
                };
            }
        };
    }
}
