package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.inThisOrder;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.Role;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.host.HostedScene;
import dev.zelotype.observatory.Observatory.Dome;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.SkyTarget;
import dev.zelotype.observatory.Observatory.WeatherStation;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Date;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/**
 * A conversation contains the statements and calls, and how the test judges them.
 */
class ConversationTest {

    private static Conversation told(boolean detailed, Runnable test) {
        Scene scene = HostedScene.of(SceneSettings.defaults())
                .keepingDetails(detailed)
                .open()
                .scene();
        try (scene) {
            test.run();
        } catch (CheckFailure expected) {
            // Its text does not matter here.
        }
        return scene.conversation();
    }

    @Test
    void calls_are_expected_allowed_or_unexpected() {
        Conversation told = told(true, () -> {
            Dome dome = mock(Dome.class);
            Mount mount = spy(Mount.class);
            expect(dome::open).once();
            dome.open();
            assertThatThrownBy(dome::close).isInstanceOf(AssertionError.class);
            mount.park();
            mount.rate();
            verify(mount::park).once();
        });
        assertThat(told.calls())
                .extracting(RecordedCall::role)
                .containsExactly(Role.EXPECTED, Role.UNEXPECTED, Role.EXPECTED, Role.ALLOWED);
        assertThat(told.calls())
                .extracting(RecordedCall::micros)
                .isSorted()
                .last()
                .isNotEqualTo(0L);
        assertThat(told.types()).anySatisfy(type -> {
            assertThat(type.name()).isEqualTo(Mount.class.getName());
            assertThat(type.methods()).contains("park()", "slewTo(SkyTarget)").doesNotContain("toString()");
        });
    }

    @Test
    void statements_tell_what_they_ask_for_and_what_they_found() {
        SkyTarget harrow = new SkyTarget("Harrow-2", 47);
        Conversation told = told(false, () -> {
            WeatherStation weather = stub(WeatherStation.class, "weather");
            Mount mount = spy(Mount.class);
            Dome dome = mock(Dome.class);
            suppose(weather::humidity).returns(3);
            suppose(mount::rate).returns(2);
            expect(() -> mount.slewTo(harrow)).times(2);
            mount.slewTo(harrow);
            weather.humidity();
            dome.toString();
            inThisOrder(() -> {
                verify((SkyTarget t) -> mount.slewTo(t)).atLeast(1);
                verify(weather::humidity).once();
            });
        });
        assertThat(told.statements())
                .extracting(
                        TestStatement::verb,
                        TestStatement::text,
                        TestStatement::found,
                        TestStatement::isMissing,
                        TestStatement::isExact,
                        TestStatement::pinned,
                        TestStatement::order)
                .map(Object::toString)
                .containsExactly(
                        "(SUPPOSED, \"weather.humidity()\", 1, false, false, 0, 0)",
                        "(SUPPOSED, \"mount.rate()\", 0, false, false, 0, 0)",
                        "(EXPECTED, \"mount.slewTo(Harrow-2)\", 1, true, true, 1, 0)",
                        "(VERIFIED, \"mount.slewTo(any SkyTarget)\", 1, false, false, 0, 1)",
                        "(VERIFIED, \"weather.humidity()\", 1, false, true, 0, 1)");
        assertThat(told.statements())
                .allSatisfy(statement -> assertThat(statement.place()).startsWith("ConversationTest.java:"));
    }

    @Test
    void with_details_values_are_told_as_they_were_at_the_call() {
        for (boolean detailed : new boolean[] {true, false}) {
            Conversation told = told(detailed, () -> {
                @SuppressWarnings("unchecked")
                Function<Object, String> names = stub(Function.class, "names");
                List<String> asked = new ArrayList<>(List.of("Harrow-2"));
                names.apply(asked);
                asked.add("Quill-9");
                // Printing this argument calls a double, which does not count as a call of the subject.
                Mount mount = stub(Mount.class);
                names.apply(new Object() {
                    @Override
                    public String toString() {
                        return "rate " + mount.rate();
                    }
                });
            });
            assertThat(told.calls())
                    .extracting(call -> call.receiver() + call.arguments())
                    .containsExactly(
                            detailed ? "names[[\"Harrow-2\"]]" : "names[[\"Harrow-2\", \"Quill-9\"]]", "names[rate 0]");
        }
    }

