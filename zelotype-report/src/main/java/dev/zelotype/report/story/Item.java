package dev.zelotype.report.story;

import java.util.List;

/**
 * A step of a conversation: one message, or several that are repeated.
 */
public sealed interface Item {

    /**
     * How many calls it stands for.
     *
     * @return the number, at least 1; 0 for a missing call
     */
    int calls();

    /**
     * A call, and what came back.
     *
     * @param number the place of the call among all of the test, from 1; 0 for one that is missing
     * @param from the number of the calling lifeline, from 0
     * @param to the number of the called one
     * @param signature the method with the simple names of its parameter types
     * @param text the call as it would be written, without the double's name
     * @param answer what came back or was thrown; empty if nothing did
     * @param defaulted whether the answer is an empty value, since nobody said what to answer
     * @param threw whether the answer was thrown
     * @param mark what the test thinks of it
     * @param place the source file and line; empty if not noted
     * @param thread the calling thread; empty if it is the test's own
     * @param micros microseconds since the test's scene opened
     */
    record Message(
            int number,
            int from,
            int to,
            String signature,
            String text,
            String answer,
            boolean defaulted,
            boolean threw,
            Mark mark,
            String place,
            String thread,
            long micros)
            implements Item {

        @Override
        public int calls() {
            return mark == Mark.MISSING ? 0 : 1;
        }

        /** Whether another message is the same call, whatever its arguments and answers. */
        boolean isAlike(Message other) {
            return from == other.from
                    && to == other.to
                    && signature.equals(other.signature)
                    && mark == other.mark
                    && defaulted == other.defaulted
                    && threw == other.threw;
        }

        /**
         * The answer with what is to be known of it: {@code = 95}, {@code = "" (by default)}, {@code threw ...}.
         *
         * @return the text; empty if nothing came back
         */
        public String answerText() {
            if (answer.isEmpty()) {
                return mark == Mark.UNEXPECTED ? "refused" : "";
            }
            return threw ? "threw " + answer : "= " + answer + (defaulted ? " (by default)" : "");
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
