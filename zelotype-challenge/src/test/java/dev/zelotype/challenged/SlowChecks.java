package dev.zelotype.challenged;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.junit.WithDoubles;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** A class with a slow set-up, a test that loops if it is disturbed, and a test without checks. */
@WithDoubles
@TestMethodOrder(MethodOrderer.MethodName.class)
class SlowChecks {

    @BeforeAll
    static void set_up() throws InterruptedException {
        Thread.sleep(1_200);
    }

    /** The first test of a JVM takes longest, and would determine the time limits of the others. */
    @Test
    void a_is_safe() {
        Latch.Bolt bolt = stub(Latch.Bolt.class);
        suppose(bolt::isShut).returns(true);
        assertThat(new Latch(bolt).isSafe()).isTrue();
    }

    @Test
    void b_loops_at_a_door_that_is_shut() {
        Latch.Bolt bolt = stub(Latch.Bolt.class);
        suppose(bolt::isShut).returns(false);
        assertThat(new Latch(bolt).knock()).isTrue();
    }

    @Test
    void c_looks_at_nothing() {
        Latch.Bolt bolt = stub(Latch.Bolt.class);
        new Latch(bolt).shut();
        assertThat(bolt).isNotNull();
    }
}
