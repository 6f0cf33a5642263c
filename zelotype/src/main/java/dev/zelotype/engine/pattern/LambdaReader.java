package dev.zelotype.engine.pattern;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.basics.KotlinCode;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.make.Unwrapping;
import dev.zelotype.engine.pattern.Symbols.Asked;
import dev.zelotype.engine.pattern.Symbols.Call;
import dev.zelotype.engine.pattern.Symbols.NewArray;
import dev.zelotype.engine.pattern.Symbols.Parameter;
import dev.zelotype.engine.pattern.Symbols.Result;
import dev.zelotype.engine.pattern.Symbols.Unmade;
import dev.zelotype.engine.pattern.code.MethodCode;
import dev.zelotype.engine.pattern.code.MethodCode.Instruction;
import dev.zelotype.engine.pattern.code.MethodCode.Member;
import dev.zelotype.engine.pattern.code.RealCode;
import dev.zelotype.engine.pattern.code.SideEffects;
import dev.zelotype.engine.pattern.rule.ArgumentRule;
import dev.zelotype.error.MisuseException;
import java.util.Arrays;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Label;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Interprets a lambda's code to find the call that it describes. It executes the instructions like the JVM, with the
 * captured values and with a symbol for each free parameter; the described call is recorded and never made.
 */
final class LambdaReader {

    /** More than any pattern needs; it ends lambdas with an infinite loop. */
    private static final int MOST_STEPS = 100_000;

    private final LambdaForm form;
    private final MethodCode code;
    private final RealCode real;
    private final Operands operands;
    private final Rules rules;
    private final Refused refused;
    private final Frame frame;
    private final @Nullable Object self;
    /** Objects that the pattern has created, which it may change because nothing else can see them. */
    private final Set<Object> alone = Collections.newSetFromMap(new IdentityHashMap<>());

    private @Nullable Call call;
    private int place;

    private LambdaReader(LambdaForm form, MethodCode code) {
        this.form = form;
        this.code = code;
        this.real = new RealCode(form.owner());
        this.refused = new Refused(form);
        this.frame = new Frame(refused);
        this.operands = new Operands(frame, real);
        this.rules = new Rules(real, refused);
        this.self = code.isStatic() ? null : form.captured(0);
        fillLocals();
    }

    /** Interprets a method that the compiler generated between the lambda and the described call. */
    private LambdaReader(
            LambdaReader outer, MethodCode code, @Nullable Object target, Object[] arguments, Type[] types) {
        this.form = outer.form;
        this.code = code;
        this.real = outer.real;
        this.refused = outer.refused;
        this.frame = new Frame(refused);
        this.operands = new Operands(frame, real);
        this.rules = outer.rules;
        this.self = outer.self;
        this.alone.addAll(outer.alone);
        int slot = 0;
        if (!code.isStatic()) {
            frame.store(slot++, target);
        }
        for (int i = 0; i < types.length; i++) {
            frame.store(slot, arguments[i]);
            slot += types[i].getSize();
        }
    }

    /** Continues in a generated method as if its code were inlined. */
    private void within(MethodCode inner, @Nullable Object target, Member method, Type[] types, Object[] arguments) {
        if (call != null) {
            throw refused.goesOn(call, "calls " + method.name());
        }
        call = new LambdaReader(this, inner, target, arguments, types).read();
        Type type = Type.getReturnType(method.descriptor());
        if (type.getSort() != Type.VOID) {
            frame.push(new Result(call, type.getSize() == 2));
        }
    }

    private static boolean isContinuation(@Nullable Object value) {
        return value instanceof Parameter parameter && parameter.number() == Parameter.CONTINUATION;
    }

