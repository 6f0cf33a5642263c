package dev.zelotype.engine.weave;

import dev.zelotype.engine.make.Sneaky;
import java.lang.invoke.CallSite;
import java.lang.invoke.ConstantCallSite;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;

/**
 * Links woven calls: each asks whether anything is replaced, then who decides, and else runs the real code.
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

    private final Decider decider;
    private volatile @Nullable Gate gate;

    Linker(Decider decider) {
        this.decider = decider;
    }

    void through(Gate opened) {
        gate = opened;
    }

    /** Called by the gate: the lookup of the class that calls, and the call's name, type and further words. */
    @Override
    public Object apply(Object lookup, Object[] call) {
        try {
            return link((MethodHandles.Lookup) lookup, (MethodType) call[1], (String) call[0], (Object[]) call[2]);
        } catch (Throwable e) {
            throw Sneaky.rethrow(e);
        }
    }

    private CallSite link(MethodHandles.Lookup caller, MethodType type, String name, Object[] words) throws Throwable {
        String how = (String) words[0];
        Class<?> owner = (Class<?>) words[1];
        String method = (String) words[2];
        MethodType itsType = (MethodType) words[3];
        boolean constructs = method.equals("<init>");
        MethodHandle real = words.length > 4
                ? throughOther(caller, type, name, words)
                : constructs ? caller.findConstructor(owner, itsType) : caller.findStatic(owner, method, itsType);
        WovenMethod woven = woven(owner, method, itsType);
        MethodHandle asked = asking(woven, real.asFixedArity());
        if (how.equals(SiteWriter.REFERENCE)) {
            return new ConstantCallSite(MethodHandles.constant(
                            type.returnType(), HandleProxy.of(type.returnType(), asked, "a method reference"))
                    .asType(type));
        }
        return new ConstantCallSite(asked.asType(type));
    }

    private static WovenMethod woven(Class<?> owner, String name, MethodType type) throws NoSuchMethodException {
        if (name.equals("<init>")) {
            Constructor<?> constructor = owner.getDeclaredConstructor(type.parameterArray());
            return new WovenMethod(-1, owner, constructor, name, type.toMethodDescriptorString());
        }
        for (Class<?> c = owner; c != null; c = c.getSuperclass()) {
            for (Method method : c.getDeclaredMethods()) {
                if (method.getName().equals(name)
                        && method.getReturnType() == type.returnType()
                        && java.util.Arrays.equals(method.getParameterTypes(), type.parameterArray())) {
                    return new WovenMethod(-1, c, method, name, type.toMethodDescriptorString());
                }
            }
        }
        throw new NoSuchMethodException(owner + "." + name + type);
    }

    /** The real code behind a question that costs one look at a field while nothing is replaced. */
    private MethodHandle asking(WovenMethod woven, MethodHandle real) {
        MethodType type = real.type();
        MethodHandle question = MethodHandles.insertArguments(DECIDE, 0, decider, woven, real)
                .asCollector(Object[].class, type.parameterCount())
                .asType(type);
        MethodHandle active = MethodHandles.dropArguments(gate.isActive(), 0, type.parameterList());
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
        Class<?> other = Class.forName(((String) words[4]).replace('/', '.'), false, null);
        Object[] theirs = java.util.Arrays.copyOf(words, 4);
        Method link =
                other.getMethod(Gate.LINK, MethodHandles.Lookup.class, String.class, MethodType.class, Object[].class);
        return ((CallSite) link.invoke(null, caller, name, type, theirs)).dynamicInvoker();
    }
}
