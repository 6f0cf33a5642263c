package dev.zelotype.engine.make;

import java.lang.ref.ReferenceQueue;
import java.lang.ref.WeakReference;
import java.util.Arrays;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Objects of real classes that a participant answers for, or with associated data: by identity, and without keeping
 * them alive. Safe for use from any thread.
 *
 * @param <V> the type of the associated data
 */
public final class InPlace<V> {

    /** The participants for objects whose own class is woven. */
    private static final InPlace<Answering[]> PARTICIPANTS = new InPlace<>();

    private final ConcurrentHashMap<Key, V> known = new ConcurrentHashMap<>();
    private final ReferenceQueue<Object> gone = new ReferenceQueue<>();

    public InPlace() {}

    /** A participant for an object. Its scene keeps it alive; one without a scene lives as long as the object. */
    private static final class Answering {
        private final WeakReference<Participant> weak;
        /** Only keeps it alive. */
        @SuppressWarnings("unused")
        private final @Nullable Participant lasting;

        Answering(Participant participant) {
            this.weak = new WeakReference<>(participant);
            this.lasting = participant.outlivesScenes() ? participant : null;
        }

        @Nullable
        Participant participant() {
            return weak.get();
        }
    }

    private static final class Key extends WeakReference<Object> {
        private final int hash;

        Key(Object object, @Nullable ReferenceQueue<Object> queue) {
            super(object, queue);
            this.hash = System.identityHashCode(object);
        }

        @Override
        public int hashCode() {
            return hash;
        }

        @Override
        public boolean equals(@Nullable Object other) {
            return this == other || other instanceof Key key && get() != null && get() == key.get();
        }
    }

    /**
     * The participant for an object on this thread, or null: the object's own double, else that of the nearest scene
     * that spies on it.
     */
    public static @Nullable Participant participantOf(Object object) {
        Answering[] all = PARTICIPANTS.get(object);
        if (all == null) {
            return null;
        }
        Participant nearest = null;
        int least = Integer.MAX_VALUE;
        for (Answering each : all) {
            Participant one = each.participant();
            int distance = one == null ? -1 : one.distance();
            if (distance >= 0 && (nearest == null || distance < least)) {
                nearest = one;
                least = distance;
            }
        }
        return nearest;
    }

    /** Adds a participant for an object, in addition to those of other scenes. */
    public static void answer(Object object, Participant participant) {
        PARTICIPANTS.change(object, known -> {
            Answering[] more = known == null ? new Answering[1] : Arrays.copyOf(known, known.length + 1);
            more[more.length - 1] = new Answering(participant);
            return more;
        });
    }

    /** Removes a participant for an object. */
    public static void release(Object object, Participant participant) {
        PARTICIPANTS.change(object, known -> {
            if (known == null) {
                return null;
            }
            Answering[] left = Arrays.stream(known)
                    .filter(each -> each.participant() != participant)
                    .toArray(Answering[]::new);
            return left.length == 0 ? null : left;
        });
    }

    /**
     * Whether any double is an object of a real class: such doubles are asked even while no scene is open.
     */
    public static boolean anyDoubleLives() {
        PARTICIPANTS.forgetGone();
        for (Answering[] all : PARTICIPANTS.known.values()) {
            for (Answering each : all) {
                Participant participant = each.participant();
                if (participant != null && participant.isObjectItself()) {
                    return true;
                }
            }
        }
        return false;
    }

    public @Nullable V get(Object object) {
        return known.isEmpty() ? null : known.get(new Key(object, null));
    }

    public void put(Object object, V value) {
        forgetGone();
        known.put(new Key(object, gone), value);
    }

    private void change(Object object, UnaryOperator<@Nullable V> change) {
        forgetGone();
        known.compute(new Key(object, gone), (key, before) -> change.apply(before));
    }

    private void forgetGone() {
        for (Object key = gone.poll(); key != null; key = gone.poll()) {
            known.remove(key);
        }
    }
}
