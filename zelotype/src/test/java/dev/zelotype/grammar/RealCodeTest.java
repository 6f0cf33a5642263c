package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.fake;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.error.UnexpectedCall;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.SkyTarget;
import dev.zelotype.observatory.Observatory.WeatherStation;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.Future;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/**
 * Answers that run actions, that call the real code, and that call themselves.
 */
class RealCodeTest {

    private final Scene scene = Scene.open();
    private final WeatherStation weather = stub(WeatherStation.class);
    private final SkyTarget harrow = new SkyTarget("Harrow-2", 47);

    @AfterEach
    void close() {
        scene.close();
    }

    interface Plan {
        Duration timeFor(String target, int rate);

        void note(String text);

        Future<String> submit(Runnable task);

        default int total(int... parts) {
            return IntStream.of(parts).sum();
        }
    }

    static class PaperPlan implements Plan {
        private final List<String> notes = new ArrayList<>();

        @Override
        public Duration timeFor(String target, int rate) {
            return Duration.ofSeconds(target.length() * rate);
        }

        @Override
        public void note(String text) {
            notes.add(text);
        }

        @Override
        public Future<String> submit(Runnable task) {
            throw new IllegalStateException("no threads");
        }
    }

    @Test
    void a_query_may_act_and_answers_with_an_empty_value() throws Exception {
        Plan plan = stub(Plan.class);
        List<String> ran = new ArrayList<>();
        suppose(plan::submit).does(Runnable::run).does(task -> ran.add("second"));
        Future<String> first = plan.submit(() -> ran.add("first"));
        plan.submit(() -> ran.add("never"));
        assertThat(first.get()).isEmpty();
        assertThat(ran).containsExactly("first", "second");
    }

    @Test
    void an_answer_around_the_real_code_changes_arguments_and_results_at_will() {
        PaperPlan paper = new PaperPlan();
        Plan plan = spy((Plan) paper);
        suppose(plan::timeFor)
                .around((real, target, rate) -> real.ask(target, rate + 1).plusSeconds(5));
        suppose((String target) -> plan.timeFor(target, 100)).around((real, target) -> real.ask(target + "!"));
        suppose(plan::note).around((real, text) -> {
            real.act(text);
            real.act(text + " again");
        });
        assertThat(plan.timeFor("abc", 1)).isEqualTo(Duration.ofSeconds(11));
        assertThat(plan.timeFor("abc", 100)).isEqualTo(Duration.ofSeconds(400));
        plan.note("rain");
        assertThat(paper.notes).containsExactly("rain", "rain again");

        Mount mount = stub(Mount.class, m -> suppose(m::rate).returns(15));
        suppose(mount::doubleRate).around(real -> real.ask() + 1);
        assertThat(mount.doubleRate()).isEqualTo(31);
        Plan stubbed = stub(Plan.class);
        suppose((int[] parts) -> stubbed.total(parts)).around((real, parts) -> real.ask(new int[] {1, parts.length}));
        assertThat(stubbed.total(7, 8, 9)).isEqualTo(4);
        assertThatThrownBy(() -> suppose(stubbed::note).around((real, text) -> real.act(text)))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("cannot call real code");
    }

    @Test
    void default_methods_are_right_by_themselves_and_recorded() {
        Predicate<String> dry = stub(Predicate.class, "dry");
        Comparator<String> order = stub(Comparator.class, "order");
        Iterable<String> names = stub(Iterable.class, "names");
        suppose(dry::test).with("north").returns(true);
        suppose(order::compare).answers((a, b) -> a.length() - b.length());
        suppose(names::iterator).answers(() -> List.of("a", "b").iterator());
        List<String> seen = new ArrayList<>();
        names.forEach(seen::add);

        assertThat(List.of(dry.negate().test("north"), dry.negate().test("south")))
                .containsExactly(false, true);
        assertThat(order.reversed().compare("a", "bcd")).isEqualTo(2);
        assertThat(seen).containsExactly("a", "b");
        verify(dry::negate).times(2);
        verify(dry::test).times(2);
        Mount refusing = mock(Mount.class);
        assertThatThrownBy(refusing::doubleRate).isInstanceOf(UnexpectedCall.class);
        assertThatThrownBy(scene::close).hasMessageContaining("mount.doubleRate() was not expected");
    }

    interface Endless {
        default boolean isOpen() {
            return !isClosed();
        }

        default boolean isClosed() {
            return !isOpen();
        }
    }

    @Test
    void what_calls_itself_without_end_is_told_so() {
        suppose(weather::humidityAt).answers(dome -> weather.humidityAt(dome) + 1);
        assertThatThrownBy(() -> weather.humidityAt("north"))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("calls weatherStation.humidityAt again, and so without end")
                .hasMessageContaining(".around((real, ...)");
        Endless endless = stub(Endless.class);
        assertThatThrownBy(endless::isOpen)
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("without end, by way of other methods");
        suppose(weather::humidity).answers(RealCodeTest::deep);
        assertThatThrownBy(weather::humidity).isInstanceOf(StackOverflowError.class);
    }

    private static int deep() {
        return deep() + 1;
    }

    static class KeepingLog {
        int kept;

        void keep() {
            kept++;
        }
    }

    @Test
    void a_spy_around_a_double_is_that_double() {
        KeepingLog log = fake(KeepingLog.class);
        log.keep();
        assertThat(spy(log)).isSameAs(log);
        assertThat(spy(log, "named").kept).isEqualTo(1);
        assertThat(spy(weather)).isSameAs(weather);
    }
}
