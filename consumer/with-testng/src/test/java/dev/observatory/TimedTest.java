package dev.observatory;

import static dev.zelotype.Zelotype.suppose;
import static org.testng.Assert.assertEquals;

import dev.zelotype.hosts.SceneListener;
import org.testng.annotations.Listeners;
import org.testng.annotations.Test;

/** Replaces the very clock that TestNG itself reads while it runs the tests. */
@Listeners(SceneListener.class)
public class TimedTest {

    @Test(invocationCount = 3)
    public void the_clock_is_replaced_for_the_subject() {
        suppose(System::nanoTime).returns(7L);
        suppose(System::currentTimeMillis).returns(8L);

        assertEquals(Clock.now(), 7);
        assertEquals(Clock.millis(), 8);
    }

    @Test
    public void a_test_that_replaces_nothing_sees_the_real_one() {
        assertEquals(Clock.millis() > 1_000_000, true);
    }
}
