package dev.zelotype.engine.weave;

import static org.objectweb.asm.Opcodes.AASTORE;
import static org.objectweb.asm.Opcodes.ACC_FINAL;
import static org.objectweb.asm.Opcodes.ACC_PUBLIC;
import static org.objectweb.asm.Opcodes.ACC_STATIC;
import static org.objectweb.asm.Opcodes.ACC_SUPER;
import static org.objectweb.asm.Opcodes.ACC_SYNTHETIC;
import static org.objectweb.asm.Opcodes.ACC_VARARGS;
import static org.objectweb.asm.Opcodes.ACC_VOLATILE;
import static org.objectweb.asm.Opcodes.ACONST_NULL;
import static org.objectweb.asm.Opcodes.ALOAD;
import static org.objectweb.asm.Opcodes.ANEWARRAY;
import static org.objectweb.asm.Opcodes.ARETURN;
import static org.objectweb.asm.Opcodes.ASTORE;
import static org.objectweb.asm.Opcodes.ATHROW;
import static org.objectweb.asm.Opcodes.CHECKCAST;
import static org.objectweb.asm.Opcodes.DUP;
import static org.objectweb.asm.Opcodes.F_FULL;
import static org.objectweb.asm.Opcodes.F_SAME;
import static org.objectweb.asm.Opcodes.GETSTATIC;
import static org.objectweb.asm.Opcodes.ICONST_0;
import static org.objectweb.asm.Opcodes.IFEQ;
import static org.objectweb.asm.Opcodes.IFNULL;
import static org.objectweb.asm.Opcodes.INVOKEINTERFACE;
import static org.objectweb.asm.Opcodes.INVOKESTATIC;
import static org.objectweb.asm.Opcodes.POP;
import static org.objectweb.asm.Opcodes.RETURN;
import static org.objectweb.asm.Opcodes.V17;

import java.lang.instrument.Instrumentation;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;

/**
 * The one class that woven code refers to: whether anything is replaced at all, who decides, and who links call sites. It is
 * made in a package of the JDK that every class sees, whatever its loader or module, and knows only JDK types. Each copy of
 * Zelotype in a JVM makes one of its own.
 */
final class Gate {

    static final String PREFIX = "java/lang/ZelotypeGate";
    /** Whether methods that ask themselves have anybody to ask. */
    static final String ACTIVE = "active";

    static final String DECIDER = "decider";
    static final String FUNCTION = "java/util/function/BiFunction";
    static final String FUNCTION_TYPE = "L" + FUNCTION + ";";
    static final String LINK = "link";
    static final String LINK_TYPE = "(Ljava/lang/invoke/MethodHandles$Lookup;Ljava/lang/String;"
            + "Ljava/lang/invoke/MethodType;[Ljava/lang/Object;)Ljava/lang/invoke/CallSite;";

    /** What happens to a task: it is made, runs, has run; a pool is about to run it, and has done so; it is run. */
    static final String BORN = "born";

    static final String ENTER = "enter";
    static final String EXIT = "exit";
    static final String BEFORE = "before";
    static final String AFTER = "after";
    static final String RUN = "run";

    private static final String SITES_ACTIVE = "sitesActive";
    private static final String LINKER = "linker";
    private static final String CARRYING = "carrying";
    private static final String CARRIER = "carrier";
    private static final String APPLY_TYPE = "(Ljava/lang/Object;Ljava/lang/Object;)Ljava/lang/Object;";

    private final String name;
    private final VarHandle active;
    private final VarHandle sitesActive;
    private final VarHandle carrying;
    private final MethodHandle areSitesActive;

    private Gate(MethodHandles.Lookup there, Class<?> gate) throws ReflectiveOperationException {
        this.name = gate.getName().replace('.', '/');
        this.active = there.findStaticVarHandle(gate, ACTIVE, boolean.class);
        this.sitesActive = there.findStaticVarHandle(gate, SITES_ACTIVE, boolean.class);
        this.carrying = there.findStaticVarHandle(gate, CARRYING, boolean.class);
        this.areSitesActive = there.findStaticGetter(gate, SITES_ACTIVE, boolean.class);
    }

