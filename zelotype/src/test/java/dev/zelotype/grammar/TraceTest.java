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
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import dev.zelotype.observatory.Hardware.Gain;
import dev.zelotype.observatory.Hardware.SerialLink;
import dev.zelotype.observatory.Hardware.SiderealClock;
import dev.zelotype.observatory.Observatory.Dome;
import dev.zelotype.observatory.Observatory.WeatherStation;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntSupplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Code of the test that runs while something is matched, compared or printed sees the statements, and is not recorded.
 * Calls with an unknown owner never break a check silently.
 */
@SuppressWarnings("try")
class TraceTest {

    /** Calls that the test's own code makes during matching. */
    private enum Asked {
        STATIC {
            @Override
            IntSupplier told() {
                suppose(SiderealClock::now).returns(5L, 6L);
                return () -> (int) SiderealClock.now();
            }

            @Override
            void leftNoTrace() {
                verify(SiderealClock::now).never();
            }
        },
        CONSTRUCTED {
            @Override
            IntSupplier told() {
                SerialLink five = new SerialLink("five5");
                SerialLink six = new SerialLink("sixsix");
                suppose((String port) -> new SerialLink(port)).returns(five, six);
                return () -> Maker.made().name().length();
            }

            @Override
            void leftNoTrace() {
                verify((String port) -> new SerialLink(port)).never();
            }
        },
        IN_PLACE {
            @Override
            IntSupplier told() {
                suppose(spy(Gain.HIGH)::factor).returns(5, 6);
                return Gain.HIGH::factor;
            }

            @Override
            void leftNoTrace() {
                verifyUntouched(Gain.HIGH);
            }
        },
        FINAL_STUB {
            private SerialLink link;

            @Override
            IntSupplier told() {
                link = stub(SerialLink.class);
                suppose(link::sent).returns(5, 6);
                return link::sent;
            }

            @Override
            void leftNoTrace() {
                verifyUntouched(link);
            }
        },
        STUB {
            private WeatherStation weather;

            @Override
            IntSupplier told() {
                weather = stub(WeatherStation.class);
                suppose(weather::humidity).returns(5, 6);
                return weather::humidity;
            }

            @Override
            void leftNoTrace() {
                verifyUntouched(weather);
            }
        },
        MOCK {
            private WeatherStation weather;

            @Override
            IntSupplier told() {
                weather = mock(WeatherStation.class);
                expect(weather::humidity).returns(5).returns(6).atMost(2);
                return weather::humidity;
            }

            @Override
            void leftNoTrace() {
                verifyUntouched(weather);
            }
        };

        /** Supposes that the call returns 5, and 6 the next time; returns the call. */
        abstract IntSupplier told();

        abstract void leftNoTrace();
    }

    private static final class Maker {
        static SerialLink made() {
            return new SerialLink("tty");
        }
    }

    /** A value whose own code makes calls. */
    private record Plate(int number, IntSupplier asks) {
        @Override
        public boolean equals(Object other) {
            return other instanceof Plate plate && asks.getAsInt() == 5 && plate.number == number;
        }

        @Override
        public int hashCode() {
            return asks.getAsInt();
        }

        @Override
        public String toString() {
            return "plate " + number + " of " + asks.getAsInt();
        }
    }

    private interface Archive {
        int store(Plate plate);

        int copies(String name);
    }

    @ParameterizedTest
    @EnumSource
    void matching_comparing_and_printing_see_what_is_said_and_leave_no_trace(Asked asked) {
        try (Scene scene = Scene.open()) {
            Archive archive = spy(Archive.class);
            IntSupplier asks = asked.told();
            suppose((String name) -> archive.copies(name))
                    .where(name -> asks.getAsInt() == 5)
                    .returns(3);
            suppose(archive::store).with(new Plate(1, asks)).returns(4);
            assertThat(archive.copies("M31")).as("a condition").isEqualTo(3);
            assertThat(archive.store(new Plate(1, asks))).as("equals").isEqualTo(4);
            verify(archive::store).with(new Plate(1, asks)).once();
            verify((Plate plate) -> archive.store(plate))
                    .where(plate -> asks.getAsInt() == 5)
                    .once();
            assertThatThrownBy(() ->
                            verify(archive::store).with(new Plate(2, asks)).once())
                    .hasMessageContaining("plate 2 of 5");
            assertThat(scene.conversationText()).contains("plate 1 of 5");
            asked.leftNoTrace();
            assertThat(asks.getAsInt()).as("no answer was used up").isEqualTo(5);
            assertThat(asks.getAsInt()).isEqualTo(6);
        }
    }

    @ParameterizedTest
    @EnumSource
    void answers_see_what_is_said_and_count(Asked asked) {
        try (Scene scene = Scene.open()) {
            Archive archive = spy(Archive.class);
            IntSupplier asks = asked.told();
            suppose(archive::copies).answers(name -> asks.getAsInt());
            assertThat(List.of(archive.copies("a"), archive.copies("b"))).containsExactly(5, 6);
            assertThat(scene.conversation().calls()).hasSize(4);
        }
    }

