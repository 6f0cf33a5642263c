package dev.zelotype.journal;

import dev.zelotype.Scene;
import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;
import dev.zelotype.host.HostedScene;
import dev.zelotype.host.TestChecks;
import dev.zelotype.journal.JournalScene.Outcome;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * For hosts of tests: the scene of one test, from its opening to its entry in the journal. If the test fails, the
 * conversation is attached to the failure.
 *
 * <pre>{@code
 * TestScene test = TestScene.open(settings, TestScene.Name.of(NightRunTest.class, "closes()"));
 * ... // the test
 * test.close(failure, false, List.of());
 * }</pre>
 *
 * @since 0.2
 */
public final class TestScene {

    private static final Map<Path, JournalWriter> WRITERS = new ConcurrentHashMap<>();
    private static final AtomicBoolean WARNED = new AtomicBoolean();

    private final TestSettings settings;
    private volatile Name name;
    private final HostedScene hosted;

    private TestScene(TestSettings settings, Name name) {
        this.settings = settings;
        this.name = name;
        this.hosted = HostedScene.of(settings.scene())
                .titled(name.testClass.getSimpleName() + "." + withoutParameters(name.method))
                .inTest(name.testClass)
                // A journal must show values as they were at the time of the call.
                .keepingDetails(settings.journal() != null)
                .masking(settings.mask())
                .open();
    }

    private static String withoutParameters(String method) {
        int parameters = method.indexOf('(');
        return parameters < 0 ? method : method.substring(0, parameters);
    }

    /** The names of a test. Immutable. */
    public static final class Name {

        private final Class<?> testClass;
        private final String method;
        private final String title;
        private final String group;

        private Name(Class<?> testClass, String method, String title, String group) {
            this.testClass = testClass;
            this.method = method;
            this.title = title;
            this.group = group;
        }

        /**
         * Makes a name from a test method.
         *
         * @param testClass its class
         * @param method the method
         * @return the name, also used as the display names of the test and its class
         */
        public static Name of(Class<?> testClass, String method) {
            return new Name(testClass, method, method, testClass.getSimpleName());
        }

        /**
         * Sets the test's display name.
         *
         * @param titleOfTest the test's display name
         * @param titleOfClass the display name of its class
         * @return a name with display names
         */
        public Name titled(String titleOfTest, String titleOfClass) {
            return new Name(testClass, method, titleOfTest, titleOfClass);
        }
    }

    /**
     * Opens the scene of a test on this thread.
     *
     * @param settings the settings, including those of the journal
     * @param name the test
     * @return the scene
     */
    public static TestScene open(TestSettings settings, Name name) {
        return new TestScene(settings, name);
    }

    /**
     * Records a test in the journal that failed before it had a scene, for example in its constructor.
     *
     * @param settings the settings of the journal
     * @param name the test
     * @param failure why it failed
     * @param aborted whether it was only aborted because an assumption did not hold
     */
    public static void neverOpened(TestSettings settings, Name name, Throwable failure, boolean aborted) {
        write(settings, name, Conversation.builder().build(), failure, aborted);
    }

    /**
     * Records a scene in the journal that a test opened itself.
     *
     * @param settings the settings of the journal
     * @param name the test
     * @param conversation the contents of the closed scene
     * @param failure why the test failed; null if it did not
     * @param aborted whether it was only aborted because an assumption did not hold
     */
    @SuppressWarnings("exports")
    public static void openedByTest(
            TestSettings settings, Name name, Conversation conversation, @Nullable Throwable failure, boolean aborted) {
        write(settings, name, conversation, failure, aborted);
    }

