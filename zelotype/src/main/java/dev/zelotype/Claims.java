package dev.zelotype;

import dev.zelotype.engine.claim.ClaimSet;
import dev.zelotype.error.CheckFailure;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;

/**
 * For tests: checks what tests suppose of a collaborator against a real one, so that stub and real object agree. The
 * same method sets up a stub in the subject's tests.
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
 * <p>With JUnit, {@code dev.zelotype.junit.ClaimTests} makes a test for each claim. Immutable; safe for use from any
 * thread. Refuses nulls.
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
     * Makes claims about static methods, for example {@code suppose(SiderealClock::zone).returns("UTC")}.
     *
     * @param claims makes the statements
     * @return the claims, which are checked against the real methods
     */
    public static Claims<Void> ofStatics(Runnable claims) {
        return new Claims<>(new ClaimSet(null, none -> claims.run()));
    }

    /**
     * Sets how long to wait for the real object: for return values, for futures, and for callbacks, which may come
     * later. The default is 5 s. Each call is made on a separate thread, so that one that never returns breaks only its
     * own claim.
     *
     * @param limit the time; zero to call on the thread of the test, without a limit
     * @return the same claims with this limit
     * @throws dev.zelotype.error.MisuseException if it is negative
     */
    public Claims<T> within(Duration limit) {
        return new Claims<>(set.within(limit));
    }

    /**
     * Returns the individual claims.
     *
     * @return the claims, in statement order
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
     * Checks all claims against one real object.
     *
     * @param real the object
     * @throws CheckFailure if any does not hold; all such claims are reported together
     * @throws dev.zelotype.error.MisuseException if a claim cannot be checked against it
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
