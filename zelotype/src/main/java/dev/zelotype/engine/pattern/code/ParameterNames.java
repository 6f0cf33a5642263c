package dev.zelotype.engine.pattern.code;

import dev.zelotype.engine.weave.ClassFile;
import dev.zelotype.engine.weave.CodeOfLoaded;
import java.lang.reflect.Modifier;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * The names of a lambda's parameters in its source, read from the debugging tables of its class file.
 */
public final class ParameterNames {

    private ParameterNames() {}

    public static String[] ofLambda(Class<?> owner, String method, String descriptor, int captured, int count) {
        String[] names = new String[count];
        for (int i = 0; i < count; i++) {
            names[i] = "parameter " + (i + 1);
        }
        // The names only make messages friendlier; without the class file, parameters are numbered.
        if (!ClassFile.visit(owner, reader(method, descriptor, captured, names), ClassReader.SKIP_FRAMES)) {
            byte[] code = CodeOfLoaded.of(owner);
            if (code != null) {
                new ClassReader(code).accept(reader(method, descriptor, captured, names), ClassReader.SKIP_FRAMES);
            }
        }
        return names;
    }

    private static ClassVisitor reader(String method, String descriptor, int captured, String[] names) {
        return new ClassVisitor(Opcodes.ASM9) {
            @Override
            public @Nullable MethodVisitor visitMethod(
                    int access, String name, String type, String signature, String[] exceptions) {
                if (!name.equals(method) || !type.equals(descriptor)) {
                    return null;
                }
                int[] slots = slots(type, captured - (Modifier.isStatic(access) ? 0 : 1), access, names.length);
                return new MethodVisitor(Opcodes.ASM9) {
                    @Override
                    public void visitLocalVariable(
                            String variable, String variableType, String generic, Label start, Label end, int index) {
                        for (int i = 0; i < slots.length; i++) {
                            if (slots[i] == index) {
                                names[i] = variable;
                            }
                        }
                    }
                };
            }
        };
    }

    /** The local variables of the parameters after the captured ones. */
    private static int[] slots(String descriptor, int skipped, int access, int count) {
        Type[] types = Type.getArgumentTypes(descriptor);
        int[] slots = new int[count];
        int slot = Modifier.isStatic(access) ? 0 : 1;
        for (int i = 0; i < types.length; i++) {
            if (i >= skipped && i - skipped < count) {
                slots[i - skipped] = slot;
            }
            slot += types[i].getSize();
        }
        return slots;
    }
}
