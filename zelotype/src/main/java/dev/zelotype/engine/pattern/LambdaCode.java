package dev.zelotype.engine.pattern;

import dev.zelotype.engine.weave.CodeOfLoaded;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * The code of the methods that compilers wrote for the lambdas of a class. A class is read once for all its lambdas: its
 * class file as a resource, else, where that is missing or another one, the code that the JVM has loaded.
 */
final class LambdaCode extends ClassVisitor {

    private static final ClassValue<Map<String, MethodCode>> FROM_FILES = new ClassValue<>() {
        @Override
        protected Map<String, MethodCode> computeValue(Class<?> type) {
            LambdaCode lambdas = new LambdaCode();
            ClassFiles.visit(type, lambdas, ClassReader.SKIP_DEBUG | ClassReader.SKIP_FRAMES);
            return lambdas.found;
        }
    };

    private static final ClassValue<Map<String, MethodCode>> FROM_MEMORY = new ClassValue<>() {
        @Override
        protected Map<String, MethodCode> computeValue(Class<?> type) {
            LambdaCode lambdas = new LambdaCode();
            byte[] code = CodeOfLoaded.of(type);
            if (code != null) {
                new ClassReader(code).accept(lambdas, ClassReader.SKIP_DEBUG | ClassReader.SKIP_FRAMES);
            }
            return lambdas.found;
        }
    };

    private final Map<String, MethodCode> found = new HashMap<>();

    private LambdaCode() {
        super(Opcodes.ASM9);
    }

    /** The code of a lambda's method; null if it is nowhere to be found. */
    static @Nullable MethodCode of(Class<?> owner, String method, String descriptor) {
        String key = method + descriptor;
        MethodCode code = FROM_FILES.get(owner).get(key);
        return code != null ? code : FROM_MEMORY.get(owner).get(key);
    }

    /** Whether a method's name is one that compilers give to the methods of lambdas. */
    static boolean isNameOfLambda(String method) {
        return method.startsWith("lambda$") || method.contains("$lambda$") || method.startsWith("$anonfun$");
    }

    @Override
    public @Nullable MethodVisitor visitMethod(
            int access, String name, String descriptor, @Nullable String signature, String @Nullable [] exceptions) {
        if ((access & Opcodes.ACC_SYNTHETIC) == 0 && !isNameOfLambda(name)) {
            return null;
        }
        MethodCode code = new MethodCode((access & Opcodes.ACC_STATIC) != 0);
        found.put(name + descriptor, code);
        return code;
    }
}
