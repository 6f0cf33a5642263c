package dev.zelotype.engine.replace;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.basics.KotlinCode;
import dev.zelotype.engine.make.Allocation;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.InPlace;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.make.Reading;
import dev.zelotype.engine.make.Rethrow;
import dev.zelotype.engine.make.Unrecorded;
import dev.zelotype.engine.weave.Decider;
import dev.zelotype.engine.weave.Initializers;
import dev.zelotype.engine.weave.WovenMethod;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * Routes calls of woven methods to their participant: the object's own double, a spy on the object in one of this
 * thread's scenes, or the double of the class in one of these scenes. Nothing else decides.
 */
final class Switchboard implements Decider {

    private static final InPlace<Boolean> BARE = new InPlace<>();

    private final Set<ReplacingScene> users = ConcurrentHashMap.newKeySet();

    /** Adds a scene; returns false if it is already known. */
    boolean add(ReplacingScene scene) {
        return users.add(scene);
    }

    /** Removes a scene; returns false if it is unknown. */
    boolean remove(ReplacingScene scene) {
        return users.remove(scene);
    }

    boolean has(ReplacingScene scene) {
        return users.contains(scene);
    }

    boolean isIdle() {
        return users.isEmpty();
    }

    static boolean isBare(@Nullable Object object) {
        return object != null && BARE.get(object) != null;
    }

    /** A participant that receives a call, with the method and the arguments in its own form. */
    private record Hearer(Participant who, DoubledMethod method, Object[] arguments) {

        boolean isCovered() {
            return who.isCovered(method, arguments);
        }
    }

    /** The participants for the class of a call in the scenes of this thread, the innermost scene first. */
    private List<Hearer> wholes(WovenMethod method, @Nullable Object self, Object[] arguments) {
        ReplacingScene scene = Seat.current();
        if (scene == null) {
            ranForReal(method);
            return List.of();
        }
        if (method.calling() != null && scene.isRunners(method)) {
            return List.of();
        }
        Hearer first = null;
        List<Hearer> more = List.of();
        for (Class<?> c = self == null ? method.owner() : self.getClass(); c != null; c = c.getSuperclass()) {
            Hearer hearer = whole(scene, c, method, self, arguments);
            if (hearer != null && first == null) {
                first = hearer;
            } else if (hearer != null) {
                more = more.isEmpty() ? new ArrayList<>(List.of(first)) : more;
                more.add(hearer);
            }
        }
        return first == null ? List.of() : more.isEmpty() ? List.of(first) : more;
    }

    /**
     * The participant for a class in the nearest scene that receives the call; it knows the statements of enclosing
     * scenes.
     */
    private static @Nullable Hearer whole(
            ReplacingScene scene, Class<?> type, WovenMethod method, @Nullable Object self, Object[] arguments) {
        for (ReplacingScene each = scene; each != null; each = each.seat().outer()) {
            Participant known = each.replaced(type);
            DoubledMethod found = find(known, method);
            if (found != null) {
                return !found.ofObject() && (known.receives(found) || isBare(self))
                        ? new Hearer(known, found, withInstance(found, self, arguments))
                        : null;
            }
        }
        return null;
    }

    /**
     * Notifies the scenes that have replaced a method that it runs its real code on this thread, which belongs to none
     * of them.
     */
    private void ranForReal(WovenMethod method) {
        Seat here = Seat.here();
        if (Unrecorded.here() || here != null && here.isApart()) {
            return;
        }
        boolean leftOver = here != null && here.isLeftOver();
        for (ReplacingScene user : users) {
            Participant known = user.replaced(method.owner());
            DoubledMethod found = find(known, method);
            if (found != null && known.receives(found)) {
                user.ranReal(known.name() + "." + found.signature(), leftOver);
            }
        }
    }

    private static @Nullable DoubledMethod find(@Nullable Participant participant, WovenMethod method) {
        if (participant == null || !participant.doubleClass().isWoven()) {
            return null;
        }
        DoubledMethod found = participant.doubleClass().find(method.name(), method.descriptor());
        // A method that calls the one it overrides counts as one call, not two.
        return found != null && found.executable().equals(method.executable()) ? found : null;
    }

