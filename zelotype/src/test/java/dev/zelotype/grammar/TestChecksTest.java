package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyNothingElse;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.conversation.Verb;
import dev.zelotype.host.TestChecks;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The information in a journal about a test's checks: those in its code, and checks that a double had no other calls.
 */
class TestChecksTest {

    interface Weather {
        int humidity();
    }

    @Retention(RetentionPolicy.RUNTIME)
    @Target(ElementType.METHOD)
    private @interface Case {
        Class<?> expected() default Void.class;
    }

    /** Methods of tests, which are read and never run. */
    private static final class Bodies {

        private final Weather weather = stub(Weather.class);

        void by_an_assertion() {
            assertThat(weather.humidity()).isPositive();
        }

        void by_a_statement() {
            verify(weather::humidity).once();
        }

        void by_a_helper_of_its_own() {
            looksDry();
        }

        private void looksDry() {
            assertThat(weather.humidity()).isPositive();
        }

        void in_a_lambda() {
            List.of(1).forEach(each -> assertThat(weather.humidity()).isEqualTo(each));
        }

        void in_a_helper_class() {
            Sky.mustBeDry(weather);
        }

        void by_hand() {
            if (weather.humidity() > 80) {
                throw new AssertionError("wet");
            }
        }

        @Case(expected = IllegalStateException.class)
        void by_what_it_expects() {
            weather.humidity();
        }

        @Case
        void not_at_all() {
            suppose(weather::humidity).returns(40);
            Sky.observe(weather);
        }

        void not_in_a_helper_either() {
            asks();
        }

        private void asks() {
            Sky.observe(weather);
        }
    }

    private static final class Sky {

        static void mustBeDry(Weather weather) {
            assertThat(weather.humidity()).isLessThan(80);
        }

        static void observe(Weather weather) {
            weather.humidity();
        }
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "by_an_assertion, true",
        "by_a_statement, true",
        "by_a_helper_of_its_own, true",
        "in_a_lambda, true",
        "in_a_helper_class, true",
        "by_hand, true",
        "by_what_it_expects, true",
        "not_at_all, false",
        "not_in_a_helper_either, false",
        "that_is_not_there, true"
    })
    void what_a_test_checks(String method, boolean checks) {
        assertThat(TestChecks.areIn(Bodies.class, method)).isEqualTo(checks);
    }

    @Test
    void that_there_are_no_other_calls_is_told() {
        try (Scene scene = Scene.open()) {
            Weather weather = mock(Weather.class);
            verifyNothingElse(weather);
            assertThat(scene.conversation().statements()).singleElement().satisfies(said -> {
                assertThat(said.verb()).isEqualTo(Verb.NOTHING_ELSE);
                assertThat(said.receiver()).isEqualTo("weather");
                assertThat(said.signature()).isEmpty();
                assertThat(said.place()).startsWith("TestChecksTest.java:");
            });
        }
    }
}
