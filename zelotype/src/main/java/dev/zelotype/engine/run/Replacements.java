package dev.zelotype.engine.run;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.make.Allocation;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.InPlace;
import dev.zelotype.engine.make.Jdk;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.make.WovenClasses;
import dev.zelotype.engine.pattern.PatternReader;
import dev.zelotype.engine.pattern.Reading;
import dev.zelotype.engine.weave.Decider;
import dev.zelotype.engine.weave.Guard;
import dev.zelotype.engine.weave.Weavable;
import dev.zelotype.engine.weave.Weaver;
import dev.zelotype.engine.weave.WovenMethod;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Proxy;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * Leads calls of woven methods to the scene that replaced them: the one of the object, else the one of the thread.
 */
final class Replacements implements Decider, WovenClasses.Weaving {

    private static final Replacements ONLY = new Replacements();
    private static final InPlace<Boolean> HOLLOW = new InPlace<>();

    private static final WovenClasses CLASSES = new WovenClasses(ONLY);
    private static final ClassValue<DoubleClass> WHOLES = new ClassValue<>() {
        @Override
        protected DoubleClass computeValue(Class<?> type) {
            return CLASSES.asWhole(type);
        }
    };
    private static final ClassValue<DoubleClass> INSTANCES = new ClassValue<>() {
        @Override
        protected DoubleClass computeValue(Class<?> type) {
            return CLASSES.asInstance(type);
        }
    };

    private final Set<SceneState> users = ConcurrentHashMap.newKeySet();
    private volatile @Nullable SceneState everywhere;

    private Replacements() {}

    /**
     * What the reader of patterns asks about classes.
     *
     * @param mayBegin whether a class is replaced now if it was not before
     */
    record ForPatterns(boolean mayBegin) implements PatternReader.Classes {

        @Override
        public boolean canReplace(Class<?> type, String name, String descriptor) {
            return Weavable.calls(type, name, descriptor);
        }

        @Override
        public void doubleFinals(Participant participant) {
            Replacements.doubleFinals(participant.doubleClass());
        }

        @Override
        public Participant of(Class<?> type, String name, String descriptor) {
            Told told = Replacements.of(type, mayBegin);
            DoubledMethod method = told.doubleClass().find(name, descriptor);
            if (mayBegin && method != null && !method.asksItself()) {
                SceneState scene = told.scene();
                scene.runningCalls().putAll(weaver().weaveSites(List.of(method.executable())));
                refuseRunning(scene.runningCalls().get(method.executable()));
            }
            return told;
        }
    }

    private static Weaver weaver() {
        try {
            return Weaver.get(ONLY);
        } catch (NoClassDefFoundError e) {
            throw new MisuseException(
                    "Nothing can be replaced here: this JVM lacks the module java.instrument.",
                    "add it to the run-time image (jlink --add-modules java.instrument), or start the JVM with"
                            + " --add-modules java.instrument",
                    e);
        }
    }

    private static boolean isReady() {
        try {
            return Weaver.isReady();
        } catch (NoClassDefFoundError e) {
            // Without the module that agents need there is none.
            return false;
        }
    }

    /** Whether a class could be woven; the JDK's own and generated ones are left alone. */
    static boolean canReplace(Class<?> type) {
        return !type.isPrimitive()
                && !type.isArray()
                && !type.isHidden()
                && !type.isInterface()
                && !type.isSynthetic()
                && !Modifier.isAbstract(type.getModifiers())
                && !Proxy.isProxyClass(type)
                && !Jdk.has(type);
    }

    /** A class whose objects answer in their own place. */
    static DoubleClass ofInstance(Class<?> type) {
        begin(type, "An object of " + type.getSimpleName());
        return INSTANCES.get(type);
    }

    /** The one who answers for a class as a whole in the current scene. */
    static Told of(Class<?> type, boolean mayBegin) {
        SceneState scene = sceneFor(type.getSimpleName());
        Told known = scene.replaced(type);
        if (known != null) {
            return known;
        }
        if (!mayBegin) {
            throw notWatched(type.getSimpleName(), type.getSimpleName());
        }
        begin(type, type.getSimpleName());
        return scene.replace(type, WHOLES.get(type));
    }

    /** Hears of all calls of a class from now on. */
    static void watch(Class<?> type) {
        if (Jdk.has(type)) {
            throw new MisuseException(
                    type.getName() + " belongs to the JDK, which calls it itself all the time.",
                    "suppose the call in question, with callsReal() if it is to stay as it is");
        }
        Told told = of(type, true);
        weaver().weaveSites(List.of(type.getDeclaredConstructors()));
        told.watch();
    }

    /** What is said about a question after calls that nobody was listening to. */
    static MisuseException notWatched(String what, String typeName) {
        return new MisuseException(
                what + " was not watched: how often it was called so far is unknown.",
                "write watch(" + typeName + ".class) before the subject runs, or suppose or expect the call");
    }

