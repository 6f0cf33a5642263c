package dev.zelotype.conversation;

/**
 * For readers of results: a statement of a test, as plain values. Immutable; later versions may have more parts.
 *
 * @since 0.2
 */
public final class TestStatement {

    private final Verb verb;
    private final String receiver;
    private final String signature;
    private final String text;
    private final String call;
    private final boolean link;
    private final int min;
    private final int max;
    private final int found;
    private final boolean query;
    private final int parameters;
    private final int pinned;
    private final int order;
    private final String place;

    private TestStatement(Builder from) {
        this.verb = from.verb;
        this.receiver = from.receiver;
        this.signature = from.signature;
        this.text = from.text;
        this.call = from.call.isEmpty() ? from.text : from.call;
        this.link = from.link;
        this.min = from.min;
        this.max = from.max;
        this.found = from.found;
        this.query = from.query;
        this.parameters = from.parameters;
        this.pinned = from.pinned;
        this.order = from.order;
        this.place = from.place;
    }

    /**
     * Starts to build a call; values that are not set are empty.
     *
     * @return a builder
     */
    public static Builder builder() {
        return new Builder();
    }

    /**
     * The verb of the statement.
     *
     * @return the verb of the statement
     */
    public Verb verb() {
        return verb;
    }

    /**
     * The name of the double.
     *
     * @return the name of the double
     */
    public String receiver() {
        return receiver;
    }

    /**
     * The method as it is listed for its type.
     *
     * @return the method as it is listed for its type; empty for a statement about a whole double
     */
    public String signature() {
        return signature;
    }

    /**
     * The calls that it covers, for example {@code mount.track(any SkyTarget, 3)}.
     *
     * @return it
     */
    public String text() {
        return text;
    }

    /**
     * The calls that it covers, without the name of the double; for a double in a chain, from the first call of the
     * chain on. For example {@code track(any SkyTarget, 3)} or {@code mount().rate()}.
     *
     * @return the calls; the same as {@link #text} if this is unknown
     */
    public String call() {
        return call;
    }

    /**
     * Whether it is only the implicit statement about a call in the middle of a chain, which returns the double for the
     * rest of the chain.
     *
     * @return true for such a call
     */
    public boolean link() {
        return link;
    }

    /**
     * The minimum number of calls; 0 for a supposition.
     *
     * @return it
     */
    public int min() {
        return min;
    }

    /**
     * The maximum number of calls; {@link Integer#MAX_VALUE} for any.
     *
     * @return it
     */
    public int max() {
        return max;
    }

    /**
     * How many calls there were; for a supposition 1 if any call used it, else 0.
     *
     * @return it
     */
    public int found() {
        return found;
    }

    /**
     * Whether the method returns a value.
     *
     * @return whether the method returns a value
     */
    public boolean query() {
        return query;
    }

    /**
     * How many parameters the method has.
     *
     * @return how many parameters the method has
     */
    public int parameters() {
        return parameters;
    }

    /**
     * How many of the arguments must equal a value.
     *
     * @return how many of the arguments must equal a value
     */
    public int pinned() {
        return pinned;
    }

    /**
     * The number of the {@code inThisOrder} block that contains it, from 1; 0 for none.
     *
     * @return it
     */
    public int order() {
        return order;
    }

    /**
     * The source file and line; empty if unknown.
     *
     * @return the source file and line
     */
    public String place() {
        return place;
    }

    /**
     * Tells whether required calls did not happen.
     *
     * @return true if there were fewer than the minimum
     */
    public boolean isMissing() {
        return found < min;
    }

    /**
     * Tells whether it requires an exact number of calls other than zero.
     *
     * @return true for {@code once()} and {@code times(n)}
     */
    public boolean isExact() {
        return min == max && min > 0;
    }

    /**
     * Returns the statement in words, for people.
     *
     * @return one line
     */
    @Override
    public String toString() {
        return verb.call() + "(" + text + ") at " + place;
    }

    /** Builds a call. Not safe for use from several threads. */
    public static final class Builder {

        private Verb verb = Verb.SUPPOSED;
        private String receiver = "";
        private String signature = "";
        private String text = "";
        private String call = "";
        private boolean link;
        private int min;
        private int max = Integer.MAX_VALUE;
        private int found;
        private boolean query;
        private int parameters;
        private int pinned;
        private int order;
        private String place = "";

        private Builder() {}

        /**
         * Sets the verb of the statement.
         *
         * @param value it
         * @return this builder
         */
        public Builder verb(Verb value) {
            this.verb = value;
            return this;
        }

        /**
         * Sets the name of the double.
         *
         * @param value it
         * @return this builder
         */
        public Builder receiver(String value) {
            this.receiver = value;
            return this;
        }

        /**
         * Sets the method as it is listed for its type.
         *
         * @param value it
         * @return this builder
         */
        public Builder signature(String value) {
            this.signature = value;
            return this;
        }

        /**
         * Sets the calls that it covers, for example {@code mount.track(any SkyTarget, 3)}.
         *
         * @param value it
         * @return this builder
         */
        public Builder text(String value) {
            this.text = value;
            return this;
        }

        /**
         * Sets the calls that it covers, without the name of the double.
         *
         * @param value it
         * @return this builder
         */
        public Builder call(String value) {
            call = value;
            return this;
        }

        /**
         * Sets whether it is only an implicit statement of a chain.
         *
         * @param value it
         * @return this builder
         */
        public Builder link(boolean value) {
            link = value;
            return this;
        }

        /**
         * Sets the minimum number of calls.
         *
         * @param value it
         * @return this builder
         */
        public Builder min(int value) {
            this.min = value;
            return this;
        }

        /**
         * Sets the maximum number of calls.
         *
         * @param value it
         * @return this builder
         */
        public Builder max(int value) {
            this.max = value;
            return this;
        }

        /**
         * Sets how many calls there were.
         *
         * @param value it
         * @return this builder
         */
        public Builder found(int value) {
            this.found = value;
            return this;
        }

        /**
         * Sets whether the method returns a value.
         *
         * @param value it
         * @return this builder
         */
        public Builder query(boolean value) {
            this.query = value;
            return this;
        }

        /**
         * Sets how many parameters the method has.
         *
         * @param value it
         * @return this builder
         */
        public Builder parameters(int value) {
            this.parameters = value;
            return this;
        }

        /**
         * Sets how many of the arguments must equal a value.
         *
         * @param value it
         * @return this builder
         */
        public Builder pinned(int value) {
            this.pinned = value;
            return this;
        }

        /**
         * Sets the number of the {@code inThisOrder} block that contains it, from 1.
         *
         * @param value it
         * @return this builder
         */
        public Builder order(int value) {
            this.order = value;
            return this;
        }

        /**
         * Sets the source file and line.
         *
         * @param value it
         * @return this builder
         */
        public Builder place(String value) {
            this.place = value;
            return this;
        }

        /**
         * Builds the claim.
         *
         * @return the finished value
         */
        public TestStatement build() {
            return new TestStatement(this);
        }
    }
}
