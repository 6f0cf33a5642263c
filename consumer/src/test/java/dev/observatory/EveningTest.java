package dev.observatory;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.doubles.Kind.MOCK;
import static dev.zelotype.doubles.Kind.STUB;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.util.List;
import org.junit.jupiter.api.Test;

@WithDoubles
class EveningTest {

    @StandIn(STUB)
    WeatherStation weather;

    @StandIn(MOCK)
    Dome dome;

    @UnderTest
    Evening evening;

    @Test
    void a_dry_evening_opens_the_dome_at_the_time_of_the_clock() {
        suppose(weather::humidity).returns(40);
        suppose(Clock::now).returns(4711L);
        expect(dome::open).once();

        assertEquals(4711, evening.begin());
    }

    @Test
    void without_anything_said_of_it_the_clock_is_real() {
        suppose(weather::humidity).returns(40);
        suppose(dome::open).doesNothing();

        assertTrue(evening.begin() != 4711);
    }

    @Test
    void a_humid_evening_leaves_the_dome_alone() {
        suppose(weather::humidity).returns(95);

        assertEquals(0, evening.begin());
    }

    @Test
    void what_zelotype_is_made_of_is_not_on_the_path() {
        for (String name : List.of("org.objectweb.asm.ClassWriter", "com.fasterxml.jackson.core.JsonFactory")) {
            assertThrows(ClassNotFoundException.class, () -> Class.forName(name));
        }
    }
}
