package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static java.time.Duration.ofMillis;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import dev.zelotype.observatory.Hardware.SerialLink;
import dev.zelotype.observatory.Hardware.SiderealClock;
import dev.zelotype.observatory.Observatory.Dome;
import dev.zelotype.observatory.Observatory.WeatherStation;
import dev.zelotype.stage.SupposedQuery0;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * A statement takes effect as a whole, evaluates the test's conditions once per call, and is refused if it could never
 * apply.
 */
class StatementTest {

    private interface Archive {
        int store(Object... plates);

        int first(int[] numbers);

        String find(Object plate);
    }

    private Scene scene;

    @BeforeEach
    void open() {
        scene = Scene.open();
    }

    @AfterEach
    void close() {
        scene.close();
    }

    @Test
    void several_failures_queue_up_like_answers() {
        WeatherStation weather = stub(WeatherStation.class);
        Dome dome = spy(Dome.class);
        IllegalStateException first = new IllegalStateException("first");
        IllegalArgumentException second = new IllegalArgumentException("second");
        suppose(weather::humidity).fails(first, second).returns(3);
        suppose(dome::open).fails(first, second);
        expect(dome::close).fails(first, second).times(2);

        assertThatThrownBy(weather::humidity).isSameAs(first);
        assertThatThrownBy(weather::humidity).isSameAs(second);
        assertThat(List.of(weather.humidity(), weather.humidity())).containsExactly(3, 3);
        assertThatThrownBy(dome::open).isSameAs(first);
        assertThatThrownBy(dome::open).isSameAs(second);
        assertThatThrownBy(dome::open).isSameAs(second);
        assertThatThrownBy(dome::close).isSameAs(first);
        assertThatThrownBy(dome::close).isSameAs(second);
        assertThatThrownBy(() -> suppose(weather::humidityAt).fails(first, (RuntimeException) null))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("is null");
        assertThat(weather.humidityAt("north")).as("nothing of it took effect").isZero();
    }

    @Test
    void an_answer_that_is_added_later_follows_those_that_were_given() {
        WeatherStation weather = stub(WeatherStation.class);
        SupposedQuery0<Integer> said = suppose(weather::humidity);
        said.returns(1);
        assertThat(weather.humidity()).isEqualTo(1);
        said.returns(2);
        assertThat(List.of(weather.humidity(), weather.humidity())).containsExactly(2, 2);
        said.returns(3, 4);
        assertThat(List.of(weather.humidity(), weather.humidity(), weather.humidity()))
                .containsExactly(3, 4, 4);
    }

