package dev.zelotype.engine.pattern.code;

import dev.zelotype.engine.make.Members;
import dev.zelotype.engine.make.Reading;
import dev.zelotype.engine.weave.HandleProxy;
import dev.zelotype.error.MisuseException;
import java.lang.invoke.CallSite;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.lang.reflect.AccessibleObject;
import java.lang.reflect.Array;
import java.lang.reflect.Constructor;
import java.lang.reflect.Field;
import java.lang.reflect.InaccessibleObjectException;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ConstantDynamic;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Runs the real code that computes values for a pattern: helpers of the test, static methods, constructors, and reading
 * the JDK's containers. It has the access rights of the class whose code is interpreted.
 */
public final class RealCode {

    private final Class<?> owner;

    public RealCode(Class<?> owner) {
        this.owner = owner;
    }

    /** A class that the code refers to, without initializing it. */
    public Class<?> type(String internalName) {
        return type(Type.getObjectType(internalName));
    }

    public Class<?> type(Type type) {
        switch (type.getSort()) {
            case Type.BOOLEAN:
                return boolean.class;
            case Type.CHAR:
                return char.class;
            case Type.BYTE:
                return byte.class;
            case Type.SHORT:
                return short.class;
            case Type.INT:
                return int.class;
            case Type.LONG:
                return long.class;
            case Type.FLOAT:
                return float.class;
            case Type.DOUBLE:
                return double.class;
            case Type.VOID:
                return void.class;
            default:
        }
        String name = type.getSort() == Type.ARRAY ? type.getDescriptor().replace('/', '.') : type.getClassName();
        try {
            return Class.forName(name, false, owner.getClassLoader());
        } catch (ClassNotFoundException e) {
            throw new MisuseException(
                    "This pattern refers to " + name + ", which its class loader cannot find.",
                    "put the class where the test can see it",
                    e);
        }
    }

    public Class<?>[] parameterTypes(String descriptor) {
        Type[] types = Type.getArgumentTypes(descriptor);
        Class<?>[] classes = new Class<?>[types.length];
        for (int i = 0; i < types.length; i++) {
            classes[i] = type(types[i]);
        }
        return classes;
    }

    @Nullable
    public Object callStatic(MethodCode.Member member, Object[] arguments) throws Throwable {
        return invoke(method(member, true), null, arguments);
    }

    @Nullable
    public Object call(MethodCode.Member member, int opcode, Object target, Object[] arguments) throws Throwable {
        if (target.getClass().isArray() && member.name().equals("clone")) {
            return copy(target);
        }
        Method method = method(member, false);
        boolean up = opcode == Opcodes.INVOKESPECIAL && !Modifier.isPrivate(method.getModifiers());
        if (!up) {
            return invoke(method, target, arguments);
        }
        MethodHandle code =
                lookup().findSpecial(method.getDeclaringClass(), member.name(), handleType(member.descriptor()), owner);
        return run(code.bindTo(target), arguments);
    }

    private static Object copy(Object array) {
        int length = Array.getLength(array);
        Object copy = Array.newInstance(array.getClass().getComponentType(), length);
        System.arraycopy(array, 0, copy, 0, length);
        return copy;
    }

    private MethodType handleType(String descriptor) {
        return MethodType.fromMethodDescriptorString(descriptor, owner.getClassLoader());
    }

    private static @Nullable Object invoke(Method method, @Nullable Object target, Object[] arguments)
            throws Throwable {
        open(method);
        try {
            return Reading.compute(() -> method.invoke(target, arguments));
        } catch (InvocationTargetException e) {
            throw e.getCause();
        }
    }

    private static @Nullable Object run(MethodHandle code, Object... arguments) throws Throwable {
        return Reading.compute(() -> code.invokeWithArguments(arguments));
    }

    public Object construct(Class<?> type, String descriptor, Object[] arguments) throws Throwable {
        Constructor<?> constructor;
        try {
            constructor = type.getDeclaredConstructor(parameterTypes(descriptor));
        } catch (LinkageError e) {
            throw Members.refusal(type, "constructors", e);
        }
        open(constructor);
        try {
            return Reading.compute(() -> constructor.newInstance(arguments));
        } catch (InvocationTargetException e) {
            throw e.getCause();
        }
    }

    @Nullable
    public Object read(MethodCode.Member member, @Nullable Object target) throws ReflectiveOperationException {
        Field field = field(type(member.owner()), member.name());
        open(field);
        return field.get(target);
    }

    /** Whether a method or field was added by the compiler or another tool. */
    public boolean isOfCompiler(MethodCode.Member member) throws ReflectiveOperationException {
        return member.descriptor().startsWith("(")
                ? method(member, true).isSynthetic()
                : field(type(member.owner()), member.name()).isSynthetic();
    }

    private static Field field(Class<?> type, String name) throws NoSuchFieldException {
        for (Class<?> c = type; c != null; c = c.getSuperclass()) {
            for (Field field : Members.fields(c)) {
                if (field.getName().equals(name)) {
                    return field;
                }
            }
        }
        return type.getField(name);
    }

