package dev.zelotype.report;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import dev.zelotype.Claim;
import dev.zelotype.Claims;
import dev.zelotype.Scene;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.report.coverage.Coverage;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Coverage depends on the actual calls, whatever doubles were used and however they were reached.
 */
class CoverageTest {

    interface Site {
        Mount mount(String side);

        String name();

        CompletableFuture<String> report(String name);
    }

    interface Mount {
        int rate(int scale);
    }

    private static void all(Site site) {
        suppose(site::name).returns("north. ridge");
        suppose(() -> site.mount("a.b").rate(1)).returns(3);
        suppose((Integer scale) -> site.mount("c").rate(scale)).forExample(2).returns(4);
    }

    private static void half(Site site) {
        suppose(site::name).returns("north. ridge");
        suppose(() -> site.mount("a.b").rate(1)).returns(3);
    }

    private static Coverage coverage(String name, Consumer<Site> told) {
        Coverage coverage = new Coverage();
        try (Scene scene = Scene.open()) {
            Site site = stub(Site.class, name);
            all(site);
            assertThat(site.name() + site.mount("a.b").rate(1) + site.mount("c").rate(2))
                    .isEqualTo("north. ridge34");
            coverage.add(JournalScene.of("SiteTest#asks", scene.conversation())
                    .ended(JournalScene.Outcome.PASSED, "")
                    .build());
        }
        for (Claim<Site> claim : Claims.of(Site.class, told).each()) {
            coverage.add(JournalClaim.of(claim.type(), claim.signature(), claim.text())
                    .call(claim.call())
                    .place(claim.place())
                    .real("FileSite")
                    .build());
        }
        return coverage;
    }

    private static List<String> unclaimed(Coverage coverage) {
        return coverage.rows(Coverage.Order.NAME).stream()
                .filter(row -> row.unclaimed() > 0)
                .map(row -> row.method() + " " + row.unclaimed() + " of " + row.answers())
                .toList();
    }

    @ParameterizedTest
    @ValueSource(strings = {"site", "No. 1", "a.b.c(d)", "…", "."})
    void a_claim_backs_what_a_test_supposes_of_the_same_call(String name) {
        assertThat(unclaimed(coverage(name, CoverageTest::all))).isEmpty();
        assertThat(unclaimed(coverage(name, CoverageTest::half))).containsExactly("rate(int) 1 of 2");
        assertThat(coverage(name, CoverageTest::all).rows(Coverage.Order.NAME))
                .filteredOn(row -> row.method().startsWith("mount"))
                .as("what only carries on a chain is not an answer")
                .extracting(Coverage.Row::answers, Coverage.Row::called)
                .containsExactly(tuple(0, 1));
    }

    @Test
    void a_call_has_failed_if_it_did_and_not_if_it_says_so() {
        Coverage coverage = new Coverage();
        try (Scene scene = Scene.open()) {
            Site site = stub(Site.class);
            suppose(() -> site.report("calm"))
                    .returns(CompletableFuture.completedFuture("[Completed exceptionally: nothing]"));
            suppose(site::name).returns("java.util.concurrent.CompletableFuture@1[Completed exceptionally]");
            assertThat(site.report("calm").join() + site.name()).contains("Completed exceptionally");
            coverage.add(JournalScene.of("SiteTest#asks", scene.conversation())
                    .ended(JournalScene.Outcome.PASSED, "")
                    .build());
            assertThat(coverage.rows(Coverage.Order.NAME)).allMatch(row -> row.failed() == 0);
            suppose(() -> site.report("storm")).returns(CompletableFuture.failedFuture(new IllegalStateException()));
            assertThat(site.report("storm")).isCompletedExceptionally();
            coverage.add(JournalScene.of("SiteTest#storm", scene.conversation())
                    .ended(JournalScene.Outcome.PASSED, "")
                    .build());
            assertThat(coverage.rows(Coverage.Order.NAME))
                    .filteredOn(row -> row.failed() > 0)
                    .extracting(Coverage.Row::method)
                    .containsExactly("report(String)");
        }
    }
}
