package dev.zelotype.engine.run;

import dev.zelotype.engine.journal.CallRecord;
import dev.zelotype.engine.journal.MethodLog;
import dev.zelotype.engine.make.DoubledMethod;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What one double is told and asked in one scene. A double that outlives scenes, or is used in an inner one, has a part for
 * each: what is said there counts first, then what was said around it. The part goes with its scene.
 */
final class Part {

    private final Told told;
    private final SceneState scene;
    private final MethodState[] states;

    Part(Told told, SceneState scene) {
        this.told = told;
        this.scene = scene;
        this.states = new MethodState[told.doubleClass().methodCount()];
    }

    Told told() {
        return told;
    }

    SceneState scene() {
        return scene;
    }

    /** The part of the nearest scene around this one in which anything was said or asked; null for the outermost. */
    @Nullable
    Part beneath() {
        if (scene == told.scene()) {
            return null;
        }
        for (SceneState around = scene.outer(); around != null && around != told.scene(); around = around.outer()) {
            Part known = around.knownPart(told);
            if (known != null) {
                return known;
            }
        }
        return told.ownPart();
    }

    /** The state of a method; made at its first use, since most methods of most doubles are never called. */
    MethodState state(DoubledMethod method) {
        MethodState state = states[method.index()];
        return state == null ? newState(method) : state;
    }

    private synchronized MethodState newState(DoubledMethod method) {
        MethodState state = states[method.index()];
        if (state == null) {
            state = new MethodState(new MethodLog(told, this, method, scene.ownerThread()));
            states[method.index()] = state;
        }
        return state;
    }

    /** The newest supposition that covers a call; what was said around this scene counts last. */
    @Nullable
    Supposition covering(DoubledMethod method, Object[] arguments) {
        for (Part part = this; part != null; part = part.beneath()) {
            MethodState state = part.states[method.index()];
            Supposition found = state == null ? null : state.covering(arguments);
            if (found != null) {
                return found;
            }
        }
        return null;
    }

    /** All suppositions about a method, the newest last. */
    List<Supposition> suppositions(DoubledMethod method) {
        List<Supposition> all = new ArrayList<>();
        for (Part part = this; part != null; part = part.beneath()) {
            MethodState state = part.states[method.index()];
            if (state != null) {
                all.addAll(0, List.of(state.suppositions()));
            }
        }
        return all;
    }

    /** All expectations about a method. */
    List<Expectation> expectations(DoubledMethod method) {
        List<Expectation> all = new ArrayList<>();
        for (Part part = this; part != null; part = part.beneath()) {
            MethodState state = part.states[method.index()];
            if (state != null) {
                all.addAll(List.of(state.expectations()));
            }
        }
        return all;
    }

    /** Whether any statement speaks of a method. */
    boolean isTold(DoubledMethod method) {
        for (Part part = this; part != null; part = part.beneath()) {
            MethodState state = part.states[method.index()];
            if (state != null && state.isTold()) {
                return true;
            }
        }
        return false;
    }

    /** Whether a statement covers a call. */
    boolean isTold(DoubledMethod method, Object[] arguments) {
        for (Expectation expectation : expectations(method)) {
            if (expectation.covers(arguments)) {
                return true;
            }
        }
        return covering(method, arguments) != null;
    }

    /** The states of the methods that were ever called or told anything. */
    List<MethodState> knownStates() {
        List<MethodState> known = new ArrayList<>();
        for (MethodState state : states) {
            if (state != null) {
                known.add(state);
            }
        }
        return known;
    }

    List<CallRecord> calls() {
        List<CallRecord> calls = new ArrayList<>();
        for (MethodState state : states) {
            if (state != null) {
                calls.addAll(state.log().calls());
            }
        }
        return calls;
    }

    /** The calls of the other methods that have the name of one. */
    List<CallRecord> callsOfOverloads(DoubledMethod method) {
        List<CallRecord> calls = new ArrayList<>();
        for (MethodState state : knownStates()) {
            DoubledMethod other = state.log().method();
            if (other != method && other.name().equals(method.name())) {
                calls.addAll(state.log().calls());
            }
        }
        return calls;
    }
}
