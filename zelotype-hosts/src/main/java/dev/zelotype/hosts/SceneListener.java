package dev.zelotype.hosts;

import dev.zelotype.journal.TestScene;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.testng.IInvokedMethod;
import org.testng.IInvokedMethodListener;
import org.testng.ITestResult;
import org.testng.SkipException;

/**
 * For tests with TestNG: a listener that opens a scene for each test method, and closes it after, which checks what was
 * expected. When the test failed, the conversation is attached to the failure. Settings come from system properties.
 *
 * <pre>{@code
 * @Listeners(SceneListener.class)
 * public class EveningTest {
 *     @Test public void opens_on_dry_evenings() {
 *         WeatherStation weather = stub(WeatherStation.class);
 *         ...
 *     }
 * }
 * }</pre>
 *
 * @since 0.2
 */
public final class SceneListener implements IInvokedMethodListener {

    private final Map<ITestResult, TestScene> running = new ConcurrentHashMap<>();

    /** A listener for any number of classes. */
    public SceneListener() {}

    @Override
    public void beforeInvocation(IInvokedMethod method, ITestResult result) {
        if (method.isTestMethod()) {
            running.put(
                    result,
                    TestScene.open(
                            JvmSettings.read(),
                            TestScene.Name.of(
                                    result.getTestClass().getRealClass(),
                                    method.getTestMethod().getMethodName())));
        }
    }

    @Override
    public void afterInvocation(IInvokedMethod method, ITestResult result) {
        TestScene test = running.remove(result);
        if (test == null) {
            return;
        }
        Throwable failure = result.getThrowable();
        try {
            test.close(failure, failure instanceof SkipException, List.of());
        } catch (RuntimeException | Error e) {
            // TestNG takes what a listener throws for a fault of the listener.
            result.setStatus(ITestResult.FAILURE);
            result.setThrowable(e);
        }
    }
}
