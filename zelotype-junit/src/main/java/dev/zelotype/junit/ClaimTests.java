package dev.zelotype.junit;

import dev.zelotype.Claim;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.TestScene;
import dev.zelotype.journal.TestSettings;
import java.net.URI;
import java.time.Duration;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.function.ThrowingSupplier;

/**
 * For tests with JUnit: checks what tests suppose of a collaborator against a real one, each claim as a separate test.
 * The results are recorded in the journal.
 *
 * <pre>{@code
 * @TestFactory
 * Stream<DynamicTest> the_real_catalog_keeps_the_claims() {
 *     return ClaimTests.of(TargetCatalog.class, CatalogClaims::claims).heldAgainst(() -> new FileCatalog(folder));
 * }
 * }</pre>
 *
 * <p>Immutable; safe for use from any thread. Refuses nulls.
 *
 * @param <T> the collaborator's type
 * @since 0.2
 */
public final class ClaimTests<T> {

    private static final int MOST_TESTS = 5;

    private final dev.zelotype.Claims<T> claims;

    private ClaimTests(dev.zelotype.Claims<T> claims) {
        this.claims = claims;
    }

    /**
     * Makes the claims of a method.
     *
     * @param type the collaborator's type
     * @param claims makes statements about the given double, with {@code suppose(...)} only
     * @param <T> the type
     * @return the claims
     */
    public static <T> ClaimTests<T> of(Class<T> type, Consumer<? super T> claims) {
        return new ClaimTests<>(dev.zelotype.Claims.of(type, claims));
    }

    /**
     * Makes claims about static methods.
     *
     * @param claims makes the statements
     * @return the claims
     */
    public static ClaimTests<Void> ofStatics(Runnable claims) {
        return new ClaimTests<>(dev.zelotype.Claims.ofStatics(claims));
    }

    /**
     * Sets how long to wait for the real object, by default 5 s, as {@link dev.zelotype.Claims#within} does.
     *
     * @param limit the time; zero to call on the thread of the test, without a limit
     * @return the same claims with this limit
     */
    public ClaimTests<T> within(Duration limit) {
        return new ClaimTests<>(claims.within(limit));
    }

    /**
     * Returns a test for each claim.
     *
     * @param real makes a new real object for each test
     * @return the tests, named after their claims
     * @throws dev.zelotype.error.MisuseException if the method contains other statements than suppositions, or none
     */
    public Stream<DynamicTest> heldAgainst(ThrowingSupplier<? extends T> real) {
        TestSettings settings = Settings.ofFile();
        return claims.each().stream()
                .map(claim ->
                        DynamicTest.dynamicTest(claim.name(), place(claim), () -> hold(claim, real.get(), settings)));
    }

    /**
     * Returns a test for each claim about static methods.
     *
     * @return the tests
     */
    public Stream<DynamicTest> heldAgainstRealCode() {
        return heldAgainst(() -> null);
    }

    /**
     * Checks all claims against one real object, without separate tests.
     *
     * @param object the object
     * @throws CheckFailure if any does not hold; all such claims are reported together
     */
    public void check(T object) {
        claims.check(object);
    }

    /** The place that tools open for the test: the claim itself. */
    private @Nullable URI place(Claim<T> claim) {
        return claim.sourceClass().isEmpty()
                ? null
                : URI.create("class:" + claim.sourceClass() + (claim.line() > 0 ? "?line=" + claim.line() : ""));
    }

    private void hold(Claim<T> claim, @Nullable T real, TestSettings settings) {
        JournalClaim.Builder told = JournalClaim.of(claim.type(), claim.signature(), claim.text())
                .call(claim.call())
                .place(claim.place())
                .real(real == null ? claim.type() : real.getClass().getName());
        try {
            claim.hold(real);
        } catch (CheckFailure e) {
            JournalClaim broken = told.broken(firstDifference(e)).build();
            TestScene.keep(settings, broken);
            List<String> tests = TestScene.relyingOn(settings, broken);
            if (tests.isEmpty()) {
                throw e;
            }
            CheckFailure more = new CheckFailure(e.getMessage() + tests(tests), e.getCause(), e.details());
            more.setStackTrace(e.getStackTrace());
            throw more;
        }
        TestScene.keep(settings, told.build());
    }

    private static String firstDifference(CheckFailure e) {
        List<String> differences = e.details().differences();
        return differences.isEmpty()
                ? String.valueOf(e.getMessage()).lines().findFirst().orElse("")
                : differences.get(0);
    }

    private static String tests(List<String> tests) {
        StringBuilder text = new StringBuilder("\n\n  Tests that rely on it");
        tests.stream().limit(MOST_TESTS).forEach(test -> text.append("\n    ").append(test));
        return tests.size() <= MOST_TESTS
                ? text.toString()
                : text.append("\n    and ")
                        .append(tests.size() - MOST_TESTS)
                        .append(" more")
                        .toString();
    }
}
