package dev.zelotype.engine.weave;

import dev.zelotype.engine.make.DoubledMethod;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Parameter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.AnnotationVisitor;
import org.objectweb.asm.Attribute;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.TypePath;

/**
 * Preserves the names of parameters when a loaded class is woven: some JVMs omit them from the code that they pass to
 * transformers, and frameworks that inject or read JSON by name would no longer find them.
 */
final class KeptParameters {

    private KeptParameters() {}

    /** The name and access flags of a parameter. */
    private record Named(@Nullable String name, int access) {}

    /**
     * The code of a loaded class with its current parameter names.
     *
     * @return null if nothing is missing
     */
    static byte @Nullable [] in(@Nullable Class<?> type, @Nullable ClassLoader loader, byte[] code) {
        // The JVM omits the attribute, but not the constant with its name.
        if (type == null
                || loader == null
                || !ClassFile.holds(code, "MethodParameters")
                || !namesIn(code).isEmpty()) {
            return null;
        }
        Map<String, List<Named>> names = namesOf(type);
        return names.isEmpty() ? null : with(names, code);
    }

    /** The names according to reflection until the class is changed; else those of the class file. */
    private static Map<String, List<Named>> namesOf(Class<?> type) {
        try {
            Map<String, List<Named>> names = new HashMap<>();
            List<Executable> all = new ArrayList<>(Arrays.asList(type.getDeclaredMethods()));
            all.addAll(Arrays.asList(type.getDeclaredConstructors()));
            for (Executable each : all) {
                if (each.getParameterCount() > 0 && isNamed(each)) {
                    String name = each instanceof Method ? each.getName() : "<init>";
                    names.put(name + DoubledMethod.descriptorOf(each), namesOf(each));
                }
            }
            return names;
        } catch (LinkageError | RuntimeException e) {
            byte[] file = ClassFile.of(type);
            return file == null ? Map.of() : namesIn(file);
        }
    }

    private static boolean isNamed(Executable executable) {
        for (Parameter parameter : executable.getParameters()) {
            if (parameter.isNamePresent()) {
                return true;
            }
        }
        return false;
    }

    private static List<Named> namesOf(Executable executable) {
        List<Named> names = new ArrayList<>();
        for (Parameter parameter : executable.getParameters()) {
            names.add(new Named(parameter.isNamePresent() ? parameter.getName() : null, parameter.getModifiers()));
        }
        return names;
    }

    private static Map<String, List<Named>> namesIn(byte[] file) {
        Map<String, List<Named>> names = new HashMap<>();
        new ClassReader(file)
                .accept(
                        new ClassVisitor(Opcodes.ASM9) {
                            @Override
                            public MethodVisitor visitMethod(
                                    int access, String name, String descriptor, String signature, String[] thrown) {
                                return new MethodVisitor(Opcodes.ASM9) {
                                    @Override
                                    public void visitParameter(String parameter, int flags) {
                                        names.computeIfAbsent(name + descriptor, key -> new ArrayList<>())
                                                .add(new Named(parameter, flags));
                                    }
                                };
                            }
                        },
                        ClassReader.SKIP_CODE);
        return names;
    }

    private static byte[] with(Map<String, List<Named>> names, byte[] code) {
        ClassReader in = new ClassReader(code);
        ClassWriter out = new ClassWriter(in, 0);
        in.accept(
                new ClassVisitor(Opcodes.ASM9, out) {
                    @Override
                    public MethodVisitor visitMethod(
                            int access, String name, String descriptor, String signature, String[] thrown) {
                        MethodVisitor method = super.visitMethod(access, name, descriptor, signature, thrown);
                        List<Named> known = names.get(name + descriptor);
                        return known == null ? method : new Naming(method, known);
                    }
                },
                0);
        return out.toByteArray();
    }

    /** Writes the parameter names first, as class files have them. */
    private static final class Naming extends MethodVisitor {

        private final List<Named> names;
        private boolean named;

        Naming(MethodVisitor out, List<Named> names) {
            super(Opcodes.ASM9, out);
            this.names = names;
        }

        private void name() {
            if (!named) {
                named = true;
                names.forEach(each -> super.visitParameter(each.name(), each.access()));
            }
        }

        @Override
        public AnnotationVisitor visitAnnotationDefault() {
            name();
            return super.visitAnnotationDefault();
        }

        @Override
        public AnnotationVisitor visitAnnotation(String descriptor, boolean visible) {
            name();
            return super.visitAnnotation(descriptor, visible);
        }

        @Override
        public AnnotationVisitor visitTypeAnnotation(int type, TypePath path, String descriptor, boolean visible) {
            name();
            return super.visitTypeAnnotation(type, path, descriptor, visible);
        }

        @Override
        public void visitAnnotableParameterCount(int count, boolean visible) {
            name();
            super.visitAnnotableParameterCount(count, visible);
        }

        @Override
        public AnnotationVisitor visitParameterAnnotation(int parameter, String descriptor, boolean visible) {
            name();
            return super.visitParameterAnnotation(parameter, descriptor, visible);
        }

        @Override
        public void visitAttribute(Attribute attribute) {
            name();
            super.visitAttribute(attribute);
        }

        @Override
        public void visitCode() {
            name();
            super.visitCode();
        }

        @Override
        public void visitEnd() {
            name();
            super.visitEnd();
        }
    }
}
