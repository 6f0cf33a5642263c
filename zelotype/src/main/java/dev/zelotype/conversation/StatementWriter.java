package dev.zelotype.conversation;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Writes the statements of one method.
 */
final class StatementWriter {

    private static final int MOST_FREE = 8;
    private static final int LEAST_ROWS = 3;
    private static final int MOST_ROWS = 10;

    /** Types of keys in a table, whose type is clear from their source. */
    private static final Map<String, Pattern> KEYS = Map.of(
            "String",
            Pattern.compile("\".*\""),
            "Integer",
            Pattern.compile("-?\\d+"),
            "Long",
            Pattern.compile("-?\\d+L"));

    private static final Set<String> KEYWORDS = Set.of(("abstract assert boolean break byte case catch char class const"
                    + " continue default do double else enum extends false final finally float for goto if implements import"
                    + " instanceof int interface long native new null package private protected public return short static"
                    + " strictfp super switch synchronized this throw throws transient true try void volatile while")
            .split(" "));

    private final Map<String, String> types;
    private final Set<String> imports;
    /** The imported simple names, with their types. */
    private final Map<String, String> simple = new LinkedHashMap<>();

    private final boolean ofOneState;
    /** The doubles in the statements, by name, as variables. */
    private final Map<String, String> variables = new LinkedHashMap<>();

    private final Set<String> names = new LinkedHashSet<>();
    private final List<String> toFill = new ArrayList<>();
    private final List<String> statements = new ArrayList<>();

    /**
     * A writer without any statements yet.
     *
     * @param types the types of the doubles, by name
     * @param imports the imports of the whole file
     * @param ofOneState whether a call with several answers must be left out, as in a claim
     */
    StatementWriter(Map<String, String> types, Set<String> imports, boolean ofOneState) {
        this.types = types;
        this.imports = imports;
        this.ofOneState = ofOneState;
    }

    /** Calls with the same source. */
    private record Same(String receiver, String signature, List<String> arguments) {}

    private Map<Same, List<RecordedCall>> folded(List<RecordedCall> calls) {
        Map<Same, List<RecordedCall>> folded = new LinkedHashMap<>();
        for (RecordedCall call : calls) {
            Same key = new Same(call.receiver() + call.instance(), call.signature(), written(call));
            folded.computeIfAbsent(key, first -> new ArrayList<>()).add(call);
        }
        return folded;
    }

    /** The answers, in the order of their first calls. */
    void suppositions(List<RecordedCall> calls) {
        List<RecordedCall> answered = calls.stream()
                .filter(call -> call.ending() == Ending.THREW
                        || isAnswered(call) && !call.answer().isEmpty())
                .toList();
        Map<Same, List<RecordedCall>> folded = folded(answered);
        Map<String, List<Map.Entry<Same, List<RecordedCall>>>> byMethod = new LinkedHashMap<>();
        folded.entrySet()
                .forEach(each -> byMethod.computeIfAbsent(
                                each.getKey().receiver() + "." + each.getKey().signature(), first -> new ArrayList<>())
                        .add(each));
        for (List<Map.Entry<Same, List<RecordedCall>>> each : byMethod.values()) {
            if (!table(each)) {
                each.forEach(one -> supposition(one.getValue()));
            }
        }
    }

    private static boolean isAnswered(RecordedCall call) {
        return call.ending() == Ending.ANSWERED || call.ending() == Ending.REAL || call.ending() == Ending.OWN_CODE;
    }

    /** Many arguments of one method with one answer each become a table. */
    private boolean table(List<Map.Entry<Same, List<RecordedCall>>> rows) {
        if (rows.size() < LEAST_ROWS || rows.size() > MOST_ROWS) {
            return false;
        }
        String type = KEYS.keySet().stream()
                .filter(each -> rows.stream()
                        .allMatch(row -> row.getKey().arguments().size() == 1
                                && KEYS.get(each)
                                        .matcher(row.getKey().arguments().get(0))
                                        .matches()))
                .findFirst()
                .orElse("");
        boolean fits = !type.isEmpty()
                && rows.stream()
                        .allMatch(row -> answers(row.getValue()).size() == 1
                                && row.getValue().get(0).ending() != Ending.THREW
                                && isWritten(row.getValue().get(0))
                                && !row.getValue().get(0).answer().equals("null"));
        RecordedCall first = rows.get(0).getValue().get(0);
        if (!fits || first.method().equals("new") || !first.instance().isEmpty()) {
            return false;
        }
        List<String> entries = new ArrayList<>();
        for (Map.Entry<Same, List<RecordedCall>> row : rows) {
            entries.add(row.getKey().arguments().get(0) + ", "
                    + answer(row.getValue().get(0)));
        }
        String key = unused("key", new LinkedHashSet<>(names));
        statements.add("suppose((" + type + " " + key + ") -> " + receiver(first) + "." + first.method() + "(" + key
                + "))\n                .returnsFrom(" + typeName("java.util.Map") + ".of(" + String.join(", ", entries)
                + "));");
        return true;
    }

