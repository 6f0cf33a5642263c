package dev.zelotype.junit.platform;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.error.MisuseException;
import dev.zelotype.host.HostedScene;
import dev.zelotype.journal.TestScene;
import dev.zelotype.journal.TestSettings;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.platform.engine.TestExecutionResult;
import org.junit.platform.engine.support.descriptor.MethodSource;
import org.junit.platform.launcher.TestExecutionListener;
import org.junit.platform.launcher.TestIdentifier;
import org.junit.platform.launcher.TestPlan;

/**
 * Records the scenes that tests open themselves in the journal, if there is one. It does so once their test has ended,
 * because a test may fail after its scene was closed. The JUnit Platform finds it on the class path; without a journal
 * it does nothing.
 *
 * <p>It is in a separate jar without a module name: a platform on the class path cannot load a listener from a module
 * that it does not read.
 *
 * @since 0.2
 */
public final class OwnScenes implements TestExecutionListener {

    /** Threads that a test starts belong to it as well. */
    private final ThreadLocal<@Nullable Running> current = new InheritableThreadLocal<>();

    private @Nullable TestSettings settings;
    private @Nullable TestPlan plan;

    /** Called by the platform. */
    public OwnScenes() {}

    private record Running(TestIdentifier test, List<Conversation> scenes) {}

    @Override
    public void testPlanExecutionStarted(TestPlan started) {
        try {
            TestSettings given =
                    TestSettings.of(name -> started.getConfigurationParameters().get(name));
            if (given.keepsJournal()) {
                settings = given;
                plan = started;
                HostedScene.tellOfOwnScenes(this::closed);
            }
        } catch (MisuseException e) {
            // The first test that has a scene reports it.
            settings = null;
        }
    }

    private void closed(Conversation conversation) {
        Running test = current.get();
        if (test != null) {
            test.scenes().add(conversation);
        }
    }

    @Override
    public void executionStarted(TestIdentifier started) {
        if (settings != null && started.isTest()) {
            current.set(new Running(started, Collections.synchronizedList(new ArrayList<>())));
        }
    }

    @Override
    public void executionFinished(TestIdentifier finished, TestExecutionResult result) {
        Running test = current.get();
        if (settings == null || test == null || !test.test().equals(finished)) {
            return;
        }
        current.remove();
        TestScene.Name name = name(finished);
        for (Conversation each : name == null ? List.<Conversation>of() : List.copyOf(test.scenes())) {
            TestScene.openedByTest(
                    settings,
                    name,
                    each,
                    result.getThrowable().orElse(null),
                    result.getStatus() == TestExecutionResult.Status.ABORTED);
        }
    }

    private TestScene.@Nullable Name name(TestIdentifier test) {
        if (!(test.getSource().orElse(null) instanceof MethodSource source)) {
            return null;
        }
        TestIdentifier group = test;
        while (group.getSource().orElse(null) instanceof MethodSource
                && plan.getParent(group).isPresent()) {
            group = plan.getParent(group).get();
        }
        return TestScene.Name.of(source.getJavaClass(), source.getMethodName())
                .titled(test.getDisplayName(), group.getDisplayName());
    }

    @Override
    public void testPlanExecutionFinished(TestPlan finished) {
        if (settings != null) {
            HostedScene.tellOfOwnScenes(null);
            settings = null;
        }
    }
}
