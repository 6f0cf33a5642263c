package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.spy;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import dev.zelotype.Scene;
import dev.zelotype.call.Args2;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.SkyTarget;
import dev.zelotype.stage.Recorded;
import dev.zelotype.stage.Recorded2;
import java.util.Collection;
import java.util.List;
import java.util.RandomAccess;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The arguments of recorded calls can be used in the obvious ways: each use compiles, and does what it says.
 */
class RecordedTest {

    private final Scene scene = Scene.open();
    private final Mount mount = spy(Mount.class);
    private final SkyTarget harrow = new SkyTarget("Harrow-2", 47);
    private final SkyTarget quill = new SkyTarget("Quill-9", 61);

    @AfterEach
    void close() {
        scene.close();
    }

    private void calls(int number) {
        for (int i = 0; i < number; i++) {
            mount.slewTo(i % 2 == 0 ? harrow : quill);
            mount.track(i % 2 == 0 ? harrow : quill, 10 + i);
        }
    }

    @Test
    void arguments_are_a_list_and_are_mapped_without_naming_their_type() {
        calls(2);
        List<SkyTarget> typed = recorded(mount::slewTo);
        Collection<? extends SkyTarget> wide = recorded(mount::slewTo);
        Recorded<SkyTarget> all = recorded(mount::slewTo);

        assertThat(typed).isEqualTo(List.of(harrow, quill)).hasSameHashCodeAs(List.of(harrow, quill));
        assertThat(List.of(harrow, quill)).isEqualTo(typed);
        assertThat(wide).hasSize(2);
        assertThat(all).containsExactly(harrow, quill).isInstanceOf(RandomAccess.class);
        assertThat(all.list()).extracting(SkyTarget::name).containsExactly("Harrow-2", "Quill-9");
        assertThat(recorded(mount::slewTo)).hasSize(2).contains(quill).first().isEqualTo(harrow);
        assertThat(recorded(mount::slewTo).map(SkyTarget::name)).containsExactly("Harrow-2", "Quill-9");
        assertThat(recorded(mount::slewTo).map(target -> target.altitude() / 2)).containsExactly(23, 30);
        assertThat(recorded(mount::slewTo).stream().map(SkyTarget::name)).containsExactly("Harrow-2", "Quill-9");
        assertThat(recorded(mount::slewTo).get(1).name()).isEqualTo("Quill-9");
        assertThat(recorded((SkyTarget target) -> mount.slewTo(target)).last()).isEqualTo(quill);
        for (SkyTarget each : recorded(mount::slewTo)) {
            assertThat(each.name()).isNotBlank();
        }
    }

    @Test
    void several_arguments_are_rows_and_columns() {
        calls(2);
        List<Args2<SkyTarget, Integer>> rows = recorded(mount::track);
        Recorded2<SkyTarget, Integer> all = recorded(mount::track);

        assertThat(rows).containsExactly(new Args2<>(harrow, 10), new Args2<>(quill, 11));
        assertThat(all.firsts()).containsExactly(harrow, quill);
        assertThat(all.seconds()).containsExactly(10, 11);
        assertThat(all.map((target, rate) -> target.name() + " at " + rate))
                .containsExactly("Harrow-2 at 10", "Quill-9 at 11");
        assertThat(recorded(mount::track).map((target, rate) -> rate * 2)).containsExactly(20, 22);
        assertThat(recorded(mount::track).list())
                .extracting(row -> row.first().name(), Args2::second)
                .containsExactly(tuple("Harrow-2", 10), tuple("Quill-9", 11));
        assertThat(recorded(mount::track).first().second()).isEqualTo(10);
        assertThat(recorded((Integer rate) -> mount.track(quill, rate)).single())
                .isEqualTo(11);
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3})
    void what_is_not_there_fails_as_a_check_does(int number) {
        calls(number);
        String calls = number == 0 ? "there was none" : "there were " + number;

        whether(number == 1, "exactly 1 call of mount.slewTo(any SkyTarget)", calls, recorded(mount::slewTo)::single);
        whether(number >= 1, "at least 1 call of mount.slewTo(any SkyTarget)", calls, recorded(mount::slewTo)::first);
        whether(number >= 1, "at least 1 call of mount.slewTo(any SkyTarget)", calls, recorded(mount::slewTo)::last);
        whether(
                number == 1,
                "exactly 1 call of mount.track(any SkyTarget, any int)",
                calls,
                () -> recorded(mount::track).single());
    }

    private static void whether(boolean holds, String wanted, String calls, Supplier<?> argument) {
        if (holds) {
            assertThat(argument.get()).isNotNull();
        } else {
            assertThatThrownBy(argument::get)
                    .isInstanceOf(CheckFailure.class)
                    .hasMessageStartingWith("Expected " + wanted + ", but " + calls + ".")
                    .hasMessageContaining("Conversation");
        }
    }

    @Test
    void what_was_recorded_stays_as_it_was() {
        calls(1);
        Recorded<SkyTarget> before = recorded(mount::slewTo);
        calls(1);

        assertThat(before).hasSize(1);
        assertThat(before.single()).isEqualTo(harrow);
        for (List<?> each :
                Stream.of(before, before.list(), before.map(SkyTarget::name)).toList()) {
            assertThatThrownBy(each::clear).isInstanceOf(UnsupportedOperationException.class);
        }
    }
}
