package dev.observatory;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.doubles.Kind.MOCK;
import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.zelotype.spring.StandInBean;
import dev.zelotype.spring.WatchedBean;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What tests with and without Spring Boot have in common: the beans, the doubles in their place, and what is tested. */
abstract class EveningBeans {

    @Configuration(proxyBeanMethods = false)
    static class Beans {

        @Bean
        WeatherStation weather() {
            return new HumidWeather();
        }

        @Bean
        Dome dome() {
            return new RealDome();
        }

        @Bean
        Evening evening(WeatherStation weather, Dome dome) {
            return new Evening(weather, dome);
        }
    }

    static class HumidWeather implements WeatherStation {

        @Override
        public int humidity() {
            return 99;
        }
    }

    static class RealDome implements Dome {

        @Override
        public void open() {
            throw new IllegalStateException("the real dome stays closed");
        }

        @Override
        public void close() {}
    }

    @WatchedBean
    WeatherStation weather;

    @StandInBean(MOCK)
    Dome dome;

    @Autowired
    Evening evening;

    @Test
    void a_dry_evening_opens_the_dome_at_the_time_of_the_clock() {
        suppose(weather::humidity).returns(40);
        suppose(Clock::now).returns(4711L);
        expect(dome::open).once();

        assertEquals(4711, evening.begin());
    }

    @Test
    void what_nothing_is_said_of_is_the_real_bean() {
        assertEquals(0, evening.begin());
        verify(weather::humidity).once();
    }
}
