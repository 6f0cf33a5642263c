package dev.zelotype.conversation;

import dev.zelotype.basics.Mask;
import dev.zelotype.doubles.NamedDouble;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * A conversation as statements of a test: Java that compiles, with its imports. Repeated calls are combined. A value
 * without a literal becomes a free parameter if it is an argument, and a variable to fill in if it is an answer. A
 * masked value becomes a name that does not compile until it is replaced. Immutable.
 *
 * <pre>{@code
 * String code = ConversationStatements.of(scene.conversation()).only("catalog").text(Form.CLAIMS);
 * }</pre>
 *
 * @since 0.2
 */
public final class ConversationStatements {

    /** The form of the statements. */
    public enum Form {
        /** The answers of the doubles, to set up stubs that answer the same. */
        SUPPOSITIONS,
        /** The commands that the doubles received, each with its count. */
        CHECKS,
        /** A method with claims for each double, to check against the real object. */
        CLAIMS,
        /** Suppositions and checks. */
        BOTH
    }

    /** Written instead of a masked value; nothing has this name. */
    private static final String HIDDEN = "hiddenValue";

    private final Conversation conversation;
    private final String only;

    private ConversationStatements(Conversation conversation, String only) {
        this.conversation = conversation;
        this.only = only;
    }

    /**
     * Makes the statements for a conversation.
     *
     * @param conversation the conversation
     * @return the statements about all doubles
     */
    public static ConversationStatements of(Conversation conversation) {
        return new ConversationStatements(conversation, "");
    }

    /**
     * Returns the statements about a single double.
     *
     * @param receiver the name of the double
     * @return the statements; none if no double has that name
     */
    public ConversationStatements only(String receiver) {
        return new ConversationStatements(conversation, receiver);
    }

    /**
     * Returns the statements as a source file.
     *
     * @param form the form of the statements
     * @return a class with one method for each part, which takes its doubles as parameters
     */
    public String text(Form form) {
        return text(form, "FromConversation");
    }

    /**
     * As {@link #text(Form)}, with the name of the class.
     *
     * @param form the form of the statements
     * @param className a simple name
     * @return the source file
     */
    public String text(Form form, String className) {
        Set<String> imports = new TreeSet<>();
        List<String> methods = new ArrayList<>();
        if (form == Form.CLAIMS) {
            Set<String> taken = new LinkedHashSet<>();
            for (Map.Entry<String, List<RecordedCall>> each : callsByReceiver().entrySet()) {
                StatementWriter writer = new StatementWriter(conversation.typesOfDoubles(), imports, true);
                String name = StatementWriter.unused("claimsOf" + StatementWriter.capital(each.getKey()), taken);
                writer.suppositions(each.getValue());
                methods.add(writer.method(name));
            }
        } else {
            if (form != Form.CHECKS) {
                StatementWriter writer = new StatementWriter(conversation.typesOfDoubles(), imports, false);
                writer.suppositions(calls());
                methods.add(writer.method("suppositions"));
            }
            if (form != Form.SUPPOSITIONS) {
                StatementWriter writer = new StatementWriter(conversation.typesOfDoubles(), imports, false);
                writer.checks(calls());
                methods.add(writer.method("checks"));
            }
        }
        StringBuilder out = new StringBuilder("import static dev.zelotype.Zelotype.*;\n\n");
        imports.forEach(each -> out.append("import ").append(each).append(";\n"));
        out.append(imports.isEmpty() ? "" : "\n")
                .append("class ")
                .append(className)
                .append(" {\n");
        out.append(String.join("", methods)).append("}\n");
        return out.toString();
    }

    private List<RecordedCall> calls() {
        return conversation.calls().stream()
                .filter(call -> only.isEmpty() || call.receiver().equals(only))
                .toList();
    }

    private Map<String, List<RecordedCall>> callsByReceiver() {
        Map<String, List<RecordedCall>> calls = new LinkedHashMap<>();
        for (NamedDouble each : conversation.doubles()) {
            calls.put(each.name(), new ArrayList<>());
        }
        calls().forEach(call -> calls.computeIfAbsent(call.receiver(), first -> new ArrayList<>())
                .add(call));
        calls.values().removeIf(List::isEmpty);
        return calls;
    }

    /** Replaces a masked value. */
    static String hidden(String text) {
        return HIDDEN + " /* " + text.replace("*/", "* /") + ": write the value here */";
    }

    /** Whether a part of a text is hidden. */
    static boolean isHidden(String text) {
        return text.contains(Mask.MASKED);
    }
}
