package dev.zelotype.challenge;

import dev.zelotype.tools.TypeNames;
import java.util.List;
import java.util.regex.Pattern;

/**
 * For builds and tools: a place in the code where a subject asks a collaborator something. Immutable.
 */
public final class CallSite {

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

    CallSite(List<String> fields) {
        key = fields.get(0);
        occurrence = Integer.parseInt(fields.get(1));
        count = Integer.parseInt(fields.get(2));
        ofText = Integer.parseInt(fields.get(3));
        receiver = fields.get(4);
        signature = fields.get(5);
        text = fields.get(6);
        file = fields.get(7);
        line = Integer.parseInt(fields.get(8));
        variants = Integer.parseInt(fields.get(9));
        defaulted = fields.get(10);
        arguments = fields.get(11);
        names = fields.get(12).isEmpty() ? List.of() : List.of(fields.get(12).split(","));
        values = List.copyOf(fields.subList(13, fields.size()));
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

    String method() {
        return signature.substring(0, signature.indexOf('('));
    }
}
