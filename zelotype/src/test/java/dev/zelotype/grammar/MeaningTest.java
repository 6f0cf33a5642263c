package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.describe;
import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.DynamicTest.dynamicTest;

import dev.zelotype.Scene;
import dev.zelotype.call.Args2;
import dev.zelotype.call.Query1;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.lang.reflect.TypeVariable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/**
 * A pattern has an exact meaning: nothing is run or guessed, and the types of its parameters count.
 */
class MeaningTest {

    private final Scene scene = Scene.open();
    private final Bus bus = spy(Bus.class, "bus");

    @AfterEach
    void close() {
        scene.close();
    }

    sealed interface Event permits Landed, Departed {}

    record Landed(int hour) implements Event {}

    record Departed(int hour) implements Event {}

    interface Bus {
        int publish(Object event);

        int sum(int a, int b, boolean positive);

        int text(String text, boolean flag);

        int one(int value);

        int run(boolean urgent, Runnable task);

        float rate(float value);

        double speed(double value);

        Future<?> submit(Runnable task);

        int eight(int a, int b, int c, int d, int e, int f, int g, int h);
    }

    static class Registry {
        static final List<String> RAN = new ArrayList<>();
        static final List<String> READY = new ArrayList<>(List.of(name()));

        static String name() {
            return "ready";
        }

        static void keep(Object thing) {
            RAN.add("kept " + thing);
        }

        Registry deleteAll() {
            RAN.add("deleted");
            return this;
        }

        int size() {
            RAN.add("sized");
            return 1;
        }
    }

    private enum Sort {
        LOUD {
            @Override
            int level() {
                return 9;
            }
        };

        abstract int level();
    }

    /** A class without a name is called by what it implements or extends. */
    @Test
    void no_message_lacks_the_name_of_a_type() {
        Comparator<String> anonymous = new Comparator<>() {
            @Override
            public int compare(String one, String other) {
                return 1;
            }
        };
        Comparator<String> lambda = (one, other) -> 1;
        Comparator<?> proxy = (Comparator<?>) Proxy.newProxyInstance(
                getClass().getClassLoader(), new Class<?>[] {Comparator.class}, (self, method, arguments) -> 1);
        for (Comparator<?> each : List.of(anonymous, lambda, proxy)) {
            assertThatThrownBy(() -> verify(each::reversed).once())
                    .hasMessageContaining("reversed was called on a real Comparator.");
            assertThatThrownBy(() -> verify(() -> each.reversed()).once())
                    .hasMessageContaining("reversed was called on a real Comparator.")
                    .hasMessageContaining("stub(Comparator.class)");
        }
        assertThatThrownBy(() -> verify(() -> Sort.LOUD.level()).once())
                .hasMessageContaining("level was called on a real Sort.");
        assertThat(describe(spy(anonymous))).startsWith("comparator is a spy of Comparator");
        assertThat(describe(spy(Sort.LOUD))).startsWith("sort is a spy of Sort");
    }

    @Test
    void no_pattern_runs_what_it_names() {
        Registry real = new Registry();
        Bus local = bus;
        long began = System.nanoTime();
        assertThatThrownBy(() -> suppose((Long n) -> TimeUnit.SECONDS.sleep(n)).doesNothing())
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("sleep was called on a real TimeUnit");
        assertThatThrownBy(() -> suppose(() -> real.deleteAll().size()).returns(1))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("deleteAll was called on a real Registry");
        assertThatThrownBy(() -> verify(() -> real.deleteAll()).once())
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("does not call a double");
        suppose(() -> Registry.keep(local)).doesNothing();
        Registry.keep(bus);
        verify(() -> Registry.keep(local)).once();
        suppose((Integer status) -> System.exit(status)).doesNothing();
        System.exit(3);
        assertThat(recorded((Integer status) -> System.exit(status))).containsExactly(3);

        assertThat(Registry.RAN).isEmpty();
        assertThat(System.nanoTime() - began).isLessThan(TimeUnit.MINUTES.toNanos(1));
    }

    static class Fresh {
        static final List<String> FILLED = new ArrayList<>(List.of(word()));

        static String word() {
            return "real";
        }
    }

    @Test
    void a_class_is_initialized_before_anything_of_it_is_replaced() {
        suppose(Fresh::word).returns("told");
        assertThat(Fresh.FILLED).containsExactly("real");
        assertThat(Fresh.word()).isEqualTo("told");
    }