    /**
     * Makes the gate.
     *
     * @param decider is handed the number of a method that asks, and the object with the arguments
     * @param linker is handed a lookup, and the name, type and further words of a call
     * @param carrier is handed what happens to a task, and the task
     */
    static Gate open(
            Instrumentation instrumentation,
            BiFunction<Object, Object[], Object> decider,
            BiFunction<Object, Object[], Object> linker,
            BiFunction<Object, Object, Object> carrier) {
        openToUs(instrumentation, Object.class);
        try {
            MethodHandles.Lookup there = MethodHandles.privateLookupIn(Object.class, MethodHandles.lookup());
            Class<?> gate = define(there);
            there.findStaticVarHandle(gate, DECIDER, BiFunction.class).set((BiFunction<?, ?, ?>) decider);
            there.findStaticVarHandle(gate, LINKER, BiFunction.class).set((BiFunction<?, ?, ?>) linker);
            there.findStaticVarHandle(gate, CARRIER, BiFunction.class).set((BiFunction<?, ?, ?>) carrier);
            return new Gate(there, gate);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("This JVM keeps its packages closed even to agents.", e);
        }
    }

    /** Takes the first name that no other copy of Zelotype has taken. */
    private static Class<?> define(MethodHandles.Lookup there) throws IllegalAccessException {
        for (int number = 1; ; number++) {
            String name = PREFIX + number;
            try {
                Class.forName(name.replace('/', '.'), false, null);
            } catch (ClassNotFoundException free) {
                try {
                    return there.defineClass(code(name));
                } catch (LinkageError taken) {
                    // Another copy was faster.
                    continue;
                }
            }
        }
    }

    /** Lets us look into the package of a class. */
    static void openToUs(Instrumentation instrumentation, Class<?> type) {
        Module module = type.getModule();
        Module own = Gate.class.getModule();
        own.addReads(module);
        if (module.isNamed() && !module.isOpen(type.getPackageName(), own)) {
            instrumentation.redefineModule(
                    module, Set.of(), Map.of(), Map.of(type.getPackageName(), Set.of(own)), Set.of(), Map.of());
        }
    }

    /** The class as class files name it. */
    String name() {
        return name;
    }

    /** Lets methods that ask themselves ask, or run as they are. */
    void letMethodsAsk(boolean ask) {
        active.setVolatile(ask);
    }

    /** Lets calls that ask where they stand ask, or run as they are. */
    void letSitesAsk(boolean ask) {
        sitesActive.setVolatile(ask);
    }

    /** Lets tasks take along where they come from, or not. */
    void letTasksCarry(boolean carry) {
        carrying.setVolatile(carry);
    }

    /** A handle {@code () -> boolean} that tells whether calls ask where they stand. */
    MethodHandle areSitesActive() {
        return areSitesActive;
    }

    private static byte[] code(String name) {
        ClassWriter out = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        out.visit(V17, ACC_PUBLIC | ACC_FINAL | ACC_SUPER | ACC_SYNTHETIC, name, null, "java/lang/Object", null);
        for (String flag : new String[] {ACTIVE, SITES_ACTIVE, CARRYING}) {
            out.visitField(ACC_PUBLIC | ACC_STATIC | ACC_VOLATILE, flag, "Z", null, null)
                    .visitEnd();
        }
        for (String function : new String[] {DECIDER, LINKER, CARRIER}) {
            out.visitField(ACC_PUBLIC | ACC_STATIC | ACC_VOLATILE, function, FUNCTION_TYPE, null, null)
                    .visitEnd();
        }
        writeLink(out, name);
        writeTold(out, name, BORN, false);
        writeTold(out, name, BEFORE, false);
        writeTold(out, name, AFTER, false);
        writeTold(out, name, ENTER, true);
        writeExit(out, name);
        writeRun(out, name);
        out.visitEnd();
        return out.toByteArray();
    }

    private static void writeLink(ClassWriter out, String name) {
        MethodVisitor link = out.visitMethod(ACC_PUBLIC | ACC_STATIC | ACC_VARARGS, LINK, LINK_TYPE, null, null);
        link.visitCode();
        link.visitFieldInsn(GETSTATIC, name, LINKER, FUNCTION_TYPE);
        link.visitVarInsn(ALOAD, 0);
        link.visitInsn(ICONST_0 + 3);
        link.visitTypeInsn(ANEWARRAY, "java/lang/Object");
        for (int i = 0; i < 3; i++) {
            link.visitInsn(DUP);
            link.visitInsn(ICONST_0 + i);
            link.visitVarInsn(ALOAD, i + 1);
            link.visitInsn(AASTORE);
        }
        link.visitMethodInsn(INVOKEINTERFACE, FUNCTION, "apply", APPLY_TYPE, true);
        link.visitTypeInsn(CHECKCAST, "java/lang/invoke/CallSite");
        link.visitInsn(ARETURN);
        end(link);
    }