    @ParameterizedTest
    @EnumSource(names = {"STATIC", "IN_PLACE", "FINAL_STUB"})
    void conditions_on_woven_methods_see_what_is_said(Asked asked) {
        try (Scene scene = Scene.open()) {
            IntSupplier asks = asked.told();
            SerialLink link = spy(new SerialLink("tty"));
            suppose(link::send).where(command -> asks.getAsInt() == 5).returns(1);
            suppose((String site) -> SiderealClock.offset(site, 0))
                    .where(site -> asks.getAsInt() == 5)
                    .returns(2L);
            assertThat(link.send("abc")).isEqualTo(1);
            assertThat(SiderealClock.offset("north", 0)).isEqualTo(2);
            asked.leftNoTrace();
        }
    }

    @Test
    void nothing_is_refused_while_matching() {
        try (Scene scene = Scene.open()) {
            Archive archive = spy(Archive.class);
            Dome dome = mock(Dome.class);
            suppose(archive::copies)
                    .where(name -> {
                        dome.open();
                        return true;
                    })
                    .returns(1);
            assertThat(archive.copies("a")).isEqualTo(1);
            verifyUntouched(dome);
        }
    }

    @Test
    void calls_of_nobody_break_the_checks_that_they_could_break() throws InterruptedException {
        Dome dome = Outside.made(() -> spy(Dome.class, "shared"));
        Scene elsewhere = Outside.made(Scene::open);
        Scene scene = Scene.open();
        expect(dome::close).never();
        Outside.of(dome::open);
        Outside.of(dome::close);
        assertThatThrownBy(() -> verify(dome::open).never())
                .isInstanceOf(CheckFailure.class)
                .hasMessageStartingWith(
                        "Expected no call of shared.open(), but there was none, and 1 call on threads of no scene.")
                .hasMessageContaining("Calls on threads of no scene, which may be this test's or another's")
                .hasMessageContaining("write scene.everywhere() if these threads belong to the test");
        assertThatThrownBy(() -> verifyUntouched(dome)).isInstanceOf(CheckFailure.class);
        assertThatThrownBy(() -> verifyNothingElse(dome)).isInstanceOf(CheckFailure.class);
        verify(dome::rotate).never();
        assertThat(recorded(dome::rotate)).isEmpty();
        assertThatThrownBy(scene::close)
                .isInstanceOf(CheckFailure.class)
                .hasMessageContaining("Expected no call of shared.close()");
        assertThatCode(elsewhere::close).doesNotThrowAnyException();
    }

    @Test
    void a_scene_that_is_everywhere_owns_them() throws InterruptedException {
        Dome dome = Outside.made(() -> spy(Dome.class, "shared"));
        Scene elsewhere = Outside.made(Scene::open);
        try (Scene scene = Scene.open().everywhere()) {
            Outside.of(dome::open);
            verify(dome::open).once();
            verifyNothingElse(dome);
        }
        elsewhere.close();
    }

    @Test
    void what_is_said_outside_any_scene_once_scenes_share_a_double_is_refused() throws InterruptedException {
        WeatherStation weather = Outside.made(() -> stub(WeatherStation.class, "shared"));
        Outside.of(() -> suppose(weather::humidity).returns(40));
        try (Scene scene = Scene.open()) {
            assertThat(weather.humidity()).isEqualTo(40);
        }
        assertThatThrownBy(() -> suppose(weather::humidity).returns(50))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("it would apply to all later tests");
        assertThat(weather.humidity()).isEqualTo(40);
    }

    /** Initialized only by the test below. */
    private static final class Started {
        static final long AT = SiderealClock.now();
    }

    @Test
    void a_class_that_keeps_what_a_test_supposed_is_named() {
        AtomicInteger uses = new AtomicInteger();
        try (Scene scene = Scene.open()) {
            suppose(SiderealClock::now).returns(7L);
            uses.addAndGet((int) Started.AT);
            assertThat(scene.notes()).anyMatch(note -> note.contains("Started keeps what a test supposed of"));
            assertThat(scene.conversation().notes()).anyMatch(note -> note.contains("SiderealClock.now(...)"));
        }
        try (Scene next = Scene.open()) {
            Dome dome = spy(Dome.class);
            assertThatThrownBy(() -> verify(dome::open).once())
                    .hasMessageContaining("Classes that were initialized while something was replaced")
                    .hasMessageContaining(
                            "Started keeps what a test supposed of SiderealClock.now(...), since the scene")
                    .hasMessageContaining("TraceTest.java:");
            assertThatThrownBy(() -> verify(dome::open).once()).hasMessageNotContaining("Started");
        }
        assertThat(uses.get()).isEqualTo(7);
    }
}
