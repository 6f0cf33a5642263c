package dev.zelotype.engine.statement;

import static dev.zelotype.Zelotype.inThisOrder;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import dev.zelotype.Scene;
import dev.zelotype.error.CheckFailure;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.regex.Pattern;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;

/**
 * An order accepts calls as a regular expression accepts letters. This is tested with random orders and random calls.
 */
class OrderTest {

    private static final int CASES = 200;

    interface Key {
        void press(String letter);
    }

    private record Wanted(String letter, int min, int max) {

        String expression() {
            return letter + "{" + min + "," + (max == Integer.MAX_VALUE ? "" : max) + "}";
        }

        void verifyOn(Key key) {
            verify(key::press).with(letter).between(min, max);
        }
    }

    @RepeatedTest(5)
    void an_order_holds_for_just_the_calls_that_it_reads(RepetitionInfo seed) {
        Random random = new Random(seed.getCurrentRepetition());
        int held = 0;
        for (int i = 0; i < CASES; i++) {
            List<Wanted> wanted = new ArrayList<>();
            StringBuilder expression = new StringBuilder();
            StringBuilder spoken = new StringBuilder();
            for (int n = 2 + random.nextInt(3); n > 0; n--) {
                int min = random.nextInt(2);
                Wanted next = new Wanted(
                        "abc".substring(random.nextInt(3)).substring(0, 1), min, min + 1 + random.nextInt(2));
                wanted.add(next);
                expression.append(next.expression());
                spoken.append(next.letter());
            }
            String calls = random.ints(random.nextInt(6), 0, 3)
                    .mapToObj(letter -> "abc".substring(letter, letter + 1))
                    .reduce("", String::concat);
            String heard = calls.replaceAll("[^" + spoken + "]", "");
            boolean expected = Pattern.matches(expression.toString(), heard);
            held += expected ? 1 : 0;
            try (Scene scene = Scene.open()) {
                Key key = spy(Key.class);
                calls.chars().forEach(letter -> key.press(Character.toString(letter)));
                Throwable failure = catchThrowable(() -> inThisOrder(() -> wanted.forEach(each -> each.verifyOn(key))));
                assertThat(failure == null)
                        .as(expression + " over " + calls + " of "
                                + scene.conversation().calls().size())
                        .isEqualTo(expected);
                assertThat(failure == null || failure instanceof CheckFailure).isTrue();
            }
        }
        assertThat(held).as("some of either sort").isBetween(10, CASES - 10);
    }
}
