package dev.zelotype.engine.run;

import dev.zelotype.doubles.Kind;
import dev.zelotype.doubles.Severity;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.journal.CallRecord;
import dev.zelotype.engine.journal.CallRecord.Ending;
import dev.zelotype.engine.journal.Journal;
import dev.zelotype.engine.journal.MethodLog;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import dev.zelotype.error.UnexpectedCall;
import java.lang.reflect.Executable;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * One test's doubles, their calls, and the statements about them. Safe for use from any thread.
 */
public final class SceneState {

    /** For how many calls of a scene the place they were made at is noted unless asked otherwise. */
    public static final int LINES_KEPT = 1000;

    private static final String UNCHANGED =
            "Classes that call the real code, since the JVM does not let them be changed";

    private final boolean open;
    private final Severity unused;
    private final @Nullable Words words;
    private final Journal journal;
    private final Expectations expectations = new Expectations(this);
    private final String title;
    /** What doubles of other scenes are told and asked in this one. */
    private final Map<Told, Part> guests = new ConcurrentHashMap<>();

    private @Nullable Casting casting;
    private final List<Told> doubles = new ArrayList<>();
    /** How many doubles have each name. */
    private final Map<String, int[]> names = new HashMap<>();

    private final List<Supposition> suppositions = new ArrayList<>();
    private final List<Statement> statements = new ArrayList<>();
    private final Map<Statement, String> unfinished = new LinkedHashMap<>();
    private final List<FailureText> refusals = new ArrayList<>();
    private final Map<Class<?>, Told> replaced = new ConcurrentHashMap<>();
    private volatile boolean closed;
    private final Seat seat = new Seat();
    private final Map<Executable, String> runningCalls = new ConcurrentHashMap<>();
    private final RealRuns realRuns = new RealRuns();

    /** A scene that somebody will close. */
    public SceneState(String title, Severity unused, int linesKept, boolean detailed) {
        this(title, true, unused, linesKept, detailed);
    }

    private SceneState(String title, boolean open, Severity unused, int linesKept, boolean detailed) {
        this.title = title;
        this.open = open;
        this.unused = unused;
        this.words = detailed ? new Words() : null;
        this.journal = new Journal(linesKept, words);
    }

    /** The scene that is open on this thread or on the one that started it, or null. */
    public static @Nullable SceneState current() {
        return Seat.current();
    }

    public void enter() {
        seat.take(this);
    }

    Seat seat() {
        return seat;
    }

    /** Gets the class of a test ready whose patterns replace what the test calls itself. */
    public void prepare(Class<?> test) {
        runningCalls.putAll(Replacements.prepare(test));
    }

    /** Calls that run the real code whatever is replaced, because they stand in methods that ran before. */
    Map<Executable, String> runningCalls() {
        return runningCalls;
    }

    /** The nearest scene around this one that is still open, or null. */
    @Nullable
    SceneState outer() {
        return seat.outer();
    }

    /** The scene to which a statement belongs that is made now, on this thread, about a double of this scene. */
    SceneState ofStatement() {
        SceneState current = current();
        boolean elsewhere = current != null && current != this && (!open || current.seat.isWithin(seat));
        return elsewhere && !closed ? current : this;
    }

    /**
     * The scene to which a call belongs that comes now, on this thread, to a double of this scene. A double that was made
     * outside any scene may be called by a thread of none; if just one scene is open, that is whose call it is.
     */
    SceneState ofCall() {
        SceneState scene = ofStatement();
        SceneState only = scene == this && !open ? Seat.onlyOpen() : null;
        return only == null ? scene : only;
    }

    /** What a double of another scene is told and asked in this one. */
    Part part(Told told) {
        Part known = guests.get(told);
        return known == null ? guests.computeIfAbsent(told, guest -> new Part(guest, this)) : known;
    }

    @Nullable
    Part knownPart(Told told) {
        return guests.get(told);
    }

    /** Makes a double; outside any scene, one that belongs to a scene of its own that nobody closes. */
    public static Told makeDouble(Making making) {
        SceneState scene = current();
        if (scene == null) {
            if (making.kind() == Kind.MOCK) {
                throw new MisuseException(
                        "A mock of " + making.type().doubledType().getSimpleName()
                                + " was made outside any scene: nobody would check what it expects.",
                        "annotate the test class with @WithDoubles, or write try (Scene scene = Scene.open()) { ... }");
            }
            scene = new SceneState("", false, Severity.IGNORE, LINES_KEPT, false);
        }
        return scene.make(making);
    }

