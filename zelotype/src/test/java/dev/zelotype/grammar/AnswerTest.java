package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.dummy;
import static dev.zelotype.Zelotype.fake;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.DynamicTest.dynamicTest;

import dev.zelotype.Scene;
import dev.zelotype.call.Args2;
import dev.zelotype.doubles.Kind;
import dev.zelotype.error.MisuseException;
import dev.zelotype.error.UnexpectedCall;
import dev.zelotype.observatory.Observatory.Camera;
import dev.zelotype.observatory.Observatory.Dome;
import dev.zelotype.observatory.Observatory.DomeStuck;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.NightLog;
import dev.zelotype.observatory.Observatory.SkyTarget;
import dev.zelotype.observatory.Observatory.WeatherStation;
import java.lang.reflect.Method;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Queue;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.Future;
import java.util.function.BiPredicate;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/**
 * The answers of doubles, depending on statements and kind.
 */
class AnswerTest {

    private final Scene scene = Scene.open();
    private final WeatherStation weather = stub(WeatherStation.class);
    private final SkyTarget harrow = new SkyTarget("Harrow-2", 47);

    @AfterEach
    void close() {
        scene.close();
    }

    @Test
    void answers_queue_up_and_the_last_one_stays() {
        IllegalStateException offline = new IllegalStateException("offline");
        suppose(weather::humidity).returns(40, 70).fails(offline).returns(95);

        assertThat(weather.humidity()).isEqualTo(40);
        assertThat(weather.humidity()).isEqualTo(70);
        assertThatThrownBy(weather::humidity).isSameAs(offline);
        assertThat(IntStream.range(0, 3).map(i -> weather.humidity())).containsOnly(95);
    }

    @Test
    void a_later_statement_refines_an_earlier_one() {
        suppose(weather::humidityAt).returns(40);
        suppose(weather::humidityAt).with("north").returns(70);
        suppose((String dome) -> weather.humidityAt(dome))
                .where("eastern", dome -> dome.startsWith("e"))
                .returns(95);

        assertThat(List.of("south", "north", "east")).map(weather::humidityAt).containsExactly(40, 70, 95);
    }

    @Test
    void answers_are_computed_written_called_back_and_looked_up() throws DomeStuck {
        Camera camera = stub(Camera.class);
        Mount mount = stub(Mount.class);
        Dome dome = stub(Dome.class);
        NightLog log = stub(NightLog.class);
        suppose(log::append).answers(entry -> entry);
        suppose((byte[] buffer) -> camera.readInto(buffer))
                .where(buffer -> buffer.length > 1)
                .answers(buffer -> {
                    buffer[0] = 42;
                    return 1;
                });
        suppose(camera::expose)
                .does((time, onFrame, onFailure) -> onFrame.accept("frame of " + time.toSeconds()))
                .does((time, onFrame, onFailure) -> onFailure.accept(new Exception("stuck")));
        suppose(weather::humidityAt).returnsFrom(Map.of("north", 40, "south", 70));
        suppose(mount::track).returnsFrom(Map.of(new Args2<>(harrow, 3), true));
        suppose(dome::isOpen).fails(new DomeStuck());
        suppose(weather::humidity).answers(() -> weather.humidityAt("north") + 1);
        String entry = new String("rain");
        List<String> heard = new ArrayList<>();
        byte[] two = {0, 0};
        byte[] one = {0};

        assertThat(log.append(entry)).isSameAs(entry);
        assertThat(List.of(camera.readInto(two), camera.readInto(one))).containsExactly(1, 0);
        assertThat(List.of(two[0], one[0])).as("written only on a match").containsExactly((byte) 42, (byte) 0);
        camera.expose(Duration.ofSeconds(9), heard::add, fault -> heard.add(fault.getMessage()));
        camera.expose(Duration.ofSeconds(9), heard::add, fault -> heard.add(fault.getMessage()));
        assertThat(heard).containsExactly("frame of 9", "stuck");
        assertThat(List.of("north", "south", "west")).map(weather::humidityAt).containsExactly(40, 70, 0);
        assertThat(mount.track(harrow, 3)).isTrue();
        assertThat(mount.track(harrow, 4)).isFalse();
        assertThatThrownBy(dome::isOpen).isInstanceOf(DomeStuck.class);
        assertThat(weather.humidity()).isEqualTo(41);
    }

