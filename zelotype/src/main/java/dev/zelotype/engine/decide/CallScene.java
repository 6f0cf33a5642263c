package dev.zelotype.engine.decide;

import dev.zelotype.conversation.Ending;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.calls.CallLog;
import dev.zelotype.engine.calls.MethodLog;
import dev.zelotype.engine.decide.facts.Count;
import dev.zelotype.engine.decide.facts.InitializedClasses;
import dev.zelotype.engine.decide.facts.LateCalls;
import dev.zelotype.engine.decide.facts.Settings;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.explain.StableValues;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.InPlace;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.make.Rethrow;
import dev.zelotype.engine.make.VariableNames;
import dev.zelotype.engine.replace.Replacing;
import dev.zelotype.engine.replace.ReplacingScene;
import dev.zelotype.engine.replace.Seat;
import dev.zelotype.engine.weave.Initializers;
import dev.zelotype.engine.weave.WovenMethod;
import dev.zelotype.error.MisuseException;
import dev.zelotype.error.UnexpectedCall;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.jspecify.annotations.Nullable;

/**
 * The part of a scene that receives calls: its doubles, their statements, and the log of their calls. Safe for use from
 * any thread.
 */
public class CallScene extends ReplacingScene {

    private static final int MOST_OWN_CODE = 10;

    static {
        Recursion.load();
    }

    private final String title;
    private final boolean open;
    private final Settings settings;
    private final boolean worded;
    private final CallLog log;
    private final Demands demands = new Demands(this);
    /** The statements and calls in this scene of doubles from other scenes. */
    private final Map<DoubleState, Part> guests = new ConcurrentHashMap<>();

    private final List<DoubleState> doubles = new ArrayList<>();
    /** The test's own suppositions, and which of them may remain unused. */
    private final List<Rule> supposed = new ArrayList<>();

    private final UnassignedCalls unowned = new UnassignedCalls();
    private final InitializedClasses initialized = new InitializedClasses();
    private final Map<Call, Exception> ownCodeThrew = new LinkedHashMap<>();
    private final List<FailureText> refusals = new ArrayList<>();
    private final List<Whole> wholes = new CopyOnWriteArrayList<>();
    private volatile boolean closed;
    private volatile boolean shared;
    private final OwnEmptyValues emptyValues;
    private volatile @Nullable Disturber disturber;

    /** A double for which the test excluded other calls, and the place of that statement. */
    public record Whole(String receiver, String place) {}

    /**
     * Starts a scene.
     *
     * @param title its title in messages; empty to name it after its doubles
     * @param open whether it is a scene that is opened and closed, rather than the home of a double outside any
     * @param settings its settings
     * @param worded whether calls are converted to text immediately
     */
    protected CallScene(String title, boolean open, Settings settings, boolean worded) {
        this.title = title;
        this.open = open;
        this.settings = settings;
        this.emptyValues = new OwnEmptyValues(settings.emptyValue());
        this.worded = worded;
        this.log = new CallLog(settings.linesOfCalls());
    }

    /** The scene that is open on this thread or on the one that started it, or null. */
    public static @Nullable CallScene current() {
        return (CallScene) Seat.ofThread();
    }

    /** The nearest enclosing scene that is still open, or null. */
    final @Nullable CallScene outer() {
        return (CallScene) seat().outer();
    }

    /** The scene of a statement made now, on this thread, about a double of this scene. */
    final CallScene ofStatement() {
        CallScene current = (CallScene) Seat.current();
        boolean elsewhere =
                current != null && current != this && (!open || current.seat().isWithin(seat()));
        return elsewhere && !closed ? current : this;
    }

    /**
     * The scene of a call made now, on this thread, to a double of this scene. A double from outside any scene may be
     * called by a thread without a scene; if exactly one scene is open, the call belongs to that.
     */
    final CallScene ofCall() {
        if (isSettingUp()) {
            return this;
        }
        CallScene scene = ofStatement();
        CallScene only = scene == this && !open && !Seat.isLeftOverHere() ? (CallScene) Seat.onlyOpen() : null;
        return only == null ? scene : only;
    }

    /** Whether the owner of its doubles is still being set up, so that calls belong to no test. */
    protected boolean isSettingUp() {
        return false;
    }

