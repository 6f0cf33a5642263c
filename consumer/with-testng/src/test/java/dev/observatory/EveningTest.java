package dev.observatory;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.doubles.Kind.MOCK;
import static org.testng.Assert.assertEquals;

import dev.zelotype.hosts.SceneListener;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import org.testng.annotations.Listeners;
import org.testng.annotations.Test;

@Listeners(SceneListener.class)
public class EveningTest {

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

        assertEquals(evening.begin(), 4711);
    }
}
