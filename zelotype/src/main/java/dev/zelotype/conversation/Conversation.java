package dev.zelotype.conversation;

import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.NamedDouble;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * For readers of results: what the doubles of a scene were told and asked so far, as plain values. Immutable; more may
 * be told in later versions.
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
     * Begins a new, empty conversation.
     *
     * @return a builder
     */
    public static Builder builder() {
        return new Builder();
    }

    /**
     * The class that the scene built as the subject.
     *
     * @return its binary name; empty if the scene built none
     */
    public String subject() {
        return subject;
    }

    /**
     * The doubled types.
     *
     * @return each once
     */
    public List<DoubledType> types() {
        return types;
    }

    /**
     * The doubles.
     *
     * @return in the order they were made
     */
    public List<NamedDouble> doubles() {
        return doubles;
    }

    /**
     * The calls.
     *
     * @return in their order
     */
    public List<RecordedCall> calls() {
        return calls;
    }

    /**
     * What the test said of calls.
     *
     * @return in the order it was said
     */
    public List<TestStatement> statements() {
        return statements;
    }

    /**
     * What is worth knowing though it is not wrong.
     *
     * @return one text each, such as a supposition that no call needed
     */
    public List<String> notes() {
        return notes;
    }

    /**
     * The same conversation with further notes.
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
     * What each double is a double of.
     *
     * @return the binary names of the doubled types, by the names of the doubles
     */
    public Map<String, String> typesOfDoubles() {
        Map<String, String> byName = new HashMap<>();
        doubles.forEach(each -> byName.put(each.name(), each.type()));
        return byName;
    }

    /** Puts a conversation together. Not safe for use from several threads. */
    public static final class Builder {

        private String subject = "";
        private final List<DoubledType> types = new ArrayList<>();
        private final List<NamedDouble> doubles = new ArrayList<>();
        private final List<RecordedCall> calls = new ArrayList<>();
        private final List<TestStatement> statements = new ArrayList<>();
        private final List<String> notes = new ArrayList<>();

        private Builder() {}

        /**
         * Says which class is the subject.
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
