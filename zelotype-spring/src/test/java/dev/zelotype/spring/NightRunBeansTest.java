package dev.zelotype.spring;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyUntouched;

import dev.zelotype.doubles.Kind;
import dev.zelotype.junit.WithDoubles;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.test.context.junit.jupiter.SpringJUnitConfig;

/**
 * The example of the guide.
 */
@SpringJUnitConfig(NightRunBeansTest.ObservatoryConfig.class)
@WithDoubles
class NightRunBeansTest {

    interface Dome {
        void open();
    }

    interface Weather {
        int humidity();
    }

    interface NightLog {
        void append(String entry);
    }

    record NightRun(Dome dome, Weather weather, NightLog log) {
        void run() {
            if (weather.humidity() > 80) {
                log.append("too humid");
            } else {
                dome.open();
            }
        }
    }

    @Configuration
    static class ObservatoryConfig {

        @Bean
        Dome dome() {
            return () -> {
                throw new IllegalStateException("The real dome must not move in a test.");
            };
        }

        @Bean
        Weather weather() {
            return () -> 0;
        }

        @Bean
        NightLog log() {
            return entry -> {};
        }

        @Bean
        NightRun night(Dome dome, Weather weather, NightLog log) {
            return new NightRun(dome, weather, log);
        }
    }

    @StandInBean(Kind.MOCK)
    Dome dome;

    @StandInBean
    Weather weather;

    @WatchedBean
    NightLog log;

    @Autowired
    NightRun night;

    @Test
    void a_humid_night_keeps_the_dome_closed() {
        suppose(weather::humidity).returns(95);
        night.run();
        verifyUntouched(dome);
        verify(() -> log.append("too humid")).once();
    }
}
