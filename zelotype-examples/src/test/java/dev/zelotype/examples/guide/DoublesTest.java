package dev.zelotype.examples.guide;

import static dev.zelotype.Zelotype.dummy;
import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.fake;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.error.UnexpectedCall;
import dev.zelotype.examples.observatory.Camera;
import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.examples.observatory.LogEntry;
import dev.zelotype.examples.observatory.Mount;
import dev.zelotype.examples.observatory.NightLog;
import dev.zelotype.examples.observatory.SkyTarget;
import dev.zelotype.examples.observatory.WeatherStation;
import dev.zelotype.examples.plain.PlainScene;
import dev.zelotype.junit.WithDoubles;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The code of the guide's page on making doubles. */
@WithDoubles
class DoublesTest {

    @Test
    void the_five_kinds() {
        WeatherStation weather = stub(WeatherStation.class);
        Dome dome = mock(Dome.class);
        Mount mount = spy(Mount.class);
        NightLog log = fake(InMemoryLog.class, 100);
        Camera camera = dummy(Camera.class);

        assertThat(weather.humidity()).isZero();
        expect(dome::open).once();
        dome.open();
        mount.park();
        verify(mount::park).once();
        assertThat(log.append(LogEntry.of("rain")).number()).isEqualTo(100);
        assertThat(camera).hasToString("camera");
    }

    /** Implements only what the tests need. */
    abstract static class InMemoryLog implements NightLog {
        private final List<LogEntry> entries = new ArrayList<>();
        private final int first;

        InMemoryLog(int first) {
            this.first = first;
        }

        @Override
        public LogEntry append(LogEntry entry) {
            entries.add(entry.numbered(first + entries.size()));
            return entries.get(entries.size() - 1);
        }
    }

    @Test
    void a_fake_says_what_it_lacks() {
        Scene scene = Scene.open();
        NightLog log = fake(InMemoryLog.class, 1);

        assertThatThrownBy(() -> log.note("rain"))
                .isInstanceOf(UnexpectedCall.class)
                .hasMessageContaining("is not implemented by the fake InMemoryLog")
                .hasMessageContaining("@Override public void note(String text)");
        assertThatThrownBy(scene::close).hasMessageContaining("is not implemented");
    }

    @Test
    void names_types_and_set_up() {
        Mount north = spy(Mount.class, "north mount");
        WeatherStation dry =
                stub(WeatherStation.class, w -> suppose(w::humidity).returns(40));
        Map<String, SkyTarget> targets = stub(Map.class);
        Dome both = stub(Dome.class, AutoCloseable.class);

        assertThat(north).hasToString("north mount");
        assertThat(dry.humidity()).isEqualTo(40);
        assertThat(targets).isInstanceOf(Map.class);
        assertThat(both).isInstanceOf(AutoCloseable.class);
    }

    @Test
    void a_spy_around_a_real_object() {
        List<String> real = new ArrayList<>();
        List<String> notes = spy(real, "notes");
        suppose(notes::size).returns(99);

        notes.add("rain");

        assertThat(real).containsExactly("rain");
        assertThat(notes.size()).isEqualTo(99);
        verify((String text) -> notes.add(text)).with("rain").once();
    }

    @Test
    void plain_java_without_junit() {
        try (Scene scene = Scene.open()) {
            Dome dome = mock(Dome.class);
            expect(dome::open).once();
            dome.open();
            assertThat(scene.conversation().calls()).hasSize(1);
        }
    }

    @Test
    void the_example_without_a_test_framework_runs() {
        assertThatCode(() -> PlainScene.main(new String[0])).doesNotThrowAnyException();
    }

    @Test
    void a_double_records_what_it_was_given() {
        Mount mount = spy(Mount.class);
        mount.slewTo(new SkyTarget("Harrow-2", 47));

        List<SkyTarget> slewed = recorded(mount::slewTo);
        assertThat(slewed).extracting(SkyTarget::name).containsExactly("Harrow-2");
    }
}
