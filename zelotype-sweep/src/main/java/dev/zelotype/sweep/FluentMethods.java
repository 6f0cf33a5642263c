package dev.zelotype.sweep;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.Array;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * How often the default answer of stubs is right for methods that return their own type: whether they return the same
 * object, as builders do, or another one. The majority of implementations decides what is right; a new object, for
 * example a changed copy, counts as either.
 */
final class FluentMethods {

    private final Map<String, List<String>> supertypes = new HashMap<>();
    /**
     * By class, name and parameters: the number of implementations that return themselves, minus those that return
     * something else.
     */
    private final Map<String, Map<String, Integer>> votes = new HashMap<>();

    private final List<String> wrong = new ArrayList<>();
    private int same;
    private int other;

    /** Reads the code of classes, which may implement types of other libraries. */
    void read(List<String> classNames) throws IOException {
        for (String name : classNames) {
            try (InputStream in = ClassLoader.getSystemResourceAsStream(name.replace('.', '/') + ".class")) {
                if (in != null) {
                    new ClassReader(in).accept(new Implementations(), ClassReader.SKIP_DEBUG | ClassReader.SKIP_FRAMES);
                }
            }
        }
    }

    private final class Implementations extends ClassVisitor {

        private String owner = "";

        Implementations() {
            super(Opcodes.ASM9);
        }

        @Override
        public void visit(int version, int access, String name, String signature, String parent, String[] interfaces) {
            owner = name;
            List<String> all = new ArrayList<>(List.of(interfaces));
            if (parent != null) {
                all.add(parent);
            }
            supertypes.put(name, all);
        }

        @Override
        public MethodVisitor visitMethod(
                int access, String name, String descriptor, String signature, String[] thrown) {
            boolean counts = (access & (Opcodes.ACC_STATIC | Opcodes.ACC_ABSTRACT | Opcodes.ACC_SYNTHETIC)) == 0;
            return counts && Type.getReturnType(descriptor).getSort() == Type.OBJECT
                    ? new Returned(name, descriptor)
                    : null;
        }

        /**
         * Determines what is returned: the object itself, or something else that is neither new nor the answer of a
         * delegate.
         */
        private final class Returned extends MethodVisitor {

            private final String name;
            private final String key;
            private boolean itself;
            private boolean open;
            private int ofItself;
            private int ofOthers;

            Returned(String name, String descriptor) {
                super(Opcodes.ASM9);
                this.name = name;
                this.key = name + descriptor.substring(0, descriptor.indexOf(')') + 1);
            }

            @Override
            public void visitVarInsn(int opcode, int slot) {
                itself = opcode == Opcodes.ALOAD && slot == 0;
                open = false;
            }

            @Override
            public void visitMethodInsn(
                    int opcode, String type, String called, String descriptor, boolean ofInterface) {
                itself = false;
                open = called.equals("<init>") || called.equals(name) || type.equals(owner);
            }

            @Override
            public void visitTypeInsn(int opcode, String type) {
                if (opcode != Opcodes.CHECKCAST) {
                    itself = false;
                    open = false;
                }
            }

            @Override
            public void visitFieldInsn(int opcode, String type, String field, String descriptor) {
                itself = false;
                open = false;
            }

            @Override
            public void visitInsn(int opcode) {
                if (opcode == Opcodes.ARETURN) {
                    ofItself += itself ? 1 : 0;
                    ofOthers += itself || open ? 0 : 1;
                }
                itself = false;
                open = false;
            }

            @Override
            public void visitEnd() {
                int vote = ofItself > 0 && ofOthers == 0 ? 1 : ofOthers > 0 && ofItself == 0 ? -1 : 0;
                if (vote != 0) {
                    votes.computeIfAbsent(owner, each -> new HashMap<>()).put(key, vote);
                }
            }
        }
    }

    /** Whether a method counts, based on the code of its implementations. */
    private int vote(String owner, String key, Map<String, Set<String>> subtypes) {
        int sum = 0;
        for (String each : subtypes.getOrDefault(owner, Set.of())) {
            sum += votes.getOrDefault(each, Map.of()).getOrDefault(key, 0);
        }
        return sum;
    }

    private Map<String, Set<String>> subtypes() {
        Map<String, Set<String>> subtypes = new HashMap<>();
        for (String name : supertypes.keySet()) {
            Set<String> above = new HashSet<>();
            addAbove(name, above);
            above.forEach(each ->
                    subtypes.computeIfAbsent(each, key -> new HashSet<>()).add(name));
        }
        return subtypes;
    }

    private void addAbove(String name, Set<String> above) {
        for (String each : supertypes.getOrDefault(name, List.of())) {
            if (above.add(each)) {
                addAbove(each, above);
            }
        }
    }

    /** Calls stubs of some types. */
    void ask(List<String> classNames) {
        Map<String, Set<String>> subtypes = subtypes();
        for (String name : classNames) {
            try {
                Class<?> type = Class.forName(name, false, FluentMethods.class.getClassLoader());
                for (Method method : type.getDeclaredMethods()) {
                    boolean counts = Modifier.isAbstract(method.getModifiers()) && method.getReturnType() == type;
                    int vote = counts ? vote(Type.getInternalName(type), key(method), subtypes) : 0;
                    if (vote != 0) {
                        ask(type, method, vote > 0);
                    }
                }
            } catch (ClassNotFoundException | LinkageError | MisuseException | IllegalAccessException e) {
                // A type that cannot be doubled has no stub that could be wrong.
                continue;
            }
        }
    }

    private static String key(Method method) {
        String descriptor = Type.getMethodDescriptor(method);
        return method.getName() + descriptor.substring(0, descriptor.indexOf(')') + 1);
    }

    private void ask(Class<?> type, Method method, boolean givesItself) throws IllegalAccessException {
        try (Scene scene = Scene.open()) {
            Object stub = scene.the(type);
            Object[] arguments = Arrays.stream(method.getParameterTypes())
                    .map(each -> each.isPrimitive() ? Array.get(Array.newInstance(each, 1), 0) : null)
                    .toArray();
            if (!method.trySetAccessible()) {
                return;
            }
            boolean gave = method.invoke(stub, arguments) == stub;
            same += givesItself ? 1 : 0;
            other += givesItself ? 0 : 1;
            if (gave != givesItself) {
                wrong.add(type.getSimpleName() + "." + method.getName()
                        + (givesItself ? " gives itself" : " leads elsewhere"));
            }
        } catch (InvocationTargetException e) {
            throw new IllegalStateException(method + " threw " + e.getCause(), e.getCause());
        }
    }

    int methods() {
        return same + other;
    }

    int same() {
        return same;
    }

    List<String> wrong() {
        return wrong;
    }
}
