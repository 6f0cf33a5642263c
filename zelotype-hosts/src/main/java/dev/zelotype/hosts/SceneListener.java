package dev.zelotype.hosts;

import dev.zelotype.journal.TestScene;
import dev.zelotype.junit.TestFields;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.testng.IInvokedMethod;
import org.testng.IInvokedMethodListener;
import org.testng.ITestResult;
import org.testng.SkipException;
import org.testng.xml.XmlSuite;
import org.testng.xml.XmlTest;

/**
 * For tests with TestNG: a listener that opens a scene for each test method and closes it afterwards, which checks the
 * expectations. {@code @BeforeMethod} and {@code @AfterMethod} methods run in the scene as well; expectations are
 * checked before the latter run. The fields of the test class for doubles, values and subjects are filled before each
 * test; this is refused if tests of one object run at the same time. If the test fails, the conversation is attached to
 * the failure. Settings come from system properties.
 *
 * <pre>{@code
 * @Listeners(SceneListener.class)
 * public class EveningTest {
 *     @StandIn WeatherStation weather;
 *     @UnderTest Evening evening;
 *
 *     @Test public void opens_on_dry_evenings() {
 *         suppose(weather::humidity).returns(40);
 *         ...
 *     }
 * }
 * }</pre>
 *
 * @since 0.2
 */
public final class SceneListener implements IInvokedMethodListener {

    /** TestNG runs a test and its configuration methods on one thread. */
    private final ThreadLocal<Running> running = new ThreadLocal<>();
    /** The objects with a running test, compared by identity. */
    private final Map<Object, Running> busy = Collections.synchronizedMap(new IdentityHashMap<>());

    /** A listener for any number of classes. */
    public SceneListener() {}

    /** A scene and the test that it belongs to, once that has begun. */
    private static final class Running {
        private final TestScene scene;
        private final Object instance;
        private final TestFields fields;
        /** Why the fields could not be filled. */
        private @Nullable Throwable unfilled;

        private @Nullable ITestResult test;
        /** How many methods still run after the test. */
        private int left;

        Running(TestScene scene, Object instance) {
            this.scene = scene;
            this.instance = instance;
            this.fields = new TestFields(scene);
        }

        void close() {
            ITestResult ended = test;
            Throwable failure = ended == null ? null : ended.getThrowable();
            scene.close(failure, failure instanceof SkipException, fields.notes());
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
            close(open);
            open = null;
        }
        TestScene.Name name = TestScene.Name.of(
                result.getTestClass().getRealClass(), method.getTestMethod().getMethodName());
        if (open == null) {
            open = new Running(TestScene.open(JvmSettings.read(), name), result.getInstance());
            running.set(open);
            fill(open, method.getTestMethod().getXmlTest());
        }
        if (method.isTestMethod()) {
            open.test = result;
            open.scene.isOf(name);
            open.left = method.getTestMethod().getTestClass().getAfterTestMethods().length;
        }
    }

    private void fill(Running open, XmlTest suite) {
        boolean shared =
                busy.putIfAbsent(open.instance, open) != null || suite.getParallel() == XmlSuite.ParallelMode.METHODS;
        try {
            if (shared) {
                TestFields.refuseFields(
                        List.of(open.instance), "make doubles and subjects in the test methods: stub(Dome.class)");
            }
            open.fields.fill(open.instance);
        } catch (RuntimeException | Error e) {
            open.unfilled = e;
        }
    }

    private void close(Running open) {
        running.remove();
        busy.remove(open.instance, open);
        open.close();
    }

    @Override
    public void afterInvocation(IInvokedMethod method, ITestResult result) {
        Running open = running.get();
        if (open == null) {
            return;
        }
        Throwable unfilled = open.unfilled;
        if (unfilled != null) {
            // Without its fields, the result of the method is irrelevant.
            fail(result, unfilled);
        }
        boolean after = method.isConfigurationMethod() && method.getTestMethod().isAfterMethodConfiguration();
        if (method.isTestMethod() && open.left > 0 && result.getThrowable() == null) {
            fail(result, open.scene.hosted().judge());
        } else if (after) {
            open.left--;
        }
        if (open.left <= 0 && (method.isTestMethod() || after)) {
            try {
                close(open);
            } catch (RuntimeException | Error e) {
                fail(result, e);
            }
        }
    }

    /** TestNG treats exceptions of a listener as faults of the listener. */
    private static void fail(ITestResult result, @Nullable Throwable problem) {
        if (problem != null) {
            result.setStatus(ITestResult.FAILURE);
            result.setThrowable(problem);
        }
    }
}
