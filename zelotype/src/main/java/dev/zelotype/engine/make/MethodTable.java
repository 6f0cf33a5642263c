package dev.zelotype.engine.make;

import dev.zelotype.basics.CodeOwner;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Type;

/**
 * Which methods a double of some types answers, each once, whatever number of supertypes declare it.
 */
final class MethodTable {

    // No lambdas here: this runs before the first double of every JVM, and the first lambda costs milliseconds.

    private final List<DoubledMethod> methods = new ArrayList<>();
    private final Map<String, DoubledMethod> byDescriptor = new HashMap<>();
    private final Map<String, List<DoubledMethod>> byParameters = new HashMap<>();
    private final Map<String, Method> fixed = new HashMap<>();
    /** Those of the fixed methods that ask before they run once their class is woven. */
    private final List<Method> finals = new ArrayList<>();
    /** The compiler's bridges, by their keys. */
    private final Map<String, Bridge> bridged = new LinkedHashMap<>();

    /** A method that the compiler made only to call another one, of narrower types, whose key is known. */
    record Bridge(Method method, Method behind, String key) {}

    /**
     * Collects the methods.
     *
     * @param superclass the class that the double extends
     * @param interfaces the interfaces that it implements
     * @param home the package in which the double's class will live; null where that is not the superclass's own
     */
    MethodTable(Class<?> superclass, List<Class<?>> interfaces, @Nullable String home) {
        for (Class<?> c = superclass; c != null; c = c.getSuperclass()) {
            for (Method method : c.getDeclaredMethods()) {
                ofClass(method, home);
            }
        }
        ofInterfaces(superclass.getMethods());
        for (Class<?> type : interfaces) {
            ofInterfaces(type.getMethods());
        }
    }

    /** The methods of a woven class, as they are. */
    MethodTable(List<DoubledMethod> given) {
        for (DoubledMethod method : given) {
            methods.add(method);
            byDescriptor.put(
                    method.executable() instanceof Method
                            ? method.name() + method.descriptor()
                            : "<init>" + method.descriptor(),
                    method);
        }
    }

    /** The methods of a real class that ask themselves, which are also reached through the class's bridges. */
    static MethodTable ofReal(Class<?> type, List<DoubledMethod> methods) {
        MethodTable table = new MethodTable(methods);
        for (Class<?> c = type; c != null && !CodeOwner.isOfJdk(c); c = c.getSuperclass()) {
            for (Method method : c.getDeclaredMethods()) {
                Method behind = bridgedTo(method);
                DoubledMethod known = table.byDescriptor.get(key(method));
                boolean overridden =
                        known != null && c.isAssignableFrom(known.executable().getDeclaringClass());
                if (behind != null && !overridden && !table.bridged.containsKey(key(method))) {
                    // What is declared above the bridge is never reached by that name.
                    table.byDescriptor.remove(key(method));
                    table.bridged.put(key(method), new Bridge(method, behind, key(behind)));
                }
            }
        }
        return table;
    }

    List<DoubledMethod> methods() {
        return methods;
    }

    /** The compiler's bridges to methods of the list that a subclass can write itself. */
    List<Bridge> bridges() {
        return bridged.values().stream()
                .filter(bridge -> byDescriptor.containsKey(bridge.key()))
                .toList();
    }

    /** The final methods of the superclass, numbered behind the others. */
    List<DoubledMethod> finals() {
        List<DoubledMethod> numbered = new ArrayList<>();
        for (Method method : finals) {
            numbered.add(new DoubledMethod(methods.size() + numbered.size(), method));
        }
        return numbered;
    }

    @Nullable
    DoubledMethod find(String name, String descriptor) {
        DoubledMethod found = byDescriptor.get(name + descriptor);
        Bridge bridge = found == null ? bridged.get(name + descriptor) : null;
        return bridge == null ? found : byDescriptor.get(bridge.key());
    }

    /** A final, private or otherwise fixed method of the superclass, which a double cannot answer. */
    @Nullable
    Method fixed(String name, String descriptor) {
        return fixed.get(name + descriptor);
    }

    /** Gives the methods the numbers of a list; says what is different if these are not the same methods. */
    @Nullable
    String renumber(List<String> known) {
        DoubledMethod[] numbered = new DoubledMethod[methods.size()];
        for (int i = 0; i < known.size(); i++) {
            DoubledMethod method = byDescriptor.get(known.get(i));
            if (method == null || i >= numbered.length) {
                return known.get(i) + " does not exist any more";
            }
            DoubledMethod again = new DoubledMethod(i, (Method) method.executable());
            again.descriptors().addAll(method.descriptors());
            numbered[i] = again;
            for (String descriptor : again.descriptors()) {
                byDescriptor.put(again.name() + descriptor, again);
            }
        }
        for (DoubledMethod method : methods) {
            if (byDescriptor.get(method.name() + method.descriptor()) == method) {
                return "it does not know " + method.name() + method.descriptor();
            }
        }
        for (int i = 0; i < numbered.length; i++) {
            methods.set(i, numbered[i]);
        }
        return null;
    }