    @Override
    public Object @Nullable [] called(WovenMethod method, @Nullable Object self, Object[] arguments) {
        if (KotlinCode.isSuspending(method.descriptor())
                && KotlinCode.resumes(method.owner(), method.name(), arguments)) {
            return null;
        }
        Participant single = self == null ? null : DoubleClass.participantOf(self);
        if (single != null && !single.doubleClass().isWoven()) {
            DoubledMethod itsFinal = single.doubleClass().findFinal(method.name(), method.descriptor());
            return itsFinal == null ? null : new Object[] {single.apply(itsFinal.index(), arguments)};
        }
        DoubledMethod ofSingle = find(single, method);
        List<Hearer> wholes = wholes(method, self, arguments);
        if (wholes.isEmpty() && ofSingle == null) {
            return null;
        }
        if (ofSingle == null && wholes.size() == 1 && !Reading.here()) {
            return answered(wholes.get(0), method);
        }
        Hearer told = told(wholes);
        if (Reading.here() && ofSingle == null) {
            // Code that only computes a value for a pattern makes no call of the subject.
            if (told != null) {
                throw Reading.refusal(told.who(), told.method());
            }
            return null;
        }
        Hearer itself = ofSingle == null ? null : new Hearer(single, ofSingle, arguments);
        Hearer answering = told != null ? told : itself != null ? itself : wholes.get(0);
        if (DoubledMethod.isOfObject(method.executable()) && ofSingle == null) {
            return null;
        }
        if (itself != null && !ofSingle.ofObject()) {
            note(itself, answering, told != null);
        }
        for (Hearer each : wholes) {
            note(each, answering, told != null);
        }
        if (told == null && itself == null && CodeOwner.isOfJdk(method.owner())) {
            // The JDK's code runs unchanged, because some of it depends on its caller.
            answering.who().noteOnly(answering.method(), answering.arguments(), false);
            return null;
        }
        if (told != null) {
            noteInitializer(method, told);
        }
        return new Object[] {answering.who().apply(answering.method().index(), answering.arguments())};
    }

    /** The only receiver of the call answers it. */
    private static Object @Nullable [] answered(Hearer only, WovenMethod method) {
        if (DoubledMethod.isOfObject(method.executable())) {
            return null;
        }
        noteInitializer(method, only);
        // The JDK's code runs unchanged, because some of it depends on its caller.
        return only.who().answer(only.method(), only.arguments(), CodeOwner.isOfJdk(method.owner()));
    }

    /** Records a call for a participant that receives it while another one answers. */
    private static void note(Hearer one, Hearer answering, boolean told) {
        if (one.who() != answering.who() && one.who().receives(one.method())) {
            one.who().noteOnly(one.method(), one.arguments(), told);
        }
    }

    /**
     * The participant with a statement that covers the call; checked only once, because that runs conditions of the
     * test.
     */
    private static @Nullable Hearer told(List<Hearer> wholes) {
        for (Hearer each : wholes) {
            if (each.isCovered()) {
                return each;
            }
        }
        return null;
    }

    /** Records a class whose static initializer sees a replacement, because its fields keep the value. */
    private static void noteInitializer(WovenMethod method, Hearer answering) {
        ReplacingScene scene = Seat.current();
        if (scene != null && !Unrecorded.here()) {
            Initializers.Found found = scene.initializer();
            if (found != null && answering.isCovered()) {
                scene.initializedWith(found, method);
            }
        }
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

    /** An object made without a constructor. */
    private static Object bare(Class<?> type) throws InstantiationException {
        Object bare = Allocation.allocate(type);
        BARE.put(bare, true);
        return bare;
    }

    @Override
    public Object @Nullable [] constructing(WovenMethod constructor, Object[] arguments) {
        try {
            List<Hearer> wholes = wholes(constructor, null, arguments);
            if (wholes.isEmpty()) {
                return null;
            }
            if (Reading.here()) {
                Hearer told = told(wholes);
                if (told != null) {
                    throw Reading.refusal(told.who(), told.method());
                }
                return null;
            }
            // A constructor is not inherited, so only its own class receives it.
            Hearer answering = wholes.get(0);
            noteInitializer(constructor, answering);
            Object becomes = answering.who().construct(answering.method(), arguments);
            if (becomes == null) {
                return null;
            }
            return new Object[] {becomes == Participant.BARE ? bare(constructor.owner()) : becomes};
        } catch (Throwable e) {
            throw Rethrow.rethrow(e);
        }
    }
}
