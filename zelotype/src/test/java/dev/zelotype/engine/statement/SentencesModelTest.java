package dev.zelotype.engine.statement;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyUntouched;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Random statements and calls against a simple model: conditions that call doubles, chains with arguments that print alike,
 * and answers that several threads take.
 */
class SentencesModelTest {

    /** Run with {@code -Dzelotype.sequences=100000} for the full length. */
    private static final int SEQUENCES = Integer.getInteger("zelotype.sequences", 1500);

    /** Prints the same text as others, but is only equal to its own kind. */
    private record Twin(int number) {
        @Override
        public String toString() {
            return "1";
        }
    }

    /** Not equal, although they print the same text. */
    private static final List<Object> VALUES = List.of(1, 1L, "1", '1', new Twin(1), new Twin(2));

    interface Port {
        int read(Object what);
    }

    interface Site {
        Wing wing(Object key);
    }

    interface Wing {
        int level(Object of);
    }

    interface Probe {
        boolean fits(Object what);
    }

    /** A supposition: about a chain if it has a key; for any argument, for one, or for those that the probe accepts. */
    private record Said(Object key, Object only, boolean byProbe, Deque<Integer> answers) {

        boolean covers(Object argument) {
            return byProbe ? argument instanceof Number : only == null || only.equals(argument);
        }

        int take() {
            return answers.size() > 1 ? answers.remove() : answers.element();
        }
    }

    private static final class World {
        final Port port = stub(Port.class);
        final Site site = stub(Site.class);
        final Probe probe = stub(Probe.class);
        final List<Said> said = new ArrayList<>();
        final List<Object> read = new ArrayList<>();
        final List<List<Object>> asked = new ArrayList<>();

        World() {
            suppose(probe::fits).answers(what -> what instanceof Number);
        }

        void say(Random random) {
            boolean chain = random.nextBoolean();
            Object key = chain ? any(random) : null;
            boolean byProbe = !chain && random.nextInt(3) == 0;
            Object only = !byProbe && random.nextBoolean() ? any(random) : null;
            int first = random.nextInt(100) + 1;
            Integer[] answers =
                    random.nextBoolean() ? new Integer[] {first} : new Integer[] {first, first + 1, first + 2};
            said.add(new Said(key, only, byProbe, new ArrayDeque<>(List.of(answers))));
            Integer[] more = List.of(answers).subList(1, answers.length).toArray(new Integer[0]);
            if (chain && only != null) {
                suppose(() -> site.wing(key).level(only)).returns(first, more);
            } else if (chain) {
                suppose((Object of) -> site.wing(key).level(of)).returns(first, more);
            } else if (byProbe) {
                suppose(port::read).where(what -> probe.fits(what)).returns(first, more);
            } else if (only != null) {
                suppose(() -> port.read(only)).returns(first, more);
            } else {
                suppose(port::read).returns(first, more);
            }
        }

        int expected(Object key, Object argument) {
            for (int i = said.size() - 1; i >= 0; i--) {
                if (Objects.equals(said.get(i).key(), key) && said.get(i).covers(argument)) {
                    return said.get(i).take();
                }
            }
            return 0;
        }

        void call(Random random) {
            Object argument = any(random);
            if (random.nextBoolean()) {
                read.add(argument);
                assertThat(port.read(argument)).isEqualTo(expected(null, argument));
                return;
            }
            Object key = any(random);
            Wing wing = site.wing(key);
            assertThat(wing != null).isEqualTo(said.stream().anyMatch(each -> key.equals(each.key())));
            if (wing != null) {
                asked.add(List.of(key, argument));
                assertThat(wing.level(argument)).isEqualTo(expected(key, argument));
            }
        }

        void check() {
            for (Object each : VALUES) {
                verify(() -> port.read(each)).times(Collections.frequency(read, each));
            }
            verify(port::read).where(what -> probe.fits(what)).times((int)
                    read.stream().filter(Number.class::isInstance).count());
            for (List<Object> each : asked) {
                Object key = each.get(0);
                Object argument = each.get(1);
                verify(() -> site.wing(key).level(argument)).times(Collections.frequency(asked, each));
            }
            verifyUntouched(probe);
        }

        private static Object any(Random random) {
            return VALUES.get(random.nextInt(VALUES.size()));
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2})
    @SuppressWarnings("try")
    void answers_and_counts_are_those_of_the_model(int seed) {
        Random random = new Random(seed);
        for (int i = 0; i < SEQUENCES; i++) {
            try (Scene scene = Scene.open(SceneSettings.defaults().linesOfCalls(0))) {
                World world = new World();
                for (int steps = 3 + random.nextInt(12); steps > 0; steps--) {
                    if (random.nextInt(3) == 0) {
                        world.say(random);
                    } else {
                        world.call(random);
                    }
                }
                world.check();
            }
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2})
    @SuppressWarnings("try")
    void each_answer_is_given_once_and_in_order_whatever_thread_asks(int seed) throws Exception {
        Random random = new Random(seed);
        for (int i = 0; i < SEQUENCES / 10; i++) {
            try (Scene scene = Scene.open(SceneSettings.defaults().linesOfCalls(0))) {
                Port port = stub(Port.class);
                int before = random.nextInt(3);
                suppose(port::read).returns(0);
                int calls = 5 + random.nextInt(20);
                List<List<Integer>> given = new ArrayList<>();
                List<Thread> threads = new ArrayList<>();
                CountDownLatch ready = new CountDownLatch(1);
                for (int t = 0; t < 3; t++) {
                    List<Integer> own = new ArrayList<>();
                    given.add(own);
                    threads.add(new Thread(() -> {
                        try {
                            ready.await();
                        } catch (InterruptedException e) {
                            throw new IllegalStateException(e);
                        }
                        for (int n = 0; n < calls; n++) {
                            own.add(port.read("now"));
                        }
                    }));
                }
                threads.forEach(Thread::start);
                ready.countDown();
                for (int n = 0; n < before; n++) {
                    Thread.onSpinWait();
                }
                suppose(port::read).returns(1, 2, 3, 4, 5, 6);
                for (Thread each : threads) {
                    each.join();
                }
                List<Integer> all = given.stream().flatMap(List::stream).toList();
                int last = all.stream().mapToInt(Integer::intValue).max().orElse(0);
                for (int step = 1; step <= Math.min(5, last); step++) {
                    assertThat(Collections.frequency(all, step))
                            .as("%s of %s", step, given)
                            .isEqualTo(1);
                }
                assertThat(given).allSatisfy(own -> assertThat(own).isSorted());
                verify(port::read).times(3 * calls);
            }
        }
    }
}