    /**
     * Returns the last call that a lambda describes, with those it is chained to.
     *
     * @throws MisuseException if there is none or more than one, or the lambda does anything else
     */
    static Call read(LambdaForm form) {
        MethodCode code = LambdaCode.of(form.owner(), form.methodName(), form.methodDescriptor());
        if (code == null) {
            throw new MisuseException(
                    "The code of this pattern cannot be found: " + form.owner().getName()
                            + " has no class file that its class loader finds, and the JVM does not provide its code.",
                    "write it as a method reference, such as weather::humidityAt, and narrow it with with(...) or"
                            + " where(...)");
        }
        return new LambdaReader(form, code).read();
    }

    private void fillLocals() {
        int slot = 0;
        int captured = 0;
        if (!code.isStatic()) {
            frame.store(slot++, form.captured(captured++));
        }
        Class<?>[] free = form.parameterTypes();
        Type[] types = Type.getArgumentTypes(form.methodDescriptor());
        int capturedTypes = form.isObject() ? 0 : types.length - free.length;
        for (int i = 0; i < types.length; i++) {
            if (i - capturedTypes >= free.length) {
                frame.store(slot, continuation(types[i]));
            } else if (i < capturedTypes) {
                frame.store(slot, Frame.onStack(form.captured(captured++), types[i]));
            } else {
                Class<?> type = free[i - capturedTypes];
                boolean primitive = types[i].getSort() < Type.ARRAY;
                frame.store(slot, new Parameter(i - capturedTypes, type, primitive ? real.type(types[i]) : type));
            }
            slot += types[i].getSize();
        }
    }

    private Parameter continuation(Type type) {
        return new Parameter(Parameter.CONTINUATION, real.type(type), real.type(type));
    }

    private Call read() {
        for (int steps = 0; steps < MOST_STEPS; steps++) {
            Instruction instruction = code.at(place++);
            int opcode = instruction.opcode();
            if (opcode >= Opcodes.IRETURN && opcode <= Opcodes.RETURN) {
                return finished(opcode == Opcodes.RETURN ? null : frame.pop(), opcode == Opcodes.RETURN);
            }
            try {
                step(instruction, opcode);
            } catch (MisuseException e) {
                throw e;
            } catch (Throwable e) {
                throw refused.failed(call, e);
            }
        }
        throw refused.other("does not end");
    }

    private Call finished(@Nullable Object value, boolean nothing) {
        if (call == null) {
            throw refused.noCall();
        }
        boolean gives = value instanceof Result result && result.call() == call;
        boolean isVoid = call.descriptor().endsWith(")V") && !call.name().equals("<init>");
        boolean suspends = KotlinCode.isSuspending(real.parameterTypes(call.descriptor()));
        boolean empty = isVoid && value == null || (isVoid || suspends) && KotlinCode.isUnit(value);
        if (!nothing && !gives && !empty) {
            throw refused.goesOn(call, "returns something else");
        }
        return call;
    }