    @Test
    void real_code_is_reached_without_switching_anything_off() {
        Mount mount = stub(Mount.class, m -> suppose(m::rate).returns(15));
        assertThat(mount.doubleRate()).as("said in terms of the other methods").isEqualTo(30);
        suppose(mount::doubleRate).returns(1).callsReal();
        assertThat(List.of(mount.doubleRate(), mount.doubleRate())).containsExactly(1, 30);

        List<String> real = new ArrayList<>(List.of("a"));
        List<String> spied = spy(real);
        suppose(spied::size).returns(7).callsReal();
        spied.add("b");
        assertThat(real).containsExactly("a", "b");
        assertThat(List.of(spied.size(), spied.size())).containsExactly(7, 2);
        verify((String any) -> spied.add(any)).with("b").once();

        Function<String, Integer> length = spy((Function<String, Integer>) String::length, "length");
        assertThat(length.apply("four")).isEqualTo(4);
        verify(length::apply).with("four").once();
        assertThat(length).hasToString("length");
    }

    @Test
    void a_refused_answer_is_reported_once() {
        for (Runnable refused : List.<Runnable>of(
                () -> suppose(weather::humidity).fails(new java.io.IOException("line down")),
                () -> suppose(weather::humidity).returns((Integer) null),
                () -> suppose(weather::humidity).answers(null),
                () -> suppose(weather::humidityAt).where(null).returns(3),
                () -> verify(weather::humidity).atLeast(0),
                () -> verify(weather::humidity).within(Duration.ZERO).once())) {
            Scene once = Scene.open();
            assertThatThrownBy(refused::run).isInstanceOf(MisuseException.class);
            once.close();
        }
    }

    interface HalfLog extends NightLog {
        @Override
        default String append(String entry) {
            return entry + "!";
        }
    }

    @Test
    void the_kinds_differ_in_what_nobody_configured() {
        Dome dome = mock(Dome.class);
        HalfLog log = fake(HalfLog.class);
        Camera camera = dummy(Camera.class, "camera 2");
        suppose(dome::close).doesNothing();

        dome.close();
        assertThat(spy(WeatherStation.class).humidity()).isZero();
        assertThat(log.append("rain")).isEqualTo("rain!");
        assertThatThrownBy(() -> dome.rotate(3))
                .isInstanceOf(UnexpectedCall.class)
                .hasMessageContaining("dome.rotate(3) was not expected.")
                .hasMessageContaining("expect(() -> dome.rotate(3)).once();")
                .hasMessageContaining("suppose(dome::rotate).doesNothing();");
        assertThatThrownBy(() -> log.note("x"))
                .isInstanceOf(UnexpectedCall.class)
                .hasMessageContaining("@Override public void note(String text)");
        assertThatThrownBy(camera::frame)
                .isInstanceOf(UnexpectedCall.class)
                .hasMessageContaining("camera 2 is a dummy");
        assertThatThrownBy(scene::close)
                .as("swallowed errors fail the scene")
                .hasMessageContaining("3 problems in this scene");
    }

    @Test
    void methods_of_object_name_the_double_and_are_not_recorded() {
        Dome dome = stub(Dome.class, "north dome");
        Dome other = stub(Dome.class);
        Dome third = stub(Dome.class);
        suppose(other::toString).returns("the other");
        suppose((Object any) -> third.equals(any)).returns(true);

        assertThat(List.of(dome.toString(), other.toString(), third.toString()))
                .containsExactly("north dome", "the other", "dome2");
        assertThat(dome).isEqualTo(dome).isNotEqualTo(other);
        assertThat(dome.hashCode()).isEqualTo(System.identityHashCode(dome));
        assertThat(third.equals(dome)).isTrue();
        assertThat(scene.conversation().calls()).isEmpty();
    }

    @Test
    void a_double_has_no_public_method_that_its_type_does_not_have() {
        List<String> names = new ArrayList<>();
        for (Method method : stub(Dome.class, AutoCloseable.class).getClass().getMethods()) {
            names.add(method.getName());
        }
        names.removeAll(List.of("getClass", "notify", "notifyAll", "wait"));
        assertThat(Set.copyOf(names))
                .containsExactlyInAnyOrder("open", "close", "rotate", "isOpen", "toString", "equals", "hashCode");
    }

    interface Gallery {
        String text();

        CharSequence characters();

        Integer boxed();

        char letter();

        int[][] grid();

        Optional<String> optional();

        OptionalInt optionalInt();

        Iterable<String> iterable();

