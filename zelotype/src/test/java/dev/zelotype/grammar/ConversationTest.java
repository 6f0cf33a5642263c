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
import dev.zelotype.doubles.Conversation;
import dev.zelotype.doubles.RecordedCall;
import dev.zelotype.doubles.Role;
import dev.zelotype.doubles.TestStatement;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.host.HostedScene;
import dev.zelotype.observatory.Observatory.Dome;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.SkyTarget;
import dev.zelotype.observatory.Observatory.WeatherStation;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/**
 * A conversation tells what was said and asked, and what the test thinks of it.
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
            // What it says is not the matter here.
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
                // Printing this argument asks a double, which is no call of the subject.
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
}
