package dev.zelotype.challenged;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.junit.WithDoubles;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** Subjects that do harm if the humidity has changed. */
@WithDoubles
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class WildChecks {

    private final Watch.Weather weather = stub(Watch.Weather.class);
    private static final List<int[]> HOARD = new ArrayList<>();

    private void challenged(Runnable otherwise) {
        suppose(weather::humidity).returns(40);
        new Asker().dry(weather, otherwise);
    }

    @AfterEach
    void nothing_is_said_aloud() {
        System.out.println("out of the tests");
        System.err.println("err of the tests");
    }

    @Test
    @Order(1)
    void looks() {
        suppose(weather::humidity).returns(40);
        assertThat(new Asker().dry(weather, () -> {})).isEqualTo(40);
    }

    @Test
    @Order(2)
    void exits() {
        challenged(() -> System.exit(3));
    }

    @Test
    @Order(3)
    void halts() {
        challenged(() -> Runtime.getRuntime().halt(3));
    }

    @Test
    @Order(4)
    void loops() {
        challenged(() -> {
            while (Thread.currentThread().isAlive()) {
                Thread.onSpinWait();
            }
        });
    }

    @Test
    @Order(5)
    void waits() {
        challenged(() -> {
            try {
                new CountDownLatch(1).await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
    }

    @Test
    @Order(6)
    void hoards() {
        challenged(() -> {
            while (true) {
                HOARD.add(new int[10_000_000]);
            }
        });
    }

    private static void deeper() {
        deeper();
    }

    @Test
    @Order(7)
    void recurses() {
        challenged(WildChecks::deeper);
    }

    @Test
    @Order(8)
    void leaves_a_thread() {
        challenged(() -> new Thread(() -> {
                    while (true) {
                        Thread.onSpinWait();
                    }
                })
                .start());
    }

    @Test
    @Order(9)
    void looks_at_last() {
        suppose(weather::humidity).returns(40);
        assertThat(new Asker().dry(weather, () -> {})).isEqualTo(40);
    }
}
