package dev.zelotype.engine.weave;

import dev.zelotype.error.MisuseException;
import java.lang.annotation.Annotation;
import java.lang.instrument.ClassFileTransformer;
import java.lang.instrument.Instrumentation;
import java.lang.instrument.UnmodifiableClassException;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.security.ProtectionDomain;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Type;

/**
 * Weaves classes: from then on their methods and constructors ask before they run. A woven class that nobody replaces
 * anything of costs one look at a field a call.
 */
public final class Weaver implements ClassFileTransformer, BiFunction<Object, Object[], Object> {

    private static @Nullable Weaver only;

    private final Instrumentation instrumentation;
    private final Decider decider;
    private final Gate gate;
    private final List<WovenMethod> methods = new ArrayList<>();
    private volatile WovenMethod[] byId = {};
    private final Map<Class<?>, Woven> woven = new ConcurrentHashMap<>();
    private volatile @Nullable Throwable failure;
    private int users;

    /** What is known of a woven class. */
    private record Woven(Map<String, Integer> ids, @Nullable String superConstructor) {}

    private Weaver(Instrumentation instrumentation, Decider decider) {
        this.instrumentation = instrumentation;
        this.decider = decider;
        this.gate = Gate.open(instrumentation, this);
        instrumentation.addTransformer(this, true);
    }

    /**
     * The weaver of this JVM; made at the first use, which may attach an agent.
     *
     * @throws MisuseException if this JVM lets no agent in; the message says what to add
     */
    public static synchronized Weaver get(Decider decider) {
        if (only == null) {
            only = new Weaver(Attachment.instrumentation(), decider);
        }
        return only;
    }

    /** Somebody begins to replace something. */
    public synchronized void begin() {
        users++;
        gate.set(true);
    }

    /** Somebody has put back what was replaced. */
    public synchronized void end() {
        users--;
        gate.set(users > 0);
    }

    /** Lets us look into a class, whatever its module. */
    public void openToUs(Class<?> type) {
        Gate.openToUs(instrumentation, type);
    }

    /** Weaves a class and those of its superclasses that do not belong to the JDK, unless that was done before. */
    public synchronized void weave(Class<?> type) {
        List<Class<?>> fresh = new ArrayList<>();
        for (Class<?> c = type; c != null && (c == type || !isOfJdk(c)); c = c.getSuperclass()) {
            if (!woven.containsKey(c)) {
                if (!instrumentation.isModifiableClass(c)) {
                    throw new MisuseException(
                            c.getName() + " cannot be replaced: the JVM lets no class of that sort be changed.",
                            "give the subject a double of an interface instead");
                }
                woven.put(c, number(c));
                fresh.add(c);
            }
        }
        if (!fresh.isEmpty()) {
            retransform(fresh);
        }
    }

    /** Gives all woven classes their original code back. */
    public static synchronized void restoreAll() {
        if (only != null) {
            only.restore();
        }
    }

    private synchronized void restore() {
        List<Class<?>> types = new ArrayList<>(woven.keySet());
        woven.clear();
        if (!types.isEmpty()) {
            retransform(types);
        }
    }

    private void retransform(List<Class<?>> types) {
        failure = null;
        try {
            instrumentation.retransformClasses(types.toArray(new Class<?>[0]));
        } catch (UnmodifiableClassException | LinkageError e) {
            failure = e;
        }
        if (failure != null) {
            types.forEach(woven::remove);
            throw new MisuseException(
                    types.get(0).getName() + " could not be woven: " + failure + ".",
                    "give the subject a double of an interface instead",
                    failure);
        }
    }

    private Woven number(Class<?> type) {
        Map<String, Integer> ids = new HashMap<>();
        for (Method method : type.getDeclaredMethods()) {
            if (isWeavable(method)) {
                number(ids, type, method, method.getName(), Type.getMethodDescriptor(method));
            }
        }
        for (Constructor<?> constructor : type.getDeclaredConstructors()) {
            number(ids, type, constructor, "<init>", Type.getConstructorDescriptor(constructor));
        }
        return new Woven(ids, superConstructor(type));
    }

    private void number(
            Map<String, Integer> ids, Class<?> type, Executable executable, String name, String descriptor) {
        ids.put(name + descriptor, methods.size());
        methods.add(new WovenMethod(methods.size(), type, executable, name, descriptor));
        byId = methods.toArray(new WovenMethod[0]);
    }

    /** Whether a class has a method or constructor that can be made to ask; for methods, declared by it or above it. */
    public static boolean isWeavable(Class<?> type, String name, String descriptor) {
        if (name.equals("<init>")) {
            return !type.isArray();
        }
        for (Class<?> c = type; c != null; c = c.getSuperclass()) {
            for (Method method : c.getDeclaredMethods()) {
                if (method.getName().equals(name)
                        && Type.getMethodDescriptor(method).equals(descriptor)) {
                    return isWeavable(method);
                }
            }
        }
        return false;
    }

    /** Whether a method can be made to ask. */
    public static boolean isWeavable(Method method) {
        int without = Modifier.ABSTRACT | Modifier.NATIVE;
        return (method.getModifiers() & without) == 0
                && !method.isSynthetic()
                && !isIntrinsic(method)
                && !(method.getName().equals("finalize") && method.getParameterCount() == 0);
    }

    /** The JVM has code of its own for some methods of the JDK, and does not look at their class files. */
    private static boolean isIntrinsic(Method method) {
        for (Annotation annotation : method.getDeclaredAnnotations()) {
            if (annotation.annotationType().getSimpleName().equals("IntrinsicCandidate")) {
                return true;
            }
        }
        return false;
    }

    /** The constructor of the superclass that a hollow object is made with: it is skipped as well, or harmless. */
    private static @Nullable String superConstructor(Class<?> type) {
        Class<?> parent = type.getSuperclass();
        if (parent == null || type.isEnum()) {
            return null;
        }
        Constructor<?> chosen = null;
        for (Constructor<?> constructor : parent.getDeclaredConstructors()) {
            boolean reachable = !Modifier.isPrivate(constructor.getModifiers())
                    && (!isOfJdk(parent) || constructor.getParameterCount() == 0);
            if (reachable && (chosen == null || constructor.getParameterCount() < chosen.getParameterCount())) {
                chosen = constructor;
            }
        }
        return chosen == null ? null : Type.getConstructorDescriptor(chosen);
    }

    /** Whether a class belongs to the JDK itself. */
    public static boolean isOfJdk(Class<?> type) {
        ClassLoader loader = type.getClassLoader();
        return loader == null || loader == ClassLoader.getPlatformClassLoader();
    }

    @Override
    public byte @Nullable [] transform(
            Module module,
            @Nullable ClassLoader loader,
            String className,
            @Nullable Class<?> type,
            ProtectionDomain domain,
            byte[] code) {
        Woven known = type == null ? null : woven.get(type);
        if (known == null) {
            return null;
        }
        try {
            return HeadWriter.weave(code, known.ids(), known.superConstructor());
        } catch (RuntimeException | LinkageError e) {
            failure = e;
            return null;
        }
    }

    /** Called by woven code: the number of a method, and the object and arguments. */
    @Override
    public @Nullable Object apply(Object number, Object[] packed) {
        int id = (Integer) number;
        if (id < 0) {
            decider.constructed(byId[-1 - id], packed[0]);
            return null;
        }
        WovenMethod method = byId[id];
        Object[] arguments = Arrays.copyOfRange(packed, 1, packed.length);
        if (method.executable() instanceof Constructor) {
            return decider.constructing(method, arguments) ? packed : null;
        }
        return decider.called(method, packed[0], arguments);
    }
}
