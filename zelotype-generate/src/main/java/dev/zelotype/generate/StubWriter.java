package dev.zelotype.generate;

import com.palantir.javapoet.ArrayTypeName;
import com.palantir.javapoet.ClassName;
import com.palantir.javapoet.CodeBlock;
import com.palantir.javapoet.FieldSpec;
import com.palantir.javapoet.MethodSpec;
import com.palantir.javapoet.ParameterSpec;
import com.palantir.javapoet.ParameterizedTypeName;
import com.palantir.javapoet.TypeName;
import com.palantir.javapoet.TypeSpec;
import com.palantir.javapoet.TypeVariableName;
import com.palantir.javapoet.WildcardTypeName;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import javax.lang.model.element.Modifier;

/**
 * Writes the parts of a stub: for each method a place for its answer, and what a test says to set it.
 */
final class StubWriter {

    private final TypeModel type;
    private final Style style;
    private final TypeSpec.Builder out;

    StubWriter(TypeModel type, Style style, TypeSpec.Builder out) {
        this.type = type;
        this.style = style;
        this.out = out;
    }

    void method(MethodModel method) {
        new OfMethod(method).write();
    }

    /** What several methods need; it stands behind them. */
    void tail() {
        TypeVariableName answer = TypeVariableName.get("A");
        TypeName list = ParameterizedTypeName.get(ClassName.get(List.class), WildcardTypeName.subtypeOf(answer));
        out.addMethod(MethodSpec.methodBuilder(Names.unusedBy(type, "inTurn"))
                .addModifiers(Modifier.PRIVATE, Modifier.STATIC)
                .addTypeVariable(answer)
                .returns(ParameterizedTypeName.get(ClassName.get(Supplier.class), answer))
                .addParameter(list, "answers")
                .beginControlFlow("if (answers.isEmpty())")
                .addStatement("throw new $T($S)", IllegalArgumentException.class, "Give at least one answer.")
                .endControlFlow()
                .addStatement(
                        "$T kept = new $T<>(answers)",
                        ParameterizedTypeName.get(ClassName.get(List.class), answer),
                        ArrayList.class)
                .addStatement("$T given = new $T()", AtomicInteger.class, AtomicInteger.class)
                .addStatement("return () -> kept.get($T.min(given.getAndIncrement(), kept.size() - 1))", Math.class)
                .build());
    }

    /** What belongs to one method. */
    private final class OfMethod {

        private final MethodModel method;
        private final String name;
        private final TypeName kept;
        private final List<TypeName> exceptions = new ArrayList<>();
        private final List<ParameterSpec> parameters = new ArrayList<>();
        private final String field;
        private final String does;
        private final TypeName shape;

        OfMethod(MethodModel method) {
            this.method = method;
            name = method.readableName();
            kept = Outside.of(method, method.returns()).withoutAnnotations();
            for (ParameterSpec parameter : method.parameters()) {
                TypeName outside = Outside.of(method, parameter.type()).withoutAnnotations();
                parameters.add(ParameterSpec.builder(outside, parameter.name()).build());
            }
            for (TypeName thrown : method.exceptions()) {
                if (!Outside.mentions(method.typeVariables(), thrown)) {
                    exceptions.add(thrown.withoutAnnotations());
                }
            }
            field = name + (method.isVoid() ? "Action" : "Answer");
            does = Names.unusedBy(type, name + (method.isVoid() ? "Does" : "AnswersBy"));
            ClassName raw = ClassName.get("", method.capitalName() + (method.isVoid() ? "Action" : "Answer"));
            shape = isGeneric() ? type.withVariables(raw) : raw;
        }

        private boolean isGeneric() {
            List<TypeVariableName> variables = type.typeVariables();
            return Outside.mentions(variables, kept)
                    || parameters.stream().anyMatch(each -> Outside.mentions(variables, each.type()))
                    || exceptions.stream().anyMatch(each -> Outside.mentions(variables, each));
        }

