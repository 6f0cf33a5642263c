package dev.zelotype.doubles;

import java.util.ArrayList;
import java.util.List;

/**
 * What the doubles of a scene were asked so far, as plain values.
 *
 * @param doubles the doubles, in the order they were made
 * @param calls the calls, in their order
 * @param notes what is worth knowing though it is not wrong, such as suppositions that no call needed
 */
public record Conversation(List<DoubleInfo> doubles, List<CallInfo> calls, List<String> notes) {

    /**
     * The same conversation with further notes.
     *
     * @param more the notes
     * @return a new conversation
     */
    public Conversation withNotes(List<String> more) {
        List<String> all = new ArrayList<>(notes);
        all.addAll(more);
        return new Conversation(doubles, calls, List.copyOf(all));
    }

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

    /**
     * A call.
     *
     * @param number its place among the calls of the scene, from 1
     * @param caller the binary name of the class that made the call; empty if not noted
     * @param receiver the name of the double
     * @param method the name of the method
     * @param arguments the arguments as text
     * @param answer what came back or was thrown, as text; empty for a void call
     * @param outcome how the call came to its answer
     * @param thread the name of the calling thread
     * @param file the source file of the call; empty if not noted
     * @param line the line in it, or 0
     */
    public record CallInfo(
            int number,
            String caller,
            String receiver,
            String method,
            List<String> arguments,
            String answer,
            Outcome outcome,
            String thread,
            String file,
            int line) {}
}
