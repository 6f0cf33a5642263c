package dev.zelotype.challenge;

import java.util.List;

/**
 * What the supervisor and its worker tell each other, one message a line ({@link Wire}).
 */
sealed interface Message {

    /** To the worker: what subjects return to tests is to be looked at as well. */
    record ShowResults() implements Message {}

    /** To the worker: tests are to run as they are. */
    record Plan(List<String> roots, List<String> classes, List<String> patterns) implements Message {}

    /** To the worker, which is new: some tests are to run as they are, so that what they need is loaded. */
    record WarmUp(List<String> tests) implements Message {}

    /** To the worker: one disturbance of the next round. */
    record Disturb(Disturbance disturbance) implements Message {}

    /** To the worker: the round is complete, and is to run. */
    record Go() implements Message {}

    /** Something is left out. */
    record Note(String text) implements Message {}

    /** A test begins. */
    record Began(String test) implements Message {}

    /** A call in an undisturbed test. */
    record Called(String test, Asked asked) implements Message {}

    /** A check that failed without ending its test. */
    record CheckFailed(String test, String check, String receiver, String signature, String file, int line)
            implements Message {}

    /**
     * A test has ended.
     *
     * @param verdict what its end says about its disturbance
     * @param applied what was changed, in words
     * @param failure the first line of its failure
     * @param failed whether it failed at its end, and not only in checks on the way
     */
    record Done(
            String test,
            Verdict verdict,
            String applied,
            long millis,
            String testClass,
            String title,
            String failure,
            boolean failed)
            implements Message {

        String name() {
            return testClass.substring(testClass.lastIndexOf('.') + 1) + ": " + title;
        }
    }

    /** All tests of a plan or round have ended. */
    record End() implements Message {}

    /**
     * A call as the supervisor needs to know it.
     *
     * @param ofResult whether it is the test that asks, and the subject that answers
     * @param count how often the method of this double was called in all
     * @param ofText how often it was called just so
     * @param variants how many other values its answer has
     * @param defaulted what was answered by default; empty if something was said
     * @param arguments for each argument: {@code a} if it has another value, {@code c} if it is a callback that was run
     * @param values the arguments as source; empty for one that cannot be written down
     */
    record Asked(
            String key,
            boolean ofResult,
            int occurrence,
            int count,
            int ofText,
            boolean countedExactly,
            String receiver,
            String type,
            String signature,
            String text,
            String file,
            int line,
            int variants,
            String defaulted,
            String arguments,
            List<String> names,
            List<String> values) {

        /** The method with its type's qualified name. */
        String qualifiedMethod() {
            return type + "." + signature.substring(0, signature.indexOf('('));
        }

        /** The same call, with what is known only at the end of its test. */
        Asked counted(int calls, int callsOfText, boolean exactly) {
            return new Asked(
                    key,
                    ofResult,
                    occurrence,
                    calls,
                    callsOfText,
                    exactly,
                    receiver,
                    type,
                    signature,
                    text,
                    file,
                    line,
                    variants,
                    defaulted,
                    arguments,
                    names,
                    values);
        }
    }
}
