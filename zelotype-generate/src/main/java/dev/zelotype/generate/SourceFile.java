package dev.zelotype.generate;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * The text of one source file: decides what it imports, by which name it calls each class, and where long lines are broken.
 */
final class SourceFile {

    /** The most characters of a line that can be broken. */
    private static final int LONGEST = 100;

    private static final String FURTHER_IN = "        ";

    private final String packageName;
    private final Set<String> neighbours;
    private final String marked;
    /** Simple names that mean something else here than a class of the package or an import. */
    private final Set<String> taken;
    /** By the simple name of what stands in no other class, its package. */
    private final Map<String, String> shortened = new HashMap<>();

    private final StringBuilder out = new StringBuilder();

    private SourceFile(String packageName, Set<String> neighbours, ClassText type, Set<String> hidden) {
        this.packageName = packageName;
        this.neighbours = neighbours;
        this.taken = new HashSet<>(hidden);
        type.ownNames(taken);
        taken.add(type.name());
        StringBuilder text = new StringBuilder();
        type.to(text, "");
        marked = text.toString();
    }

    /**
     * Lays a file out.
     *
     * @param neighbours the simple names of the package's types
     * @param hidden simple names that mean something else within the type than outside it
     */
    static String text(String packageName, Set<String> neighbours, ClassText type, Set<String> hidden) {
        return new SourceFile(packageName, neighbours, type, hidden).text();
    }

    private String text() {
        // Those of the same package need no import, so they come before what would take their names.
        eachClass((sort, ofPackage, simpleNames) -> {
            if (ofPackage.equals(packageName)) {
                shorten(ofPackage, simpleNames);
            }
        });
        eachClass((sort, ofPackage, simpleNames) -> {
            if (sort != Code.MENTIONED || ofPackage.equals("java.lang")) {
                shorten(ofPackage, simpleNames);
            }
        });
        if (!packageName.isEmpty()) {
            out.append("package ").append(packageName).append(";\n\n");
        }
        Set<String> imports = new TreeSet<>();
        shortened.forEach((name, from) -> {
            boolean isMeant = from.equals(packageName) || from.equals("java.lang") && !neighbours.contains(name);
            if (!isMeant) {
                imports.add(from + "." + name);
            }
        });
        imports.forEach(each -> out.append("import ").append(each).append(";\n"));
        out.append(imports.isEmpty() ? "" : "\n");
        body();
        return broken(out.toString());
    }

    private interface Met {
        void met(char sort, String packageName, String simpleNames);
    }

    private void eachClass(Met then) {
        for (int at = marked.indexOf(Code.CLASS); at >= 0; at = marked.indexOf(Code.CLASS, at)) {
            at = read(at, then);
        }
    }

    /** Reads the mark at a position; gives what comes after it. */
    private int read(int at, Met then) {
        int slash = marked.indexOf('/', at);
        int end = marked.indexOf(Code.END, slash);
        then.met(marked.charAt(at + 1), marked.substring(at + 2, slash), marked.substring(slash + 1, end));
        return end + 1;
    }

    private void shorten(String ofPackage, String simpleNames) {
        String outermost = outermost(simpleNames);
        if (!ofPackage.isEmpty() && !taken.contains(outermost)) {
            shortened.putIfAbsent(outermost, ofPackage);
        }
    }

    private static String outermost(String simpleNames) {
        int dot = simpleNames.indexOf('.');
        return dot < 0 ? simpleNames : simpleNames.substring(0, dot);
    }

    private void body() {
        int done = 0;
        for (int at = marked.indexOf(Code.CLASS); at >= 0; at = marked.indexOf(Code.CLASS, done)) {
            out.append(marked, done, at);
            done = read(at, this::name);
        }
        out.append(marked, done, marked.length());
    }

    private void name(char sort, String ofPackage, String simpleNames) {
        boolean isShort = ofPackage.isEmpty() || ofPackage.equals(shortened.get(outermost(simpleNames)));
        String name = isShort ? simpleNames : ofPackage + "." + simpleNames;
        out.append(sort == Code.QUALIFIER ? name.substring(0, name.lastIndexOf('.') + 1) : name);
    }

    /** Breaks what is too long where it may be broken. */
    private static String broken(String text) {
        StringBuilder lines = new StringBuilder(text.length());
        int done = 0;
        for (int at = breakIn(text, 0); at >= 0; at = breakIn(text, done)) {
            int begins = text.lastIndexOf('\n', at) + 1;
            int ends = text.indexOf('\n', at);
            lines.append(text, done, begins);
            line(text.substring(begins, ends), lines);
            done = ends;
        }
        return lines.append(text, done, text.length()).toString();
    }

    private static void line(String line, StringBuilder lines) {
        String further = "\n" + " ".repeat(line.length() - line.stripLeading().length()) + FURTHER_IN;
        int begins = lines.length();
        int done = 0;
        for (int at = breakIn(line, 0); at >= 0; at = breakIn(line, done)) {
            lines.append(line, done, at);
            String space = line.charAt(at) == Code.BREAK ? " " : "";
            int next = breakIn(line, at + 1);
            int length = (next < 0 ? line.length() : next) - at - 1;
            if (lines.length() - begins + space.length() + length > LONGEST) {
                lines.append(further);
                begins = lines.length() - further.length() + 1;
            } else {
                lines.append(space);
            }
            done = at + 1;
        }
        lines.append(line, done, line.length());
    }

    private static int breakIn(String line, int from) {
        int first = line.indexOf(Code.BREAK, from);
        int other = line.indexOf(Code.BREAK_WITHOUT_SPACE, from);
        return first < 0 || other < 0 ? Math.max(first, other) : Math.min(first, other);
    }
}