    /** Notifies all open scenes of a call that belongs to none of them, or possibly to one. */
    static void unassignedCall(DoubleState owner, DoubledMethod method, Object[] arguments) {
        for (ReplacingScene each : Seat.allOpen()) {
            ((CallScene) each).unowned.add(owner, method, arguments);
        }
    }

    /** The calls of doubles from outside any scene whose scene is unknown. */
    public final UnassignedCalls unowned() {
        return unowned;
    }

    /** The statements and calls in this scene of a double from another scene. */
    final Part part(DoubleState guest) {
        if (guest.isInPlace()) {
            return taken(guest).ownPart();
        }
        Part known = guests.get(guest);
        if (known != null) {
            return known;
        }
        guest.scene().hasBeenShared();
        return guests.computeIfAbsent(guest, one -> new Part(one, this));
    }

    /** The double that answers in this scene for an object or class that an enclosing scene spies on or replaces. */
    private synchronized DoubleState taken(DoubleState around) {
        for (DoubleState each : doubles) {
            if (each.isInPlace() && each.self() == around.self()) {
                return each;
            }
        }
        takePart();
        if (around.self() instanceof Class<?> type && around.isOfClass()) {
            return (DoubleState) replace(type, around.doubleClass());
        }
        DoubleState made = make(NewDouble.inPlace(around.name(), around.doubleClass(), around.self()));
        made.observes();
        return made;
    }

    /** The double with its own statements that answers for an object in an enclosing scene; null if there is none. */
    final @Nullable DoubleState knownAround(Object self) {
        for (CallScene each = outer(); each != null; each = each.outer()) {
            DoubleState known = each.knownInPlace(self);
            if (known != null && !known.onlyObserves()) {
                return known;
            }
        }
        return null;
    }

    /**
     * The double that answers in this scene for an object or class, no matter which scene started that; null if there
     * is none.
     */
    final @Nullable DoubleState knownInPlace(Object self) {
        if (self instanceof Class<?> type && replaced(type) instanceof DoubleState whole) {
            return whole;
        }
        for (DoubleState each : doubles()) {
            if (each.isInPlace() && each.self() == self) {
                return each;
            }
        }
        return null;
    }

    /** Records that a scene has used a double from outside any: from then on, statements outside are refused. */
    private void hasBeenShared() {
        shared = true;
    }

    /** Whether a scene has used a double from outside any. */
    public final boolean isShared() {
        return shared;
    }

    /** The part of a double in the enclosing scene that sees its calls as well; null if there is none. */
    final @Nullable Part around(DoubleState one) {
        CallScene around = outer();
        if (around == null || this == one.scene() && !one.isInPlace()) {
            return null;
        }
        if (one.isInPlace()) {
            DoubleState known = around.knownInPlace(one.self());
            boolean knows = known != null && !known.onlyObserves() || around.knownAround(one.self()) != null;
            return knows ? around.part(one) : null;
        }
        if (around == one.scene()) {
            return one.ownPart();
        }
        boolean knows =
                !one.scene().isOpenScene() || around.seat().isWithin(one.scene().seat());
        return knows ? around.part(one) : null;
    }

    final @Nullable Part knownPart(DoubleState guest) {
        return guests.get(guest);
    }

    /** Makes a double in this scene. */
    public final synchronized DoubleState make(NewDouble order) {
        if (closed) {
            throw new MisuseException(
                    "A double of " + VariableNames.simpleName(order.type().doubledType())
                            + " was requested from a closed scene.",
                    "make it before the scene is closed");
        }
        DoubleState known = order.isInPlace() ? knownInPlace(order.real()) : null;
        if (known != null) {
            // It belonged to an enclosing scene that is closed by now.
            known.isSaid();
            return known;
        }
        Replacing.doubleFinalsIfReady(order.type());
        DoubleState made = new DoubleState(order, this);
        doubles.add(made);
        return made;
    }

    /** The number of a double among those with the same name, from 1. */
    final synchronized int numberOf(DoubleState one) {
        int number = 1;
        for (DoubleState each : doubles) {
            if (each == one) {
                break;
            }
            number += each.baseName().equals(one.baseName()) ? 1 : 0;
        }
        return number;
    }

    @Override
    protected final Participant doubleOfClass(Class<?> type, DoubleClass woven) {
        return make(NewDouble.inPlace(VariableNames.simpleName(type), woven, type));
    }

    @Override
    protected final void initializedWith(Initializers.Found found, WovenMethod replaced) {
        initialized.add(title(), found, replaced);
    }

