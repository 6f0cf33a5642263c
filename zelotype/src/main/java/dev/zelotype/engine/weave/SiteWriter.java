package dev.zelotype.engine.weave;

import static org.objectweb.asm.Opcodes.ASTORE;
import static org.objectweb.asm.Opcodes.DUP;
import static org.objectweb.asm.Opcodes.H_INVOKESTATIC;
import static org.objectweb.asm.Opcodes.H_NEWINVOKESPECIAL;
import static org.objectweb.asm.Opcodes.ILOAD;
import static org.objectweb.asm.Opcodes.INVOKESPECIAL;
import static org.objectweb.asm.Opcodes.INVOKESTATIC;
import static org.objectweb.asm.Opcodes.ISTORE;
import static org.objectweb.asm.Opcodes.NEW;
import static org.objectweb.asm.Opcodes.POP;
import static org.objectweb.asm.Opcodes.POP2;
import static org.objectweb.asm.Opcodes.SWAP;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Replaces the calls of some static methods and constructors in a class, including method references, by calls that are
 * linked through the gate. Everything else is unchanged.
 */
final class SiteWriter extends ClassVisitor {

    /** The strings passed to the gate about a call, in addition to its class and method. */
    static final String STATIC = "static";

    static final String NEW_OBJECT = "new";
    static final String REFERENCE = "reference";

    /** For an object in a position where no Java compiler puts it. */
    private static final int SOMEWHERE = -1;

    private static final int INVOKEDYNAMIC_SINCE = Opcodes.V1_7;

    private final String gate;
    private final Sites sites;
    private final Map<String, Integer> locals = new HashMap<>();

    private SiteWriter(ClassVisitor out, String gate, Sites sites) {
        super(Opcodes.ASM9, out);
        this.gate = gate;
        this.sites = sites;
    }

    static byte[] weave(byte[] code, String gate, Sites sites) {
        ClassReader in = new ClassReader(code);
        boolean old = in.readUnsignedShort(6) < Opcodes.V1_6;
        ClassWriter out = old ? new OldClassWriter() : new ClassWriter(in, ClassWriter.COMPUTE_MAXS);
        SiteWriter writer = new SiteWriter(out, gate, sites);
        in.accept(writer.localsReader(), ClassReader.SKIP_DEBUG | ClassReader.SKIP_FRAMES);
        in.accept(NamedSource.of(code, writer), old ? ClassReader.SKIP_FRAMES : 0);
        return out.toByteArray();
    }

    /** Adds frames to older class files, because the linked call requires a newer class file version. */
    private static final class OldClassWriter extends ClassWriter {

        OldClassWriter() {
            super(ClassWriter.COMPUTE_FRAMES);
        }

        @Override
        protected String getCommonSuperClass(String first, String second) {
            return "java/lang/Object";
        }
    }

    /** Determines how many local variables each method has, so that arguments can be stored after them. */
    private ClassVisitor localsReader() {
        return new ClassVisitor(Opcodes.ASM9) {
            @Override
            public MethodVisitor visitMethod(
                    int access, String name, String descriptor, String signature, String[] exceptions) {
                return new MethodVisitor(Opcodes.ASM9) {
                    @Override
                    public void visitMaxs(int stack, int most) {
                        locals.put(name + descriptor, most);
                    }
                };
            }
        };
    }

    @Override
    public void visit(int version, int access, String name, String signature, String parent, String[] interfaces) {
        int major = version & 0xffff;
        super.visit(
                major < INVOKEDYNAMIC_SINCE ? INVOKEDYNAMIC_SINCE : version,
                access,
                name,
                signature,
                parent,
                interfaces);
    }

    @Override
    public MethodVisitor visitMethod(
            int access, String name, String descriptor, String signature, String[] exceptions) {
        MethodVisitor out = super.visitMethod(access, name, descriptor, signature, exceptions);
        return new Calls(out, name, locals.getOrDefault(name + descriptor, 0));
    }

    private Handle link() {
        return new Handle(H_INVOKESTATIC, gate, Gate.LINK, Gate.LINK_TYPE, false);
    }

    /** An object whose constructor has not been called yet. */
    private static final class Begun {
        final String type;
        /** How often it is on the stack before its constructor takes it: once more than the code keeps it. */
        int copies = 1;

        Begun(String type) {
            this.type = type;
        }
    }

    private final class Calls extends MethodVisitor {

        private final String caller;
        private final int firstFree;
        private final Deque<Begun> begun = new ArrayDeque<>();
        private boolean justBegun;

        Calls(MethodVisitor out, String caller, int firstFree) {
            super(Opcodes.ASM9, out);
            this.caller = caller;
            this.firstFree = firstFree;
        }

        @Override
        public void visitTypeInsn(int opcode, String type) {
            super.visitTypeInsn(opcode, type);
            justBegun = opcode == NEW;
            if (justBegun) {
                begun.push(new Begun(type));
            }
        }

        @Override
        public void visitInsn(int opcode) {
            if (justBegun && opcode == DUP) {
                begun.element().copies = 2;
            } else if (justBegun && opcode > POP2 && opcode <= SWAP) {
                begun.element().copies = SOMEWHERE;
            }
            justBegun = false;
            super.visitInsn(opcode);
        }

