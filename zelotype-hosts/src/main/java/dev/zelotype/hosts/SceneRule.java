package dev.zelotype.hosts;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.journal.TestScene;
import dev.zelotype.junit.TestFields;
import org.jspecify.annotations.Nullable;
import org.junit.AssumptionViolatedException;
import org.junit.rules.MethodRule;
import org.junit.runners.model.FrameworkMethod;
import org.junit.runners.model.Statement;

/**
 * For tests with JUnit 4: a rule that opens a scene for each test, fills the fields of the test for doubles, values and
 * subjects, and closes the scene afterwards, which checks the expectations. If the test fails, the conversation is
 * attached to the failure. Settings come from system properties.
 *
 * <pre>{@code
 * @Rule public final SceneRule doubles = new SceneRule();
 * @StandIn WeatherStation weather;
 * @StandIn(MOCK) Dome dome;
 * @UnderTest Evening evening;
 *
 * @Test public void opens_on_dry_evenings() {
 *     suppose(weather::humidity).returns(40);
 *     ...
 * }
 * }</pre>
 *
 * @since 0.2
 */
public final class SceneRule implements MethodRule {

    private @Nullable TestScene test;

    /** A rule for one test class. */
    public SceneRule() {}

    /**
     * Returns the scene of the running test.
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
    public Statement apply(Statement base, FrameworkMethod method, Object target) {
        return new Statement() {
            @Override
            public void evaluate() throws Throwable {
                run(base, method, target);
            }
        };
    }

    private void run(Statement base, FrameworkMethod method, Object target) throws Throwable {
        TestScene opened = TestScene.open(JvmSettings.read(), TestScene.Name.of(target.getClass(), method.getName()));
        test = opened;
        TestFields fields = new TestFields(opened);
        Throwable failure = null;
        try {
            fields.fill(target);
            base.evaluate();
        } catch (Throwable e) {
            failure = e;
        }
        test = null;
        opened.close(failure, failure instanceof AssumptionViolatedException, fields.notes());
        if (failure != null) {
            throw failure;
        }
    }
}
