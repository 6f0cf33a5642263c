package dev.zelotype.examples.observatory;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.doubles.Kind.MOCK;
import static dev.zelotype.doubles.Kind.SPY;
import static dev.zelotype.doubles.Kind.STUB;

import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayNameGeneration;
import org.junit.jupiter.api.DisplayNameGenerator.ReplaceUnderscores;
import org.junit.jupiter.api.Test;

/**
 * Tests that are meant to fail, so that the demo can show their messages. The build does not run them.
 */
@WithDoubles
@DisplayNameGeneration(ReplaceUnderscores.class)
class TroubledNight {

    private static final SkyTarget HARROW = new SkyTarget("Harrow-2", 47);
    private static final SkyTarget QUILL = new SkyTarget("Quill-9", 61);

    @StandIn(STUB)
    WeatherStation weather;

    @StandIn(MOCK)
    Dome dome;

    @StandIn(SPY)
    Mount mount;

    @StandIn(STUB)
    TargetCatalog catalog;

    @UnderTest
    NightRun run;

    @BeforeEach
    void the_catalog_mistakes_one_target_for_another() {
        suppose(() -> catalog.find("Harrow-2")).returns(Optional.of(QUILL));
    }

    @Test
    void an_unexpected_call() {
        expect(dome::open).once();

        run.observe(List.of("Harrow-2"));
    }

    @Test
    void a_call_that_is_missing() {
        suppose(weather::humidity).returns(95);
        expect(dome::open).once();

        run.observe(List.of("Harrow-2"));
    }

    @Test
    void a_call_with_another_argument() {
        expect(dome::open).once();
        expect(dome::close).once();

        run.observe(List.of("Harrow-2"));

        verify(() -> mount.slewTo(HARROW)).once();
    }
}
