package dev.zelotype.challenge.worker;

import dev.zelotype.challenge.change.Message;
import java.lang.StackWalker.StackFrame;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Checks that have failed in a disturbed test without ending it, so that other checks can fail as well. Safe for use
 * from any thread.
 */
final class FailedChecks {

    private final Map<String, Failed> failed = new LinkedHashMap<>();

    private record Failed(String check, String receiver, String signature, StackFrame at) {}

    /**
     * Records a failed check. A check inside a lambda may be called by other code: it may be retried until it passes,
     * or be expected to fail.
     *
     * @return whether the test goes on
     */
    synchronized boolean keep(String check, String receiver, String signature, @Nullable StackFrame at) {
        boolean kept = at != null
                && TestClasses.has(at.getClassName())
                && !at.getMethodName().startsWith("lambda$");
        if (kept) {
            failed.put(check + at, new Failed(check, receiver, signature, at));
        }
        return kept;
    }

    /** The recorded checks, as they are reported to the supervisor. */
    synchronized List<Message.CheckFailed> all(String test) {
        return failed.values().stream()
                .map(each -> new Message.CheckFailed(
                        test, each.check(), each.receiver(), each.signature(), CallParts.place(each.at())))
                .toList();
    }
}