    private static SceneState sceneFor(String what) {
        SceneState scene = SceneState.current();
        if (scene == null) {
            throw new MisuseException(
                    what + " cannot be replaced outside any scene: nobody would put it back.",
                    "annotate the test class with @WithDoubles, or write try (Scene scene = Scene.open()) { ... }");
        }
        return scene;
    }

    /** Weaves a class for the current scene. */
    private static void begin(Class<?> type, String what) {
        SceneState scene = sceneFor(what);
        initialise(type);
        weaver().weave(type);
        if (ONLY.users.add(scene)) {
            weaver().begin();
        }
    }

    /**
     * Runs the static initialiser of a class before anything of it is replaced, so that its fields get their real values,
     * and not those that a test supposes.
     */
    private static void initialise(Class<?> type) {
        try {
            Class.forName(type.getName(), true, type.getClassLoader());
        } catch (ClassNotFoundException e) {
            throw new IllegalStateException("A loaded class is gone: " + type, e);
        } catch (LinkageError e) {
            Throwable cause = e.getCause() == null ? e : e.getCause();
            throw new MisuseException(
                    type.getSimpleName() + " cannot be replaced: its static initialiser failed with " + cause + ".",
                    "see to it that the class can be initialised, or wrap what it does in an interface",
                    e);
        }
    }

    static void end(SceneState scene) {
        if (ONLY.everywhere == scene) {
            ONLY.everywhere = null;
        }
        if (ONLY.users.remove(scene)) {
            weaver().end();
            for (Told told : scene.doubles()) {
                if (told.doubleClass().isWoven() && told.kind() == Kind.SPY) {
                    InPlace.release(told.self());
                }
            }
        }
    }

    /** The classes that run the real code though a scene replaces what they call, since the JVM lets nobody change them. */
    static List<String> unchanged(SceneState scene) {
        return ONLY.users.contains(scene)
                ? weaver().unchanged().stream().sorted().toList()
                : List.of();
    }

    static void unweave() {
        if (!ONLY.users.isEmpty()) {
            throw new MisuseException("An open scene still replaces something.", "close all scenes first");
        }
        Weaver.restoreAll();
    }

    static synchronized void claimEverywhere(SceneState scene) {
        SceneState other = ONLY.everywhere;
        if (other != null && other != scene) {
            throw new MisuseException(
                    "Another scene is everywhere already.", "close it first, or run these tests one by one");
        }
        ONLY.everywhere = scene;
    }

    static boolean isHollow(@Nullable Object object) {
        return object != null && HOLLOW.get(object) != null;
    }

    @Override
    public boolean canWeave(Method method) {
        return Jdk.has(method.getDeclaringClass()) ? Weavable.site(method) : Weavable.method(method);
    }

    @Override
    public void openToUs(Class<?> type) {
        weaver().openToUs(type);
    }

    private @Nullable Told whole(WovenMethod method, @Nullable Object self) {
        SceneState scene = SceneState.current();
        scene = scene == null ? everywhere : scene;
        if (scene == null) {
            ranForReal(method);
            return null;
        }
        for (Class<?> c = self == null ? method.owner() : self.getClass(); c != null; c = c.getSuperclass()) {
            Told told = scene.replaced(c);
            if (told != null) {
                return told;
            }
        }
        return null;
    }

    /** Tells the scenes that have replaced a method that it runs its real code on this thread, which is none of theirs. */
    private void ranForReal(WovenMethod method) {
        for (SceneState user : users) {
            Told told = user.replaced(method.owner());
            DoubledMethod found = find(told, method);
            if (found != null && told.hears(found)) {
                user.realRuns().add(told.name() + "." + found.signature());
            }
        }
    }

    private static @Nullable DoubledMethod find(@Nullable Participant participant, WovenMethod method) {
        if (participant == null || !participant.doubleClass().isWoven()) {
            return null;
        }
        DoubledMethod found = participant.doubleClass().find(method.name(), method.descriptor());
        // A method that calls the one it overrides is one call, not two.
        return found != null && found.executable().equals(method.executable()) ? found : null;
    }

