package dev.zelotype.challenged;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;

import dev.zelotype.doubles.Kind;
import dev.zelotype.junit.StandIn;
import org.junit.jupiter.api.BeforeEach;

/** Inherited by tests: a set-up that calls a double, and checks. */
abstract class HandedDown {

    @StandIn(Kind.STUB)
    Latch.Bolt bolt;

    @BeforeEach
    void tried_once() {
        suppose(bolt::isShut).returns(true);
        bolt.isShut();
    }

    final void askedOnceMore() {
        verify(bolt::isShut).times(2);
    }
}
