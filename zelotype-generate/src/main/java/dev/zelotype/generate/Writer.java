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
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Modifier;

/**
 * Writes the source of one double.
 */
final class Writer {

    /** Names that a record does not allow its components. */
    private static final Set<String> TAKEN_IN_RECORDS =
            Set.of("clone", "finalize", "getClass", "hashCode", "notify", "notifyAll", "toString", "wait");

    private final String packageName;
    private final TypeModel type;
    private final Style style;
    private final TypeSpec.Builder out;

    private Writer(TypeModel type, Style style, String packageName) {
        this.packageName = packageName;
        this.type = type;
        this.style = style;
        this.out = TypeSpec.classBuilder(type.doubleName(style))
                .addModifiers(Modifier.PUBLIC)
                .addTypeVariables(type.typeVariables());
    }

    static String write(TypeModel type, Style style, String packageName) {
        TypeSpec written = switch (style) {
            case BASE, STUB, SPY, FAKE -> new Writer(type, style, packageName).build();
            case LINKED -> LinkedWriter.write(type);
        };
        return JavaFile.builder(packageName, written)
                .indent("    ")
                .skipJavaLangImports(true)
                .build()
                .toString();
    }

    private TypeSpec build() {
        extend(out, type);
        out.addJavadoc(
                switch (style) {
                    case BASE -> "Answers every call of {@link $T} with something empty: override what a test needs.\n";
                    case STUB -> "A {@link $T} whose answers are set, method by method.\n";
                    case SPY -> "Keeps the calls of a {@link $T}, and passes them on to a real one if there is one.\n";
                    case FAKE -> "A {@link $T} to be written: each method that is left says so when it is called.\n";
                    case LINKED -> throw notHere();
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

    /** The head of every double of a type: what it extends, whether it should not be used any more, what is no news. */
    static void extend(TypeSpec.Builder out, TypeModel type) {
        if (type.isInterface()) {
            out.addSuperinterface(type.self());
        } else {
            out.superclass(type.self());
        }
        if (type.isDeprecated()) {
            out.addAnnotation(Deprecated.class);
        }
        if (!type.warnings().isEmpty()) {
            out.addAnnotation(suppressing(type.warnings()));
        }
    }

    private static AnnotationSpec suppressing(Set<String> warnings) {
        AnnotationSpec.Builder annotation = AnnotationSpec.builder(SuppressWarnings.class);
        warnings.forEach(warning -> annotation.addMember("value", "$S", warning));
        return annotation.build();
    }

    private void constructors() {
        if (style == Style.SPY) {
            out.addField(FieldSpec.builder(type.self(), "real", Modifier.PRIVATE, Modifier.FINAL)
                    .build());
        }
        for (ConstructorModel constructor : type.isInterface() ? List.of(ConstructorModel.NONE) : type.constructors()) {
            constructor(constructor, false);
            if (style == Style.SPY && !isConstructorWithReal(constructor.parameters())) {
                constructor(constructor, true);
            }
        }
    }

    /** Whether a constructor of the type takes just the parameters and, last, another object of the type. */
    private boolean isConstructorWithReal(List<ParameterSpec> parameters) {
        List<TypeName> wanted = new ArrayList<>(rawTypes(parameters));
        wanted.add(type.name());
        return type.constructors().stream()
                .anyMatch(other -> rawTypes(other.parameters()).equals(wanted));
    }

    private static List<TypeName> rawTypes(List<ParameterSpec> parameters) {
        return parameters.stream()
                .map(ParameterSpec::type)
                .map(each -> each instanceof ParameterizedTypeName generic ? generic.rawType() : each)
                .toList();
    }

    private void constructor(ConstructorModel constructor, boolean withReal) {
        List<ParameterSpec> parameters = constructor.parameters();
        boolean needless = parameters.isEmpty() && constructor.exceptions().isEmpty() && style != Style.SPY;
        if (needless) {
            return;
        }
        MethodSpec.Builder code = MethodSpec.constructorBuilder()
                .addModifiers(Modifier.PUBLIC)
                .addParameters(parameters)
                .addExceptions(constructor.exceptions());
        if (style == Style.SPY) {
            code.addJavadoc(withReal ? "Passes calls on to a real object.\n" : "Answers calls with something empty.\n");
        }
        if (!parameters.isEmpty()) {
            code.addStatement("super($L)", names(parameters));
        }
        if (withReal) {
            String name = unusedBy(parameters, "real");
            code.addParameter(type.self(), name);
            code.addStatement("this.real = $N", name);
        } else if (style == Style.SPY) {
            code.addStatement("this.real = null");
        }
        out.addMethod(code.build());
    }

    /** The head of a method that overrides one of the doubled type. */
    static MethodSpec.Builder overriding(MethodModel method, Set<String> furtherWarnings) {
        MethodSpec.Builder code = MethodSpec.methodBuilder(method.name())
                .addAnnotation(Override.class)
                .addAnnotations(method.annotations())
                .addTypeVariables(method.typeVariables())
                .returns(method.returns())
                .addParameters(method.parameters())
                .varargs(method.varargs())
                .addExceptions(method.exceptions());
        switch (method.access()) {
            case PUBLIC -> code.addModifiers(Modifier.PUBLIC);
            case PROTECTED -> code.addModifiers(Modifier.PROTECTED);
            case PACKAGE -> {
                // Said by no word.
            }
        }
        Set<String> warnings = new TreeSet<>(method.warnings());
        warnings.addAll(furtherWarnings);
        if (!warnings.isEmpty()) {
            code.addAnnotation(suppressing(warnings));
        }
        return code;
    }

    private void method(MethodModel method) {
        boolean cast = style == Style.STUB
                && !withoutOwnVariables(method, method.returns()).equals(method.returns());
        MethodSpec.Builder code = overriding(method, cast ? Set.of("unchecked") : Set.of());
        Runnable body = switch (style) {
            case BASE -> () -> answer(code, method, EmptyAnswers.of(method.returns()));
            case STUB -> () -> stub(code, method, cast);
            case SPY -> () -> spy(code, method);
            case FAKE -> () -> left(code, method);
            case LINKED -> throw notHere();
        };
        body.run();
        out.addMethod(code.build());
    }

    private static IllegalStateException notHere() {
        return new IllegalStateException("Linked doubles have a writer of their own.");
    }

    private void left(MethodSpec.Builder code, MethodModel method) {
        code.addJavadoc("See {@link $T#$L}.\n", type.name(), method.link());
        code.addStatement(
                "throw new $T($S)",
                UnsupportedOperationException.class,
                type.doubleName(style) + "." + method.name() + " is left to write.");
    }

    private static void answer(MethodSpec.Builder code, MethodModel method, CodeBlock value) {
        if (!method.isVoid()) {
            code.addStatement("return $L", value);
        }
    }

    private void stub(MethodSpec.Builder code, MethodModel method, boolean cast) {
        if (method.isVoid()) {
            return;
        }
        String field = method.readableName() + "Answer";
        TypeName kept = withoutOwnVariables(method, method.returns());
        out.addField(FieldSpec.builder(kept, field, Modifier.PRIVATE)
                .initializer(EmptyAnswers.of(kept))
                .build());
        out.addMethod(MethodSpec.methodBuilder(unusedName(method.readableName() + "Answers"))
                .addModifiers(Modifier.PUBLIC)
                .addJavadoc("Says what {@link $T#$L} answers from now on.\n", type.name(), method.link())
                .addParameter(kept, "answer")
                .returns(self())
                .addStatement("this.$N = answer", field)
                .addStatement("return this")
                .build());
        if (cast) {
            code.addStatement("return ($T) $L", method.returns(), ofThis(method, field));
        } else {
            code.addStatement("return $L", ofThis(method, field));
        }
    }

    private TypeName self() {
        ClassName name = ClassName.get("", type.doubleName(style));
        return type.typeVariables().isEmpty()
                ? name
                : ParameterizedTypeName.get(name, type.typeVariables().toArray(new TypeName[0]));
    }

    private void spy(MethodSpec.Builder code, MethodModel method) {
        String record = method.capitalName() + "Call";
        MethodSpec.Builder components = MethodSpec.constructorBuilder();
        for (ParameterSpec parameter : method.parameters()) {
            String name = parameter.name();
            components.addParameter(
                    withoutOwnVariables(method, parameter.type()),
                    TAKEN_IN_RECORDS.contains(name) ? name + "Argument" : name);
        }
        TypeSpec.Builder call = TypeSpec.recordBuilder(record)
                .addModifiers(Modifier.PUBLIC)
                .addJavadoc("A call of {@link $T#$L}.\n", type.name(), method.link())
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
                .addJavadoc("The calls of {@link $T#$L}, in their order.\n", type.name(), method.link())
                .initializer("new $T<>()", ArrayList.class)
                .build());
        code.addStatement(
                generic ? "$L.add(new $T<>($L))" : "$L.add(new $T($L))",
                ofThis(method, list),
                raw,
                names(method.parameters()));
        String real = ofThis(method, "real");
        // A protected method of another object can be called from its own package only.
        if (method.access() == MethodModel.Access.PUBLIC || method.packageName().equals(packageName)) {
            code.beginControlFlow("if ($L != null)", real);
            code.addStatement(
                    "$L$L.$N($L)", method.isVoid() ? "" : "return ", real, method.name(), names(method.parameters()));
            code.endControlFlow();
        }
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
    static TypeName withoutOwnVariables(MethodModel method, TypeName type) {
        String text = " " + type + " ";
        for (TypeVariableName variable : method.typeVariables()) {
            if (text.matches(".*\\b" + variable.name() + "\\b.*")) {
                return ClassName.OBJECT;
            }
        }
        return type;
    }

    /** A field, told apart from a parameter of the same name. */
    private static String ofThis(MethodModel method, String field) {
        for (ParameterSpec parameter : method.parameters()) {
            if (parameter.name().equals(field)) {
                return "this." + field;
            }
        }
        return field;
    }

    /** A name for a setter that no method of the type has. */
    private String unusedName(String wanted) {
        String name = wanted;
        for (MethodModel method : type.methods()) {
            name = method.name().equals(name) ? name + "Now" : name;
        }
        return name;
    }

    static String unusedBy(List<ParameterSpec> parameters, String wanted) {
        String name = wanted;
        for (ParameterSpec parameter : parameters) {
            name = parameter.name().equals(name) ? name + "One" : name;
        }
        return name;
    }

    static String names(List<ParameterSpec> parameters) {
        List<String> names = new ArrayList<>();
        parameters.forEach(parameter -> names.add(parameter.name()));
        return String.join(", ", names);
    }
}
