package dev.zelotype.engine.weave;

import dev.zelotype.engine.make.DoubleClass;
import java.lang.StackWalker.StackFrame;
import java.lang.reflect.Method;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Calls whose answers are ignored: another answer could not be noticed.
 */
public final class IgnoredAnswers {

    /**
     * A line with a call, and its method: with the name only, a method of something else on the line could be meant.
     */
    private record Place(String className, int line, DoubleClass doubles, Method method) {}

    private static final Map<Place, Boolean> KNOWN = new ConcurrentHashMap<>();

    private IgnoredAnswers() {}

    /**
     * Whether all calls of this method of doubles on the frame's line ignore the answer, according to the class file.
     */
    public static boolean isDropped(StackFrame caller, DoubleClass doubles, Method method) {
        return KNOWN.computeIfAbsent(
                new Place(caller.getClassName(), caller.getLineNumber(), doubles, method), IgnoredAnswers::read);
    }

    private static boolean read(Place place) {
        ClassLoader own = Thread.currentThread().getContextClassLoader();
        ClassLoader loader = own == null ? ClassLoader.getSystemClassLoader() : own;
        try {
            Finder finder = new Finder(place, loader);
            return ClassFile.visit(Class.forName(place.className(), false, loader), finder, ClassReader.SKIP_FRAMES)
                    && finder.exact.orElse(finder.alike).isDropped();
        } catch (ClassNotFoundException e) {
            // A class generated at run time: its answers count as used.
            return false;
        }
    }

    /** How the answers of some calls are used. */
    private static final class Fates {

        private int dropped;
        private int used;

        void add(boolean isDropped) {
            dropped += isDropped ? 1 : 0;
            used += isDropped ? 0 : 1;
        }

        Fates orElse(Fates others) {
            return dropped + used == 0 ? others : this;
        }

        boolean isDropped() {
            return dropped > 0 && used == 0;
        }
    }

    private static final class Finder extends ClassVisitor {

        private final Place place;
        private final ClassLoader loader;
        /** Calls with exactly the parameter and return types of the method. */
        private final Fates exact = new Fates();
        /** Calls with its name: an inherited method may be compiled with other types than declared. */
        private final Fates alike = new Fates();

        Finder(Place place, ClassLoader loader) {
            super(Opcodes.ASM9);
            this.place = place;
            this.loader = loader;
        }

        @Override
        public MethodVisitor visitMethod(
                int access,
                @Nullable String name,
                @Nullable String descriptor,
                @Nullable String signature,
                String @Nullable [] exceptions) {
            return new Calls();
        }

        /** Those that a call belongs to; null if it calls another method. */
        private @Nullable Fates fatesOf(String owner, String name, String descriptor) {
            Method method = place.method();
            Type[] parameters = Type.getArgumentTypes(descriptor);
            if (!name.equals(method.getName())
                    || parameters.length != method.getParameterCount()
                    || Type.getReturnType(descriptor) == Type.VOID_TYPE
                    || !isRelated(owner)) {
                return null;
            }
            return descriptor.equals(Type.getMethodDescriptor(method)) ? exact : alike;
        }

        /** Whether a call through this type may reach a double of the other. */
        private boolean isRelated(String owner) {
            try {
                return place.doubles()
                        .isReachedThrough(
                                Class.forName(Type.getObjectType(owner).getClassName(), false, loader));
            } catch (ClassNotFoundException | LinkageError e) {
                return false;
            }
        }

        private final class Calls extends MethodVisitor {

            private int current;
            private @Nullable Fates pending;

            Calls() {
                super(Opcodes.ASM9);
            }

            @Override
            public void visitLineNumber(int number, @Nullable Label start) {
                current = number;
            }

            @Override
            public void visitMethodInsn(int opcode, String owner, String name, String descriptor, boolean isInterface) {
                settle(false);
                pending = current == place.line() ? fatesOf(owner, name, descriptor) : null;
            }

            @Override
            public void visitInvokeDynamicInsn(
                    @Nullable String name, @Nullable String descriptor, Handle bootstrap, Object... arguments) {
                settle(false);
                // A method reference that is passed as a void function.
                if (current == place.line() && arguments.length == 3 && arguments[1] instanceof Handle target) {
                    Fates fates = fatesOf(target.getOwner(), target.getName(), target.getDesc());
                    if (fates != null) {
                        fates.add(arguments[0] instanceof Type sam && sam.getReturnType() == Type.VOID_TYPE);
                    }
                }
            }

            @Override
            public void visitTypeInsn(int opcode, @Nullable String type) {
                // A cast of a generic answer precedes its use.
                if (opcode != Opcodes.CHECKCAST) {
                    settle(false);
                }
            }

            @Override
            public void visitInsn(int opcode) {
                settle(opcode == Opcodes.POP || opcode == Opcodes.POP2);
            }

            @Override
            public void visitIntInsn(int opcode, int operand) {
                settle(false);
            }

            @Override
            public void visitLdcInsn(@Nullable Object value) {
                settle(false);
            }

            @Override
            public void visitIincInsn(int variable, int increment) {
                settle(false);
            }

            @Override
            public void visitVarInsn(int opcode, int variable) {
                settle(false);
            }

            @Override
            public void visitJumpInsn(int opcode, @Nullable Label target) {
                settle(false);
            }

            @Override
            public void visitTableSwitchInsn(int min, int max, @Nullable Label other, Label... labels) {
                settle(false);
            }

            @Override
            public void visitLookupSwitchInsn(@Nullable Label other, int[] keys, Label[] labels) {
                settle(false);
            }

            @Override
            public void visitFieldInsn(
                    int opcode, @Nullable String owner, @Nullable String name, @Nullable String descriptor) {
                settle(false);
            }

            @Override
            public void visitEnd() {
                settle(false);
            }

            private void settle(boolean isDropped) {
                if (pending != null) {
                    pending.add(isDropped);
                }
                pending = null;
            }
        }
    }
}
