package dev.zelotype.conversation;

import java.util.List;

/**
 * For readers of results: one call of a double, as plain values, for failures, journals, stories and coverage.
 * Immutable; later versions may have more parts.
 *
 * @since 0.2
 */
public final class RecordedCall {

    private final int number;
    private final String caller;
    private final String receiver;
    private final String instance;
    private final String signature;
    private final List<String> arguments;
    private final String answer;
    private final Ending ending;
    private final Role role;
    private final String thread;
    private final String file;
    private final int line;
    private final long micros;
    private final long tookMicros;
    private final boolean failed;
    private final List<ValueSource> argumentSources;
    private final ValueSource answerSource;

    private RecordedCall(Builder from) {
        this.number = from.number;
        this.caller = from.caller;
        this.receiver = from.receiver;
        this.instance = from.instance;
        this.signature = from.signature;
        this.arguments = List.copyOf(from.arguments);
        this.answer = from.answer;
        this.ending = from.ending;
        this.role = from.role;
        this.thread = from.thread;
        this.file = from.file;
        this.line = from.line;
        this.micros = from.micros;
        this.tookMicros = from.tookMicros;
        this.failed = from.failed || from.ending == Ending.THREW;
        this.argumentSources = List.copyOf(from.argumentSources);
        this.answerSource = from.answerSource;
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
     * The position of the call among the calls of the scene, from 1.
     *
     * @return the position of the call among the calls of the scene
     */
    public int number() {
        return number;
    }

    /**
     * The binary name of the class that made the call; empty if not recorded.
     *
     * @return it
     */
    public String caller() {
        return caller;
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
     * Which object of a replaced class was called, for example {@code SerialLink 1}: objects are numbered in the order
     * of their first call. Empty for other doubles.
     *
     * @return it
     */
    public String instance() {
        return instance;
    }

    /**
     * The method as it is listed for its type, for example {@code track(SkyTarget, int)}.
     *
     * @return it
     */
    public String signature() {
        return signature;
    }

    /**
     * The arguments as text.
     *
     * @return the arguments as text
     */
    public List<String> arguments() {
        return arguments;
    }

    /**
     * What was returned or thrown, as text; empty for a void call.
     *
     * @return it
     */
    public String answer() {
        return answer;
    }

    /**
     * Returns the source of an argument in a test.
     *
     * @param argument its index, from 0
     * @return its source
     */
    public ValueSource argumentSource(int argument) {
        return argument < argumentSources.size() ? argumentSources.get(argument) : ValueSource.AS_TOLD;
    }

    /**
     * Returns the source in a test of what was returned or thrown.
     *
     * @return its source
     */
    public ValueSource answerSource() {
        return answerSource;
    }

    /**
     * How the call ended.
     *
     * @return how the call ended
     */
    public Ending ending() {
        return ending;
    }

    /**
     * The test's verdict on the call.
     *
     * @return the test's verdict on the call
     */
    public Role role() {
        return role;
    }

    /**
     * The name of the calling thread.
     *
     * @return the name of the calling thread
     */
    public String thread() {
        return thread;
    }

    /**
     * The source file of the call; empty if not recorded.
     *
     * @return the source file of the call
     */
    public String file() {
        return file;
    }

    /**
     * The line in the source file, or 0.
     *
     * @return the line in the source file
     */
    public int line() {
        return line;
    }

    /**
     * When the call began, in microseconds since the scene opened; 0 unless the scene keeps details.
     *
     * @return it
     */
    public long micros() {
        return micros;
    }

    /**
     * How long the call took, in microseconds; -1 if unknown.
     *
     * @return it
     */
    public long tookMicros() {
        return tookMicros;
    }

    /**
     * Whether the call failed: it threw, the returned future failed, or an answer set by the test passed an exception
     * to one of the arguments, for example {@code (time, onFrame, onFailure) -> onFailure.accept(fault)}. The last is
     * known only if the scene keeps details.
     *
     * @return whether it failed
     */
    public boolean failed() {
        return failed;
    }

    /**
     * The name of the method.
     *
     * @return the name without parameters; {@code new} for a constructor
     */
    public String method() {
        int end = signature.indexOf('(');
        return end < 0 ? signature : signature.substring(0, end);
    }

    /**
     * Returns the call as source, without the double's name.
     *
     * @return the method with its arguments, for example {@code track(Harrow-2, 3)}
     */
    public String text() {
        return method() + "(" + String.join(", ", arguments) + ")";
    }

    /**
     * Returns where the call was made.
     *
     * @return the source file with its line; empty if not recorded
     */
    public String place() {
        return file.isEmpty() ? "" : file + ":" + line;
    }

    /**
     * Returns the answer with its origin.
     *
     * @return as in {@link Ending#said}
     */
    public String answerText() {
        return ending.said(answer);
    }

    /**
     * Returns the call in words, for people.
     *
     * @return one line
     */
    @Override
    public String toString() {
        return (receiver + "." + text() + " " + answerText() + " " + place()).stripTrailing();
    }

    /** Builds a call. Not safe for use from several threads. */
    public static final class Builder {

        private int number;
        private String caller = "";
        private String receiver = "";
        private String instance = "";
        private String signature = "";
        private List<String> arguments = List.of();
        private String answer = "";
        private Ending ending = Ending.RUNNING;
        private Role role = Role.ALLOWED;
        private String thread = "";
        private String file = "";
        private int line;
        private long micros;
        private long tookMicros = -1;
        private boolean failed;
        private List<ValueSource> argumentSources = List.of();
        private ValueSource answerSource = ValueSource.AS_TOLD;

        private Builder() {}

        /**
         * Sets the position of the call among the calls of the scene, from 1.
         *
         * @param value it
         * @return this builder
         */
        public Builder number(int value) {
            this.number = value;
            return this;
        }

        /**
         * Sets the binary name of the class that made the call.
         *
         * @param value it
         * @return this builder
         */
        public Builder caller(String value) {
            this.caller = value;
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
         * Sets which object of a replaced class was called.
         *
         * @param value it
         * @return this builder
         */
        public Builder instance(String value) {
            this.instance = value;
            return this;
        }

        /**
         * Sets the method as it is listed for its type, for example {@code track(SkyTarget, int)}.
         *
         * @param value it
         * @return this builder
         */
        public Builder signature(String value) {
            this.signature = value;
            return this;
        }

        /**
         * Sets the arguments as text.
         *
         * @param value it
         * @return this builder
         */
        public Builder arguments(List<String> value) {
            this.arguments = value;
            return this;
        }

        /**
         * Sets what was returned or thrown, as text.
         *
         * @param value it
         * @return this builder
         */
        public Builder answer(String value) {
            this.answer = value;
            return this;
        }

        /**
         * Sets the sources of the arguments in a test.
         *
         * @param value one per argument; none if the text of each is its source
         * @return this builder
         */
        public Builder argumentSources(List<ValueSource> value) {
            this.argumentSources = value;
            return this;
        }

        /**
         * Sets the source in a test of what was returned or thrown.
         *
         * @param value it
         * @return this builder
         */
        public Builder answerSource(ValueSource value) {
            this.answerSource = value;
            return this;
        }

        /**
         * Sets how the call ended.
         *
         * @param value it
         * @return this builder
         */
        public Builder ending(Ending value) {
            this.ending = value;
            return this;
        }

        /**
         * Sets the test's verdict on the call.
         *
         * @param value it
         * @return this builder
         */
        public Builder role(Role value) {
            this.role = value;
            return this;
        }

        /**
         * Sets the name of the calling thread.
         *
         * @param value it
         * @return this builder
         */
        public Builder thread(String value) {
            this.thread = value;
            return this;
        }

        /**
         * Sets the source file of the call.
         *
         * @param value it
         * @return this builder
         */
        public Builder file(String value) {
            this.file = value;
            return this;
        }

        /**
         * Sets the line in the source file, or 0.
         *
         * @param value it
         * @return this builder
         */
        public Builder line(int value) {
            this.line = value;
            return this;
        }

        /**
         * Sets when the call began, in microseconds since the scene opened.
         *
         * @param value it
         * @return this builder
         */
        public Builder micros(long value) {
            this.micros = value;
            return this;
        }

        /**
         * Sets how long the call took, in microseconds.
         *
         * @param value it
         * @return this builder
         */
        public Builder tookMicros(long value) {
            this.tookMicros = value;
            return this;
        }

        /**
         * Sets whether the call failed without throwing.
         *
         * @param value it
         * @return this builder
         */
        public Builder failed(boolean value) {
            this.failed = value;
            return this;
        }

        /**
         * Builds the claim.
         *
         * @return the finished value
         */
        public RecordedCall build() {
            return new RecordedCall(this);
        }
    }
}
