package dev.zelotype;

import dev.zelotype.engine.claim.ClaimSet;
import org.jspecify.annotations.Nullable;

/**
 * For tests: one claim about a collaborator. Immutable; safe for use from any thread.
 *
 * @param <T> the collaborator's type
 * @since 0.2
 */
public final class Claim<T> {

    private final ClaimSet set;
    private final int index;
    private final ClaimSet.Told told;

    Claim(ClaimSet set, int index, ClaimSet.Told told) {
        this.set = set;
        this.index = index;
        this.told = told;
    }

    /**
     * Returns the text of the claim.
     *
     * @return for example {@code catalog.find("Harrow-2") returns Optional[Harrow-2]}
     */
    public String name() {
        return told.name();
    }

    /**
     * Returns where it is.
     *
     * @return the source file and line
     */
    public String place() {
        return told.place();
    }

    /**
     * Returns the class that contains its source.
     *
     * @return the binary name of the top-level class; empty if unknown
     */
    public String sourceClass() {
        return told.sourceClass();
    }

    /**
     * Returns the line of the statement.
     *
     * @return the line of the source file; 0 if unknown
     */
    public int line() {
        return told.line();
    }

    /**
     * Returns the collaborator's type.
     *
     * @return its binary name
     */
    public String type() {
        return told.type();
    }

    /**
     * Returns the method of the claim.
     *
     * @return the method as it is listed for the type
     */
    public String signature() {
        return told.signature();
    }

    /**
     * Returns the calls that it covers.
     *
     * @return for example {@code catalog.find("Harrow-2")}
     */
    public String text() {
        return told.text();
    }

    /**
     * Returns the calls that it covers without the collaborator's name; in a chain, from the first call on.
     *
     * @return for example {@code find("Harrow-2")}
     */
    public String call() {
        return told.call();
    }

    /**
     * Checks it against a real object.
     *
     * @param real the object; null for claims about static methods
     * @throws dev.zelotype.error.CheckFailure if the real object behaves differently, with both behaviors
     * @throws dev.zelotype.error.MisuseException if the claim cannot be checked against it
     */
    @SuppressWarnings("exports")
    public void hold(@Nullable T real) {
        set.hold(index, real);
    }

    @Override
    public String toString() {
        return name() + " at " + place();
    }
}
