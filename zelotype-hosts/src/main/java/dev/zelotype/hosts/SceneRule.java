package dev.zelotype.hosts;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.journal.TestScene;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.AssumptionViolatedException;
import org.junit.rules.TestRule;
import org.junit.runner.Description;
import org.junit.runners.model.Statement;

/**
 * For tests with JUnit 4: a rule that opens a scene for each test, and closes it after, which checks what was expected. When
 * the test failed, the conversation is attached to the failure. Settings come from system properties.
 *
 * <pre>{@code
 * @Rule public final SceneRule doubles = new SceneRule();
 *
 * @Test public void opens_on_dry_evenings() {
 *     WeatherStation weather = doubles.scene().the(WeatherStation.class);
 *     Evening evening = doubles.scene().subject(Evening.class);
 *     ...
 * }
 * }</pre>
 *
 * @since 0.2
 */
public final class SceneRule implements TestRule {

    private @Nullable TestScene test;

    /** A rule for one class of tests. */
    public SceneRule() {}

    /**
     * The scene of the running test.
     *
     * @return the scene
     * @throws MisuseException if no test is running
     */
    public Scene scene() {
        if (test == null) {
            throw new MisuseException(
                    "No test is running, so no scene is open.", "ask for it in a test or in a @Before method");
        }
        return test.scene();
    }

    @Override
    public Statement apply(Statement base, Description description) {
        return new Statement() {
            @Override
            public void evaluate() throws Throwable {
                run(base, description);
            }
        };
    }

    private void run(Statement base, Description description) throws Throwable {
        Class<?> testClass = description.getTestClass();
        TestScene opened =
                TestScene.open(JvmSettings.read(), TestScene.Name.of(testClass, description.getMethodName()));
        test = opened;
        Throwable failure = null;
        try {
            base.evaluate();
        } catch (Throwable e) {
            failure = e;
        }
        test = null;
        opened.close(failure, failure instanceof AssumptionViolatedException, List.of());
        if (failure != null) {
            throw failure;
        }
    }
}
