package dev.zelotype.challenge;

import java.util.ArrayList;
import java.util.List;

/**
 * Lines between the supervisor and its worker: fields with tabs between them.
 */
final class Wire {

    static final String CALL = "call";
    static final String CHECK = "check";
    static final String NOTE = "note";
    static final String RESULTS = "results";
    static final String BEGIN = "begin";
    static final String DONE = "done";
    static final String END = "end";
    static final String PLAN = "plan";
    static final String DO = "do";
    static final String GO = "go";

    private Wire() {}

    static String line(Object... fields) {
        StringBuilder out = new StringBuilder();
        for (Object field : fields) {
            out.append(out.length() == 0 ? "" : "\t");
            out.append(String.valueOf(field)
                    .replace("\\", "\\\\")
                    .replace("\t", "\\t")
                    .replace("\n", "\\n")
                    .replace("\r", ""));
        }
        return out.toString();
    }

    static List<String> fields(String line) {
        List<String> fields = new ArrayList<>();
        for (String field : line.split("\t", -1)) {
            StringBuilder text = new StringBuilder();
            for (int i = 0; i < field.length(); i++) {
                char c = field.charAt(i);
                if (c == '\\' && i + 1 < field.length()) {
                    char escaped = field.charAt(++i);
                    text.append(escaped == 't' ? '\t' : escaped == 'n' ? '\n' : escaped);
                } else {
                    text.append(c);
                }
            }
            fields.add(text.toString());
        }
        return fields;
    }
}
