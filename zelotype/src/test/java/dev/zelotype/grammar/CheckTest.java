package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.describe;
import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.forgetCalls;
import static dev.zelotype.Zelotype.inThisOrder;
import static dev.zelotype.Zelotype.keepOnlyCounts;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyNothingElse;
import static dev.zelotype.Zelotype.verifyUntouched;
import static java.time.Duration.ofMillis;
import static java.time.Duration.ofSeconds;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.call.Args2;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import dev.zelotype.observatory.Observatory.Dome;
import dev.zelotype.observatory.Observatory.Instrument;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.NightLog;
import dev.zelotype.observatory.Observatory.SkyTarget;
import dev.zelotype.stage.Counted;
import java.lang.reflect.Proxy;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Queue;
import java.util.Set;
import java.util.SortedSet;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Checks of calls that were made.
 */
class CheckTest {

    private final Scene scene = Scene.open();
    private final Dome dome = spy(Dome.class);
    private final Mount mount = spy(Mount.class);
    private final NightLog log = spy(NightLog.class, "log");
    private final SkyTarget harrow = new SkyTarget("Harrow-2", 47);
    private final SkyTarget quill = new SkyTarget("Quill-9", 61);

    @AfterEach
    void close() {
        scene.close();
    }

    private static Consumer<Counted> count(String name) {
        return switch (name) {
            case "once" -> Counted::once;
            case "never" -> Counted::never;
            case "times 2" -> counting -> counting.times(2);
            case "atLeast 2" -> counting -> counting.atLeast(2);
            case "atMost 2" -> counting -> counting.atMost(2);
            case "between 1 2" -> counting -> counting.between(1, 2);
            default -> throw new IllegalArgumentException(name);
        };
    }

    @ParameterizedTest
    @CsvSource({"once, 1", "never, 0", "times 2, 2", "atLeast 2, 2 3", "atMost 2, 0 1 2", "between 1 2, 1 2"})
    void every_count_holds_for_just_its_numbers(String name, String fine) {
        for (int calls = 0; calls <= 3; calls++) {
            forgetCalls(dome);
            IntStream.range(0, calls).forEach(i -> dome.open());
            if (fine.contains(String.valueOf(calls))) {
                count(name).accept(verify(dome::open));
            } else {
                assertThatThrownBy(() -> count(name).accept(verify(dome::open)))
                        .as("%s calls of %s", calls, name)
                        .isInstanceOf(CheckFailure.class)
                        .hasMessageContaining(calls == 0 ? "there was none" : "" + calls);
            }
        }
    }

    @Test
    void a_failure_names_the_closest_call_the_difference_and_the_lines() {
        mount.track(harrow, 3);
        mount.slewTo(quill);
        suppose(mount::rate).returns(15);
        mount.rate();

        assertThatThrownBy(() -> verify(() -> mount.slewTo(harrow)).once())
                .isInstanceOf(CheckFailure.class)
                .hasMessageMatching("""
                        Expected exactly 1 call of mount\\.slewTo\\(Harrow-2\\), but there was none\\.

                          Closest
                            mount\\.slewTo\\(Quill-9\\)    at \\S+CheckTest\\.java:\\d+\\)
                              target: expected Harrow-2, was Quill-9

                          Conversation \\(3 calls\\)
                            1  mount\\.track\\(Harrow-2, 3\\)  = false \\(by default\\)    at \\S+CheckTest\\.java:\\d+\\)
                            2  mount\\.slewTo\\(Quill-9\\)                             at \\S+CheckTest\\.java:\\d+\\)
                            3  mount\\.rate\\(\\)              = 15                    at \\S+CheckTest\\.java:\\d+\\)""");
        assertThatThrownBy(() -> verify(mount::slewTo).never())
                .hasMessageContaining(
                        "Expected no call of mount.slewTo(any SkyTarget), but there was 1.\n\n  The call\n    2  ");
    }

    /** A class without equals, and one with an unreliable toString. */
    private static final class Plate {
        @Override
        public String toString() {
            return "plate";
        }
    }

    private static final class Broken {
        @Override
        public String toString() {
            throw new IllegalStateException("not yet");
        }
    }

    private static final class Endless {
        private final List<Object> self = Arrays.asList(this, null);

        @Override
        public String toString() {
            return self.toString();
        }
    }

