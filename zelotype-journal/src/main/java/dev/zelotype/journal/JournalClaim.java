package dev.zelotype.journal;

/**
 * For readers and writers of journals: a claim that was held against a real object, and what came of it. Immutable; more
 * may be told in later versions.
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
     * Begins a claim that was kept.
     *
     * @param type the binary name of the collaborator's type
     * @param signature the method as the type lists it
     * @param text the calls that it covers, such as {@code catalog.find("Harrow-2")}
     * @return a builder
     */
    public static Builder of(String type, String signature, String text) {
        return new Builder(type, signature, text);
    }

    /**
     * The collaborator's type.
     *
     * @return its binary name
     */
    public String type() {
        return type;
    }

    /**
     * The method that the claim is about.
     *
     * @return the method as the type lists it
     */
    public String signature() {
        return signature;
    }

    /**
     * The calls that it covers.
     *
     * @return such as {@code catalog.find("Harrow-2")}
     */
    public String text() {
        return text;
    }

    /**
     * The calls that it covers, whatever the collaborator is called: without its name, and in a chain from the first
     * call on.
     *
     * @return such as {@code find("Harrow-2")}; what {@link #text} says if no such text is known
     */
    public String call() {
        return call;
    }

    /**
     * Where it stands.
     *
     * @return the source file and line; empty if not known
     */
    public String place() {
        return place;
    }

    /**
     * The class that it was held against.
     *
     * @return its binary name
     */
    public String real() {
        return real;
    }

    /**
     * Why it is broken.
     *
     * @return the failure; empty if the claim was kept
     */
    public String failure() {
        return failure;
    }

    /**
     * Whether the real object did what the claim says.
     *
     * @return whether it was kept
     */
    public boolean isKept() {
        return failure.isEmpty();
    }

    /** Puts a claim together. Not safe for use from several threads. */
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
         * Says which calls it covers, whatever the collaborator is called.
         *
         * @param value the calls without its name
         * @return this builder
         */
        public Builder call(String value) {
            call = value;
            return this;
        }

        /**
         * Says where it stands.
         *
         * @param value the source file and line
         * @return this builder
         */
        public Builder place(String value) {
            place = value;
            return this;
        }

        /**
         * Says what it was held against.
         *
         * @param className the binary name of the real class
         * @return this builder
         */
        public Builder real(String className) {
            real = className;
            return this;
        }

        /**
         * Says that it is broken.
         *
         * @param why the failure
         * @return this builder
         */
        public Builder broken(String why) {
            failure = why;
            return this;
        }

        /**
         * Builds it.
         *
         * @return the finished claim
         */
        public JournalClaim build() {
            return new JournalClaim(this);
        }
    }
}
