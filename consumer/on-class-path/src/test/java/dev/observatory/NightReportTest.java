package dev.observatory;

import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.zelotype.junit.Provided;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.time.Instant;
import java.util.function.LongSupplier;
import org.junit.jupiter.api.RepeatedTest;

/** What is provided is found by the name of the constructor's parameter, also once the subject's class is woven. */
@WithDoubles
class NightReportTest {

    @Provided
    LongSupplier clock = () -> 3;

    @Provided
    String site = "north";

    @UnderTest
    NightReport report;

    @RepeatedTest(3)
    void provided_values_a_replaced_constructor_and_replaced_statics_meet() {
        suppose(Clock::now).returns(4L);
        suppose(() -> Instant.now()).returns(Instant.ofEpochSecond(5));
        suppose((String port) -> new Link(port));
        suppose(Link::answer).returns("sharp");

        assertEquals("north/3/4/5/sharp", report.line());

        verify((String port) -> new Link(port)).with("COM3").once();
    }
}