    /**
     * Returns the tests that rely on a supposition, according to the current journal.
     *
     * @param settings the settings of the journal
     * @param claim the equivalent claim
     * @return the tests' names; empty without a journal
     */
    public static List<String> relyingOn(TestSettings settings, JournalClaim claim) {
        Path folder = settings.journal();
        List<String> tests = new ArrayList<>();
        if (folder == null || !Files.isDirectory(folder)) {
            return tests;
        }
        try {
            JournalReader.read(folder, scene -> {
                if (scene.conversation().statements().stream().anyMatch(said -> isSame(said, claim))) {
                    tests.add(scene.test());
                }
            });
        } catch (JournalException e) {
            // Without a readable journal the tests are unknown.
            return List.of();
        }
        return tests;
    }

    private static boolean isSame(TestStatement said, JournalClaim claim) {
        return said.verb() == Verb.SUPPOSED
                && said.found() > 0
                && said.signature().equals(claim.signature())
                && said.place().equals(claim.place());
    }

    /**
     * Returns the scene for the test.
     *
     * @return the scene
     */
    public Scene scene() {
        return hosted.scene();
    }

    /**
     * Returns the scene for a host.
     *
     * @return the scene
     */
    public HostedScene hosted() {
        return hosted;
    }

    /**
     * Sets the test of a scene that was opened before the test was known, for example by a set-up method.
     *
     * @param test the test
     */
    public void isOf(Name test) {
        name = test;
    }

    /**
     * Closes the scene: completes the failure, and adds the test to the journal.
     *
     * @param failure why the test failed, or null if it did not
     * @param aborted whether it was only aborted because an assumption did not hold
     * @param notes further notes about the test
     * @return all notes about the test that do not fail it
     * @throws dev.zelotype.error.CheckFailure if the test passed otherwise, but its doubles were not called as expected
     */
    @SuppressWarnings("exports")
    public List<String> close(@Nullable Throwable failure, boolean aborted, List<String> notes) {
        Throwable why = failure;
        List<String> all = new ArrayList<>();
        try {
            hosted.closeAfter(failure);
        } catch (RuntimeException | Error e) {
            why = e;
            throw e;
        } finally {
            if (why != null) {
                hosted.attachConversation(why, notes);
            }
            all.addAll(hosted.scene().notes());
            all.addAll(notes);
            if (settings.journal() != null) {
                write(settings, name, hosted.scene().conversation().withNotes(notes), why, aborted);
            }
        }
        return all;
    }

    private static void write(
            TestSettings settings, Name name, Conversation conversation, @Nullable Throwable failure, boolean aborted) {
        if (settings.journal() == null) {
            return;
        }
        JournalScene scene = JournalScene.of(name.testClass.getName() + "#" + name.method, conversation)
                .title(name.title)
                .group(name.group)
                .ended(
                        failure == null ? Outcome.PASSED : aborted ? Outcome.ABORTED : Outcome.FAILED,
                        firstLine(failure))
                .checks(TestChecks.areIn(name.testClass, withoutParameters(name.method)))
                .build();
        keep(settings, writer -> writer.write(scene));
    }

    /**
     * Adds the result of a claim to the journal, if there is one.
     *
     * @param settings the settings of the journal
     * @param claim the claim
     */
    public static void keep(TestSettings settings, JournalClaim claim) {
        if (settings.journal() != null) {
            keep(settings, writer -> writer.write(claim));
        }
    }

    private static void keep(TestSettings settings, Consumer<JournalWriter> what) {
        try {
            what.accept(
                    WRITERS.computeIfAbsent(settings.journal(), folder -> new JournalWriter(folder, settings.mask())));
        } catch (JournalException e) {
            // A test that passed must not fail because its journal cannot be written; but it must be reported.
            if (WARNED.compareAndSet(false, true)) {
                System.getLogger(TestScene.class.getName()).log(System.Logger.Level.WARNING, e.getMessage());
            }
        }
    }

    private static String firstLine(@Nullable Throwable failure) {
        if (failure == null) {
            return "";
        }
        try {
            return String.valueOf(failure.getMessage()).lines().findFirst().orElse("");
        } catch (Throwable e) {
            return failure.getClass().getName() + " (its message cannot be told: "
                    + e.getClass().getName() + ")";
        }
    }
}
