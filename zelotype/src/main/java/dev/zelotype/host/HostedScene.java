package dev.zelotype.host;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.basics.Mask;
import dev.zelotype.conversation.Conversation;
import dev.zelotype.engine.make.Comparison;
import dev.zelotype.engine.make.Rethrow;
import dev.zelotype.engine.scene.ConversationView;
import dev.zelotype.engine.scene.SceneState;
import dev.zelotype.engine.statement.LastingScene;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * For hosts of tests: the scene of one test, with additional methods for hosts. Safe for use from any thread.
 *
 * <pre>{@code
 * HostedScene hosted = HostedScene.of(SceneSettings.defaults()).titled("NightRunTest.closes").inTest(testClass).open();
 * ... // set-up methods
 * hosted.endSetUp();
 * ... // the test itself
 * hosted.closeAfter(failure);
 * }</pre>
 *
 * @since 0.2
 */
public final class HostedScene {

    private static final int MOST_CAUSES = 50;

    static {
        Comparison.prepare();
    }

    private final SceneState state;
    private final Scene scene;
    /** The verdict at the end of the test, if the scene stayed open. */
    private volatile @Nullable Throwable judged;

    private HostedScene(SceneState state) {
        this.state = state;
        this.scene = state.as(Scene.class);
    }

    /**
     * Starts to build a scene.
     *
     * @param settings its settings
     * @return its builder
     */
    public static Opening of(SceneSettings settings) {
        return new Opening(settings);
    }

    /** Builds a scene. Not safe for use from several threads. */
    public static final class Opening {

        private final SceneSettings settings;
        private String title = "";
        private boolean details;
        private @Nullable Class<?> test;

        private Opening(SceneSettings settings) {
            this.settings = settings;
        }

        /**
         * Sets the title of the scene in messages: its test. Without a title it is named after its doubles.
         *
         * @param titleOfScene the title
         * @return this
         */
        public Opening titled(String titleOfScene) {
            title = titleOfScene;
            return this;
        }

        /**
         * Sets the class of the test: the replacements of its patterns are prepared before its methods run.
         *
         * @param testClass the class
         * @return this
         */
        public Opening inTest(Class<?> testClass) {
            test = testClass;
            return this;
        }

        /**
         * Sets whether arguments and answers are printed at the time of the call, and times are recorded, so that the
         * conversation shows them as they were even if they change later. Off by default, because it makes each call as
         * expensive as printing it.
         *
         * @param keep whether to keep details
         * @return this
         */
        public Opening keepingDetails(boolean keep) {
            details = keep;
            return this;
        }

        /**
         * Sets what must not appear in any text of Zelotype: failures, conversations and journals. It applies to the
         * whole JVM from now on.
         *
         * @param hidden matches the text to show as {@code ***}; null for nothing
         * @return this
         */
        @SuppressWarnings("exports")
        public Opening masking(@Nullable Pattern hidden) {
            Mask.set(hidden);
            return this;
        }

        /**
         * Opens the scene, current on this thread until it is closed.
         *
         * @return the scene
         */
        public HostedScene open() {
            SceneState state = new SceneState(title, settings, details);
            state.open(test, /* byTest= */ false);
            return new HostedScene(state);
        }
    }

    /**
     * Sets a consumer of every scene that tests open with {@code Scene.open()} and close from now on, in the whole JVM:
     * it receives the conversation, on the closing thread.
     *
     * @param to the consumer; null for none
     */
    @SuppressWarnings("exports")
    public static void tellOfOwnScenes(@Nullable Consumer<Conversation> to) {
        SceneState.reportClosed(to == null ? null : closed -> to.accept(ConversationView.of(closed)));
    }

    /**
     * Returns the scene for the test.
     *
     * @return the scene
     */
    public Scene scene() {
        return scene;
    }

