package dev.zelotype.engine.statement;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.inThisOrder;
import static dev.zelotype.Zelotype.spy;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.stage.ExpectedAct1;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Expectations accept a conversation if and only if its calls can be assigned to them so that order and counts are
 * right; this is compared with trying all assignments. Patterns overlap, some belong to an order, and some statements
 * are completed only after calls.
 */
class ExpectationModelTest {

    /** Run with {@code -Dzelotype.sequences=100000} for the full length. */
    private static final int SEQUENCES = Integer.getInteger("zelotype.sequences", 1500);

    interface Key {
        void press(String letter);
    }

    /** A statement: the letters that it covers, how often, and whether it is completed immediately or later. */
    private static final class Sentence {

        final String letters;
        final int min;
        final int max;
        final boolean inOrder;
        final boolean late;
        boolean finished;

        Sentence(Random random) {
            letters = List.of("a", "b", "ab", "bc", "abc").get(random.nextInt(5));
            min = random.nextInt(3);
            max = random.nextInt(4) == 0 && min > 0 ? Integer.MAX_VALUE : min + random.nextInt(2);
            inOrder = random.nextBoolean();
            late = random.nextInt(4) == 0;
            finished = !late;
        }

        boolean covers(String letter) {
            return !finished || letters.contains(letter);
        }

        int least() {
            return finished ? min : 1;
        }

        int most() {
            return finished ? max : 1;
        }

        ExpectedAct1<String> say(Key key) {
            ExpectedAct1<String> begun = expect(key::press);
            if (!late) {
                finish(begun);
            }
            return begun;
        }

        void finish(ExpectedAct1<String> begun) {
            begun.where(letters::contains).between(min, max);
            finished = true;
        }

        @Override
        public String toString() {
            return (inOrder ? "then " : "") + letters + "{" + min + "," + max + "}" + (late ? " said late" : "");
        }
    }

    /** Whether the calls from a position can be assigned, given the counts so far. */
    private static boolean fits(List<Sentence> all, List<String> calls, int from, int[] counts, boolean whole) {
        if (from == calls.size()) {
            for (int i = 0; whole && i < counts.length; i++) {
                if (counts[i] < all.get(i).least()) {
                    return false;
                }
            }
            return true;
        }
        boolean covered = false;
        for (int i = 0; i < counts.length; i++) {
            Sentence one = all.get(i);
            if (one.covers(calls.get(from))) {
                covered = true;
                if (counts[i] < one.most() && isTurnOf(all, i, counts)) {
                    counts[i]++;
                    boolean fits = fits(all, calls, from + 1, counts, whole);
                    counts[i]--;
                    if (fits) {
                        return true;
                    }
                }
            }
        }
        return !covered && fits(all, calls, from + 1, counts, whole);
    }

    private static boolean isTurnOf(List<Sentence> all, int place, int[] counts) {
        for (int i = 0; all.get(place).inOrder && i < counts.length; i++) {
            if (all.get(i).inOrder && (i < place && counts[i] < all.get(i).least() || i > place && counts[i] > 0)) {
                return false;
            }
        }
        return true;
    }

    /** Calls, and the numbers of statements that are completed at that position. */
    private static List<Object> program(Random random, List<Sentence> all) {
        List<Object> program = new ArrayList<>();
        for (int n = random.nextInt(7); n > 0; n--) {
            program.add("abc".substring(random.nextInt(3)).substring(0, 1));
        }
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).late) {
                program.add(random.nextInt(program.size() + 1), i);
            }
        }
        return program;
    }

    private static boolean model(List<Sentence> all, List<Object> program) {
        List<String> calls = new ArrayList<>();
        for (Object step : program) {
            if (step instanceof Integer late) {
                all.get(late).finished = true;
            } else {
                calls.add((String) step);
            }
            if (!fits(all, calls, 0, new int[all.size()], false)) {
                return false;
            }
        }
        return fits(all, calls, 0, new int[all.size()], true);
    }

    private static boolean zelotype(List<Sentence> all, List<Object> program) {
        try (Scene scene = Scene.open()) {
            Key key = spy(Key.class);
            Map<Sentence, ExpectedAct1<String>> said = new HashMap<>();
            if (all.stream().filter(one -> one.inOrder).count() > 1) {
                inThisOrder(() -> say(all, true, key, said));
            } else {
                say(all, true, key, said);
            }
            say(all, false, key, said);
            for (Object step : program) {
                if (step instanceof Integer late) {
                    all.get(late).finish(said.get(all.get(late)));
                } else {
                    key.press((String) step);
                }
            }
            return scene.conversationText() != null;
        } catch (CheckFailure refused) {
            return false;
        }
    }

    private static void say(List<Sentence> all, boolean inOrder, Key key, Map<Sentence, ExpectedAct1<String>> said) {
        for (Sentence each : all) {
            if (each.inOrder == inOrder) {
                said.put(each, each.say(key));
            }
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2})
    void expectations_hold_exactly_if_calls_can_be_given_out(int seed) {
        Random random = new Random(seed);
        TreeSet<Boolean> outcomes = new TreeSet<>();
        for (int i = 0; i < SEQUENCES; i++) {
            List<Sentence> all = new ArrayList<>();
            for (int n = 2 + random.nextInt(3); n > 0; n--) {
                Sentence next = new Sentence(random);
                if (next.min + Math.min(next.max, 1) > 0) {
                    all.add(next);
                }
            }
            List<Object> program = program(random, all);
            boolean wanted = model(all, program);
            all.forEach(one -> one.finished = !one.late);
            assertThat(zelotype(all, program)).as("%s of %s", program, all).isEqualTo(wanted);
            outcomes.add(wanted);
        }
        assertThat(outcomes).containsExactly(false, true);
    }
}
