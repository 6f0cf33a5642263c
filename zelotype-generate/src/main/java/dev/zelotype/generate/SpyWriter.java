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
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;
import javax.lang.model.element.Modifier;

/**
 * Writes the parts of a spy: one list of all calls, a record for each method, and the passing on.
 */
final class SpyWriter {

    /** Names that a record does not allow its components. */
    private static final Set<String> TAKEN_IN_RECORDS =
            Set.of("clone", "finalize", "getClass", "hashCode", "notify", "notifyAll", "toString", "wait");

    private final TypeModel type;
    private final String packageName;
    private final TypeSpec.Builder out;
    private final ClassName anyCall;

    SpyWriter(TypeModel type, String packageName, TypeSpec.Builder out) {
        this.type = type;
        this.packageName = packageName;
        this.out = out;
        boolean taken = type.typeVariables().stream()
                .anyMatch(variable -> variable.name().equals("Call"));
        anyCall = ClassName.get("", taken ? "AnyCall" : "Call");
    }

    /** What all methods share; it stands before them. */
    void head() {
        out.addField(FieldSpec.builder(
                        ParameterizedTypeName.get(ClassName.get(Queue.class), anyCall),
                        "calls",
                        Modifier.PRIVATE,
                        Modifier.FINAL)
                .initializer("new $T<>()", ConcurrentLinkedQueue.class)
                .build());
        out.addMethod(MethodSpec.methodBuilder(Names.unusedBy(type, "calls"))
                .addModifiers(Modifier.PUBLIC)
                .addJavadoc("All calls so far, in their order.\n")
                .returns(ParameterizedTypeName.get(ClassName.get(List.class), anyCall))
                .addStatement("return $T.copyOf(calls)", List.class)
                .build());
        out.addType(TypeSpec.interfaceBuilder(anyCall)
                .addModifiers(Modifier.PUBLIC, Modifier.SEALED)
                .addJavadoc("A call of any method of {@link $T}.\n", type.name())
                .build());
    }

    /** What the methods share; it stands behind them. */
    void tail() {
        TypeVariableName call = TypeVariableName.get("C");
        out.addMethod(MethodSpec.methodBuilder(Names.unusedBy(type, "callsOf"))
                .addModifiers(Modifier.PRIVATE)
                .addTypeVariable(call)
                .returns(ParameterizedTypeName.get(ClassName.get(List.class), call))
                .addParameter(ParameterizedTypeName.get(ClassName.get(Class.class), call), "type")
                .addStatement("return calls.stream().filter(type::isInstance).map(type::cast).toList()")
                .build());
    }

    void method(MethodModel method) {
        new OfMethod(method).write();
    }

    /** What belongs to one method. */
    private final class OfMethod {

        private final MethodModel method;
        private final List<ParameterSpec> components = new ArrayList<>();
        private final ClassName raw;
        private final TypeName record;
        private final boolean generic;

        OfMethod(MethodModel method) {
            this.method = method;
            for (ParameterSpec parameter : method.parameters()) {
                String name = parameter.name();
                TypeName outside = Outside.of(method, parameter.type());
                components.add(
                        ParameterSpec.builder(outside, TAKEN_IN_RECORDS.contains(name) ? name + "Argument" : name)
                                .build());
            }
            List<TypeVariableName> variables = type.typeVariables();
            generic = components.stream().anyMatch(each -> Outside.mentions(variables, each.type()));
            raw = ClassName.get("", method.capitalName() + "Call");
            record = generic ? type.withVariables(raw) : raw;
        }

        void write() {
            out.addMethod(calls());
            out.addMethod(overridden());
            out.addType(record());
        }

        private MethodSpec calls() {
            MethodSpec.Builder code = MethodSpec.methodBuilder(Names.unusedBy(type, method.readableName() + "Calls"))
                    .addModifiers(Modifier.PUBLIC)
                    .addJavadoc("The calls of {@link $T#$L} so far, in their order.\n", type.name(), method.link())
                    .returns(ParameterizedTypeName.get(ClassName.get(List.class), record));
            String callsOf = Names.unusedBy(type, "callsOf");
            if (generic) {
                code.addAnnotation(Writer.suppressing(Set.of("unchecked")));
                TypeName list = ParameterizedTypeName.get(ClassName.get(List.class), record);
                code.addStatement("return ($T) ($T<?>) $N($T.class)", list, List.class, callsOf, raw);
            } else {
                code.addStatement("return $N($T.class)", callsOf, raw);
            }
            return code.build();
        }