    @Test
    void answers_are_published_at_once_and_given_in_order_at_most_once() throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(4);
        for (int round = 0; round < 500; round++) {
            WeatherStation weather = stub(WeatherStation.class);
            SupposedQuery0<Integer> said = suppose(weather::humidity);
            Callable<List<Integer>> calls = () -> {
                List<Integer> seen = new ArrayList<>();
                for (int i = 0; i < 6; i++) {
                    seen.add(weather.humidity());
                }
                return seen;
            };
            List<Future<List<Integer>>> all = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                all.add(pool.submit(calls));
            }
            said.returns(1, 2, 3, 4);
            List<Integer> together = new ArrayList<>();
            for (Future<List<Integer>> each : all) {
                assertThat(each.get()).isSorted();
                together.addAll(each.get());
            }
            for (int once = 1; once <= 3; once++) {
                assertThat(Collections.frequency(together, once)).isLessThanOrEqualTo(1);
            }
        }
        pool.shutdown();
    }

    @Test
    void a_condition_is_asked_once_for_each_call_and_statement() {
        AtomicInteger asked = new AtomicInteger();
        Dome dome = spy(Dome.class);
        SerialLink link = spy(new SerialLink("tty"));
        SerialLink hollow = stub(SerialLink.class);
        suppose(dome::rotate).where(degrees -> asked.incrementAndGet() > 0).doesNothing();
        suppose(link::send).where(text -> asked.incrementAndGet() > 0).returns(1);
        suppose(hollow::send).where(text -> asked.incrementAndGet() < 0).returns(1);
        suppose((String site) -> SiderealClock.offset(site, 1))
                .where(site -> asked.incrementAndGet() < 0)
                .returns(5L);
        suppose((String text) -> Integer.parseInt(text))
                .where(text -> asked.incrementAndGet() > 0)
                .returns(8);
        suppose((String text) -> new StringBuilder(text))
                .where(text -> asked.incrementAndGet() < 0)
                .returns(new StringBuilder());

        dome.rotate(3);
        assertThat(asked.getAndSet(0)).as("a double").isEqualTo(1);
        assertThat(link.send("x")).isEqualTo(1);
        assertThat(asked.getAndSet(0)).as("in place").isEqualTo(1);
        assertThat(hollow.send("x")).isZero();
        assertThat(asked.getAndSet(0)).as("a stub of a final class").isEqualTo(1);
        assertThat(SiderealClock.offset("north", 1)).isEqualTo(6);
        assertThat(asked.getAndSet(0)).as("a static method").isEqualTo(1);
        assertThat(Subject.parsed("1")).isEqualTo(8);
        assertThat(asked.getAndSet(0)).as("one of the JDK").isEqualTo(1);
        assertThat(Subject.built("y")).isEqualTo("y");
        assertThat(asked.getAndSet(0)).as("a constructor").isEqualTo(1);

        dome.rotate(4);
        asked.set(0);
        verify(dome::rotate).where(degrees -> asked.incrementAndGet() > 0).times(2);
        assertThat(asked.getAndSet(0)).as("a check").isEqualTo(2);
        verify(dome::rotate)
                .where(degrees -> asked.incrementAndGet() > 0)
                .within(ofMillis(50))
                .atMost(2);
        assertThat(asked.getAndSet(0)).as("a check that waits").isEqualTo(2);
        assertThat(recorded(dome::rotate)).containsExactly(3, 4);
    }

    private static final class Subject {
        static int parsed(String text) {
            return Integer.parseInt(text);
        }

        static String built(String text) {
            return new StringBuilder(text).toString();
        }
    }

    @Test
    @SuppressWarnings({"unchecked", "rawtypes"})
    void what_no_call_can_pass_is_refused() {
        Dome dome = spy(Dome.class);
        assertThatThrownBy(() -> verify(dome::rotate).with((Integer) null).never())
                .isInstanceOf(MisuseException.class)
                .hasMessage("with(...) was given null for 'degrees' of dome.rotate, which takes a primitive int.\n"
                        + "  Cure: give a value of type int");
        WeatherStation weather = stub(WeatherStation.class);
        dev.zelotype.stage.SupposedQuery1 raw = suppose(weather::humidityAt);
        assertThatThrownBy(() -> raw.with(3))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining(
                        "with(...) was given a value of type Integer for 'dome' of weatherStation.humidityAt");
        verify(weather::humidityAt).with((String) null).never();
    }

    /** A link of a chain whose arguments print the same text but are not equal. */
    private interface Cabinet {
        Shelf shelf(Object key);

        interface Shelf {
            String plate();
        }
    }

    private record Mute(int number) {
        @Override
        public String toString() {
            return "mute";
        }
    }

    @Test
    void links_of_chains_are_told_apart_by_equality() {
        Cabinet cabinet = stub(Cabinet.class);
        String one = "x".repeat(100) + "1" + "y".repeat(100);
        String two = "x".repeat(100) + "2" + "y".repeat(100);
        List<Object> keys = List.of(1, 1L, one, two, new Mute(1), new Mute(2), List.of(1), List.of(1L));
        for (Object key : keys) {
            suppose(() -> cabinet.shelf(key).plate()).returns("plate " + keys.indexOf(key));
        }
        for (Object key : keys) {
            assertThat(cabinet.shelf(key).plate()).isEqualTo("plate " + keys.indexOf(key));
        }
        suppose(() -> cabinet.shelf(new Mute(2)).plate()).returns("again");
        assertThat(cabinet.shelf(new Mute(2)).plate()).isEqualTo("again");
        assertThat(cabinet.shelf(new Mute(1)).plate()).isEqualTo("plate 4");
        verify(() -> cabinet.shelf(1L).plate()).once();
    }

    static class Parser implements Function<String, Integer> {
        @Override
        public Integer apply(String text) {
            return text.length();
        }

        public Integer apply(Long number) {
            return -1;
        }

        public Object apply(Integer number) {
            return -2;
        }
    }

    static class Wide {
        Object read() {
            return "wide";
        }
    }

    static class Narrow extends Wide {
        @Override
        String read() {
            return "narrow";
        }
    }

    static final class FinalParser extends Parser implements Comparable<FinalParser> {
        @Override
        public int compareTo(FinalParser other) {
            return 1;
        }

        public int compareTo(Parser other) {
            return 2;
        }
    }

    @Test
    void a_call_through_a_bridge_reaches_the_method_that_the_bridge_calls() {
        for (Parser parser :
                List.of(stub(Parser.class), spy(new Parser()), stub(FinalParser.class), spy(Parser.class))) {
            Function<String, Integer> wide = parser;
            suppose(wide::apply).returns(5);
            suppose((String text) -> wide.apply(text))
                    .where(text -> text.isEmpty())
                    .returns(6);
            assertThat(List.of(parser.apply("x"), wide.apply("x"), wide.apply("")))
                    .containsExactly(5, 5, 6);
            assertThat(parser.apply(1L)).isNotEqualTo(5);
            assertThat(parser.apply(1)).isNotEqualTo(5);
            verify((String text) -> parser.apply(text)).times(3);
            verify(wide::apply).times(3);
            verify((Long number) -> parser.apply(number)).once();
        }
        Narrow narrow = spy(new Narrow());
        Wide above = narrow;
        suppose(above::read).returns("told");
        assertThat(List.of(above.read(), narrow.read())).containsExactly("told", "told");
        verify(narrow::read).times(2);
        FinalParser last = spy(new FinalParser());
        Comparable<FinalParser> wide = last;
        suppose(wide::compareTo).returns(7);
        assertThat(List.of(wide.compareTo(last), last.compareTo(last), last.compareTo((Parser) last)))
                .containsExactly(7, 7, 2);
    }

    @Test
    void arrays_and_collections_compare_by_content_whatever_they_are() {
        Archive archive = spy(Archive.class);
        Object[] objects = {"a", 1};
        suppose(() -> archive.store("a", "b")).returns(2);
        suppose(() -> archive.store(objects)).returns(3);
        assertThat(archive.store((Object[]) new String[] {"a", "b"})).isEqualTo(2);
        assertThat(archive.store("a", 1)).isEqualTo(3);
        assertThat(archive.store("a", 1L)).as("another number").isZero();

        suppose(archive::find).with(new int[] {1}).returns("numbers");
        suppose(archive::find).with(new Object[] {new int[] {2}}).returns("nested");
        assertThat(archive.find("no array")).isEmpty();
        assertThat(archive.find(new int[] {1})).isEqualTo("numbers");
        assertThat(archive.find(new Object[] {new int[] {2}})).isEqualTo("nested");
        assertThat(archive.find(new long[] {1})).isEmpty();

        Object[] cyclic = {null, "x"};
        cyclic[0] = cyclic;
        Object[] other = {null, "x"};
        other[0] = other;
        List<Object> endless = new ArrayList<>(Arrays.asList("x"));
        endless.add(endless);
        List<Object> alike = new ArrayList<>(Arrays.asList("x"));
        alike.add(alike);
        suppose(archive::find).with(cyclic).returns("cyclic");
        suppose(archive::find).with(endless).returns("endless");
        assertThat(archive.find(other)).isEqualTo("cyclic");
        assertThat(archive.find(endless)).isEqualTo("endless");
        assertThat(archive.find(alike)).isEmpty();
        assertThatThrownBy(() -> verify(archive::find).with(new int[] {9}).once())
                .isInstanceOf(CheckFailure.class)
                .hasMessageContaining("[1]");
        assertThat(scene.conversationText()).contains("...");
        assertThatThrownBy(() -> verify(archive::first).once()).hasMessageContaining("archive.first(any int[])");
    }
}