    /** An enum that prints the text that was set last. */
    private enum Lamp {
        RED;

        private String says = "dark";

        @Override
        public String toString() {
            return says;
        }
    }

    private record Shelf(List<String> books) {}

    /** Each value, how it is changed after the call, and its text at the time of the call. */
    @Test
    void with_details_nothing_that_may_change_is_printed_later() {
        byte[] frame = {1, 2};
        StringBuilder text = new StringBuilder("fog");
        Date when = new Date(0);
        Shelf shelf = new Shelf(new ArrayList<>(List.of("Atlas")));
        Map<Object, Runnable> changes = new LinkedHashMap<>();
        changes.put(frame, () -> frame[0] = 9);
        changes.put(text, () -> text.append(" and rain"));
        changes.put(when, () -> when.setTime(999_999_999_999L));
        changes.put(shelf, () -> shelf.books().add("Diary"));
        changes.put(Optional.of(shelf), () -> shelf.books().add("Novel"));
        changes.put(Lamp.RED, () -> Lamp.RED.says = "bright");
        changes.put(Duration.ofSeconds(90), () -> {});
        changes.put(Kind.SPY, () -> {});
        changes.put("rain", () -> {});
        List<String> before = new ArrayList<>();
        Conversation told = told(true, () -> {
            @SuppressWarnings("unchecked")
            UnaryOperator<Object> echo = stub(UnaryOperator.class, "echo");
            suppose(echo::apply).answers(given -> given);
            changes.forEach((value, change) -> {
                before.add(Values.print(value));
                echo.apply(value);
                change.run();
            });
        });
        assertThat(told.calls()).extracting(call -> call.arguments().get(0)).isEqualTo(before);
        assertThat(told.calls()).extracting(RecordedCall::answer).isEqualTo(before);
    }

    /** Prints as its class and a hash. */
    static final class Head {}

    record Held(Head head) {}

    interface Bench {
        Object put(Object thing);
    }

    private static List<String> bench(boolean details) {
        HostedScene hosted =
                HostedScene.of(SceneSettings.defaults()).keepingDetails(details).open();
        Bench bench = stub(Bench.class);
        Head one = new Head();
        Head other = new Head();
        CompletableFuture<String> open = new CompletableFuture<>();
        suppose(() -> bench.put(open)).returns(CompletableFuture.completedFuture("done"));
        suppose(() -> bench.put(other)).fails(new IllegalStateException("no " + one));
        bench.put(one);
        bench.put(List.of(other, one));
        bench.put(new Held(one));
        bench.put(Optional.of(other));
        bench.put(open);
        assertThatThrownBy(() -> bench.put(other)).isInstanceOf(IllegalStateException.class);
        open.complete("later");
        bench.put("dome@cafe.example, ridge@bed");
        bench.put((Runnable) () -> {});
        hosted.closeAfter(null);
        return hosted.scene().conversation().calls().stream()
                .map(call -> String.join(", ", call.arguments()) + call.answerText())
                .toList();
    }

    @Test
    void objects_without_a_text_of_their_own_are_numbered_within_the_scene() {
        assertThat(bench(true))
                .isEqualTo(bench(true))
                .isEqualTo(bench(false))
                .containsExactly(
                        "Head#1= null (by default)",
                        "[Head#2, Head#1]= null (by default)",
                        "Held[head=Head#1]= null (by default)",
                        "Optional[Head#2]= null (by default)",
                        "CompletableFuture#1= CompletableFuture#2",
                        "Head#2threw IllegalStateException: no Head#1",
                        "\"dome@cafe.example, ridge@bed\"= null (by default)",
                        "a lambda= null (by default)");
    }
}
