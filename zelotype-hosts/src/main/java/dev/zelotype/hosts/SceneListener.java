package dev.zelotype.hosts;

import dev.zelotype.journal.TestScene;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.testng.IInvokedMethod;
import org.testng.IInvokedMethodListener;
import org.testng.ITestResult;
import org.testng.SkipException;

/**
 * For tests with TestNG: a listener that opens a scene for each test method, and closes it after, which checks what was
 * expected. The scene is there in {@code @BeforeMethod} and {@code @AfterMethod} methods as well; what the test expected is
 * judged before the latter run. When the test failed, the conversation is attached to the failure. Settings come from system
 * properties.
 *
 * <pre>{@code
 * @Listeners(SceneListener.class)
 * public class EveningTest {
 *     @Test public void opens_on_dry_evenings() {
 *         WeatherStation weather = stub(WeatherStation.class);
 *         Evening evening = Scene.current().subject(Evening.class);
 *         ...
 *     }
 * }
 * }</pre>
 *
 * @since 0.2
 */
public final class SceneListener implements IInvokedMethodListener {

    /** TestNG runs a test and what is around it on one thread. */
    private final ThreadLocal<Running> running = new ThreadLocal<>();

    /** A listener for any number of classes. */
    public SceneListener() {}

    /** A scene, with the test that it belongs to as soon as that has begun. */
    private static final class Running {
        private final TestScene scene;
        private final Object instance;
        private @Nullable ITestResult test;
        /** How many methods still run after the test. */
        private int left;

        Running(TestScene scene, Object instance) {
            this.scene = scene;
            this.instance = instance;
        }

        void close() {
            ITestResult ended = test;
            Throwable failure = ended == null ? null : ended.getThrowable();
            scene.close(failure, failure instanceof SkipException, List.of());
        }
    }

    @Override
    public void beforeInvocation(IInvokedMethod method, ITestResult result) {
        boolean before =
                method.isConfigurationMethod() && method.getTestMethod().isBeforeMethodConfiguration();
        if (!before && !method.isTestMethod()) {
            return;
        }
        Running open = running.get();
        if (open != null && (open.test != null || open.instance != result.getInstance())) {
            // The methods after its test did not run.
            running.remove();
            open.close();
            open = null;
        }
        TestScene.Name name = TestScene.Name.of(
                result.getTestClass().getRealClass(), method.getTestMethod().getMethodName());
        if (open == null) {
            open = new Running(TestScene.open(JvmSettings.read(), name), result.getInstance());
            running.set(open);
        }
        if (method.isTestMethod()) {
            open.test = result;
            open.scene.isOf(name);
            open.left = method.getTestMethod().getTestClass().getAfterTestMethods().length;
        }
    }

    @Override
    public void afterInvocation(IInvokedMethod method, ITestResult result) {
        Running open = running.get();
        if (open == null) {
            return;
        }
        boolean after = method.isConfigurationMethod() && method.getTestMethod().isAfterMethodConfiguration();
        if (method.isTestMethod() && open.left > 0 && result.getThrowable() == null) {
            fail(result, open.scene.hosted().judge());
        } else if (after) {
            open.left--;
        }
        if (open.left <= 0 && (method.isTestMethod() || after)) {
            running.remove();
            try {
                open.close();
            } catch (RuntimeException | Error e) {
                fail(result, e);
            }
        }
    }

    /** TestNG takes what a listener throws for a fault of the listener. */
    private static void fail(ITestResult result, @Nullable Throwable problem) {
        if (problem != null) {
            result.setStatus(ITestResult.FAILURE);
            result.setThrowable(problem);
        }
    }
}
