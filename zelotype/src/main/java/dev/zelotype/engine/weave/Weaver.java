package dev.zelotype.engine.weave;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.engine.make.Members;
import dev.zelotype.error.MisuseException;
import java.lang.instrument.ClassFileTransformer;
import java.lang.instrument.Instrumentation;
import java.lang.instrument.UnmodifiableClassException;
import java.lang.ref.WeakReference;
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
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Type;

/**
 * Weaves classes: from then on, their methods and constructors ask before they run. If nothing of a woven class is
 * replaced, a call costs one additional field access.
 */
public final class Weaver implements ClassFileTransformer, BiFunction<Object, Object[], Object> {

    private static @Nullable Weaver only;

    private final Instrumentation instrumentation;
    private final Decider decider;
    private final Gate gate;
    private final List<WeakReference<WovenMethod>> methods = new ArrayList<>();
    /** The methods by number; kept alive by their classes, so that a class can be unloaded. */
    private volatile WeakReference<WovenMethod>[] byId = weak(0);

    private final Set<Class<?>> woven = Collections.newSetFromMap(new WeakHashMap<>());
    private final RunningCalls running = new RunningCalls();
    private volatile Sites sites = Sites.NONE;
    private volatile boolean weavesTasks;
    /** Classes that keep calling the real code, because they could not be changed. */
    private final Set<String> unchanged = ConcurrentHashMap.newKeySet();
    /** While classes with running methods are woven: their code as it was before. */
    private volatile @Nullable Before before;

    private volatile @Nullable Throwable failure;
    private int replacing;
    private boolean doublesLive;

    /** The state before a weaving, and the code of the classes that it changes. */
    private static final class Before implements RunningCalls.Codes {
        private final Sites sites;
        private final Set<Class<?>> methodsAsked;
        private final Map<Class<?>, byte[]> codes = new ConcurrentHashMap<>();

        Before(Sites sites, Set<Class<?>> methodsAsked) {
            this.sites = sites;
            this.methodsAsked = methodsAsked;
        }

        @Override
        public byte @Nullable [] of(Class<?> type) {
            return codes.get(type);
        }
    }

    /** The information about the woven methods of a class. */
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

    private Weaver(Instrumentation instrumentation, Decider decider, BiFunction<Object, Object, Object> carrier) {
        this.instrumentation = instrumentation;
        this.decider = decider;
        Linker linker = new Linker(decider, executable -> sites.contains(executable));
        this.gate = Gate.open(instrumentation, this, linker, carrier);
        linker.through(gate);
        // Loads the classes that are used for each loaded class, including themselves.
        isUsers(Weaver.class.getName());
        instrumentation.addTransformer(this, true);
    }

    /**
     * The weaver of this JVM; created at its first use, which may attach an agent.
     *
     * @param decider decides about calls
     * @param carrier receives the events of tasks of pools and timers ({@link TaskWriter}), and the task
     * @throws MisuseException if this JVM allows no agent; the message says what to add
     */
    public static synchronized Weaver get(Decider decider, BiFunction<Object, Object, Object> carrier) {
        if (only == null) {
            only = new Weaver(Attachment.instrumentation(), decider, carrier);
        }
        return only;
    }

    /** Whether there is an agent, so that weaving need not attach one first. */
    public static boolean isReady() {
        return Attachment.known() != null;
    }

    /** Called when a scene starts to replace something. */
    public synchronized void begin() {
        replacing++;
        letAsk();
    }

    /** Called when a scene has ended its replacements. */
    public synchronized void end() {
        replacing--;
        letAsk();
    }

    /**
     * Makes methods ask although no scene replaces anything, for objects that are doubles themselves; or ends this.
     */
    public synchronized void letMethodsAsk(boolean always) {
        doublesLive = always;
        letAsk();
    }

    private void letAsk() {
        gate.letMethodsAsk(replacing > 0 || doublesLive);
        gate.letSitesAsk(replacing > 0);
        gate.letTasksCarry(replacing > 0);
    }

