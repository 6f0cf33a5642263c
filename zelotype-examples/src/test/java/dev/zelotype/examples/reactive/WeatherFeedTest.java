package dev.zelotype.examples.reactive;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.doubles.Kind.STUB;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import org.junit.jupiter.api.Test;
import reactor.core.publisher.Flux;
import reactor.core.publisher.Mono;

/**
 * Publishers: a small class of this project makes default answers empty instead of null.
 */
@WithDoubles
class WeatherFeedTest {

    /** Publishes the values of its instruments. */
    interface WeatherFeed {
        Flux<Integer> humidity();

        Mono<String> warning();
    }

    /** Closes the dome in time. */
    static final class RainGuard {
        private final WeatherFeed feed;
        private final Dome dome;

        RainGuard(WeatherFeed feed, Dome dome) {
            this.feed = feed;
            this.dome = dome;
        }

        /** Watches until the feed ends; returns the last warning. */
        String watch() {
            feed.humidity().filter(percent -> percent > 90).take(1).subscribe(percent -> dome.close());
            return feed.warning().defaultIfEmpty("none").block();
        }
    }

    @StandIn(STUB)
    WeatherFeed feed;

    @StandIn(STUB)
    Dome dome;

    @UnderTest
    RainGuard guard;

    @Test
    void humid_air_closes_the_dome() {
        suppose(feed::humidity).returns(Flux.just(60, 95, 97));

        assertThat(guard.watch()).isEqualTo("none");

        verify(dome::close).once();
    }

    @Test
    void a_warning_is_passed_on() {
        suppose(feed::warning).returns(Mono.just("hail"));

        assertThat(guard.watch()).isEqualTo("hail");

        verify(dome::close).never();
    }
}
