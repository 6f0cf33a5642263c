package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyNothingElse;
import static dev.zelotype.Zelotype.verifyUntouched;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.UnexpectedCall;
import dev.zelotype.host.HostedScene;
import dev.zelotype.observatory.Observatory.Dome;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.WeatherStation;
import dev.zelotype.stage.ExpectedAct1;
import java.util.List;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The statements of a test, and the recorded calls, belong to the scene in which they are made; and a statement applies
 * in its complete form.
 */
class ScopeTest {

    @Test
    void a_double_from_outside_keeps_nothing_of_any_scene() throws InterruptedException {
        WeatherStation weather = Outside.made(() -> spy(WeatherStation.class, "bean"));
        Outside.of(() -> suppose(weather::humidity).returns(40));
        for (int test = 1; test <= 3; test++) {
            try (Scene scene = Scene.open()) {
                verifyUntouched(weather);
                assertThat(weather.humidity()).as("the statements made with it").isEqualTo(40);
                suppose(weather::humidity).returns(95);
                expect(weather::sensors).once();
                assertThat(weather.humidity()).isEqualTo(95);
                weather.sensors();
                verify(weather::humidity).times(2);
                verifyNothingElse(weather);
                assertThat(scene.conversation().calls()).hasSize(3);
            }
            assertThat(weather.humidity()).isEqualTo(40);
        }
    }

    @Test
    void an_expectation_on_a_double_from_outside_is_checked_by_the_scene_it_is_said_in() throws InterruptedException {
        Mount mount = Outside.made(() -> spy(Mount.class, "bean"));
        Scene scene = Scene.open();
        expect(mount::park).once();
        assertThatThrownBy(scene::close).isInstanceOf(CheckFailure.class).hasMessageContaining("bean.park()");
        try (Scene next = Scene.open()) {
            verify(mount::park).never();
            assertThat(next.conversation().calls()).isEmpty();
        }
    }

    @Test
    void a_thread_of_no_scene_speaks_to_the_only_one_that_is_open() throws InterruptedException {
        Mount mount = Outside.made(() -> spy(Mount.class, "bean"));
        try (Scene scene = Scene.open()) {
            Outside.of(mount::park);
            verify(mount::park).once();
            assertThat(scene.conversation().calls()).hasSize(1);
        }
    }

    @Test
    void an_inner_scene_takes_what_was_said_in_it_along() {
        try (Scene outer = Scene.open()) {
            Dome dome = mock(Dome.class);
            WeatherStation weather = stub(WeatherStation.class);
            suppose(weather::humidityAt).returns(40);
            expect(dome::open).once();
            Scene inner = Scene.open();
            suppose(weather::humidityAt).with("north").returns(95);
            expect(dome::close).once();
            assertThat(List.of(weather.humidityAt("north"), weather.humidityAt("south")))
                    .containsExactly(95, 40);
            dome.open();
            assertThatThrownBy(() -> dome.rotate(3)).isInstanceOf(UnexpectedCall.class);
            assertThatThrownBy(inner::close)
                    .hasMessageContaining("dome.rotate(3) was not expected")
                    .hasMessageContaining("Expected exactly 1 call of dome.close()");
            assertThat(weather.humidityAt("north")).isEqualTo(40);
            assertThat(recorded(weather::humidityAt))
                    .as("calls within the inner scene count")
                    .containsExactly("north", "south", "north");
            verify(dome::rotate).with(3).once();
            assertThat(outer.conversation().calls()).hasSize(5);
        }
    }

    @Test
    void scenes_close_in_any_order() {
        Scene first = Scene.open();
        Scene second = Scene.open();
        Scene third = Scene.open();
        second.close();
        Dome inThird = spy(Dome.class);
        inThird.open();
        third.close();
        Dome inFirst = spy(Dome.class);
        inFirst.open();
        assertThat(first.conversation().calls()).hasSize(1);
        first.close();
    }

