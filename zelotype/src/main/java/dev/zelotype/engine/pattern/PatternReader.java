package dev.zelotype.engine.pattern;

import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.make.Reading;
import dev.zelotype.engine.make.Unwrapping;
import dev.zelotype.engine.make.VariableNames;
import dev.zelotype.engine.pattern.Symbols.Asked;
import dev.zelotype.engine.pattern.Symbols.Call;
import dev.zelotype.engine.pattern.code.MethodCode;
import dev.zelotype.engine.pattern.code.RealCode;
import dev.zelotype.engine.pattern.rule.ArgumentRule;
import dev.zelotype.engine.pattern.rule.CallPattern;
import dev.zelotype.engine.replace.Replacing;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Reads a method reference or a lambda as a call pattern. Neither is ever run: a method reference names its method, and
 * a lambda's code is interpreted.
 */
public final class PatternReader {

    /** Found once per class, because each of its scenes needs it. */
    private static final ClassValue<List<Executable>> REPLACED = new ClassValue<>() {
        @Override
        protected List<Executable> computeValue(Class<?> test) {
            return findReplacedBy(test);
        }
    };

    private final boolean mayReplace;
    private final LambdaForm form;
    private final Class<?>[] freeTypes;

    /**
     * A further call of a chain, on the result of the previous call.
     *
     * @param type the required type of the double in between
     * @param name the method's name
     * @param descriptor the method's descriptor
     * @param rules the rules for its arguments
     */
    public record Link(Class<?> type, String name, String descriptor, ArgumentRule[] rules) {}

    /**
     * A pattern as it was written.
     *
     * @param first the first call
     * @param further the calls chained to it, in order
     */
    public record Written(CallPattern first, List<Link> further) {}

    private PatternReader(Serializable lambda, boolean mayReplace) {
        this.mayReplace = mayReplace;
        this.form = LambdaForm.of(lambda);
        this.freeTypes = form.parameterTypes();
    }

    /**
     * Reads a pattern.
     *
     * @param mayReplace whether to replace a class that it names, unless that is done
     * @throws MisuseException if it is not a pattern, with the reason and a cure
     */
    public static Written read(@Nullable Serializable lambda, boolean mayReplace) {
        if (lambda == null) {
            throw new MisuseException(
                    "The pattern is null.", "write it as a method reference or a lambda, such as weather::humidity");
        }
        boolean within = Reading.goApart();
        try {
            PatternReader reader = new PatternReader(lambda, mayReplace);
            return reader.form.isLambda() ? reader.readLambda() : new Written(reader.readReference(), List.of());
        } finally {
            Reading.goBack(within);
        }
    }

    /** The static methods and constructors that the patterns in a class name; those that are not found are omitted. */
    public static List<Executable> replacedBy(Class<?> test) {
        return REPLACED.get(test);
    }

    private static List<Executable> findReplacedBy(Class<?> test) {
        List<Executable> replaced = new ArrayList<>();
        RealCode real = new RealCode(test);
        for (MethodCode.Member named : LambdaCode.namedBy(test)) {
            try {
                replaced.add(
                        named.name().equals("<init>")
                                ? real.type(named.owner())
                                        .getDeclaredConstructor(real.parameterTypes(named.descriptor()))
                                : real.method(named, true));
            } catch (NoSuchMethodException | MisuseException | LinkageError e) {
                // The statement itself will report the error.
                continue;
            }
        }
        return List.copyOf(replaced);
    }

    private CallPattern readReference() {
        boolean ofType = form.isConstructor() || form.isStatic() || !form.isBound();
        if (ofType) {
            return readReferenceToType();
        }
        Object receiver = form.captured(0);
        Participant participant = Unwrapping.participantBehind(receiver);
        if (participant == null) {
            throw new MisuseException(
                    "This pattern does not call a double: " + form.methodName() + " was called on "
                            + (receiver == null ? "null" : "a real " + VariableNames.simpleName(receiver.getClass()))
                            + ".",
                    "make a double, such as stub(" + form.owner().getSimpleName()
                            + ".class), give it to the subject, and use it in the pattern");
        }
        prepareFinal(participant, form.methodName(), form.methodDescriptor());
        refuseFixed(participant, form.methodName(), form.methodDescriptor());
        DoubledMethod method = participant.doubleClass().find(form.methodName(), form.methodDescriptor());
        if (method == null) {
            throw cannotAnswer(participant, form.methodName());
        }
        return CallPattern.anyCall(participant, method, freeTypes);
    }

