package dev.zelotype.report.story;

import dev.zelotype.conversation.Ending;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.Role;
import dev.zelotype.conversation.TestStatement;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * For Zelotype's own tools: a step of a conversation: one message, or several repeated ones.
 */
public sealed interface Item {

    /**
     * Returns how many calls it represents.
     *
     * @return the number, at least 1; 0 for a missing call
     */
    int calls();

    /** A call from one lifeline to another, or a missing call that the test required. */
    final class Message implements Item {

        private static final String CREATION = "new(";

        private final int from;
        private final int to;
        private final @Nullable RecordedCall call;
        private final String text;
        private final String signature;
        private final String place;
        private final String thread;

        private Message(
                int from,
                int to,
                @Nullable RecordedCall call,
                String text,
                String signature,
                String place,
                String thread) {
            this.from = from;
            this.to = to;
            this.call = call;
            this.text = text;
            this.signature = signature;
            this.place = place;
            this.thread = thread;
        }

        /** A call that happened; its thread is shown unless it is the test's own. */
        static Message of(RecordedCall call, int from, int to, String ownThread) {
            String thread = call.thread().equals(ownThread) ? "" : call.thread();
            String text = call.signature().startsWith(CREATION)
                    ? "new " + call.receiver() + call.text().substring(CREATION.length() - 1)
                    : call.instance().isEmpty() ? call.text() : call.instance() + "." + call.text();
            return new Message(from, to, call, text, call.signature(), call.place(), thread);
        }

        /** A call that a statement required, but that did not happen. */
        static Message missing(TestStatement statement, int from, int to) {
            String prefix = statement.receiver() + ".";
            String wanted = statement.min() == 1 ? "1 call" : statement.min() + " calls";
            String there = statement.found() == 0
                    ? "there was none"
                    : statement.found() == 1 ? "there was 1" : "there were " + statement.found();
            String text = statement.text().startsWith(prefix)
                    ? statement.text().substring(prefix.length())
                    : statement.text();
            return new Message(
                    from,
                    to,
                    null,
                    text + ": " + (statement.isExact() ? "" : "at least ") + wanted + " expected, " + there,
                    statement.signature(),
                    statement.place(),
                    "");
        }

        /**
         * Tells whether another message is the same call, regardless of arguments and answers.
         *
         * @param other the other message
         * @return false if either is missing
         */
        boolean isAlike(Message other) {
            return call != null
                    && other.call != null
                    && from == other.from
                    && to == other.to
                    && signature.equals(other.signature)
                    && role() == other.role()
                    && isDefaulted() == other.isDefaulted()
                    && (call.ending() == Ending.THREW) == (other.call.ending() == Ending.THREW);
        }

        @Override
        public int calls() {
            return call == null ? 0 : 1;
        }

        /**
         * Returns the position of the call among all calls of the test.
         *
         * @return from 1; 0 for a missing call
         */
        public int number() {
            return call == null ? 0 : call.number();
        }

        /**
         * Returns the calling lifeline.
         *
         * @return its number, from 0
         */
        public int from() {
            return from;
        }

        /**
         * Returns the called lifeline.
         *
         * @return its number, from 0
         */
        public int to() {
            return to;
        }

        /**
         * Returns the call as source, without the double's name.
         *
         * @return the text; for a missing call including what is missing
         */
        public String text() {
            return text;
        }

        /**
         * Returns the answer with its origin: {@code = 95}, {@code = "" (by default)}, {@code threw ...}.
         *
         * @return the text; empty if nothing was returned
         */
        public String answerText() {
            return call == null ? "" : call.answerText();
        }

        /**
         * Tells whether the answer is a default answer.
         *
         * @return false for a void call
         */
        public boolean isDefaulted() {
            return call != null
                    && call.ending() == Ending.DEFAULTED
                    && !call.answer().isEmpty();
        }

        /**
         * Returns the test's verdict on it.
         *
         * @return the role
         */
        public Role role() {
            return call == null ? Role.MISSING : call.role();
        }

        /**
         * Returns the source file and line.
         *
         * @return empty if not recorded
         */
        public String place() {
            return place;
        }

        /**
         * Returns the calling thread.
         *
         * @return empty if it is the test's own
         */
        public String thread() {
            return thread;
        }

        /**
         * Returns when the call began.
         *
         * @return microseconds since the test's scene opened
         */
        public long micros() {
            return call == null ? 0 : call.micros();
        }

        /**
         * Returns how long the call took.
         *
         * @return microseconds; -1 if unknown
         */
        public long tookMicros() {
            return call == null ? -1 : call.tookMicros();
        }

        /**
         * Tells whether the call failed without throwing: through its future or a callback.
         *
         * @return as the call reports it; false for a missing call
         */
        public boolean failedLater() {
            return call != null && call.failed() && call.ending() != Ending.THREW;
        }
    }

    /**
     * Repeated messages, shown once.
     *
     * @param times how often
     * @param messages the first round
     */
    record Loop(int times, List<Message> messages) implements Item {

        @Override
        public int calls() {
            return times * messages.size();
        }
    }
}
