package dev.zelotype.examples.libraries;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.doubles.Kind.STUB;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.examples.observatory.WeatherStation;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.WithDoubles;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/**
 * Concurrency: a stub of an executor runs tasks when the test wants; for a real one, the test waits.
 */
@WithDoubles
class ConcurrencyTest {

    /** Closes the dome in the background when it gets humid. */
    static final class Guard {
        private final WeatherStation weather;
        private final Dome dome;

        Guard(WeatherStation weather, Dome dome) {
            this.weather = weather;
            this.dome = dome;
        }

        void look(Executor executor) {
            executor.execute(() -> {
                if (weather.humidity() > 80) {
                    dome.close();
                }
            });
        }
    }

    @StandIn(STUB)
    WeatherStation weather;

    @StandIn(STUB)
    Dome dome;

    @Test
    void the_work_runs_when_the_test_says(@StandIn(STUB) Executor executor) {
        List<Runnable> work = new ArrayList<>();
        suppose(executor::execute).does(work::add);
        suppose(weather::humidity).returns(85);

        new Guard(weather, dome).look(executor);
        verify(dome::close).never();
        work.get(0).run();

        verify(dome::close).once();
    }

    @Test
    void a_real_thread_is_waited_for() {
        suppose(weather::humidity).returns(85);
        ScheduledExecutorService executor = Executors.newSingleThreadScheduledExecutor();

        new Guard(weather, dome).look(task -> executor.schedule(task, 20, TimeUnit.MILLISECONDS));

        verify(dome::close).within(Duration.ofSeconds(5)).once();
        assertThat(executor.shutdownNow()).isEmpty();
    }
}
