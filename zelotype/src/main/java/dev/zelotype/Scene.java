package dev.zelotype;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.ConversationStatements;
import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.decide.CallScene;
import dev.zelotype.engine.make.Comparison;
import dev.zelotype.engine.make.Sneaky;
import dev.zelotype.engine.replace.Replacing;
import dev.zelotype.engine.scene.ConversationView;
import dev.zelotype.engine.scene.SceneState;
import dev.zelotype.error.MisuseException;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * For tests: one test's doubles with their one log of calls. While it is open it is current on the thread that opened it and
 * on threads started from there: doubles made there belong to it. So do statements made there about doubles that were made
 * elsewhere, outside any scene or in an outer one: it ends with the scene. Closing checks what was expected, and reports
 * statements that were left half written.
 *
 * <pre>{@code
 * try (Scene scene = Scene.open()) {
 *     WeatherStation weather = stub(WeatherStation.class);
 *     suppose(weather::humidity).returns(95);
 *     ...
 * }
 * }</pre>
 *
 * <p>A scene and its doubles may be used from any thread. Scenes close in any order, on any thread. After a scene is closed,
 * its doubles still answer, but nothing is recorded or checked any more; such calls are named in the next failure.
 *
 * @since 0.2
 */
public final class Scene implements AutoCloseable {

    static {
        Comparison.prepare();
        SceneState.shownBy(Scene::new);
    }

    private static final StackWalker CALLERS = StackWalker.getInstance(StackWalker.Option.RETAIN_CLASS_REFERENCE);

    private final SceneState state;

    private Scene(SceneState state) {
        this.state = state;
    }

    /**
     * The scene that is open on this thread, whoever opened it.
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
     * @param settings how it behaves
     * @return the scene, current on this thread until it is closed
     */
    public static Scene open(SceneSettings settings) {
        return open(settings, CALLERS.getCallerClass());
    }

    private static Scene open(SceneSettings settings, Class<?> test) {
        SceneState state = new SceneState("", settings, SceneState.isToldOf());
        state.open(test, /* byTest= */ true);
        return new Scene(state);
    }

    /**
     * The scene's double of a type: the one that was made before, in whatever way, or else a new stub. Subjects are given
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
     * As {@link #the(Class)}, of a kind.
     *
     * @param type the type to double
     * @param kind the kind
     * @param <T> the type
     * @return the double
     * @throws MisuseException if it was made before as another kind
     */
    public <T> T the(Class<T> type, Kind kind) {
        return type.cast(state.subjects().the(type, null, kind));
    }

    /**
     * As {@link #the(Class, Kind)}, of a name, where a subject takes several of a type.
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
     * Provides a plain value for the parameters of subjects that have this name.
     *
     * <pre>{@code
     * scene.provide("site", "North Ridge");
     * }</pre>
     *
     * @param name the parameter's name, as the class file tells it (compile with {@code -parameters})
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
     * Builds the subject of the test with a double for everything it asks for: through the constructor that takes most of
     * them, or, if that takes none, through setters and fields that are not private. What no double of the scene is for
     * becomes a stub.
     *
     * <pre>{@code
     * NightRun run = scene.subject(NightRun.class);
     * suppose(scene.the(WeatherStation.class)::humidity).returns(95);
     * }</pre>
     *
     * @param type the class under test
     * @param <T> the class
     * @return a new subject
     * @throws MisuseException if no constructor can be called, or several equally well
     */
    public <T> T subject(Class<T> type) {
        return subject(type, Kind.STUB);
    }

    /**
     * As {@link #subject(Class)}, with another kind of double for what the test does not mention.
     *
     * @param type the class under test
     * @param others the kind of the doubles that are made on the way
     * @param <T> the class
     * @return a new subject
     */
    public <T> T subject(Class<T> type, Kind others) {
        return type.cast(state.subjects().subject(type, others));
    }

    /**
     * Lets what this scene replaces of classes count on all threads that are in no scene of their own, also on those that
     * were there before: for pools that outlive the test. Until then, and for everybody else, replacements count on the
     * thread that opened the scene and on threads started from there.
     *
     * @return this scene
     * @throws MisuseException if another open scene is everywhere already
     */
    public Scene everywhere() {
        state.beEverywhere();
        return this;
    }

    /**
     * Gives the classes that any scene has replaced something of their original code back. There is hardly a reason to: as
     * soon as no scene replaces anything, a woven class runs its own code, and costs one look at a field a call.
     *
     * @throws MisuseException if an open scene still replaces something
     */
    public static void unweave() {
        Replacing.unweave();
    }

    /**
     * The conversation so far.
     *
     * @return the doubles and their calls; values are printed as they are now
     */
    public Conversation conversation() {
        return ConversationView.of(state);
    }

    /**
     * What is worth knowing about the scene so far though it is not wrong, as {@link #conversation()} holds it too.
     *
     * @return one text each, such as a supposition that no call needed
     */
    public List<String> notes() {
        return state.notes();
    }

    /**
     * The conversation so far as lines of text, as failures show it.
     *
     * @return the text, without a final line break
     */
    public String conversationText() {
        return ConversationView.textOf(state);
    }

    /**
     * The conversation so far as statements to paste: what the doubles answered as {@code suppose}, what they were told as
     * {@code verify}. Of a spy on a real object that is what the real one does.
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
     * Closes the scene: all expectations that were not met, calls that were refused, and statements left unfinished are
     * reported together. Does nothing if the scene is closed already.
     *
     * @throws dev.zelotype.error.CheckFailure if the doubles were not called as expected
     * @throws dev.zelotype.error.MisuseException if only unfinished statements are to be reported
     */
    @Override
    public void close() {
        Throwable problem = state.closeByTest();
        if (problem != null) {
            throw Sneaky.rethrow(problem);
        }
    }
}
