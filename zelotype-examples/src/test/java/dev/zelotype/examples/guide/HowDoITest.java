package dev.zelotype.examples.guide;

import static dev.zelotype.Zelotype.*;
import static dev.zelotype.doubles.Kind.*;
import static java.time.Duration.ofSeconds;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.examples.observatory.Camera;
import dev.zelotype.examples.observatory.CameraFault;
import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.examples.observatory.ExposurePlan;
import dev.zelotype.examples.observatory.FileCatalog;
import dev.zelotype.examples.observatory.Frame;
import dev.zelotype.examples.observatory.LogEntry;
import dev.zelotype.examples.observatory.Mount;
import dev.zelotype.examples.observatory.NightLog;
import dev.zelotype.examples.observatory.NightRun;
import dev.zelotype.examples.observatory.SerialLink;
import dev.zelotype.examples.observatory.SiderealClock;
import dev.zelotype.examples.observatory.SkyTarget;
import dev.zelotype.examples.observatory.TargetCatalog;
import dev.zelotype.examples.observatory.WeatherStation;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.WithDoubles;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/** The code of the page "How do I ...?". */
@WithDoubles
class HowDoITest {

    interface Site {
        Mount mount();
    }

    interface Bell {
        void ring(String... names);
    }

    @StandIn(STUB)
    WeatherStation weather;

    @StandIn(SPY)
    Dome dome;

    @StandIn(SPY)
    Mount mount;

    @StandIn(STUB)
    Camera camera;

    @StandIn(STUB)
    TargetCatalog catalog;

    @StandIn(STUB)
    NightLog log;

    @StandIn(STUB)
    Executor executor;

    @StandIn(STUB)
    Function<String, Duration> lengths;

    private final SkyTarget harrow = new SkyTarget("Harrow-2", 47);

    // ... answer differently for different arguments?
    @Test
    void answer_differently_for_different_arguments() {
        suppose(() -> weather.humidityAt("north")).returns(40);
        suppose(() -> weather.humidityAt("south")).returns(70);

        assertThat(weather.humidityAt("north")).isEqualTo(40);
        assertThat(weather.humidityAt("south")).isEqualTo(70);
        assertThat(weather.humidityAt("east")).as("an empty value").isZero();
    }

    // ... answer from a table?
    @Test
    void answer_from_a_table() {
        suppose(weather::humidityAt).returnsFrom(Map.of("north", 40, "south", 70));

        assertThat(weather.humidityAt("south")).isEqualTo(70);
    }

    // ... answer differently the second time?
    @Test
    void answer_differently_the_second_time() {
        suppose(weather::humidity).returns(40, 70);

        assertThat(weather.humidity()).isEqualTo(40);
        assertThat(weather.humidity()).isEqualTo(70);
        assertThat(weather.humidity()).as("the last one stays").isEqualTo(70);
    }

    // ... throw first, and then succeed?
    @Test
    void throw_first_and_succeed_then() {
        suppose(weather::humidity).fails(new IllegalStateException("offline")).returns(40);

        assertThatThrownBy(weather::humidity).hasMessage("offline");
        assertThat(weather.humidity()).isEqualTo(40);
    }

    // ... throw a checked exception?
    @Test
    void throw_a_checked_exception() {
        @SuppressWarnings("unchecked")
        Callable<String> reading = stub(Callable.class);
        suppose(reading::call).fails(new IOException("the disk is full"));

        assertThatThrownBy(reading::call).isInstanceOf(IOException.class);
    }

    // ... match any argument?
    @Test
    void match_any_argument() {
        suppose(weather::humidityAt).returns(40);
        suppose((SkyTarget any) -> mount.track(any, 15)).doesNothing();

        assertThat(weather.humidityAt("north")).isEqualTo(40);
        mount.track(harrow, 15);
    }

    // ... match an argument by a condition?
    @Test
    void match_an_argument_by_a_condition() {
        suppose(weather::humidityAt)
                .where("a northern dome", name -> name.startsWith("n"))
                .returns(40);

        assertThat(weather.humidityAt("north-2")).isEqualTo(40);
        assertThat(weather.humidityAt("south")).isZero();
    }

