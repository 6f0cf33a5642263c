package dev.zelotype.examples.guide;

import static dev.zelotype.Zelotype.*;
import static dev.zelotype.doubles.Kind.*;
import static java.time.Duration.ofSeconds;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.examples.observatory.Camera;
import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.examples.observatory.ExposurePlan;
import dev.zelotype.examples.observatory.Frame;
import dev.zelotype.examples.observatory.Mount;
import dev.zelotype.examples.observatory.SkyTarget;
import dev.zelotype.examples.observatory.WeatherStation;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.WithDoubles;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Every line of the cheat sheet. */
@WithDoubles
class CheatSheetTest {
    @StandIn(STUB)
    WeatherStation weather;

    @StandIn(MOCK)
    Dome dome;

    @StandIn(SPY)
    Mount mount;

    @StandIn(STUB)
    Camera camera;

    @StandIn(STUB)
    ExposurePlan plan;

    private final SkyTarget harrow = new SkyTarget("Harrow-2", 47);

    @Test
    void answers() {
        suppose(weather::humidity).returns(40, 70).fails(new IllegalStateException("offline"));
        suppose(weather::humidityAt).answers(name -> name.length());
        suppose(weather::humidityAt).returnsFrom(Map.of("north", 40, "south", 70));
        suppose(camera::expose).does((time, onFrame, onFailure) -> onFrame.accept(new Frame(12)));
        suppose(dome::close).doesNothing();
        suppose(plan::timeFor).callsReal();
        suppose(plan::timeFor).around((real, target) -> real.ask(target).plusSeconds(5));

        assertThat(List.of(weather.humidity(), weather.humidity())).containsExactly(40, 70);
        assertThatThrownBy(weather::humidity).hasMessage("offline");
        assertThat(weather.humidityAt("south")).isEqualTo(70);
        assertThat(weather.humidityAt("east")).as("not in the table").isEqualTo(4);
        List<Frame> frames = new ArrayList<>();
        camera.expose(Duration.ofSeconds(1), frames::add, fault -> {});
        assertThat(frames).containsExactly(new Frame(12));
        dome.close();
        assertThat(plan.timeFor(harrow)).isNotNull();
    }

    @Test
    void expectations() {
        expect(dome::open).once();
        expect(() -> mount.slewTo(harrow)).atLeast(1);

        dome.open();
        mount.slewTo(harrow);
    }

    @Test
    void checks() {
        suppose(dome::open).doesNothing();
        dome.open();
        mount.slewTo(harrow);

        verify(mount::park).never();
        verify(mount::slewTo).with(harrow).within(ofSeconds(2)).once();
        inThisOrder(() -> {
            verify(dome::open).once();
            verify(mount::slewTo).once();
        });
        List<SkyTarget> slewed = recorded(mount::slewTo);
        verifyNothingElse(dome, mount);
        verifyUntouched(camera);
        assertThat(slewed).containsExactly(harrow);
    }
}
