package dev.zelotype.engine.decide;

import dev.zelotype.conversation.Ending;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Columns;
import java.util.ArrayList;
import java.util.List;

/**
 * Calls as rows of a conversation. A call with a default answer is followed by the closest supposition, and the
 * argument that did not match.
 */
public final class Rows {

    private Rows() {}

    public static List<String> of(List<Call> calls) {
        return Calls.conversation(calls, Rows::missed);
    }

    private static List<String> missed(Call call) {
        if (call.ending() != Ending.DEFAULTED) {
            return List.of();
        }
        Rule closest = null;
        List<String> differences = List.of();
        for (Rule supposition :
                ((MethodState) call.log()).part().rules(call.log().method())) {
            List<String> found = Calls.differences(supposition.pattern(), call.arguments());
            if (!found.isEmpty() && (closest == null || found.size() <= differences.size())) {
                closest = supposition;
                differences = found;
            }
        }
        if (closest == null) {
            return overloadSaid(call);
        }
        List<String> lines = new ArrayList<>();
        lines.add(Columns.gap("closest supposed: " + closest.patternText(), closest.at()));
        differences.forEach(difference -> lines.add("  " + difference));
        return lines;
    }

    /** Rules of an overload, which may have been meant. */
    private static List<String> overloadSaid(Call call) {
        List<String> lines = new ArrayList<>();
        for (Rule each :
                ((MethodState) call.log()).part().rulesOfOverloads(call.log().method())) {
            lines.add(Columns.gap("another method of that name: " + each.patternText(), each.at()));
        }
        return lines;
    }
}
