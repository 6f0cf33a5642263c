package dev.zelotype.generate.model;

import dev.zelotype.generate.type.AnnotationText;
import dev.zelotype.generate.type.ArrayName;
import dev.zelotype.generate.type.ClassName;
import dev.zelotype.generate.type.GenericName;
import dev.zelotype.generate.type.PrimitiveName;
import dev.zelotype.generate.type.TypeName;
import dev.zelotype.generate.type.VariableName;
import dev.zelotype.generate.type.WildcardName;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Pieces of Java source. They are plain text except for class names, which are marked until the whole file is known,
 * and with it the name to use for each class. The characters of the marks cannot occur in Java names.
 */
public final class Code {

    /**
     * Starts a class: followed by a character for its kind, the package, a slash, the simple names with dots, and the
     * end mark.
     */
    public static final char CLASS = '\u001C';

    public static final char END = '\u001D';

    /**
     * A possible line break, used if the line would be too long; otherwise a space, or nothing after an opening
     * bracket.
     */
    public static final char BREAK = '\u001E';

    /** A class name in code. */
    static final char WRITTEN = 'w';

    /** A class name in javadoc, which causes no import. */
    public static final char MENTIONED = 'm';

    /** A qualifier: the part of a class name before its last simple name, with the dot. */
    public static final char QUALIFIER = 'q';

    /** The marks of the JDK classes that doubles use. */
    private static final Map<Class<?>, String> OF_JDK = new ConcurrentHashMap<>();

    private Code() {}

    /**
     * Fills in a format, in order: {@code $T} a type, {@code $S} a string as a literal, {@code $L} anything as it
     * prints.
     */
    public static String of(String format, Object... arguments) {
        StringBuilder out = new StringBuilder(format.length() + 32 * arguments.length);
        int next = 0;
        int done = 0;
        for (int at = format.indexOf('$'); at >= 0; at = format.indexOf('$', done)) {
            out.append(format.substring(done, at));
            Object argument = arguments[next++];
            switch (format.charAt(at + 1)) {
                case 'T' -> {
                    if (argument instanceof Class<?> known) {
                        out.append(OF_JDK.computeIfAbsent(known, Code::marked));
                    } else {
                        type((TypeName) argument, out);
                    }
                }
                case 'S' -> literal((String) argument, out);
                case 'L' -> out.append(argument);
                default -> throw new IllegalArgumentException(format);
            }
            done = at + 2;
        }
        return out.append(format.substring(done)).toString();
    }

    public static String type(TypeName type) {
        StringBuilder out = new StringBuilder();
        type(type, out);
        return out.toString();
    }

    /** As {@link #type}, with the last dimension of an array written as variable arguments. */
    public static String varargs(TypeName type) {
        StringBuilder out = new StringBuilder();
        array((ArrayName) type, "...", out);
        return out.toString();
    }

    /** The approximate length of a text with class names: by their simple names, as if all can be imported. */
    public static int length(String code) {
        int length = code.length();
        for (int at = code.indexOf(CLASS); at >= 0; at = code.indexOf(CLASS, at)) {
            int names = code.indexOf('/', at) + 1;
            length -= names - at + 1;
            at = names;
        }
        return length;
    }

    /** The same for javadoc. */
    public static String mentioned(String code) {
        return code.replace("" + CLASS + WRITTEN, "" + CLASS + MENTIONED);
    }

    /** An annotation that suppresses warnings. */
    public static String suppressing(Collection<String> warnings) {
        List<String> literals = warnings.stream().map(each -> of("$S", each)).toList();
        return of("@$T(", SuppressWarnings.class)
                + (literals.size() == 1
                        ? literals.get(0)
                        : "{\n        " + String.join(",\n        ", literals) + "\n}")
                + ")";
    }

    public static String annotation(AnnotationText annotation) {
        String name = "@" + type(annotation.type());
        if (annotation.members().isEmpty()) {
            return name;
        }
        List<String> written = new ArrayList<>();
        annotation.members().forEach((member, value) -> written.add(member + " = " + value));
        return name + "(" + String.join(", ", written) + ")";
    }