        @Override
        public void visitMethodInsn(int opcode, String owner, String name, String descriptor, boolean ofInterface) {
            justBegun = false;
            if (opcode == INVOKESTATIC && sites.mayMean(owner, name, descriptor, ofInterface)) {
                super.visitInvokeDynamicInsn(
                        name,
                        descriptor,
                        link(),
                        STATIC,
                        Type.getObjectType(owner),
                        name,
                        Type.getMethodType(descriptor),
                        caller);
                return;
            }
            boolean completes = opcode == INVOKESPECIAL
                    && name.equals("<init>")
                    && !begun.isEmpty()
                    && begun.element().type.equals(owner);
            int copies = completes ? begun.pop().copies : SOMEWHERE;
            if (copies != SOMEWHERE && sites.mayMean(owner, name, descriptor, false)) {
                make(owner, descriptor, copies);
            } else {
                super.visitMethodInsn(opcode, owner, name, descriptor, ofInterface);
            }
        }

        /** Stores the arguments, drops the new object, and requests another one instead. */
        private void make(String type, String descriptor, int copies) {
            Type[] arguments = Type.getArgumentTypes(descriptor);
            int[] slots = new int[arguments.length];
            int slot = firstFree;
            for (int i = 0; i < arguments.length; i++) {
                slots[i] = slot;
                slot += arguments[i].getSize();
            }
            for (int i = arguments.length - 1; i >= 0; i--) {
                super.visitVarInsn(arguments[i].getOpcode(ISTORE), slots[i]);
            }
            for (int i = 0; i < copies; i++) {
                super.visitInsn(POP);
            }
            for (int i = 0; i < arguments.length; i++) {
                super.visitVarInsn(arguments[i].getOpcode(ILOAD), slots[i]);
            }
            Type made = Type.getObjectType(type);
            super.visitInvokeDynamicInsn(
                    NEW_OBJECT,
                    Type.getMethodDescriptor(made, arguments),
                    link(),
                    NEW_OBJECT,
                    made,
                    "<init>",
                    Type.getMethodType(descriptor),
                    caller);
            if (copies == 1) {
                // The object is not kept.
                super.visitInsn(POP);
            }
        }

        @Override
        public void visitInvokeDynamicInsn(String name, String descriptor, Handle bootstrap, Object... arguments) {
            justBegun = false;
            if (bootstrap.getOwner().startsWith(Gate.PREFIX)
                    && bootstrap.getName().equals(Gate.LINK)) {
                throughOther(name, descriptor, bootstrap, arguments);
                return;
            }
            if (!isReference(bootstrap, arguments)) {
                super.visitInvokeDynamicInsn(name, descriptor, bootstrap, arguments);
                return;
            }
            Object[] more = new Object[arguments.length + 2];
            more[0] = REFERENCE;
            more[1] = caller;
            System.arraycopy(arguments, 0, more, 2, arguments.length);
            super.visitInvokeDynamicInsn(name, descriptor, link(), more);
        }

        /** Whether a function object is created from a method reference of any form to a replaced method. */
        private boolean isReference(Handle bootstrap, Object[] arguments) {
            return bootstrap.getOwner().equals("java/lang/invoke/LambdaMetafactory")
                    && arguments.length > 2
                    && arguments[1] instanceof Handle handle
                    && (handle.getTag() == H_INVOKESTATIC || handle.getTag() == H_NEWINVOKESPECIAL)
                    && sites.mayMean(handle.getOwner(), handle.getName(), handle.getDesc(), handle.isInterface());
        }

        /** A call that another copy of Zelotype has woven: ours decides first, and theirs is the real code for us. */
        private void throughOther(String name, String descriptor, Handle bootstrap, Object[] arguments) {
            boolean ours = !bootstrap.getOwner().equals(gate)
                    && !arguments[0].equals(REFERENCE)
                    && sites.mayMean(
                            ((Type) arguments[1]).getInternalName(),
                            (String) arguments[2],
                            ((Type) arguments[3]).getDescriptor(),
                            false);
            if (!ours) {
                super.visitInvokeDynamicInsn(name, descriptor, bootstrap, arguments);
                return;
            }
            Object[] more = new Object[arguments.length + 1];
            System.arraycopy(arguments, 0, more, 0, arguments.length);
            more[arguments.length] = bootstrap.getOwner();
            super.visitInvokeDynamicInsn(name, descriptor, link(), more);
        }

        @Override
        public void visitIntInsn(int opcode, int operand) {
            justBegun = false;
            super.visitIntInsn(opcode, operand);
        }

        @Override
        public void visitVarInsn(int opcode, int slot) {
            if (justBegun && opcode == ASTORE) {
                begun.element().copies = SOMEWHERE;
            }
            justBegun = false;
            super.visitVarInsn(opcode, slot);
        }

        @Override
        public void visitFieldInsn(int opcode, String owner, String name, String descriptor) {
            justBegun = false;
            super.visitFieldInsn(opcode, owner, name, descriptor);
        }

        @Override
        public void visitJumpInsn(int opcode, Label label) {
            justBegun = false;
            super.visitJumpInsn(opcode, label);
        }

        @Override
        public void visitLdcInsn(Object value) {
            justBegun = false;
            super.visitLdcInsn(value);
        }
    }
}
