package dev.zelotype.engine.weave;

import static org.objectweb.asm.Opcodes.AASTORE;
import static org.objectweb.asm.Opcodes.ACC_FINAL;
import static org.objectweb.asm.Opcodes.ACC_PUBLIC;
import static org.objectweb.asm.Opcodes.ACC_STATIC;
import static org.objectweb.asm.Opcodes.ACC_SUPER;
import static org.objectweb.asm.Opcodes.ACC_SYNTHETIC;
import static org.objectweb.asm.Opcodes.ACC_VARARGS;
import static org.objectweb.asm.Opcodes.ACC_VOLATILE;
import static org.objectweb.asm.Opcodes.ALOAD;
import static org.objectweb.asm.Opcodes.ANEWARRAY;
import static org.objectweb.asm.Opcodes.ARETURN;
import static org.objectweb.asm.Opcodes.ATHROW;
import static org.objectweb.asm.Opcodes.CHECKCAST;
import static org.objectweb.asm.Opcodes.DUP;
import static org.objectweb.asm.Opcodes.F_SAME;
import static org.objectweb.asm.Opcodes.F_SAME1;
import static org.objectweb.asm.Opcodes.GETSTATIC;
import static org.objectweb.asm.Opcodes.ICONST_0;
import static org.objectweb.asm.Opcodes.IFEQ;
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
 * The only class that woven code refers to: whether anything is replaced at all, who decides, and who links call sites.
 * It is defined in a JDK package that every class can see, whatever its loader or module, and uses only JDK types. Each
 * copy of Zelotype in a JVM makes its own.
 */
final class Gate {

    static final String PREFIX = "java/lang/ZelotypeGate";
    /** Whether woven methods have a target to call. */
    static final String ACTIVE = "active";

    static final String DECIDER = "decider";
    static final String FUNCTION = "java/util/function/BiFunction";
    static final String FUNCTION_TYPE = "L" + FUNCTION + ";";
    static final String LINK = "link";
    static final String LINK_TYPE = "(Ljava/lang/invoke/MethodHandles$Lookup;Ljava/lang/String;"
            + "Ljava/lang/invoke/MethodType;[Ljava/lang/Object;)Ljava/lang/invoke/CallSite;";

    /** Events of a task: created, about to run, finished; or run, between the last two. */
    static final String BORN = "born";

    static final String ENTER = "enter";
    static final String EXIT = "exit";
    static final String RUN = "run";
    static final String TOLD_TYPE = "(Ljava/lang/Object;)V";

    private static final String SITES_ACTIVE = "sitesActive";
    private static final String LINKER = "linker";
    private static final String CARRYING = "carrying";
    private static final String CARRIED = "carried";
    private static final String CARRIER = "carrier";
    private static final String APPLY_TYPE = "(Ljava/lang/Object;Ljava/lang/Object;)Ljava/lang/Object;";

    private final String name;
    private final VarHandle active;
    private final VarHandle sitesActive;
    private final VarHandle carrying;
    private final VarHandle carried;
    private final MethodHandle areSitesActive;

    private Gate(MethodHandles.Lookup there, Class<?> gate) throws ReflectiveOperationException {
        this.name = gate.getName().replace('.', '/');
        this.active = there.findStaticVarHandle(gate, ACTIVE, boolean.class);
        this.sitesActive = there.findStaticVarHandle(gate, SITES_ACTIVE, boolean.class);
        this.carrying = there.findStaticVarHandle(gate, CARRYING, boolean.class);
        this.carried = there.findStaticVarHandle(gate, CARRIED, boolean.class);
        this.areSitesActive = there.findStaticGetter(gate, SITES_ACTIVE, boolean.class);
    }

    /**
     * Makes the gate.
     *
     * @param decider receives the number of a woven method, and the object with the arguments
     * @param linker receives a lookup, and the name, type and further strings of a call
     * @param carrier receives an event, and the task
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

    /** Chooses the first name that no other copy of Zelotype uses. */
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

