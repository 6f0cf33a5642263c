package dev.zelotype.examples.guide;

import static dev.zelotype.Zelotype.*;
import static dev.zelotype.doubles.Kind.*;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.examples.observatory.LogEntry;
import dev.zelotype.examples.observatory.Mount;
import dev.zelotype.examples.observatory.NightLog;
import dev.zelotype.examples.observatory.NightRun;
import dev.zelotype.examples.observatory.SkyTarget;
import dev.zelotype.examples.observatory.TargetCatalog;
import dev.zelotype.examples.observatory.WeatherStation;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The recommended alternatives to brittle tests. */
@WithDoubles
class BrittleTestsTest {

    @StandIn(STUB)
    WeatherStation weather;

    @StandIn(SPY)
    Dome dome;

    @StandIn(SPY)
    Mount mount;

    @StandIn(STUB)
    TargetCatalog catalog;

    @StandIn(SPY)
    NightLog log;

    @UnderTest
    NightRun run;

    private final SkyTarget harrow = new SkyTarget("Harrow-2", 47);

    @BeforeEach
    void a_known_target() {
        suppose(() -> catalog.find("Harrow-2")).returns(Optional.of(harrow));
    }

    @Test
    void the_result_alone() {
        suppose(weather::humidity).returns(95);

        assertThat(run.observe(List.of("Harrow-2"))).isZero();
        verify(log::append)
                .where("mentions the humidity", entry -> entry.text().contains("humid"))
                .once();
    }

    @Test
    void counts_of_what_does_something() {
        run.observe(List.of("Harrow-2"));

        verify(mount::park).once();
        verify(weather::humidity).atLeast(1);
    }

    @Test
    void the_order_of_two_calls() {
        run.observe(List.of("Harrow-2"));

        inThisOrder(() -> {
            verify(dome::open).once();
            verify(mount::slewTo).atLeast(1);
        });
    }

    @Test
    void the_argument_that_matters() {
        mount.track(harrow, 3);
        log.append(LogEntry.of("tracking"));

        verify((SkyTarget any) -> mount.track(any, 3)).once();
    }
}
