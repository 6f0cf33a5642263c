package dev.zelotype.engine.weave;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.engine.make.Boxing;
import dev.zelotype.error.MisuseException;
import java.io.IOException;
import java.io.InputStream;
import java.lang.instrument.ClassFileTransformer;
import java.lang.instrument.Instrumentation;
import java.lang.instrument.UnmodifiableClassException;
import java.security.ProtectionDomain;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Passes the results of calls in some classes to a listener, before those classes receive them.
 */
public final class Results implements ClassFileTransformer {

    private static final Set<String> WANTED = ConcurrentHashMap.newKeySet();

    private static final String OWN_NAME = Type.getInternalName(Results.class);

    private static volatile @Nullable Taker taker;

    /** Receives a result on the thread of the call. */
    public interface Taker {
        /**
         * Handles the result of a call.
         *
         * @param result the result; null for void
         * @param owner the binary name of the class in the calling code
         * @param method the method's name
         * @param descriptor the method's descriptor
         * @return the result for the calling code
         */
        @Nullable
        Object take(@Nullable Object result, String owner, String method, String descriptor);
    }

    private Results() {}

    /**
     * Starts to pass results.
     *
     * @param given sees them
     * @throws MisuseException if this JVM allows no agent
     */
    public static void show(Taker given) {
        Attachment.instrumentation().addTransformer(new Results(), true);
        taker = given;
    }

    /**
     * From now on passes the results of calls that a class and its nested classes make.
     *
     * @param name the binary name of a top-level class; nothing happens if results are not passed
     */
    public static void in(String name) {
        if (taker == null || !WANTED.add(name)) {
            return;
        }
        Instrumentation instrumentation = Attachment.instrumentation();
        for (Class<?> type : instrumentation.getAllLoadedClasses()) {
            if (type.getName().startsWith(name)
                    && CodeOwner.outermost(type.getName()).equals(name)
                    && !type.isHidden()) {
                try {
                    instrumentation.retransformClasses(type);
                } catch (UnmodifiableClassException | LinkageError e) {
                    // A class that cannot be woven reports nothing, and runs unchanged.
                    continue;
                }
            }
        }
    }

    /** Called by woven classes. */
    public static @Nullable Object pass(@Nullable Object result, String owner, String method, String descriptor) {
        Taker now = taker;
        return now == null ? result : now.take(result, owner, method, descriptor);
    }

    @Override
    public byte @Nullable [] transform(
            @Nullable ClassLoader loader,
            @Nullable String className,
            @Nullable Class<?> type,
            ProtectionDomain domain,
            byte[] code) {
        if (loader == null || className == null || !WANTED.contains(CodeOwner.outermost(className.replace('/', '.')))) {
            return null;
        }
        ClassReader in = new ClassReader(code);
        ClassWriter out = new ClassWriter(in, ClassWriter.COMPUTE_MAXS);
        in.accept(new OfClass(out, className, loader), 0);
        return out.toByteArray();
    }

    private static final class OfClass extends ClassVisitor {

        private final String own;
        private final ClassLoader loader;

        OfClass(ClassVisitor out, String own, ClassLoader loader) {
            super(Opcodes.ASM9, out);
            this.own = own;
            this.loader = loader;
        }

        @Override
        public MethodVisitor visitMethod(
                int access, String method, String descriptor, String signature, String[] exceptions) {
            return new OfMethod(super.visitMethod(access, method, descriptor, signature, exceptions));
        }

        private final class OfMethod extends MethodVisitor {

            OfMethod(MethodVisitor out) {
                super(Opcodes.ASM9, out);
            }

            @Override
            public void visitMethodInsn(int opcode, String owner, String name, String descriptor, boolean ofInterface) {
                super.visitMethodInsn(opcode, owner, name, descriptor, ofInterface);
                Type given = Type.getReturnType(descriptor);
                boolean nothing = given.getSort() == Type.VOID;
                boolean shown = opcode != Opcodes.INVOKESPECIAL
                        && !owner.startsWith("[")
                        && !owner.equals(own)
                        && Weaver.isUsers(owner.replace('/', '.'))
                        && (nothing || mayName(given));
                if (shown) {
                    if (nothing) {
                        visitInsn(Opcodes.ACONST_NULL);
                    } else {
                        Boxing.box(mv, given);
                    }
                    visitLdcInsn(owner.replace('/', '.'));
                    visitLdcInsn(name);
                    visitLdcInsn(descriptor);
                    super.visitMethodInsn(
                            Opcodes.INVOKESTATIC,
                            OWN_NAME,
                            "pass",
                            "(Ljava/lang/Object;Ljava/lang/String;Ljava/lang/String;Ljava/lang/String;)Ljava/lang/Object;",
                            false);
                    if (nothing) {
                        visitInsn(Opcodes.POP);
                    } else {
                        Boxing.unbox(mv, given);
                    }
                }
            }
        }

        /**
         * Code may pass on values of types that it cannot name; a value that is passed to a listener must be cast
         * afterwards.
         */
        private boolean mayName(Type given) {
            Type element = given.getSort() == Type.ARRAY ? given.getElementType() : given;
            String name = element.getSort() == Type.OBJECT ? element.getInternalName() : own;
            if (packageOf(name).equals(packageOf(own)) || CodeOwner.isOfJdk(element.getClassName())) {
                return true;
            }
            try (InputStream code = loader.getResourceAsStream(name + ".class")) {
                return code != null && (new ClassReader(code).getAccess() & Opcodes.ACC_PUBLIC) != 0;
            } catch (IOException e) {
                // An unreadable class is left alone.
                return false;
            }
        }

        private static String packageOf(String name) {
            return name.substring(0, name.lastIndexOf('/') + 1);
        }
    }
}
