package dev.zelotype.architecture;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.error.CheckFailure;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;

/**
 * The number of classes that an argument passes on its way from a double to the answer, and to the text of a failure:
 * these must be read to find a fault there.
 */
class WalkTest {

    interface Mount {
        int rate(Target target);

        void slewTo(Target target);
    }

    /** Finds out which code compares it, and which code prints it. */
    record Target(int id, Consumer<List<String>> compared, Consumer<List<String>> printed) {

        @Override
        public boolean equals(Object other) {
            compared.accept(path());
            return other instanceof Target target && target.id == id;
        }

        @Override
        public int hashCode() {
            return id;
        }

        @Override
        public String toString() {
            printed.accept(path());
            return "target " + id;
        }
    }

    private final List<List<String>> compared = new ArrayList<>();
    private final List<List<String>> printed = new ArrayList<>();

    private Target target(int id) {
        return new Target(id, compared::add, printed::add);
    }

    @Test
    void an_argument_passes_at_most_nine_classes_on_its_way_to_the_answer_and_none_twice() {
        inScene(scene -> {
            Mount mount = stub(Mount.class);
            suppose(() -> mount.rate(target(1))).returns(15);
            suppose((Target any) -> mount.rate(any))
                    .where(any -> any.equals(target(2)))
                    .returns(16);
            compared.clear();

            assertThat(mount.rate(target(1))).isEqualTo(15);
            assertThat(mount.rate(target(2))).isEqualTo(16);
        });
        assertThat(compared).isNotEmpty().allSatisfy(path -> {
            assertThat(stops(path)).as(path.toString()).isLessThanOrEqualTo(9);
            assertThat(returns(path)).as(path.toString()).isZero();
        });
    }

    @Test
    void an_argument_passes_at_most_ten_classes_on_its_way_to_the_text_of_a_failure_and_two_of_them_twice() {
        failing(scene -> verify(() -> stub(Mount.class).slewTo(target(1))).once());
        failing(scene -> {
            Mount mount = stub(Mount.class);
            mount.slewTo(target(1));
            verify(() -> mount.slewTo(target(2))).once();
        });
        failing(scene -> {
            Mount mount = stub(Mount.class);
            mount.slewTo(target(1));
            verify(mount::slewTo).never();
        });
        failing(scene -> mock(Mount.class).slewTo(target(1)));
        failing(scene -> {
            Mount mount = mock(Mount.class);
            expect(() -> mount.slewTo(target(1))).once();
        });
        assertThat(printed).isNotEmpty().allSatisfy(path -> {
            assertThat(stops(path)).as(path.toString()).isLessThanOrEqualTo(10);
            assertThat(returns(path)).as(path.toString()).isLessThanOrEqualTo(2);
        });
    }

    private static void failing(Consumer<Scene> test) {
        assertThatThrownBy(() -> inScene(test)).isInstanceOf(CheckFailure.class);
    }

    private static void inScene(Consumer<Scene> test) {
        try (Scene scene = Scene.open()) {
            test.accept(scene);
        }
    }

    /**
     * The library's classes on the stack, from the double or the statement; consecutive frames of one class count once.
     */
    private static List<String> path() {
        List<String> path = new ArrayList<>();
        StackWalker.getInstance().forEach(frame -> {
            String top = frame.getClassName().replaceFirst("\\$.*", "");
            boolean ours = top.startsWith("dev.zelotype.") && !top.equals(WalkTest.class.getName());
            if (ours && (path.isEmpty() || !path.get(0).equals(top))) {
                path.add(0, top);
            }
        });
        return path;
    }

    private static int stops(List<String> path) {
        return Set.copyOf(path).size();
    }

    private static int returns(List<String> path) {
        Set<String> seen = new HashSet<>();
        return (int) path.stream().filter(stop -> !seen.add(stop)).count();
    }
}