    /** Gives us access to the package of a class. */
    static void openToUs(Instrumentation instrumentation, Class<?> type) {
        Module module = type.getModule();
        Module own = Gate.class.getModule();
        own.addReads(module);
        if (module.isNamed() && !module.isOpen(type.getPackageName(), own)) {
            instrumentation.redefineModule(
                    module, Set.of(), Map.of(), Map.of(type.getPackageName(), Set.of(own)), Set.of(), Map.of());
        }
    }

    /** The internal name of the class. */
    String name() {
        return name;
    }

    /** Makes woven methods ask, or run their own code. */
    void letMethodsAsk(boolean ask) {
        active.setVolatile(ask);
    }

    /** Makes woven call sites ask, or call their own target. */
    void letSitesAsk(boolean ask) {
        sitesActive.setVolatile(ask);
    }

    /** Makes tasks remember their scene, or not. */
    void letTasksCarry(boolean carry) {
        if (carry) {
            carried.setVolatile(true);
        }
        carrying.setVolatile(carry);
    }

    /** A handle {@code () -> boolean} that returns whether call sites ask. */
    MethodHandle areSitesActive() {
        return areSitesActive;
    }

    private static byte[] code(String name) {
        ClassWriter out = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        out.visit(V17, ACC_PUBLIC | ACC_FINAL | ACC_SUPER | ACC_SYNTHETIC, name, null, "java/lang/Object", null);
        for (String flag : new String[] {ACTIVE, SITES_ACTIVE, CARRYING, CARRIED}) {
            out.visitField(ACC_PUBLIC | ACC_STATIC | ACC_VOLATILE, flag, "Z", null, null)
                    .visitEnd();
        }
        for (String function : new String[] {DECIDER, LINKER, CARRIER}) {
            out.visitField(ACC_PUBLIC | ACC_STATIC | ACC_VOLATILE, function, FUNCTION_TYPE, null, null)
                    .visitEnd();
        }
        writeLink(out, name);
        writeTold(out, name, BORN, CARRYING);
        writeTold(out, name, ENTER, CARRYING);
        // Also if nothing is replaced any more: a thread returns to its previous place.
        writeTold(out, name, EXIT, CARRIED);
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

    /** A method that reports the carrier of a task if a flag is set. */
    private static void writeTold(ClassWriter out, String name, String what, String flag) {
        MethodVisitor told = out.visitMethod(ACC_PUBLIC | ACC_STATIC, what, TOLD_TYPE, null, null);
        told.visitCode();
        Label off = new Label();
        told.visitFieldInsn(GETSTATIC, name, flag, "Z");
        told.visitJumpInsn(IFEQ, off);
        told.visitFieldInsn(GETSTATIC, name, CARRIER, FUNCTION_TYPE);
        told.visitLdcInsn(what);
        told.visitVarInsn(ALOAD, 0);
        told.visitMethodInsn(INVOKEINTERFACE, FUNCTION, "apply", APPLY_TYPE, true);
        told.visitInsn(POP);
        told.visitLabel(off);
        told.visitFrame(F_SAME, 0, null, 0, null);
        told.visitInsn(RETURN);
        end(told);
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
        run.visitMethodInsn(INVOKESTATIC, name, ENTER, TOLD_TYPE, false);
        run.visitLabel(begin);
        run.visitVarInsn(ALOAD, 0);
        run.visitMethodInsn(INVOKEINTERFACE, "java/lang/Runnable", "run", "()V", true);
        run.visitLabel(done);
        run.visitVarInsn(ALOAD, 0);
        run.visitMethodInsn(INVOKESTATIC, name, EXIT, TOLD_TYPE, false);
        run.visitInsn(RETURN);
        run.visitLabel(threw);
        run.visitFrame(F_SAME1, 0, null, 1, new Object[] {"java/lang/Throwable"});
        run.visitVarInsn(ALOAD, 0);
        run.visitMethodInsn(INVOKESTATIC, name, EXIT, TOLD_TYPE, false);
        run.visitInsn(ATHROW);
        end(run);
    }

    private static void end(MethodVisitor code) {
        code.visitMaxs(0, 0);
        code.visitEnd();
    }
}
