package dev.zelotype.engine.pattern.code;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.engine.make.Members;
import dev.zelotype.engine.weave.ClassFile;
import java.lang.annotation.Annotation;
import java.lang.reflect.Method;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Handle;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * Whether the code of a test calls anything that looks like a check, judged by names: of a test library, or of the
 * test's own helpers.
 */
public final class Checks {

    private static final Pattern CHECKS = Pattern.compile(
            ".*(assert|verif|expect|check|should|must|ensure|fail|approv|satisf|match|require|recorded|compare|throw"
                    + "|await|until|then|eventually|claim|inthisorder|refuse|equal|contains|is(not)?null).*");

    private static final String VERBS = "dev/zelotype/Zelotype";

    private static final ClassValue<Map<String, Set<String>>> CALLS = new ClassValue<>() {
        @Override
        protected Map<String, Set<String>> computeValue(Class<?> type) {
            return calls(type);
        }
    };

    private Checks() {}

    /** False only if it certainly calls none; a class without a class file may do anything. */
    public static boolean areIn(Class<?> owner, String method) {
        Map<String, Set<String>> calls = CALLS.get(owner);
        return calls.get(method) == null || expectsFailure(owner, method) || looks(calls, method);
    }

    /** By method, the names of the methods that it calls; those of the class itself after {@code this}. */
    private static Map<String, Set<String>> calls(Class<?> owner) {
        Map<String, Set<String>> calls = new HashMap<>();
        byte[] code = ClassFile.of(owner);
        if (code == null) {
            return calls;
        }
        String self = owner.getName().replace('.', '/');
        new ClassReader(code)
                .accept(
                        new ClassVisitor(Opcodes.ASM9) {
                            @Override
                            public MethodVisitor visitMethod(
                                    int access,
                                    String name,
                                    String descriptor,
                                    @Nullable String signature,
                                    String @Nullable [] exceptions) {
                                return new Calls(self, calls.computeIfAbsent(name, first -> new HashSet<>()));
                            }
                        },
                        ClassReader.SKIP_FRAMES | ClassReader.SKIP_DEBUG);
        return calls;
    }

    /** Follows calls of methods of the class itself. */
    private static boolean looks(Map<String, Set<String>> calls, String method) {
        Deque<String> open = new ArrayDeque<>(Set.of(method));
        Set<String> seen = new HashSet<>(open);
        while (!open.isEmpty()) {
            for (String each : calls.getOrDefault(open.pop(), Set.of())) {
                String own = each.startsWith("this.") ? each.substring("this.".length()) : "";
                if (calls.containsKey(own) && seen.add(own)) {
                    open.add(own);
                }
                if (CHECKS.matcher(each.toLowerCase(Locale.ROOT)).matches()) {
                    return true;
                }
            }
        }
        return false;
    }

    /** As {@code @Test(expected = ...)} does. */
    private static boolean expectsFailure(Class<?> owner, String method) {
        for (Method each : Members.methods(owner)) {
            for (Annotation annotation : each.getName().equals(method) ? each.getAnnotations() : new Annotation[0]) {
                for (Method said : annotation.annotationType().getDeclaredMethods()) {
                    if (said.getName().startsWith("expected") && !isDefault(said, annotation)) {
                        return true;
                    }
                }
            }
        }
        return false;
    }

    private static boolean isDefault(Method said, Annotation annotation) {
        try {
            return said.trySetAccessible() && Objects.deepEquals(said.invoke(annotation), said.getDefaultValue());
        } catch (ReflectiveOperationException e) {
            // Unreadable code may contain checks.
            return false;
        }
    }

    private static final class Calls extends MethodVisitor {

        private final String self;
        private final Set<String> found;

        Calls(String self, Set<String> found) {
            super(Opcodes.ASM9);
            this.self = self;
            this.found = found;
        }

        private void add(String owner, String name) {
            String type = owner.replace('/', '.');
            // Of Zelotype's own methods only the verbs count: an answer may be set by a stage whose name contains
            // "expected". The JDK checks nothing for a test, and the compiler itself generates calls of
            // Objects.requireNonNull.
            boolean isThrown = name.equals("<init>") && (type.endsWith("Error") || type.endsWith("Exception"));
            if (isThrown) {
                found.add("throw");
            } else if (CodeOwner.isOfJdk(type) || CodeOwner.isOurs(type) && !owner.equals(VERBS)) {
                return;
            }
            // The class around a helper shows nothing: a test may be called DomeChecks.
            String simple = owner.substring(Math.max(owner.lastIndexOf('/'), owner.lastIndexOf('$')) + 1);
            found.add((owner.equals(self) ? "this" : simple) + "." + name);
        }

        @Override
        public void visitMethodInsn(int opcode, String owner, String name, String descriptor, boolean isInterface) {
            add(owner, name);
        }

        @Override
        public void visitInvokeDynamicInsn(String name, String descriptor, Handle bootstrap, Object... arguments) {
            for (Object each : arguments) {
                if (each instanceof Handle handle) {
                    add(handle.getOwner(), handle.getName());
                }
            }
        }
    }
}
