package dev.zelotype.doubles;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What the doubles of a scene were told and asked so far, as plain values.
 *
 * @param subject the binary name of the class that the scene built as the subject; empty if it built none
 * @param types the doubled types, each once
 * @param doubles the doubles, in the order they were made
 * @param calls the calls, in their order
 * @param statements what the test said of calls, in the order it was said
 * @param notes what is worth knowing though it is not wrong, such as suppositions that no call needed
 */
public record Conversation(
        String subject,
        List<TypeInfo> types,
        List<DoubleInfo> doubles,
        List<CallInfo> calls,
        List<StatementInfo> statements,
        List<String> notes) {

    /**
     * The same conversation with further notes.
     *
     * @param more the notes
     * @return a new conversation
     */
    public Conversation withNotes(List<String> more) {
        List<String> all = new ArrayList<>(notes);
        all.addAll(more);
        return new Conversation(subject, types, doubles, calls, statements, List.copyOf(all));
    }

    /**
     * What each double is a double of.
     *
     * @return the binary names of the doubled types, by the names of the doubles
     */
    public Map<String, String> typesOfDoubles() {
        Map<String, String> types = new HashMap<>();
        doubles.forEach(info -> types.put(info.name(), info.type()));
        return types;
    }

    /**
     * A type that doubles were made of.
     *
     * @param name its binary name
     * @param methods the methods that its doubles answer, such as {@code humidityAt(String)}
     */
    public record TypeInfo(String name, List<String> methods) {}

    /**
     * A double of the scene.
     *
     * @param name its name in messages
     * @param kind its kind
     * @param type the binary name of the doubled type
     */
    public record DoubleInfo(String name, Kind kind, String type) {}

    /** How a call came to its answer. */
    public enum Outcome {
        /** It has not returned yet. */
        RUNNING,
        /** The test said what it answers. */
        ANSWERED,
        /** Nobody said what it answers, so an empty value came back. */
        DEFAULTED,
        /** Real code answered. */
        REAL,
        /** It threw, as told or by real code. */
        THREW,
        /** The double refused it. */
        UNEXPECTED
    }

    /** What the test thinks of a call. */
    public enum Role {
        /** An expectation was met by it, or a check has found it. */
        EXPECTED,
        /** It may happen, and nobody insists on it. */
        ALLOWED,
        /** The double refused it. */
        UNEXPECTED
    }

    /** What a statement of a test does. */
    public enum Verb {
        /** Says what a call answers. */
        SUPPOSED,
        /** Says beforehand that a call must happen. */
        EXPECTED,
        /** Asks afterwards whether a call happened. */
        VERIFIED
    }

    /**
     * A call.
     *
     * @param number its place among the calls of the scene, from 1
     * @param caller the binary name of the class that made the call; empty if not noted
     * @param receiver the name of the double
     * @param method the name of the method
     * @param signature the method as {@link TypeInfo} lists it
     * @param arguments the arguments as text
     * @param answer what came back or was thrown, as text; empty for a void call
     * @param outcome how the call came to its answer
     * @param role what the test thinks of it
     * @param thread the name of the calling thread
     * @param file the source file of the call; empty if not noted
     * @param line the line in it, or 0
     * @param micros when it began, in microseconds since the scene opened; 0 unless the scene keeps details
     */
    public record CallInfo(
            int number,
            String caller,
            String receiver,
            String method,
            String signature,
            List<String> arguments,
            String answer,
            Outcome outcome,
            Role role,
            String thread,
            String file,
            int line,
            long micros) {}

    /**
     * A statement of the test about calls.
     *
     * @param verb what it does
     * @param receiver the name of the double
     * @param signature the method as {@link TypeInfo} lists it
     * @param text the calls that it covers, such as {@code mount.track(any SkyTarget, 3)}
     * @param min the least number of calls that it asks for; 0 for a supposition
     * @param max the greatest; {@link Integer#MAX_VALUE} for any number
     * @param found how many there were; for a supposition 1 if any call needed it, else 0
     * @param query whether the method gives a value back
     * @param parameters how many parameters the method has
     * @param pinned how many of its arguments must equal a value
     * @param order the number of the {@code inThisOrder} block that it stands in, from 1; 0 for none
     * @param place the source file and line; empty if not known
     */
    public record StatementInfo(
            Verb verb,
            String receiver,
            String signature,
            String text,
            int min,
            int max,
            int found,
            boolean query,
            int parameters,
            int pinned,
            int order,
            String place) {

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
    }
}