    private void ofClass(Method method, @Nullable String home) {
        int modifiers = method.getModifiers();
        String key = key(method);
        boolean seen = byDescriptor.containsKey(key) || fixed.containsKey(key) || bridged.containsKey(key);
        if (seen || Modifier.isStatic(modifiers) || isFinalizer(method)) {
            return;
        }
        boolean hidden = !Modifier.isPublic(modifiers)
                && !Modifier.isProtected(modifiers)
                && !method.getDeclaringClass().getPackageName().equals(home);
        if (Modifier.isFinal(modifiers) || Modifier.isPrivate(modifiers) || hidden) {
            fixed.put(key, method);
            boolean weavable = Modifier.isFinal(modifiers)
                    && !Modifier.isPrivate(modifiers)
                    && !Modifier.isNative(modifiers)
                    && !method.isSynthetic()
                    && !CodeOwner.isOfJdk(method.getDeclaringClass());
            if (weavable) {
                finals.add(method);
            }
        } else {
            addOrBridge(method, key);
        }
    }

    private void addOrBridge(Method method, String key) {
        Method behind = bridgedTo(method);
        if (behind == null) {
            add(method);
        } else {
            bridged.put(key, new Bridge(method, behind, key(behind)));
        }
    }

    private void ofInterfaces(Method[] inherited) {
        for (Method method : inherited) {
            String key = key(method);
            boolean declaredByInterface = method.getDeclaringClass().isInterface();
            if (!declaredByInterface
                    || Modifier.isStatic(method.getModifiers())
                    || byDescriptor.containsKey(key)
                    || fixed.containsKey(key)
                    || bridged.containsKey(key)) {
                continue;
            }
            addOrBridge(method, key);
        }
    }

    private void add(Method method) {
        String parameters = key(method).substring(0, key(method).lastIndexOf(')') + 1);
        List<DoubledMethod> alike = byParameters.get(parameters);
        if (alike == null) {
            alike = new ArrayList<>();
            byParameters.put(parameters, alike);
        }
        for (int i = 0; i < alike.size(); i++) {
            DoubledMethod known = alike.get(i);
            if (method.getReturnType().isAssignableFrom(known.returnType())) {
                known.alsoCalledAs(method);
                byDescriptor.put(key(method), known);
                return;
            }
            if (known.returnType().isAssignableFrom(method.getReturnType())) {
                DoubledMethod narrower = new DoubledMethod(known.index(), method);
                narrower.descriptors().addAll(known.descriptors());
                alike.set(i, narrower);
                methods.set(known.index(), narrower);
                for (String descriptor : known.descriptors()) {
                    byDescriptor.put(method.getName() + descriptor, narrower);
                }
                byDescriptor.put(key(method), narrower);
                return;
            }
        }
        DoubledMethod fresh = new DoubledMethod(methods.size(), method);
        methods.add(fresh);
        alike.add(fresh);
        byDescriptor.put(key(method), fresh);
    }

    /**
     * The method of the same name that the compiler made a method only to call; null if it was not made for that. Such a
     * method stays as it is, else one call would be recorded under two names. A bridge that merely makes a hidden class's
     * method public is doubled.
     */
    private static @Nullable Method bridgedTo(Method method) {
        if (!method.isBridge()) {
            return null;
        }
        List<Method> candidates = new ArrayList<>();
        for (Class<?> c = method.getDeclaringClass(); c != null; c = c.getSuperclass()) {
            for (Method other : c.getDeclaredMethods()) {
                if (!other.isBridge() && other.getName().equals(method.getName()) && isNarrower(other, method)) {
                    candidates.add(other);
                }
            }
        }
        if (candidates.size() > 1) {
            // Overloads: only the code of the bridge shows which of them it calls.
            String called = BridgeCode.descriptorCalledBy(method);
            for (Method candidate : candidates) {
                if (Type.getMethodDescriptor(candidate).equals(called)) {
                    return candidate;
                }
            }
        }
        return candidates.isEmpty() ? null : candidates.get(0);
    }

    private static boolean isNarrower(Method other, Method bridge) {
        Class<?>[] narrow = other.getParameterTypes();
        Class<?>[] wide = bridge.getParameterTypes();
        if (narrow.length != wide.length || !bridge.getReturnType().isAssignableFrom(other.getReturnType())) {
            return false;
        }
        boolean differs = bridge.getReturnType() != other.getReturnType();
        for (int i = 0; i < wide.length; i++) {
            if (!wide[i].isAssignableFrom(narrow[i])) {
                return false;
            }
            differs |= wide[i] != narrow[i];
        }
        return differs;
    }

    private static boolean isFinalizer(Method method) {
        return method.getName().equals("finalize") && method.getParameterCount() == 0;
    }

    private static String key(Method method) {
        return method.getName() + Type.getMethodDescriptor(method);
    }
}
