package dev.zelotype.examples.observatory;

import static dev.zelotype.Zelotype.fake;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.junit.WithDoubles;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Doubles of classes: partial doubles, a spy in place, a spy on a fake, and a fake of an interface that gets new
 * methods.
 */
@WithDoubles
class ExposurePlanTest {

    private final SkyTarget harrow = new SkyTarget("Harrow-2", 45);

    @Test
    void a_partial_double_runs_one_real_method_over_replaced_ones() {
        ExposurePlan plan = stub(ExposurePlan.class);
        suppose(plan::timeFor).callsReal();
        suppose(plan::baseSeconds).returns(60);
        suppose(plan::clearness).returns(0.5);

        assertThat(plan.timeFor(harrow)).isEqualTo(Duration.ofSeconds(30));
    }

    @Test
    void a_spy_replaces_what_a_real_object_asks_of_itself() {
        ExposurePlan plan = spy(new ExposurePlan());
        suppose(plan::baseSeconds).returns(60);

        assertThat(plan.timeFor(harrow)).isEqualTo(Duration.ofSeconds(30));
        assertThat(plan.used()).isEqualTo(1);
        verify(plan::clearness).with(harrow).once();
    }

    /** Implements what the tests need; new methods of the log do not break it. */
    abstract static class ListLog implements NightLog {
        final List<String> lines = new ArrayList<>();

        @Override
        public LogEntry append(LogEntry entry) {
            lines.add(entry.text());
            return entry.numbered(lines.size());
        }
    }

    /** The log with a new method; {@link ListLog} was not edited. */
    interface GrownLog extends NightLog {
        void flush();
    }

    abstract static class GrownListLog extends ListLog implements GrownLog {}

    @Test
    void a_fake_grows_with_its_interface_and_can_be_spied_on() {
        GrownListLog log = fake(GrownListLog.class);
        NightLog spied = spy((NightLog) log, "spied log");

        assertThat(spied.append(LogEntry.of("rain")).number()).isEqualTo(1);

        assertThat(log.lines).containsExactly("rain");
        verify(spied::append).with(LogEntry.of("rain")).once();
    }
}
