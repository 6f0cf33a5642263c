package dev.zelotype.examples.libraries;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.doubles.Kind.STUB;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;

/**
 * Time: an injected clock is a stub that returns instants in sequence; if the code calls the JDK directly, that call is
 * replaced.
 */
@WithDoubles
class TimeTest {

    /** Measures how long the dome takes to open. */
    static final class StopWatch {
        private final Clock clock;

        StopWatch(Clock clock) {
            this.clock = clock;
        }

        Duration take(Runnable work) {
            Instant start = clock.instant();
            work.run();
            return Duration.between(start, clock.instant());
        }

        String nameOfNight() {
            return "night of " + LocalDate.now();
        }
    }

    @StandIn(STUB)
    Clock clock;

    @UnderTest
    StopWatch watch;

    @Test
    void the_time_between_two_looks_at_the_clock() {
        suppose(clock::instant).returns(Instant.EPOCH, Instant.EPOCH.plusSeconds(90));

        assertThat(watch.take(() -> {})).isEqualTo(Duration.ofSeconds(90));
    }

    @Test
    void today_is_when_the_test_says() {
        LocalDate day = LocalDate.of(2031, 3, 14);
        suppose(() -> LocalDate.now()).returns(day);

        assertThat(watch.nameOfNight()).isEqualTo("night of 2031-03-14");
    }
}
