package dev.zelotype.report.story;

import dev.zelotype.conversation.Ending;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.Role;
import dev.zelotype.conversation.TestStatement;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * For Zelotype's own tools: a step of a conversation: one message, or several that are repeated.
 */
public sealed interface Item {

    /**
     * How many calls it represents.
     *
     * @return the number, at least 1; 0 for a missing call
     */
    int calls();

    /** A call from one lifeline to another, or one that the test asked for and that is missing. */
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

        /** A call that happened; its thread is told unless it is the test's own. */
        static Message of(RecordedCall call, int from, int to, String ownThread) {
            String thread = call.thread().equals(ownThread) ? "" : call.thread();
            String text = call.signature().startsWith(CREATION)
                    ? "new " + call.receiver() + call.text().substring(CREATION.length() - 1)
                    : call.instance().isEmpty() ? call.text() : call.instance() + "." + call.text();
            return new Message(from, to, call, text, call.signature(), call.place(), thread);
        }

        /** A call that a statement asked for, and that did not happen. */
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
                    text + ": " + (statement.isExact() ? "" : "at least ") + wanted + " wanted, " + there,
                    statement.signature(),
                    statement.place(),
                    "");
        }

        /**
         * Whether another message is the same call, whatever its arguments and answers.
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
         * The place of the call among all of the test.
         *
         * @return from 1; 0 for one that is missing
         */
        public int number() {
            return call == null ? 0 : call.number();
        }

        /**
         * The calling lifeline.
         *
         * @return its number, from 0
         */
        public int from() {
            return from;
        }

        /**
         * The called lifeline.
         *
         * @return its number, from 0
         */
        public int to() {
            return to;
        }

        /**
         * The call as it would be written, without the double's name.
         *
         * @return the text; for a missing call with what is missing
         */
        public String text() {
            return text;
        }

        /**
         * The answer with what is to be known of it: {@code = 95}, {@code = "" (by default)}, {@code threw ...}.
         *
         * @return the text; empty if nothing was returned
         */
        public String answerText() {
            return call == null ? "" : call.answerText();
        }

        /**
         * Whether the answer is a default answer, because none was supposed.
         *
         * @return false for a call that gives nothing back
         */
        public boolean isDefaulted() {
            return call != null
                    && call.ending() == Ending.DEFAULTED
                    && !call.answer().isEmpty();
        }

        /**
         * What the test thinks of it.
         *
         * @return the role
         */
        public Role role() {
            return call == null ? Role.MISSING : call.role();
        }

        /**
         * The source file and line.
         *
         * @return empty if not noted
         */
        public String place() {
            return place;
        }

        /**
         * The calling thread.
         *
         * @return empty if it is the test's own
         */
        public String thread() {
            return thread;
        }

        /**
         * When the call began.
         *
         * @return microseconds since the test's scene opened
         */
        public long micros() {
            return call == null ? 0 : call.micros();
        }

        /**
         * How long the call took.
         *
         * @return microseconds; -1 if not known
         */
        public long tookMicros() {
            return call == null ? -1 : call.tookMicros();
        }

        /**
         * Whether the call failed though it did not throw: by its future, or by a callback.
         *
         * @return as the call tells it; false for one that is missing
         */
        public boolean failedLater() {
            return call != null && call.failed() && call.ending() != Ending.THREW;
        }
    }

    /**
     * Messages that came again and again, shown once.
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