    /**
     * Marks the suppositions so far as a shared set-up of several tests: those that this test does not use are not
     * reported as unused.
     */
    public void endSetUp() {
        state.endSetUp();
    }

    /**
     * Tells whether a subject of this scene received an object.
     *
     * @param object a double
     * @return whether some subject received it
     */
    public boolean gaveToSubject(Object object) {
        return state.subjects().gave(object);
    }

    /**
     * Lets subjects of this scene receive a double that was made elsewhere, and spies on a watched object.
     *
     * @param object a double, or a proxy in front of one; anything else is ignored
     */
    public void lend(Object object) {
        LastingScene.watchHere(object);
        state.subjects().lend(object);
    }

    /**
     * Sets the object that the test uses as its subject, although this scene has not built it.
     *
     * @param made the object
     */
    public void subjectIs(Object made) {
        state.subjects().subjectIs(made);
    }

    /**
     * Returns the names of provided values that no subject uses, each with the closest name in use.
     *
     * @return one sentence each, for example {@code 'clok' is provided, but NightRun was built without it}
     */
    public List<String> providedButNotTaken() {
        return state.subjects().notTaken();
    }

    /**
     * Completes a failure with the conversation of the test, and with other possible explanations.
     *
     * @param failure the failure of the test
     * @param notes the host's own information about the test's doubles and its subject, one line each
     */
    public void attachConversation(Throwable failure, List<String> notes) {
        if (tellsConversation(failure)) {
            return;
        }
        List<String> ofSubject = new ArrayList<>(notes);
        if (isOfNull(failure)) {
            ofSubject.addAll(state.subjects().unfilled());
        }
        String conversation = state.calls().isEmpty() ? "" : scene.conversationText();
        String more = (ofSubject.isEmpty() ? "" : "\nThe subject and its doubles\n  " + String.join("\n  ", ofSubject))
                + state.notesOn(failure);
        if (!conversation.isEmpty() || !ofSubject.isEmpty()) {
            failure.addSuppressed(
                    new ConversationOfTheTest((conversation.isEmpty() ? "nothing" : conversation) + Mask.apply(more)));
        }
    }

    /** Whether the failure is about an unexpected null, for example in an empty field. */
    private static boolean isOfNull(Throwable failure) {
        int depth = 0;
        for (Throwable each = failure; each != null && depth < MOST_CAUSES; each = each.getCause()) {
            if (each instanceof NullPointerException) {
                return true;
            }
            depth++;
        }
        return false;
    }

    private static boolean tellsConversation(Throwable failure) {
        try {
            return String.valueOf(failure.getMessage()).contains("\n  Conversation (");
        } catch (RuntimeException | Error e) {
            // A message that throws is treated as empty.
            return false;
        }
    }

    /**
     * Returns what is wrong with the scene so far, for example unmet expectations. The scene stays open, for clean-up
     * methods after the test.
     *
     * @return the exception that {@link #closeAfter} would throw; null if nothing is wrong
     */
    @SuppressWarnings("exports")
    public @Nullable Throwable judge() {
        Throwable found = state.judge();
        judged = found;
        return found;
    }

    /**
     * Closes the scene of a test that may have failed already. The scene's own failures do not hide the first failure:
     * they are added to it. Does nothing if the scene is closed already.
     *
     * @param failure why the test failed, or null if it did not
     * @throws dev.zelotype.error.CheckFailure if the test passed, but the doubles were not called as expected
     * @throws dev.zelotype.error.MisuseException if only incomplete statements are reported
     */
    @SuppressWarnings("exports")
    public void closeAfter(@Nullable Throwable failure) {
        Throwable problem = state.close();
        if (problem == null) {
            return;
        }
        if (failure == null) {
            throw Rethrow.rethrow(problem);
        }
        boolean isToldAlready =
                failure == judged && String.valueOf(problem.getMessage()).equals(failure.getMessage());
        if (!isToldAlready) {
            failure.addSuppressed(problem);
        }
    }
}