    static class Broken {
        static final int SIZE = Integer.parseInt("no number");

        static int size() {
            return SIZE;
        }
    }

    @TestFactory
    List<DynamicTest> computed_arguments_are_refused_by_the_name_of_their_parameter() {
        Map<String, Runnable> computed = new LinkedHashMap<>();
        computed.put(
                "x",
                () -> verify((Integer x, Integer y) -> bus.sum(x, y, x > 0)).never());
        computed.put(
                "p",
                () -> verify((Boolean p, Boolean q) -> bus.text("", p && q)).never());
        computed.put(
                "s", () -> verify((String s) -> bus.text("", "a".equals(s))).never());
        computed.put(
                "t",
                () -> verify((String t, String u) -> bus.text("", t.equals(u))).never());
        computed.put("n", () -> verify((Integer n) -> bus.one(Math.abs(n))).never());
        computed.put("m", () -> verify((Integer m) -> bus.one(m == 3 ? 3 : 4)).never());
        computed.put(
                "w", () -> verify((String w) -> bus.text("dome " + w, true)).never());
        computed.put("v", () -> verify((Long v) -> bus.one(v.intValue())).never());
        List<DynamicTest> tests = new ArrayList<>();
        computed.forEach((name, statement) -> tests.add(dynamicTest(
                name,
                () -> assertThatThrownBy(statement::run)
                        .isInstanceOf(MisuseException.class)
                        .hasMessageContaining("computed from its free parameter '" + name + "'"))));
        return tests;
    }

    @Test
    void every_mixture_of_booleans_and_objects_is_told_apart() {
        suppose((Boolean urgent, Runnable task) -> bus.run(urgent, task)).answers((urgent, task) -> urgent ? 1 : 2);
        assertThat(List.of(bus.run(true, null), bus.run(false, () -> {}))).containsExactly(1, 2);
    }

    @Test
    void the_type_of_a_free_parameter_counts() {
        suppose((Landed e) -> bus.publish(e)).answers(Landed::hour);
        suppose((Departed e) -> bus.publish(e))
                .where(e -> e != null && e.hour() > 12)
                .answers(e -> -e.hour());
        Query1<Landed, Integer> landed = bus::publish;

        assertThat(List.of(
                        bus.publish(new Landed(3)),
                        bus.publish(new Departed(15)),
                        bus.publish(new Departed(9)),
                        bus.publish("other")))
                .containsExactly(3, -15, 0, 0);

        verify((Landed e) -> bus.publish(e)).once();
        verify((Departed e) -> bus.publish(e)).times(2);
        verify(landed).once();
        verify(bus::publish).times(4);
        assertThat(recorded((Departed e) -> bus.publish(e)))
                .extracting(Departed::hour)
                .containsExactly(15, 9);
        suppose(() -> bus.publish(null)).returns(7);
        bus.publish(null);
        assertThat(recorded((Event e) -> bus.publish(e))).hasSize(4).endsWith((Event) null);
        assertThat(recorded((Integer number) -> bus.publish(number))).containsExactly((Integer) null);
    }

    @Test
    void widening_never_loses() {
        suppose(bus::rate).with(16_777_217f).returns(1f);
        suppose((Integer value) -> bus.rate(value)).with(16_777_217).returns(2f);
        suppose((Long value) -> bus.speed(value)).answers(value -> value + 0.5);

        assertThat(bus.rate(16_777_217)).as("what javac makes of it").isEqualTo(2f);
        assertThat(bus.rate(0.5f)).isZero();
        assertThat(bus.speed(1L << 40)).isEqualTo((1L << 40) + 0.5);
        assertThat(bus.speed(0.25)).as("no long").isZero();
        verify((Integer value) -> bus.rate(value)).with(16_777_217).once();
        verify(() -> bus.rate(16_777_217)).once();
    }

    @Test
    void shapes_go_up_to_eight_parameters() {
        suppose(bus::eight).where((a, b, c, d, e, f, g, h) -> h == 8).answers((a, b, c, d, e, f, g, h) -> a + h);
        expect((Integer a, Integer b, Integer c, Integer d, Integer e, Integer f, Integer g) ->
                        bus.eight(a, b, c, d, e, f, g, 9))
                .with(1, 2, 3, 4, 5, 6, 7)
                .returns(7);
        assertThat(bus.eight(1, 2, 3, 4, 5, 6, 7, 8)).isEqualTo(9);
        assertThat(bus.eight(1, 2, 3, 4, 5, 6, 7, 9)).isEqualTo(7);
        assertThat(recorded(bus::eight)).extracting(args -> args.eighth()).containsExactly(8, 9);
    }

