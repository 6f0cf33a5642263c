package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.call.Args2;
import dev.zelotype.observatory.Observatory.EntryRepository;
import dev.zelotype.observatory.Observatory.Filter;
import dev.zelotype.observatory.Observatory.Instrument;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.NightLog;
import dev.zelotype.observatory.Observatory.Repository;
import dev.zelotype.observatory.Observatory.Site;
import dev.zelotype.observatory.Observatory.SkyTarget;
import dev.zelotype.observatory.Observatory.WeatherStation;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/**
 * The calls that a pattern covers, for every shape of method and of pattern.
 */
class PatternTest {

    private final Scene scene = Scene.open();
    private final Instrument instrument = stub(Instrument.class);
    private final NightLog log = spy(NightLog.class);
    private final Mount mount = stub(Mount.class);
    private final SkyTarget harrow = new SkyTarget("Harrow-2", 47);

    @AfterEach
    void close() {
        scene.close();
    }

    @Test
    void any_parameter_position_is_found_again_among_booleans() {
        suppose((Boolean a) -> instrument.switches(a, true, false)).returns(1);
        suppose((Boolean b) -> instrument.switches(false, b, true)).returns(2);
        suppose((Boolean b, Boolean c) -> instrument.switches(true, c, b))
                .where((b, c) -> !b && !c)
                .returns(3);

        assertThat(instrument.switches(true, true, false)).isEqualTo(1);
        assertThat(instrument.switches(false, true, false)).isEqualTo(1);
        assertThat(instrument.switches(false, true, true)).isEqualTo(2);
        assertThat(instrument.switches(true, false, false)).isEqualTo(3);
        assertThat(instrument.switches(true, true, true)).isZero();
    }

    @Test
    void every_primitive_keeps_its_place_and_its_type() {
        suppose((Byte a, Byte b) -> instrument.bytes(b, a)).answers((a, b) -> 10 * a + b);
        suppose((Byte a, Short b, Character c, Integer d, Long e, Float f) -> instrument.numbers(a, b, c, d, e, f))
                .answers((a, b, c, d, e, f) -> a + b + c + d + e + f.longValue());
        suppose(instrument::wide).answers((a, b) -> a + b);

        assertThat(instrument.bytes((byte) 1, (byte) 2)).isEqualTo(21);
        assertThat(instrument.numbers((byte) 1, (short) 2, 'c', 4, 5, 6)).isEqualTo(1 + 2 + 'c' + 4 + 5 + 6);
        assertThat(instrument.wide(3, 0.5)).isEqualTo(3.5);
    }

    @Test
    void a_widened_parameter_covers_what_fits_its_own_type() {
        suppose((Integer a, Float b) -> instrument.wide(a, b)).answers((a, b) -> a * b.doubleValue());

        assertThat(instrument.wide(3, 1.5)).isEqualTo(4.5);
        assertThat(instrument.wide(1L << 40, 1.5)).as("no int").isZero();
        assertThat(instrument.wide(3, 0.1)).as("no float").isZero();
    }

    @Test
    void values_are_equal_arrays_by_content_and_null_only_null() {
        suppose(() -> instrument.array(new int[] {1, 2})).returns(12);
        suppose(() -> instrument.any(null)).returns(1);
        suppose(() -> instrument.any(List.of("a"))).returns(2);
        suppose(() -> instrument.filter(Filter.CLEAR)).returns(3);
        suppose((Filter any) -> instrument.filter(any))
                .where(any -> any == null)
                .returns(4);

        assertThat(instrument.array(new int[] {1, 2})).isEqualTo(12);
        assertThat(instrument.array(new int[] {2, 1})).isZero();
        assertThat(instrument.any(null)).isEqualTo(1);
        assertThat(instrument.any(new java.util.ArrayList<>(List.of("a")))).isEqualTo(2);
        assertThat(instrument.filter(Filter.CLEAR)).isEqualTo(3);
        assertThat(instrument.filter(null)).isEqualTo(4);
    }