    private void step(Instruction instruction, int opcode) throws Throwable {
        if (frame.moves(instruction) || frame.computes(instruction)) {
            return;
        }
        switch (opcode) {
            case Opcodes.LDC -> frame.push(operands.constant(instruction.operand()));
            case Opcodes.NEW -> frame.push(new Unmade((String) instruction.operand()));
            case Opcodes.CHECKCAST -> cast((String) instruction.operand());
            case Opcodes.INSTANCEOF -> isInstance((String) instruction.operand());
            case Opcodes.NEWARRAY ->
                frame.push(new NewArray(Frame.elementType(instruction.number()), (Integer) frame.popKnown()));
            case Opcodes.ANEWARRAY ->
                frame.push(new NewArray(real.type((String) instruction.operand()), (Integer) frame.popKnown()));
            case Opcodes.MULTIANEWARRAY -> operands.pushGrid((String) instruction.operand(), instruction.number());
            case Opcodes.GETSTATIC -> get((Member) instruction.operand(), null);
            case Opcodes.GETFIELD -> getField((Member) instruction.operand());
            case Opcodes.PUTFIELD -> {
                frame.pop();
                // Values that a suspending lambda stores for its continuation are irrelevant.
                if (!isContinuation(frame.pop())) {
                    throw refused.other("writes into a field");
                }
            }
            case Opcodes.PUTSTATIC -> throw refused.other("writes into a field");
            case Opcodes.IF_ACMPEQ, Opcodes.IF_ACMPNE -> compare(opcode, (Label) instruction.operand());
            case Opcodes.ATHROW -> throw refused.other("throws an exception");
            case Opcodes.MONITORENTER, Opcodes.MONITOREXIT -> throw refused.other("takes a lock");
            case Opcodes.GOTO -> place = MethodCode.placeOf((Label) instruction.operand());
            case Opcodes.TABLESWITCH, Opcodes.LOOKUPSWITCH ->
                place = MethodCode.placeOf(
                        ((MethodCode.Switch) instruction.operand()).target((Integer) frame.popKnown()));
            case Opcodes.INVOKEDYNAMIC -> operands.pushDynamic((MethodCode.Dynamic) instruction.operand());
            default -> {
                if (opcode >= Opcodes.INVOKEVIRTUAL && opcode <= Opcodes.INVOKEINTERFACE) {
                    invoke((Member) instruction.operand(), opcode);
                } else if (instruction.operand() instanceof Label label) {
                    if (isUnknown(frame.peek()) && Tail.isBoxedUnlessNull(code, place - 2)) {
                        allowNull();
                    } else if (frame.jumps(opcode)) {
                        place = MethodCode.placeOf(label);
                    }
                } else {
                    throw refused.other("has code that no compiler writes today");
                }
            }
        }
    }

    /** Whether a value may be null or not. */
    private static boolean isUnknown(@Nullable Object value) {
        return value instanceof Result || value instanceof Parameter;
    }

    /** Continues as if the copy of a value on the stack, which is compared with null, were not null. */
    private void allowNull() {
        frame.pop();
        if (frame.peek() instanceof Parameter parameter) {
            frame.pop();
            frame.push(new Parameter(parameter.number(), parameter.type(), parameter.as(), true));
        }
    }

    private void isInstance(String type) {
        if (isContinuation(frame.peek())) {
            // Not for the class of the lambda's state: it has just started.
            frame.pop();
            frame.push(0);
        } else {
            frame.push(real.type(type).isInstance(frame.popKnown()) ? 1 : 0);
        }
    }

    private void getField(Member field) throws ReflectiveOperationException {
        if (isContinuation(frame.peek())) {
            frame.pop();
            frame.push(field.descriptor().equals("I") ? (Object) 0 : null);
        } else {
            get(field, notNull(frame.popKnown()));
        }
    }

    /** The result of a described call is never Kotlin's suspension mark. */
    private void compare(int opcode, Label label) {
        Object right = frame.pop();
        Object left = frame.pop();
        boolean jumps;
        if (left instanceof Result || right instanceof Result) {
            jumps = opcode == Opcodes.IF_ACMPNE;
        } else {
            frame.push(left);
            frame.push(right);
            jumps = frame.jumps(opcode);
        }
        if (jumps) {
            place = MethodCode.placeOf(label);
        }
    }

    private static Object notNull(@Nullable Object value) {
        if (value == null) {
            throw new NullPointerException();
        }
        return value;
    }

    private void cast(String internalName) {
        Object value = frame.peek();
        if (!Symbols.isSymbol(value) && value != null) {
            real.type(internalName).cast(value);
        } else if (value instanceof NewArray array) {
            real.type(internalName).cast(array.real);
        }
    }

    private void get(Member field, @Nullable Object target) throws ReflectiveOperationException {
        Object value = real.read(field, target);
        if (value instanceof boolean[] && real.isOfCompiler(field)) {
            frame.noteProbes(value);
        }
        frame.push(Frame.onStack(value, Type.getType(field.descriptor())));
    }