    final InitializedClasses initialized() {
        return initialized;
    }

    @Override
    protected final boolean carriesTasks() {
        return settings.tasksFollow();
    }

    final OwnEmptyValues emptyValues() {
        return emptyValues;
    }

    public final boolean isOpenScene() {
        return open;
    }

    public final boolean closed() {
        return closed;
    }

    /** Closes the scene to calls; false if it was closed before. */
    protected final boolean shut() {
        synchronized (this) {
            if (closed) {
                return false;
            }
            closed = true;
        }
        leave();
        for (DoubleState each : doubles()) {
            if (each.isInPlace() && !each.isOfClass()) {
                InPlace.release(each.self(), each);
            }
        }
        return true;
    }

    /** The name of the scene in messages: its title, or else its first doubles. */
    final synchronized String title() {
        if (!title.isEmpty()) {
            return "'" + title + "'";
        }
        List<String> first = new ArrayList<>();
        for (DoubleState each : doubles.subList(0, Math.min(3, doubles.size()))) {
            first.add(each.name());
        }
        return "of " + String.join(", ", first) + (doubles.size() > 3 ? " and others" : "");
    }

    final Thread ownerThread() {
        return log.owner();
    }

    /** Nanoseconds since the scene opened. */
    final long now() {
        return log.now();
    }

    public final Demands demands() {
        return demands;
    }

    protected final @Nullable Disturber disturber() {
        return disturber;
    }

    /** Sets a disturber between the subject and the doubles; null removes it. */
    public final void disturbBy(@Nullable Disturber one) {
        disturber = one;
    }

    /** The test is about to check calls, now or at the end of the scene. */
    public final void look(boolean last) {
        Disturber listening = disturber;
        if (listening != null && !closed) {
            try {
                listening.looks(this, last);
            } catch (Throwable e) {
                throw Rethrow.rethrow(e);
            }
        }
    }

    /** The double with a name and a type that the test of this scene can name; null if there is none. */
    public final @Nullable DoubleState find(String name, String type) {
        for (DoubleState each : cast()) {
            if (each.isCalled(name, type)) {
                return each;
            }
        }
        return OutsideDoubles.find(name, type);
    }

    /**
     * Records a call of a double without a caller: it counts for expectations, but consumes no answer and runs nothing.
     *
     * @param signature the method, with the simple names of its parameter types
     * @return false if it has no such method
     * @throws dev.zelotype.error.UnexpectedCall if it is not expected
     */
    public final boolean alsoCall(DoubleState callee, String signature, Object[] arguments) throws Throwable {
        DoubledMethod method = callee.doubleClass().method(signature);
        if (method == null) {
            return false;
        }
        Decision.recordOnly(begin(callee.partOfCall().state(method), arguments));
        return true;
    }

    /** Starts a call: it is kept in the log, unless it belongs to no scene. */
    final Call begin(MethodState state, Object[] arguments) {
        if (closed) {
            LateCalls.note(title(), state, arguments);
            return log.leaveOut(state, arguments);
        }
        if (!open && !isSettingUp()) {
            unassignedCall(state.part().owner(), state.method(), arguments);
        }
        if (state.method().takesInstance()) {
            // Numbered in the order of their first call, not of their first report.
            state.part().owner().count(arguments[0]);
        }
        Part around = Seat.anyNested() ? around(state.part().owner()) : null;
        if (around != null) {
            return beginEchoed(state, arguments, around);
        }
        return log.add(state, arguments, state.isWovenItself(), worded, worded ? inWords(state, arguments) : null);
    }

    /** Starts a call that enclosing scenes see as well. */
    private Call beginEchoed(MethodState state, Object[] arguments, Part first) {
        List<CallLog> logs = new ArrayList<>();
        List<MethodState> states = new ArrayList<>();
        boolean anyWorded = worded;
        for (Part part = first; part != null; part = part.scene().around(part.owner())) {
            MethodState its = part.state(state.method());
            if (its.method().takesInstance()) {
                part.owner().count(arguments[0]);
            }
            logs.add(part.scene().log);
            states.add(its);
            anyWorded |= part.scene().worded;
        }
        List<String> words = anyWorded ? inWords(state, arguments) : null;
        return log.addEchoed(state, arguments, state.isWovenItself(), anyWorded, words, logs, states);
    }

