package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.dummy;
import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.fake;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.error.UnexpectedCall;
import dev.zelotype.observatory.Machinery.Drive;
import dev.zelotype.observatory.Machinery.Stepper;
import java.util.List;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/**
 * Doubles of abstract and concrete classes, partial doubles and fakes.
 */
class ClassDoublesTest {

    private final Scene scene = Scene.open();

    @AfterEach
    void close() {
        scene.close();
    }

    @Test
    void no_constructor_runs_and_hidden_methods_are_doubled_too() {
        Drive<Integer> drive = stub(Drive.class);
        suppose(drive::next).returns(3);
        suppose(drive::move).answers(to -> to + 1);

        assertThat(drive.next()).isEqualTo(3);
        assertThat(drive.move(4)).isEqualTo(5);
        assertThat(drive.describe()).isEmpty();
        assertThat(drive).hasToString("drive");
        assertThat(Drive.internalOf(drive)).as("a package-private method").isZero();
        Drive.settle(drive, 7);
        assertThat(scene.conversation().calls())
                .last()
                .satisfies(call -> assertThat(call.method()).isEqualTo("settle"));
    }

    @Test
    void bridges_do_not_double_a_call() {
        Stepper stepper = spy(Stepper.class);
        Drive<Integer> same = stepper;
        Supplier<Integer> supplier = stepper;
        suppose(stepper::move).answers(to -> to + 1);
        suppose(stepper::get).returns(9);

        assertThat(same.move(4)).isEqualTo(5);
        assertThat(supplier.get()).isEqualTo(9);
        assertThat(recorded(stepper::move)).containsExactly(4);
        verify(same::move).once();
        verify(supplier::get).once();
        assertThat(scene.conversation().calls()).hasSize(2);
    }

    @Test
    void overloads_that_a_class_only_makes_public_stay_apart() {
        Chart chart = stub(Chart.class);
        UnaryOperator<String> upper = String::toUpperCase;
        suppose((Object any) -> chart.map(any)).returns("an object");
        suppose((UnaryOperator<String> any) -> chart.map(any)).returns("an operator");

        assertThat(chart.map("north")).isEqualTo("an object");
        assertThat(chart.map(upper)).isEqualTo("an operator");
        verify(() -> chart.map("north")).once();
        verify(() -> chart.map(upper)).once();
        assertThat(scene.conversation().calls()).hasSize(2);
    }

    abstract static class Sheet<T> {
        public String map(Object value) {
            return "" + value;
        }

        public String map(UnaryOperator<T> by) {
            return "" + by;
        }
    }

    /** The compiler adds a bridge for each of the two methods, so that callers do not need access to {@link Sheet}. */
    public static class Chart extends Sheet<String> {}

    @Test
    void kinds_hold_for_classes() {
        Stepper strict = mock(Stepper.class);
        Stepper idle = dummy(Stepper.class);
        expect(strict::next).returns(1).once();

        assertThat(strict.next()).isEqualTo(1);
        assertThatThrownBy(idle::next).isInstanceOf(UnexpectedCall.class).hasMessageContaining("is a dummy");
        assertThatThrownBy(() -> strict.move(2))
                .isInstanceOf(UnexpectedCall.class)
                .hasMessageContaining("stepper.move(2) was not expected");
        assertThatThrownBy(scene::close).hasMessageContaining("2 problems");
    }

    @Test
    void a_partial_double_calls_real_code_that_calls_replaced_methods() {
        Stepper stepper = stub(Stepper.class);
        suppose(stepper::get).callsReal();
        suppose(stepper::next).returns(7, 8);

        assertThat(List.of(stepper.get(), stepper.get())).containsExactly(7, 8);
        verify(stepper::next).times(2);
    }

    @Test
    void a_spy_on_a_real_object_replaces_what_it_asks_of_itself() {
        Stepper real = new Stepper(2);
        Stepper stepper = spy(real);
        suppose((Integer any) -> real.move(any)).callsReal();
        assertThat(stepper).isSameAs(real);
        assertThatThrownBy(() -> stepper.move(3)).hasMessage("motor is off");
        suppose(stepper::next).returns(70);
        assertThat(stepper.get()).isEqualTo(70);
        verify(stepper::next).once();
        assertThat(scene.conversation().calls())
                .extracting(call -> call.method())
                .contains("settle", "next", "get", "move");
    }

    abstract static class SlowDrive extends Drive<Integer> {
        private int settled;

        SlowDrive(int first, String name) {
            super(first);
            assertThat(name).isEqualTo("slow");
        }

        SlowDrive(Integer first) {
            super(first);
        }

        @Override
        protected void settle(int millis) {
            settled += millis;
        }

        int settled() {
            return settled;
        }
    }

    @Test
    void a_fake_runs_its_constructor_and_its_own_code_and_names_what_it_lacks() {
        SlowDrive drive = fake(SlowDrive.class, 1, "slow");

        assertThat(drive.move(5)).isEqualTo(5);
        assertThat(drive.settled()).isEqualTo(1);
        assertThat(drive.serial()).isEqualTo("serial 2");
        verify(drive::move).with(5).once();
        assertThatThrownBy(drive::next)
                .isInstanceOf(UnexpectedCall.class)
                .hasMessageContaining("slowDrive.next() is not implemented by the fake SlowDrive")
                .hasMessageContaining("@Override public ");
        suppose(drive::next).returns(4);
        assertThat(drive.next()).isEqualTo(4);
        assertThat(spy(drive)).as("a double records already").isSameAs(drive);
        assertThatThrownBy(() -> fake(SlowDrive.class, (Object) null))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("threw java.lang.IllegalArgumentException: no first move");
        assertThatThrownBy(() -> fake(SlowDrive.class, "x"))
                .hasMessageContaining("No constructor of SlowDrive takes (String)")
                .hasMessageContaining("give the arguments of SlowDrive(Integer) or SlowDrive(int, String)");
        assertThatThrownBy(scene::close).hasMessageContaining("is not implemented by the fake SlowDrive");
    }

    @Test
    void chains_of_classes_and_inner_classes() {
        Stepper stepper = stub(Stepper.class);
        suppose(() -> stepper.gear().teeth()).returns(12);
        assertThat(stepper.gear().teeth()).isEqualTo(12);
        Stepper.Gear gear = stub(Stepper.Gear.class);
        assertThat(gear.teeth()).isZero();
    }

    @Test
    void a_method_that_no_double_answers_is_refused_before_it_misleads() {
        Thread thread = stub(Thread.class);
        assertThatThrownBy(() -> suppose(thread::isAlive).returns(true))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("thread.isAlive is final, private or hidden")
                .hasMessageContaining("spy on a real object in place");
        assertThatThrownBy(() -> verify(() -> thread.isAlive()).once()).isInstanceOf(MisuseException.class);
        Stepper real = spy(new Stepper(2), "real");
        suppose(real::serial).returns("replaced");
        assertThat(real.serial()).isEqualTo("replaced");
    }

    @Test
    void jdk_classes() {
        java.io.InputStream in = stub(java.io.InputStream.class);
        java.util.Random random = stub(java.util.Random.class);
        Thread thread = stub(Thread.class);
        suppose(() -> random.nextInt()).returns(4);

        assertThat(random.nextInt()).isEqualTo(4);
        assertThat(thread.toString()).isEqualTo("thread");
        assertThat(in).hasToString("inputStream");
    }
}