        void write() {
            out.addField(field());
            if (method.isVoid()) {
                if (style == Style.STRICT) {
                    doesNothing();
                }
            } else {
                answers();
                answersInTurn();
            }
            doesOrAnswersBy();
            fails();
            overridden();
            out.addType(functionalInterface());
        }

        private FieldSpec field() {
            FieldSpec.Builder built = FieldSpec.builder(shape, field, Modifier.PRIVATE);
            if (method.isAbstract()) {
                built.initializer("$L", style == Style.STRICT ? refusing() : lambda(unsetAnswer()));
            }
            return built.build();
        }

        private CodeBlock unsetAnswer() {
            return method.isVoid() ? CodeBlock.of("{ }") : type.emptyAnswer(kept);
        }

        private CodeBlock lambda(CodeBlock body) {
            String names = Names.list(parameters);
            return CodeBlock.of("$L -> $L", parameters.size() == 1 ? names : "(" + names + ")", body);
        }

        /** What says which line is missing. */
        private CodeBlock refusing() {
            CodeBlock.Builder text = CodeBlock.builder();
            String call = type.name().simpleName() + "." + method.name() + "(";
            String may = method.isVoid() ? ") may be called." : ") answers.";
            String cure = method.isVoid()
                    ? " Write: ." + Names.unusedBy(type, name + "DoesNothing") + "();"
                    : " Write: ." + Names.unusedBy(type, name + "Answers") + "(...);";
            String said = method.isVoid() ? "Nobody said that " : "Nobody said what ";
            // On lines of their own, so that they do not grow too long.
            if (parameters.isEmpty()) {
                text.add("$S\n$>$>+ $S$<$<", said + call + may, cure);
            } else {
                text.add("$S", said + call);
                for (int i = 0; i < parameters.size(); i++) {
                    text.add(i == 0 ? " + " : "\n$>$>+ $S + $<$<", i == 0 ? new Object[0] : new Object[] {", "});
                    text.add("$L", printed(parameters.get(i)));
                }
                text.add("\n$>$>+ $S$<$<", may + cure);
            }
            return lambda(CodeBlock.of("{\n$>throw new $T($L);\n$<}", AssertionError.class, text.build()));
        }

        private CodeBlock printed(ParameterSpec parameter) {
            return parameter.type() instanceof ArrayTypeName array
                    ? CodeBlock.of(
                            "$T.$L($N)",
                            Arrays.class,
                            array.componentType().isPrimitive() ? "toString" : "deepToString",
                            parameter.name())
                    : CodeBlock.of("$N", parameter.name());
        }

        private MethodSpec.Builder said(String word, String javadoc) {
            return MethodSpec.methodBuilder(word)
                    .addModifiers(Modifier.PUBLIC)
                    .addJavadoc(javadoc, type.name(), method.link())
                    .returns(self());
        }

        private void doesNothing() {
            out.addMethod(said(
                            Names.unusedBy(type, name + "DoesNothing"),
                            "Says that {@link $T#$L} may be called, and does nothing.\n")
                    .addStatement("return $N($L)", does, lambda(CodeBlock.of("{ }")))
                    .build());
        }

        private void answers() {
            String answer = Names.unusedBy(parameters, "answer");
            out.addMethod(said(Names.unusedBy(type, name + "Answers"), "Says what {@link $T#$L} answers from now on.\n")
                    .addParameter(kept, answer)
                    .addStatement("return $N($L)", does, lambda(CodeBlock.of("$N", answer)))
                    .build());
        }

        private void answersInTurn() {
            TypeName boxed = kept.box();
            TypeName element = boxed instanceof ClassName ? boxed : WildcardTypeName.subtypeOf(boxed);
            String answers = Names.unusedBy(parameters, "answers");
            String next = Names.unusedBy(parameters, "next");
            out.addMethod(said(
                            Names.unusedBy(type, name + "AnswersInTurn"),
                            "Says what {@link $T#$L} answers, one after the other; the last again and again.\n")
                    .addParameter(ParameterizedTypeName.get(ClassName.get(List.class), element), answers)
                    .addStatement(
                            "$T $N = $N($N)",
                            ParameterizedTypeName.get(ClassName.get(Supplier.class), boxed),
                            next,
                            Names.unusedBy(type, "inTurn"),
                            answers)
                    .addStatement("return $N($L)", does, lambda(CodeBlock.of("$N.get()", next)))
                    .build());
        }