    private CallPattern readReferenceToType() {
        boolean onAnyInstance = !form.isConstructor() && !form.isStatic();
        // The compiler names the declaring class, the reference possibly a subclass.
        Class<?> owner = onAnyInstance ? freeTypes[0] : form.owner();
        if (!form.isConstructor() && !form.isStatic()) {
            refuseAbstract(owner, form.methodName());
        }
        Class<?> declaring = form.isStatic() ? form.declaringClass() : owner;
        Participant participant = replaced(declaring, form.methodName(), form.methodDescriptor());
        return CallPattern.anyCall(
                participant, replaceable(participant, form.methodName(), form.methodDescriptor()), freeTypes);
    }

    private static void refuseAbstract(Class<?> owner, String method) {
        if (Modifier.isAbstract(owner.getModifiers())) {
            throw new MisuseException(
                    "This pattern does not name a double: " + owner.getSimpleName() + "::" + method
                            + " is a method of an abstract type.",
                    "give the subject a double of " + owner.getSimpleName() + " and name that, as in "
                            + VariableNames.of(owner) + "::" + method);
        }
    }

    /** The participant for a class; the class is left alone if the method cannot be replaced. */
    private Participant replaced(Class<?> type, String name, String descriptor) {
        if (!Replacing.canReplace(type, name, descriptor)) {
            throw cannotReplace(type.getSimpleName(), name);
        }
        return Replacing.whole(type, name, descriptor, mayReplace);
    }

    private static DoubledMethod replaceable(Participant participant, String name, String descriptor) {
        DoubledMethod method = participant.doubleClass().find(name, descriptor);
        if (method == null) {
            throw cannotReplace(participant.name(), name);
        }
        return method;
    }

    private static MisuseException cannotReplace(String type, String name) {
        return new MisuseException(
                type + "." + name
                        + " cannot be replaced: it is native, abstract, inherited from the JDK, takes more than 250"
                        + " arguments, or is implemented by the JVM itself.",
                "wrap it in an interface of your own, and give the subject a double of that");
    }

    /** A pattern that names a final method of a doubled class causes it to be woven. */
    static void prepareFinal(Participant participant, String name, String descriptor) {
        if (participant.doubleClass().find(name, descriptor) == null
                && participant.doubleClass().findFinal(name, descriptor) != null) {
            Replacing.doubleFinals(participant.doubleClass());
        }
    }

    static void refuseFixed(Participant participant, String name, String descriptor) {
        Method unboxed = participant.doubleClass().unboxed(name, descriptor);
        if (unboxed != null) {
            String type = unboxed.getDeclaringClass().getSimpleName();
            throw new MisuseException(
                    "Through a general type, " + participant.name() + "." + name
                            + " is called with objects of a value class; " + type + " gets only their values.",
                    "name it on a variable of type " + type);
        }
        if (participant.doubleClass().find(name, descriptor) == null
                && participant.doubleClass().fixed(name, descriptor) != null) {
            throw new MisuseException(
                    participant.name() + "." + name + " is final, private or hidden: a double cannot answer it.",
                    "spy on a real object in place, with spy(object), or double an interface that declares it");
        }
    }

    private static MisuseException cannotAnswer(Participant participant, String name) {
        return new MisuseException(
                participant.name() + "." + name + " is a method that its double does not answer.",
                "double the type that declares it");
    }

    /** What to double instead of a class: the class itself, or an interface of a class that the JDK hides. */
    static String typeToDouble(Class<?> type) {
        if (type.getName().startsWith("java.") && type.getInterfaces().length > 0) {
            return type.getInterfaces()[0].getSimpleName();
        }
        return VariableNames.simpleName(type);
    }

    private Written readLambda() {
        Call last = LambdaReader.read(form);
        List<Call> calls = new ArrayList<>();
        for (Call call = last; call != null; call = call.before()) {
            calls.add(0, call);
        }
        refuseUnreached(calls);
        List<Link> further = new ArrayList<>();
        for (Call call : calls.subList(1, calls.size())) {
            further.add(new Link(call.owner(), call.name(), call.descriptor(), call.rules()));
        }
        return new Written(pattern(calls.get(0)), further);
    }

    private CallPattern pattern(Call call) {
        Participant participant = call.participant();
        DoubledMethod method = call.method();
        if (call.asked() == Asked.ANY_INSTANCE) {
            refuseAbstract(call.owner(), call.name());
        }
        if (participant == null) {
            participant = replaced(form.declaringClass(call), call.name(), call.descriptor());
            method = replaceable(participant, call.name(), call.descriptor());
        }
        return new CallPattern(participant, method, call.rules(), freeTypes, List.of());
    }

    private void refuseUnreached(List<Call> calls) {
        boolean[] reached = new boolean[freeTypes.length];
        for (Call call : calls) {
            for (ArgumentRule rule : call.rules()) {
                CallPattern.mark(rule, reached);
            }
        }
        for (int i = 0; i < reached.length; i++) {
            if (!reached[i]) {
                throw new Refused(form).unreached(i, calls.get(calls.size() - 1));
            }
        }
    }
}
