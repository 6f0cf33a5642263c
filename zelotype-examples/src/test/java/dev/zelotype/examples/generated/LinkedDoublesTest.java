package dev.zelotype.examples.generated;

import static dev.zelotype.Zelotype.*;
import static dev.zelotype.doubles.Kind.*;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.WithDoubles;
import org.junit.jupiter.api.Test;

/** The build has written the class of doubles of {@link Dome}, so no class is generated while the tests run. */
@WithDoubles
class LinkedDoublesTest {

    @Test
    void a_linked_class_serves_every_kind(@StandIn(MOCK) Dome told, @StandIn(SPY) Dome heard) {
        expect(told::open).once();

        told.open();
        heard.close();

        verify(heard::close).once();
        assertThat(told.getClass()).isSameAs(heard.getClass());
        assertThat(told.getClass().getName()).isEqualTo(Dome.class.getName() + "$ZelotypeDouble");
    }
}
