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
import static org.objectweb.asm.Opcodes.CHECKCAST;
import static org.objectweb.asm.Opcodes.DUP;
import static org.objectweb.asm.Opcodes.GETSTATIC;
import static org.objectweb.asm.Opcodes.ICONST_0;
import static org.objectweb.asm.Opcodes.INVOKEINTERFACE;
import static org.objectweb.asm.Opcodes.V17;

import java.lang.instrument.Instrumentation;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.MethodVisitor;

/**
 * The one class that woven code refers to: whether anything is replaced at all, who decides, and who links call sites. It is
 * made in a package of the JDK that every class sees, whatever its loader or module, and knows only JDK types. Each copy of
 * Zelotype in a JVM makes one of its own.
 */
final class Gate {

    static final String PREFIX = "java/lang/ZelotypeGate";
    static final String ACTIVE = "active";
    static final String DECIDER = "decider";
    static final String FUNCTION_TYPE = "Ljava/util/function/BiFunction;";
    static final String LINK = "link";
    static final String LINK_TYPE = "(Ljava/lang/invoke/MethodHandles$Lookup;Ljava/lang/String;"
            + "Ljava/lang/invoke/MethodType;[Ljava/lang/Object;)Ljava/lang/invoke/CallSite;";

    private static final String LINKER = "linker";

    private final String name;
    private final VarHandle active;
    private final MethodHandle isActive;

    private Gate(String name, VarHandle active, MethodHandle isActive) {
        this.name = name;
        this.active = active;
        this.isActive = isActive;
    }

    static Gate open(
            Instrumentation instrumentation,
            BiFunction<Object, Object[], Object> decider,
            BiFunction<Object, Object[], Object> linker) {
        openToUs(instrumentation, Object.class);
        try {
            MethodHandles.Lookup there = MethodHandles.privateLookupIn(Object.class, MethodHandles.lookup());
            Class<?> gate = define(there);
            there.findStaticVarHandle(gate, DECIDER, BiFunction.class).set((BiFunction<?, ?, ?>) decider);
            there.findStaticVarHandle(gate, LINKER, BiFunction.class).set((BiFunction<?, ?, ?>) linker);
            return new Gate(
                    gate.getName().replace('.', '/'),
                    there.findStaticVarHandle(gate, ACTIVE, boolean.class),
                    there.findStaticGetter(gate, ACTIVE, boolean.class));
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

    void set(boolean anythingReplaced) {
        active.setVolatile(anythingReplaced);
    }

    /** A handle {@code () -> boolean} that tells whether anything is replaced. */
    MethodHandle isActive() {
        return isActive;
    }

    private static byte[] code(String name) {
        ClassWriter out = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        out.visit(V17, ACC_PUBLIC | ACC_FINAL | ACC_SUPER | ACC_SYNTHETIC, name, null, "java/lang/Object", null);
        out.visitField(ACC_PUBLIC | ACC_STATIC | ACC_VOLATILE, ACTIVE, "Z", null, null)
                .visitEnd();
        out.visitField(ACC_PUBLIC | ACC_STATIC | ACC_VOLATILE, DECIDER, FUNCTION_TYPE, null, null)
                .visitEnd();
        out.visitField(ACC_PUBLIC | ACC_STATIC | ACC_VOLATILE, LINKER, FUNCTION_TYPE, null, null)
                .visitEnd();
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
        link.visitMethodInsn(
                INVOKEINTERFACE,
                "java/util/function/BiFunction",
                "apply",
                "(Ljava/lang/Object;Ljava/lang/Object;)Ljava/lang/Object;",
                true);
        link.visitTypeInsn(CHECKCAST, "java/lang/invoke/CallSite");
        link.visitInsn(ARETURN);
        link.visitMaxs(0, 0);
        link.visitEnd();
        out.visitEnd();
        return out.toByteArray();
    }
}
