package dev.zelotype.engine.weave;

import dev.zelotype.engine.make.Jdk;
import dev.zelotype.error.MisuseException;
import dev.zelotype.error.OwnNames;
import java.lang.instrument.ClassFileTransformer;
import java.lang.instrument.Instrumentation;
import java.lang.instrument.UnmodifiableClassException;
import java.lang.ref.WeakReference;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.security.ProtectionDomain;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.WeakHashMap;
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

    /** Frameworks that run tests: their calls are nobody's subject's. */
    private static final List<String> HOSTS = List.of("org.junit.", "org.opentest4j.", "org.apache.maven.surefire.");

    private final Instrumentation instrumentation;
    private final Decider decider;
    private final Gate gate;
    private final List<WeakReference<WovenMethod>> methods = new ArrayList<>();
    /** The methods by their numbers; they are kept by their classes, so that a class can go. */
    private volatile WeakReference<WovenMethod>[] byId = weak(0);

    private final Set<Class<?>> woven = Collections.newSetFromMap(new WeakHashMap<>());
    private final Set<Site> sites = ConcurrentHashMap.newKeySet();
    /** Classes that keep calling the real code, since they could not be changed. */
    private final Set<String> unchanged = ConcurrentHashMap.newKeySet();

    private volatile @Nullable Throwable failure;
    private int users;

    /** What is known of the woven methods of a class. */
    private static final class Woven {
        private volatile @Nullable Map<String, Integer> ids;
        private final List<WovenMethod> methods = new ArrayList<>();
    }

    private static final ClassValue<Woven> WOVEN = new ClassValue<>() {
        @Override
        protected Woven computeValue(Class<?> type) {
            return new Woven();
        }
    };

    @SuppressWarnings({"unchecked", "rawtypes"})
    private static WeakReference<WovenMethod>[] weak(int length) {
        return new WeakReference[length];
    }

    private Weaver(Instrumentation instrumentation, Decider decider) {
        this.instrumentation = instrumentation;
        this.decider = decider;
        Linker linker = new Linker(decider);
        this.gate = Gate.open(instrumentation, this, linker);
        linker.through(gate);
        // Loads the classes that are asked about each class that loads, themselves included.
        isUsers(Weaver.class.getName());
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

    /** Whether an agent is there, so that weaving needs none to be attached first. */
    public static boolean isReady() {
        return Attachment.known() != null;
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

    /** Weaves the methods of a class and of those of its superclasses that do not belong to the JDK, unless done before. */
    public synchronized void weave(Class<?> type) {
        List<Class<?>> fresh = new ArrayList<>();
        for (Class<?> c = type; c != null && !Jdk.has(c); c = c.getSuperclass()) {
            if (!woven.contains(c)) {
                if (!instrumentation.isModifiableClass(c)) {
                    throw new MisuseException(
                            c.getName() + " cannot be replaced: the JVM lets no class of that sort be changed.",
                            "give the subject a double of an interface instead");
                }
                number(c);
                woven.add(c);
                fresh.add(c);
            }
        }
        if (!fresh.isEmpty()) {
            retransform(fresh);
        }
    }

    /**
     * Weaves the calls of static methods and constructors in all classes that are not the JDK's, now and as they load.
     *
     * @return those of which the current thread will make a call in a method that it is in already, which the JVM does not
     *     change any more, with the place of that call
     */
    public synchronized Map<Executable, String> weaveSites(Collection<? extends Executable> executables) {
        Map<Site, Executable> fresh = new HashMap<>();
        for (Executable executable : executables) {
            Site site = siteOf(executable);
            if (sites.add(site)) {
                fresh.put(site, executable);
            }
        }
        if (fresh.isEmpty()) {
            return Map.of();
        }
        List<Class<?>> callers = new ArrayList<>();
        for (Class<?> type : instrumentation.getAllLoadedClasses()) {
            if (isUsers(type) && SiteIndex.mayCall(type, fresh.keySet())) {
                callers.add(type);
            }
        }
        // Asked before they are woven, since the JVM forgets the lines of code that goes on in its old form.
        Map<Executable, String> running = new HashMap<>();
        fresh.forEach((site, executable) -> {
            String place = RunningCalls.toCome(callers, Set.of(site));
            if (place != null) {
                running.put(executable, place);
            }
        });
        retransformSites(callers);
        return running;
    }

    private static Site siteOf(Executable executable) {
        String owner = Type.getInternalName(executable.getDeclaringClass());
        return executable instanceof Constructor<?> constructor
                ? new Site(owner, "<init>", Type.getConstructorDescriptor(constructor))
                : new Site(owner, executable.getName(), Type.getMethodDescriptor((Method) executable));
    }

    /** All at once, since each time stops the JVM; if one of them cannot be changed, one by one. */
    private void retransformSites(List<Class<?>> callers) {
        try {
            if (!callers.isEmpty()) {
                instrumentation.retransformClasses(callers.toArray(new Class<?>[0]));
            }
        } catch (UnmodifiableClassException | LinkageError | RuntimeException batch) {
            for (Class<?> caller : callers) {
                try {
                    instrumentation.retransformClasses(caller);
                } catch (UnmodifiableClassException | LinkageError | RuntimeException one) {
                    unchanged.add(caller.getName());
                }
            }
        }
    }

    /** Whether calls in a class may be woven: it is neither the JDK's, nor ours, nor a test framework's. */
    private boolean isUsers(Class<?> type) {
        return !Jdk.has(type)
                && !type.isArray()
                && !type.isHidden()
                && !Proxy.isProxyClass(type)
                && isUsers(type.getName())
                && instrumentation.isModifiableClass(type);
    }

    static boolean isUsers(String className) {
        for (String prefix : HOSTS) {
            if (className.startsWith(prefix)) {
                return false;
            }
        }
        return !OwnNames.has(className);
    }

    /** The classes whose calls were to be woven, and could not be. */
    public Set<String> unchanged() {
        return unchanged;
    }

    /** Gives all woven classes their original code back. */
    public static synchronized void restoreAll() {
        if (only != null) {
            only.restore();
        }
    }

    private synchronized void restore() {
        Set<Class<?>> types = new HashSet<>(woven);
        for (Class<?> type : instrumentation.getAllLoadedClasses()) {
            if (!sites.isEmpty() && isUsers(type) && SiteIndex.mayCall(type, sites)) {
                types.add(type);
            }
        }
        woven.forEach(type -> WOVEN.get(type).ids = null);
        woven.clear();
        sites.clear();
        unchanged.clear();
        if (!types.isEmpty()) {
            retransform(List.copyOf(types));
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
            types.forEach(type -> {
                woven.remove(type);
                WOVEN.get(type).ids = null;
            });
            throw new MisuseException(
                    types.get(0).getName() + " could not be woven: " + failure + ".",
                    "give the subject a double of an interface instead",
                    failure);
        }
    }

    private void number(Class<?> type) {
        Woven known = WOVEN.get(type);
        Map<String, Integer> ids = new HashMap<>();
        for (Method method : type.getDeclaredMethods()) {
            if (Weavable.method(method)) {
                String descriptor = Type.getMethodDescriptor(method);
                WovenMethod numbered = new WovenMethod(methods.size(), type, method, method.getName(), descriptor);
                ids.put(method.getName() + descriptor, methods.size());
                known.methods.add(numbered);
                methods.add(new WeakReference<>(numbered));
            }
        }
        byId = methods.toArray(weak(0));
        known.ids = ids;
    }

    @Override
    public byte @Nullable [] transform(
            Module module,
            @Nullable ClassLoader loader,
            String className,
            @Nullable Class<?> type,
            ProtectionDomain domain,
            byte[] code) {
        CodeOfLoaded.pass(type, code);
        try {
            return transformed(loader, className, type, code);
        } catch (RuntimeException | LinkageError e) {
            failure = e;
            unchanged.add(className.replace('/', '.'));
            return null;
        }
    }

    private byte @Nullable [] transformed(
            @Nullable ClassLoader loader, String className, @Nullable Class<?> type, byte[] code) {
        if (loader == null || loader == ClassLoader.getPlatformClassLoader() || className == null) {
            return null;
        }
        Map<String, Integer> ids = type == null ? null : WOVEN.get(type).ids;
        byte[] woven = ids == null ? null : HeadWriter.weave(code, gate.name(), ids);
        boolean calls = !sites.isEmpty() && isUsers(className.replace('/', '.')) && SiteIndex.mayCall(code, sites);
        return calls ? SiteWriter.weave(woven == null ? code : woven, gate.name(), sites) : woven;
    }

    /** Called by the heads of woven methods: the number of a method, and the object and arguments. */
    @Override
    public @Nullable Object apply(Object number, Object[] packed) {
        WovenMethod method = byId[(Integer) number].get();
        return method == null ? null : decider.called(method, packed[0], Arrays.copyOfRange(packed, 1, packed.length));
    }
}