    /** The current text of the arguments; null if they cannot change. */
    private @Nullable List<String> inWords(MethodState state, Object[] arguments) {
        return StableValues.are(arguments) ? null : numbers().in(() -> Calls.arguments(state.method(), arguments));
    }

    /** A call that no log keeps. */
    final Call leaveOut(MethodLog of, Object[] arguments) {
        return log.leaveOut(of, arguments);
    }

    /** Records a refused call, so that the scene fails even if the subject swallows the error. */
    final UnexpectedCall refuse(Call call, FailureText text) {
        Decision.end(call, Ending.UNEXPECTED, null);
        call.account();
        FailureText whole = withConversation(text.copy());
        UnexpectedCall failure = new UnexpectedCall(whole.toString(), whole.details());
        synchronized (this) {
            refusals.add(text);
        }
        return failure;
    }

    /** As {@link #refuse}, for a call that turns out to be wrong after it was answered. */
    final synchronized void refuseLate(Call call, FailureText text) {
        call.end(Ending.UNEXPECTED, null);
        call.account();
        refusals.add(text);
    }

    /** The refused calls, one text each. */
    protected final synchronized List<FailureText> refusals() {
        return List.copyOf(refusals);
    }

    /** Adds the conversation so far to a failure. */
    public final FailureText withConversation(FailureText text) {
        List<Call> calls = calls();
        return withHints(text.conversation(
                "Conversation (" + Count.calls(calls.size()) + ")",
                calls.isEmpty() ? List.of("No calls were recorded.") : Rows.of(calls)));
    }

    /** Adds further explanations to a failure. */
    public final FailureText withHints(FailureText text) {
        return Hints.add(this, text);
    }

    /** Sorts calls, and sets their positions among all calls of their scenes. */
    public static void rank(List<Call> calls) {
        Set<CallScene> scenes = new HashSet<>();
        for (Call call : calls) {
            scenes.add(((MethodState) call.log()).part().scene());
        }
        scenes.forEach(CallScene::calls);
        calls.sort(Call.IN_ORDER);
    }

    public final synchronized List<DoubleState> doubles() {
        return List.copyOf(doubles);
    }

    /** All calls so far, in order. */
    public final List<Call> calls() {
        List<Call> calls = new ArrayList<>();
        for (DoubleState each : doubles()) {
            calls.addAll(each.ownPart().calls());
        }
        for (Part guest : guests.values()) {
            calls.addAll(guest.calls());
        }
        calls.sort(Call.IN_ORDER);
        for (int i = 0; i < calls.size(); i++) {
            calls.get(i).rank(i + 1);
        }
        return calls;
    }

    /** The doubles of this scene, and doubles of others that have statements or calls in it. */
    public final synchronized List<DoubleState> cast() {
        List<DoubleState> all = new ArrayList<>(doubles);
        all.addAll(guests.keySet());
        return all;
    }

    /** Records a supposition of the test. */
    public final synchronized void supposed(Rule rule) {
        supposed.add(rule);
    }

    /** Marks the suppositions so far as a shared base that not every test uses completely. */
    public final synchronized void endSetUp() {
        supposed.clear();
    }

    protected final Settings settings() {
        return settings;
    }

    /** Records the first calls of default methods whose own code threw. */
    final synchronized void ownCodeThrew(Call call, Exception thrown) {
        if (ownCodeThrew.size() < MOST_OWN_CODE) {
            ownCodeThrew.put(call, thrown);
        }
    }

    final synchronized Map<Call, Exception> ownCodeThrew() {
        return new LinkedHashMap<>(ownCodeThrew);
    }

    /** The suppositions that no call used, as text. */
    public final synchronized List<String> unusedSuppositions() {
        List<String> texts = new ArrayList<>();
        for (Rule rule : supposed) {
            if (!rule.used()) {
                texts.add(rule.toString());
            }
        }
        return texts;
    }

    /** Remarks that do not fail the test. */
    public final List<String> notes() {
        return Hints.notes(this);
    }

    /** Explanations for a failure that does not mention doubles: lines under headings, to be placed below it. */
    public final String notesOn(Throwable failure) {
        return Hints.on(failure, this);
    }

    /** Records that the test excluded other calls of a double. */
    public void saidWhole(Whole whole) {
        wholes.add(whole);
    }

    /** The doubles for which the test excluded other calls. */
    public List<Whole> wholes() {
        return wholes;
    }
}
