package dev.zelotype.engine.scene;

import dev.zelotype.doubles.Severity;
import dev.zelotype.engine.decide.Disturber;
import dev.zelotype.engine.decide.OutsideDoubles;
import dev.zelotype.engine.decide.facts.Settings;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.make.Rethrow;
import dev.zelotype.engine.pattern.PatternReader;
import dev.zelotype.engine.statement.SpokenScene;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import java.lang.invoke.MethodHandles;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * One test's scene, from its opening to its verdict. Safe for use from any thread.
 */
public final class SceneState extends SpokenScene {

    private static @Nullable Function<SceneState, ? extends AutoCloseable> shown;

    private static volatile @Nullable Disturber everywhere;
    private static volatile @Nullable Consumer<SceneState> teller;

    private @Nullable SubjectBuilder subjects;

    public SceneState(String title, Settings settings, boolean worded) {
        super(title, true, settings, worded);
    }

    /** Sets the public view of scenes; called once, by the class of that view. */
    public static void viewedBy(Function<SceneState, ? extends AutoCloseable> view) {
        shown = view;
    }

    /** The public view of the scene. */
    public <T extends AutoCloseable> T as(Class<T> type) {
        try {
            MethodHandles.lookup().ensureInitialized(type);
        } catch (IllegalAccessException e) {
            throw Rethrow.rethrow(e);
        }
        return type.cast(shown.apply(this));
    }

    /** Sets a disturber between subjects and doubles in every scene that opens from now on; null removes it. */
    public static void disturbAll(@Nullable Disturber disturber) {
        everywhere = disturber;
        OutsideDoubles.keep(disturber != null);
    }

    /** Sets the consumer of scenes that tests open and close themselves; null removes it. */
    public static void reportClosed(@Nullable Consumer<SceneState> to) {
        teller = to;
    }

    /** Whether scenes that tests open themselves are reported, so that calls must be converted to text immediately. */
    public static boolean isReported() {
        return teller != null;
    }

    /** As {@link #close}, for a scene that a test opened itself. */
    public @Nullable Throwable closeByTest() {
        Consumer<SceneState> to = closed() ? null : teller;
        Throwable problem = close();
        if (to != null) {
            to.accept(this);
        }
        return problem;
    }

    /**
     * Opens the scene on this thread.
     *
     * @param test the class of its test, to prepare the replacements of its patterns; null if unknown
     * @param byTest whether the test itself opens the scene, rather than its framework
     */
    public void open(@Nullable Class<?> test, boolean byTest) {
        if (test != null) {
            prepare(PatternReader.replacedBy(test));
        }
        enter(byTest, test);
        disturbBy(everywhere);
    }

    public synchronized SubjectBuilder subjects() {
        SubjectBuilder known = subjects;
        if (known == null) {
            known = new SubjectBuilder(this);
            subjects = known;
        }
        return known;
    }

    /** The class that was last built as the subject, or null. */
    @Nullable
    synchronized Class<?> subject() {
        return subjects == null ? null : subjects.subjectType();
    }

    /**
     * Closes the scene.
     *
     * @return everything that is wrong with it as one exception, or null; null as well if it was closed before
     */
    public @Nullable Throwable close() {
        try {
            look(true);
        } catch (Throwable e) {
            return shut() ? e : null;
        }
        return shut() ? numbers().in(this::verdict) : null;
    }

    /**
     * What is wrong with the scene so far; it stays open.
     *
     * @return everything as one exception, or null
     */
    public @Nullable Throwable judge() {
        if (closed()) {
            return null;
        }
        look(false);
        return numbers().in(this::verdict);
    }

    private @Nullable Throwable verdict() {
        // First, because it may complete a statement that then refuses calls.
        List<FailureText> unmet = demands().unmet();
        List<FailureText> texts = new ArrayList<>(refusals());
        texts.addAll(unmet);
        List<String> failures = new ArrayList<>();
        texts.forEach(text -> failures.add(text.toString()));
        if (settings().unusedSuppositions() == Severity.FAIL) {
            unusedSuppositions().forEach(text -> failures.add("No call needed " + text + "."));
        }
        List<String> misuses = unfinished();
        if (failures.isEmpty()) {
            return misuses.isEmpty()
                    ? null
                    : new MisuseException(numbered(misuses), "finish each statement, or remove it");
        }
        failures.addAll(misuses);
        FailureText all = new FailureText(numbered(failures));
        if (failures.size() == 1) {
            return withConversation(texts.isEmpty() ? all : all.takeDetails(texts.get(0)))
                    .failure(null);
        }
        List<CheckFailure> each = new ArrayList<>();
        texts.forEach(text -> each.add(text.failure(null)));
        failures.subList(texts.size(), failures.size()).forEach(text -> each.add(new CheckFailure(text, null)));
        return CheckFailure.together(withConversation(all).toString(), each);
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
