package dev.zelotype.engine.weave;

import org.jspecify.annotations.Nullable;

/**
 * Keeps woven code from asking about the calls that the engine itself makes while it decides, on this thread; and lets a
 * call through to the real code once.
 */
public final class Guard {

    private static final ThreadLocal<State> STATES = new ThreadLocal<>();

    private static final class State {
        private boolean deciding;
        private @Nullable Object let;
    }

    private Guard() {}

    private static State state() {
        State state = STATES.get();
        if (state == null) {
            state = new State();
            STATES.set(state);
        }
        return state;
    }

    /** Begins a decision; false if the call is the engine's own, or is let through. */
    public static boolean enter(Object method) {
        State state = state();
        if (method.equals(state.let)) {
            state.let = null;
            return false;
        }
        if (state.deciding) {
            return false;
        }
        state.deciding = true;
        return true;
    }

    public static void leave() {
        state().deciding = false;
    }

    /** Code that may throw anything. */
    public interface Code {
        @Nullable
        Object run() throws Throwable;
    }

    /** Runs code of the test or its subject in the middle of a decision: its calls are asked about again. */
    public static @Nullable Object outside(Code code) throws Throwable {
        State state = state();
        boolean before = state.deciding;
        state.deciding = false;
        try {
            return code.run();
        } finally {
            state.deciding = before;
        }
    }

    /** Lets the next call of a method on this thread through to the real code. */
    public static void let(Object method) {
        state().let = method;
    }
}
