package dev.observatory;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.doubles.Kind.MOCK;
import static org.junit.Assert.assertEquals;

import dev.zelotype.hosts.SceneRule;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import org.junit.Rule;
import org.junit.Test;

public class EveningTest {

    @Rule
    public final SceneRule doubles = new SceneRule();

    @StandIn
    WeatherStation weather;

    @StandIn(MOCK)
    Dome dome;

    @UnderTest
    Evening evening;

    @Test
    public void a_dry_evening_opens_the_dome_at_the_time_of_the_clock() {
        suppose(weather::humidity).returns(40);
        suppose(Clock::now).returns(4711L);
        expect(dome::open).once();

        assertEquals(4711, evening.begin());
    }
}
