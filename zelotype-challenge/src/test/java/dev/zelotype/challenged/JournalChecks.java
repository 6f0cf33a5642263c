package dev.zelotype.challenged;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.junit.ClaimTests;
import dev.zelotype.junit.WithDoubles;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/** Various tests that write lines to a journal. */
@WithDoubles
class JournalChecks {

    private static final class Shut implements Latch.Bolt {
        @Override
        public boolean isShut() {
            return true;
        }

        @Override
        public void push() {
            throw new IllegalStateException("It is shut.");
        }
    }

    private static void claims(Latch.Bolt bolt) {
        suppose(bolt::isShut).returns(true);
    }

    @Test
    void is_safe() {
        Latch.Bolt bolt = stub(Latch.Bolt.class, JournalChecks::claims);
        assertThat(new Latch(bolt).isSafe()).isTrue();
    }

    @Test
    void is_safe_in_a_scene_of_its_own() {
        try (Scene scene = Scene.open()) {
            Latch.Bolt bolt = stub(Latch.Bolt.class, JournalChecks::claims);
            assertThat(new Latch(bolt).isSafe()).isTrue();
            assertThat(scene.conversation().calls()).hasSize(1);
        }
    }

    @TestFactory
    Stream<DynamicTest> claims_are_kept() {
        return ClaimTests.of(Latch.Bolt.class, JournalChecks::claims).heldAgainst(Shut::new);
    }
}
