package dev.zelotype.benchmarks;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.platform.engine.discovery.DiscoverySelectors.selectClass;

import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.WithDoubles;
import org.junit.jupiter.api.Test;
import org.junit.platform.launcher.core.LauncherDiscoveryRequestBuilder;
import org.junit.platform.launcher.core.LauncherFactory;
import org.junit.platform.launcher.listeners.SummaryGeneratingListener;

/**
 * Run in a JVM of its own: one JUnit test, with a double by Zelotype or written by hand.
 */
public final class OneTest {

    private OneTest() {}

    @WithDoubles
    static class WithZelotype {
        @StandIn
        Mount mount;

        @Test
        void tracks() {
            suppose(mount::track).returns(7);
            assertEquals(7, mount.track("Harrow-2", 3));
            verify(mount::track).once();
        }
    }

    static class WithWrittenDouble {
        @Test
        void tracks() {
            int[] calls = {0};
            Mount mount = (target, rate) -> {
                calls[0]++;
                return 7;
            };
            assertEquals(7, mount.track("Harrow-2", 3));
            assertEquals(1, calls[0]);
        }
    }

    public static void main(String[] arguments) {
        Class<?> test = arguments[0].equals("written") ? WithWrittenDouble.class : WithZelotype.class;
        SummaryGeneratingListener summary = new SummaryGeneratingListener();
        LauncherFactory.create()
                .execute(
                        LauncherDiscoveryRequestBuilder.request()
                                .selectors(selectClass(test))
                                .build(),
                        summary);
        if (summary.getSummary().getTestsSucceededCount() != 1) {
            throw new IllegalStateException("The test failed.");
        }
    }
}
