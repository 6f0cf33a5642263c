package dev.zelotype.engine.make;

import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.lang.reflect.InvocationHandler;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Type;

/**
 * Doubles of interfaces that only the JDK itself can implement: those of closed packages.
 */
final class ProxyInstances implements DoubleClass.Instances {

    private final ClassLoader loader;
    private final Class<?>[] interfaces;
    private final Map<Method, Integer> indexes = new HashMap<>();

    private ProxyInstances(ClassLoader loader, Class<?>[] interfaces) {
        this.loader = loader;
        this.interfaces = interfaces;
    }

    static DoubleClass make(Class<?> type, List<Class<?>> interfaces) {
        ProxyInstances instances = new ProxyInstances(type.getClassLoader(), interfaces.toArray(new Class<?>[0]));
        MethodTable table = new MethodTable(Object.class, interfaces, null);
        for (Class<?> each : interfaces) {
            instances.number(each, table);
        }
        instances.number(Object.class, table);
        Class<?> generated = instances.create((index, arguments) -> index).getClass();
        return new DoubleClass(type, generated, table, instances);
    }

    private void number(Class<?> type, MethodTable table) {
        for (Method method : Members.publicMethods(type)) {
            DoubledMethod doubled = table.find(method.getName(), Type.getMethodDescriptor(method));
            if (doubled != null) {
                indexes.put(method, doubled.index());
            }
        }
    }

    private record Handler(BiFunction<Object, Object[], Object> receiver, Map<Method, Integer> indexes)
            implements InvocationHandler {

        @Override
        public Object invoke(Object self, Method method, Object @Nullable [] arguments) throws Throwable {
            Integer index = indexes.get(method);
            if (index == null) {
                return InvocationHandler.invokeDefault(self, method, arguments);
            }
            return receiver.apply(index, arguments);
        }
    }

    @Override
    public Object create(BiFunction<Object, Object[], Object> receiver) {
        return Proxy.newProxyInstance(loader, interfaces, new Handler(receiver, indexes));
    }

    @Override
    public Object construct(BiFunction<Object, Object[], Object> receiver, Object[] arguments) {
        return create(receiver);
    }

    @Override
    public @Nullable Object receiverOf(Object self) {
        return Proxy.getInvocationHandler(self) instanceof Handler handler ? handler.receiver() : null;
    }

    @Override
    public MethodHandle ownCode(DoubledMethod method) throws IllegalAccessException {
        try {
            MethodHandle invokeDefault = MethodHandles.lookup()
                    .findStatic(
                            InvocationHandler.class,
                            "invokeDefault",
                            MethodType.methodType(Object.class, Object.class, Method.class, Object[].class));
            return MethodHandles.insertArguments(invokeDefault, 1, (Method) method.executable())
                    .asFixedArity()
                    .asType(MethodType.methodType(Object.class, Object.class, Object[].class));
        } catch (NoSuchMethodException e) {
            throw new IllegalStateException("The JDK's proxies cannot run default methods.", e);
        }
    }
}
