package dev.zelotype.generate.text;

import dev.zelotype.generate.model.Code;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;

/**
 * The text of a source file: decides on imports, on the name of each class, and on line breaks.
 */
public final class SourceFile {

    /** The maximum length of a line, if it can be broken. */
    static final int LONGEST = 120;

    private static final int USUAL_LENGTH = 16_384;

    private static final String FURTHER_IN = "        ";

    private final String packageName;
    private final Set<String> neighbours;
    private final String marked;
    /** Simple names that do not refer to a class of the package or an import here. */
    private final Set<String> taken;
    /** Each mark with the name that replaces it, in file order. */
    private final Map<String, String> names = new LinkedHashMap<>();

    /** The package of each top-level class, by its simple name. */
    private final Map<String, String> shortened = new HashMap<>();

    private SourceFile(String packageName, Set<String> neighbours, ClassText type, Set<String> hidden) {
        this.packageName = packageName;
        this.neighbours = neighbours;
        this.taken = new HashSet<>(hidden);
        type.ownNames(taken);
        taken.add(type.name());
        StringBuilder text = new StringBuilder(USUAL_LENGTH);
        type.to(text, "");
        marked = text.toString();
    }

    /**
     * Returns the text of a file.
     *
     * @param neighbours the simple names of the types in the package
     * @param hidden simple names with a different meaning inside the type
     */
    public static String text(String packageName, Set<String> neighbours, ClassText type, Set<String> hidden) {
        return new SourceFile(packageName, neighbours, type, hidden).text();
    }

    private String text() {
        StringBuilder body = new StringBuilder(marked.length());
        List<String> marks = new ArrayList<>();
        for (int at = marked.indexOf(Code.CLASS); at >= 0; at = marked.indexOf(Code.CLASS, at)) {
            int end = marked.indexOf(Code.END, at);
            String mark = marked.substring(at + 1, end);
            marks.add(mark);
            names.put(mark, "");
            at = end;
        }
        // Types of the same package need no import, so they get their simple names first.
        shorten(mark -> packageOf(mark).equals(packageName));
        shorten(mark -> mark.charAt(0) != Code.MENTIONED || packageOf(mark).equals("java.lang"));
        for (Map.Entry<String, String> each : names.entrySet()) {
            each.setValue(name(each.getKey()));
        }
        int done = 0;
        for (String mark : marks) {
            int at = marked.indexOf(Code.CLASS, done);
            body.append(marked.substring(done, at)).append(names.get(mark));
            done = at + mark.length() + 2;
        }
        body.append(marked.substring(done));
        StringBuilder out = new StringBuilder(body.length());
        if (!packageName.isEmpty()) {
            out.append("package ").append(packageName).append(";\n\n");
        }
        Set<String> imports = imports();
        for (String each : imports) {
            out.append("import ").append(each).append(";\n");
        }
        out.append(imports.isEmpty() ? "" : "\n");
        broken(body.toString(), out);
        return out.toString();
    }

    private Set<String> imports() {
        Set<String> imports = new TreeSet<>();
        for (Map.Entry<String, String> each : shortened.entrySet()) {
            String from = each.getValue();
            String name = each.getKey();
            boolean isMeant = from.equals(packageName) || from.equals("java.lang") && !neighbours.contains(name);
            if (!isMeant) {
                imports.add(from + "." + name);
            }
        }
        return imports;
    }

    private void shorten(Predicate<String> which) {
        for (String mark : names.keySet()) {
            String outermost = outermost(mark);
            if (which.test(mark) && !packageOf(mark).isEmpty() && !taken.contains(outermost)) {
                shortened.putIfAbsent(outermost, packageOf(mark));
            }
        }
    }

    private static String packageOf(String mark) {
        return mark.substring(1, mark.indexOf('/'));
    }

    private static String simpleNames(String mark) {
        return mark.substring(mark.indexOf('/') + 1);
    }

    private static String outermost(String mark) {
        String simpleNames = simpleNames(mark);
        int dot = simpleNames.indexOf('.');
        return dot < 0 ? simpleNames : simpleNames.substring(0, dot);
    }

    private String name(String mark) {
        String ofPackage = packageOf(mark);
        boolean isShort = ofPackage.isEmpty() || ofPackage.equals(shortened.get(outermost(mark)));
        String name = isShort ? simpleNames(mark) : ofPackage + "." + simpleNames(mark);
        return mark.charAt(0) == Code.QUALIFIER ? name.substring(0, name.lastIndexOf('.') + 1) : name;
    }

    /** Breaks long lines at the marked positions. */
    private static void broken(String text, StringBuilder lines) {
        int done = 0;
        for (int at = text.indexOf(Code.BREAK); at >= 0; at = text.indexOf(Code.BREAK, done)) {
            int begins = text.lastIndexOf('\n', at) + 1;
            int ends = text.indexOf('\n', at);
            lines.append(text.substring(done, begins));
            line(text.substring(begins, ends), lines);
            done = ends;
        }
        lines.append(text.substring(done));
    }

    private static void line(String line, StringBuilder lines) {
        String further = "\n" + " ".repeat(line.length() - line.stripLeading().length()) + FURTHER_IN;
        int begins = lines.length();
        int done = 0;
        for (int at = line.indexOf(Code.BREAK); at >= 0; at = line.indexOf(Code.BREAK, done)) {
            lines.append(line.substring(done, at));
            String space = line.charAt(at - 1) == '(' ? "" : " ";
            int next = line.indexOf(Code.BREAK, at + 1);
            int length = (next < 0 ? line.length() : next) - at - 1;
            if (lines.length() - begins + space.length() + length > LONGEST) {
                lines.append(further);
                begins = lines.length() - further.length() + 1;
            } else {
                lines.append(space);
            }
            done = at + 1;
        }
        lines.append(line.substring(done));
    }
}