        private MethodSpec overridden() {
            MethodSpec.Builder code = Writer.overriding(method, Set.of());
            List<CodeBlock> values = new ArrayList<>();
            for (ParameterSpec parameter : method.parameters()) {
                values.add(
                        parameter.type() instanceof ArrayTypeName
                                ? CodeBlock.of("$N == null ? null : $N.clone()", parameter.name(), parameter.name())
                                : CodeBlock.of("$N", parameter.name()));
            }
            code.addStatement(
                    "$L.add(new $T($L))", Names.ofThis(method, "calls"), record, CodeBlock.join(values, ", "));
            String real = Names.ofThis(method, "real");
            String give = method.isVoid() ? "" : "return ";
            // A protected method of another object can be called from its own package only.
            if (method.access() == MethodModel.Access.PUBLIC
                    || method.packageName().equals(packageName)) {
                code.beginControlFlow("if ($L != null)", real);
                code.addStatement("$L$L.$N($L)", give, real, method.name(), Names.list(method.parameters()));
                if (method.isVoid() && !method.isAbstract()) {
                    code.addStatement("return");
                }
                code.endControlFlow();
            }
            if (!method.isAbstract()) {
                code.addStatement("$L$L", give, type.ownCode(method));
            } else if (!method.isVoid()) {
                code.addStatement("return $L", type.emptyAnswer(method.returns()));
            }
            return code.build();
        }

        private TypeSpec record() {
            MethodSpec.Builder constructor = MethodSpec.constructorBuilder();
            components.forEach(constructor::addParameter);
            TypeSpec.Builder call = TypeSpec.recordBuilder(raw)
                    .addModifiers(Modifier.PUBLIC)
                    .addSuperinterface(anyCall)
                    .addJavadoc("A call of {@link $T#$L}.\n", type.name(), method.link())
                    .recordConstructor(constructor.build());
            if (generic) {
                call.addTypeVariables(type.typeVariables());
            }
            if (components.stream().anyMatch(each -> each.type() instanceof ArrayTypeName)) {
                byContent(call);
            }
            return call.build();
        }

        /** Records compare arrays by identity, and print them as such, unless told otherwise. */
        private void byContent(TypeSpec.Builder call) {
            String other = Names.unusedBy(components, "other");
            String that = Names.unusedBy(components, "that");
            List<CodeBlock> equal = new ArrayList<>();
            List<CodeBlock> hashes = new ArrayList<>();
            List<CodeBlock> texts = new ArrayList<>();
            for (ParameterSpec each : components) {
                String name = each.name();
                String deep = each.type() instanceof ArrayTypeName array
                        ? array.componentType().isPrimitive() ? "" : "deep"
                        : null;
                if (deep == null) {
                    equal.add(CodeBlock.of("$T.equals($N, $N.$N)", Objects.class, name, that, name));
                    hashes.add(CodeBlock.of("$N", name));
                    texts.add(CodeBlock.of("$S + $N", name + "=", name));
                } else {
                    equal.add(CodeBlock.of(
                            "$T.$L($N, $N.$N)",
                            Arrays.class,
                            deep.isEmpty() ? "equals" : "deepEquals",
                            name,
                            that,
                            name));
                    hashes.add(CodeBlock.of(
                            "$T.$L($N)", Arrays.class, deep.isEmpty() ? "hashCode" : "deepHashCode", name));
                    texts.add(CodeBlock.of(
                            "$S + $T.$L($N)",
                            name + "=",
                            Arrays.class,
                            deep.isEmpty() ? "toString" : "deepToString",
                            name));
                }
            }
            CodeBlock wild = generic
                    ? CodeBlock.of(
                            "$T<$L>",
                            raw,
                            String.join(
                                    ", ",
                                    type.typeVariables().stream()
                                            .map(each -> "?")
                                            .toList()))
                    : CodeBlock.of("$T", raw);
            call.addMethod(MethodSpec.methodBuilder("equals")
                    .addAnnotation(Override.class)
                    .addModifiers(Modifier.PUBLIC)
                    .returns(boolean.class)
                    .addParameter(Object.class, other)
                    .addStatement("return $N instanceof $L $N && $L", other, wild, that, CodeBlock.join(equal, "\n&& "))
                    .build());
            call.addMethod(MethodSpec.methodBuilder("hashCode")
                    .addAnnotation(Override.class)
                    .addModifiers(Modifier.PUBLIC)
                    .returns(int.class)
                    .addStatement("return $T.hash($L)", Objects.class, CodeBlock.join(hashes, ", "))
                    .build());
            call.addMethod(MethodSpec.methodBuilder("toString")
                    .addAnnotation(Override.class)
                    .addModifiers(Modifier.PUBLIC)
                    .returns(String.class)
                    .addStatement(
                            "return $S + $L + $S", raw.simpleName() + "[", CodeBlock.join(texts, " + \", \" + "), "]")
                    .build());
        }
    }
}