    @Test
    void literals_and_free_parameters_mix_and_a_parameter_used_twice_is_the_same_twice() {
        suppose((SkyTarget t) -> mount.track(t, 3)).returns(true);
        suppose((Boolean same) -> instrument.switches(same, same, true)).returns(5);

        assertThat(mount.track(harrow, 3)).isTrue();
        assertThat(mount.track(null, 3)).isTrue();
        assertThat(mount.track(harrow, 4)).isFalse();
        assertThat(instrument.switches(true, true, true)).isEqualTo(5);
        assertThat(instrument.switches(true, false, true)).isZero();
    }

    @Test
    void overloads_and_variable_arguments() {
        log.note("rain");
        log.note("rain", 2);
        log.noteAll("a", "b");
        log.noteAll();

        verify((String text) -> log.note(text)).with("rain").once();
        verify((String text, Integer severity) -> log.note(text, severity))
                .with("rain", 2)
                .once();
        verify((String first) -> log.noteAll(first, "b")).with("a").once();
        verify((String first) -> log.noteAll(first, "c")).never();
        verify((String first, String second) -> log.noteAll(first, second))
                .where((a, b) -> a.compareTo(b) < 0)
                .once();
        verify((String[] all) -> log.noteAll(all)).times(2);
        verify(() -> log.noteAll()).once();
        assertThat(recorded((String[] all) -> log.noteAll(all)))
                .containsExactly(new String[] {"a", "b"}, new String[0]);
    }

    @Test
    void generic_and_bridged_methods_have_one_name() {
        Repository<SkyTarget> targets = stub(Repository.class);
        EntryRepository entries = stub(EntryRepository.class);
        Repository<String> sameEntries = entries;
        suppose(targets::save).answers(saved -> saved);
        suppose((String key) -> targets.first(key)).returns(harrow);
        suppose(entries::save).answers(saved -> saved + "!");
        suppose(sameEntries::find).answers(id -> Optional.of("entry " + id));

        assertThat(targets.save(harrow)).isSameAs(harrow);
        assertThat(targets.first("north")).isSameAs(harrow);
        assertThat(sameEntries.save("rain")).isEqualTo("rain!");
        assertThat(entries.find(7)).contains("entry 7");
        verify(entries::save).once();
        verify(sameEntries::save).once();
    }

    @Test
    void chains_are_doubled_on_the_way() {
        Site site = stub(Site.class);
        suppose(() -> site.mount().rate()).returns(15);
        suppose(() -> site.mount().track(harrow, 1)).returns(true);
        suppose((String name) -> site.neighbour("south").neighbour(name).name()).returns("far south");

        assertThat(site.mount().rate()).isEqualTo(15);
        assertThat(site.mount().track(harrow, 1)).isTrue();
        assertThat(site.neighbour("south").neighbour("x").name()).isEqualTo("far south");
        assertThat(site.neighbour("north"))
                .as("nothing supposed: a fluent method answers with itself")
                .isSameAs(site);
        verify(() -> site.mount().rate()).once();
    }

    @Test
    void patterns_capture_what_is_around_them() {
        for (String dome : List.of("north", "south")) {
            WeatherStation weather = stub(WeatherStation.class);
            suppose(() -> weather.humidityAt(dome)).returns(dome.length());
            assertThat(weather.humidityAt(dome)).isEqualTo(5);
            assertThat(weather.humidityAt("west")).isZero();
        }
        pinRate(3);
        assertThat(IntStream.range(0, 5).filter(rate -> mount.track(harrow, rate)))
                .containsExactly(3);
        assertThat(recorded(mount::track)).contains(new Args2<>(harrow, 3)).hasSize(5);
    }

    private void pinRate(int rate) {
        suppose((SkyTarget any) -> mount.track(any, rate)).returns(true);
    }
}
