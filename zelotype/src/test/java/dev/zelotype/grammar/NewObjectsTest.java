package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.observatory.Hardware.Port;
import dev.zelotype.observatory.Hardware.Reading;
import dev.zelotype.observatory.Hardware.SerialLink;
import java.io.File;
import java.util.ArrayList;
import java.util.Date;
import java.util.List;
import java.util.Random;
import java.util.function.Function;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/**
 * Objects that the subject creates itself: of ordinary, final, inner and JDK classes, without a constructor call or
 * supplied by the test.
 */
class NewObjectsTest {

    private final Scene scene = Scene.open();

    @AfterEach
    void close() {
        scene.close();
    }

    abstract static class Afloat {
        abstract int depth();

        int twice() {
            return 2 * depth();
        }
    }

    static class Buoy extends Afloat {
        private final List<String> sent = new ArrayList<>();
        private final int number;

        Buoy(int number) {
            if (number < 0) {
                throw new IllegalArgumentException("no such buoy");
            }
            this.number = number;
        }

        String send(String text) {
            sent.add(text);
            return text + " from " + number;
        }

        @Override
        int depth() {
            return sent.size();
        }
    }

    static class LoudBuoy extends Buoy {
        LoudBuoy(int number) {
            super(number);
        }
    }

    static class Broken extends Buoy {
        Broken() {
            super(-1);
        }
    }

    class Inner {
        private final String name;

        private Inner(String name) {
            this.name = name.trim();
        }

        String name() {
            return name;
        }
    }

    private record Pair(int left, int right) {
        int sum() {
            return left + right;
        }
    }

    /** The code of a subject. */
    private static final class Harbour {
        String ask(int number) {
            return new Buoy(number).send("hello");
        }

        int twice(int number) {
            return new Buoy(number).twice();
        }

        String loud(int number) {
            return new LoudBuoy(number).send("hello");
        }

        List<Object> jdk() {
            List<Object> made = new ArrayList<>();
            made.add(new Random().nextInt(100));
            made.add(new Date().getTime());
            made.add(new File("harbour").exists());
            return made;
        }

        Buoy byReference(int number) {
            Function<Integer, Buoy> maker = Buoy::new;
            return maker.apply(number);
        }
    }

    private final Harbour harbour = new Harbour();

    @Test
    void an_ordinary_class_is_given_by_a_double_or_a_real_object() {
        Buoy buoy = stub(Buoy.class);
        suppose(buoy::send).returns("told");
        Buoy real = new Buoy(7);
        suppose((Integer n) -> new Buoy(n)).returns(buoy).returns(real);

        assertThat(harbour.ask(1)).isEqualTo("told");
        assertThat(harbour.ask(2)).isEqualTo("hello from 7");
        assertThat(harbour.byReference(3)).isSameAs(real);
        assertThat(recorded((Integer n) -> new Buoy(n))).containsExactly(1, 2, 3);
        verify(buoy::send).once();
    }

    @Test
    void a_bare_object_behaves_as_told_in_all_its_methods() {
        suppose((Integer n) -> new Buoy(n));
        suppose((Buoy any, String text) -> any.send(text)).returns("told");
        suppose(Buoy::twice).returns(8);

        assertThat(harbour.ask(-3)).as("no constructor ran").isEqualTo("told");
        assertThat(harbour.twice(1)).isEqualTo(8);
        verify(Buoy::send).once();
        assertThat(((Buoy) new LoudBuoy(1)).sent)
                .as("a subclass is another class")
                .isEmpty();
    }

    @Test
    void inherited_methods_are_named_by_the_class_below() {
        suppose((Integer n) -> new LoudBuoy(n));
        suppose(LoudBuoy::send).answers((buoy, text) -> text + "!");
        assertThat(harbour.loud(4)).isEqualTo("hello!");
        assertThat(harbour.ask(5)).as("not a loud one").isEqualTo("hello from 5");
        suppose(Port::name).returns("any port");
        assertThat(List.of(new Port("a").name(), new SerialLink("b").name())).containsOnly("any port");
    }

    @Test
    void inner_private_and_record_classes() {
        suppose((String name) -> new Inner(name))
                .returns(stub(Inner.class, inner -> suppose(inner::name).returns("told")));
        suppose((Integer left, Integer right) -> new Pair(left, right));
        suppose(Pair::sum).returns(9);
        suppose((Integer value) -> new Reading(value)).returns(stub(Reading.class));
        assertThat(madeInner().name()).isEqualTo("told");
        assertThat(madePair().sum()).isEqualTo(9);
    }

    private Inner madeInner() {
        return new Inner(" x ");
    }

    private static Pair madePair() {
        return new Pair(1, 2);
    }

    @Test
    void a_constructor_that_fails_poisons_nothing() {
        assertThatThrownBy(() -> suppose((Integer n) -> new Buoy(n + 1))).isInstanceOf(MisuseException.class);
        suppose((Integer n) -> new Buoy(n)).callsReal();
        assertThatThrownBy(Broken::new).hasMessage("no such buoy");
        assertThatThrownBy(() -> harbour.ask(-1)).hasMessage("no such buoy");
        assertThat(harbour.ask(6)).isEqualTo("hello from 6");
        suppose((Integer n) -> new Buoy(n)).around((real, n) -> real.ask(n + 10));
        assertThat(harbour.ask(6)).isEqualTo("hello from 16");
        assertThat(new SerialLink("tty").name()).isEqualTo("TTY");
    }

    @Test
    void classes_of_the_jdk_behave_as_told_throughout() {
        Random told = stub(Random.class);
        int never = -7; // a real Random never returns that here
        suppose((Integer most) -> told.nextInt(most)).returns(never);
        suppose(() -> new Random()).returns(told);
        suppose(() -> new Date());
        suppose((String path) -> new File(path))
                .returns(stub(File.class, file -> suppose(file::exists).returns(true)));
        assertThat(harbour.jdk()).containsExactly(never, 0L, true);
        assertThatThrownBy(() -> suppose((String text) -> new Parsed(text)).returns((Parsed) null))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("is null, but a constructor cannot return null");
        scene.close();
        assertThat(harbour.jdk()).as("put back").doesNotContain(never);
    }

    static final class Parsed {
        Parsed(String text) {}
    }

    static final class Beacon {
        boolean equals(Beacon other) {
            return false;
        }

        boolean isNear(Beacon other) {
            return equals(other);
        }
    }

    @Test
    void an_overload_of_equals_is_a_method_like_any_other() {
        Beacon known = new Beacon();
        suppose((Beacon any) -> any.equals(known)).returns(true);
        assertThat(new Beacon().isNear(known)).isTrue();
        assertThat(known.equals((Object) known)).as("not told").isTrue();
        verify((Beacon any) -> any.equals(known)).once();
    }
}
