package dev.zelotype.examples.containers;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.doubles.Kind.STUB;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.inject.Guice;
import com.google.inject.Injector;
import dev.zelotype.examples.observatory.WeatherStation;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.WithDoubles;
import jakarta.inject.Inject;
import org.junit.jupiter.api.Test;

/**
 * A double is bound in an injector.
 */
@WithDoubles
class GuiceTest {

    static class Watch {
        private final WeatherStation weather;

        @Inject
        Watch(WeatherStation weather) {
            this.weather = weather;
        }

        boolean isDry() {
            return weather.humidity() < 80;
        }
    }

    @StandIn(STUB)
    WeatherStation weather;

    @Test
    void a_dry_night() {
        Injector injector =
                Guice.createInjector(binder -> binder.bind(WeatherStation.class).toInstance(weather));
        suppose(weather::humidity).returns(40);

        assertThat(injector.getInstance(Watch.class).isDry()).isTrue();
    }
}
