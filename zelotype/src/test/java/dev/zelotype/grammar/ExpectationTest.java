package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.inThisOrder;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.call.Act0;
import dev.zelotype.doubles.Severity;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.UnexpectedCall;
import dev.zelotype.host.HostedScene;
import dev.zelotype.observatory.Observatory.Dome;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.SkyTarget;
import dev.zelotype.stage.ExpectedAct0;
import java.util.List;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Calls that must be made, stated in advance.
 */
class ExpectationTest {

    private final SkyTarget harrow = new SkyTarget("Harrow-2", 47);

    private static Consumer<ExpectedAct0> count(String name) {
        return switch (name) {
            case "default" -> expected -> {};
            case "once" -> ExpectedAct0::once;
            case "never" -> ExpectedAct0::never;
            case "times 2" -> expected -> expected.times(2);
            case "atLeast 2" -> expected -> expected.atLeast(2);
            case "atMost 2" -> expected -> expected.atMost(2);
            case "between 1 2" -> expected -> expected.between(1, 2);
            default -> throw new IllegalArgumentException(name);
        };
    }

    /** For each count, the accepted numbers of calls, up to 3. */
    @ParameterizedTest
    @CsvSource({
        "default, 1",
        "once, 1",
        "never, 0",
        "times 2, 2",
        "atLeast 2, 2 3",
        "atMost 2, 0 1 2",
        "between 1 2, 1 2"
    })
    void every_count_holds_for_just_its_numbers(String name, String fine) {
        for (int calls = 0; calls <= 3; calls++) {
            Scene scene = Scene.open();
            Dome dome = spy(Dome.class);
            count(name).accept(expect(dome::open));
            int times = calls;
            boolean holds = fine.contains(String.valueOf(calls));
            Act0 all = () -> {
                try (scene) {
                    for (int i = 0; i < times; i++) {
                        dome.open();
                    }
                }
            };
            if (holds) {
                assertThatCode(all::act).as("%s calls of %s", calls, name).doesNotThrowAnyException();
            } else {
                assertThatThrownBy(all::act).as("%s calls of %s", calls, name).isInstanceOf(CheckFailure.class);
            }
        }
    }

    @Test
    void expectations_answer_and_the_first_unmet_one_takes_the_call() {
        try (Scene scene = Scene.open()) {
            Mount mount = mock(Mount.class);
            expect(mount::rate).returns(1).once();
            expect(mount::rate).returns(2).times(2);
            expect(mount::track).where((target, rate) -> rate > 2).answers((target, rate) -> target.altitude() > rate);
            suppose(mount::track).returns(true);

            assertThat(List.of(mount.rate(), mount.rate(), mount.rate())).containsExactly(1, 2, 2);
            assertThat(mount.track(harrow, 50)).isFalse();
            assertThat(mount.track(harrow, 1)).as("only supposed").isTrue();
            assertThat(scene.conversation().calls()).hasSize(5);
        }
    }

    @Test
    void all_misses_are_reported_together_at_the_end() {
        Scene scene = Scene.open();
        Dome dome = mock(Dome.class);
        Mount mount = spy(Mount.class);
        expect(dome::open).once();
        expect((SkyTarget t) -> mount.slewTo(t))
                .where("above the horizon", t -> t.altitude() > 0)
                .times(2);
        expect(dome::close).atLeast(1);
        mount.slewTo(harrow);
        mount.slewTo(new SkyTarget("Deep-1", -3));
        dome.open();

        assertThatThrownBy(scene::close)
                .isInstanceOf(CheckFailure.class)
                .hasMessageMatching("(?s)2 problems in this scene:\n\n"
                        + "1\\. Expected exactly 2 calls of mount\\.slewTo\\(any SkyTarget\\) where above the horizon, "
                        + "but there was 1\\.\n"
                        + ".*Closest\n    mount\\.slewTo\\(Deep-1\\)    at [\\w.$]+\\(ExpectationTest\\.java:\\d+\\)\n"
                        + "      condition 'above the horizon' does not hold\n\n"
                        + "2\\. Expected at least 1 call of dome\\.close\\(\\), but there was none\\..*"
                        + "Conversation \\(3 calls\\).*");
        assertThatCode(scene::close).as("only once").doesNotThrowAnyException();
    }

    @Test
    void a_swallowed_refusal_fails_the_scene_and_never_hides_the_first_failure() {
        Scene swallowing = Scene.open();
        Dome dome = mock(Dome.class);
        expect(dome::open).never();
        assertThatThrownBy(dome::open)
                .isInstanceOf(UnexpectedCall.class)
                .hasMessageContaining("dome.open() was called once too often.")
                .hasMessageContaining("no call, so far 0");
        assertThatThrownBy(swallowing::close).isInstanceOf(CheckFailure.class).hasMessageContaining("too often");

        IllegalStateException first = new IllegalStateException("first");
        assertThatThrownBy(() -> {
                    try (Scene failing = Scene.open()) {
                        Mount mount = mock(Mount.class);
                        expect(mount::park).once();
                        assertThat(failing.conversation().doubles()).hasSize(1);
                        throw first;
                    }
                })
                .isSameAs(first)
                .satisfies(e -> assertThat(e.getSuppressed())
                        .singleElement()
                        .asInstanceOf(org.assertj.core.api.InstanceOfAssertFactories.THROWABLE)
                        .hasMessageContaining("mount.park()"));
    }

    @Test
    void an_order_spans_doubles_and_fails_at_the_call_that_breaks_it() {
        Scene scene = Scene.open();
        Dome dome = mock(Dome.class);
        Mount mount = spy(Mount.class);
        inThisOrder(() -> {
            expect(dome::open).once();
            expect(mount::slewTo).times(2);
            expect(dome::close).once();
        });
        mount.rate();
        dome.open();
        mount.slewTo(harrow);
        assertThatThrownBy(dome::close)
                .isInstanceOf(UnexpectedCall.class)
                .hasMessageContaining("dome.close() came out of order.")
                .hasMessageContaining("mount.slewTo(any SkyTarget)  exactly 2 calls, so far 1");
        mount.slewTo(harrow);
        dome.close();
        assertThatThrownBy(scene::close).hasMessageContaining("out of order");
    }

    @Test
    void unused_suppositions_are_ignored_noted_or_fail() {
        for (Severity severity : Severity.values()) {
            HostedScene hosted = HostedScene.of(SceneSettings.defaults().unusedSuppositions(severity))
                    .open();
            Scene scene = hosted.scene();
            Mount mount = spy(Mount.class);
            suppose(mount::doubleRate).returns(30);
            hosted.endSetUp();
            suppose(mount::rate).returns(15);
            assertThat(scene.conversation().notes())
                    .hasSize(severity == Severity.NOTE ? 1 : 0)
                    .allMatch(note -> note.matches(
                            "suppose\\(mount\\.rate\\(\\)\\) at [\\w.$]+\\(ExpectationTest\\.java:\\d+\\)"));
            if (severity == Severity.FAIL) {
                assertThatThrownBy(scene::close).hasMessageContaining("No call needed suppose(mount.rate())");
            } else {
                scene.close();
            }
        }
    }
}
