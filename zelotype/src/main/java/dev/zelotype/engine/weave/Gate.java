package dev.zelotype.engine.weave;

import static org.objectweb.asm.Opcodes.ACC_FINAL;
import static org.objectweb.asm.Opcodes.ACC_PUBLIC;
import static org.objectweb.asm.Opcodes.ACC_STATIC;
import static org.objectweb.asm.Opcodes.ACC_SUPER;
import static org.objectweb.asm.Opcodes.ACC_SYNTHETIC;
import static org.objectweb.asm.Opcodes.ACC_VOLATILE;
import static org.objectweb.asm.Opcodes.V17;

import java.lang.instrument.Instrumentation;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import org.objectweb.asm.ClassWriter;

/**
 * The one class that woven code refers to: whether anything is replaced at all, and who decides. It is made in a package
 * of the JDK that every class sees, whatever its loader or module, and knows only JDK types.
 */
final class Gate {

    static final String NAME = "java/lang/ZelotypeGate";
    static final String ACTIVE = "active";
    static final String DECIDER = "decider";
    static final String DECIDER_TYPE = "Ljava/util/function/BiFunction;";

    private final VarHandle active;

    private Gate(VarHandle active) {
        this.active = active;
    }

    static Gate open(Instrumentation instrumentation, BiFunction<Object, Object[], Object> decider) {
        openToUs(instrumentation, Object.class);
        try {
            MethodHandles.Lookup there = MethodHandles.privateLookupIn(Object.class, MethodHandles.lookup());
            Class<?> gate;
            try {
                gate = Class.forName(NAME.replace('/', '.'), true, null);
            } catch (ClassNotFoundException e) {
                gate = there.defineClass(code());
            }
            there.findStaticVarHandle(gate, DECIDER, BiFunction.class).set((BiFunction<?, ?, ?>) decider);
            return new Gate(there.findStaticVarHandle(gate, ACTIVE, boolean.class));
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("This JVM keeps its packages closed even to agents.", e);
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

    void set(boolean anythingReplaced) {
        active.setVolatile(anythingReplaced);
    }

    private static byte[] code() {
        ClassWriter out = new ClassWriter(0);
        out.visit(V17, ACC_PUBLIC | ACC_FINAL | ACC_SUPER | ACC_SYNTHETIC, NAME, null, "java/lang/Object", null);
        out.visitField(ACC_PUBLIC | ACC_STATIC | ACC_VOLATILE, ACTIVE, "Z", null, null)
                .visitEnd();
        out.visitField(ACC_PUBLIC | ACC_STATIC | ACC_VOLATILE, DECIDER, DECIDER_TYPE, null, null)
                .visitEnd();
        out.visitEnd();
        return out.toByteArray();
    }
}
