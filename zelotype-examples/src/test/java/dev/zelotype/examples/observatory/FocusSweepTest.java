package dev.zelotype.examples.observatory;

import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static java.time.Duration.ofSeconds;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.junit.WithDoubles;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What cannot be injected: a static clock, and a link that the subject builds itself. */
@WithDoubles
class FocusSweepTest {

    @Test
    void the_sharpest_step_is_found_at_the_time_of_the_clock() {
        suppose(SiderealClock::now).returns(4711L);
        suppose((String port) -> new SerialLink(port));
        suppose(SerialLink::send)
                .where((link, command) -> command.equals("FOCUS 2"))
                .returns(90);

        assertThat(new FocusSweep().sharpest(4)).isEqualTo("step 2 at 4711");

        assertThat(recorded((String port) -> new SerialLink(port))).containsExactly("COM3");
        verify(SerialLink::send).times(4);
    }

    @Test
    void the_link_can_be_a_double_of_the_test() {
        SerialLink link = stub(SerialLink.class);
        suppose(link::send).returns(10, 30, 20);
        suppose((String port) -> new SerialLink(port)).returns(link);
        suppose(SiderealClock::now).returns(1L);

        assertThat(new FocusSweep().sharpest(3)).isEqualTo("step 1 at 1");

        assertThat(recorded(link::send)).containsExactly("FOCUS 0", "FOCUS 1", "FOCUS 2");
    }

    /** Creates its collaborators itself. */
    static final class Night {
        String first(SkyTarget target) {
            return new ExposurePlan().timeFor(target).toSeconds() + " s, " + new Random().nextInt(100);
        }
    }

    @Test
    void ordinary_classes_and_those_of_the_jdk_are_given_by_the_test() {
        ExposurePlan plan = stub(ExposurePlan.class);
        suppose(plan::timeFor).returns(ofSeconds(90));
        suppose(() -> new ExposurePlan()).returns(plan);
        suppose(() -> new Random()).returns(new Random(42));

        assertThat(new Night().first(new SkyTarget("Harrow-2", 47))).isEqualTo("90 s, " + new Random(42).nextInt(100));
    }
}
