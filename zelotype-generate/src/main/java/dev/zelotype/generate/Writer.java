package dev.zelotype.generate;

import com.palantir.javapoet.AnnotationSpec;
import com.palantir.javapoet.ClassName;
import com.palantir.javapoet.CodeBlock;
import com.palantir.javapoet.FieldSpec;
import com.palantir.javapoet.JavaFile;
import com.palantir.javapoet.MethodSpec;
import com.palantir.javapoet.ParameterSpec;
import com.palantir.javapoet.ParameterizedTypeName;
import com.palantir.javapoet.TypeName;
import com.palantir.javapoet.TypeSpec;
import com.palantir.javapoet.TypeVariableName;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Modifier;

/**
 * Writes the source of one double.
 */
final class Writer {

    private final TypeModel type;
    private final Style style;
    private final TypeSpec.Builder out;

    private Writer(TypeModel type, Style style) {
        this.type = type;
        this.style = style;
        this.out = TypeSpec.classBuilder(type.doubleName(style))
                .addModifiers(Modifier.PUBLIC)
                .addTypeVariables(type.typeVariables());
    }

    static String write(TypeModel type, Style style, String packageName) {
        Writer writer = new Writer(type, style);
        return JavaFile.builder(packageName, writer.build())
                .indent("    ")
                .skipJavaLangImports(true)
                .build()
                .toString();
    }

    private TypeSpec build() {
        if (type.isInterface()) {
            out.addSuperinterface(type.self());
        } else {
            out.superclass(type.self());
        }
        out.addJavadoc(
                switch (style) {
                    case BASE -> "Answers every call of {@link $T} with something empty: override what a test needs.\n";
                    case STUB -> "A {@link $T} whose answers are set, method by method.\n";
                    case SPY -> "Keeps the calls of a {@link $T}, and passes them on to a real one if there is one.\n";
                    case FAKE -> "A {@link $T} to be written: each method that is left says so when it is called.\n";
                },
                type.name());
        if (style == Style.BASE) {
            out.addModifiers(Modifier.ABSTRACT);
        }
        constructors();
        for (MethodModel method : type.methods()) {
            if (method.isAbstract() || style == Style.SPY && type.isInterface()) {
                method(method);
            }
        }
        return out.build();
    }

    private void constructors() {
        if (style == Style.SPY) {
            out.addField(FieldSpec.builder(type.self(), "real", Modifier.PRIVATE, Modifier.FINAL)
                    .build());
        }
        for (List<ParameterSpec> parameters :
                type.isInterface() ? List.of(List.<ParameterSpec>of()) : type.constructors()) {
            constructor(parameters, false);
            if (style == Style.SPY) {
                constructor(parameters, true);
            }
        }
    }

    private void constructor(List<ParameterSpec> parameters, boolean withReal) {
        boolean needless = parameters.isEmpty() && style != Style.SPY;
        if (needless) {
            return;
        }
        MethodSpec.Builder code =
                MethodSpec.constructorBuilder().addModifiers(Modifier.PUBLIC).addParameters(parameters);
        if (style == Style.SPY) {
            code.addJavadoc(withReal ? "Passes calls on to a real object.\n" : "Answers calls with something empty.\n");
        }
        if (!parameters.isEmpty()) {
            code.addStatement("super($L)", names(parameters));
        }
        if (withReal) {
            code.addParameter(type.self(), "real");
        }
        if (style == Style.SPY) {
            code.addStatement("this.real = $L", withReal ? "real" : "null");
        }
        out.addMethod(code.build());
    }

    private void method(MethodModel method) {
        MethodSpec.Builder code = MethodSpec.methodBuilder(method.name())
                .addAnnotation(Override.class)
                .addTypeVariables(method.typeVariables())
                .returns(method.returns())
                .addParameters(method.parameters())
                .varargs(method.varargs())
                .addExceptions(method.exceptions());
        if (method.isPublic()) {
            code.addModifiers(Modifier.PUBLIC);
        } else if (method.isProtected()) {
            code.addModifiers(Modifier.PROTECTED);
        }
        if (method.isDeprecated()) {
            code.addAnnotation(Deprecated.class);
        }
        switch (style) {
            case BASE -> answer(code, method, EmptyAnswers.of(method.returns()));
            case STUB -> stub(code, method);
            case SPY -> spy(code, method);
            case FAKE ->
                code.addStatement(
                        "throw new $T($S)",
                        UnsupportedOperationException.class,
                        type.doubleName(style) + "." + method.name() + " is left to write.");
        }
        out.addMethod(code.build());
    }

