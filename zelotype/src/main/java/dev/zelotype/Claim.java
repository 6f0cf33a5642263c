package dev.zelotype;

import dev.zelotype.engine.claim.ClaimSet;
import org.jspecify.annotations.Nullable;

/**
 * For tests: one thing that is claimed of a collaborator. Immutable; safe for use from any thread.
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
     * The claim as it is written.
     *
     * @return such as {@code catalog.find("Harrow-2") returns Optional[Harrow-2]}
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
     * The class in whose source it stands.
     *
     * @return the binary name of the top-level class; empty if not known
     */
    public String sourceClass() {
        return told.sourceClass();
    }

    /**
     * The line of the statement.
     *
     * @return the line of the source file; 0 if not known
     */
    public int line() {
        return told.line();
    }

    /**
     * The type that it is claimed of.
     *
     * @return its binary name
     */
    public String type() {
        return told.type();
    }

    /**
     * The method that it is about.
     *
     * @return the method as its type lists it
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
     * @return such as {@code find("Harrow-2")}
     */
    public String call() {
        return told.call();
    }

    /**
     * Holds it against a real object.
     *
     * @param real the object; null for claims about static methods
     * @throws dev.zelotype.error.CheckFailure if the real object does otherwise, with what both did
     * @throws dev.zelotype.error.MisuseException if the claim cannot be held against it
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
