package dev.zelotype.engine.pattern;

import dev.zelotype.call.Shape;
import dev.zelotype.engine.pattern.MethodCode.Dynamic;
import dev.zelotype.engine.pattern.MethodCode.Instruction;
import dev.zelotype.engine.pattern.MethodCode.Member;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Handle;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Answers that let a call fail through one of its arguments, such as
 * {@code (time, onFrame, onFailure) -> onFailure.accept(fault)}. The lambda is read, and its arguments are left as they are.
 */
public final class GivenFailure {

    /** By the class of the lambda; empty for one that nobody has looked at. */
    private static final ClassValue<AtomicReference<Boolean>> KNOWN = new ClassValue<>() {
        @Override
        protected AtomicReference<Boolean> computeValue(Class<?> type) {
            return new AtomicReference<>();
        }
    };

    private final Class<?> owner;
    private final Set<String> callbacks = new HashSet<>();
    private final Set<String> read = new HashSet<>();

    private GivenFailure(Class<?> owner) {
        this.owner = owner;
    }

    /** Whether a lambda hands an exception to a parameter that is an interface; false where it cannot be read. */
    public static boolean isIn(Serializable lambda) {
        AtomicReference<Boolean> known = KNOWN.get(lambda.getClass());
        Boolean found = known.get();
        if (found == null) {
            found = read(lambda);
            known.set(found);
        }
        return found;
    }

    private static boolean read(Serializable lambda) {
        try {
            LambdaForm form = LambdaForm.of(lambda);
            GivenFailure reader = new GivenFailure(form.owner());
            for (Class<?> type : form.parameterTypes()) {
                // The real code, which an answer around it is given first, is nobody's callback.
                if (type.isInterface() && !Shape.class.isAssignableFrom(type)) {
                    reader.callbacks.add(Type.getInternalName(type));
                }
            }
            return !reader.callbacks.isEmpty() && reader.isIn(form.methodName(), form.methodDescriptor());
        } catch (RuntimeException | LinkageError e) {
            // An object of a class of the test's own, or code that nobody can read: the call goes on as it would
            // without.
            return false;
        }
    }

    private boolean isIn(String method, String descriptor) {
        MethodCode code = read.add(method + descriptor) ? codeOf(method, descriptor) : null;
        if (code == null) {
            return false;
        }
        Map<Integer, String> locals = new HashMap<>();
        int slot = code.isStatic() ? 0 : 1;
        for (Type type : Type.getArgumentTypes(descriptor)) {
            locals.put(slot, type.getInternalName());
            slot += type.getSize();
        }
        String produced = null;
        for (int place = 0; place < code.length(); place++) {
            Instruction instruction = code.at(place);
            if (instruction.opcode() == Opcodes.ASTORE && produced != null) {
                locals.put(instruction.number(), produced);
            }
            if (isFailing(instruction, produced)) {
                return true;
            }
            produced = produced(instruction, locals);
        }
        return false;
    }

    /** The code of a lambda or of a named method of the class; null if its class file does not have it. */
    private @Nullable MethodCode codeOf(String method, String descriptor) {
        MethodCode lambda = LambdaCode.inFile(owner, method, descriptor);
        if (lambda != null) {
            return lambda;
        }
        List<MethodCode> found = new ArrayList<>();
        ClassVisitor finder = new ClassVisitor(Opcodes.ASM9) {
            @Override
            public @Nullable MethodVisitor visitMethod(
                    int access, String name, String type, @Nullable String generic, String @Nullable [] exceptions) {
                if (!name.equals(method) || !type.equals(descriptor)) {
                    return null;
                }
                found.add(new MethodCode((access & Opcodes.ACC_STATIC) != 0));
                return found.get(0);
            }
        };
        ClassFiles.visit(owner, finder, ClassReader.SKIP_DEBUG | ClassReader.SKIP_FRAMES);
        return found.isEmpty() ? null : found.get(0);
    }

    /** Whether it calls a callback with a failure as its last argument, or code of the same class does that is run by it. */
    private boolean isFailing(Instruction instruction, @Nullable String last) {
        if (instruction.operand() instanceof Dynamic dynamic) {
            for (Object argument : dynamic.arguments()) {
                if (argument instanceof Handle within
                        && within.getOwner().equals(Type.getInternalName(owner))
                        && isIn(within.getName(), within.getDesc())) {
                    return true;
                }
            }
            return false;
        }
        if (!(instruction.operand() instanceof Member called)
                || called.descriptor().indexOf('(') < 0) {
            return false;
        }
        if (instruction.opcode() == Opcodes.INVOKEINTERFACE && callbacks.contains(called.owner())) {
            return isThrowable(last) || handsOverBefore(called.descriptor());
        }
        return called.owner().equals(Type.getInternalName(owner))
                && takesCallback(called.descriptor())
                && isIn(called.name(), called.descriptor());
    }

    private boolean takesCallback(String descriptor) {
        for (Type type : Type.getArgumentTypes(descriptor)) {
            if (callbacks.contains(type.getInternalName())) {
                return true;
            }
        }
        return false;
    }

    /** Of a failure that is not the last argument, the method itself tells. */
    private boolean handsOverBefore(String descriptor) {
        Type[] types = Type.getArgumentTypes(descriptor);
        for (int i = 0; i < types.length - 1; i++) {
            if (isThrowable(types[i].getInternalName())) {
                return true;
            }
        }
        return false;
    }

    /** The class of what an instruction leaves behind, as far as that is easily told. */
    private static @Nullable String produced(Instruction instruction, Map<Integer, String> locals) {
        return switch (instruction.opcode()) {
            case Opcodes.ALOAD -> locals.get(instruction.number());
            case Opcodes.CHECKCAST -> (String) instruction.operand();
            case Opcodes.GETFIELD, Opcodes.GETSTATIC ->
                Type.getType(((Member) instruction.operand()).descriptor()).getInternalName();
            case Opcodes.INVOKESPECIAL, Opcodes.INVOKEVIRTUAL, Opcodes.INVOKESTATIC, Opcodes.INVOKEINTERFACE -> {
                Member called = (Member) instruction.operand();
                yield called.name().equals("<init>")
                        ? called.owner()
                        : Type.getReturnType(called.descriptor()).getInternalName();
            }
            default -> null;
        };
    }

    private boolean isThrowable(@Nullable String internalName) {
        if (internalName == null || internalName.length() < 2) {
            return false;
        }
        try {
            return Throwable.class.isAssignableFrom(new RealCode(owner).type(internalName));
        } catch (MisuseException | LinkageError e) {
            return false;
        }
    }
}
