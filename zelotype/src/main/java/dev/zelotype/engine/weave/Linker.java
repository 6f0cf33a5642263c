package dev.zelotype.engine.weave;

import dev.zelotype.engine.make.Members;
import dev.zelotype.engine.make.Rethrow;
import java.lang.invoke.CallSite;
import java.lang.invoke.ConstantCallSite;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandleInfo;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.util.Arrays;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * Links woven calls: each checks whether anything is replaced, then asks the decider, and else runs the real code.
 */
final class Linker implements BiFunction<Object, Object[], Object> {

    private static final MethodHandle DECIDE;

    static {
        try {
            DECIDE = MethodHandles.lookup()
                    .findStatic(
                            Linker.class,
                            "decide",
                            MethodType.methodType(
                                    Object.class,
                                    Decider.class,
                                    WovenMethod.class,
                                    MethodHandle.class,
                                    Object[].class));
        } catch (ReflectiveOperationException e) {
            throw new ExceptionInInitializerError(e);
        }
    }

    /** The positions of the strings that identify the calling method and the gate. */
    private static final int CALLING_METHOD = 4;

    private static final int THEIR_GATE = 5;

    private final Decider decider;
    private final Predicate<Executable> asked;
    private volatile @Nullable Gate gate;

    /**
     * Makes a linker.
     *
     * @param asked whether calls of a method or constructor are woven
     */
    Linker(Decider decider, Predicate<Executable> asked) {
        this.decider = decider;
        this.asked = asked;
    }

    void through(Gate opened) {
        gate = opened;
    }

    /** Called by the gate with the lookup of the calling class, and the call's name, type and further strings. */
    @Override
    public Object apply(Object lookup, Object[] call) {
        try {
            return link((MethodHandles.Lookup) lookup, (MethodType) call[1], (String) call[0], (Object[]) call[2]);
        } catch (Throwable e) {
            throw Rethrow.rethrow(e);
        }
    }

    private CallSite link(MethodHandles.Lookup caller, MethodType type, String name, Object[] words) throws Throwable {
        try {
            if (words[0].equals(SiteWriter.REFERENCE)) {
                return reference(caller, type, name, Arrays.asList(words).subList(2, words.length));
            }
            return new ConstantCallSite(call(caller, type, name, words).asType(type));
        } catch (NoSuchMethodException e) {
            throw (Error) new NoSuchMethodError(e.getMessage()).initCause(e);
        } catch (IllegalAccessException e) {
            // The exception that the JVM would have thrown for the original call.
            throw e.getCause() instanceof LinkageError cause
                    ? cause
                    : (Error) new IllegalAccessError(e.getMessage()).initCause(e);
        }
    }

    private MethodHandle call(MethodHandles.Lookup caller, MethodType type, String name, Object[] words)
            throws Throwable {
        Class<?> owner = (Class<?>) words[1];
        String method = (String) words[2];
        MethodType itsType = (MethodType) words[3];
        MethodHandle direct = method.equals("<init>")
                ? caller.findConstructor(owner, itsType)
                : caller.findStatic(owner, method, itsType);
        MethodHandle real = words.length > THEIR_GATE ? throughOther(caller, type, name, words) : direct;
        return asking(caller, direct, real.asFixedArity(), (String) words[CALLING_METHOD]);
    }

    private CallSite reference(MethodHandles.Lookup caller, MethodType type, String name, List<Object> arguments)
            throws Throwable {
        MethodHandle implementation = (MethodHandle) arguments.get(1);
        MethodHandle asked = asking(caller, implementation, implementation.asFixedArity(), null);
        Object function = new References(caller, type.returnType(), name, arguments).object(asked);
        return new ConstantCallSite(
                MethodHandles.constant(type.returnType(), function).asType(type));
    }

    private static Executable executable(MethodHandleInfo means) throws NoSuchMethodException {
        Class<?> owner = means.getDeclaringClass();
        Class<?>[] parameters = means.getMethodType().parameterArray();
        if (means.getReferenceKind() == MethodHandleInfo.REF_newInvokeSpecial) {
            return owner.getDeclaredConstructor(parameters);
        }
        for (Method method : Members.methods(owner)) {
            if (method.getName().equals(means.getName())
                    && method.getReturnType() == means.getMethodType().returnType()
                    && Arrays.equals(method.getParameterTypes(), parameters)) {
                return method;
            }
        }
        throw new NoSuchMethodException(owner + "." + means.getName() + means.getMethodType());
    }

    /**
     * The real code behind a check that costs one field access while nothing is replaced. A method of the same name in
     * another class is linked unchanged.
     */
    private MethodHandle asking(
            MethodHandles.Lookup caller, MethodHandle direct, MethodHandle real, @Nullable String callingMethod)
            throws NoSuchMethodException {
        Executable executable = executable(caller.revealDirect(direct));
        if (!asked.test(executable)) {
            return real;
        }
        MethodType type = real.type();
        WovenMethod woven = WovenMethod.atSite(executable, caller.lookupClass(), callingMethod);
        MethodHandle question = MethodHandles.insertArguments(DECIDE, 0, decider, woven, real)
                .asCollector(Object[].class, type.parameterCount())
                .asType(type);
        MethodHandle active = MethodHandles.dropArguments(gate.areSitesActive(), 0, type.parameterList());
        return MethodHandles.guardWithTest(active, question, real);
    }

    private static Object decide(Decider decider, WovenMethod method, MethodHandle real, Object[] arguments)
            throws Throwable {
        Executable executable = method.executable();
        Object[] answer = executable instanceof Constructor
                ? decider.constructing(method, arguments)
                : decider.called(method, null, arguments);
        return answer == null ? real.invokeWithArguments(arguments) : answer[0];
    }

    private static MethodHandle throughOther(MethodHandles.Lookup caller, MethodType type, String name, Object[] words)
            throws Throwable {
        Class<?> other = Class.forName(((String) words[THEIR_GATE]).replace('/', '.'), false, null);
        Object[] theirs = Arrays.copyOf(words, THEIR_GATE);
        Method link =
                other.getMethod(Gate.LINK, MethodHandles.Lookup.class, String.class, MethodType.class, Object[].class);
        return ((CallSite) link.invoke(null, caller, name, type, theirs)).dynamicInvoker();
    }
}
