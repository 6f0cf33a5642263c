package dev.zelotype.generate.model;

import com.palantir.javapoet.AnnotationSpec;
import com.palantir.javapoet.ArrayTypeName;
import com.palantir.javapoet.ClassName;
import com.palantir.javapoet.CodeBlock;
import com.palantir.javapoet.ParameterizedTypeName;
import com.palantir.javapoet.TypeName;
import com.palantir.javapoet.TypeVariableName;
import com.palantir.javapoet.WildcardTypeName;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Pieces of Java source, as plain text but for the classes: each stands there as a mark until the whole file is known, and
 * with it the name by which the file can call it. No name of Java holds the characters of the marks.
 */
public final class Code {

    /** Begins a class: then come a character for the sort, the package, a slash, the simple names with dots, and the end. */
    public static final char CLASS = '\u001C';

    public static final char END = '\u001D';

    /** Where a line that would grow too long is broken; else a space, but for one behind an opening bracket. */
    public static final char BREAK = '\u001E';

    /** The sort of a class that is written down. */
    static final char WRITTEN = 'w';

    /** The sort of a class in javadoc, for whose sake nothing is imported. */
    public static final char MENTIONED = 'm';

    /** The sort of a class of which only what stands before its last simple name is meant, with the dot. */
    public static final char QUALIFIER = 'q';

    /** The marks of the few classes that doubles are made of. */
    private static final Map<Class<?>, String> OF_JDK = new ConcurrentHashMap<>();

    private Code() {}

    /**
     * Text with something put in, in order: {@code $T} a type, {@code $S} a string as a literal, {@code $L} anything as it
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

    /** As {@link #type}, the last dimension of an array written as any number of arguments. */
    public static String varargs(TypeName type) {
        StringBuilder out = new StringBuilder();
        array((ArrayTypeName) type, "...", out);
        return out.toString();
    }

    /** The same in javadoc. */
    public static String mentioned(String code) {
        return code.replace("" + CLASS + WRITTEN, "" + CLASS + MENTIONED);
    }

    /** Tells compilers not to warn. */
    public static String suppressing(Collection<String> warnings) {
        List<String> literals = warnings.stream().map(each -> of("$S", each)).toList();
        return of("@$T(", SuppressWarnings.class)
                + (literals.size() == 1
                        ? literals.get(0)
                        : "{\n        " + String.join(",\n        ", literals) + "\n}")
                + ")";
    }

    public static String annotation(AnnotationSpec annotation) {
        Map<String, List<CodeBlock>> members = annotation.members();
        String name = "@" + type(annotation.type());
        if (members.isEmpty()) {
            return name;
        }
        List<String> written = new ArrayList<>();
        members.forEach((member, values) -> {
            List<String> texts = values.stream().map(CodeBlock::toString).toList();
            written.add(member + " = " + (texts.size() == 1 ? texts.get(0) : "{" + String.join(", ", texts) + "}"));
        });
        return name + "(" + String.join(", ", written) + ")";
    }

    private static void type(TypeName type, StringBuilder out) {
        if (type instanceof ClassName named) {
            named(named, named.annotations(), out);
        } else if (type instanceof ParameterizedTypeName generic) {
            generic(generic, out);
        } else if (type instanceof ArrayTypeName array) {
            array(array, "[]", out);
        } else if (type instanceof WildcardTypeName wildcard) {
            wildcard(wildcard, out);
        } else if (type instanceof TypeVariableName variable) {
            annotations(variable, out);
            out.append(variable.name());
        } else {
            annotations(type, out);
            out.append(type.withoutAnnotations());
        }
    }

    /** An annotation stands directly before the simple name, whatever stands before that. */
    private static void named(ClassName name, Collection<AnnotationSpec> annotations, StringBuilder out) {
        String whole = name.canonicalName();
        String simple = name.packageName().isEmpty()
                ? whole
                : whole.substring(name.packageName().length() + 1);
        if (annotations.isEmpty()) {
            mark(WRITTEN, name.packageName(), simple, out);
        } else {
            mark(QUALIFIER, name.packageName(), simple, out);
            annotations.forEach(each -> out.append(annotation(each)).append(' '));
            out.append(name.simpleName());
        }
    }

    /** Neither of an array, nor primitive. */
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

    private static void generic(ParameterizedTypeName type, StringBuilder out) {
        if (type.enclosingType() == null) {
            named(type.rawType(), together(type.annotations(), type.rawType().annotations()), out);
        } else {
            generic(type.enclosingType(), out);
            out.append('.');
            annotations(type, out);
            out.append(type.rawType().simpleName());
        }
        String between = "<";
        for (TypeName argument : type.typeArguments()) {
            out.append(between);
            type(argument, out);
            between = ", ";
        }
        out.append(type.typeArguments().isEmpty() ? "" : ">");
    }

    private static Collection<AnnotationSpec> together(List<AnnotationSpec> some, List<AnnotationSpec> others) {
        if (some.isEmpty() || others.isEmpty()) {
            return some.isEmpty() ? others : some;
        }
        Set<AnnotationSpec> all = new LinkedHashSet<>(some);
        all.addAll(others);
        return all;
    }

    private static void array(ArrayTypeName type, String last, StringBuilder out) {
        TypeName element = type;
        while (element instanceof ArrayTypeName array) {
            element = array.componentType();
        }
        type(element, out);
        for (TypeName each = type; each instanceof ArrayTypeName array; each = array.componentType()) {
            if (array.isAnnotated()) {
                out.append(' ');
                annotations(array, out);
            }
            out.append(array.componentType() instanceof ArrayTypeName ? "[]" : last);
        }
    }

    private static void wildcard(WildcardTypeName type, StringBuilder out) {
        annotations(type, out);
        out.append('?');
        if (!type.lowerBounds().isEmpty()) {
            out.append(" super ");
            type(type.lowerBounds().get(0), out);
        } else if (!(type.upperBounds().get(0) instanceof ClassName bound)
                || !bound.canonicalName().equals("java.lang.Object")) {
            out.append(" extends ");
            type(type.upperBounds().get(0), out);
        }
    }

    private static void annotations(TypeName type, StringBuilder out) {
        for (AnnotationSpec annotation : type.annotations()) {
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
