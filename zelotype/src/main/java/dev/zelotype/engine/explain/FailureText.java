package dev.zelotype.engine.explain;

import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.FailureDetails;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The one layout of all failures: a sentence, then titled sections; and what it tells as values.
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
     * The call that differs least from what was expected.
     *
     * @param call the call; empty if there is none
     * @param place where it was made
     * @param differences how it differs
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
     * Says which calls were expected, which the sentence tells in its own words.
     *
     * @param count how many of them
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

    /** Adds the call that came closest. */
    public FailureText closest(Closest found) {
        closest = found;
        return section("Closest", found.lines());
    }

    /** Says how two values differ, which a section tells. */
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

    /** The same text, to be added to separately. */
    public FailureText copy() {
        FailureText copy = new FailureText(out.toString());
        copy.takeDetails(this);
        return copy;
    }

    /** Tells as values what another text tells. */
    public FailureText takeDetails(FailureText other) {
        expected = other.expected;
        pattern = other.pattern;
        closest = other.closest;
        conversation = other.conversation;
        return this;
    }

    /** What it tells, as values. */
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
