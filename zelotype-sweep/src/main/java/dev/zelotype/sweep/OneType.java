package dev.zelotype.sweep;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.Zelotype;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.Array;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Proxy;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Set;

/**
 * Doubles one type and calls each of its methods.
 */
final class OneType {

    private static final Set<String> OF_OBJECT = Set.of("toString", "hashCode", "equals");

    private OneType() {}

    static void sweep(String className, Tally tally) {
        Class<?> type;
        try {
            type = Class.forName(className, false, OneType.class.getClassLoader());
            if (Modifier.isPrivate(type.getModifiers())
                    || type.isSynthetic()
                    || type.isAnonymousClass()
                    || type.isLocalClass()) {
                return;
            }
            // A type whose initializer or superclass fails here is unusable, doubled or not.
            type.getDeclaringClass();
            type.getMethods();
            type.getDeclaredMethods();
            type.getDeclaredConstructors();
            Class.forName(className, true, OneType.class.getClassLoader());
        } catch (ClassNotFoundException | Error e) {
            return;
        }
        try (Scene scene = Scene.open(SceneSettings.defaults().linesOfCalls(0))) {
            tryType(scene, type, tally);
        } catch (MisuseException e) {
            tally.refused(e.getMessage());
        } catch (NoClassDefFoundError e) {
            // One of the types in its signatures is unusable here as well.
            return;
        } catch (Exception | LinkageError | StackOverflowError | AssertionError e) {
            tally.failed(className + ": " + e);
        }
    }

    private static void tryType(Scene scene, Class<?> type, Tally tally) throws IllegalAccessException {
        Object made = Zelotype.stub(type);
        boolean inPlace = made.getClass() == type;
        List<String> expected = new ArrayList<>();
        for (Method method : made.getClass().getDeclaredMethods()) {
            boolean answered = !Modifier.isStatic(method.getModifiers())
                    && !method.isSynthetic()
                    && !OF_OBJECT.contains(method.getName())
                    && !Modifier.isNative(method.getModifiers())
                    && !Modifier.isAbstract(method.getModifiers())
                    && !method.getName().equals("finalize")
                    && !isProxyHelper(made, method);
            if (answered && !call(made, method, isDefault(type, method))) {
                return;
            }
            if (answered) {
                expected.add(method.getName());
            }
        }
        List<String> recorded = new ArrayList<>();
        for (RecordedCall call : scene.conversation().calls()) {
            recorded.add(call.method());
        }
        if (hasDefaults(type) ? isWithin(expected, recorded) : recorded.equals(expected)) {
            tally.doubled(inPlace, recorded.size());
        } else {
            tally.failed(type.getName() + ": called " + shortly(expected) + " but recorded " + shortly(recorded));
        }
    }

    /** Whether a method runs its own code, which may make further calls, and may fail on sample arguments. */
    private static boolean isDefault(Class<?> type, Method method) {
        for (Method declared : type.getMethods()) {
            if (declared.isDefault()
                    && declared.getName().equals(method.getName())
                    && Arrays.equals(declared.getParameterTypes(), method.getParameterTypes())) {
                return true;
            }
        }
        return false;
    }

    private static boolean hasDefaults(Class<?> type) {
        return Arrays.stream(type.getMethods()).anyMatch(Method::isDefault);
    }

    /** Whether all calls were recorded in order, possibly with calls of default methods in between. */
    private static boolean isWithin(List<String> expected, List<String> recorded) {
        Iterator<String> found = recorded.iterator();
        for (String name : expected) {
            while (true) {
                if (!found.hasNext()) {
                    return false;
                } else if (found.next().equals(name)) {
                    break;
                }
            }
        }
        return true;
    }

    /** The JDK's proxies show bridge methods of their interfaces as ordinary methods, and have a helper method. */
    private static boolean isProxyHelper(Object made, Method method) {
        if (!Proxy.isProxyClass(made.getClass())) {
            return false;
        }
        for (Class<?> type : made.getClass().getInterfaces()) {
            for (Method declared : type.getMethods()) {
                if (!declared.isBridge()
                        && declared.getName().equals(method.getName())
                        && Arrays.equals(declared.getParameterTypes(), method.getParameterTypes())) {
                    return false;
                }
            }
        }
        return true;
    }

    private static boolean call(Object made, Method method, boolean mayFail) throws IllegalAccessException {
        Object[] arguments = new Object[method.getParameterCount()];
        for (int i = 0; i < arguments.length; i++) {
            Class<?> parameter = method.getParameterTypes()[i];
            arguments[i] = parameter.isPrimitive()
                    ? Array.get(Array.newInstance(parameter, 1), 0)
                    : parameter == String.class
                            ? "text"
                            : parameter.isArray() ? Array.newInstance(parameter.getComponentType(), 0) : null;
        }
        try {
            if (!method.trySetAccessible()) {
                throw new MisuseException("its methods cannot be reached by reflection", "call them in code");
            }
            method.invoke(made, arguments);
            return true;
        } catch (InvocationTargetException e) {
            if (mayFail) {
                return true;
            }
            throw new IllegalStateException(method + " threw " + e.getCause(), e.getCause());
        }
    }

    private static String shortly(List<String> names) {
        return names.size() > 12 ? names.subList(0, 12) + "..." : names.toString();
    }
}
