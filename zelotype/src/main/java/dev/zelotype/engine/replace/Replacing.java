package dev.zelotype.engine.replace;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.InPlace;
import dev.zelotype.engine.make.Members;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.make.VariableNames;
import dev.zelotype.engine.weave.Weavable;
import dev.zelotype.engine.weave.Weaver;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Proxy;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Which classes and objects are replaced: starts and ends replacements.
 */
public final class Replacing {

    private static final Switchboard CALLS = new Switchboard();
    private static final Tasks TASKS = new Tasks();

    private static final ClassValue<DoubleClass> WHOLES = new ClassValue<>() {
        @Override
        protected DoubleClass computeValue(Class<?> type) {
            return WovenClasses.asWhole(type);
        }
    };
    private static final ClassValue<DoubleClass> INSTANCES = new ClassValue<>() {
        @Override
        protected DoubleClass computeValue(Class<?> type) {
            return WovenClasses.asInstance(type);
        }
    };

    private Replacing() {}

    private static Weaver weaver() {
        try {
            return Weaver.get(CALLS, TASKS);
        } catch (NoClassDefFoundError e) {
            throw new MisuseException(
                    "Nothing can be replaced here: this JVM lacks the module java.instrument.",
                    "add it to the run-time image (jlink --add-modules java.instrument), or start the JVM with"
                            + " --add-modules java.instrument",
                    e);
        }
    }