    private static void type(TypeName type, StringBuilder out) {
        if (type instanceof ClassName named) {
            named(named, named.annotations(), out);
        } else if (type instanceof GenericName generic) {
            generic(generic, out);
        } else if (type instanceof ArrayName array) {
            array(array, "[]", out);
        } else if (type instanceof WildcardName wildcard) {
            wildcard(wildcard, out);
        } else if (type instanceof VariableName variable) {
            annotations(variable, out);
            out.append(variable.name());
        } else if (type instanceof PrimitiveName primitive) {
            annotations(primitive, out);
            out.append(primitive.keyword());
        }
    }

    /** An annotation stands directly before the simple name, after any qualifier. */
    private static void named(ClassName name, Collection<AnnotationText> annotations, StringBuilder out) {
        if (annotations.isEmpty()) {
            mark(WRITTEN, name.packageName(), name.nestedName(), out);
        } else {
            mark(QUALIFIER, name.packageName(), name.nestedName(), out);
            annotations.forEach(each -> out.append(annotation(each)).append(' '));
            out.append(name.simpleName());
        }
    }

    /** Neither an array nor primitive. */
    private static String marked(Class<?> type) {
        StringBuilder out = new StringBuilder();
        String packageName = type.getPackageName();
        mark(WRITTEN, packageName, type.getCanonicalName().substring(packageName.length() + 1), out);
        return out.toString();
    }

    private static void mark(char sort, String packageName, String simpleNames, StringBuilder out) {
        out.append(CLASS)
                .append(sort)
                .append(packageName)
                .append('/')
                .append(simpleNames)
                .append(END);
    }

    private static void generic(GenericName type, StringBuilder out) {
        if (type.enclosing() == null) {
            named(type.raw(), together(type.annotations(), type.raw().annotations()), out);
        } else {
            generic(type.enclosing(), out);
            out.append('.');
            annotations(type, out);
            out.append(type.raw().simpleName());
        }
        String between = "<";
        for (TypeName argument : type.arguments()) {
            out.append(between);
            type(argument, out);
            between = ", ";
        }
        out.append(type.arguments().isEmpty() ? "" : ">");
    }

    private static Collection<AnnotationText> together(List<AnnotationText> some, List<AnnotationText> others) {
        if (some.isEmpty() || others.isEmpty()) {
            return some.isEmpty() ? others : some;
        }
        Set<AnnotationText> all = new LinkedHashSet<>(some);
        all.addAll(others);
        return all;
    }

    private static void array(ArrayName type, String last, StringBuilder out) {
        TypeName element = type;
        while (element instanceof ArrayName array) {
            element = array.component();
        }
        type(element, out);
        for (TypeName each = type; each instanceof ArrayName array; each = array.component()) {
            if (!array.annotations().isEmpty()) {
                out.append(' ');
                annotations(array, out);
            }
            out.append(array.component() instanceof ArrayName ? "[]" : last);
        }
    }

    private static void wildcard(WildcardName type, StringBuilder out) {
        annotations(type, out);
        out.append('?');
        if (type.lower() != null) {
            out.append(" super ");
            type(type.lower(), out);
        } else if (!(type.upper() instanceof ClassName bound) || !bound.isSameAs(ClassName.OBJECT)) {
            out.append(" extends ");
            type(type.upper(), out);
        }
    }

    private static void annotations(TypeName type, StringBuilder out) {
        for (AnnotationText annotation : type.annotations()) {
            out.append(annotation(annotation)).append(' ');
        }
    }

    private static void literal(String text, StringBuilder out) {
        out.append('"');
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            switch (c) {
                case '"' -> out.append("\\\"");
                case '\\' -> out.append("\\\\");
                case '\n' -> out.append("\\n");
                case '\r' -> out.append("\\r");
                case '\t' -> out.append("\\t");
                default -> {
                    if (Character.isISOControl(c)) {
                        out.append(String.format("\\u%04x", (int) c));
                    } else {
                        out.append(c);
                    }
                }
            }
        }
        out.append('"');
    }
}
