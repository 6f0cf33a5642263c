package dev.zelotype.challenge.change;

import dev.zelotype.basics.SourceText;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the supervisor and its worker tell each other, one message a line ({@link Wire}).
 */
public sealed interface Message {

    /** To the worker: what subjects return to tests is to be looked at as well. */
    record ShowResults() implements Message {}

    /**
     * To the worker: the parameters that JUnit runs with.
     *
     * @param parameters each a key, an equals sign, and a value
     */
    record Configure(List<String> parameters) implements Message {}

    /**
     * To the worker: tests are to run as they are.
     *
     * @param ofShard the classes of the roots in which tests are looked for, without those inside them; empty for all
     */
    record Plan(
            List<String> roots,
            List<String> classes,
            List<String> ofShard,
            List<String> patterns,
            List<String> includedClasses,
            List<String> excludedClasses,
            List<String> includedTags,
            List<String> excludedTags)
            implements Message {}

    /** To a new worker: some tests are to run unchanged, to load what they need. */
    record WarmUp(List<String> tests) implements Message {}

    /** To the worker: one disturbance of the next round. */
    record Disturb(Disturbance disturbance) implements Message {}

    /**
     * To the worker: a statement is to be tried at the end of a test, disturbed or not.
     *
     * @param trial the class that holds the statement
     * @param doubles the doubles that it uses
     */
    record Try(Disturbance disturbance, boolean disturbed, String trial, List<Named> doubles) implements Message {}

    /**
     * A double.
     *
     * @param name its name in messages
     * @param type the binary name of the doubled type
     */
    record Named(String name, String type) {}

    /** To the worker: the round is complete, and is to run. */
    record Go() implements Message {}

    /** Something was left out. */
    record Note(String text) implements Message {}

    /** A test begins. */
    record Began(String test) implements Message {}

    /** A call in an undisturbed test. */
    record Called(String test, Asked asked) implements Message {}

    /** A check that failed without ending its test. */
    record CheckFailed(String test, String check, String receiver, String signature, Place at) implements Message {}

    /**
     * A place in code.
     *
     * @param type the binary name of its class
     * @param file its file; the class if that is not known
     */
    record Place(String type, String method, String file, int line) {}

    /**
     * A test has ended.
     *
     * @param verdict what its end says about its disturbance
     * @param applied what was changed, in words
     * @param failure the first line of its failure
     * @param failed whether it failed at its end, and not only in checks on the way
     * @param family the class that groups it with similar tests
     * @param callsSubject whether it calls, in this test or another, a class that calls doubles
     * @param variables the variables that a statement in it may name
     * @param tried the result of the statement that was tried; empty if none was
     */
    record Done(
            String test,
            Verdict verdict,
            String applied,
            long millis,
            String testClass,
            String title,
            String failure,
            boolean failed,
            String family,
            boolean callsSubject,
            List<Variable> variables,
            String tried)
            implements Message {

        /** The statement that was tried has held. */
        public static final String HELD = "held";
        /** The statement that was tried has failed. */
        public static final String FAILED = "failed";

        public String name() {
            return testClass.substring(testClass.lastIndexOf('.') + 1) + ": " + title;
        }
    }

    /**
     * A variable of a test.
     *
     * @param type its type as source
     */
    record Variable(String name, String type) {}

    /**
     * In a file: the challenge that is kept there.
     *
     * @param setUp how its tests were run
     * @param cut how the tests were distributed over the shards
     * @param minor which further calls do not count; empty for none
     * @param complete whether all planned runs were made
     */
    record Kept(String setUp, int shard, int shards, String cut, String minor, boolean complete) implements Message {}

    /** In a file: a hash of the classes of a test. */
    record Print(String test, String print) implements Message {}

    /** In a file: a disturbed run and its result. */
    record Ran(
            Disturbance disturbance,
            Asked asked,
            Verdict verdict,
            String change,
            boolean confirms,
            List<Asked> failedChecks,
            boolean otherwise)
            implements Message {}

    /**
     * In a file: a statement was tried at the end of a test.
     *
     * @param written the statement as it is shown; empty if it did not work
     */
    record Said(String test, String statement, String written) implements Message {}

    /** All tests of a plan or round have ended. */
    record End() implements Message {}

    /**
     * A call as the supervisor needs to know it.
     *
     * @param ofResult whether the test calls here, and the subject answers
     * @param count how often the method of this double was called in total
     * @param ofText how often it was called with these arguments
     * @param from where the call is made
     * @param variants how many other values its answer has
     * @param defaulted the default answer that was given; empty if a statement set the answer
     * @param answer what was answered; empty for nothing
     * @param future whether the answer is a future, which could stay incomplete
     * @param threw whether it threw
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
            Place from,
            int variants,
            String defaulted,
            Written answer,
            boolean future,
            boolean threw,
            List<Argument> arguments) {

        /** The method with its type's qualified name. */
        public String qualifiedMethod() {
            return type + "." + signature.substring(0, signature.indexOf('('));
        }

        /** The same call, with what is known only at the end of its test. */
        public Asked atEnd(int calls, int callsOfText, boolean exactly, List<Argument> ended) {
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
                    from,
                    variants,
                    defaulted,
                    answer,
                    future,
                    threw,
                    ended);
        }
    }

    /**
     * An argument of a call.
     *
     * @param parts the parts of it that can be changed separately
     */
    record Argument(String name, Use use, Written value, List<String> parts) {

        public Argument as(Use other) {
            return new Argument(name, other, value, parts);
        }
    }

    /**
     * A value as source.
     *
     * @param code an expression; empty for a value that cannot be written down
     * @param imports the types that it names, which must be imported
     */
    record Written(String code, List<String> imports) {

        /** A value that cannot be written as source. */
        public static final Written NOTHING = new Written("", List.of());

        public static Written of(@Nullable Object value) {
            SourceText source = SourceText.of(value);
            return source == null || source.code().length() > LONGEST
                    ? NOTHING
                    : new Written(source.code(), List.copyOf(source.imports()));
        }
    }

    /** Longer source is hard to read. */
    int LONGEST = 120;

    /** What can be changed about an argument. */
    enum Use {
        /** It gets another value. */
        OTHER,
        /** It is a callback that was run. */
        CALLED,
        /** It is a callback that was not run. */
        NOT_CALLED,
        /** Nothing. */
        NONE
    }
}
