package dev.zelotype.report.site;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;
import java.util.LinkedHashSet;
import java.util.Set;

/**
 * How often something was found, and some of the tests where it was.
 */
final class Found {

    private static final int EXAMPLES_KEPT = 5;

    int times;
    final Set<Integer> tests = new LinkedHashSet<>();
    String type = "";
    /** The suppositions of a test about the same method, but for other calls. */
    String closest = "";

    void suppose(Conversation conversation, RecordedCall call) {
        for (TestStatement statement : conversation.statements()) {
            boolean ofMethod = statement.verb() == Verb.SUPPOSED
                    && statement.receiver().equals(call.receiver())
                    && statement.signature().equals(call.signature());
            if (ofMethod && closest.isEmpty()) {
                closest = statement.text() + " at " + statement.place() + ", but " + call.receiver() + "." + call.text()
                        + " came";
            }
        }
    }

    void in(int test) {
        times++;
        if (tests.size() < EXAMPLES_KEPT) {
            tests.add(test);
        }
    }
}
