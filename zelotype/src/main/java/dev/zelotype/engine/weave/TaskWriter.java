package dev.zelotype.engine.weave;

import static org.objectweb.asm.Opcodes.ALOAD;
import static org.objectweb.asm.Opcodes.ATHROW;
import static org.objectweb.asm.Opcodes.F_FULL;
import static org.objectweb.asm.Opcodes.INVOKESTATIC;
import static org.objectweb.asm.Opcodes.IRETURN;
import static org.objectweb.asm.Opcodes.RETURN;

import java.util.Set;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * Makes the tasks of the JDK's pools and timers notify the gate when they are created and run, so that a task runs in
 * its scene on another thread. Nothing else of these classes is changed.
 */
final class TaskWriter extends ClassVisitor {

    private static final Set<String> CLASSES = Set.of(
            "java.util.concurrent.ForkJoinTask",
            "java.util.concurrent.CompletableFuture$AsyncRun",
            "java.util.concurrent.CompletableFuture$AsyncSupply",
            "java.util.concurrent.CompletableFuture$Completion",
            "java.util.concurrent.FutureTask",
            "java.util.concurrent.ThreadPoolExecutor",
            "java.util.TimerTask",
            "java.util.TimerThread");

    private final String gate;
    private final String className;

    private TaskWriter(ClassWriter out, String gate, String className) {
        super(Opcodes.ASM9, out);
        this.gate = gate;
        this.className = className;
    }

    /** Whether a class of the JDK must be woven, by its binary name. */
    static boolean has(String className) {
        return CLASSES.contains(className);
    }

    static byte[] weave(byte[] code, String gate) {
        ClassReader in = new ClassReader(code);
        // All methods but a few are copied unchanged, and frames remain valid.
        ClassWriter out = new ClassWriter(in, ClassWriter.COMPUTE_MAXS);
        in.accept(new TaskWriter(out, gate, in.getClassName()), 0);
        return out.toByteArray();
    }

    @Override
    public MethodVisitor visitMethod(
            int access, String name, String descriptor, String signature, String[] exceptions) {
        MethodVisitor out = super.visitMethod(access, name, descriptor, signature, exceptions);
        String method = className.substring(className.lastIndexOf('/') + 1) + "." + name;
        return switch (method) {
            case "ForkJoinTask.<init>", "FutureTask.<init>", "TimerTask.<init>" -> new TellsAtItsEnd(out);
            case "ForkJoinTask.doExec",
                    "FutureTask.run",
                    "FutureTask.runAndReset",
                    // Run by executors that do not know fork/join tasks.
                    "CompletableFuture$AsyncRun.run",
                    "CompletableFuture$AsyncSupply.run",
                    "CompletableFuture$Completion.run" -> new TellsAround(out);
            case "ThreadPoolExecutor.execute" -> new TellsAtItsHead(out, Gate.BORN, 1);
            case "ThreadPoolExecutor.beforeExecute" -> new TellsAtItsHead(out, Gate.ENTER, 2);
            case "ThreadPoolExecutor.afterExecute" -> new TellsAtItsHead(out, Gate.EXIT, 1);
            case "ThreadPoolExecutor.runWorker" -> new RunsThroughGate(out, "java/lang/Runnable");
            case "TimerThread.mainLoop" -> new RunsThroughGate(out, "java/util/TimerTask");
            default -> out;
        };
    }

    private void tell(MethodVisitor code, String what, int slot) {
        code.visitVarInsn(ALOAD, slot);
        code.visitMethodInsn(INVOKESTATIC, gate, what, Gate.TOLD_TYPE, false);
    }

    /** A constructor: its object is reported once it is complete. */
    private final class TellsAtItsEnd extends MethodVisitor {

        TellsAtItsEnd(MethodVisitor out) {
            super(Opcodes.ASM9, out);
        }

        @Override
        public void visitInsn(int opcode) {
            if (opcode == RETURN) {
                tell(mv, Gate.BORN, 0);
            }
            super.visitInsn(opcode);
        }
    }

    /** A method that takes a task. */
    private final class TellsAtItsHead extends MethodVisitor {

        private final String what;
        private final int slot;

        TellsAtItsHead(MethodVisitor out, String what, int slot) {
            super(Opcodes.ASM9, out);
            this.what = what;
            this.slot = slot;
        }

        @Override
        public void visitCode() {
            super.visitCode();
            tell(mv, what, slot);
        }
    }

    /**
     * A method without arguments that runs its own object: the task is entered before and left afterwards, whatever
     * happens.
     */
    private final class TellsAround extends MethodVisitor {

        private final Label begin = new Label();
        private final Label end = new Label();

        TellsAround(MethodVisitor out) {
            super(Opcodes.ASM9, out);
        }

        @Override
        public void visitCode() {
            super.visitCode();
            tell(mv, Gate.ENTER, 0);
            super.visitLabel(begin);
        }

        @Override
        public void visitInsn(int opcode) {
            if (opcode >= IRETURN && opcode <= RETURN) {
                tell(mv, Gate.EXIT, 0);
            }
            super.visitInsn(opcode);
        }

        @Override
        public void visitMaxs(int stack, int most) {
            super.visitLabel(end);
            super.visitTryCatchBlock(begin, end, end, null);
            super.visitFrame(F_FULL, 1, new Object[] {className}, 1, new Object[] {"java/lang/Throwable"});
            tell(mv, Gate.EXIT, 0);
            super.visitInsn(ATHROW);
            super.visitMaxs(stack, most);
        }
    }

    /** A loop that runs tasks which do not report themselves. */
    private final class RunsThroughGate extends MethodVisitor {

        private final String type;

        RunsThroughGate(MethodVisitor out, String type) {
            super(Opcodes.ASM9, out);
            this.type = type;
        }

        @Override
        public void visitMethodInsn(int opcode, String owner, String name, String descriptor, boolean ofInterface) {
            if (owner.equals(type) && name.equals("run") && descriptor.equals("()V")) {
                super.visitMethodInsn(INVOKESTATIC, gate, Gate.RUN, "(Ljava/lang/Runnable;)V", false);
            } else {
                super.visitMethodInsn(opcode, owner, name, descriptor, ofInterface);
            }
        }
    }
}
