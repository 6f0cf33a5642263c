package dev.zelotype.extension;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.platform.engine.discovery.DiscoverySelectors.selectClass;

import dev.zelotype.Scene;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.journal.JournalReader;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.junit.ClaimTests;
import dev.zelotype.junit.WithDoubles;
import java.net.URI;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.junit.platform.launcher.LauncherDiscoveryRequest;
import org.junit.platform.launcher.core.LauncherDiscoveryRequestBuilder;
import org.junit.platform.launcher.core.LauncherFactory;

/**
 * Tools and journals get the scenes that tests open themselves.
 */
class OwnScenesTest {

    interface Station {
        int humidity();
    }

    static class OpensThemTest {
        @Test
        void twice() {
            for (int i = 0; i < 2; i++) {
                try (Scene scene = Scene.open()) {
                    Station station = stub(Station.class);
                    suppose(station::humidity).returns(40 + i);
                    assertThat(station.humidity()).isEqualTo(40 + i);
                    assertThat(scene.conversation().calls()).hasSize(1);
                }
            }
        }

        @ParameterizedTest
        @ValueSource(ints = {7})
        void fails_later(int humidity) throws InterruptedException {
            Thread other = new Thread(() -> {
                try (Scene scene = Scene.open()) {
                    assertThat(stub(Station.class).humidity() + scene.notes().size())
                            .isZero();
                }
            });
            other.start();
            other.join();
            assertThat(humidity).isZero();
        }

        @Test
        void opens_none() {
            assertThat(stub(Station.class).humidity()).isZero();
        }
    }

    @WithDoubles
    static class HasOneTest {
        @Test
        void by_host() {
            assertThat(stub(Station.class).humidity()).isZero();
        }
    }

    private static List<JournalScene> run(Path journal) {
        LauncherDiscoveryRequest request = LauncherDiscoveryRequestBuilder.request()
                .selectors(selectClass(OpensThemTest.class), selectClass(HasOneTest.class))
                .configurationParameter("zelotype.journal", journal.toString())
                .build();
        LauncherFactory.create().execute(request);
        List<JournalScene> scenes = new ArrayList<>();
        JournalReader.read(journal, scenes::add);
        return scenes;
    }

    @Test
    void scenes_that_tests_open_themselves_are_in_the_journal(@TempDir Path journal) {
        List<JournalScene> scenes = run(journal);
        assertThat(scenes)
                .extracting(scene -> scene.test().replaceAll(".*\\$", "") + " " + scene.outcome() + " "
                        + scene.conversation().calls().stream()
                                .map(RecordedCall::answer)
                                .toList())
                .containsExactlyInAnyOrder(
                        "OpensThemTest#twice PASSED [40]",
                        "OpensThemTest#twice PASSED [41]",
                        "OpensThemTest#fails_later FAILED [0]",
                        "HasOneTest#by_host PASSED [0]");
        assertThat(scenes).filteredOn(scene -> scene.title().startsWith("[1]")).hasSize(1);
    }

    private static void claims(Station station) {
        suppose(station::humidity).returns(7);
    }

    @Test
    void tests_of_claims_lead_to_the_claims() {
        Stream<DynamicTest> tests = Stream.concat(
                ClaimTests.of(Station.class, OwnScenesTest::claims).heldAgainst(() -> () -> 7),
                ClaimTests.ofStatics(() -> suppose(() -> Integer.parseInt("7")).returns(7))
                        .heldAgainstRealCode());
        assertThat(tests.map(test -> test.getTestSourceUri().map(URI::toString).orElse("")))
                .hasSize(2)
                .allMatch(uri -> uri.matches("class:" + OwnScenesTest.class.getName() + "\\?line=1[0-9]{2}"));
    }
}
