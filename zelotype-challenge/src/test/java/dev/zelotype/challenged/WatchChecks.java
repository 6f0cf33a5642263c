package dev.zelotype.challenged;

import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.doubles.Kind;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Checks everything that the subject does, except for the one check that is removed by name. */
@WithDoubles
class WatchChecks {

    @StandIn(Kind.STUB)
    Watch.Weather weather;

    @StandIn(Kind.STUB)
    Watch.Dome dome;

    @StandIn(Kind.STUB)
    Watch.Camera camera;

    @StandIn(Kind.STUB)
    Watch.NightLog log;

    @UnderTest
    Watch watch;

    private static boolean has(String check) {
        return !check.equals(System.getProperty("removed"));
    }

    @BeforeEach
    void a_dry_night() {
        suppose(weather::humidity).returns(40);
        suppose(weather::warning).returns(Optional.empty());
        suppose(dome::isOpen).returns(true);
        suppose(camera::expose).does((time, done, failed) -> done.accept("frame"));
    }

    @Test
    void two_targets() {
        int pictures = watch.night(List.of("Harrow-2", "Quill-9"));

        if (has("pictures")) {
            assertThat(pictures).isEqualTo(2);
        }
        if (has("open")) {
            verify(() -> dome.open(40)).once();
        }
        if (has("close")) {
            verify(dome::close).once();
        }
        if (has("exposures")) {
            assertThat(recorded(camera::expose)).hasSize(2);
        }
        if (has("time")) {
            verify(camera::expose)
                    .where((time, done, failed) -> time.equals(Duration.ofSeconds(90)))
                    .times(2);
        }
        if (has("notes")) {
            assertThat(recorded(log::note)).containsExactly("seen Harrow-2", "seen Quill-9");
        }
        if (has("place")) {
            verify(() -> weather.warning("north")).once();
        }
    }

    @Test
    void a_warning_is_logged() {
        suppose(weather::warning).returns(Optional.of("fog"));

        watch.night(List.of());

        if (has("warning")) {
            verify(() -> log.note("fog")).once();
        }
    }

    @Test
    void a_humid_night() {
        suppose(weather::humidity).returns(81);

        int pictures = watch.night(List.of("Harrow-2"));

        if (has("humid")) {
            assertThat(pictures).isEqualTo(-1);
        }
    }

    @Test
    void the_camera_fails() {
        suppose(camera::expose).does((time, done, failed) -> failed.accept("stuck"));

        watch.night(List.of("Harrow-2"));

        if (has("failure")) {
            verify(() -> log.note("failed: stuck")).once();
        }
    }
}