    private static void answer(MethodSpec.Builder code, MethodModel method, CodeBlock value) {
        if (!method.isVoid()) {
            code.addStatement("return $L", value);
        }
    }

    private void stub(MethodSpec.Builder code, MethodModel method) {
        if (method.isVoid()) {
            return;
        }
        String field = method.readableName() + "Answer";
        TypeName kept = withoutOwnVariables(method, method.returns());
        out.addField(FieldSpec.builder(kept, field, Modifier.PRIVATE)
                .initializer(EmptyAnswers.of(kept))
                .build());
        out.addMethod(MethodSpec.methodBuilder(method.readableName() + "Answers")
                .addModifiers(Modifier.PUBLIC)
                .addJavadoc("Says what {@code $L} answers from now on.\n", method.name())
                .addParameter(kept, "answer")
                .returns(self())
                .addStatement("this.$N = answer", field)
                .addStatement("return this")
                .build());
        if (kept.equals(method.returns())) {
            code.addStatement("return $N", field);
        } else {
            code.addAnnotation(unchecked());
            code.addStatement("return ($T) $N", method.returns(), field);
        }
    }

    private TypeName self() {
        ClassName name = ClassName.get("", type.doubleName(style));
        return type.typeVariables().isEmpty()
                ? name
                : ParameterizedTypeName.get(name, type.typeVariables().toArray(new TypeName[0]));
    }

    private static AnnotationSpec unchecked() {
        return AnnotationSpec.builder(SuppressWarnings.class)
                .addMember("value", "$S", "unchecked")
                .build();
    }

    private void spy(MethodSpec.Builder code, MethodModel method) {
        String record = method.capitalName() + "Call";
        MethodSpec.Builder components = MethodSpec.constructorBuilder();
        for (ParameterSpec parameter : method.parameters()) {
            components.addParameter(withoutOwnVariables(method, parameter.type()), parameter.name());
        }
        TypeSpec.Builder call = TypeSpec.recordBuilder(record)
                .addModifiers(Modifier.PUBLIC)
                .addJavadoc("A call of {@code $L}.\n", method.name())
                .recordConstructor(components.build());
        boolean generic = usesTypeVariables(method);
        if (generic) {
            call.addTypeVariables(type.typeVariables());
        }
        out.addType(call.build());
        ClassName raw = ClassName.get("", record);
        TypeName element =
                generic ? ParameterizedTypeName.get(raw, type.typeVariables().toArray(new TypeName[0])) : raw;
        String list = method.readableName() + "Calls";
        out.addField(FieldSpec.builder(
                        ParameterizedTypeName.get(ClassName.get(List.class), element),
                        list,
                        Modifier.PUBLIC,
                        Modifier.FINAL)
                .addJavadoc("The calls of {@code $L}, in their order.\n", method.name())
                .initializer("new $T<>()", ArrayList.class)
                .build());
        code.addStatement(
                generic ? "$N.add(new $T<>($L))" : "$N.add(new $T($L))", list, raw, names(method.parameters()));
        code.beginControlFlow("if (real != null)");
        code.addStatement("$Lreal.$N($L)", method.isVoid() ? "" : "return ", method.name(), names(method.parameters()));
        code.endControlFlow();
        answer(code, method, EmptyAnswers.of(method.returns()));
    }

    private boolean usesTypeVariables(MethodModel method) {
        for (ParameterSpec parameter : method.parameters()) {
            String text = " " + withoutOwnVariables(method, parameter.type()) + " ";
            for (TypeVariableName variable : type.typeVariables()) {
                if (text.matches(".*\\b" + variable.name() + "\\b.*")) {
                    return true;
                }
            }
        }
        return false;
    }

    /** A type that can stand outside its method: the method's own variables become what they stand for at most. */
    private static TypeName withoutOwnVariables(MethodModel method, TypeName type) {
        String text = " " + type + " ";
        for (TypeVariableName variable : method.typeVariables()) {
            if (text.matches(".*\\b" + variable.name() + "\\b.*")) {
                return ClassName.OBJECT;
            }
        }
        return type;
    }

    private static String names(List<ParameterSpec> parameters) {
        List<String> names = new ArrayList<>();
        parameters.forEach(parameter -> names.add(parameter.name()));
        return String.join(", ", names);
    }
}