    /** The method that a call resolves to: declared by the named type or a supertype. */
    public Method method(MethodCode.Member member, boolean isStatic) throws NoSuchMethodException {
        Class<?> type = type(member.owner());
        Class<?>[] parameters = parameterTypes(member.descriptor());
        for (Class<?> c = type; c != null; c = c.getSuperclass()) {
            Method found = declared(c, member, parameters, isStatic);
            if (found != null) {
                return found;
            }
        }
        for (Method method : Members.publicMethods(type)) {
            if (method.getName().equals(member.name())
                    && Type.getMethodDescriptor(method).equals(member.descriptor())) {
                return method;
            }
        }
        // Methods that an interface does not declare come from Object.
        return Object.class.getMethod(member.name(), parameters);
    }

    private static @Nullable Method declared(
            Class<?> type, MethodCode.Member member, Class<?>[] parameters, boolean isStatic) {
        try {
            Method exact = type.getDeclaredMethod(member.name(), parameters);
            if (Modifier.isStatic(exact.getModifiers()) == isStatic) {
                return exact;
            }
        } catch (NoSuchMethodException e) {
            // Searched in supertypes.
        } catch (LinkageError e) {
            throw Members.refusal(type, "methods", e);
        }
        return null;
    }

    private static void open(AccessibleObject member) {
        try {
            member.setAccessible(true);
        } catch (InaccessibleObjectException e) {
            // Public members of exported packages work anyway; for others the call reports what is inaccessible.
        }
    }

    private MethodHandles.Lookup lookup() throws IllegalAccessException {
        RealCode.class.getModule().addReads(owner.getModule());
        return MethodHandles.privateLookupIn(owner, MethodHandles.lookup());
    }

    /** The value of a constant that is computed at its first use. */
    Object constant(ConstantDynamic constant) throws Throwable {
        Object[] more = new Object[constant.getBootstrapMethodArgumentCount()];
        for (int i = 0; i < more.length; i++) {
            more[i] = literal(constant.getBootstrapMethodArgument(i));
        }
        return run(
                handle(constant.getBootstrapMethod()),
                bootstrapArguments(constant.getName(), type(Type.getType(constant.getDescriptor())), more));
    }

    /** Runs a call whose target is determined by a bootstrap method. */
    @Nullable
    public Object dynamic(MethodCode.Dynamic recipe, Object[] arguments) throws Throwable {
        Object[] more = new Object[recipe.arguments().length];
        for (int i = 0; i < more.length; i++) {
            more[i] = literal(recipe.arguments()[i]);
        }
        CallSite site = (CallSite) run(
                handle(recipe.bootstrap()), bootstrapArguments(recipe.name(), handleType(recipe.descriptor()), more));
        return run(site.dynamicInvoker(), arguments);
    }

    /**
     * A lambda that the pattern creates and that real code may run. The JDK only creates lambdas for the module that
     * contains them, so this one is a proxy.
     */
    public Object lambda(MethodCode.Dynamic recipe, Object[] captured) throws Throwable {
        MethodHandle body = handle((Handle) recipe.arguments()[1]);
        MethodHandle bound = MethodHandles.insertArguments(body.asFixedArity(), 0, captured);
        Class<?> type = type(Type.getReturnType(recipe.descriptor()));
        return HandleProxy.of(type, bound, "a lambda");
    }

    private Object[] bootstrapArguments(String name, Object type, Object[] more) throws IllegalAccessException {
        Object[] all = new Object[more.length + 3];
        all[0] = lookup();
        all[1] = name;
        all[2] = type;
        System.arraycopy(more, 0, all, 3, more.length);
        return all;
    }

    /** A constant of the class file as an object. */
    public Object literal(Object constant) throws Throwable {
        if (constant instanceof Type type) {
            return type.getSort() == Type.METHOD ? handleType(type.getDescriptor()) : type(type);
        } else if (constant instanceof Handle handle) {
            return handle(handle);
        } else if (constant instanceof ConstantDynamic dynamic) {
            return constant(dynamic);
        }
        return constant;
    }

    private MethodHandle handle(Handle handle) throws ReflectiveOperationException {
        Class<?> type = type(handle.getOwner());
        MethodHandles.Lookup lookup = lookup();
        switch (handle.getTag()) {
            case Opcodes.H_INVOKESTATIC:
                return lookup.findStatic(type, handle.getName(), handleType(handle.getDesc()));
            case Opcodes.H_INVOKEVIRTUAL, Opcodes.H_INVOKEINTERFACE:
                return lookup.findVirtual(type, handle.getName(), handleType(handle.getDesc()));
            case Opcodes.H_INVOKESPECIAL:
                return lookup.findSpecial(type, handle.getName(), handleType(handle.getDesc()), owner);
            case Opcodes.H_NEWINVOKESPECIAL:
                return lookup.findConstructor(type, handleType(handle.getDesc()));
            default:
                throw new NoSuchMethodException("a handle on the field " + handle.getName());
        }
    }
}
