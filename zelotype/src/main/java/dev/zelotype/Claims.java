package dev.zelotype;

import dev.zelotype.engine.claim.ClaimSet;
import dev.zelotype.error.CheckFailure;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;

/**
 * For tests: what tests suppose of a collaborator, held against a real one, so that stub and real one agree. The same method
 * sets up a stub in the subject's tests.
 *
 * <pre>{@code
 * static void claims(TargetCatalog catalog) {
 *     suppose(() -> catalog.find("Harrow-2")).returns(Optional.of(HARROW));
 *     suppose(catalog::find).where("blank", String::isBlank).forExample("", " ").fails(new IllegalArgumentException());
 * }
 *
 * TargetCatalog catalog = stub(TargetCatalog.class, CatalogClaims::claims);               // in the subject's tests
 * Claims.of(TargetCatalog.class, CatalogClaims::claims).check(new FileCatalog(folder));    // in the collaborator's tests
 * }</pre>
 *
 * <p>With JUnit, {@code dev.zelotype.junit.ClaimTests} makes a test of each. Immutable; safe for use from any thread.
 * Nothing is null.
 *
 * @param <T> the collaborator's type
 * @since 0.2
 */
public final class Claims<T> {

    private final ClaimSet set;

    private Claims(ClaimSet set) {
        this.set = set;
    }

    /**
     * Makes the claims of a method.
     *
     * @param type the collaborator's type
     * @param claims makes statements about the given double, with {@code suppose(...)} only
     * @param <T> the type
     * @return the claims
     */
    public static <T> Claims<T> of(Class<T> type, Consumer<? super T> claims) {
        return new Claims<>(new ClaimSet(type, collaborator -> claims.accept(type.cast(collaborator))));
    }

    /**
     * Claims about static methods, such as {@code suppose(SiderealClock::zone).returns("UTC")}.
     *
     * @param claims makes the statements
     * @return the claims, to be held against nothing but the real methods
     */
    public static Claims<Void> ofStatics(Runnable claims) {
        return new Claims<>(new ClaimSet(null, none -> claims.run()));
    }

    /**
     * Says how long to wait for what the real object does: for what a call returns, for futures, and for callbacks,
     * which may come later. 5 s unless said. Each call is made on a thread of its own, so that one that never returns
     * breaks its claim and nothing else.
     *
     * @param limit the time; zero to call on the thread of the test, without a limit
     * @return the same claims with this limit
     * @throws dev.zelotype.error.MisuseException if it is below zero
     */
    public Claims<T> within(Duration limit) {
        return new Claims<>(set.within(limit));
    }

    /**
     * Each claim by itself.
     *
     * @return the claims, in the order they are said
     * @throws dev.zelotype.error.MisuseException if the method contains other statements than suppositions, or none
     */
    public List<Claim<T>> each() {
        List<Claim<T>> all = new ArrayList<>();
        List<ClaimSet.Told> told = set.told();
        for (int i = 0; i < told.size(); i++) {
            all.add(new Claim<>(set, i, told.get(i)));
        }
        return all;
    }

    /**
     * Holds all claims against one real object.
     *
     * @param real the object
     * @throws CheckFailure if any does not hold; all such claims are reported together
     * @throws dev.zelotype.error.MisuseException if a claim cannot be held against it
     */
    public void check(T real) {
        List<CheckFailure> broken = new ArrayList<>();
        for (Claim<T> claim : each()) {
            try {
                claim.hold(real);
            } catch (CheckFailure e) {
                broken.add(e);
            }
        }
        if (!broken.isEmpty()) {
            StringBuilder text = new StringBuilder();
            if (broken.size() > 1) {
                text.append(broken.size()).append(" claims are broken:");
            }
            for (int i = 0; i < broken.size(); i++) {
                text.append(broken.size() > 1 ? "\n\n" + (i + 1) + ". " : "")
                        .append(broken.get(i).getMessage());
            }
            throw broken.size() == 1 ? broken.get(0) : CheckFailure.together(text.toString(), broken);
        }
    }
}
