package dev.zelotype.engine.replace;

import dev.zelotype.engine.make.Allocation;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.InPlace;
import dev.zelotype.engine.make.Jdk;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.make.Reading;
import dev.zelotype.engine.make.Sneaky;
import dev.zelotype.engine.weave.Decider;
import dev.zelotype.engine.weave.Guard;
import dev.zelotype.engine.weave.WovenMethod;
import dev.zelotype.error.MisuseException;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * Leads calls of woven methods to the scene that replaced them: the one of the object, else the one of the thread.
 */
final class Switchboard implements Decider {

    private static final InPlace<Boolean> BARE = new InPlace<>();

    private final Set<ReplacingScene> users = ConcurrentHashMap.newKeySet();
    private volatile @Nullable ReplacingScene everywhere;

    /** Takes a scene in; false if it was known before. */
    boolean add(ReplacingScene scene) {
        return users.add(scene);
    }

    /** Lets a scene go; false if it was not known. */
    boolean remove(ReplacingScene scene) {
        if (everywhere == scene) {
            everywhere = null;
        }
        return users.remove(scene);
    }

    boolean has(ReplacingScene scene) {
        return users.contains(scene);
    }

    boolean isIdle() {
        return users.isEmpty();
    }

    synchronized void claimEverywhere(ReplacingScene scene) {
        ReplacingScene other = everywhere;
        if (other != null && other != scene) {
            throw new MisuseException(
                    "Another scene is everywhere already.", "close it first, or run these tests one by one");
        }
        everywhere = scene;
    }

    static boolean isBare(@Nullable Object object) {
        return object != null && BARE.get(object) != null;
    }

    /** The one who answers for the class of a call, in the scene to which this thread belongs, or null. */
    private @Nullable Participant whole(WovenMethod method, @Nullable Object self) {
        ReplacingScene scene = Seat.current();
        scene = scene == null ? everywhere : scene;
        if (scene == null) {
            ranForReal(method);
            return null;
        }
        for (Class<?> c = self == null ? method.owner() : self.getClass(); c != null; c = c.getSuperclass()) {
            Participant known = scene.replaced(c);
            if (known != null) {
                return known;
            }
        }
        return null;
    }

    /** Tells the scenes that have replaced a method that it runs its real code on this thread, which is none of theirs. */
    private void ranForReal(WovenMethod method) {
        for (ReplacingScene user : users) {
            Participant known = user.replaced(method.owner());
            DoubledMethod found = find(known, method);
            if (found != null && known.hears(found)) {
                user.ranReal(known.name() + "." + found.signature());
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
            Participant whole = whole(method, self);
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
                    || isNameOfBare(method)
                    || !whole.hears(ofWhole) && !isBare(self)) {
                return null;
            }
            if (!wholeIsTold && Jdk.has(method.owner())) {
                // The JDK's code runs as it came: leading it through the engine could call what is being replaced.
                whole.noteOnly(ofWhole, ofAny);
                return null;
            }
            return new Object[] {whole.apply(ofWhole.index(), ofAny)};
        } finally {
            Guard.leave();
        }
    }

    private static boolean isNameOfBare(WovenMethod method) {
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

    /** An object without a constructor. */
    private static Object bare(Class<?> type) throws InstantiationException {
        Object bare = Allocation.allocate(type);
        BARE.put(bare, true);
        return bare;
    }

    @Override
    public Object @Nullable [] constructing(WovenMethod constructor, Object[] arguments) {
        if (!Guard.enter(constructor.executable())) {
            return null;
        }
        try {
            Participant whole = whole(constructor, null);
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
            return new Object[] {becomes == Participant.BARE ? bare(constructor.owner()) : becomes};
        } catch (Throwable e) {
            throw Sneaky.rethrow(e);
        } finally {
            Guard.leave();
        }
    }
}
