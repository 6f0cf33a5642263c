package dev.zelotype.generate.text;

import dev.zelotype.generate.model.Code;
import dev.zelotype.generate.model.Parameter;
import dev.zelotype.generate.model.TypeVariables;
import dev.zelotype.generate.type.TypeName;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A method or a constructor that is being written.
 */
public final class MethodText {

    /** A shorter method without blocks is written on one line, with its {@code @Override}. */
    private static final int ONE_LINE = SourceFile.LONGEST - 4;

    private static final int USUAL_SIGNATURE = 256;

    private static final String OVERRIDE = Code.of("@$T", Override.class);

    private final String modifiers;
    private final String name;
    private final List<String> head = new ArrayList<>();
    private final List<String> parameters = new ArrayList<>();
    private final List<TypeName> exceptions = new ArrayList<>();
    private final List<String> body = new ArrayList<>();
    private TypeVariables typeVariables = TypeVariables.NONE;
    private String returns = "";
    private boolean isAbstract;
    private boolean isJoined;
    private boolean hasBlocks;
    private @Nullable String text;
    private String indentation = "";

    /** A constructor, unless a return type is set. */
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

    /** As {@link #parameters}, with variable arguments as the last parameter. */
    public MethodText varargs(List<Parameter> more) {
        parameters(more.subList(0, more.size() - 1));
        parameters.add(more.get(more.size() - 1).varargs());
        return this;
    }

    public MethodText exceptions(List<TypeName> thrown) {
        exceptions.addAll(thrown);
        return this;
    }

    /** Leaves no blank line before it, because it belongs to the method above. */
    public MethodText joined() {
        isJoined = true;
        return this;
    }

    public MethodText withoutBody() {
        isAbstract = true;
        return this;
    }

    public MethodText statement(String format, Object... arguments) {
        return line(ClassText.continued(Code.of(format, arguments) + ";"));
    }

    /** Opens a block, for example with {@code if (...)}. */
    public MethodText begin(String format, Object... arguments) {
        line(Code.of(format, arguments) + " {");
        indentation += "    ";
        hasBlocks = true;
        return this;
    }

    /** Closes the block of an {@code if}, and opens its {@code else}. */
    public MethodText otherwise() {
        indentation = indentation.substring(4);
        return begin("} else");
    }

    public MethodText end() {
        indentation = indentation.substring(4);
        return line("}");
    }

    public MethodText comment(String text) {
        hasBlocks = true;
        return line("// " + text);
    }

    /** A block that is short enough for one line. */
    public MethodText block(String text) {
        hasBlocks = true;
        return line(text);
    }

    private MethodText line(String text) {
        body.add(ClassText.indented(text, indentation));
        return this;
    }

    public TypeVariables typeVariables() {
        return typeVariables;
    }

    void to(StringBuilder out, String indented) {
        ClassText.lines(text(), indented, out);
    }

    /** Whether it follows the method above without a blank line: consecutive one-line methods do. */
    boolean follows(MethodText before) {
        return isJoined || isOneLine() && before.isOneLine();
    }

    private boolean isOneLine() {
        return text().indexOf('\n') < 0;
    }

    private String text() {
        if (text == null) {
            text = written();
        }
        return text;
    }

    private String written() {
        StringBuilder signature = new StringBuilder(USUAL_SIGNATURE);
        signature.append(modifiers).append(modifiers.isEmpty() ? "" : " ");
        signature.append(typeVariables.declaration()).append(typeVariables.isEmpty() ? "" : " ");
        signature.append(returns).append(name);
        ClassText.parameters(parameters, signature);
        String before = Code.BREAK + "throws ";
        for (TypeName exception : exceptions) {
            signature.append(before).append(Code.type(exception));
            before = "," + Code.BREAK;
        }
        if (isAbstract) {
            return headed(signature + ";");
        }
        String line = body.size() > 2 || hasBlocks ? null : oneLine(signature);
        if (line != null) {
            boolean isBeside = head.equals(List.of(OVERRIDE)) && Code.length(OVERRIDE + " " + line) <= ONE_LINE;
            return isBeside ? OVERRIDE + " " + line : headed(line);
        }
        signature.append(" {\n");
        for (String each : body) {
            ClassText.lines(each, "    ", signature);
        }
        return headed(signature.append('}').toString());
    }

    private @Nullable String oneLine(StringBuilder signature) {
        String line = signature + (body.isEmpty() ? " {}" : " { " + String.join(" ", body) + " }");
        return line.indexOf('\n') < 0 && Code.length(line) <= ONE_LINE ? line : null;
    }

    private String headed(String code) {
        return head.isEmpty() ? code : String.join("\n", head) + "\n" + code;
    }
}