    /** Gives us access to a class, whatever its module. */
    static void openToUs(Class<?> type) {
        weaver().openToUs(type);
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
    public static boolean canReplace(Class<?> type) {
        return !type.isPrimitive()
                && !type.isArray()
                && !type.isHidden()
                && !type.isInterface()
                && !Modifier.isAbstract(type.getModifiers())
                && !Proxy.isProxyClass(type)
                && !CodeOwner.isOfJdk(type);
    }

    /** Whether a method or constructor of a class could be replaced at all; the class is not changed. */
    public static boolean canReplace(Class<?> type, String name, String descriptor) {
        return Weavable.calls(type, name, descriptor);
    }

    /** A class whose objects are spied on themselves, in the current scene. */
    public static DoubleClass ofInstance(Class<?> type) {
        begin(sceneFor("An object of " + VariableNames.simpleName(type)), type);
        return INSTANCES.get(type);
    }

    /** A class whose objects can be doubles made without constructors, in a scene or outside any. */
    public static DoubleClass ofDoubles(Class<?> type) {
        initialize(type);
        weaver().weave(type);
        return INSTANCES.get(type);
    }

    /** Records that a double was made that is an object of a woven class: it answers as long as it lives. */
    public static void doubleLives() {
        weaver().letMethodsAsk(InPlace.anyDoubleLives());
    }

    /**
     * The participant for a class as a whole in the current scene.
     *
     * @param mayBegin whether to replace the class now, unless that is done
     */
    public static Participant whole(Class<?> type, boolean mayBegin) {
        ReplacingScene scene = sceneFor(VariableNames.simpleName(type));
        Participant known = scene.replaced(type);
        if (known != null) {
            return known;
        }
        if (!mayBegin && !isReplacedAround(scene, type)) {
            throw notWatched(VariableNames.simpleName(type), VariableNames.simpleName(type));
        }
        begin(scene, type);
        return scene.replace(type, WHOLES.get(type));
    }

    private static boolean isReplacedAround(ReplacingScene scene, Class<?> type) {
        for (ReplacingScene around = scene;
                around != null;
                around = around.seat().outer()) {
            if (around.replaced(type) != null) {
                return true;
            }
        }
        return false;
    }

    /** The participants for a class as a whole in the scenes of this thread, the innermost first. */
    public static @Nullable Participant nearest(Class<?> type) {
        for (ReplacingScene scene = Seat.current();
                scene != null;
                scene = scene.seat().outer()) {
            Participant known = scene.replaced(type);
            if (known != null) {
                return known;
            }
        }
        return null;
    }

    /**
     * As {@link #whole(Class, boolean)}; also replaces calls of one of its methods, at the call sites if necessary.
     */
    public static Participant whole(Class<?> type, String name, String descriptor, boolean mayBegin) {
        Participant whole = whole(type, mayBegin);
        DoubledMethod method = whole.doubleClass().find(name, descriptor);
        if (mayBegin && method != null && !method.isWovenItself()) {
            ReplacingScene scene = sceneFor(VariableNames.simpleName(type));
            weaver().weaveSites(List.of(method.executable()), scene.carriesTasks());
            scene.refuseIfRunning(method.executable());
        }
        return whole;
    }

    /** The participant that records all calls of a class from now on. */
    public static Participant watched(Class<?> type) {
        if (CodeOwner.isOfJdk(type)) {
            throw new MisuseException(
                    type.getName() + " belongs to the JDK, which calls it itself all the time.",
                    "suppose the call in question, with callsReal() if it is to stay as it is");
        }
        Participant whole = whole(type, true);
        List<Constructor<?>> constructors = Arrays.stream(Members.constructors(type))
                .filter(each -> !Weavable.isTooWide(each))
                .toList();
        weaver().weaveSites(constructors, false);
        return whole;
    }

    /** Refuses a check of past calls that were not recorded. */
    public static MisuseException notWatched(String what, String typeName) {
        return new MisuseException(
                what + " was not watched, so its earlier calls are unknown.",
                "write watch(" + typeName + ".class) before the subject runs, or suppose or expect the call");
    }

    private static ReplacingScene sceneFor(String what) {
        ReplacingScene scene = Seat.current();
        if (scene == null) {
            throw new MisuseException(
                    what + " cannot be replaced outside any scene: it would never be restored.",
                    "annotate the test class with @WithDoubles, or write try (Scene scene = Scene.open()) { ... }");
        }
        return scene;
    }

    /** Weaves a class for a scene. */
    private static void begin(ReplacingScene scene, Class<?> type) {
        initialize(type);
        weaver().weave(type);
        takePart(scene);
    }

    /** Makes woven code ask as long as a scene is open. */
    static void takePart(ReplacingScene scene) {
        if (CALLS.add(scene)) {
            weaver().begin();
            if (scene.carriesTasks()) {
                weaver().weaveTasks();
            }
        }
    }

    /**
     * Runs the static initializer of a class before anything of it is replaced, and outside any scene, so that its
     * fields get their real values, and not those that a test supposes.
     */
    private static void initialize(Class<?> type) {
        Seat before = Seat.here();
        Seat.goApart();
        try {
            Class.forName(type.getName(), true, type.getClassLoader());
        } catch (ClassNotFoundException e) {
            throw new IllegalStateException("A loaded class is gone: " + type, e);
        } catch (LinkageError e) {
            Throwable cause = e.getCause() == null ? e : e.getCause();
            throw new MisuseException(
                    VariableNames.simpleName(type) + " cannot be replaced: its static initializer failed with " + cause
                            + ".",
                    "make the class initialize in tests, or put an interface in front of it",
                    e);
        } finally {
            Seat.sit(before);
        }
    }

    static void end(ReplacingScene scene) {
        if (CALLS.remove(scene)) {
            weaver().end();
            weaver().letMethodsAsk(InPlace.anyDoubleLives());
        }
    }

    /**
     * The place of a call of a replaced method that is still to come in a running method, and so runs the real code; or
     * null.
     */
    static @Nullable String toCome(Executable replaced, ReplacingScene scene) {
        return weaver().toCome(replaced, scene.opening(), scene.seat());
    }

    /** The classes that run the real code although a scene replaces what they call. */
    static List<String> unchanged(ReplacingScene scene) {
        return CALLS.has(scene) ? weaver().unchanged().stream().sorted().toList() : List.of();
    }

    public static void unweave() {
        if (!CALLS.isIdle()) {
            throw new MisuseException("An open scene still replaces something.", "close all scenes first");
        }
        Weaver.restoreAll();
    }

    /** Whether an object was made without any of its constructors. */
    public static boolean isBare(@Nullable Object object) {
        return Switchboard.isBare(object);
    }

    /**
     * Weaves the calls that the patterns of a class will replace, before its methods run: running code cannot be
     * changed any more.
     *
     * @param named the methods and constructors that the patterns name
     * @param scene the scene of the replacements
     */
    static void prepare(List<Executable> named, ReplacingScene scene) {
        List<Executable> atSites = new ArrayList<>();
        for (Executable each : named) {
            boolean atSite = each instanceof Constructor || CodeOwner.isOfJdk(each.getDeclaringClass());
            if (atSite && !(each instanceof Method method && !Weavable.site(method))) {
                atSites.add(each);
            }
        }
        try {
            if (!atSites.isEmpty()) {
                weaver().weaveSites(atSites, scene.carriesTasks());
            }
        } catch (MisuseException e) {
            // The statement itself will report why nothing can be replaced here.
            return;
        }
    }

    /** Weaves the final methods of a doubled class for the current scene. */
    public static void doubleFinals(DoubleClass type) {
        begin(sceneFor("A final method of " + VariableNames.simpleName(type.doubledType())), type.superclass());
        type.finalsAreWoven();
    }

    /** As {@link #doubleFinals}, if an agent is already there: attaching one just in case would take too long. */
    public static void doubleFinalsIfReady(DoubleClass type) {
        if (!type.finals().isEmpty() && Seat.current() != null && isReady()) {
            doubleFinals(type);
        }
    }

    /** Whether an object of a class can be made without any of its constructors. */
    public static boolean canBeBare(Class<?> type) {
        return !runsJdkCode(type) || DoubleClass.canDouble(type);
    }

    /** Whether objects of a class run code of the JDK, which is not woven, on fields that a constructor must set. */
    public static boolean runsJdkCode(Class<?> type) {
        for (Class<?> c = type; c != null && c != Object.class && c != Record.class; c = c.getSuperclass()) {
            if (CodeOwner.isOfJdk(c)) {
                return true;
            }
        }
        return false;
    }
}
