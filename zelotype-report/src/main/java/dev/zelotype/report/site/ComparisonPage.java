package dev.zelotype.report.site;

import dev.zelotype.report.story.Comparison;
import java.io.StringWriter;
import java.util.List;
import java.util.Map;

/**
 * For Zelotype's own tools: what has changed between two test runs, as a single page.
 */
public final class ComparisonPage {

    private static final String STYLE = """
            body { font: 16px/1.5 system-ui, sans-serif; margin: 2rem auto; max-width: 70rem; padding: 0 1rem; }
            pre { border: 1px solid #8888; border-radius: 4px; overflow-x: auto; padding: .75rem; }
            .gone { color: #b3261e; } .new { color: #1a7f37; }
            @media (prefers-color-scheme: dark) {
              body { background: #16181c; color: #e6e6e6; } .gone { color: #ff9d94; } .new { color: #7ee29a; }
            }
            """;

    private ComparisonPage() {}

    /** A line of a conversation for the template. */
    private record Line(String kind, String text) {

        static Line of(String line) {
            return new Line(line.startsWith("+") ? "new" : line.startsWith("-") ? "gone" : "same", line);
        }
    }

    /** A test for the template. */
    private record Test(String title, List<Line> lines) {}

    /**
     * The page.
     *
     * @param comparison the two runs
     * @param sum the summary
     * @return HTML
     */
    public static String of(Comparison comparison, String sum) {
        List<Test> changed = comparison.changed().stream()
                .map(each -> new Test(
                        each.title(), each.lines().stream().map(Line::of).toList()))
                .toList();
        StringWriter page = new StringWriter();
        Assets.page(
                "comparison.html",
                Map.of(
                        "style",
                        STYLE,
                        "styleHash",
                        Assets.hash(STYLE),
                        "sum",
                        sum,
                        "changed",
                        changed,
                        "fresh",
                        comparison.fresh(),
                        "gone",
                        comparison.gone()),
                page);
        return page.toString();
    }
}
