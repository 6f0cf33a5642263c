package dev.zelotype.engine.pattern.code;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * The instructions of one method with their operands, for an interpreter.
 */
public final class MethodCode extends MethodVisitor {

    private final boolean isStatic;
    private final List<Instruction> instructions = new ArrayList<>();

    public MethodCode(boolean isStatic) {
        super(Opcodes.ASM9);
        this.isStatic = isStatic;
    }

    /**
     * One instruction.
     *
     * @param opcode its opcode
     * @param number a local variable, a small constant, a number of dimensions or an element type
     * @param operand a constant, a type's internal name, a member, a label, a switch, or null
     */
    public record Instruction(
            int opcode, int number, @Nullable Object operand) {}

    /** A field or method in an instruction. */
    public record Member(String owner, String name, String descriptor, boolean ofInterface) {

        /**
         * Written by hand, like {@link #equals}: the generated ones of a record are linked at their first use, which
         * takes milliseconds.
         */
        @Override
        public int hashCode() {
            return 31 * (31 * owner.hashCode() + name.hashCode()) + descriptor.hashCode();
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Member member
                    && owner.equals(member.owner)
                    && name.equals(member.name)
                    && descriptor.equals(member.descriptor)
                    && ofInterface == member.ofInterface;
        }
    }

    /** A call whose target is determined by a bootstrap method. */
    public record Dynamic(String name, String descriptor, Handle bootstrap, Object[] arguments) {}

    /** The target of a switch for each key. */
    public record Switch(int[] keys, Label[] labels, Label otherwise) {

        public Label target(int key) {
            for (int i = 0; i < keys.length; i++) {
                if (keys[i] == key) {
                    return labels[i];
                }
            }
            return otherwise;
        }
    }

    public boolean isStatic() {
        return isStatic;
    }

    public int length() {
        return instructions.size();
    }

    public Instruction at(int place) {
        return instructions.get(place);
    }

    public static int placeOf(Label label) {
        return (Integer) label.info;
    }

    private void add(int opcode, int number, @Nullable Object operand) {
        instructions.add(new Instruction(opcode, number, operand));
    }

    @Override
    public void visitLabel(Label label) {
        label.info = instructions.size();
    }

    @Override
    public void visitInsn(int opcode) {
        add(opcode, 0, null);
    }

    @Override
    public void visitIntInsn(int opcode, int operand) {
        add(opcode, operand, null);
    }

    @Override
    public void visitVarInsn(int opcode, int slot) {
        add(opcode, slot, null);
    }

    @Override
    public void visitTypeInsn(int opcode, String type) {
        add(opcode, 0, type);
    }

    @Override
    public void visitFieldInsn(int opcode, String owner, String name, String descriptor) {
        add(opcode, 0, new Member(owner, name, descriptor, false));
    }

    @Override
    public void visitMethodInsn(int opcode, String owner, String name, String descriptor, boolean ofInterface) {
        add(opcode, 0, new Member(owner, name, descriptor, ofInterface));
    }

    @Override
    public void visitInvokeDynamicInsn(String name, String descriptor, Handle bootstrap, Object... arguments) {
        add(Opcodes.INVOKEDYNAMIC, 0, new Dynamic(name, descriptor, bootstrap, arguments));
    }

    @Override
    public void visitJumpInsn(int opcode, Label label) {
        add(opcode, 0, label);
    }

    @Override
    public void visitLdcInsn(Object value) {
        add(Opcodes.LDC, 0, value);
    }

    @Override
    public void visitIincInsn(int slot, int increment) {
        add(Opcodes.IINC, slot, increment);
    }

    @Override
    public void visitTableSwitchInsn(int min, int max, Label otherwise, Label... labels) {
        int[] keys = new int[labels.length];
        for (int i = 0; i < keys.length; i++) {
            keys[i] = min + i;
        }
        add(Opcodes.TABLESWITCH, 0, new Switch(keys, labels, otherwise));
    }

    @Override
    public void visitLookupSwitchInsn(Label otherwise, int[] keys, Label[] labels) {
        add(Opcodes.LOOKUPSWITCH, 0, new Switch(keys, labels, otherwise));
    }

    @Override
    public void visitMultiANewArrayInsn(String descriptor, int dimensions) {
        add(Opcodes.MULTIANEWARRAY, dimensions, descriptor);
    }
}