        private void doesOrAnswersBy() {
            String parameter = method.isVoid() ? "action" : "answer";
            out.addMethod(said(
                            does,
                            method.isVoid()
                                    ? "Says what {@link $T#$L} does from now on: it may run a callback.\n"
                                    : "Says how the answers of {@link $T#$L} are worked out from now on.\n")
                    .addParameter(shape, parameter)
                    .addStatement("this.$N = $N", field, parameter)
                    .addStatement("return this")
                    .build());
        }

        /** One for what is unchecked, and one for each exception that the method declares. */
        private void fails() {
            Map<TypeName, TypeName> allowed = new LinkedHashMap<>();
            allowed.put(ClassName.get(RuntimeException.class), ClassName.get(RuntimeException.class));
            allowed.put(ClassName.get(Error.class), ClassName.get(Error.class));
            for (TypeName thrown : exceptions) {
                allowed.putIfAbsent(erased(thrown), thrown);
            }
            String failure = Names.unusedBy(parameters, "failure");
            for (TypeName thrown : allowed.values()) {
                out.addMethod(
                        said(Names.unusedBy(type, name + "Fails"), "Says what {@link $T#$L} throws from now on.\n")
                                .addParameter(thrown, failure)
                                .addStatement("return $N($L)", does, lambda(CodeBlock.of("{ throw $N; }", failure)))
                                .build());
            }
        }

        private TypeName erased(TypeName thrown) {
            if (thrown instanceof TypeVariableName variable) {
                return variable.bounds().isEmpty()
                        ? ClassName.OBJECT
                        : erased(variable.bounds().get(0));
            }
            return thrown;
        }

        private void overridden() {
            boolean cast = !kept.equals(method.returns().withoutAnnotations());
            MethodSpec.Builder code = Writer.overriding(method, cast ? Set.of("unchecked") : Set.of());
            String answer = Names.ofThis(method, field);
            if (!method.isAbstract()) {
                code.beginControlFlow("if ($L == null)", answer);
                CodeBlock own = type.ownCode(method);
                code.addStatement(method.isVoid() ? "$L" : "return $L", own);
                if (method.isVoid()) {
                    code.addStatement("return");
                }
                code.endControlFlow();
            }
            CodeBlock call =
                    CodeBlock.of("$L.$L($L)", answer, method.isVoid() ? "on" : "to", Names.list(method.parameters()));
            if (method.isVoid()) {
                code.addStatement(call);
            } else if (cast) {
                code.addStatement("return ($T) $L", method.returns().withoutAnnotations(), call);
            } else {
                code.addStatement("return $L", call);
            }
            out.addMethod(code.build());
        }

        private TypeSpec functionalInterface() {
            TypeSpec.Builder built = TypeSpec.interfaceBuilder(rawShape())
                    .addModifiers(Modifier.PUBLIC)
                    .addAnnotation(FunctionalInterface.class)
                    .addJavadoc(
                            method.isVoid() ? "What {@link $T#$L} does.\n" : "Works out what {@link $T#$L} answers.\n",
                            type.name(),
                            method.link())
                    .addMethod(MethodSpec.methodBuilder(method.isVoid() ? "on" : "to")
                            .addModifiers(Modifier.PUBLIC, Modifier.ABSTRACT)
                            .addParameters(parameters)
                            .addExceptions(exceptions)
                            .returns(kept)
                            .build());
            if (shape instanceof ParameterizedTypeName) {
                built.addTypeVariables(type.typeVariables());
            }
            return built.build();
        }

        private ClassName rawShape() {
            return shape instanceof ParameterizedTypeName generic ? generic.rawType() : (ClassName) shape;
        }
    }

    private TypeName self() {
        return type.withVariables(ClassName.get("", type.doubleName(style)));
    }
}
