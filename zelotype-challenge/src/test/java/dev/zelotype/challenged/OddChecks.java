package dev.zelotype.challenged;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import dev.zelotype.junit.WithDoubles;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** Tests that cannot be challenged, or only partly. */
@WithDoubles
class OddChecks {

    private final Watch.Weather weather = stub(Watch.Weather.class);

    private static int runs;

    private int asked() {
        return new Asker().dry(weather, () -> {});
    }

    @Test
    void fails_as_it_is() {
        suppose(weather::humidity).returns(40);
        assertThat(asked()).isEqualTo(41);
    }

    @Test
    void passes_the_first_time() {
        suppose(weather::humidity).returns(++runs);
        assertThat(asked()).isEqualTo(1);
    }

    @Test
    void is_aborted() {
        suppose(weather::humidity).returns(40);
        assumeThat(asked()).isEqualTo(41);
    }

    @Test
    void has_no_double() {
        assertThat("dry").isNotBlank();
    }

    @Nested
    class WithoutSetUp {

        @BeforeAll
        static void fails() {
            throw new IllegalStateException("no dome is free");
        }

        @Test
        void is_never_begun() {
            suppose(weather::humidity).returns(40);
            assertThat(asked()).isEqualTo(40);
        }
    }

    @Test
    void asks_itself() {
        suppose(weather::humidity).returns(40);
        assertThat(weather.humidity()).isEqualTo(40);
    }
}
