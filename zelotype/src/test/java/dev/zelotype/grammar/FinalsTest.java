package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.error.UnexpectedCall;
import dev.zelotype.observatory.Machinery.Stepper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/**
 * Final methods of doubled classes, and sealed types.
 */
class FinalsTest {

    private final Scene scene = Scene.open();

    @AfterEach
    void close() {
        scene.close();
    }

    @Test
    void final_methods_are_doubled_like_the_others() {
        Stepper stepper = stub(Stepper.class);
        suppose(stepper::serial).returns("told").callsReal();
        assertThat(stepper.serial()).isEqualTo("told");
        assertThatThrownBy(stepper::serial).as("real code on empty fields").isInstanceOf(NullPointerException.class);
        verify(stepper::serial).times(2);
        assertThat(scene.conversation().calls().get(0).file()).isEqualTo("FinalsTest.java");

        Stepper strict = mock(Stepper.class, "strict");
        assertThatThrownBy(strict::serial).isInstanceOf(UnexpectedCall.class);
        expect(strict::serial).returns("expected").once();
        assertThat(strict.serial()).isEqualTo("expected");
        assertThat(new Stepper(3).serial()).as("a real one").isEqualTo("serial 1");
        assertThatThrownBy(scene::close).hasMessageContaining("strict.serial() was not expected");
    }

    sealed interface Signal permits Flash, Horn {}

    record Flash(int seconds) implements Signal {}

    static non-sealed class Horn implements Signal {
        String sound() {
            return "long";
        }
    }

    abstract static sealed class Lamp permits Red, Green {
        abstract int hours();
    }

    static final class Red extends Lamp {
        @Override
        int hours() {
            return 1;
        }
    }

    abstract static non-sealed class Green extends Lamp {
        int spare() {
            return 2;
        }
    }

    sealed interface Code permits One, Two {}

    record One() implements Code {}

    record Two() implements Code {}

    @Test
    void a_sealed_type_is_doubled_by_an_open_class_that_it_permits() {
        Signal signal = stub(Signal.class);
        Lamp lamp = stub(Lamp.class);
        suppose(lamp::hours).returns(9);
        assertThat(signal).isInstanceOf(Horn.class);
        assertThat(lamp.hours()).isEqualTo(9);
        assertThat(scene.conversation().doubles())
                .extracting(each -> each.name())
                .containsExactly("signal", "lamp");
        assertThatThrownBy(() -> stub(Code.class))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("sealed and permits One, Two only");
    }
}