    // ... read the arguments of the calls?
    @Test
    void look_at_the_arguments_of_the_calls() {
        mount.slewTo(harrow);
        mount.track(harrow, 15);

        assertThat(recorded(mount::slewTo).map(SkyTarget::name)).containsExactly("Harrow-2");
        assertThat(recorded(mount::track).single().second()).isEqualTo(15);
    }

    // ... compute the answer from the arguments?
    @Test
    void compute_the_answer_from_the_arguments() {
        suppose(log::append).answers(entry -> entry.numbered(7));

        assertThat(log.append(LogEntry.of("seeing is good")).number()).isEqualTo(7);
    }

    // ... run a callback that the subject passes?
    @Test
    void run_a_callback() {
        suppose(camera::expose).does((time, onFrame, onFailure) -> onFrame.accept(new Frame(12)));

        List<Frame> frames = new ArrayList<>();
        camera.expose(Duration.ofSeconds(90), frames::add, fault -> {});
        assertThat(frames).containsExactly(new Frame(12));
    }

    // ... let a callback report a failure?
    @Test
    void let_a_callback_report_a_failure() {
        suppose(camera::expose).does((time, onFrame, onFailure) -> onFailure.accept(new CameraFault("shutter stuck")));

        List<CameraFault> faults = new ArrayList<>();
        camera.expose(Duration.ofSeconds(90), frame -> {}, faults::add);
        assertThat(faults).extracting(Throwable::getMessage).containsExactly("shutter stuck");
    }

    // ... set what a void method does?
    @Test
    void say_what_a_void_method_does() {
        suppose(dome::open).fails(new IllegalStateException("the dome is frozen"));
        suppose(dome::close).doesNothing();

        assertThatThrownBy(dome::open).hasMessage("the dome is frozen");
        dome.close();
    }

    // ... check that a call was made?
    @Test
    void check_that_a_call_was_made() {
        mount.slewTo(harrow);

        verify(() -> mount.slewTo(harrow)).once();
    }

    // ... check that a call was never made?
    @Test
    void check_that_a_call_was_never_made() {
        verify(dome::open).never();
        verifyUntouched(camera);
    }

    // ... check how often a call was made?
    @Test
    void check_how_often_a_call_was_made() {
        weather.humidity();
        weather.humidity();

        verify(weather::humidity).times(2);
        verify(weather::humidity).between(1, 3);
    }

    // ... check the order of calls?
    @Test
    void check_the_order_of_calls() {
        dome.open();
        mount.park();

        inThisOrder(() -> {
            verify(dome::open).once();
            verify(mount::park).once();
        });
    }

    // ... check that there were no other calls?
    @Test
    void check_that_there_were_no_other_calls() {
        dome.open();

        verify(dome::open).once();
        verifyNothingElse(dome);
    }

    // ... wait for a call on another thread?
    @Test
    void wait_for_a_call_on_another_thread() {
        CompletableFuture.runAsync(dome::close);

        verify(dome::close).within(ofSeconds(5)).once();
    }

    // ... run a task immediately that the subject passes to an executor?
    @Test
    void run_work_at_once() {
        suppose(executor::execute).does(Runnable::run);

        executor.execute(dome::open);
        verify(dome::open).once();
    }

    // ... replace a static method?
    @Test
    void replace_a_static_method() {
        suppose(SiderealClock::now).returns(4711L);

        assertThat(SiderealClock.now()).isEqualTo(4711L);
    }

    // ... replace a constructor?
    @Test
    void replace_a_constructor() {
        SerialLink link = stub(SerialLink.class);
        suppose((String port) -> new SerialLink(port)).returns(link);
        suppose(() -> link.send("FOCUS 0")).returns(9);

        assertThat(new SerialLink("COM3").send("FOCUS 0")).isEqualTo(9);
    }

    // ... double a final class?
    @Test
    void double_a_final_class() {
        FileCatalog files = stub(FileCatalog.class);
        suppose(() -> files.find("Harrow-2")).returns(Optional.of(harrow));

        assertThat(files.find("Harrow-2")).contains(harrow);
    }

    // ... replace a private method?
    @Test
    void replace_a_private_method() {
        // A private method cannot be named in a test. Set the answers of the calls that it makes.
        suppose(catalog::find).returns(Optional.of(harrow));
        suppose(camera::expose).does((time, onFrame, onFailure) -> onFrame.accept(new Frame(12)));
        suppose(log::append).answers(entry -> entry);

        NightRun run = new NightRun(weather, dome, mount, camera, catalog, log);
        assertThat(run.observe(List.of("Harrow-2"))).isEqualTo(1);
    }

