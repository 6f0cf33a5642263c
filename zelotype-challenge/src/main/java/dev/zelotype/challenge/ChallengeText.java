package dev.zelotype.challenge;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * For builds and tools: what a challenge has found, as lines for a reader.
 *
 * <pre>{@code
 * ChallengeText.lines(result).forEach(System.out::println);
 * }</pre>
 */
public final class ChallengeText {

    private static final int WIDTH = 100;

    private ChallengeText() {}

    /**
     * All of a result: the tests with what they noticed, the findings with the statements to write, and the sum.
     *
     * @param result the result
     * @return lines
     */
    public static List<String> lines(ChallengeResult result) {
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
                lines.add(title(weight, these.size()));
                for (Finding finding : these) {
                    lines.add("");
                    lines.addAll(finding(finding));
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

    private static List<String> tests(ChallengeResult result) {
        int width = result.tests().stream()
                .mapToInt(test -> test.name().length())
                .max()
                .orElse(0);
        List<String> lines = new ArrayList<>();
        for (ChallengedTest test : result.tests()) {
            lines.add(String.format(
                            Locale.ROOT,
                            "%-" + Math.max(1, width) + "s  noticed %d of %d%s",
                            test.name(),
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
            case UNCLEAR -> count + " unclear: tests crash, and nobody knows whether they would look";
            case NOTE -> "worth knowing:";
        };
    }

    /**
     * A finding as its sentence, the statement to write and the tests that reach the call.
     *
     * @param finding the finding
     * @return lines
     */
    public static List<String> finding(Finding finding) {
        List<String> lines = new ArrayList<>();
        wrap(finding.sentence(), lines);
        if (!finding.statement().isEmpty()) {
            lines.add("      " + finding.statement());
        }
        if (finding.weight() != Finding.Weight.NOTE) {
            lines.add("      in " + finding.tests().get(0)
                    + others(finding.tests().size() - 1));
        }
        return lines;
    }

    /** Breaks a sentence between words; what follows the first line stands a little further in. */
    private static void wrap(String sentence, List<String> lines) {
        StringBuilder line = new StringBuilder("  ");
        for (String word : sentence.split(" ")) {
            if (line.length() + word.length() >= WIDTH && line.length() > 4) {
                lines.add(line.toString());
                line.setLength(0);
                line.append("    ");
            } else if (!line.toString().isBlank()) {
                line.append(' ');
            }
            line.append(word);
        }
        lines.add(line.toString());
    }

    private static String others(int count) {
        return count == 0
                ? ""
                : count == 1 ? ", or the other test that reaches it" : ", or one of " + count + " others";
    }

    /**
     * The last line.
     *
     * @param result the result
     * @return how many of the disturbed places were noticed
     */
    public static String sum(ChallengeResult result) {
        int places = result.noticed() + result.gaps();
        return String.format(
                Locale.ROOT,
                "%d of %d disturbed places noticed (%.1f %%), in %d runs of %d %s%s",
                result.noticed(),
                places,
                result.percent(),
                result.runs(),
                result.tests().size(),
                result.tests().size() == 1 ? "test" : "tests",
                result.isComplete() ? "" : "; not complete: stopped, or the time was up");
    }
}
