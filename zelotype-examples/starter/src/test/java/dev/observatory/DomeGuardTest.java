package dev.observatory;

import static dev.zelotype.Zelotype.*;

import dev.zelotype.doubles.Kind;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import org.junit.jupiter.api.Test;

@WithDoubles
class DomeGuardTest {

    @StandIn
    WeatherStation weather;

    @StandIn(Kind.MOCK)
    Dome dome;

    @UnderTest
    DomeGuard guard;

    @Test
    void opens_the_dome_when_the_air_is_dry() {
        suppose(weather::humidity).returns(40);
        expect(dome::open).once();

        guard.look();
    }

    @Test
    void closes_the_dome_when_it_gets_humid() {
        suppose(weather::humidity).returns(40, 95);
        inThisOrder(() -> {
            expect(dome::open).once();
            expect(dome::close).once();
        });

        guard.look();
        guard.look();
    }
}
