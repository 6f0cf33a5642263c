package dev.zelotype.examples.guide;

import static dev.zelotype.Zelotype.describe;
import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.forgetCalls;
import static dev.zelotype.Zelotype.inThisOrder;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyNothingElse;
import static dev.zelotype.Zelotype.verifyUntouched;
import static java.time.Duration.ofSeconds;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.Zelotype;
import dev.zelotype.doubles.Kind;
import dev.zelotype.error.UnexpectedCall;
import dev.zelotype.examples.observatory.Camera;
import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.examples.observatory.Mount;
import dev.zelotype.examples.observatory.NightLog;
import dev.zelotype.examples.observatory.SkyTarget;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.WithDoubles;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;

/** The code of the guide's pages on expectations and checks. */
@WithDoubles
class ChecksTest {

    private final SkyTarget harrow = new SkyTarget("Harrow-2", 47);
    private final SkyTarget quill = new SkyTarget("Quill-9", 61);

    @StandIn(Kind.MOCK)
    Dome dome;

    @StandIn(Kind.SPY)
    Mount mount;

    @StandIn(Kind.SPY)
    NightLog log;

    @StandIn
    Camera camera;

    @Test
    void said_beforehand() {
        expect(dome::open).once();
        expect((SkyTarget t) -> mount.slewTo(t))
                .where("above the horizon", t -> t.altitude() > 0)
                .times(2);
        expect(mount::rate).returns(15).atLeast(1);
        suppose(dome::close).doesNothing();

        dome.open();
        mount.slewTo(harrow);
        mount.slewTo(quill);
        assertThat(mount.rate()).isEqualTo(15);
        dome.close();
    }

    @Test
    void anything_else_fails_at_the_call() {
        Scene scene = Scene.open();
        Dome strict = Zelotype.mock(Dome.class, "strict");

        assertThatThrownBy(strict::open)
                .isInstanceOf(UnexpectedCall.class)
                .hasMessageContaining("strict.open() was not expected.")
                .hasMessageContaining("expect(strict::open).once();");
        assertThatThrownBy(scene::close).hasMessageContaining("strict.open() was not expected.");
    }

    @Test
    void in_this_order() {
        inThisOrder(() -> {
            expect(dome::open).once();
            expect(mount::park).once();
            expect(dome::close).once();
        });

        dome.open();
        mount.park();
        dome.close();
    }

    @Test
    void asked_afterwards() {
        mount.slewTo(harrow);
        mount.track(harrow, 3);
        log.note("rain");

        verify(mount::slewTo).once();
        verify(() -> mount.slewTo(quill)).never();
        verify(mount::track).where((target, rate) -> rate > 2).atLeast(1);
        verify(() -> log.note("rain")).between(1, 2);
        verifyNothingElse(mount, log);
        verifyUntouched(camera);
    }

    @Test
    void the_arguments_themselves() {
        mount.track(harrow, 3);
        mount.track(quill, 1);

        assertThat(recorded(mount::track).firsts()).containsExactly(harrow, quill);
        assertThat(recorded(mount::track).map((target, rate) -> target.name() + " " + rate))
                .containsExactly("Harrow-2 3", "Quill-9 1");
        List<Integer> ratesOfQuill = recorded((Integer rate) -> mount.track(quill, rate));
        int only = recorded((Integer rate) -> mount.track(quill, rate)).single();
        assertThat(only).isEqualTo(1);
        assertThat(ratesOfQuill).containsExactly(1);
    }

    @Test
    void on_other_threads() {
        CompletableFuture.runAsync(mount::park);

        verify(mount::park).within(ofSeconds(20)).once();
    }

    @Test
    void several_acts_in_one_test() {
        mount.park();
        forgetCalls(mount);
        mount.rate();

        verify(mount::park).never();
        assertThat(describe(mount)).startsWith("mount is a spy of Mount.");
    }
}