    /** Makes tasks of pools and timers report themselves, by weaving some JDK classes. */
    public synchronized void weaveTasks() {
        if (!weavesTasks) {
            weavesTasks = true;
            retransformSites(tasks());
        }
    }

    /** The loaded classes of tasks; others are woven when they are loaded, so a run without pools has no cost. */
    private List<Class<?>> tasks() {
        List<Class<?>> tasks = new ArrayList<>();
        for (Class<?> type : instrumentation.getAllLoadedClasses()) {
            if (type.getClassLoader() == null && TaskWriter.has(type.getName())) {
                tasks.add(type);
            }
        }
        return tasks;
    }

    /** Gives us access to a class, whatever its module. */
    public void openToUs(Class<?> type) {
        Gate.openToUs(instrumentation, type);
    }

    /** Weaves the methods of a class and of its superclasses outside the JDK, unless done before. */
    public synchronized void weave(Class<?> type) {
        List<Class<?>> fresh = new ArrayList<>();
        for (Class<?> c = type; c != null && !CodeOwner.isOfJdk(c); c = c.getSuperclass()) {
            if (!woven.contains(c)) {
                if (!instrumentation.isModifiableClass(c)) {
                    throw new MisuseException(
                            c.getName()
                                    + " cannot be replaced: the JVM does not allow classes of that kind to be changed.",
                            "give the subject a double of an interface instead");
                }
                // Before any class is numbered, because this may refuse one.
                Members.methods(c);
                fresh.add(c);
            }
        }
        if (!fresh.isEmpty()) {
            Before so = new Before(sites, Set.copyOf(woven));
            for (Class<?> each : fresh) {
                number(each);
            }
            woven.addAll(fresh);
            change(so, fresh, Sites.NONE, fresh);
        }
    }

    /**
     * Weaves the calls of static methods and constructors in all classes outside the JDK, now and as they are loaded.
     *
     * @param tasksToo whether to {@link #weaveTasks} as well, which is cheaper together
     */
    public synchronized void weaveSites(Collection<? extends Executable> executables, boolean tasksToo) {
        List<Executable> missing = new ArrayList<>();
        for (Executable executable : executables) {
            if (!sites.contains(executable)) {
                missing.add(executable);
            }
        }
        if (missing.isEmpty()) {
            return;
        }
        Sites fresh = Sites.of(missing);
        Before so = new Before(sites, Set.copyOf(woven));
        // From here on, classes are woven as they are loaded; the loaded ones follow.
        sites = sites.and(fresh);
        List<Class<?>> callers = new ArrayList<>();
        for (Class<?> type : instrumentation.getAllLoadedClasses()) {
            if (isUsers(type) && SiteIndex.mayCall(type, fresh)) {
                callers.add(type);
            }
        }
        List<Class<?>> all = new ArrayList<>(callers);
        if (tasksToo && !weavesTasks) {
            weavesTasks = true;
            all.addAll(tasks());
        }
        change(so, callers, fresh, all);
    }

    /**
     * Changes some classes, and records those of their methods that continue with the old code.
     *
     * @param fresh the calls that are woven from now on; none if the methods of the classes themselves are
     * @param all the classes to weave, and others that are woven with them
     */
    private void change(Before so, Collection<Class<?>> types, Sites fresh, List<Class<?>> all) {
        List<RunningCalls.Old> noted = running.note(types, fresh);
        before = noted.isEmpty() ? null : so;
        try {
            if (fresh.isEmpty()) {
                retransform(all);
            } else {
                retransformSites(all);
            }
        } finally {
            before = null;
        }
        RunningCalls.read(noted, so);
    }

    /**
     * A call of a method or constructor that the test or its subject will make in a running method, which the JVM no
     * longer changes.
     *
     * @param opening the stack on which the scene was opened
     * @param isOfScene whether another thread belongs to the scene
     * @return the place of that call; null if there is none
     */
    public synchronized @Nullable String toCome(Executable executable, Opening opening, Predicate<Thread> isOfScene) {
        return running.toCome(executable, opening, isOfScene);
    }