    // ... double a generic type?
    @Test
    void double_a_generic_type() {
        // A field keeps the type arguments: @StandIn Function<String, Duration> lengths;
        suppose(lengths::apply).returns(ofSeconds(90));

        assertThat(lengths.apply("Harrow-2")).isEqualTo(ofSeconds(90));
    }

    // ... write a call with varargs?
    @Test
    void write_a_call_with_varargs() {
        Bell bell = spy(Bell.class);
        bell.ring("north", "south");

        verify(() -> bell.ring("north", "south")).once();
        verify((String[] any) -> bell.ring(any)).once();
    }

    // ... stop the clock?
    @Test
    void stop_the_clock() {
        Instant midnight = Instant.parse("2031-03-01T00:00:00Z");
        suppose(() -> Instant.now()).returns(midnight);

        assertThat(Instant.now()).isEqualTo(midnight);
    }

    // ... make random values predictable?
    @Test
    void make_random_values_predictable() {
        UUID known = new UUID(0, 7);
        suppose(UUID::randomUUID).returns(known);

        assertThat(UUID.randomUUID()).isEqualTo(known);
    }

    // ... keep most of a real object?
    @Test
    void keep_most_of_a_real_object() {
        ExposurePlan plan = spy(new ExposurePlan());
        suppose(plan::baseSeconds).returns(180);

        assertThat(plan.timeFor(harrow)).isEqualTo(ofSeconds(94));
    }

    // ... call the real method of a stub?
    @Test
    void call_the_real_method_of_a_stub() {
        ExposurePlan plan = stub(ExposurePlan.class);
        suppose(plan::used).callsReal();

        assertThat(plan.used()).isZero();
    }

    // ... change the result of the real method?
    @Test
    void change_what_the_real_method_gives() {
        ExposurePlan plan = spy(new ExposurePlan());
        suppose(plan::baseSeconds).returns(180);
        suppose(plan::timeFor).around((real, target) -> real.ask(target).plusSeconds(5));

        assertThat(plan.timeFor(harrow)).isEqualTo(ofSeconds(99));
    }

    // ... answer at the end of a chain?
    @Test
    void answer_at_the_end_of_a_chain() {
        Site site = stub(Site.class);
        suppose(() -> site.mount().rate()).returns(15);

        assertThat(site.mount().rate()).isEqualTo(15);
    }

    // ... answer differently after another call?
    @Test
    void answer_differently_after_another_call() {
        suppose(weather::humidity).returns(40);
        after(dome::open, () -> suppose(weather::humidity).returns(70));

        assertThat(weather.humidity()).isEqualTo(40);
        dome.open();
        assertThat(weather.humidity()).isEqualTo(70);
    }

    // ... have two doubles of one type?
    @Test
    void have_two_doubles_of_one_type() {
        Dome north = spy(Dome.class, "north dome");
        Dome south = spy(Dome.class, "south dome");
        north.open();

        verify(north::open).once();
        verifyUntouched(south);
    }

    // ... forget the calls so far?
    @Test
    void forget_the_calls_so_far() {
        dome.open();
        forgetCalls(dome);

        verify(dome::open).never();
    }

    // ... fail on any call that the test does not expect?
    @Test
    void fail_on_any_call_that_the_test_does_not_expect() {
        Dome strict = mock(Dome.class);
        expect(strict::open).once();

        strict.open();
    }

    // ... see the calls of the doubles?
    @Test
    void see_what_the_doubles_were_asked(Scene scene) {
        dome.open();
        mount.slewTo(harrow);

        assertThat(scene.conversationText()).contains("1  dome.open()", "2  mount.slewTo(Harrow-2)");
        assertThat(describe(dome)).contains("dome.open()");
    }

    // ... test what happens when something is missing?
    @Test
    void test_what_happens_when_something_is_missing() {
        suppose(catalog::find).returns(Optional.empty());

        assertThatThrownBy(() -> catalog.find("Harrow-2").orElseThrow()).isInstanceOf(NoSuchElementException.class);
    }
}
