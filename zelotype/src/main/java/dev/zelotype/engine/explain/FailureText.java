package dev.zelotype.engine.explain;

import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.FailureDetails;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The common layout of all failures: a sentence, then titled sections. It also contains the same information as values.
 */
public final class FailureText {

    private final StringBuilder out = new StringBuilder();
    private String expected = "";
    private String pattern = "";
    private Closest closest = Closest.NONE;
    private List<String> conversation = List.of();

    public FailureText(String sentence) {
        out.append(sentence);
    }

    /**
     * The call that is closest to what was expected.
     *
     * @param call the call; empty if there is none
     * @param place the scene that it was made in
     * @param differences its differences
     */
    public record Closest(String call, String place, List<String> differences) {

        public static final Closest NONE = new Closest("", "", List.of());

        private List<String> lines() {
            return call.isEmpty()
                    ? List.of()
                    : Stream.concat(
                                    Stream.of(Columns.gap(call, place)),
                                    differences.stream().map(each -> "  " + each))
                            .toList();
        }
    }

    /**
     * Sets the expected calls, which the sentence describes.
     *
     * @param count their number
     */
    public FailureText expected(String count, String call) {
        expected = count + " of " + call;
        pattern = call;
        return this;
    }

    /** Sets what was expected, if it is not a number of calls. */
    public FailureText expected(String words) {
        expected = words;
        return this;
    }

    /** Adds the closest call. */
    public FailureText closest(Closest found) {
        closest = found;
        return section("Closest", found.lines());
    }

    /** Sets how two values differ, which a section describes. */
    public FailureText differing(List<String> differences) {
        closest = new Closest("", "", differences);
        return section("Difference", differences);
    }

    /** Adds the conversation. */
    public FailureText conversation(String title, List<String> lines) {
        conversation = lines;
        return section(title, lines);
    }

    /** Adds a section unless it would be empty. */
    public FailureText section(String title, List<String> lines) {
        if (!lines.isEmpty()) {
            out.append("\n\n  ").append(title);
            for (String line : lines) {
                out.append("\n    ").append(line);
            }
        }
        return this;
    }

    /** A copy with the same text. */
    public FailureText copy() {
        FailureText copy = new FailureText(out.toString());
        copy.takeDetails(this);
        return copy;
    }

    /** Copies the values of another text. */
    public FailureText takeDetails(FailureText other) {
        expected = other.expected;
        pattern = other.pattern;
        closest = other.closest;
        conversation = other.conversation;
        return this;
    }

    /** Its information as values. */
    public FailureDetails details() {
        return FailureDetails.of(expected, pattern, closest.call(), closest.differences(), conversation);
    }

    /** The failure with this text. */
    public CheckFailure failure(@Nullable Throwable cause) {
        return new CheckFailure(toString(), cause, details());
    }

    @Override
    public String toString() {
        return out.toString();
    }
}
