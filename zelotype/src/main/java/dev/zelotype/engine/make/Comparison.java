package dev.zelotype.engine.make;

import dev.zelotype.error.MisuseException;
import java.lang.invoke.MethodHandles;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * Makes failed checks errors of opentest4j if that is on the class path, as in every run of the JUnit Platform, so that
 * IDEs show expected and actual. Safe for use from any thread.
 */
public final class Comparison {

    private static final String ERROR = "org/opentest4j/AssertionFailedError";
    private static final String OWN = "dev/zelotype/error/ComparedError";
    private static final String PLAIN = "(Ljava/lang/String;Ljava/lang/Throwable;)V";
    private static final String COMPARING =
            "(Ljava/lang/String;Ljava/lang/Object;Ljava/lang/Object;Ljava/lang/Throwable;)V";

    private Comparison() {}

    static {
        define();
    }

    /**
     * Must be called before the first failure is made or its class is linked. Later it has no effect: failures are
     * plain assertion errors then.
     */
    public static void prepare() {
        // The work is done once, when this class is initialized.
    }

    private static void define() {
        try {
            Class<?> error = Class.forName(ERROR.replace('/', '.'), false, Comparison.class.getClassLoader());
            Comparison.class.getModule().addReads(error.getModule());
            MethodHandles.privateLookupIn(MisuseException.class, MethodHandles.lookup())
                    .defineClass(code());
        } catch (ClassNotFoundException | IllegalAccessException | LinkageError e) {
            // Without opentest4j, or if the class is already loaded, failures are plain assertion errors.
            return;
        }
    }

    private static byte[] code() {
        ClassWriter out = new ClassWriter(0);
        out.visit(Opcodes.V17, Opcodes.ACC_ABSTRACT | Opcodes.ACC_SUPER, OWN, null, ERROR, null);
        MethodVisitor code = out.visitMethod(
                0,
                "<init>",
                "(Ljava/lang/String;Ljava/lang/Throwable;Ljava/lang/String;Ljava/lang/String;)V",
                null,
                null);
        Label plain = new Label();
        code.visitCode();
        code.visitVarInsn(Opcodes.ALOAD, 3);
        code.visitJumpInsn(Opcodes.IFNULL, plain);
        load(code, 0, 1, 3, 4, 2);
        code.visitMethodInsn(Opcodes.INVOKESPECIAL, ERROR, "<init>", COMPARING, false);
        code.visitInsn(Opcodes.RETURN);
        code.visitLabel(plain);
        code.visitFrame(
                Opcodes.F_FULL,
                5,
                new Object[] {
                    Opcodes.UNINITIALIZED_THIS,
                    "java/lang/String",
                    "java/lang/Throwable",
                    "java/lang/String",
                    "java/lang/String"
                },
                0,
                new Object[0]);
        load(code, 0, 1, 2);
        code.visitMethodInsn(Opcodes.INVOKESPECIAL, ERROR, "<init>", PLAIN, false);
        code.visitInsn(Opcodes.RETURN);
        code.visitMaxs(5, 5);
        code.visitEnd();
        out.visitEnd();
        return out.toByteArray();
    }

    private static void load(MethodVisitor code, int... variables) {
        for (int each : variables) {
            code.visitVarInsn(Opcodes.ALOAD, each);
        }
    }
}
