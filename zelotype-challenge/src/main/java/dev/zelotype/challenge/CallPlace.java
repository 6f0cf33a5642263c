package dev.zelotype.challenge;

import dev.zelotype.tools.TypeNames;
import java.util.List;
import java.util.regex.Pattern;

/**
 * For builds and tools: a place in the code where a subject asks a collaborator something. Immutable.
 *
 * @since 0.2
 */
public final class CallPlace {

    private final Message.Asked asked;

    CallPlace(Message.Asked asked) {
        this.asked = asked;
    }

    /** A check of a test instead of a call, since a finding speaks of one as well. */
    static CallPlace ofCheck(Message.CheckFailed check) {
        return new CallPlace(new Message.Asked(
                check.check(),
                false,
                0,
                0,
                0,
                false,
                check.receiver(),
                "",
                check.signature(),
                check.check(),
                check.file(),
                check.line(),
                0,
                "",
                "",
                List.of(),
                List.of()));
    }

    /** Whether it is the test that asks here, and the subject that answers. */
    boolean isOfResult() {
        return asked.ofResult();
    }

    /** Whether the test says how many such calls there are, and would not have one more. */
    boolean isCountedExactly() {
        return asked.countedExactly();
    }

    String key() {
        return asked.key();
    }

    /** Matches what {@link #qualifiedMethod} gives for the methods that somebody names with their types. */
    static Pattern named(String names) {
        return Pattern.compile("(.*[.$])?(" + TypeNames.wanted(names) + ")");
    }

    String qualifiedMethod() {
        return asked.qualifiedMethod();
    }

    int occurrence() {
        return asked.occurrence();
    }

    /** How often the method of this double was called in all. */
    int count() {
        return asked.count();
    }

    /** How often it was called just so. */
    int ofText() {
        return asked.ofText();
    }

    /** The call as the pattern of a statement; empty if an argument cannot be written down. */
    String written() {
        List<String> values = asked.values();
        if (values.contains("")) {
            return "";
        }
        boolean ofInstance = !names().isEmpty() && names().get(0).equals("instance");
        List<String> given = ofInstance ? values.subList(1, values.size()) : values;
        return (ofInstance ? "(" + receiver() + " it) -> it" : "() -> " + receiver()) + "." + method() + "("
                + String.join(", ", given) + ")";
    }

    /** An argument as source; empty if it cannot be written down. */
    String value(int argument) {
        return asked.values().get(argument);
    }

    int variants() {
        return asked.variants();
    }

    /** What was answered by default; empty if something was said. */
    String defaulted() {
        return asked.defaulted();
    }

    /** For each argument: {@code a} if it has another value, {@code c} if it is a callback that was run. */
    String arguments() {
        return asked.arguments();
    }

    String name(int argument) {
        return names().get(argument);
    }

    /**
     * The double that is asked.
     *
     * @return its name
     */
    public String receiver() {
        return asked.receiver();
    }

    /**
     * The type of the double.
     *
     * @return its binary name; empty if not known
     */
    public String type() {
        return asked.type();
    }

    /**
     * The method that is called.
     *
     * @return the method with the simple names of its parameter types
     */
    public String signature() {
        return asked.signature();
    }

    /**
     * One call of it, as it would be written.
     *
     * @return such as {@code log.note("rain")}
     */
    public String text() {
        return asked.text();
    }

    /**
     * Where it stands.
     *
     * @return the source file and line
     */
    public String place() {
        return asked.file() + ":" + asked.line();
    }

    int line() {
        return asked.line();
    }

    List<String> names() {
        return asked.names();
    }

    /** The method with the name of its double, which tests of a class mostly share. */
    String called() {
        return receiver() + "." + signature();
    }

    String method() {
        return signature().substring(0, signature().indexOf('('));
    }
}