    synchronized Told make(Making making) {
        Class<?> type = making.type().doubledType();
        if (closed) {
            throw new MisuseException(
                    "A double of " + type.getSimpleName() + " was asked of a closed scene.",
                    "make it before the scene is closed");
        }
        String name = making.name() == null ? making.type().variableName() : making.name();
        int[] taken = names.get(name);
        if (taken == null) {
            taken = new int[1];
            names.put(name, taken);
        }
        taken[0]++;
        Replacements.doubleFinalsIfReady(making.type());
        Told told = new Told(name, making.name() == null ? taken[0] : 1, making, this);
        doubles.add(told);
        return told;
    }

    /** Whether it is a scene that somebody opened, and not the place of a double outside any. */
    boolean isOpenScene() {
        return open;
    }

    boolean closed() {
        return closed;
    }

    /** The one who answers for a class that this scene replaces, or null. */
    @Nullable
    Told replaced(Class<?> type) {
        return replaced.get(type);
    }

    /** Answers for a class as a whole from now on. */
    synchronized Told replace(Class<?> type, DoubleClass woven) {
        Told known = replaced.get(type);
        if (known == null) {
            known = make(Making.inPlace(type.getSimpleName(), woven, type));
            replaced.put(type, known);
        }
        return known;
    }

    public static void unweave() {
        Replacements.unweave();
    }

    public void beEverywhere() {
        Replacements.claimEverywhere(this);
    }

    public synchronized Casting casting() {
        if (casting == null) {
            casting = new Casting(this);
        }
        return casting;
    }

    /** What messages call the scene: its title, or else the first of its doubles. */
    private synchronized String title() {
        if (!title.isEmpty()) {
            return "'" + title + "'";
        }
        List<String> names = new ArrayList<>();
        for (Told told : doubles.subList(0, Math.min(3, doubles.size()))) {
            names.add(told.name());
        }
        return "of " + String.join(", ", names) + (doubles.size() > 3 ? " and others" : "");
    }

    Thread ownerThread() {
        return journal.owner();
    }

    Expectations expectations() {
        return expectations;
    }

    @Nullable
    CallRecord record(MethodLog log, Object[] arguments, boolean woven) {
        if (closed) {
            Strays.note(title(), log, arguments);
            return null;
        }
        return words != null && words.printing() ? null : journal.add(log, arguments, woven);
    }

    synchronized void begun(Statement statement, String cure) {
        expectations.settleLast();
        unfinished.put(statement, cure);
    }

    synchronized void completed(Statement statement) {
        unfinished.remove(statement);
    }

    synchronized void supposed(Supposition supposition) {
        if (supposition.isOfTest()) {
            suppositions.add(supposition);
        }
        statements.add(supposition);
    }

    synchronized void expected(Expectation expectation) {
        expectations.add(expectation);
        statements.add(expectation);
    }

    synchronized void checked(Check check) {
        statements.add(check);
    }

    /** What the test said of calls so far, in its order. */
    synchronized List<Statement> statements() {
        return List.copyOf(statements);
    }

    /** The class that was built as the subject, or null. */
    synchronized @Nullable Class<?> subject() {
        return casting == null ? null : casting.subjectType();
    }

    /** Remembers a refused call, so that the scene fails even if the subject swallows the error. */
    UnexpectedCall refuse(@Nullable CallRecord call, FailureText text) {
        if (call != null) {
            call.end(Ending.UNEXPECTED, null);
            call.account();
        }
        UnexpectedCall failure =
                new UnexpectedCall(withConversation(text.copy()).toString());
        synchronized (this) {
            refusals.add(text);
        }
        return failure;
    }

    /** As {@link #refuse}, for a call that turns out to be wrong after it has been answered. */
    synchronized void refuseLate(@Nullable CallRecord call, FailureText text) {
        if (call != null) {
            call.end(Ending.UNEXPECTED, null);
            call.account();
        }
        refusals.add(text);
    }

    /** Adds the conversation so far to a failure. */
    FailureText withConversation(FailureText text) {
        List<CallRecord> calls = calls();
        return withHints(text.section(
                "Conversation (" + Count.calls(calls.size()) + ")",
                calls.isEmpty() ? List.of("Nobody asked any double anything.") : Rows.of(calls)));
    }

    /** Adds what may explain a failure besides the calls that it tells itself. */
    FailureText withHints(FailureText text) {
        return text.section(
                        "Supposed, but not needed by any call",
                        unused == Severity.IGNORE ? List.of() : unusedSuppositions())
                .section(RealRuns.TITLE, realRuns.lines())
                .section(UNCHANGED, Replacements.unchanged(this))
                .section("Final methods, which run their real code", unaskedFinals())
                .section("Calls that reached doubles of closed scenes", Strays.take());
    }