    @Override
    public Object @Nullable [] called(WovenMethod method, @Nullable Object self, Object[] arguments) {
        if (!Guard.enter(method.executable())) {
            return null;
        }
        try {
            Participant single = self == null ? null : DoubleClass.participantOf(self);
            if (single != null && !single.doubleClass().isWoven()) {
                DoubledMethod itsFinal = single.doubleClass().findFinal(method.name(), method.descriptor());
                return itsFinal == null ? null : new Object[] {single.apply(itsFinal.index(), arguments)};
            }
            DoubledMethod ofSingle = find(single, method);
            Told whole = whole(method, self);
            DoubledMethod ofWhole = find(whole, method);
            Object[] ofAny = ofWhole == null ? arguments : withInstance(ofWhole, self, arguments);
            boolean wholeIsTold = ofWhole != null && whole.isTold(ofWhole, ofAny);
            if (Reading.here() && ofSingle == null) {
                // Code that only computes a value for a pattern is nobody's call.
                if (wholeIsTold) {
                    throw Reading.refusal(whole, ofWhole);
                }
                return null;
            }
            if (ofSingle != null && !wholeIsTold) {
                return new Object[] {single.apply(ofSingle.index(), arguments)};
            }
            if (ofWhole == null
                    || ofWhole.ofObject()
                    || isNameOfHollow(method)
                    || !whole.hears(ofWhole) && !isHollow(self)) {
                return null;
            }
            if (!wholeIsTold && Jdk.has(method.owner())) {
                // The JDK's code runs as it came: leading it through the engine could call what is being replaced.
                whole.recordOnly(ofWhole, ofAny);
                return null;
            }
            return new Object[] {whole.apply(ofWhole.index(), ofAny)};
        } finally {
            Guard.leave();
        }
    }

    private static boolean isNameOfHollow(WovenMethod method) {
        return switch (method.executable().getName()) {
            case "toString", "hashCode" -> method.executable().getParameterCount() == 0;
            case "equals" -> method.executable().getParameterCount() == 1;
            default -> false;
        };
    }

    private static Object[] withInstance(DoubledMethod method, @Nullable Object self, Object[] arguments) {
        if (!method.takesInstance()) {
            return arguments;
        }
        Object[] all = new Object[arguments.length + 1];
        all[0] = self;
        System.arraycopy(arguments, 0, all, 1, arguments.length);
        return all;
    }

    /**
     * Weaves the calls that the patterns of a class will replace, before methods of it run: code that runs already cannot be
     * changed any more.
     */
    static Map<Executable, String> prepare(Class<?> test) {
        List<Executable> replaced = new ArrayList<>();
        for (Executable named : PatternReader.replacedBy(test)) {
            boolean atSite = named instanceof Constructor || Jdk.has(named.getDeclaringClass());
            if (atSite && !(named instanceof Method method && !Weavable.site(method))) {
                replaced.add(named);
            }
        }
        try {
            return replaced.isEmpty() ? Map.of() : weaver().weaveSites(replaced);
        } catch (MisuseException e) {
            // The statement itself will say why nothing can be replaced here.
            return Map.of();
        }
    }

    private static void refuseRunning(@Nullable String place) {
        if (place != null) {
            throw new MisuseException(
                    "The call at " + place
                            + " would run the real code: it stands in a method that runs already, and the JVM"
                            + " does not change that any more.",
                    "open the scene before that method begins (with @WithDoubles, or in a @BeforeEach), or put the call into"
                            + " a method of its own");
        }
    }

    /** Weaves the final methods of a doubled class for the current scene. */
    private static void doubleFinals(DoubleClass type) {
        begin(type.superclass(), "A final method of " + type.doubledType().getSimpleName());
        type.finalsAsk();
    }

    /** As {@link #doubleFinals}, where an agent is there already: nobody waits for one just to be on the safe side. */
    static void doubleFinalsIfReady(DoubleClass type) {
        if (!type.finals().isEmpty() && SceneState.current() != null && isReady()) {
            doubleFinals(type);
        }
    }

    /** Whether an object of a class can be made without any of its constructors. */
    static boolean canBeBare(Class<?> type) {
        return !Jdk.has(type) || DoubleClass.canDouble(type);
    }

    /** An object without a constructor: for a class of the JDK, whose methods do not ask, a stub of its own. */
    private static Object bare(Class<?> type, Told whole) throws InstantiationException {
        if (Jdk.has(type)) {
            return whole.scene()
                    .make(Making.of(Kind.STUB, null, DoubleClass.of(type)))
                    .self();
        }
        Object hollow = Allocation.allocate(type);
        HOLLOW.put(hollow, true);
        return hollow;
    }

    @Override
    public Object @Nullable [] constructing(WovenMethod constructor, Object[] arguments) {
        if (!Guard.enter(constructor.executable())) {
            return null;
        }
        try {
            Told whole = whole(constructor, null);
            DoubledMethod method = find(whole, constructor);
            if (method == null || !whole.hears(method)) {
                return null;
            }
            if (Reading.here()) {
                if (whole.isTold(method, arguments)) {
                    throw Reading.refusal(whole, method);
                }
                return null;
            }
            Object becomes = whole.construct(method, arguments);
            if (becomes == null) {
                return null;
            }
            return new Object[] {becomes == Told.HOLLOW ? bare(constructor.owner(), whole) : becomes};
        } catch (Throwable e) {
            throw Sneaky.rethrow(e);
        } finally {
            Guard.leave();
        }
    }
}
