package dev.zelotype.challenged;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;

import dev.zelotype.doubles.Kind;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Has one redundant check, lacks another, and ignores the results of the subject. */
@WithDoubles
class LooseChecks {

    @StandIn(Kind.STUB)
    Watch.Weather weather;

    @StandIn(Kind.STUB)
    Watch.Dome dome;

    @UnderTest
    Watch watch;

    @BeforeEach
    void no_warning() {
        suppose(weather::warning).returns(Optional.empty());
    }

    @Test
    void a_dry_night() {
        watch.night(List.of());

        verify(() -> dome.open(40)).once();
        verify(dome::open).once();
    }

    @Test
    void a_humid_night_that_checks() {
        suppose(weather::humidity).returns(81);

        watch.night(List.of());

        verify(dome::open).never();
        verify(dome::isOpen).never();
    }

    @Test
    void a_humid_night_that_forgets() {
        suppose(weather::humidity).returns(82);

        watch.night(List.of());

        verify(weather::warning).never();
    }
}
