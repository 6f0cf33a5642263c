package dev.zelotype.replaced;

import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.observatory.Hardware.Gain;
import dev.zelotype.observatory.Hardware.SerialLink;
import dev.zelotype.observatory.Hardware.SiderealClock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;

/**
 * Scenes on many threads replace the same static methods, constructors, enum constants and singletons with different
 * answers. No scene sees the answers or the calls of another one.
 */
class ParallelScenesTest {

    private static final int THREADS = 12;
    private static final int ROUNDS = 250;
    /** Short scenes open and close at the same moment far more often than others. */
    private static final int BRIEF = 30;

    /** The subject: makes the replaced calls. */
    private static final class Reader {
        static long clock() {
            return SiderealClock.now();
        }

        static Instant jdk() {
            return Instant.now();
        }

        static String port() {
            return new SerialLink("tty").name();
        }
    }

    private static final SerialLink SINGLETON = new SerialLink("tty");

    @Test
    void no_scene_sees_another_ones_answers_or_calls() throws Exception {
        assertThat(roundsOn(Executors.newFixedThreadPool(THREADS))).isEqualTo(THREADS);
        assertThat(Gain.HIGH.factor()).isEqualTo(2);
        assertThat(SINGLETON.send("ab")).isEqualTo(2);
    }

    @Test
    void virtual_threads_are_like_others() throws Exception {
        assertThat(roundsOn(virtual())).isEqualTo(THREADS);
    }

    /** The number of threads that completed all rounds without seeing anything of another one. */
    private static int roundsOn(ExecutorService pool) throws Exception {
        List<Future<?>> all = new ArrayList<>();
        for (int thread = 0; thread < THREADS; thread++) {
            int own = thread;
            all.add(pool.submit(() -> rounds(own)));
        }
        int done = 0;
        for (Future<?> each : all) {
            each.get();
            done++;
        }
        pool.shutdown();
        return done;
    }

    /** Virtual threads if the JVM has them; otherwise one thread per task. */
    private static ExecutorService virtual() {
        try {
            return (ExecutorService)
                    Executors.class.getMethod("newVirtualThreadPerTaskExecutor").invoke(null);
        } catch (ReflectiveOperationException e) {
            return Executors.newCachedThreadPool();
        }
    }

    private static Void rounds(int own) throws Exception {
        for (int round = 0; round < ROUNDS; round++) {
            if ((own + round) % 4 == 0) {
                silent();
            } else {
                round(own * 1_000_000 + round);
            }
            for (int i = 0; i < BRIEF; i++) {
                brief(own * 1_000_000 + i);
            }
        }
        return null;
    }

    /** A test that replaces nothing sees only real code. */
    private static void silent() {
        try (Scene scene = Scene.open()) {
            assertThat(Gain.HIGH.factor()).isEqualTo(2);
            assertThat(SINGLETON.send("abc")).isEqualTo(3);
            assertThat(Reader.jdk()).isAfter(Instant.EPOCH.plusSeconds(2_000_000_000L / 2));
            assertThat(Reader.port()).isEqualTo("TTY");
            assertThat(scene.conversation().calls()).isEmpty();
        }
    }

    private static void brief(long answer) {
        try (Scene scene = Scene.open()) {
            suppose(SiderealClock::now).returns(answer);
            assertThat(Reader.clock()).isEqualTo(answer);
            assertThat(scene.notes()).isEmpty();
        }
    }

    private static void round(int answer) throws Exception {
        try (Scene scene = Scene.open()) {
            Instant fixed = Instant.ofEpochSecond(answer);
            SerialLink mine = new SerialLink("own" + answer);
            suppose(SiderealClock::now).returns((long) answer);
            suppose(() -> Instant.now()).returns(fixed);
            suppose(spy(Gain.HIGH)::factor).returns(answer);
            suppose(spy(SINGLETON)::send).returns(answer + 1);
            suppose((String port) -> new SerialLink(port)).returns(mine);

            Callable<List<Object>> asked =
                    () -> List.of(Reader.clock(), Reader.jdk(), Gain.HIGH.factor(), SINGLETON.send("x"), Reader.port());
            List<Object> told = List.of((long) answer, fixed, answer, answer + 1, "OWN" + answer);
            assertThat(asked.call()).isEqualTo(told);
            Thread.yield();
            assertThat(asked.call()).isEqualTo(told);

            verify(SiderealClock::now).times(2);
            verify(() -> Gain.HIGH.factor()).times(2);
            verify(() -> SINGLETON.send("x")).times(2);
            verify((String port) -> new SerialLink(port)).times(2);
            assertThat(scene.conversation().calls()).hasSize(10);
        }
    }
}
