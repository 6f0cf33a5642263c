package dev.zelotype.error;

import dev.zelotype.basics.Mask;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * For hosts and writers of reports: the content of a failed check as values. Immutable; later versions may have more
 * parts.
 *
 * <pre>{@code
 * try {
 *     scene.close();
 * } catch (CheckFailure failure) {
 *     failure.details().differences().forEach(System.out::println);
 * }
 * }</pre>
 *
 * @since 0.2
 */
public final class FailureDetails {

    /** No details. */
    public static final FailureDetails NONE = new FailureDetails("", "", "", List.of(), List.of());

    private final String expected;
    private final String pattern;
    private final String closest;
    private final List<String> differences;
    private final List<String> conversation;

    private FailureDetails(
            String expected, String pattern, String closest, List<String> differences, List<String> conversation) {
        this.expected = expected;
        this.pattern = pattern;
        this.closest = closest;
        this.differences = List.copyOf(differences);
        this.conversation = List.copyOf(conversation);
    }

    /**
     * Combines details.
     *
     * @param expected the expected calls, with their count; empty for another sort of failure
     * @param pattern the expected call, without its count; empty for another sort of failure
     * @param closest the closest call; empty if there is none
     * @param differences how it differs, one line each
     * @param conversation the calls of the scene, one line each
     * @return the details, with masked text hidden
     */
    public static FailureDetails of(
            String expected, String pattern, String closest, List<String> differences, List<String> conversation) {
        return new FailureDetails(
                Mask.apply(expected),
                Mask.apply(pattern),
                Mask.apply(closest),
                differences.stream().map(Mask::apply).toList(),
                conversation.stream().map(Mask::apply).toList());
    }

    /**
     * Returns the expected calls.
     *
     * @return for example {@code exactly 1 call of mount.slewTo(any SkyTarget)}; empty for another sort of failure
     */
    public String expected() {
        return expected;
    }

    /**
     * Returns the expected call.
     *
     * @return for example {@code mount.slewTo(any SkyTarget)}, without its count; empty for another sort of failure
     */
    public String pattern() {
        return pattern;
    }

    /** The expected value in an IDE's comparison; null if there is nothing to compare. */
    @Nullable
    String comparedExpected() {
        return pattern.isEmpty() || closest.isEmpty() || differences.isEmpty() ? null : pattern;
    }

    /** The actual value in an IDE's comparison; null if there is nothing to compare. */
    @Nullable
    String comparedActual() {
        return comparedExpected() == null ? null : closest;
    }

    /**
     * Returns the closest call.
     *
     * @return for example {@code mount.slewTo(Harrow-2)}; empty if there is none
     */
    public String closest() {
        return closest;
    }

    /**
     * Returns how the closest call differs from what was expected.
     *
     * @return one line for each argument or value
     */
    public List<String> differences() {
        return differences;
    }

    /**
     * Returns the calls of the scene until then.
     *
     * @return one line each, as the message shows them
     */
    public List<String> conversation() {
        return conversation;
    }
}
