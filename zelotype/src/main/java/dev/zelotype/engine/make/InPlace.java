package dev.zelotype.engine.make;

import java.lang.ref.ReferenceQueue;
import java.lang.ref.WeakReference;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * Objects of real classes for which somebody else answers, or of which something is to be remembered: by identity, and
 * without keeping them alive. Safe for use from any thread.
 *
 * @param <V> what is known of an object
 */
public final class InPlace<V> {

    /** Who answers for objects whose own class is woven. Those are kept by their scenes, and go with them. */
    private static final InPlace<WeakReference<Participant>> PARTICIPANTS = new InPlace<>();

    private final ConcurrentHashMap<Key, V> known = new ConcurrentHashMap<>();
    private final ReferenceQueue<Object> gone = new ReferenceQueue<>();

    public InPlace() {}

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

    /** Who answers for an object in its own place, or null. */
    public static @Nullable Participant participantOf(Object object) {
        WeakReference<Participant> known = PARTICIPANTS.get(object);
        return known == null ? null : known.get();
    }

    /** Lets somebody answer for an object from now on. */
    public static void answer(Object object, Participant participant) {
        PARTICIPANTS.put(object, new WeakReference<>(participant));
    }

    /** Lets an object answer for itself again. */
    public static void release(Object object) {
        PARTICIPANTS.remove(object);
    }

    public @Nullable V get(Object object) {
        return known.isEmpty() ? null : known.get(new Key(object, null));
    }

    public void put(Object object, V value) {
        forgetGone();
        known.put(new Key(object, gone), value);
    }

    public void remove(Object object) {
        known.remove(new Key(object, null));
    }

    private void forgetGone() {
        for (Object key = gone.poll(); key != null; key = gone.poll()) {
            known.remove(key);
        }
    }
}
