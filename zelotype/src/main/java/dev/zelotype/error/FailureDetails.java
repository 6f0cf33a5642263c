package dev.zelotype.error;

import dev.zelotype.basics.Mask;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * For hosts and writers of reports: what a failed check tells, as values. Immutable; more may be told in later versions.
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

    /** Nothing is known but the message. */
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
     * Puts details together.
     *
     * @param expected the calls that were expected, with their count; empty if that is not what failed
     * @param pattern the call that was expected, without its count; empty if that is not what failed
     * @param closest the call that came closest; empty if there is none
     * @param differences how it differs, one line each
     * @param conversation the calls of the scene, one line each
     * @return the details, without what is masked
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
     * The calls that were expected.
     *
     * @return such as {@code exactly 1 call of mount.slewTo(any SkyTarget)}; empty if that is not what failed
     */
    public String expected() {
        return expected;
    }

    /**
     * The call that was expected.
     *
     * @return such as {@code mount.slewTo(any SkyTarget)}, without its count; empty if that is not what failed
     */
    public String pattern() {
        return pattern;
    }

    /** What an IDE shows beside the closest call; null if there is nothing to compare. */
    @Nullable
    String comparedExpected() {
        return pattern.isEmpty() || closest.isEmpty() || differences.isEmpty() ? null : pattern;
    }

    /** What an IDE shows beside the expected call; null if there is nothing to compare. */
    @Nullable
    String comparedActual() {
        return comparedExpected() == null ? null : closest;
    }

    /**
     * The call that came closest.
     *
     * @return such as {@code mount.slewTo(Harrow-2)}; empty if there is none
     */
    public String closest() {
        return closest;
    }

    /**
     * How the closest call differs from what was expected.
     *
     * @return one line for each argument or value
     */
    public List<String> differences() {
        return differences;
    }

    /**
     * The calls of the scene until then.
     *
     * @return one line each, as the message shows them
     */
    public List<String> conversation() {
        return conversation;
    }
}
