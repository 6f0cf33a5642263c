package dev.zelotype.challenged;

/** Tells whether a door is safe. */
public final class Latch {

    /** Holds the door. */
    public interface Bolt {
        boolean isShut();

        void push();
    }

    private final Bolt bolt;

    public Latch(Bolt bolt) {
        this.bolt = bolt;
    }

    /** Pushes it shut. */
    public void shut() {
        bolt.push();
    }

    /** Waits forever if the door is shut; returns true if it was open. */
    public boolean knock() {
        boolean shut = bolt.isShut();
        while (shut) {
            Thread.onSpinWait();
        }
        return true;
    }

    public boolean isSafe() {
        return bolt.isShut();
    }
}
