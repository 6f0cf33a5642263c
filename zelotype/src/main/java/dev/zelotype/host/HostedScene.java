package dev.zelotype.host;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.basics.Mask;
import dev.zelotype.conversation.Conversation;
import dev.zelotype.engine.make.Comparison;
import dev.zelotype.engine.make.Sneaky;
import dev.zelotype.engine.scene.ConversationView;
import dev.zelotype.engine.scene.SceneState;
import dev.zelotype.engine.statement.LastingScene;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * For hosts of tests: the scene of one test, with what a host says and asks besides what the test does. Safe for use
 * from any thread.
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
    /** What was wrong when the test ended, though the scene stayed open. */
    private volatile @Nullable Throwable judged;

    private HostedScene(SceneState state) {
        this.state = state;
        this.scene = state.as(Scene.class);
    }

    /**
     * Begins a scene.
     *
     * @param settings how it behaves
     * @return what more is to be said of it
     */
    public static Opening of(SceneSettings settings) {
        return new Opening(settings);
    }

    /** A scene that is still to be opened. Not safe for use from several threads. */
    public static final class Opening {

        private final SceneSettings settings;
        private String title = "";
        private boolean details;
        private @Nullable Class<?> test;

        private Opening(SceneSettings settings) {
            this.settings = settings;
        }

        /**
         * Says what messages call the scene: the test that it belongs to. Without a title it is called after its doubles.
         *
         * @param titleOfScene the title
         * @return this
         */
        public Opening titled(String titleOfScene) {
            title = titleOfScene;
            return this;
        }

        /**
         * Says which class holds the test: what its patterns replace is got ready before its methods run.
         *
         * @param testClass the class
         * @return this
         */
        public Opening inTest(Class<?> testClass) {
            test = testClass;
            return this;
        }

        /**
         * Says whether arguments and answers are printed at the time of the call, and its times are noted, so that the
         * conversation tells them as they were even if they change later. Off by default, since each call then costs as
         * much as printing it.
         *
         * @param keep whether to keep details
         * @return this
         */
        public Opening keepingDetails(boolean keep) {
            details = keep;
            return this;
        }

        /**
         * Says what no text may show that Zelotype writes or attaches: failures, conversations and journals alike. It counts
         * for the whole JVM from now on.
         *
         * @param hidden matches what is shown as {@code ***}; null for nothing
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
     * Hears of every scene that a test opens itself, with {@code Scene.open()}, and that is closed from now on, in the whole
     * JVM: its conversation, on the thread that closes it.
     *
     * @param to what receives it; null for none
     */
    @SuppressWarnings("exports")
    public static void tellOfOwnScenes(@Nullable Consumer<Conversation> to) {
        SceneState.tellOfClosed(to == null ? null : closed -> to.accept(ConversationView.of(closed)));
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
     * Says that what was supposed so far is a base set-up that several tests share: what this test does not need of it is
     * not noted as unused.
     */
    public void endSetUp() {
        state.endSetUp();
    }

    /**
     * Whether a subject of this scene was given an object.
     *
     * @param object a double
     * @return whether some subject got it
     */
    public boolean gaveToSubject(Object object) {
        return state.subjects().gave(object);
    }

    /**
     * Lets subjects of this scene be given a double that was made elsewhere, and spies on an object that is watched.
     *
     * @param object a double, or a proxy in front of one; anything else is left alone
     */
    public void lend(Object object) {
        LastingScene.watchHere(object);
        state.subjects().lend(object);
    }

    /**
     * Says which object the test takes for its subject, though this scene has not built it.
     *
     * @param made the object
     */
    public void subjectIs(Object made) {
        state.subjects().subjectIs(made);
    }

    /**
     * Names the provided values that no subject takes, each with the closest name that one does take.
     *
     * @return one sentence each, such as {@code 'clok' is provided, but NightRun was built without it}
     */
    public List<String> providedButNotTaken() {
        return state.subjects().notTaken();
    }

    /**
     * Attaches to a failure what it does not tell itself: the conversation, so that whoever reads it knows what the subject
     * asked, and what else may explain it.
     *
     * @param failure why the test failed
     * @param notes what the host knows of the test's doubles and its subject, one line each
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

    /** Whether something was null that should not be, as an empty field. */
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
            // A message that cannot be told tells nothing.
            return false;
        }
    }

    /**
     * Says what is wrong with the scene until now, such as expectations that are not met. The scene stays open, for
     * methods that put things back after the test.
     *
     * @return what {@link #closeAfter} would throw; null if nothing is wrong
     */
    @SuppressWarnings("exports")
    public @Nullable Throwable judge() {
        Throwable found = state.judge();
        judged = found;
        return found;
    }

    /**
     * Closes the scene of a test that may have failed already. What the scene has to report does not hide the first failure:
     * it is added to it. Does nothing if the scene is closed already.
     *
     * @param failure why the test failed, or null if it did not
     * @throws dev.zelotype.error.CheckFailure if the test did not fail, and the doubles were not called as expected
     * @throws dev.zelotype.error.MisuseException if only unfinished statements are to be reported
     */
    @SuppressWarnings("exports")
    public void closeAfter(@Nullable Throwable failure) {
        Throwable problem = state.close();
        if (problem == null) {
            return;
        }
        if (failure == null) {
            throw Sneaky.rethrow(problem);
        }
        boolean isToldAlready =
                failure == judged && String.valueOf(problem.getMessage()).equals(failure.getMessage());
        if (!isToldAlready) {
            failure.addSuppressed(problem);
        }
    }
}
