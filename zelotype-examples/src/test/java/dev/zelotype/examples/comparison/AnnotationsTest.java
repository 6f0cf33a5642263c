package dev.zelotype.examples.comparison;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.doubles.Kind.MOCK;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.examples.observatory.Camera;
import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.examples.observatory.Frame;
import dev.zelotype.examples.observatory.Mount;
import dev.zelotype.examples.observatory.NightLog;
import dev.zelotype.examples.observatory.NightRun;
import dev.zelotype.examples.observatory.SkyTarget;
import dev.zelotype.examples.observatory.TargetCatalog;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

@WithDoubles
class AnnotationsTest {

    @StandIn(MOCK)
    Dome dome;

    @StandIn
    Mount mount;

    @StandIn
    Camera camera;

    @StandIn
    TargetCatalog catalog;

    @StandIn
    NightLog log;

    @UnderTest
    NightRun run;

    @Test
    void a_picture_of_a_target() {
        SkyTarget harrow = new SkyTarget("Harrow-2", 47);
        suppose(catalog::find).returns(Optional.of(harrow));
        suppose(camera::expose).does((time, onFrame, onFailure) -> onFrame.accept(new Frame(12)));
        suppose(log::append).answers(entry -> entry);
        expect(dome::open).once();
        expect(dome::close).once();

        assertThat(run.observe(List.of("Harrow-2"))).isEqualTo(1);

        assertThat(recorded(mount::slewTo)).containsExactly(harrow);
    }
}
