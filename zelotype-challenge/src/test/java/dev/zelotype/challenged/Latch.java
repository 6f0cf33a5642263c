package dev.zelotype.challenged;

/** Tells whether a door is safe. */
public final class Latch {

    /** What holds the door. */
    public interface Bolt {
        boolean isShut();
    }

    private final Bolt bolt;

    public Latch(Bolt bolt) {
        this.bolt = bolt;
    }

    public boolean isSafe() {
        return bolt.isShut();
    }
}
