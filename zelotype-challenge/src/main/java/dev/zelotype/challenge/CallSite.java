package dev.zelotype.challenge;

import dev.zelotype.tools.TypeNames;
import java.util.List;
import java.util.regex.Pattern;

/**
 * For builds and tools: a place in the code where a subject asks a collaborator something. Immutable.
 */
public final class CallSite {

    /** How the key begins of a place where a test asks its subject something. */
    static final String OF_RESULT = "result ";

    private final String key;
    private final int occurrence;
    private final int count;
    private final String receiver;
    private final String signature;
    private final String text;
    private final String file;
    private final int line;
    private final int variants;
    private final String defaulted;
    private final String arguments;
    private final List<String> names;
    private final int ofText;
    private final List<String> values;
    private final boolean countedExactly;

    CallSite(List<String> fields) {
        key = fields.get(0);
        occurrence = Integer.parseInt(fields.get(1));
        count = Integer.parseInt(fields.get(2));
        ofText = Integer.parseInt(fields.get(3));
        countedExactly = Boolean.parseBoolean(fields.get(4));
        receiver = fields.get(5);
        signature = fields.get(6);
        text = fields.get(7);
        file = fields.get(8);
        line = Integer.parseInt(fields.get(9));
        variants = Integer.parseInt(fields.get(10));
        defaulted = fields.get(11);
        arguments = fields.get(12);
        names = fields.get(13).isEmpty() ? List.of() : List.of(fields.get(13).split(","));
        values = List.copyOf(fields.subList(14, fields.size()));
    }

    /** A check of a test instead of a call, since a finding speaks of one as well. */
    static CallSite ofCheck(String check, String receiver, String signature, String file, int line) {
        return new CallSite(List.of(
                check,
                "0",
                "0",
                "0",
                "false",
                receiver,
                signature,
                check,
                file,
                String.valueOf(line),
                "0",
                "",
                "",
                ""));
    }

    /** Whether it is the test that asks here, and the subject that answers. */
    boolean isOfResult() {
        return key.startsWith(OF_RESULT);
    }

    /** Whether the test says how many such calls there are, and would not have one more. */
    boolean isCountedExactly() {
        return countedExactly;
    }

    String key() {
        return key;
    }

    /** Matches what {@link #qualifiedMethod} gives for the methods that somebody names with their types. */
    static Pattern named(String names) {
        return Pattern.compile("(.*[.$])?(" + TypeNames.wanted(names) + ")");
    }

    /** The method with its type's qualified name. */
    String qualifiedMethod() {
        return qualifiedMethod(key);
    }

    static String qualifiedMethod(String key) {
        String called = key.substring(key.indexOf(' ') + 1);
        return called.substring(0, called.indexOf('('));
    }

    int occurrence() {
        return occurrence;
    }

    /** How often the method of this double was called in all. */
    int count() {
        return count;
    }

    /** How often it was called just so. */
    int ofText() {
        return ofText;
    }

    /** The call as the pattern of a statement; empty if an argument cannot be written down. */
    String written() {
        if (values.contains("")) {
            return "";
        }
        boolean ofInstance = !names.isEmpty() && names.get(0).equals("instance");
        List<String> given = ofInstance ? values.subList(1, values.size()) : values;
        return (ofInstance ? "(" + receiver + " it) -> it" : "() -> " + receiver) + "." + method() + "("
                + String.join(", ", given) + ")";
    }

    /** An argument as source; empty if it cannot be written down. */
    String value(int argument) {
        return values.get(argument);
    }

    int variants() {
        return variants;
    }

    /** What was answered by default; empty if something was said. */
    String defaulted() {
        return defaulted;
    }

    /** For each argument: {@code a} if it has another value, {@code c} if it is a callback that was run. */
    String arguments() {
        return arguments;
    }

    String name(int argument) {
        return names.get(argument);
    }

    /**
     * The double that is asked.
     *
     * @return its name
     */
    public String receiver() {
        return receiver;
    }

    /**
     * The method that is called.
     *
     * @return the method with the simple names of its parameter types
     */
    public String signature() {
        return signature;
    }

    /**
     * One call of it, as it would be written.
     *
     * @return such as {@code log.note("rain")}
     */
    public String text() {
        return text;
    }

    /**
     * Where it stands.
     *
     * @return the source file and line
     */
    public String place() {
        return file + ":" + line;
    }

    int line() {
        return line;
    }

    List<String> names() {
        return names;
    }

    /** The method with the name of its double, which tests of a class mostly share. */
    String called() {
        return receiver + "." + signature;
    }

    String method() {
        return signature.substring(0, signature.indexOf('('));
    }
}
