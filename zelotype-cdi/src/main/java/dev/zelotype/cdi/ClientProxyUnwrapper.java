package dev.zelotype.cdi;

import dev.zelotype.doubles.Unwrapper;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.Method;

/**
 * Lets statements name the client proxy that a container puts in front of a bean, for example for application scope.
 * Follows the proxies of Weld, and refuses those of other containers.
 *
 * @since 0.2
 */
public final class ClientProxyUnwrapper implements Unwrapper {

    private static final String PROXY_OF_WELD = "org.jboss.weld.proxy.WeldClientProxy";

    /** Called by the service loader. */
    public ClientProxyUnwrapper() {}

    @Override
    public Object unwrap(Object object) {
        for (Class<?> type = object.getClass(); type != null; type = type.getSuperclass()) {
            for (Class<?> each : type.getInterfaces()) {
                if (each.getName().equals(PROXY_OF_WELD)) {
                    return instance(object, each);
                }
            }
        }
        if (object.getClass().getSimpleName().contains("_ClientProxy")
                || object.getClass().getSimpleName().contains("$$OwbNormalScopeProxy")) {
            throw new MisuseException(
                    object.getClass().getName() + " is a client proxy, and the object behind it cannot be reached.",
                    "name the double itself, from the variable that it was made in");
        }
        return object;
    }

    /** By name, so that the module depends on no container. */
    private static Object instance(Object proxy, Class<?> type) {
        try {
            Method metadata = type.getMethod("getMetadata");
            Object told = metadata.invoke(proxy);
            return metadata.getReturnType().getMethod("getContextualInstance").invoke(told);
        } catch (ReflectiveOperationException e) {
            throw new MisuseException(
                    "The bean behind the client proxy " + proxy.getClass().getName() + " cannot be reached.",
                    "name it where its scope is active, or name the double itself",
                    e);
        }
    }
}
