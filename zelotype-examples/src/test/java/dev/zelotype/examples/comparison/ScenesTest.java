package dev.zelotype.examples.comparison;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.doubles.Kind;
import dev.zelotype.examples.observatory.Camera;
import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.examples.observatory.Frame;
import dev.zelotype.examples.observatory.Mount;
import dev.zelotype.examples.observatory.NightLog;
import dev.zelotype.examples.observatory.NightRun;
import dev.zelotype.examples.observatory.SkyTarget;
import dev.zelotype.examples.observatory.TargetCatalog;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ScenesTest {

    @Test
    void a_picture_of_a_target() {
        try (Scene scene = Scene.open()) {
            SkyTarget harrow = new SkyTarget("Harrow-2", 47);
            Dome dome = scene.the(Dome.class, Kind.MOCK);
            NightRun run = scene.subject(NightRun.class);
            suppose(scene.the(TargetCatalog.class)::find).returns(Optional.of(harrow));
            suppose(scene.the(Camera.class)::expose).does((time, onFrame, fault) -> onFrame.accept(new Frame(12)));
            suppose(scene.the(NightLog.class)::append).answers(entry -> entry);
            expect(dome::open).once();
            expect(dome::close).once();

            assertThat(run.observe(List.of("Harrow-2"))).isEqualTo(1);

            assertThat(recorded(scene.the(Mount.class)::slewTo)).containsExactly(harrow);
        }
    }
}
