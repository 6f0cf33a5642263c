package dev.zelotype.examples.guide;

import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static java.time.Duration.ofSeconds;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.examples.observatory.NightLog;
import dev.zelotype.examples.observatory.SiderealClock;
import dev.zelotype.examples.observatory.SkyTarget;
import dev.zelotype.examples.observatory.TargetCatalog;
import dev.zelotype.junit.WithDoubles;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** The code of the guide's pages on threads and on null. */
@WithDoubles
class ThreadsAndNullTest {

    /** Its threads were started before any scene was open. */
    private static final ExecutorService POOL = Executors.newFixedThreadPool(2);

    @AfterAll
    static void end() {
        POOL.shutdownNow();
    }

    @Test
    void a_double_works_from_every_thread() {
        Dome dome = spy(Dome.class);

        POOL.submit(dome::open);

        verify(dome::open).within(ofSeconds(2)).once();
    }

    @Test
    void a_replacement_reaches_work_that_is_handed_to_a_pool() throws Exception {
        suppose(SiderealClock::now).returns(7200L);

        assertThat(POOL.submit(SiderealClock::now).get()).isEqualTo(7200L);
    }

    @Test
    void null_is_a_value_like_any_other() {
        TargetCatalog catalog = stub(TargetCatalog.class);
        SkyTarget harrow = new SkyTarget("Harrow-2", 47);
        suppose(catalog::find).returns(Optional.of(harrow));
        suppose(() -> catalog.find(null)).returns(Optional.empty());

        assertThat(catalog.find(null)).isEmpty();
        assertThat(catalog.find("Harrow-2")).contains(harrow);
    }

    @Test
    void a_free_parameter_stands_for_null_as_well() {
        NightLog log = spy(NightLog.class);

        log.note(null);

        verify(log::note).once();
        verify(log::note).where("nothing", text -> text == null).once();
    }
}