    @Test
    void equal_looking_and_odd_values_are_explained() {
        Instrument instrument = spy(Instrument.class);
        Consumer<Object[]> differ = pair -> {
            forgetCalls(instrument);
            instrument.any(pair[1]);
            assertThatThrownBy(() -> verify(() -> instrument.any(pair[0])).once())
                    .isInstanceOf(CheckFailure.class)
                    .hasMessageContaining((String) pair[2]);
        };
        String line = "x".repeat(200);
        differ.accept(new Object[] {new Plate(), new Plate(), "both print alike, but Plate does not override equals"});
        differ.accept(new Object[] {1, 1L, "one is of Integer and the other of Long"});
        differ.accept(new Object[] {new int[] {1}, new long[] {1}, "one is of int[] and the other of long[]"});
        differ.accept(new Object[] {line + "a", line + "b", "they differ from character 201 on"});
        differ.accept(new Object[] {"a", "a\n\t\"\u200b", "expected \"a\", was \"a\\n\\t\\\"\\u200b\""});
        differ.accept(new Object[] {"a", new Broken(), "was Broken (its toString threw IllegalStateException)"});
        differ.accept(new Object[] {"a", new Endless(), "its toString threw StackOverflowError"});
        differ.accept(new Object[] {null, List.of("a", 'b'), "expected null, was [\"a\", 'b']"});
        differ.accept(new Object[] {"a", new String[] {"b", null}, "was [\"b\", null]"});
        differ.accept(new Object[] {dome, mount, "expected dome, was mount"});
    }

    private record Sealed(String text) {
        @Override
        public String text() {
            throw new IllegalStateException("not yet");
        }
    }

    private static final class Nameless extends Exception {
        private static final long serialVersionUID = 1L;

        @Override
        public String getMessage() {
            throw new IllegalStateException("not yet");
        }
    }

    /** Like those of frameworks: its methods return null if they can. */
    private static Object proxy(ClassLoader loader, Class<?> type) {
        return Proxy.newProxyInstance(
                loader, new Class<?>[] {type}, (self, method, arguments) -> switch (method.getName()) {
                    case "equals" -> self == arguments[0];
                    case "hashCode", "size" -> 1;
                    case "isEmpty" -> false;
                    default -> null;
                });
    }

    private static List<Object> unreadable() {
        List<Object> all = new ArrayList<>(List.of(new Sealed("a"), new Nameless()));
        ClassLoader own = CheckTest.class.getClassLoader();
        for (Class<?> type : List.of(List.class, Set.class, SortedSet.class, Queue.class, Map.class)) {
            all.add(proxy(null, type));
            all.add(proxy(own, type));
        }
        all.add(Collections.unmodifiableList((List<?>) proxy(null, List.class)));
        all.add(Collections.unmodifiableSet((Set<?>) proxy(own, Set.class)));
        all.add(Collections.unmodifiableMap((Map<?, ?>) proxy(null, Map.class)));
        all.add(Optional.of(proxy(null, Set.class)));
        return all;
    }

    @Test
    void values_that_cannot_be_read_are_recorded_all_the_same() {
        Instrument instrument = spy(Instrument.class);
        for (Object value : unreadable()) {
            forgetCalls(instrument);
            instrument.any(value);
            assertThat(Scene.current().conversation().calls()).hasSize(1);
            verify(() -> instrument.any(value)).once();
            assertThatThrownBy(() -> verify(() -> instrument.any("a")).once())
                    .isInstanceOf(CheckFailure.class)
                    .hasMessageContaining("instrument.any(");
        }
    }

    @Test
    void arguments_are_recorded_with_their_types() {
        mount.track(harrow, 3);
        mount.track(quill, 1);
        mount.slewTo(harrow);

        List<SkyTarget> slewed = recorded(mount::slewTo);
        List<Args2<SkyTarget, Integer>> tracked = recorded(mount::track);
        List<Integer> rates = recorded((Integer rate) -> mount.track(quill, rate));
        assertThat(slewed).containsExactly(harrow);
        assertThat(tracked).extracting(Args2::first).containsExactly(harrow, quill);
        assertThat(rates).containsExactly(1);
        verifyNothingElse(mount);
    }

