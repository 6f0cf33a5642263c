package dev.observatory;

import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.zelotype.cdi.DoubleBeans;
import dev.zelotype.junit.WithDoubles;
import jakarta.enterprise.context.Dependent;
import jakarta.enterprise.inject.Produces;
import jakarta.inject.Inject;
import org.jboss.weld.junit5.EnableWeld;
import org.jboss.weld.junit5.WeldInitiator;
import org.jboss.weld.junit5.WeldSetup;
import org.junit.jupiter.api.Test;

@EnableWeld
@WithDoubles
class EveningInjectedTest {

    @Dependent
    static class RealDome implements Dome {

        @Override
        public void open() {
            throw new IllegalStateException("the real dome stays closed");
        }

        @Override
        public void close() {}
    }

    @Dependent
    static class Evenings {

        @Produces
        Evening evening(WeatherStation weather, Dome dome) {
            return new Evening(weather, dome);
        }
    }

    private final WeatherStation weather = stub(WeatherStation.class);
    private final Dome dome = spy(Dome.class);

    @WeldSetup
    WeldInitiator weld = WeldInitiator.of(WeldInitiator.createWeld()
            .beanClasses(RealDome.class, Evenings.class)
            .addExtension(new DoubleBeans().replace(WeatherStation.class, weather).replace(Dome.class, dome)));

    @Inject
    Evening evening;

    @Test
    void a_dry_evening_opens_the_dome_at_the_time_of_the_clock() {
        suppose(weather::humidity).returns(40);
        suppose(Clock::now).returns(4711L);

        assertEquals(4711, evening.begin());
        verify(dome::open).once();
    }
}