    /**
     * All together, because each time stops the JVM while it examines all of its classes. If one of them cannot be
     * changed, by halves, which finds it in few steps.
     */
    private void retransformSites(List<Class<?>> callers) {
        if (callers.isEmpty()) {
            return;
        }
        try {
            instrumentation.retransformClasses(callers.toArray(new Class<?>[0]));
        } catch (UnmodifiableClassException | LinkageError | InternalError | RuntimeException e) {
            int half = callers.size() / 2;
            if (half > 0) {
                retransformSites(callers.subList(0, half));
                retransformSites(callers.subList(half, callers.size()));
            } else if (!(e instanceof InternalError)) {
                unchanged.add(callers.get(0).getName());
            }
            // For a single class, an internal error means that its static initializer has failed: it runs no code.
        }
    }

    /** Whether calls in a class may be woven: it is neither the JDK's, nor ours, nor a test framework's. */
    private boolean isUsers(Class<?> type) {
        return !CodeOwner.isOfJdk(type)
                && !type.isArray()
                && !type.isHidden()
                && !Proxy.isProxyClass(type)
                && isUsers(type.getName())
                && instrumentation.isModifiableClass(type);
    }

    static boolean isUsers(String className) {
        return !CodeOwner.isOfTestLibrary(className) && !CodeOwner.isOurs(className);
    }

    /** The classes whose calls could not be woven. */
    public Set<String> unchanged() {
        return unchanged;
    }

    /** Restores the original code of all woven classes. */
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
        sites = Sites.NONE;
        unchanged.clear();
        if (weavesTasks) {
            weavesTasks = false;
            types.addAll(tasks());
        }
        retransformSites(List.copyOf(types));
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
        for (Method method : Members.methods(type)) {
            if (Weavable.method(method)) {
                String descriptor = Type.getMethodDescriptor(method);
                WovenMethod numbered = WovenMethod.itself(method);
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
        byte[] kept = null;
        try {
            if (loader == null) {
                return weavesTasks && className != null && TaskWriter.has(className.replace('/', '.'))
                        ? TaskWriter.weave(code, gate.name())
                        : null;
            }
            kept = KeptParameters.in(type, loader, code);
            byte[] whole = kept == null ? code : kept;
            Before so = before;
            if (so != null && type != null) {
                byte[] old = transformed(loader, className, type, whole, so.sites, so.methodsAsked.contains(type));
                so.codes.put(type, old == null ? whole : old);
            }
            byte[] changed = transformed(loader, className, type, whole, sites, true);
            return changed == null ? kept : changed;
        } catch (RuntimeException | LinkageError e) {
            failure = e;
            unchanged.add(className.replace('/', '.'));
            return kept;
        }
    }

    private byte @Nullable [] transformed(
            @Nullable ClassLoader loader,
            String className,
            @Nullable Class<?> type,
            byte[] code,
            Sites asked,
            boolean methodsAsk) {
        if (loader == ClassLoader.getPlatformClassLoader() || className == null) {
            return null;
        }
        Map<String, Integer> ids = type == null || !methodsAsk ? null : WOVEN.get(type).ids;
        byte[] changed = ids == null ? null : HeadWriter.weave(code, gate.name(), ids);
        boolean calls = !asked.isEmpty() && isUsers(className.replace('/', '.')) && SiteIndex.mayCall(code, asked);
        return calls ? SiteWriter.weave(changed == null ? code : changed, gate.name(), asked) : changed;
    }

    /** Called by woven methods with the number of the method, the object and the arguments. */
    @Override
    public @Nullable Object apply(Object number, Object[] packed) {
        WovenMethod method = byId[(Integer) number].get();
        return method == null || Guard.lets(method.executable())
                ? null
                : decider.called(method, packed[0], Arrays.copyOfRange(packed, 1, packed.length));
    }
}
