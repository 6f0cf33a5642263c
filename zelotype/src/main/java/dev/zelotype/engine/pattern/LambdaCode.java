package dev.zelotype.engine.pattern;

import dev.zelotype.basics.KotlinCode;
import dev.zelotype.engine.pattern.code.MethodCode;
import dev.zelotype.engine.weave.ClassFile;
import dev.zelotype.engine.weave.CodeOfLoaded;
import dev.zelotype.engine.weave.PatternPatch;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Handle;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * The code of the methods that compilers wrote for the lambdas of a class. A class is read once for all its lambdas: its
 * class file as a resource, else, where that is missing or another one, the code that the JVM has loaded.
 */
final class LambdaCode extends ClassVisitor {

    /** What javac adds for the sake of serialization: often the longest method of a class, and none of a lambda. */
    private static final String DESERIALIZE = "$deserializeLambda$";

    private static final ClassValue<LambdaCode> FROM_FILES = new ClassValue<>() {
        @Override
        protected LambdaCode computeValue(Class<?> type) {
            LambdaCode lambdas = new LambdaCode();
            byte[] code = ClassFile.of(type);
            if (code != null) {
                lambdas.read(code);
            }
            return lambdas;
        }
    };

    private static final ClassValue<LambdaCode> FROM_MEMORY = new ClassValue<>() {
        @Override
        protected LambdaCode computeValue(Class<?> type) {
            LambdaCode lambdas = new LambdaCode();
            byte[] code = CodeOfLoaded.of(type);
            if (code != null) {
                lambdas.read(code);
            }
            return lambdas;
        }
    };

    private final Map<String, MethodCode> found = new HashMap<>();
    private final Set<Handle> patterns = new HashSet<>();
    /** Whether the class is written inside a method, as those of Kotlin's lambdas are: any of its methods may be one. */
    private boolean isInMethod;

    private String name = "";
    /** The classes that are written inside it, by their internal names. */
    private final Set<String> within = new HashSet<>();

    private LambdaCode() {
        super(Opcodes.ASM9);
    }

    private void read(byte[] code) {
        try {
            ClassReader file = new ClassReader(code);
            char[] buffer = new char[file.getMaxStringLength()];
            // The constants alone tell; the code that makes the patterns is nearly all there is of most test classes.
            for (int each : PatternPatch.methodsBehind(code)) {
                if (file.readConst(each, buffer) instanceof Handle pattern) {
                    patterns.add(pattern);
                }
            }
            file.accept(this, ClassReader.SKIP_DEBUG | ClassReader.SKIP_FRAMES);
        } catch (IllegalArgumentException e) {
            // A class file of a version that cannot be read is as good as none.
            found.clear();
        }
    }

    /** The code of a lambda's method; null if it is nowhere to be found. */
    static @Nullable MethodCode of(Class<?> owner, String method, String descriptor) {
        MethodCode code = inFile(owner, method, descriptor);
        return code != null ? code : FROM_MEMORY.get(owner).found.get(method + descriptor);
    }

    /** The code of a lambda's method as the class file has it; null if there is none. */
    static @Nullable MethodCode inFile(Class<?> owner, String method, String descriptor) {
        return FROM_FILES.get(owner).found.get(method + descriptor);
    }

    /** The static methods and constructors that the patterns in a class name, as far as its class file tells. */
    static Set<MethodCode.Member> namedBy(Class<?> owner) {
        LambdaCode code = FROM_FILES.get(owner);
        Set<MethodCode.Member> named = new LinkedHashSet<>();
        for (Handle pattern : code.patterns) {
            MethodCode lambda = code.found.get(pattern.getName() + pattern.getDesc());
            boolean direct =
                    pattern.getTag() == Opcodes.H_INVOKESTATIC || pattern.getTag() == Opcodes.H_NEWINVOKESPECIAL;
            MethodCode.Member last = lambda != null
                    ? Tail.lastCall(lambda)
                    : direct
                            ? new MethodCode.Member(
                                    pattern.getOwner(), pattern.getName(), pattern.getDesc(), pattern.isInterface())
                            : null;
            if (last != null) {
                named.add(last);
            }
        }
        if (KotlinCode.isOfKotlin(owner)) {
            code.within.forEach(name -> addNamedBySuspending(owner, name, named));
        }
        return named;
    }

    /** Suspending lambdas of Kotlin are classes of their own within the class. */
    private static void addNamedBySuspending(Class<?> owner, String name, Set<MethodCode.Member> named) {
        Class<?> lambda;
        try {
            lambda = Class.forName(name.replace('/', '.'), false, owner.getClassLoader());
        } catch (ClassNotFoundException | LinkageError e) {
            // What is not there makes no pattern.
            return;
        }
        LambdaCode code = FROM_FILES.get(lambda);
        code.found.forEach((method, body) -> {
            MethodCode.Member last = KotlinCode.isSuspending(method) ? Tail.lastCall(body) : null;
            if (last != null && !last.owner().startsWith("kotlin/")) {
                named.add(last);
            }
        });
    }

    /**
     * Whether a compiler wrote a method for the body of a lambda or for a reference: javac marks such methods, others give
     * them speaking names, or names of two parts to private methods that are not overridden.
     */
    static boolean isOfCompiler(int modifiers, String method) {
        int closed = Opcodes.ACC_PRIVATE | Opcodes.ACC_STATIC | Opcodes.ACC_FINAL;
        return method.startsWith("lambda$")
                || method.contains("$lambda$")
                || method.startsWith("$anonfun$")
                || (modifiers & closed) == closed && method.indexOf('$') > 0;
    }

    @Override
    public void visit(
            int version,
            int access,
            String internalName,
            @Nullable String signature,
            @Nullable String superName,
            String @Nullable [] interfaces) {
        name = internalName;
    }

    @Override
    public void visitInnerClass(String inner, @Nullable String outer, @Nullable String simple, int access) {
        if (inner.startsWith(name + "$")) {
            within.add(inner);
        }
    }

    @Override
    public void visitOuterClass(String owner, @Nullable String name, @Nullable String descriptor) {
        isInMethod = true;
    }

    @Override
    public @Nullable MethodVisitor visitMethod(
            int access, String name, String descriptor, @Nullable String signature, String @Nullable [] exceptions) {
        boolean ofCompiler = (access & Opcodes.ACC_SYNTHETIC) != 0 || isOfCompiler(access, name);
        if (!ofCompiler && !isInMethod || name.equals(DESERIALIZE) || name.startsWith(PatternPatch.ADDED)) {
            return null;
        }
        MethodCode code = new MethodCode((access & Opcodes.ACC_STATIC) != 0);
        found.put(name + descriptor, code);
        return code;
    }
}
