package dev.zelotype.challenge.judge;

import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.challenge.finding.Finding.Weight;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Findings about the same two classes with the same statements.
 */
final class Statements {

    private Statements() {}

    /** Findings that one statement closes are reported as one; the first represents the others. */
    static List<Finding> once(List<Finding> findings) {
        Map<Object, Finding> byStatement = new LinkedHashMap<>();
        for (Finding each : findings) {
            Object key = each.proposals().isEmpty()
                    ? new Object()
                    : List.of(
                            each.weight(),
                            each.kind(),
                            each.site().caller(),
                            each.site().type(),
                            each.proposals().get(0).statement(),
                            tests(each));
            byStatement.merge(key, each, Finding::alsoIn);
        }
        return new ArrayList<>(byStatement.values());
    }

    /** Questions are asked once for each kind of test, gaps once in total. */
    private static Object tests(Finding finding) {
        return finding.weight() == Weight.QUESTION ? finding.tests() : "";
    }
}