    @Test
    void a_call_of_a_double_whose_scene_is_closed_is_named_in_the_next_failure() {
        Scene closed = HostedScene.of(SceneSettings.defaults())
                .titled("the night before")
                .open()
                .scene();
        Dome kept = spy(Dome.class, "kept");
        closed.close();
        try (Scene scene = Scene.open()) {
            Dome dome = spy(Dome.class);
            kept.rotate(7);
            assertThatThrownBy(() -> verify(dome::rotate).once())
                    .hasMessageContaining("Calls that reached doubles of closed scenes")
                    .hasMessageContaining("kept.rotate(7), a double of the scene 'the night before'")
                    .hasMessageContaining("ScopeTest.java:");
            assertThatThrownBy(() -> verify(dome::rotate).once())
                    .as("named once")
                    .hasMessageNotContaining("closed scenes");
            assertThat(scene.conversation().calls()).isEmpty();
        }
    }

    /**
     * What another thread calls while the statement is incomplete, how the statement is completed, and whether the
     * scene passes.
     */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "2 with 1 misses",
                "1 with 1 holds",
                "2 where misses",
                "1 where holds",
                "1 never exceeds",
                "none never holds",
                "1 1 times2 holds",
                "1 1 once exceeds",
                "1 2 with 1 once holds",
                "1 1 nothing exceeds",
                "1 nothing holds"
            })
    void an_expectation_counts_as_what_it_finally_says(String script) throws InterruptedException {
        Scene scene = Scene.open();
        Dome dome = spy(Dome.class);
        ExpectedAct1<Integer> sentence = expect(dome::rotate);
        int degrees = 0;
        for (String word : script.split(" ")) {
            switch (word) {
                case "1", "2" -> {
                    if (degrees == 0) {
                        Outside.of(() -> dome.rotate(Integer.parseInt(word)));
                    }
                }
                case "with" -> {
                    sentence.with(1);
                    degrees = 1;
                }
                case "where" -> sentence.where(angle -> angle == 1);
                case "never" -> sentence.never();
                case "once" -> sentence.once();
                case "times2" -> sentence.times(2);
                case "misses" ->
                    assertThatThrownBy(scene::close)
                            .isInstanceOf(CheckFailure.class)
                            .hasMessageContaining("but there was none");
                case "exceeds" ->
                    assertThatThrownBy(scene::close)
                            .isInstanceOf(CheckFailure.class)
                            .hasMessageContaining("once too often");
                case "holds" -> assertThatCode(scene::close).doesNotThrowAnyException();
                default -> {}
            }
        }
    }

    /** As above, but the test's own thread makes the call before the statement is complete. */
    @ParameterizedTest
    @CsvSource({
        "never, 1, once too often",
        "times 2, 1, but there was 1",
        "atMost 3, 1, ",
        "atLeast 2, 1, but there was 1",
        "once, 1, ",
        "with 1, 1, ",
        "with 2, 1, but there was none",
        "where, 1, ",
        "where, 2, but there was none",
        "with 2 never, 1, "
    })
    void a_sentence_that_is_finished_late_is_judged_by_what_it_finally_says(String end, int degrees, String failure) {
        Scene scene = Scene.open();
        Dome dome = spy(Dome.class);
        ExpectedAct1<Integer> sentence = expect(dome::rotate);
        dome.rotate(degrees);
        switch (end) {
            case "never" -> sentence.never();
            case "times 2" -> sentence.times(2);
            case "atMost 3" -> sentence.atMost(3);
            case "atLeast 2" -> sentence.atLeast(2);
            case "once" -> sentence.once();
            case "with 1" -> sentence.with(1);
            case "with 2" -> sentence.with(2);
            case "where" -> sentence.where(angle -> angle == 1);
            default -> sentence.with(2).never();
        }
        if (failure == null) {
            assertThatCode(scene::close).doesNotThrowAnyException();
        } else {
            assertThatThrownBy(scene::close).isInstanceOf(CheckFailure.class).hasMessageContaining(failure);
        }
    }

    @Test
    void a_call_given_back_meets_another_expectation_or_is_refused_after_all() throws InterruptedException {
        Scene scene = Scene.open();
        Dome dome = mock(Dome.class);
        Consumer<Integer> elsewhere = degrees -> {
            try {
                Outside.of(() -> dome.rotate(degrees));
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        };
        ExpectedAct1<Integer> first = expect(dome::rotate);
        elsewhere.accept(2);
        first.with(1);
        elsewhere.accept(1);
        assertThatThrownBy(scene::close)
                .hasMessageContaining("dome.rotate(2) was not expected")
                .hasMessageNotContaining("but there was none");
    }
}
