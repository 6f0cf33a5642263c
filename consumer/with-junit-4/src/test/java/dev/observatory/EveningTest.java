package dev.observatory;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.junit.Assert.assertEquals;

import dev.zelotype.hosts.SceneRule;
import org.junit.Rule;
import org.junit.Test;

public class EveningTest {

    @Rule
    public final SceneRule doubles = new SceneRule();

    @Test
    public void a_dry_evening_opens_the_dome_at_the_time_of_the_clock() {
        WeatherStation weather = stub(WeatherStation.class);
        Dome dome = mock(Dome.class);
        suppose(weather::humidity).returns(40);
        suppose(Clock::now).returns(4711L);
        expect(dome::open).once();

        assertEquals(4711, new Evening(weather, dome).begin());
    }
}
