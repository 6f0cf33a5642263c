package dev.zelotype.engine.weave;

import java.lang.invoke.MethodHandle;
import java.lang.reflect.InvocationHandler;
import java.lang.reflect.Proxy;

/**
 * Objects of functional interfaces that call a method handle, for cases in which the JDK cannot create a lambda: its
 * lambdas belong to their module, and call plain methods only.
 */
public final class HandleProxy {

    private HandleProxy() {}

    /**
     * Makes an object whose only abstract method calls a handle.
     *
     * @param text the object's text
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