    @Test
    void an_order_reads_the_calls_like_a_sentence() {
        dome.open();
        mount.slewTo(harrow);
        mount.slewTo(quill);
        mount.rate();
        dome.open();

        inThisOrder(() -> {
            verify(dome::open).once();
            verify(mount::slewTo).times(2);
            verify(dome::open).once();
        });
        inThisOrder(() -> {
            verify(dome::open).atLeast(1);
            verify(() -> mount.slewTo(quill)).once();
            verify(dome::open).atMost(1);
            verify(dome::close).never();
        });
        assertThatThrownBy(() -> inThisOrder(() -> {
                    verify(() -> mount.slewTo(quill)).once();
                    verify(() -> mount.slewTo(harrow)).once();
                }))
                .isInstanceOf(CheckFailure.class)
                .hasMessageContaining("mount.slewTo(Harrow-2) (call 2) came out of turn.")
                .hasMessageContaining("1  mount.slewTo(Quill-9), exactly 1 call");
        assertThatThrownBy(() -> inThisOrder(() -> {
                    verify(mount::slewTo).times(2);
                    verify(mount::park).once();
                }))
                .hasMessageContaining("mount.park() is missing at the end");
    }

    @Test
    void whole_doubles() {
        suppose(mount::rate).returns(15);
        expect(dome::open).once();
        mount.rate();
        dome.open();
        verifyNothingElse(mount, dome);
        verifyUntouched(log);
        log.note("rain");

        assertThatThrownBy(() -> verifyUntouched(dome, log))
                .isInstanceOf(CheckFailure.class)
                .hasMessageContaining("Expected no call at all of dome, log, but there were 2.");
        assertThatThrownBy(() -> verifyNothingElse(mount, log))
                .isInstanceOf(CheckFailure.class)
                .hasMessageContaining("log.note(\"rain\")");
        verify((String text) -> log.note(text)).once();
        verifyNothingElse(mount, log);
        assertThat(describe(mount))
                .matches("(?s)mount is a spy of Mount\\.\n\n  Told\n    mount\\.rate\\(\\)  supposed    "
                        + "at \\S+CheckTest.java:\\d+\\)\n\n  Asked \\(1 call\\)\n    1  mount\\.rate\\(\\)  = 15 .*");
        forgetCalls(mount, log);
        verifyUntouched(mount, log);
        assertThat(mount.rate()).as("what it is told stays").isEqualTo(15);
    }

    @Test
    void calls_of_other_threads_are_waited_for() throws Exception {
        CountDownLatch started = new CountDownLatch(1);
        Thread late = new Thread(() -> {
            started.countDown();
            IntStream.range(0, 3).forEach(i -> dome.open());
        });
        late.start();
        started.await();
        verify(dome::open).within(ofSeconds(20)).times(3);
        verify(dome::close).within(ofMillis(20)).never();
        assertThatThrownBy(() -> verify(mount::park).within(ofMillis(20)).once())
                .hasMessageContaining("mount.park() within 20 ms, but there was none");
        late.join();
    }

    @Test
    void nothing_is_lost_or_torn_between_threads() throws Exception {
        int threads = 8;
        int calls = 5_000;
        ExecutorService pool = Executors.newFixedThreadPool(threads);
        List<Future<?>> running = new ArrayList<>();
        for (int t = 0; t < threads; t++) {
            int thread = t;
            running.add(pool.submit(() -> {
                for (int i = 0; i < calls; i++) {
                    mount.track(harrow, thread * calls + i);
                }
            }));
        }
        for (int i = 0; i < 200; i++) {
            int rate = i;
            suppose(() -> mount.track(harrow, rate)).returns(true);
            suppose((SkyTarget any) -> mount.track(any, -1 - rate)).returns(true);
        }
        for (Future<?> each : running) {
            each.get();
        }
        pool.shutdown();

        assertThat(recorded((Integer rate) -> mount.track(harrow, rate)))
                .hasSize(threads * calls)
                .doesNotHaveDuplicates();
        verify(mount::track).times(threads * calls);
        assertThat(scene.conversation().calls())
                .extracting(call -> call.number())
                .containsExactlyElementsOf(
                        IntStream.rangeClosed(1, threads * calls).boxed().toList());
    }

    @Test
    void long_loops_can_keep_counts_only() {
        Mount counted = stub(Mount.class, "counted");
        keepOnlyCounts(counted);
        for (int i = 0; i < 1_000_000; i++) {
            counted.track(harrow, i);
        }
        verify(counted::track).times(1_000_000);
        assertThat(scene.conversation().calls()).isEmpty();
        assertThatThrownBy(() -> verify(() -> counted.track(harrow, 1)).never())
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("but not its arguments or their order");
        assertThatThrownBy(() -> recorded(counted::track)).isInstanceOf(MisuseException.class);
        assertThatThrownBy(() -> verifyUntouched(counted)).isInstanceOf(CheckFailure.class);
        assertThatCode(() -> forgetCalls(counted)).doesNotThrowAnyException();
        verifyUntouched(counted);
    }
}