    /** Puts calls into their places among all calls of their scenes, and into their order. */
    static void rank(List<CallRecord> calls) {
        Set<SceneState> scenes = new HashSet<>();
        for (CallRecord call : calls) {
            scenes.add(((Told) call.log().owner()).partOf(call.log()).scene());
        }
        scenes.forEach(SceneState::calls);
        calls.sort(CallRecord.IN_ORDER);
    }

    public synchronized List<Told> doubles() {
        return List.copyOf(doubles);
    }

    /** All calls so far, in their order. */
    public List<CallRecord> calls() {
        List<CallRecord> calls = new ArrayList<>();
        for (Told told : doubles()) {
            calls.addAll(told.ownPart().calls());
        }
        for (Part guest : guests.values()) {
            calls.addAll(guest.calls());
        }
        calls.sort(CallRecord.IN_ORDER);
        for (int i = 0; i < calls.size(); i++) {
            calls.get(i).rank(i + 1);
        }
        return calls;
    }

    /** The doubles of this scene, and those of others that were told or asked anything in it. */
    synchronized List<Told> cast() {
        List<Told> all = new ArrayList<>(doubles);
        all.addAll(guests.keySet());
        return all;
    }

    /** What was supposed so far is a base that not every test needs all of. */
    public synchronized void endSetUp() {
        suppositions.clear();
    }

    /** The suppositions that no call ever needed, as text. */
    public synchronized List<String> unusedSuppositions() {
        List<String> unusedOnes = new ArrayList<>();
        for (Supposition supposition : suppositions) {
            if (!supposition.used()) {
                unusedOnes.add(supposition.toString());
            }
        }
        return unusedOnes;
    }

    RealRuns realRuns() {
        return realRuns;
    }

    /** The final methods of doubled classes that no double can answer, since nothing wove them. */
    private synchronized List<String> unaskedFinals() {
        List<String> lines = new ArrayList<>();
        for (Told told : doubles) {
            if (!told.doubleClass().isWoven() && !told.doubleClass().doFinalsAsk()) {
                for (DoubledMethod method : told.doubleClass().finals()) {
                    lines.add(told.name() + "." + method.signature()
                            + " is final: a call of it ran its real code. Start the JVM with the agent, or name it in a"
                            + " pattern");
                }
            }
        }
        return lines;
    }

    /** What is worth knowing, though it is not wrong. */
    public List<String> notes() {
        List<String> notes = new ArrayList<>(unused == Severity.NOTE ? unusedSuppositions() : List.of());
        List<String> real = realRuns.lines();
        List<String> unchanged = Replacements.unchanged(this);
        if (!unchanged.isEmpty()) {
            notes.add(UNCHANGED + ": " + String.join(", ", unchanged));
        }
        if (!real.isEmpty()) {
            notes.add(RealRuns.TITLE + ": " + String.join("; ", real));
        }
        return notes;
    }

    /**
     * Closes the scene.
     *
     * @return all that is wrong with it as one exception, or null; null as well if it was closed before
     */
    public @Nullable Throwable close() {
        synchronized (this) {
            if (closed) {
                return null;
            }
            closed = true;
        }
        seat.leave(this);
        Replacements.end(this);
        return verdict();
    }

    private @Nullable Throwable verdict() {
        List<String> unmet = expectations.unmet();
        List<String> failures = new ArrayList<>();
        List<String> misuses = new ArrayList<>();
        synchronized (this) {
            refusals.forEach(text -> failures.add(text.toString()));
            unfinished.forEach((statement, cure) -> misuses.add(statement + " is unfinished: " + cure + "."));
        }
        failures.addAll(unmet);
        if (unused == Severity.FAIL) {
            unusedSuppositions().forEach(text -> failures.add("Nobody needed " + text + "."));
        }
        if (failures.isEmpty() && misuses.isEmpty()) {
            return null;
        }
        if (failures.isEmpty()) {
            return new MisuseException(numbered(misuses), "finish each statement, or remove it");
        }
        failures.addAll(misuses);
        return new CheckFailure(
                withConversation(new FailureText(numbered(failures))).toString(), null);
    }

    private static String numbered(List<String> texts) {
        if (texts.size() == 1) {
            return texts.get(0);
        }
        StringBuilder out = new StringBuilder(texts.size() + " problems in this scene:");
        for (int i = 0; i < texts.size(); i++) {
            out.append("\n\n").append(i + 1).append(". ").append(texts.get(i));
        }
        return out.toString();
    }
}
