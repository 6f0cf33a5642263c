package dev.zelotype;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.ConversationStatements;
import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.decide.CallScene;
import dev.zelotype.engine.make.Comparison;
import dev.zelotype.engine.make.Rethrow;
import dev.zelotype.engine.replace.Replacing;
import dev.zelotype.engine.scene.ConversationView;
import dev.zelotype.engine.scene.SceneState;
import dev.zelotype.error.MisuseException;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * For tests: the doubles of one test and the log of their calls. While the scene is open, it is current on the thread
 * that opened it and on threads started from there: doubles made there belong to it. Statements made there about
 * doubles from outside any scene, or from an outer scene, end with this scene. Closing it checks the expectations, and
 * reports incomplete statements.
 *
 * <pre>{@code
 * try (Scene scene = Scene.open()) {
 *     WeatherStation weather = stub(WeatherStation.class);
 *     suppose(weather::humidity).returns(95);
 *     ...
 * }
 * }</pre>
 *
 * <p>A scene and its doubles may be used from any thread. Scenes may be closed in any order and on any thread. After a
 * scene is closed, its doubles still answer, but nothing is recorded or checked any more; such calls are reported in
 * the next failure.
 *
 * @since 0.2
 */
public final class Scene implements AutoCloseable {

    static {
        Comparison.prepare();
        SceneState.viewedBy(Scene::new);
    }

    private static final StackWalker CALLERS = StackWalker.getInstance(StackWalker.Option.RETAIN_CLASS_REFERENCE);

    private final SceneState state;

    private Scene(SceneState state) {
        this.state = state;
    }

    /**
     * Returns the scene that is open on this thread, whoever opened it.
     *
     * @return the innermost scene
     * @throws MisuseException if there is none
     */
    public static Scene current() {
        if (CallScene.current() instanceof SceneState open) {
            return open.as(Scene.class);
        }
        throw new MisuseException(
                "No scene is open on this thread.",
                "call it in a test that has one, as one of a class with @WithDoubles, with a SceneRule or a SceneListener");
    }

    /**
     * Opens a scene with default settings.
     *
     * @return the scene, current on this thread until it is closed
     */
    public static Scene open() {
        return open(SceneSettings.defaults(), CALLERS.getCallerClass());
    }

    /**
     * Opens a scene.
     *
     * @param settings its settings
     * @return the scene, current on this thread until it is closed
     */
    public static Scene open(SceneSettings settings) {
        return open(settings, CALLERS.getCallerClass());
    }

    private static Scene open(SceneSettings settings, Class<?> test) {
        SceneState state = new SceneState("", settings, SceneState.isReported());
        state.open(test, /* byTest= */ true);
        return new Scene(state);
    }

    /**
     * Returns the scene's double of a type: the one that was made before in any way, or else a new stub. Subjects get
     * the same one.
     *
     * @param type the type to double
     * @param <T> the type
     * @return the double
     * @throws MisuseException if several doubles of the scene are of that type
     */
    public <T> T the(Class<T> type) {
        return type.cast(state.subjects().the(type, null, null));
    }

    /**
     * As {@link #the(Class)}, with a kind.
     *
     * @param type the type to double
     * @param kind the kind
     * @param <T> the type
     * @return the double
     * @throws MisuseException if it was made before with another kind
     */
    public <T> T the(Class<T> type, Kind kind) {
        return type.cast(state.subjects().the(type, null, kind));
    }

    /**
     * As {@link #the(Class, Kind)}, with a name, if a subject takes several doubles of a type.
     *
     * @param type the type to double
     * @param kind the kind
     * @param name the name of the subject's parameter
     * @param <T> the type
     * @return the double
     */
    public <T> T the(Class<T> type, Kind kind, String name) {
        return type.cast(state.subjects().the(type, name, kind));
    }

    /**
     * Provides a value for all parameters of subjects with this name.
     *
     * <pre>{@code
     * scene.provide("site", "North Ridge");
     * }</pre>
     *
     * @param name the parameter's name in the class file (compile with {@code -parameters})
     * @param value the value, or null
     * @return this scene
     * @throws MisuseException if the name was provided before
     */
    @SuppressWarnings("exports")
    public Scene provide(String name, @Nullable Object value) {
        state.subjects().provide(name, value);
        return this;
    }

    /**
     * Builds the subject of the test with a double for each collaborator: with the constructor that takes most of them,
     * or, if that takes none, with setters and non-private fields. Collaborators without a double in the scene become
     * stubs.
     *
     * <pre>{@code
     * NightRun run = scene.subject(NightRun.class);
     * suppose(scene.the(WeatherStation.class)::humidity).returns(95);
     * }</pre>
     *
     * @param type the class under test
     * @param <T> the class
     * @return a new subject
     * @throws MisuseException if no constructor can be called, or several are equally suitable
     */
    public <T> T subject(Class<T> type) {
        return subject(type, Kind.STUB);
    }

    /**
     * As {@link #subject(Class)}, with another kind for doubles that the test does not mention.
     *
     * @param type the class under test
     * @param others the kind of the new doubles
     * @param <T> the class
     * @return a new subject
     */
    public <T> T subject(Class<T> type, Kind others) {
        return type.cast(state.subjects().subject(type, others));
    }

    /**
     * Applies the replaced classes of this scene to all threads that are in no scene of their own, including existing
     * ones: for pools that outlive the test. By default, replacements apply to the thread that opened the scene and to
     * threads started from there.
     *
     * @return this scene
     * @throws MisuseException if this was called on another open scene
     */
    public Scene everywhere() {
        state.beEverywhere();
        return this;
    }

    /**
     * Restores the original code of all classes that any scene has replaced something of. This is hardly ever needed:
     * when no scene replaces anything, a woven class runs its own code, and a call costs one additional field access.
     *
     * @throws MisuseException if an open scene still replaces something
     */
    public static void unweave() {
        Replacing.unweave();
    }

    /**
     * Returns the conversation so far.
     *
     * @return the doubles and their calls; values are printed in their current state
     */
    public Conversation conversation() {
        return ConversationView.of(state);
    }

    /**
     * Returns remarks about the scene so far that do not fail the test; {@link #conversation()} contains them too.
     *
     * @return one text each, for example a supposition that no call used
     */
    public List<String> notes() {
        return state.notes();
    }

    /**
     * Returns the conversation so far as lines of text, as failures show it.
     *
     * @return the text, without a final line break
     */
    public String conversationText() {
        return ConversationView.textOf(state);
    }

    /**
     * Returns the conversation so far as statements to paste: answers of doubles as {@code suppose}, other calls as
     * {@code verify}. For a spy on a real object these are the answers of the real object.
     *
     * <pre>{@code
     * System.out.println(scene.statements().only("catalog").text(Form.CLAIMS));
     * }</pre>
     *
     * @return the statements
     */
    public ConversationStatements statements() {
        return ConversationStatements.of(ConversationView.of(state));
    }

    /**
     * Closes the scene: reports all unmet expectations, refused calls and incomplete statements together. Does nothing
     * if the scene is closed already.
     *
     * @throws dev.zelotype.error.CheckFailure if the doubles were not called as expected
     * @throws dev.zelotype.error.MisuseException if only incomplete statements are reported
     */
    @Override
    public void close() {
        Throwable problem = state.closeByTest();
        if (problem != null) {
            throw Rethrow.rethrow(problem);
        }
    }
}
