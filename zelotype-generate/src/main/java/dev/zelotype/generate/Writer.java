package dev.zelotype.generate;

import com.palantir.javapoet.AnnotationSpec;
import com.palantir.javapoet.CodeBlock;
import com.palantir.javapoet.FieldSpec;
import com.palantir.javapoet.JavaFile;
import com.palantir.javapoet.MethodSpec;
import com.palantir.javapoet.ParameterSpec;
import com.palantir.javapoet.ParameterizedTypeName;
import com.palantir.javapoet.TypeName;
import com.palantir.javapoet.TypeSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.Modifier;

/**
 * Writes the source of one double.
 */
final class Writer {

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
            case BASE, STUB, STRICT, SPY, FAKE -> new Writer(type, style, packageName).build();
            case LINKED -> LinkedWriter.write(type);
        };
        // A nested type of the doubled one hides what is imported under the same name.
        TypeSpec.Builder safe =
                written.toBuilder().alwaysQualify(type.nestedNames().toArray(new String[0]));
        return JavaFile.builder(packageName, safe.build())
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
                    case STRICT ->
                        "A {@link $T} whose answers are set, method by method; a call that is not set fails.\n";
                    case SPY -> "Keeps the calls of a {@link $T}, and passes them on to a real one if there is one.\n";
                    case FAKE -> "A {@link $T} to be written: each method that is left says so when it is called.\n";
                    case LINKED -> throw notHere();
                },
                type.name());
        if (style == Style.BASE) {
            out.addModifiers(Modifier.ABSTRACT);
        }
        constructors();
        List<MethodModel> methods =
                type.methods().stream().filter(this::isWritten).toList();
        SpyWriter spy = new SpyWriter(type, packageName, out);
        StubWriter stub = new StubWriter(type, style, out);
        boolean called = methods.stream().anyMatch(method -> !method.isOfObject());
        if (style == Style.SPY && called) {
            spy.head();
        }
        for (MethodModel method : methods) {
            if (method.isOfObject()) {
                identity(method);
                continue;
            }
            switch (style) {
                case BASE -> empty(method);
                case STUB, STRICT -> stub.method(method);
                case SPY -> spy.method(method);
                case FAKE -> left(method);
                case LINKED -> throw notHere();
            }
        }
        if (style == Style.SPY && called) {
            spy.tail();
        }
        boolean inTurn = methods.stream().anyMatch(method -> !method.isVoid() && !method.isOfObject());
        if (inTurn && (style == Style.STUB || style == Style.STRICT)) {
            stub.tail();
        }
        equalsWithHashCode(methods);
        return out.build();
    }

    /** Default methods run their own code in every style; those that can answer something else are written as well. */
    private boolean isWritten(MethodModel method) {
        boolean answers = style == Style.STUB || style == Style.STRICT || style == Style.SPY;
        return method.isAbstract() || answers && !method.ofClass();
    }

    /** What a class leaves to its subclasses of what every object has. */
    private void identity(MethodModel method) {
        CodeBlock body = switch (method.name()) {
            case "equals" ->
                CodeBlock.of("this == $N", method.parameters().get(0).name());
            case "hashCode" -> CodeBlock.of("$T.identityHashCode(this)", System.class);
            default -> CodeBlock.of("$S", type.doubleName(style));
        };
        out.addMethod(
                overriding(method, Set.of()).addStatement("return $L", body).build());
    }

    /** Who writes one of the two writes the other. */
    private void equalsWithHashCode(List<MethodModel> methods) {
        boolean equals = methods.stream()
                .anyMatch(method -> method.isOfObject() && method.name().equals("equals"));
        boolean hashCode = methods.stream()
                .anyMatch(method -> method.isOfObject() && method.name().equals("hashCode"));
        if (equals != hashCode) {
            String missing = equals ? "hashCode" : "equals";
            type.objectMethods().stream()
                    .filter(method -> method.name().equals(missing))
                    .forEach(this::identity);
        }
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

    static AnnotationSpec suppressing(Set<String> warnings) {
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
                .addTypeVariables(constructor.typeVariables())
                .addParameters(parameters)
                .addExceptions(constructor.exceptions());
        if (style == Style.SPY) {
            code.addJavadoc(withReal ? "Passes calls on to a real object.\n" : "Answers calls with something empty.\n");
        }
        if (!parameters.isEmpty()) {
            code.addStatement("super($L)", Names.list(parameters));
        }
        if (withReal) {
            String name = Names.unusedBy(parameters, "real");
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

    private static IllegalStateException notHere() {
        return new IllegalStateException("Linked doubles have a writer of their own.");
    }

    private void left(MethodModel method) {
        out.addMethod(overriding(method, Set.of())
                .addJavadoc("See {@link $T#$L}.\n", type.name(), method.link())
                .addStatement(
                        "throw new $T($S)",
                        UnsupportedOperationException.class,
                        type.doubleName(style) + "." + method.name() + " is left to write.")
                .build());
    }

    private void empty(MethodModel method) {
        MethodSpec.Builder code = overriding(method, Set.of());
        if (!method.isVoid()) {
            code.addStatement("return $L", type.emptyAnswer(method.returns()));
        }
        out.addMethod(code.build());
    }
}
