package dev.zelotype.engine.decide;

import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.make.DoubledMethod;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The statements and calls of one double in one scene. A double that outlives scenes, or is used in an inner one, has a
 * part for each: the innermost statements have priority. The part ends with its scene.
 */
public final class Part {

    private final DoubleState owner;
    private final CallScene scene;
    private final MethodState[] states;
    private volatile boolean watched;

    Part(DoubleState owner, CallScene scene) {
        this.owner = owner;
        this.scene = scene;
        this.states = new MethodState[owner.doubleClass().methodCount()];
    }

    /** The double. */
    public DoubleState owner() {
        return owner;
    }

    public CallScene scene() {
        return scene;
    }

    /** The part of the nearest enclosing scene with statements or calls; null for the outermost. */
    @Nullable
    Part outerPart() {
        if (owner.isInPlace()) {
            return outerPartInPlace();
        }
        if (scene == owner.scene()) {
            return null;
        }
        for (CallScene around = scene.outer(); around != null && around != owner.scene(); around = around.outer()) {
            Part known = around.knownPart(owner);
            if (known != null) {
                return known;
            }
        }
        // Statements of a scene end with it.
        return owner.scene().closed() ? null : owner.ownPart();
    }

    private @Nullable Part outerPartInPlace() {
        for (CallScene around = scene.outer(); around != null; around = around.outer()) {
            DoubleState known = around.knownInPlace(owner.self());
            if (known != null) {
                return known.ownPart();
            }
        }
        return null;
    }

    /** From now on records all calls of a class, not only those that a statement covers. */
    public void watch() {
        watched = true;
    }

    /** Whether calls of a method of a replaced class are recorded. */
    public boolean receives(DoubledMethod method) {
        for (Part part = this; part != null; part = part.outerPart()) {
            MethodState state = part.states[method.index()];
            if (part.watched || state != null && state.isCovered()) {
                return true;
            }
        }
        return false;
    }

    /** The state of a method; created at its first use, because most methods of most doubles are never called. */
    public MethodState state(DoubledMethod method) {
        MethodState state = states[method.index()];
        return state == null ? newState(method) : state;
    }

    private synchronized MethodState newState(DoubledMethod method) {
        MethodState state = states[method.index()];
        if (state == null) {
            state = new MethodState(this, method);
            states[method.index()] = state;
        }
        return state;
    }

    /** The newest rule that covers a call; rules of outer scenes count last. */
    public @Nullable Rule covering(DoubledMethod method, Object[] arguments) {
        for (Part part = this; part != null; part = part.outerPart()) {
            MethodState state = part.states[method.index()];
            Rule found = state == null ? null : state.covering(arguments);
            if (found != null) {
                return found;
            }
        }
        return null;
    }

    /** All rules of a method, the newest last. */
    public List<Rule> rules(DoubledMethod method) {
        List<Rule> all = new ArrayList<>();
        for (Part part = this; part != null; part = part.outerPart()) {
            MethodState state = part.states[method.index()];
            if (state != null) {
                all.addAll(0, List.of(state.rules()));
            }
        }
        return all;
    }

    /** All demands of a method. */
    public List<Demand> demands(DoubledMethod method) {
        List<Demand> all = new ArrayList<>();
        for (Part part = this; part != null; part = part.outerPart()) {
            MethodState state = part.states[method.index()];
            if (state != null) {
                all.addAll(List.of(state.demands()));
            }
        }
        return all;
    }

    /** Whether a statement covers a call. */
    boolean isCovered(DoubledMethod method, Object[] arguments) {
        for (Demand demand : demands(method)) {
            if (demand.covers(arguments)) {
                return true;
            }
        }
        return covering(method, arguments) != null;
    }

    /** The states of the methods that have statements or calls. */
    public List<MethodState> knownStates() {
        List<MethodState> known = new ArrayList<>();
        for (MethodState state : states) {
            if (state != null) {
                known.add(state);
            }
        }
        return known;
    }

    public List<Call> calls() {
        List<Call> calls = new ArrayList<>();
        for (MethodState state : knownStates()) {
            calls.addAll(state.calls());
        }
        return calls;
    }

    /** The rules of the overloads of a method. */
    List<Rule> rulesOfOverloads(DoubledMethod method) {
        List<Rule> rules = new ArrayList<>();
        overloads(method).forEach(state -> rules.addAll(List.of(state.rules())));
        return rules;
    }

    /** The calls of the overloads of a method. */
    public List<Call> callsOfOverloads(DoubledMethod method) {
        List<Call> calls = new ArrayList<>();
        overloads(method).forEach(state -> calls.addAll(state.calls()));
        return calls;
    }

    private List<MethodState> overloads(DoubledMethod method) {
        List<MethodState> overloads = new ArrayList<>();
        for (MethodState state : knownStates()) {
            if (state.method() != method && state.method().name().equals(method.name())) {
                overloads.add(state);
            }
        }
        return overloads;
    }
}
