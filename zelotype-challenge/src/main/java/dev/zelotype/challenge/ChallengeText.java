package dev.zelotype.challenge;

import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.ChallengedTest;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.tools.Sentences;
import dev.zelotype.tools.TestNames;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.BiFunction;

/**
 * For builds and tools: what a challenge has found, as lines for a reader.
 *
 * <pre>{@code
 * ChallengeText.lines(result).forEach(System.out::println);
 * }</pre>
 *
 * @since 0.2
 */
public final class ChallengeText {

    private static final int WIDTH = 100;

    private ChallengeText() {}

    /** The role of a line, for highlighting. */
    public enum Part {
        /** A heading above findings. */
        TITLE,
        /** A statement that can be pasted into a test. */
        STATEMENT,
        /** The line that names the test. */
        PLACE
    }

    /**
     * Returns the whole result: the tests with what they noticed, the findings with the statements to write, and the
     * total.
     *
     * @param result the result
     * @return lines
     */
    public static List<String> lines(ChallengeResult result) {
        return lines(result, WIDTH, (part, line) -> line);
    }

    /**
     * As {@link #lines(ChallengeResult)}, with some lines highlighted.
     *
     * @param result the result
     * @param width the most characters of a sentence in one line; statements are never broken
     * @param marked returns a line as it is shown
     * @return lines
     */
    public static List<String> lines(ChallengeResult result, int width, BiFunction<Part, String, String> marked) {
        List<String> lines = new ArrayList<>();
        lines.add("Each test ran again with one thing changed at a time between its subject and a double.");
        lines.add("");
        lines.addAll(tests(result));
        for (Finding.Weight weight : Finding.Weight.values()) {
            List<Finding> these = result.findings().stream()
                    .filter(finding -> finding.weight() == weight)
                    .toList();
            if (!these.isEmpty()) {
                lines.add("");
                String title = title(weight, these.size());
                lines.add(weight == Finding.Weight.NOTE ? title : marked.apply(Part.TITLE, title));
                for (Finding finding : these) {
                    lines.add("");
                    add(finding, lines, width, marked);
                }
            }
        }
        if (!result.leftOut().isEmpty()) {
            lines.add("");
            lines.add("left out:");
            result.leftOut().forEach(reason -> lines.add("  " + reason));
        }
        lines.add("");
        lines.add(sum(result));
        return lines;
    }

    /**
     * Returns one finding, with the statement to write.
     *
     * @param finding the finding
     * @param width the most characters of a sentence in one line; statements are never broken
     * @param marked returns a line as it is shown
     * @return lines
     */
    public static List<String> lines(Finding finding, int width, BiFunction<Part, String, String> marked) {
        List<String> lines = new ArrayList<>();
        add(finding, lines, width, marked);
        return lines;
    }

    private static List<String> tests(ChallengeResult result) {
        int width = result.tests().stream()
                .mapToInt(test -> TestNames.readable(test.name()).length())
                .max()
                .orElse(0);
        List<String> lines = new ArrayList<>();
        for (ChallengedTest test : result.tests()) {
            lines.add(String.format(
                            Locale.ROOT,
                            "%-" + Math.max(1, width) + "s  noticed %d of %d%s",
                            TestNames.readable(test.name()),
                            test.noticed(),
                            test.noticed() + test.unnoticed() + test.unclear(),
                            test.unclear() == 0 ? "" : ", " + test.unclear() + " unclear")
                    .stripTrailing());
        }
        return lines;
    }

    private static String title(Finding.Weight weight, int count) {
        return switch (weight) {
            case GAP ->
                count == 1 ? "1 gap: a change that no test noticed" : count + " gaps: changes that no test noticed";
            case UNCLEAR -> count + " unclear: tests crash, so it is unclear whether a check would notice";
            case QUESTION ->
                count == 1
                        ? "1 question: a change that no test noticed, and that a test could cover"
                        : count + " questions: changes that no test noticed, and that a test could cover";
            case MINOR ->
                count == 1
                        ? "1 change in logging, metrics or audit, which does not count"
                        : count + " changes in logging, metrics or audit, which do not count";
            case NOTE -> "worth knowing:";
        };
    }

    /** Returns a finding as its sentence, the statement to write and the tests that reach the call. */
    private static void add(Finding finding, List<String> lines, int width, BiFunction<Part, String, String> marked) {
        lines.addAll(Sentences.wrapped(finding.sentence(), width));
        if (!finding.statement().isEmpty()) {
            finding.statement().lines().forEach(each -> lines.add(marked.apply(Part.STATEMENT, "      " + each)));
        }
        if (finding.weight() == Finding.Weight.GAP || finding.weight() == Finding.Weight.UNCLEAR) {
            String test = TestNames.readable(finding.tests().get(0));
            lines.add(marked.apply(
                    Part.PLACE, "      in " + test + others(finding.tests().size() - 1)));
        }
    }

    private static String others(int count) {
        return count == 0
                ? ""
                : count == 1 ? ", or the other test that reaches it" : ", or one of " + count + " others";
    }

    /**
     * Returns the last line.
     *
     * @param result the result
     * @return how many of the disturbed places were noticed
     */
    public static String sum(ChallengeResult result) {
        int places = result.noticed() + result.gaps();
        String share = result.isEmpty()
                ? "no place was disturbed"
                : String.format(
                        Locale.ROOT,
                        "%d of %d disturbed places noticed (%.1f %%)",
                        result.noticed(),
                        places,
                        result.percent());
        return String.format(
                Locale.ROOT,
                "%s, in %d runs of %d %s%s%s",
                share,
                result.runs(),
                result.tests().size(),
                result.tests().size() == 1 ? "test" : "tests",
                result.reused() == 0 ? "" : "; " + result.reused() + " runs of an earlier challenge still hold",
                result.isComplete() ? "" : "; not complete: stopped, or the time was up");
    }

    /**
     * Reports that too little was noticed.
     *
     * @param result the result
     * @param wanted the required share, in percent
     * @return a sentence; empty if enough was noticed
     */
    public static String shortfall(ChallengeResult result, double wanted) {
        if (result.isEmpty() && wanted > 0) {
            return "No place was disturbed, so it is unknown whether the "
                    + String.format(Locale.ROOT, "%.1f %%", wanted) + " asked for are noticed.";
        }
        return result.percent() >= wanted
                ? ""
                : String.format(
                        Locale.ROOT,
                        "%.1f %% of the disturbed places are noticed, less than the %.1f %% asked for.",
                        result.percent(),
                        wanted);
    }
}