    /** A method that tells the carrier of a task, unless tasks carry nothing; it may give back what the carrier says. */
    private static void writeTold(ClassWriter out, String name, String what, boolean givesBack) {
        String type = givesBack ? "(Ljava/lang/Object;)Ljava/lang/Object;" : "(Ljava/lang/Object;)V";
        MethodVisitor told = out.visitMethod(ACC_PUBLIC | ACC_STATIC, what, type, null, null);
        told.visitCode();
        Label off = new Label();
        told.visitFieldInsn(GETSTATIC, name, CARRYING, "Z");
        told.visitJumpInsn(IFEQ, off);
        tell(told, name, what);
        if (givesBack) {
            told.visitInsn(ARETURN);
        } else {
            told.visitInsn(POP);
        }
        told.visitLabel(off);
        told.visitFrame(F_SAME, 0, null, 0, null);
        if (givesBack) {
            told.visitInsn(ACONST_NULL);
            told.visitInsn(ARETURN);
        } else {
            told.visitInsn(RETURN);
        }
        end(told);
    }

    private static void tell(MethodVisitor code, String name, String what) {
        code.visitFieldInsn(GETSTATIC, name, CARRIER, FUNCTION_TYPE);
        code.visitLdcInsn(what);
        code.visitVarInsn(ALOAD, 0);
        code.visitMethodInsn(INVOKEINTERFACE, FUNCTION, "apply", APPLY_TYPE, true);
    }

    /** Takes what was given when the task was entered; null if nothing was. */
    private static void writeExit(ClassWriter out, String name) {
        MethodVisitor exit = out.visitMethod(ACC_PUBLIC | ACC_STATIC, EXIT, "(Ljava/lang/Object;)V", null, null);
        exit.visitCode();
        Label nothing = new Label();
        exit.visitVarInsn(ALOAD, 0);
        exit.visitJumpInsn(IFNULL, nothing);
        tell(exit, name, EXIT);
        exit.visitInsn(POP);
        exit.visitLabel(nothing);
        exit.visitFrame(F_SAME, 0, null, 0, null);
        exit.visitInsn(RETURN);
        end(exit);
    }

    /** Runs a task between entering and leaving it. */
    private static void writeRun(ClassWriter out, String name) {
        MethodVisitor run = out.visitMethod(ACC_PUBLIC | ACC_STATIC, RUN, "(Ljava/lang/Runnable;)V", null, null);
        run.visitCode();
        Label begin = new Label();
        Label done = new Label();
        Label threw = new Label();
        run.visitTryCatchBlock(begin, done, threw, null);
        run.visitVarInsn(ALOAD, 0);
        run.visitMethodInsn(INVOKESTATIC, name, ENTER, "(Ljava/lang/Object;)Ljava/lang/Object;", false);
        run.visitVarInsn(ASTORE, 1);
        run.visitLabel(begin);
        run.visitVarInsn(ALOAD, 0);
        run.visitMethodInsn(INVOKEINTERFACE, "java/lang/Runnable", "run", "()V", true);
        run.visitLabel(done);
        run.visitVarInsn(ALOAD, 1);
        run.visitMethodInsn(INVOKESTATIC, name, EXIT, "(Ljava/lang/Object;)V", false);
        run.visitInsn(RETURN);
        run.visitLabel(threw);
        run.visitFrame(F_FULL, 2, new Object[] {"java/lang/Runnable", "java/lang/Object"}, 1, new Object[] {
            "java/lang/Throwable"
        });
        run.visitVarInsn(ALOAD, 1);
        run.visitMethodInsn(INVOKESTATIC, name, EXIT, "(Ljava/lang/Object;)V", false);
        run.visitInsn(ATHROW);
        end(run);
    }

    private static void end(MethodVisitor code) {
        code.visitMaxs(0, 0);
        code.visitEnd();
    }
}
