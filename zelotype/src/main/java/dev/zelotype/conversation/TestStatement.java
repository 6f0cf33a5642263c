package dev.zelotype.conversation;

/**
 * For readers of results: what a test said of some calls, as plain values. Immutable; more may be told in later versions.
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
     * Begins a new one; what is not said stays empty.
     *
     * @return a builder
     */
    public static Builder builder() {
        return new Builder();
    }

    /**
     * What the statement does.
     *
     * @return what the statement does
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
     * The method as its type lists it.
     *
     * @return the method as its type lists it; empty for a statement about a whole double
     */
    public String signature() {
        return signature;
    }

    /**
     * The calls that it covers, such as {@code mount.track(any SkyTarget, 3)}.
     *
     * @return it
     */
    public String text() {
        return text;
    }

    /**
     * The calls that it covers, whatever the double is called: without its name, and for a double in a chain from the first
     * call of the chain on, such as {@code track(any SkyTarget, 3)} or {@code mount().rate()}.
     *
     * @return it; what {@link #text} says if no such text is known
     */
    public String call() {
        return call;
    }

    /**
     * Whether it only lets a call in the middle of a chain answer with the double that carries the chain on, and was not
     * written by the test itself.
     *
     * @return true for such a call
     */
    public boolean link() {
        return link;
    }

    /**
     * The least number of calls that it asks for; 0 for a supposition.
     *
     * @return it
     */
    public int min() {
        return min;
    }

    /**
     * The greatest number of calls; {@link Integer#MAX_VALUE} for any.
     *
     * @return it
     */
    public int max() {
        return max;
    }

    /**
     * How many calls there were; for a supposition 1 if any call needed it, else 0.
     *
     * @return it
     */
    public int found() {
        return found;
    }

    /**
     * Whether the method gives a value back.
     *
     * @return whether the method gives a value back
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
     * The source file and line; empty if not known.
     *
     * @return the source file and line
     */
    public String place() {
        return place;
    }

    /**
     * Whether calls that it asks for did not happen.
     *
     * @return true if there were fewer than the least number
     */
    public boolean isMissing() {
        return found < min;
    }

    /**
     * Whether exactly one number of calls is right, and it is not zero.
     *
     * @return true for {@code once()} and {@code times(n)}
     */
    public boolean isExact() {
        return min == max && min > 0;
    }

    /**
     * The statement in words, for people.
     *
     * @return one line
     */
    @Override
    public String toString() {
        return verb.call() + "(" + text + ") at " + place;
    }

    /** Puts one together. Not safe for use from several threads. */
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
         * Sets what the statement does.
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
         * Sets the method as its type lists it.
         *
         * @param value it
         * @return this builder
         */
        public Builder signature(String value) {
            this.signature = value;
            return this;
        }

        /**
         * Sets the calls that it covers, such as {@code mount.track(any SkyTarget, 3)}.
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
         * Sets whether it only carries on a chain.
         *
         * @param value it
         * @return this builder
         */
        public Builder link(boolean value) {
            link = value;
            return this;
        }

        /**
         * Sets the least number of calls that it asks for.
         *
         * @param value it
         * @return this builder
         */
        public Builder min(int value) {
            this.min = value;
            return this;
        }

        /**
         * Sets the greatest number of calls.
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
         * Sets whether the method gives a value back.
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