    private static boolean isWritten(RecordedCall call) {
        return !call.answerSource().isUnwritten()
                && !ConversationStatements.isHidden(call.answer())
                && !ConversationStatements.isHidden(call.answerSource().code());
    }

    /** The consecutive answers of a call; the last one is repeated, so repetitions at the end are omitted. */
    private static List<String> answers(List<RecordedCall> calls) {
        List<String> answers = new ArrayList<>();
        for (RecordedCall call : calls) {
            String source = call.answerSource().code();
            answers.add(call.ending() + " " + (source.isEmpty() ? call.answer() : source));
        }
        int last = answers.size() - 1;
        while (last > 0 && answers.get(last).equals(answers.get(last - 1))) {
            answers.remove(last--);
        }
        return answers;
    }

    private void supposition(List<RecordedCall> calls) {
        RecordedCall first = calls.get(0);
        int different = answers(calls).size();
        if (first.method().equals("new")) {
            comment(first, "makes an object, which has no literal");
        } else if (ofOneState && different > 1) {
            comment(first, "gave different answers, which one claim cannot tell");
        } else {
            StringBuilder out = new StringBuilder("suppose(" + pattern(first) + ")");
            boolean returning = false;
            for (RecordedCall call : calls.subList(0, different)) {
                boolean threw = call.ending() == Ending.THREW;
                String value = answer(call);
                if (threw) {
                    out.append(returning ? ")" : "")
                            .append(".fails(")
                            .append(value)
                            .append(')');
                } else {
                    out.append(returning ? ", " : ".returns(").append(value);
                }
                returning = !threw;
            }
            statements.add(out.append(returning ? ");" : ";").toString());
        }
    }

    private void comment(RecordedCall call, String why) {
        statements.add("// " + (call.receiver() + "." + call.text()).replaceAll("\\s+", " ") + " " + why + ".");
    }

    /** The commands, in the order of their first calls. */
    void checks(List<RecordedCall> calls) {
        List<RecordedCall> commands = calls.stream()
                .filter(call -> call.answer().isEmpty()
                        && (isAnswered(call) || call.ending() == Ending.DEFAULTED)
                        && !call.method().equals("new"))
                .toList();
        for (List<RecordedCall> each : folded(commands).values()) {
            String count = each.size() == 1 ? "once()" : "times(" + each.size() + ")";
            statements.add("verify(" + pattern(each.get(0)) + ")." + count + ";");
        }
    }

    /** The method, with the doubles as parameters. */
    String method(String name) {
        StringBuilder out = new StringBuilder("\n    static void " + name + "(");
        List<String> parameters = new ArrayList<>();
        variables.forEach((named, variable) ->
                parameters.add(typeName(types.getOrDefault(named, "java.lang.Object")) + " " + variable));
        out.append(String.join(", ", parameters)).append(") {\n");
        toFill.forEach(each -> out.append("        ").append(each).append('\n'));
        statements.forEach(each -> out.append("        ").append(each).append('\n'));
        return out.append("    }\n").toString();
    }

    private String pattern(RecordedCall call) {
        List<String> free = new ArrayList<>();
        List<String> passed = new ArrayList<>();
        for (int i = 0; i < call.arguments().size(); i++) {
            ValueSource source = call.argumentSource(i);
            String text = call.arguments().get(i);
            if (source.isUnwritten() && variableOf(text).isEmpty() && !ConversationStatements.isHidden(text)) {
                String name = "any" + (free.size() + 1);
                free.add(boxed(source.type()) + " " + name);
                passed.add(name);
            } else {
                passed.add(argument(source, text));
            }
        }
        String receiver;
        if (call.instance().isEmpty()) {
            receiver = receiver(call);
        } else {
            receiver = "it";
            free.add(0, typeName(types.getOrDefault(call.receiver(), "java.lang.Object")) + " it");
        }
        if (free.size() > MOST_FREE) {
            return receiver + "::" + call.method();
        }
        return "(" + String.join(", ", free) + ") -> " + receiver + "." + call.method() + "("
                + String.join(", ", passed) + ")";
    }

    /** The sources of the arguments; values without a literal are treated as equal. */
    private List<String> written(RecordedCall call) {
        List<String> all = new ArrayList<>();
        for (int i = 0; i < call.arguments().size(); i++) {
            ValueSource source = call.argumentSource(i);
            String text = call.arguments().get(i);
            all.add(
                    source.isUnwritten()
                            ? source.type() + variableOf(text)
                            : source.code().isEmpty() ? text : source.code());
        }
        return all;
    }

