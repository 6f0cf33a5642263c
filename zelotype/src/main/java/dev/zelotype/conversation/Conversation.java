package dev.zelotype.conversation;

import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.NamedDouble;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * For readers of results: the statements and calls of a scene's doubles so far, as plain values. Immutable; later
 * versions may have more parts.
 *
 * <pre>{@code
 * for (RecordedCall call : scene.conversation().calls()) {
 *     System.out.println(call.receiver() + "." + call.text() + " " + call.answerText());
 * }
 * }</pre>
 *
 * @since 0.2
 */
public final class Conversation {

    private final String subject;
    private final List<DoubledType> types;
    private final List<NamedDouble> doubles;
    private final List<RecordedCall> calls;
    private final List<TestStatement> statements;
    private final List<String> notes;

    private Conversation(Builder from) {
        subject = from.subject;
        types = List.copyOf(from.types);
        doubles = List.copyOf(from.doubles);
        calls = List.copyOf(from.calls);
        statements = List.copyOf(from.statements);
        notes = List.copyOf(from.notes);
    }

    /**
     * Starts to build an empty conversation.
     *
     * @return a builder
     */
    public static Builder builder() {
        return new Builder();
    }

    /**
     * Returns the class that the scene built as the subject.
     *
     * @return its binary name; empty if the scene built none
     */
    public String subject() {
        return subject;
    }

    /**
     * Returns the doubled types.
     *
     * @return each once
     */
    public List<DoubledType> types() {
        return types;
    }

    /**
     * Returns the doubles.
     *
     * @return in the order in which they were made
     */
    public List<NamedDouble> doubles() {
        return doubles;
    }

    /**
     * Returns the calls.
     *
     * @return in call order
     */
    public List<RecordedCall> calls() {
        return calls;
    }

    /**
     * Returns the test's statements about calls.
     *
     * @return in statement order
     */
    public List<TestStatement> statements() {
        return statements;
    }

    /**
     * Returns remarks that do not fail the test.
     *
     * @return one text each, for example a supposition that no call used
     */
    public List<String> notes() {
        return notes;
    }

    /**
     * Returns the same conversation with further notes.
     *
     * @param more the notes
     * @return a new conversation
     */
    public Conversation withNotes(List<String> more) {
        Builder copy = builder();
        copy.subject = subject;
        copy.types.addAll(types);
        copy.doubles.addAll(doubles);
        copy.calls.addAll(calls);
        copy.statements.addAll(statements);
        copy.notes.addAll(notes);
        copy.notes.addAll(more);
        return copy.build();
    }

    /**
     * Returns the doubled type of each double.
     *
     * @return the binary names of types, by the names of the doubles
     */
    public Map<String, String> typesOfDoubles() {
        Map<String, String> byName = new HashMap<>();
        doubles.forEach(each -> byName.put(each.name(), each.type()));
        return byName;
    }

    /** Builds a conversation. Not safe for use from several threads. */
    public static final class Builder {

        private String subject = "";
        private final List<DoubledType> types = new ArrayList<>();
        private final List<NamedDouble> doubles = new ArrayList<>();
        private final List<RecordedCall> calls = new ArrayList<>();
        private final List<TestStatement> statements = new ArrayList<>();
        private final List<String> notes = new ArrayList<>();

        private Builder() {}

        /**
         * Sets the class of the subject.
         *
         * @param className its binary name
         * @return this builder
         */
        public Builder subject(String className) {
            subject = className;
            return this;
        }

        /**
         * Adds a doubled type.
         *
         * @param type the type
         * @return this builder
         */
        public Builder add(DoubledType type) {
            types.add(type);
            return this;
        }

        /**
         * Adds a double.
         *
         * @param one the double
         * @return this builder
         */
        public Builder add(NamedDouble one) {
            doubles.add(one);
            return this;
        }

        /**
         * Adds a call.
         *
         * @param call the call
         * @return this builder
         */
        public Builder add(RecordedCall call) {
            calls.add(call);
            return this;
        }

        /**
         * Adds a statement.
         *
         * @param statement the statement
         * @return this builder
         */
        public Builder add(TestStatement statement) {
            statements.add(statement);
            return this;
        }

        /**
         * Adds a note.
         *
         * @param note one text
         * @return this builder
         */
        public Builder note(String note) {
            notes.add(note);
            return this;
        }

        /**
         * Builds the claim.
         *
         * @return the finished conversation
         */
        public Conversation build() {
            return new Conversation(this);
        }
    }
}
