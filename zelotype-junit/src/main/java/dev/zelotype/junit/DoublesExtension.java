package dev.zelotype.junit;

import dev.zelotype.Scene;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import dev.zelotype.journal.TestScene;
import java.lang.reflect.Parameter;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.BeforeTestExecutionCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.ExtensionContext.Store;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.junit.jupiter.api.extension.TestWatcher;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.opentest4j.TestAbortedException;

/**
 * The extension that {@link WithDoubles} registers: opens the scene before a test, fills fields and parameters, and
 * closes it afterwards.
 */
final class DoublesExtension
        implements BeforeEachCallback,
                BeforeTestExecutionCallback,
                AfterEachCallback,
                AfterAllCallback,
                TestWatcher,
                ParameterResolver {

    private static final Namespace NAMESPACE = Namespace.create(DoublesExtension.class);

    DoublesExtension() {}

    /** A test that has begun; one object, because each visit to JUnit's store takes as long as a few calls. */
    private static final class Begun {

        /** Null until the scene is open, and after it is closed. */
        private @Nullable Injection injection;
    }

    @Override
    public void beforeEach(ExtensionContext context) {
        Begun begun = new Begun();
        store(context).put(Begun.class, begun);
        Injection injection = new Injection(TestScene.open(Settings.of(context), name(context)));
        begun.injection = injection;
        List<Object> tests = context.getRequiredTestInstances().getAllInstances();
        if (isShared(context)) {
            TestFields.refuseFields(tests, "ask for doubles and subjects as parameters of the test methods");
        }
        injection.fill(tests, context.getRequiredTestMethod());
    }

    /** Whether tests that run at the same time share an instance of their class. */
    private static boolean isShared(ExtensionContext context) {
        return context.getTestInstanceLifecycle().orElse(Lifecycle.PER_METHOD) == Lifecycle.PER_CLASS
                && context.getExecutionMode() == ExecutionMode.CONCURRENT;
    }

    private static Store store(ExtensionContext context) {
        return context.getStore(NAMESPACE);
    }

    private static TestScene.Name name(ExtensionContext context) {
        // The invocations of a parameterized test are below their method, not directly below their class.
        ExtensionContext group = context;
        while (group.getTestMethod().isPresent() && group.getParent().isPresent()) {
            group = group.getParent().get();
        }
        String method = context.getTestMethod().map(found -> found.getName()).orElse("");
        return TestScene.Name.of(context.getRequiredTestClass(), method)
                .titled(context.getDisplayName(), group.getDisplayName());
    }

    @Override
    public void beforeTestExecution(ExtensionContext context) {
        injection(context).test().hosted().endSetUp();
    }

    private static @Nullable Injection injection(ExtensionContext context) {
        Begun begun = begun(context);
        return begun == null ? null : begun.injection;
    }

    private static @Nullable Begun begun(ExtensionContext context) {
        return store(context).get(Begun.class, Begun.class);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.isAnnotated(StandIn.class)
                || parameter.isAnnotated(UnderTest.class)
                || parameter.getParameter().getType() == Scene.class;
    }

    @Override
    public Object resolveParameter(ParameterContext context, ExtensionContext extension) {
        Parameter parameter = context.getParameter();
        Injection injection = injection(extension);
        if (injection == null) {
            throw new MisuseException(
                    "The parameter " + parameter + " of " + context.getDeclaringExecutable()
                            + " asks for something of a scene, but no test is running.",
                    "ask for it in a test or in a method that runs before or after each test");
        }
        return injection.resolve(context);
    }

    @Override
    public void afterEach(ExtensionContext context) {
        Begun begun = begun(context);
        Injection injection = begun == null ? null : begun.injection;
        if (injection == null) {
            return;
        }
        begun.injection = null;
        Throwable failure = context.getExecutionException().orElse(null);
        List<String> notes = injection.notes();
        try {
            notes = injection.test().close(failure, isAborted(failure), notes);
        } catch (CheckFailure e) {
            throw e.failures().isEmpty() ? e : new SceneFailures(e);
        } finally {
            // Remarks that do not fail a test go into the test's report.
            if (!notes.isEmpty()) {
                context.publishReportEntry("zelotype.notes", String.join("\n", notes));
            }
        }
    }

    private static boolean isAborted(@Nullable Throwable failure) {
        return failure instanceof TestAbortedException;
    }

    /** A test that failed before it had a scene, for example in its constructor, is recorded in the journal too. */
    @Override
    public void testFailed(ExtensionContext context, Throwable cause) {
        if (begun(context) == null) {
            TestScene.neverOpened(Settings.of(context), name(context), cause, false);
        }
    }

    /** As {@link #testFailed}, for a class whose tests did not run. */
    @Override
    public void afterAll(ExtensionContext context) {
        context.getExecutionException()
                .ifPresent(failure ->
                        TestScene.neverOpened(Settings.of(context), name(context), failure, isAborted(failure)));
    }
}