    private String argument(ValueSource source, String text) {
        String code = source.code().isEmpty() ? text : source.code();
        if (ConversationStatements.isHidden(text) || ConversationStatements.isHidden(code)) {
            return ConversationStatements.hidden(text);
        } else if (source.isUnwritten()) {
            return variableOf(text);
        }
        source.imports().forEach(this::typeName);
        return code;
    }

    /** Another double, as a variable; empty if no double has that name. */
    private String variableOf(String text) {
        return types.containsKey(text) && !isClass(text) ? variable(text) : "";
    }

    private String answer(RecordedCall call) {
        ValueSource source = call.answerSource();
        String text = call.answer();
        if (!source.isUnwritten()
                || ConversationStatements.isHidden(text)
                || !variableOf(text).isEmpty()) {
            return argument(source, text);
        }
        String name = unused(call.method() + "Answer", names);
        String type = call.ending() == Ending.THREW ? "RuntimeException" : typeName(source.type());
        toFill.add(type + " " + name + " = null; // write what prints as: " + text.replaceAll("\\s+", " "));
        return name;
    }

    private String receiver(RecordedCall call) {
        String name = call.receiver();
        return isClass(name) ? typeName(types.get(name)) : variable(name);
    }

    /** Whether it is a replaced class, which is named like its type. */
    private boolean isClass(String name) {
        String type = types.getOrDefault(name, "");
        return Character.isUpperCase(name.isEmpty() ? 'a' : name.charAt(0))
                && (type.equals(name) || type.endsWith("." + name) || type.endsWith("$" + name));
    }

    private String variable(String name) {
        String known = variables.get(name);
        if (known == null) {
            known = unused(identifier(name), names);
            variables.put(name, known);
        }
        return known;
    }

    /** A type as it is named in this file: imported, unless another type with the same simple name is. */
    private String typeName(String binary) {
        String source = binary.replace('$', '.');
        int array = source.indexOf('[');
        String brackets = array < 0 ? "" : source.substring(array);
        String plain = array < 0 ? source : source.substring(0, array);
        int outer = outermost(plain);
        int dot = plain.lastIndexOf('.', outer - 1);
        if (dot < 0) {
            return source;
        }
        String top = plain.substring(0, outer);
        String name = top.substring(dot + 1);
        String other = simple.putIfAbsent(name, top);
        boolean clashes = other != null && !other.equals(top)
                || imports.stream().anyMatch(each -> each.endsWith("." + name) && !each.equals(top));
        if (clashes) {
            return source;
        }
        if (!top.startsWith("java.lang.") || top.indexOf('.', "java.lang.".length()) > 0) {
            imports.add(top);
        }
        return plain.substring(dot + 1) + brackets;
    }

    /** The end of the first simple name with a capital letter: nested types follow. */
    private static int outermost(String name) {
        int begin = 0;
        while (begin < name.length() && !Character.isUpperCase(name.charAt(begin))) {
            int next = name.indexOf('.', begin);
            if (next < 0) {
                return name.length();
            }
            begin = next + 1;
        }
        int end = name.indexOf('.', begin);
        return end < 0 ? name.length() : end;
    }

    private String boxed(String type) {
        return switch (type) {
            case "int" -> "Integer";
            case "char" -> "Character";
            case "boolean", "byte", "short", "long", "float", "double" -> capital(type);
            default -> typeName(type);
        };
    }

    private static String identifier(String name) {
        StringBuilder out = new StringBuilder();
        for (String word : name.split("[^\\p{L}\\p{N}]+")) {
            out.append(out.length() == 0 ? word : capital(word));
        }
        String joined = out.toString();
        String lower = joined.isEmpty() ? "it" : joined.substring(0, 1).toLowerCase(Locale.ROOT) + joined.substring(1);
        return Character.isJavaIdentifierStart(lower.charAt(0)) && !KEYWORDS.contains(lower)
                ? lower
                : "the" + capital(lower);
    }

    /** A name with a capital letter, as part of a longer one. */
    static String capital(String name) {
        String plain = name.replaceAll("[^\\p{L}\\p{N}]+", "");
        return plain.isEmpty() ? plain : plain.substring(0, 1).toUpperCase(Locale.ROOT) + plain.substring(1);
    }

    /** The name, with a number if it is taken already. */
    static String unused(String wanted, Set<String> taken) {
        String name = wanted;
        for (int i = 2; !taken.add(name); i++) {
            name = wanted + i;
        }
        return name;
    }
}
