package dev.zelotype;

import dev.zelotype.doubles.Conversation;
import dev.zelotype.engine.run.ConversationView;
import dev.zelotype.engine.run.SceneState;
import dev.zelotype.engine.run.Sneaky;
import org.jspecify.annotations.Nullable;

/**
 * One test's doubles with their one journal of calls. While it is open it is current on the thread that opened it and on
 * threads started from there: doubles made there belong to it. Closing checks what was expected, and reports statements
 * that were left half written.
 *
 * <pre>{@code
 * try (Scene scene = Scene.open()) {
 *     WeatherStation weather = stub(WeatherStation.class);
 *     suppose(weather::humidity).returns(95);
 *     ...
 * }
 * }</pre>
 *
 * <p>A scene and its doubles may be used from any thread. After it is closed, its doubles still answer, but nothing is
 * recorded or checked any more.
 */
public final class Scene implements AutoCloseable {

    private final SceneState state;

    private Scene(SceneState state) {
        this.state = state;
        state.enter();
    }

    /**
     * Opens a scene with default settings.
     *
     * @return the scene, current on this thread until it is closed
     */
    public static Scene open() {
        return open(SceneSettings.defaults());
    }

    /**
     * Opens a scene.
     *
     * @param settings how it behaves
     * @return the scene, current on this thread until it is closed
     */
    public static Scene open(SceneSettings settings) {
        return new Scene(settings.newState());
    }

    /**
     * Says that what was supposed so far is a base set-up that several tests share: what this test does not need of it is
     * not noted as unused. With JUnit that is what ran before the test method itself.
     */
    public void endSetUp() {
        state.endSetUp();
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
     * The conversation so far as lines of text, as failures show it.
     *
     * @return the text, without a final line break
     */
    public String conversationText() {
        return ConversationView.textOf(state);
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
        closeAfter(null);
    }

    /**
     * Closes the scene of a test that may have failed already. What the scene has to report does not hide the first
     * failure: it is added to it.
     *
     * @param failure why the test failed, or null if it did not
     */
    public void closeAfter(@Nullable Throwable failure) {
        Throwable problem = state.close();
        if (problem == null) {
            return;
        }
        if (failure == null) {
            throw Sneaky.rethrow(problem);
        }
        failure.addSuppressed(problem);
    }
}
