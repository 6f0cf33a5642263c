package dev.zelotype.engine.make;

import dev.zelotype.basics.Boxes;
import dev.zelotype.error.MisuseException;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.lang.reflect.Constructor;
import java.lang.reflect.Field;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Doubles of a generated class, which keep their receiver in a field.
 */
final class FieldInstances implements DoubleClass.Instances {

    private final Class<?> generated;
    private final Class<?> superclass;
    private final List<Class<?>> interfaces;
    private final MethodHandles.Lookup inside;
    private final MethodHandle getter;
    private final MethodHandle setter;
    /** Makes an object of the class with its receiver; null if a constructor of the doubled class would run. */
    private final @Nullable MethodHandle constructor;

    FieldInstances(Class<?> generated, Class<?> superclass, List<Class<?>> interfaces) {
        this.generated = generated;
        this.superclass = superclass;
        this.interfaces = interfaces;
        try {
            DoubleClass.class.getModule().addReads(generated.getModule());
            inside = MethodHandles.privateLookupIn(generated, DoubleClass.lookup());
            Field field = generated.getDeclaredField(DoubleClassWriter.RECEIVER);
            getter = inside.unreflectGetter(field).asType(MethodType.methodType(Object.class, Object.class));
            setter = inside.unreflectSetter(field)
                    .asType(MethodType.methodType(void.class, Object.class, BiFunction.class));
            constructor = superclass == Object.class ? ofReceiver() : null;
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("A class of doubles is not as it was written: " + generated, e);
        }
    }

    /** A class that was written as source has no such constructor. */
    private @Nullable MethodHandle ofReceiver() throws IllegalAccessException {
        try {
            return inside.findConstructor(generated, MethodType.methodType(void.class, BiFunction.class))
                    .asType(MethodType.methodType(Object.class, BiFunction.class));
        } catch (NoSuchMethodException e) {
            return null;
        }
    }

    @Override
    public Object create(BiFunction<Object, Object[], Object> receiver) {
        try {
            if (constructor != null) {
                return (Object) constructor.invokeExact((BiFunction<?, ?, ?>) receiver);
            }
            Object made = Allocation.allocate(generated);
            setter.invokeExact(made, (BiFunction<?, ?, ?>) receiver);
            return made;
        } catch (MisuseException e) {
            throw e;
        } catch (Throwable e) {
            throw new IllegalStateException("A double could not be made: " + generated, e);
        }
    }

    @Override
    public Object construct(BiFunction<Object, Object[], Object> receiver, Object[] arguments) throws Throwable {
        if (superclass == Object.class && arguments.length == 0) {
            return create(receiver);
        }
        if (superclass == Object.class) {
            throw new MisuseException("The fake of an interface was given constructor arguments.", "leave them out");
        }
        Object[] all = Arrays.copyOf(arguments, arguments.length + 1);
        all[arguments.length] = receiver;
        Constructor<?> fitting = null;
        for (Constructor<?> constructor : generated.getDeclaredConstructors()) {
            if (accepts(constructor.getParameterTypes(), all)) {
                if (fitting != null) {
                    throw new MisuseException(
                            "Several constructors of " + superclass.getSimpleName() + " take these arguments.",
                            "give arguments that fit one constructor only");
                }
                fitting = constructor;
            }
        }
        if (fitting == null) {
            // Those that the JVM does not list were not written.
            Members.constructors(superclass);
            throw new MisuseException(
                    "No constructor of " + superclass.getSimpleName() + " takes " + typesOf(arguments) + ".",
                    "give the arguments of " + constructors());
        }
        return inside.unreflectConstructor(fitting).invokeWithArguments(all);
    }

    /** As a test calls them, without the receiver at the end: {@code Dome(String, int) or Dome(int)}. */
    private String constructors() {
        List<String> all = new ArrayList<>();
        for (Constructor<?> each : generated.getDeclaredConstructors()) {
            all.add(Stream.of(each.getParameterTypes())
                    .limit(each.getParameterCount() - 1L)
                    .map(Class::getSimpleName)
                    .collect(Collectors.joining(", ", superclass.getSimpleName() + "(", ")")));
        }
        // The JVM lists them in no particular order.
        Collections.sort(all);
        return String.join(" or ", all);
    }

    private static boolean accepts(Class<?>[] types, Object[] arguments) {
        boolean accepts = types.length == arguments.length;
        for (int i = 0; accepts && i < types.length; i++) {
            accepts = arguments[i] == null
                    ? !types[i].isPrimitive()
                    : Boxes.of(types[i]).isInstance(arguments[i]);
        }
        return accepts;
    }

    private static String typesOf(Object[] arguments) {
        if (arguments.length == 0) {
            return "no arguments";
        }
        StringBuilder out = new StringBuilder("(");
        for (Object argument : arguments) {
            out.append(out.length() == 1 ? "" : ", ")
                    .append(argument == null ? "null" : argument.getClass().getSimpleName());
        }
        return out.append(')').toString();
    }

    @Override
    public @Nullable Object receiverOf(Object self) {
        try {
            return (Object) getter.invokeExact(self);
        } catch (Throwable e) {
            throw new IllegalStateException("A double lost its receiver: " + generated, e);
        }
    }

    @Override
    public MethodHandle ownCode(DoubledMethod method) throws IllegalAccessException {
        try {
            Class<?> declaring = method.executable().getDeclaringClass();
            MethodType type = MethodType.methodType(method.returnType(), method.parameterTypes());
            MethodHandle code = inside.findSpecial(directSupertype(declaring), method.name(), type, generated);
            return DoubleClass.spread(code, method.parameterTypes().length);
        } catch (NoSuchMethodException e) {
            throw new IllegalStateException("A doubled method is gone: " + method.executable(), e);
        }
    }

    /** The JVM only allows a class to call its direct supertypes with {@code super}. */
    private Class<?> directSupertype(Class<?> declaring) {
        if (declaring.isInterface() && !declaring.isAssignableFrom(superclass)) {
            for (Class<?> direct : interfaces) {
                if (declaring.isAssignableFrom(direct)) {
                    return direct;
                }
            }
        }
        return superclass;
    }
}
