package dev.zelotype.generate.text;

import dev.zelotype.generate.model.Code;
import dev.zelotype.generate.model.Parameter;
import dev.zelotype.generate.model.TypeVariables;
import dev.zelotype.generate.type.TypeName;
import java.util.ArrayList;
import java.util.List;

/**
 * A method or a constructor that is being written.
 */
public final class MethodText {

    /** A shorter method with one statement is written in one line. */
    private static final int ONE_LINE = 96;

    private final String modifiers;
    private final String name;
    private final List<String> head = new ArrayList<>();
    private final List<String> parameters = new ArrayList<>();
    private final List<TypeName> exceptions = new ArrayList<>();
    private final List<String> body = new ArrayList<>();
    private TypeVariables typeVariables = TypeVariables.NONE;
    private String returns = "";
    private boolean isAbstract;
    private String indentation = "";

    /** A constructor, until it is said what it returns. */
    public MethodText(String modifiers, String name) {
        this.modifiers = modifiers;
        this.name = name;
    }

    public MethodText javadoc(String text) {
        head.add(0, ClassText.javadocOf(text));
        return this;
    }

    public MethodText annotation(String annotation) {
        head.add(annotation);
        return this;
    }

    public MethodText typeVariables(TypeVariables variables) {
        typeVariables = variables;
        return this;
    }

    public MethodText returns(String type) {
        returns = type + " ";
        return this;
    }

    public MethodText parameter(String type, String called) {
        parameters.add(type + " " + called);
        return this;
    }

    public MethodText parameters(List<Parameter> more) {
        for (Parameter each : more) {
            parameters.add(each.declaration());
        }
        return this;
    }

    /** As {@link #parameters}, the last one taking any number of arguments. */
    public MethodText varargs(List<Parameter> more) {
        parameters(more.subList(0, more.size() - 1));
        parameters.add(more.get(more.size() - 1).varargs());
        return this;
    }

    public MethodText exceptions(List<TypeName> thrown) {
        exceptions.addAll(thrown);
        return this;
    }

    public MethodText withoutBody() {
        isAbstract = true;
        return this;
    }

    public MethodText statement(String format, Object... arguments) {
        return line(ClassText.continued(Code.of(format, arguments) + ";"));
    }

    /** Opens a block, as {@code if (...)} does. */
    public MethodText begin(String format, Object... arguments) {
        line(Code.of(format, arguments) + " {");
        indentation += "    ";
        return this;
    }

    public MethodText end() {
        indentation = indentation.substring(4);
        return line("}");
    }

    public MethodText comment(String text) {
        return line("// " + text);
    }

    private MethodText line(String text) {
        body.add(ClassText.indented(text, indentation));
        return this;
    }

    public TypeVariables typeVariables() {
        return typeVariables;
    }

    void to(StringBuilder out, String indented) {
        for (String each : head) {
            ClassText.lines(each, indented, out);
        }
        int begin = out.length();
        out.append(indented).append(modifiers).append(modifiers.isEmpty() ? "" : " ");
        out.append(typeVariables.declaration()).append(typeVariables.isEmpty() ? "" : " ");
        out.append(returns).append(name);
        ClassText.parameters(parameters, out);
        String before = Code.BREAK + "throws ";
        for (TypeName exception : exceptions) {
            out.append(before).append(Code.type(exception));
            before = "," + Code.BREAK;
        }
        String only = body.size() == 1 ? body.get(0) : "\n";
        if (isAbstract) {
            out.append(";\n");
        } else if (only.endsWith(";")
                && only.indexOf('\n') < 0
                && Code.length(out.substring(begin) + only) < ONE_LINE) {
            out.append(" { ").append(only).append(" }\n");
        } else {
            out.append(" {\n");
            String within = indented + "    ";
            for (String each : body) {
                ClassText.lines(each, within, out);
            }
            out.append(indented).append("}\n");
        }
    }
}