    private void invoke(Member method, int opcode) throws Throwable {
        Type[] types = Type.getArgumentTypes(method.descriptor());
        if (opcode == Opcodes.INVOKESTATIC) {
            Object value = types.length == 1 && Frame.isBoxing(method) ? frame.peek() : null;
            if (value instanceof Parameter || value instanceof Result) {
                frame.push(rules.boxed(method, frame.pop()));
            } else {
                invokeStatic(method, types, frame.popAll(types.length));
            }
            return;
        }
        Object[] arguments = frame.popAll(types.length);
        Object target = frame.pop();
        MethodCode own = target != null && target == self && form.isObject() && opcode == Opcodes.INVOKEVIRTUAL
                ? LambdaCode.of(form.owner(), method.name(), method.descriptor())
                : null;
        if (own != null) {
            within(own, target, method, types, arguments);
        } else if (target instanceof Unmade unmade) {
            construct(unmade, method, types, arguments);
        } else if (target instanceof Parameter parameter) {
            if (isUnboxing(parameter, method)) {
                frame.push(new Parameter(
                        parameter.number(),
                        parameter.type(),
                        real.type(Type.getReturnType(method.descriptor())),
                        parameter.orNull()));
            } else if (Frame.isUnboxing(method)) {
                frame.push(rules.unboxed(method, parameter));
            } else {
                onAnyInstance(parameter, method, types, arguments);
            }
        } else if (target instanceof Result result) {
            if (Frame.isUnboxing(method) || method.name().equals("unbox-impl")) {
                frame.push(new Result(
                        result.call(), Type.getReturnType(method.descriptor()).getSize() == 2));
            } else {
                mean(Asked.WHAT_A_CALL_GAVE, null, null, method, types, arguments);
            }
        } else {
            onObject(notNull(frame.knownOrMade(target, real)), method, opcode, types, arguments);
        }
    }

    /** Whether Kotlin unboxes a value class, or a number from any box. */
    private static boolean isUnboxing(Parameter parameter, Member method) {
        return method.name().equals("unbox-impl") && parameter.as() == parameter.type()
                || method.owner().equals("java/lang/Number") && method.name().endsWith("Value");
    }

    private void onObject(Object target, Member method, int opcode, Type[] types, Object[] arguments) throws Throwable {
        PropertyReference property = PropertyReference.of(target, method.name());
        if (property != null && property.target() == PropertyReference.ANY) {
            if (!(arguments.length > 0 && arguments[0] instanceof Parameter parameter)) {
                throw refused.noDouble(method.name(), target);
            }
            onAnyInstance(
                    parameter,
                    property.accessor(),
                    Type.getArgumentTypes(property.accessor().descriptor()),
                    Arrays.copyOfRange(arguments, 1, arguments.length));
            return;
        }
        if (property != null) {
            onObject(
                    property.target(),
                    property.accessor(),
                    Opcodes.INVOKEVIRTUAL,
                    Type.getArgumentTypes(property.accessor().descriptor()),
                    arguments);
            return;
        }
        Participant participant = opcode == Opcodes.INVOKESPECIAL ? null : Unwrapping.participantBehind(target);
        boolean last = Tail.isTail(code, place);
        if (participant != null && (last || !isOfObject(method))) {
            PatternReader.prepareFinal(participant, method.name(), method.descriptor());
            DoubledMethod doubled = participant.doubleClass().find(method.name(), method.descriptor());
            if (doubled != null) {
                mean(Asked.A_DOUBLE, participant, doubled, method, types, arguments);
                return;
            }
            PatternReader.refuseFixed(participant, method.name(), method.descriptor());
        }
        if (last && participant == null && KotlinCode.only(target.getClass()) == target) {
            onOnlyInstance(target, method, types, arguments);
            return;
        }
        if (last || Tail.isLastCall(code, place)) {
            throw refused.noDouble(method.name(), target);
        }
        boolean made = alone.contains(target);
        if (!SideEffects.onlyLooks(form.owner(), target, method.name(), method.descriptor(), self, made)
                || givesNothing(method)) {
            throw CodeOwner.isOfJdk(target.getClass())
                    ? refused.mayChange(real.type(method.owner()), method.name())
                    : refused.realCode(method.name(), target);
        }
        Object value = real.call(method, opcode, target, operands.made(operands.known(arguments, types)));
        if (SideEffects.makesNew(target, made, method.name(), value)) {
            madeAlone(value);
        }
        push(value, method);
    }