        Collection<String> collection();

        Queue<String> queue();

        Iterator<String> iterator();

        NavigableMap<String, String> map();

        IntStream stream();

        Future<List<String>> future();

        Gallery fluent();

        Object object();

        Duration duration();
    }

    @TestFactory
    List<DynamicTest> empty_values() {
        Gallery gallery = stub(Gallery.class);
        Map<String, Object> expected = new LinkedHashMap<>();
        expected.put("text", "");
        expected.put("characters", "");
        expected.put("boxed", 0);
        expected.put("letter", '\0');
        expected.put("grid", new int[0][]);
        expected.put("optional", Optional.empty());
        expected.put("optionalInt", OptionalInt.empty());
        expected.put("iterable", List.of());
        expected.put("collection", List.of());
        expected.put("map", Map.of());
        expected.put("fluent", gallery);
        expected.put("object", null);
        expected.put("duration", null);
        List<DynamicTest> tests = new ArrayList<>();
        expected.forEach((name, value) -> tests.add(dynamicTest(
                name,
                () -> assertThat(Gallery.class.getDeclaredMethod(name).invoke(gallery))
                        .isEqualTo(value))));
        tests.add(dynamicTest("stream", () -> assertThat(gallery.stream()).isEmpty()));
        tests.add(dynamicTest(
                "iterator", () -> assertThat(gallery.iterator().hasNext()).isFalse()));
        tests.add(dynamicTest("queue", () -> assertThat(gallery.queue()).isEmpty()));
        tests.add(dynamicTest("future", () -> assertThat(gallery.future().get()).isEmpty()));
        tests.add(dynamicTest(
                "future of optional", () -> assertThat(weather.forecast().get()).isEmpty()));
        return tests;
    }

    private interface Index {
        int of(Object key, String shelf);
    }

    /** Whatever the number and forms of suppositions, the newest one that covers a call answers it. */
    @Test
    void the_newest_of_very_many_suppositions_answers() {
        Random random = new Random(7);
        List<Object> keys =
                new ArrayList<>(Arrays.asList(null, "Harrow", 'H', 1, 1L, 1.0, true, Duration.ofDays(1), Kind.STUB));
        keys.add(new int[] {1});
        keys.add(new ArrayList<>(List.of("Harrow")));
        for (int i = 0; i < 20; i++) {
            keys.add(i);
        }
        List<String> shelves = Arrays.asList("north", "south", null, "");
        Index index = stub(Index.class);
        List<BiPredicate<Object, String>> covered = new ArrayList<>();
        for (int rule = 0; rule < 400; rule++) {
            int answer = rule;
            Object key = keys.get(random.nextInt(keys.size()));
            String shelf = shelves.get(random.nextInt(shelves.size()));
            switch (random.nextInt(20)) {
                case 0 -> {
                    suppose((String any) -> index.of(key, any)).returns(answer);
                    covered.add((k, s) -> Objects.deepEquals(key, k));
                }
                case 1 -> {
                    suppose((Object any) -> index.of(any, shelf))
                            .where("is not a text", any -> !(any instanceof String))
                            .returns(answer);
                    covered.add((k, s) -> !(k instanceof String) && Objects.equals(shelf, s));
                }
                default -> {
                    suppose(() -> index.of(key, shelf)).returns(answer);
                    covered.add((k, s) -> Objects.deepEquals(key, k) && Objects.equals(shelf, s));
                }
            }
            Object asked = keys.get(random.nextInt(keys.size()));
            String where = shelves.get(random.nextInt(shelves.size()));
            int expected = 0;
            for (int i = 0; i < covered.size(); i++) {
                expected = covered.get(i).test(asked, where) ? i : expected;
            }
            assertThat(index.of(asked, where))
                    .as("after %d, of %s, %s", rule, asked, where)
                    .isEqualTo(expected);
        }
    }

    @Test
    void null_can_be_answered_again_and_again() {
        Names names = stub(Names.class);
        // The arguments that the compiler passes for returns(null, null).
        suppose(names::first).returns(null, (String[]) null).returns("Harrow-2");
        assertThat(names.first()).isNull();
        assertThat(names.first()).isNull();
        assertThat(names.first()).isEqualTo("Harrow-2");
        assertThatThrownBy(() -> suppose(names::first).fails(null, (Throwable[]) null))
                .isInstanceOf(MisuseException.class);
    }

    interface Names {
        String first();
    }
}
