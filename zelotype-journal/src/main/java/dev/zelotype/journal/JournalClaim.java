package dev.zelotype.journal;

/**
 * For readers and writers of journals: a claim that was checked against a real object, and the result. Immutable; later
 * versions may have more parts.
 *
 * @since 0.2
 */
public final class JournalClaim {

    private final String type;
    private final String signature;
    private final String text;
    private final String call;
    private final String place;
    private final String real;
    private final String failure;

    private JournalClaim(Builder from) {
        type = from.type;
        signature = from.signature;
        text = from.text;
        call = from.call.isEmpty() ? from.text : from.call;
        place = from.place;
        real = from.real;
        failure = from.failure;
    }

    /**
     * Starts to build a claim that holds.
     *
     * @param type the binary name of the collaborator's type
     * @param signature the method as it is listed for the type
     * @param text the calls that it covers, for example {@code catalog.find("Harrow-2")}
     * @return a builder
     */
    public static Builder of(String type, String signature, String text) {
        return new Builder(type, signature, text);
    }

    /**
     * Returns the collaborator's type.
     *
     * @return its binary name
     */
    public String type() {
        return type;
    }

    /**
     * Returns the method of the claim.
     *
     * @return the method as it is listed for the type
     */
    public String signature() {
        return signature;
    }

    /**
     * Returns the calls that it covers.
     *
     * @return for example {@code catalog.find("Harrow-2")}
     */
    public String text() {
        return text;
    }

    /**
     * Returns the calls that it covers without the collaborator's name; in a chain, from the first call on.
     *
     * @return for example {@code find("Harrow-2")}; the same as {@link #text} if this is unknown
     */
    public String call() {
        return call;
    }

    /**
     * Returns where it is.
     *
     * @return the source file and line; empty if unknown
     */
    public String place() {
        return place;
    }

    /**
     * Returns the class that it was checked against.
     *
     * @return its binary name
     */
    public String real() {
        return real;
    }

    /**
     * Returns why it does not hold.
     *
     * @return the failure; empty if the claim holds
     */
    public String failure() {
        return failure;
    }

    /**
     * Tells whether the real object does what the claim says.
     *
     * @return whether it holds
     */
    public boolean isKept() {
        return failure.isEmpty();
    }

    /** Builds a claim. Not safe for use from several threads. */
    public static final class Builder {

        private final String type;
        private final String signature;
        private final String text;
        private String call = "";
        private String place = "";
        private String real = "";
        private String failure = "";

        private Builder(String type, String signature, String text) {
            this.type = type;
            this.signature = signature;
            this.text = text;
        }

        /**
         * Sets the calls without the collaborator's name.
         *
         * @param value the calls without its name
         * @return this builder
         */
        public Builder call(String value) {
            call = value;
            return this;
        }

        /**
         * Sets its place.
         *
         * @param value the source file and line
         * @return this builder
         */
        public Builder place(String value) {
            place = value;
            return this;
        }

        /**
         * Sets what it was checked against.
         *
         * @param className the binary name of the real class
         * @return this builder
         */
        public Builder real(String className) {
            real = className;
            return this;
        }

        /**
         * Records that it does not hold.
         *
         * @param why the failure
         * @return this builder
         */
        public Builder broken(String why) {
            failure = why;
            return this;
        }

        /**
         * Builds the claim.
         *
         * @return the finished claim
         */
        public JournalClaim build() {
            return new JournalClaim(this);
        }
    }
}
