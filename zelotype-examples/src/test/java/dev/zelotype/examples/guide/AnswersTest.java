package dev.zelotype.examples.guide;

import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.examples.observatory.Camera;
import dev.zelotype.examples.observatory.CameraFault;
import dev.zelotype.examples.observatory.ExposurePlan;
import dev.zelotype.examples.observatory.Frame;
import dev.zelotype.examples.observatory.LogEntry;
import dev.zelotype.examples.observatory.Mount;
import dev.zelotype.examples.observatory.NightLog;
import dev.zelotype.examples.observatory.SkyTarget;
import dev.zelotype.examples.observatory.WeatherStation;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.WithDoubles;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;

/** The code of the guide's page on answers. */
@WithDoubles
class AnswersTest {

    private final SkyTarget harrow = new SkyTarget("Harrow-2", 47);

    @StandIn
    WeatherStation weather;

    @StandIn
    NightLog log;

    @StandIn
    Camera camera;

    @StandIn
    Mount mount;

    interface Site {
        Mount mount();
    }

    interface Shutter {
        int speed();

        default int doubled() {
            return 2 * speed();
        }
    }

    @Test
    void values_and_failures_one_after_the_other() {
        suppose(weather::humidity).returns(40, 70).fails(new IllegalStateException("station offline"));

        assertThat(weather.humidity()).isEqualTo(40);
        assertThat(weather.humidity()).isEqualTo(70);
        assertThatThrownBy(weather::humidity).hasMessage("station offline");
    }

    @Test
    void which_calls_are_meant() {
        suppose(weather::humidityAt).returns(40);
        suppose(() -> weather.humidityAt("north")).returns(95);
        suppose((String dome) -> weather.humidityAt(dome))
                .where(dome -> dome.startsWith("e"))
                .returns(70);

        assertThat(List.of("south", "north", "east")).map(weather::humidityAt).containsExactly(40, 95, 70);
    }

    @Test
    void mixed_values_and_free_parameters() {
        suppose((SkyTarget t) -> mount.track(t, 3)).fails(new IllegalStateException("too fast"));
        suppose(mount::slewTo).with(harrow).doesNothing();

        mount.track(harrow, 1);
        mount.slewTo(harrow);
        assertThatThrownBy(() -> mount.track(harrow, 3)).hasMessage("too fast");
    }

    @Test
    void the_very_same_object() {
        suppose(log::append).answers(entry -> entry);
        LogEntry rain = LogEntry.of("rain");
        suppose(log::append)
                .where("the very same entry", entry -> entry == rain)
                .returns(LogEntry.of("known"));

        assertThat(log.append(LogEntry.of("rain"))).isEqualTo(rain);
        assertThat(log.append(rain)).isEqualTo(LogEntry.of("known"));
    }

    @Test
    void worked_out_from_the_arguments() {
        suppose(log::append).answers(entry -> entry.numbered(7));

        assertThat(log.append(LogEntry.of("rain"))).isEqualTo(new LogEntry(7, "rain"));
    }

    @Test
    void calling_back_and_writing_into_arguments() {
        suppose(camera::expose)
                .does((time, onFrame, onFailure) -> onFrame.accept(new Frame(12)))
                .does((time, onFrame, onFailure) -> onFailure.accept(new CameraFault("stuck")));
        suppose(camera::readInto).answers(buffer -> {
            buffer[0] = 1;
            return 1;
        });
        List<Object> heard = new ArrayList<>();
        byte[] buffer = new byte[2];

        camera.expose(Duration.ofSeconds(90), heard::add, fault -> heard.add(fault.getMessage()));
        camera.expose(Duration.ofSeconds(90), heard::add, fault -> heard.add(fault.getMessage()));
        assertThat(heard).containsExactly(new Frame(12), "stuck");
        assertThat(camera.readInto(buffer)).isEqualTo(1);
        assertThat(buffer).containsExactly(1, 0);
    }

    interface Pool {
        Future<?> submit(Runnable task);
    }

    @Test
    void acting_on_a_call_that_gives_something_back() {
        Pool pool = stub(Pool.class);
        suppose(pool::submit).does(Runnable::run);
        List<String> ran = new ArrayList<>();

        assertThat(pool.submit(() -> ran.add("focus")).isDone()).isTrue();
        assertThat(ran).containsExactly("focus");
    }

    @Test
    void an_answer_around_the_real_code() {
        ExposurePlan plan = spy(new ExposurePlan());
        suppose(plan::baseSeconds).returns(60);
        suppose(plan::timeFor).around((real, target) -> real.ask(target).plusSeconds(5));

        assertThat(plan.timeFor(harrow)).isEqualTo(Duration.ofSeconds(36));
    }

    @Test
    void a_table() {
        suppose(weather::humidityAt).returnsFrom(Map.of("north", 40, "south", 70));

        assertThat(List.of("north", "south", "west")).map(weather::humidityAt).containsExactly(40, 70, 0);
    }

    @Test
    void a_chain() {
        Site site = stub(Site.class);
        suppose(() -> site.mount().rate()).returns(15);

        assertThat(site.mount().rate()).isEqualTo(15);
    }

    @Test
    void real_code() {
        Shutter shutter = stub(Shutter.class);
        suppose(shutter::speed).returns(4);
        suppose(shutter::doubled).callsReal();

        assertThat(shutter.doubled()).isEqualTo(8);
    }

    @Test
    void a_call_that_nobody_configured_is_visible() {
        try (Scene scene = Scene.open()) {
            WeatherStation untold = spy(WeatherStation.class, "untold");
            untold.humidity();

            assertThat(scene.conversationText())
                    .startsWith("1  untold.humidity()  = 0 (by default)    at dev.zelotype.examples.guide.AnswersTest");
        }
    }
}