    @Test
    void a_wildcard_answer_is_given_by_a_typed_pattern() throws Exception {
        Future<?> done = CompletableFuture.completedFuture("done");
        Query1<Runnable, Future<?>> submit = bus::submit;
        suppose(submit).returns(done);
        assertThat(bus.submit(() -> {}).get()).isEqualTo("done");
        dev.zelotype.Zelotype.<Runnable, Future<?>>suppose(task -> bus.submit(task))
                .returns(done, done);
    }

    interface Spec<S extends Spec<S>> {
        S header(String name, String value);

        S timeout(int seconds);
    }

    interface Get extends Spec<Get> {
        Reply send();
    }

    interface Reply {
        <T> T body(Class<T> type);
    }

    interface Client {
        Get get(String path);

        Spec<?> any();
    }

    @Test
    void fluent_clients_work_from_their_interfaces_alone() {
        Client client = stub(Client.class);
        suppose(() -> client.get("/targets")
                        .header("site", "north")
                        .timeout(3)
                        .send()
                        .body(String.class))
                .returns("Harrow-2");
        suppose((Integer seconds) ->
                        client.get("/weather").timeout(seconds).send().body(String.class))
                .returns("dry");

        assertThat(client.get("/targets")
                        .header("site", "north")
                        .timeout(3)
                        .send()
                        .body(String.class))
                .isEqualTo("Harrow-2");
        assertThat(client.get("/weather").timeout(9).send().body(String.class)).isEqualTo("dry");
        verify(() -> client.get("/targets")
                        .header("site", "north")
                        .timeout(3)
                        .send()
                        .body(String.class))
                .once();
    }

    @Test
    void overloads_are_told_in_failures() {
        bus.text("rain", true);
        assertThatThrownBy(() -> verify(() -> bus.text("rain", false)).once())
                .isInstanceOf(CheckFailure.class)
                .hasMessageContaining("flag: expected false, was true");
    }

    @Test
    void public_signatures_take_null_where_they_say_so() throws Exception {
        List<String> strict = new ArrayList<>();
        List<Class<?>> types = new ArrayList<>();
        for (int n = 0; n <= 8; n++) {
            for (String name : List.of(
                    "call.Query",
                    "call.Act",
                    "call.AroundQuery",
                    "call.AroundAct",
                    "stage.SupposedQuery",
                    "stage.SupposedAct",
                    "stage.ExpectedQuery",
                    "stage.ExpectedAct",
                    "stage.Check")) {
                types.add(Class.forName("dev.zelotype." + name + n));
            }
            if (n > 1) {
                types.add(Class.forName("dev.zelotype.call.Args" + n));
            }
        }
        for (Class<?> type : types) {
            for (TypeVariable<?> variable : type.getTypeParameters()) {
                if (!isNullable(variable.getAnnotatedBounds()[0])) {
                    strict.add(type.getSimpleName() + " " + variable);
                }
            }
            for (Method method : type.getMethods()) {
                if (method.getName().equals("with")
                        && !Arrays.stream(method.getAnnotatedParameterTypes()).allMatch(MeaningTest::isNullable)) {
                    strict.add(method.toString());
                }
            }
        }
        assertThat(strict).isEmpty();
        Method returns =
                Class.forName("dev.zelotype.stage.Answering").getMethod("returns", Object.class, Object[].class);
        assertThat(isNullable(returns.getAnnotatedParameterTypes()[0])).isTrue();
        assertThat(new Args2<@Nullable String, @Nullable String>(null, null).first())
                .isNull();
    }

    private static boolean isNullable(AnnotatedType type) {
        return type.isAnnotationPresent(Nullable.class);
    }

    @Test
    void a_class_that_cannot_be_initialized_cannot_be_replaced() {
        assertThatThrownBy(() -> suppose(Broken::size).returns(3))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("Broken cannot be replaced: its static initializer failed with")
                .hasMessageContaining("no number");
    }
}