    private static boolean isOfObject(Member method) {
        return switch (method.name()) {
            case "toString", "hashCode", "getClass" -> method.descriptor().startsWith("()");
            case "equals" -> method.descriptor().equals("(Ljava/lang/Object;)Z");
            default -> false;
        };
    }

    /** Whether real code need not be run, because it returns nothing or the result is ignored. */
    private boolean givesNothing(Member method) {
        boolean ofCompiler = method.name().equals("getClass") || method.name().equals("requireNonNull");
        int next = code.at(place).opcode();
        return !ofCompiler && (method.descriptor().endsWith(")V") || next == Opcodes.POP || next == Opcodes.POP2);
    }

    private void push(@Nullable Object value, Member method) {
        Type type = Type.getReturnType(method.descriptor());
        if (type.getSort() != Type.VOID) {
            frame.push(Frame.onStack(value, type));
        }
    }

    private void invokeStatic(Member method, Type[] types, Object[] arguments) throws Throwable {
        if (method.owner().equals("kotlin/jvm/internal/Intrinsics")
                && method.name().startsWith("check")) {
            // A null check added by the compiler, which is irrelevant for the call.
            return;
        }
        if (isOfSuspending(method, arguments) || isStep(method, types, arguments)) {
            return;
        }
        if (!Frame.isBoxing(method) && Tail.isTail(code, place)) {
            mean(Asked.A_CLASS, null, null, method, types, arguments);
            return;
        }
        Object[] values = operands.known(arguments, types);
        if (!Frame.isBoxing(method) && (givesNothing(method) || Tail.isLastCall(code, place))) {
            throw refused.staticCode(real.type(method.owner()), method.name());
        }
        Class<?> type = real.type(method.owner());
        if (!SideEffects.onlyLooks(type, method.name())) {
            throw refused.mayChange(type, method.name());
        }
        Object value = real.callStatic(method, operands.made(values));
        if (value instanceof boolean[] && real.isOfCompiler(method)) {
            frame.noteProbes(value);
        } else if (CodeOwner.isOfJdk(type) && SideEffects.makesNew(null, true, method.name(), value)) {
            madeAlone(value);
        }
        push(value, method);
    }

    private void construct(Unmade unmade, Member constructor, Type[] types, Object[] arguments) throws Throwable {
        if (Tail.isTail(code, place) && !KotlinCode.isContinuation(real.type(unmade.type))) {
            mean(Asked.A_CLASS, null, null, constructor, types, arguments);
            frame.pop();
            frame.replace(unmade, new Result(call, false));
            return;
        }
        Class<?> type = real.type(unmade.type);
        if (arguments.length > 0
                && isContinuation(arguments[arguments.length - 1])
                && KotlinCode.isContinuation(type)) {
            frame.replace(unmade, arguments[arguments.length - 1]);
            return;
        }
        Object[] values = operands.known(arguments, types);
        if (Tail.isLastCall(code, place)) {
            throw refused.staticCode(type, "new");
        }
        Object[] real = operands.made(values);
        Object made = this.real.construct(type, constructor.descriptor(), real);
        rules.madeHere(made);
        if (SideEffects.standsAlone(made, real, alone)) {
            alone.add(made);
        }
        frame.replace(unmade, made);
    }

    private void madeAlone(Object made) {
        alone.add(made);
        rules.madeHere(made);
    }

