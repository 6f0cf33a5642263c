package dev.zelotype.engine.pattern.code;

import dev.zelotype.engine.make.Members;
import dev.zelotype.engine.weave.ClassFile;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * The variables in scope at the end of a method, with their types as source: local ones as far as the class file has
 * them, and fields.
 */
public final class Variables {

    private Variables() {}

    /** The variables by name; the nearest of several with the same name. */
    public static Map<String, String> of(Class<?> owner, String method) {
        Map<String, String> found = new LinkedHashMap<>();
        locals(owner, method, found);
        boolean ofInstance = true;
        for (Class<?> around = owner; around != null; around = around.getEnclosingClass()) {
            for (Class<?> each = around; each != null && each != Object.class; each = each.getSuperclass()) {
                fields(each, around, ofInstance, found);
            }
            ofInstance &= !Modifier.isStatic(around.getModifiers());
        }
        return found;
    }

    private static void fields(Class<?> declaring, Class<?> user, boolean ofInstance, Map<String, String> found) {
        for (Field field : Members.fields(declaring)) {
            int modifiers = field.getModifiers();
            boolean seen = declaring == user
                    || Modifier.isPublic(modifiers)
                    || Modifier.isProtected(modifiers)
                    || !Modifier.isPrivate(modifiers) && declaring.getPackage() == user.getPackage();
            if (seen && !field.isSynthetic() && (ofInstance || Modifier.isStatic(modifiers))) {
                found.putIfAbsent(
                        field.getName(), field.getGenericType().getTypeName().replace('$', '.'));
            }
        }
    }

    private static void locals(Class<?> owner, String method, Map<String, String> found) {
        byte[] code = ClassFile.of(owner);
        if (code == null) {
            return;
        }
        new ClassReader(code)
                .accept(
                        new ClassVisitor(Opcodes.ASM9) {
                            @Override
                            public @Nullable MethodVisitor visitMethod(
                                    int access,
                                    String name,
                                    String descriptor,
                                    @Nullable String signature,
                                    String @Nullable [] exceptions) {
                                return name.equals(method) ? new Locals(found) : null;
                            }
                        },
                        ClassReader.SKIP_FRAMES);
    }

    private static final class Locals extends MethodVisitor {

        private final Map<String, String> found;

        Locals(Map<String, String> found) {
            super(Opcodes.ASM9);
            this.found = found;
        }

        @Override
        public void visitLocalVariable(
                String name, String descriptor, @Nullable String signature, Label start, Label end, int index) {
            if (!name.equals("this")) {
                found.putIfAbsent(
                        name,
                        signature == null
                                ? Type.getType(descriptor).getClassName().replace('$', '.')
                                : new SignatureText(signature).text());
            }
        }
    }

    /** Writes the type of a signature as source. */
    private static final class SignatureText {

        private final String signature;
        private int at;

        SignatureText(String signature) {
            this.signature = signature;
        }

        String text() {
            char kind = signature.charAt(at++);
            return switch (kind) {
                case 'T' -> upTo(';');
                case '[' -> text() + "[]";
                case 'L' -> ofClass();
                default -> Type.getType(String.valueOf(kind)).getClassName();
            };
        }

        private String upTo(char end) {
            int from = at;
            at = signature.indexOf(end, from) + 1;
            return signature.substring(from, at - 1);
        }

        private String ofClass() {
            StringBuilder out = new StringBuilder();
            while (true) {
                char next = signature.charAt(at++);
                switch (next) {
                    case ';' -> {
                        return out.toString();
                    }
                    case '<' -> out.append('<').append(arguments()).append('>');
                    case '/', '$' -> out.append('.');
                    default -> out.append(next);
                }
            }
        }

        private String arguments() {
            StringBuilder out = new StringBuilder();
            while (signature.charAt(at) != '>') {
                if (!out.isEmpty()) {
                    out.append(", ");
                }
                switch (signature.charAt(at)) {
                    case '*' -> {
                        at++;
                        out.append('?');
                    }
                    case '+' -> {
                        at++;
                        out.append("? extends ").append(text());
                    }
                    case '-' -> {
                        at++;
                        out.append("? super ").append(text());
                    }
                    default -> out.append(text());
                }
            }
            at++;
            return out.toString();
        }
    }
}
