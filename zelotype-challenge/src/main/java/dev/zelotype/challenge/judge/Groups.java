package dev.zelotype.challenge.judge;

import dev.zelotype.challenge.change.Baseline;
import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.change.Tried;
import dev.zelotype.challenge.change.Verdict;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The results of the disturbed runs for each place and each possible change there, over all tests.
 */
final class Groups {

    private final Map<Key, Group> byKey = new LinkedHashMap<>();

    /** If a place has several other values, it is enough that one is noticed, so they share an index. */
    private record Key(String site, ChangeKind kind, int index, String part) {}

    Groups(List<Tried> tried, Map<String, Baseline> tests) {
        for (Tried each : tried) {
            if (each.verdict() == Verdict.ABORTED || each.disturbance().kind() == ChangeKind.EXTRA) {
                continue;
            }
            ChangeKind kind = each.disturbance().kind();
            int index = kind.isOfValue() ? 0 : each.disturbance().index();
            String part = each.disturbance().part();
            Group group = byKey.computeIfAbsent(
                    new Key(each.disturbance().site(), kind, index, part),
                    key -> new Group(each.site(), kind, index, part));
            group.tests.add(tests.get(each.disturbance().test()).name());
            group.noticed |= each.verdict() == Verdict.NOTICED;
            group.unclear |= each.verdict() == Verdict.UNCLEAR;
            if (each.verdict() == Verdict.PASSED) {
                group.passing.add(each.disturbance());
                // The test that makes the fewest such calls needs the simplest statement.
                if (!group.passed || each.site().count() < group.site.count()) {
                    group.passed = true;
                    group.first = each.disturbance();
                    group.change = each.change();
                    group.site = each.site();
                    group.test = tests.get(each.disturbance().test()).name();
                }
            }
        }
    }

    Collection<Group> all() {
        return byKey.values();
    }

    /** The result of a change that can be made only once at a place; null if it was not tried. */
    @Nullable
    Group of(CallPlace site, ChangeKind kind) {
        return of(site, kind, 0);
    }

    private @Nullable Group of(CallPlace site, ChangeKind kind, int index) {
        return byKey.get(new Key(site.key(), kind, index, ""));
    }

    /** Whether some test notices a change that can be made only once at a place. */
    boolean isNoticed(CallPlace site, ChangeKind kind) {
        Group known = of(site, kind);
        return known != null && known.noticed;
    }

    /**
     * Whether another finding at the same place covers it. If a test checks the answer of a call, the call counts as
     * checked. If a call may be left out, its arguments do not matter. A statement that sets an answer shows that the
     * answer matters, so for a query that is reported, rather than that the call may be left out.
     */
    boolean isSaidAlready(Group group) {
        Group answer = of(group.site, ChangeKind.ANSWER);
        Group lost = of(group.site, ChangeKind.LOST);
        boolean looksAtAnswer = answer != null && answer.noticed;
        boolean answerInVain = answer != null
                && answer.passed
                && !answer.noticed
                && group.site.defaulted().isEmpty();
        boolean mayBeLost = lost != null && !lost.noticed && lost.passed && !looksAtAnswer;
        return switch (group.kind) {
            case LOST -> looksAtAnswer || answerInVain && !Verbs.isCommand(group.site.method());
            case ANSWER -> mayBeLost && !answerInVain;
            case ARGUMENT -> mayBeLost || !group.part.isEmpty() && !isWholeNoticed(group);
            case TWICE -> mayBeLost;
            case CALLBACK, RESULT, EXTRA, THROWN, SILENT, ORDER -> false;
        };
    }

    private boolean isWholeNoticed(Group ofPart) {
        Group whole = of(ofPart.site, ofPart.kind, ofPart.index);
        return whole != null && whole.noticed;
    }
}
