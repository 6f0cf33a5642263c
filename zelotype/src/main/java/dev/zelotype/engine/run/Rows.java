package dev.zelotype.engine.run;

import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Columns;
import dev.zelotype.engine.journal.CallRecord;
import dev.zelotype.engine.journal.CallRecord.Ending;
import java.util.ArrayList;
import java.util.List;

/**
 * Calls as rows of a conversation. Below one that was answered by default stands the supposition that came closest, and the
 * argument in which it missed.
 */
final class Rows {

    private Rows() {}

    static List<String> of(List<CallRecord> calls) {
        return Calls.conversation(calls, Rows::missed);
    }

    private static List<String> missed(CallRecord call) {
        if (call.ending() != Ending.DEFAULTED) {
            return List.of();
        }
        Supposition closest = null;
        List<String> differences = List.of();
        Told told = (Told) call.log().owner();
        for (Supposition supposition :
                told.partOf(call.log()).suppositions(call.log().method())) {
            List<String> found = Calls.differences(supposition.pattern(), call.arguments());
            if (!found.isEmpty() && (closest == null || found.size() <= differences.size())) {
                closest = supposition;
                differences = found;
            }
        }
        if (closest == null) {
            return List.of();
        }
        List<String> lines = new ArrayList<>();
        lines.add(Columns.gap("closest supposed: " + closest.patternText(), closest.line()));
        differences.forEach(difference -> lines.add("  " + difference));
        return lines;
    }
}
