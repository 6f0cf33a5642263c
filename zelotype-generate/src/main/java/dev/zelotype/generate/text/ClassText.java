package dev.zelotype.generate.text;

import dev.zelotype.generate.model.Code;
import dev.zelotype.generate.model.Parameter;
import dev.zelotype.generate.model.TypeVariables;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A type that is being written: fields first, then constructors and methods, then nested types.
 */
public final class ClassText {

    /** A shorter comment is written on one line. */
    private static final int ONE_LINE = SourceFile.LONGEST - 12;

    private static final String FUNCTIONAL = Code.of("@$T", FunctionalInterface.class);

    private final String name;
    private final List<String> head = new ArrayList<>();
    private final List<String> fields = new ArrayList<>();
    private final List<MethodText> methods = new ArrayList<>();
    private final List<ClassText> types = new ArrayList<>();
    private final List<String> components = new ArrayList<>();
    private final String kind;
    private boolean isRecord;
    private TypeVariables typeVariables = TypeVariables.NONE;
    private String supertypes = "";

    /**
     * A type without supertypes yet.
     *
     * @param kind its modifiers and its kind, for example {@code public final class}
     */
    public ClassText(String kind, String name) {
        this.kind = kind;
        this.name = name;
    }

    /** Makes it a record. */
    public ClassText components(List<Parameter> declared) {
        isRecord = true;
        for (Parameter each : declared) {
            components.add(each.declaration());
        }
        return this;
    }

    public ClassText typeVariables(TypeVariables variables) {
        typeVariables = variables;
        return this;
    }

    /** Adds a supertype, with {@code extends} or {@code implements}. */
    public ClassText supertypes(String text) {
        supertypes += " " + text;
        return this;
    }

    public ClassText javadoc(String format, Object... arguments) {
        head.add(0, javadocOf(Code.of(format, arguments)));
        return this;
    }

    public ClassText annotation(String annotation) {
        head.add(annotation);
        return this;
    }

    /** A field without its semicolon. */
    public ClassText field(String format, Object... arguments) {
        fields.add(Code.of(format, arguments) + ";");
        return this;
    }

    public ClassText method(MethodText method) {
        methods.add(method);
        return this;
    }

    public ClassText type(ClassText type) {
        types.add(type);
        return this;
    }

    public String name() {
        return name;
    }

    /** Adds the simple names that have a different meaning inside it: nested types and type variables. */
    void ownNames(Set<String> names) {
        typeVariables.addNamesTo(names);
        for (MethodText method : methods) {
            method.typeVariables().addNamesTo(names);
        }
        for (ClassText type : types) {
            names.add(type.name);
            type.ownNames(names);
        }
    }

    void to(StringBuilder out, String indented) {
        String line = oneLine();
        if (line != null) {
            out.append(indented).append(line).append('\n');
            return;
        }
        for (String each : head) {
            lines(each, indented, out);
        }
        out.append(indented).append(declaration()).append(" {");
        if (isEmpty()) {
            out.append("}\n");
            return;
        }
        out.append('\n');
        String within = indented + "    ";
        boolean isFirst = true;
        for (String field : fields) {
            lines(field, within, out);
            isFirst = false;
        }
        MethodText before = null;
        for (MethodText method : methods) {
            boolean follows = before != null && method.follows(before);
            out.append(isFirst || follows ? "" : "\n");
            method.to(out, within);
            before = method;
            isFirst = false;
        }
        boolean followsLine = false;
        for (ClassText type : types) {
            boolean isLine = type.oneLine() != null;
            out.append(isFirst || isLine && followsLine ? "" : "\n");
            type.to(out, within);
            followsLine = isLine;
            isFirst = false;
        }
        out.append(indented).append("}\n");
    }

    private String declaration() {
        StringBuilder out = new StringBuilder(kind + " " + name + typeVariables.declaration());
        if (isRecord) {
            parameters(components, out);
        }
        return out + supertypes;
    }

    private boolean isEmpty() {
        return fields.isEmpty() && methods.isEmpty() && types.isEmpty();
    }

    /** The whole type on one line, if it has at most one method, no javadoc, and is short enough. */
    private @Nullable String oneLine() {
        boolean isPlain = head.isEmpty() || head.equals(List.of(FUNCTIONAL));
        boolean hasMethod = fields.isEmpty() && types.isEmpty() && methods.size() == 1;
        if (!isPlain || !isEmpty() && !hasMethod) {
            return null;
        }
        StringBuilder line = new StringBuilder(head.isEmpty() ? "" : FUNCTIONAL + " ").append(declaration());
        if (isEmpty()) {
            return line + " {}";
        }
        methods.get(0).to(line.append(" { "), "");
        String whole = line.toString().stripTrailing() + " }";
        return whole.indexOf('\n') < 0 && Code.length(whole) <= SourceFile.LONGEST - 4 ? whole : null;
    }

    static void parameters(List<String> declarations, StringBuilder out) {
        String begin = declarations.isEmpty() ? "(" : "(" + Code.BREAK;
        out.append(begin).append(String.join("," + Code.BREAK, declarations)).append(')');
    }

    static String javadocOf(String text) {
        return Code.length(text) < ONE_LINE
                ? "/** " + Code.mentioned(text) + " */"
                : "/**\n * " + Code.mentioned(text) + "\n */";
    }

    /** Indents the lines of a statement after the first. */
    public static String continued(String statement) {
        return statement.replace("\n", "\n        ");
    }

    /** Indents every line. */
    public static String indented(String lines, String indentation) {
        return indentation.isEmpty() ? lines : indentation + lines.replace("\n", "\n" + indentation);
    }

    /** Appends indented lines. */
    static void lines(String lines, String indentation, StringBuilder out) {
        int done = 0;
        for (int at = lines.indexOf('\n'); at >= 0; at = lines.indexOf('\n', done)) {
            // Copying a substring is faster than appending a range.
            out.append(indentation).append(lines.substring(done, at + 1));
            done = at + 1;
        }
        out.append(indentation)
                .append(done == 0 ? lines : lines.substring(done))
                .append('\n');
    }
}
