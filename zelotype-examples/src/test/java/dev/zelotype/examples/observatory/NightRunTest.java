package dev.zelotype.examples.observatory;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.inThisOrder;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyUntouched;
import static dev.zelotype.doubles.Kind.MOCK;
import static dev.zelotype.doubles.Kind.SPY;
import static dev.zelotype.doubles.Kind.STUB;
import static dev.zelotype.examples.observatory.CatalogClaims.HARROW;
import static dev.zelotype.examples.observatory.CatalogClaims.QUILL;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayNameGeneration;
import org.junit.jupiter.api.DisplayNameGenerator.ReplaceUnderscores;
import org.junit.jupiter.api.Test;

@WithDoubles
@DisplayNameGeneration(ReplaceUnderscores.class)
class NightRunTest {

    @StandIn(STUB)
    WeatherStation weather;

    @StandIn(MOCK)
    Dome dome;

    @StandIn(SPY)
    Mount mount;

    @StandIn(STUB)
    Camera camera;

    @StandIn(STUB)
    TargetCatalog catalog;

    @StandIn(SPY)
    NightLog log;

    @UnderTest
    NightRun run;

    @BeforeEach
    void a_clear_night_over_two_targets() {
        suppose(weather::humidity).returns(40);
        CatalogClaims.claims(catalog);
        suppose(camera::expose).does((time, onFrame, onFailure) -> onFrame.accept(new Frame(12)));
        suppose(log::append).answers(entry -> entry.numbered(7));
    }

    @Test
    void a_humid_night_keeps_the_dome_closed() {
        suppose(weather::humidity).returns(95);
        expect(dome::open).never();

        assertThat(run.observe(List.of("Harrow-2"))).isZero();

        assertThat(recorded(log::append)).containsExactly(LogEntry.of("too humid: 95 %"));
        verifyUntouched(mount, camera);
    }

    @Test
    void a_clear_night_opens_slews_exposes_logs_and_parks() {
        inThisOrder(() -> {
            expect(dome::open).once();
            expect(dome::close).once();
        });

        assertThat(run.observe(List.of("Harrow-2", "Quill-9"))).isEqualTo(2);

        assertThat(recorded(mount::slewTo)).containsExactly(HARROW, QUILL);
        verify(() -> log.note("see entry 7")).times(2);
        verify(mount::park).once();
    }

    @Test
    void an_unknown_target_is_skipped_and_logged() {
        suppose(dome::open).doesNothing();
        suppose(dome::close).doesNothing();

        assertThat(run.observe(List.of("Nowhere-1", "Quill-9"))).isEqualTo(1);

        verify(mount::slewTo).with(QUILL).once();
        assertThat(recorded(log::append)).contains(LogEntry.of("unknown target: Nowhere-1"));
    }

    @Test
    void the_camera_failing_closes_the_dome() {
        suppose(camera::expose).does((time, onFrame, onFailure) -> onFailure.accept(new CameraFault("shutter stuck")));
        expect(dome::open).once();
        expect(dome::close).once();

        assertThat(run.observe(List.of("Harrow-2", "Quill-9"))).isZero();

        verify(log::append)
                .where("about the camera", entry -> entry.text().startsWith("camera failed"))
                .once();
        verify(mount::park).once();
    }
}