    /** Code that Kotlin adds to a suspending call, which is irrelevant for the pattern. */
    private boolean isOfSuspending(Member method, Object[] arguments) {
        switch (method.name()) {
            case "getCOROUTINE_SUSPENDED" -> frame.push(method);
            case "nullOutSpilledVariable" -> frame.push(null);
            case "throwOnFailure" -> {
                return method.owner().equals("kotlin/ResultKt");
            }
            case "box-impl" -> {
                if (!(arguments[0] instanceof Result result)) {
                    return false;
                }
                frame.push(new Result(result.call(), false));
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    /** Whether a method leads to the described call: for default arguments, or only for the lambda. */
    private boolean isStep(Member method, Type[] types, Object[] arguments) {
        boolean ofLambda = form.isObject()
                && CodeOwner.outermost(Type.getInternalName(form.owner())).equals(CodeOwner.outermost(method.owner()))
                && method.name().contains("$");
        if (!method.name().endsWith("$default") && !ofLambda) {
            return false;
        }
        MethodCode inner = LambdaCode.of(real.type(method.owner()), method.name(), method.descriptor());
        if (inner == null) {
            return false;
        }
        within(inner, null, method, types, arguments);
        return true;
    }

    /** A method of a Kotlin object, which is the only one of its class: any call is covered. */
    private void onOnlyInstance(Object target, Member method, Type[] types, Object[] arguments) {
        mean(Asked.ANY_INSTANCE, null, null, method, types, arguments);
        startWith(new ArgumentRule.Literal(target), target.getClass());
    }

    /** A final call on a free parameter: it describes the method on any instance of a class. */
    private void onAnyInstance(Parameter parameter, Member method, Type[] types, Object[] arguments) {
        Class<?> type = real.type(method.owner());
        if (!Tail.isTail(code, place) || call != null || type.getName().startsWith("java.")) {
            throw refused.computed(parameter);
        }
        mean(Asked.ANY_INSTANCE, null, null, method, types, arguments);
        startWith(new ArgumentRule.Free(parameter.number(), parameter.type(), parameter.type()), type);
    }

    /** Makes the called object the first argument. */
    private void startWith(ArgumentRule instance, Class<?> type) {
        ArgumentRule[] all = new ArgumentRule[call.rules().length + 1];
        all[0] = instance;
        System.arraycopy(call.rules(), 0, all, 1, call.rules().length);
        Object pushed = call.descriptor().endsWith(")V") ? null : frame.pop();
        call = new Call(Asked.ANY_INSTANCE, null, null, type, call.name(), call.descriptor(), all, null);
        if (pushed instanceof Result result) {
            frame.push(new Result(call, result.wide()));
        }
    }

    /** Records a call that the pattern describes. */
    private void mean(
            Asked asked,
            @Nullable Participant participant,
            @Nullable DoubledMethod doubled,
            Member method,
            Type[] types,
            Object[] arguments) {
        Class<?> owner = real.type(method.owner());
        Call before = asked == Asked.WHAT_A_CALL_GAVE ? call : null;
        Call meant = new Call(
                asked, participant, doubled, owner, method.name(), method.descriptor(), new ArgumentRule[0], before);
        if (call != null && before == null) {
            throw refused.twoCalls(call, meant);
        }
        if (before != null && !Links.canBeLink(owner)) {
            throw refused.goesOn(before, "calls " + owner.getSimpleName() + "." + method.name());
        }
        ArgumentRule[] said = new ArgumentRule[arguments.length];
        for (int i = 0; i < said.length; i++) {
            if (arguments[i] instanceof Result result) {
                throw refused.twoCalls(result.call(), meant);
            }
            said[i] = rules.of(arguments[i], types[i], meant);
        }
        call = new Call(asked, participant, doubled, owner, method.name(), method.descriptor(), said, before);
        Type type = Type.getReturnType(method.descriptor());
        if (type.getSort() != Type.VOID) {
            frame.push(new Result(call, type.getSize() == 2));
        } else if (method.name().equals("<init>")) {
            frame.push(new Result(call, false));
        }
    }
}
