package dev.zelotype.challenged;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import org.junit.jupiter.api.Test;

/** Has few statements of its own: the others are inherited from a class that is not named like a test. */
@WithDoubles
class InheritedChecks extends HandedDown {

    @UnderTest
    Latch latch;

    @Test
    void a_shut_door() {
        assertThat(latch.isSafe()).isTrue();
        askedOnceMore();
    }
}
