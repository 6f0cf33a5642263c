package dev.zelotype.engine.weave;

import java.lang.invoke.MethodHandle;
import java.lang.reflect.InvocationHandler;
import java.lang.reflect.Proxy;

/**
 * Objects of functional interfaces behind which a method handle stands, for where the JDK's own lambdas cannot be made:
 * those belong to their module, and know only plain methods.
 */
public final class HandleProxy {

    private HandleProxy() {}

    /**
     * Makes an object whose one abstract method calls a handle.
     *
     * @param text what the object says that it is
     */
    public static Object of(Class<?> type, MethodHandle target, String text) {
        return Proxy.newProxyInstance(type.getClassLoader(), new Class<?>[] {type}, (self, method, arguments) -> {
            if (method.getDeclaringClass() == Object.class) {
                return switch (method.getName()) {
                    case "equals" -> self == arguments[0];
                    case "hashCode" -> System.identityHashCode(self);
                    default -> text;
                };
            }
            if (method.isDefault()) {
                return InvocationHandler.invokeDefault(self, method, arguments);
            }
            return arguments == null ? target.invokeWithArguments() : target.invokeWithArguments(arguments);
        });
    }
}
