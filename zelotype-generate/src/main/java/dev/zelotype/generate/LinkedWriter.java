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
import com.palantir.javapoet.WildcardTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import javax.lang.model.element.Modifier;

/**
 * Writes, as source, the class that is else made while tests run: each method hands its number and its arguments to what
 * answers for the double. The list of methods tells whoever loads the class which number stands for which.
 */
final class LinkedWriter {

    private static final String RECEIVER = "zelotype$receiver";
    private static final String METHODS = "zelotype$methods";
    private static final TypeName RECEIVER_TYPE = ParameterizedTypeName.get(
            ClassName.get(BiFunction.class), ClassName.OBJECT, ArrayTypeName.of(Object.class), ClassName.OBJECT);

    private final TypeModel type;
    private final TypeSpec.Builder out;
    private final List<MethodModel> methods = new ArrayList<>();

    private LinkedWriter(TypeModel type) {
        this.type = type;
        out = TypeSpec.classBuilder(type.doubleName(Style.LINKED))
                .addModifiers(Modifier.PUBLIC, Modifier.FINAL)
                .addTypeVariables(type.typeVariables());
        methods.addAll(type.methods());
        methods.addAll(type.objectMethods());
    }

    static TypeSpec write(TypeModel type) {
        return new LinkedWriter(type).build();
    }

    private TypeSpec build() {
        Writer.extend(out, type);
        out.addJavadoc(
                "The class of the doubles of {@link $T}: Zelotype finds it, and need not make one.\n", type.name());
        List<CodeBlock> numbered = new ArrayList<>();
        methods.forEach(method -> numbered.add(CodeBlock.of("$S", method.erased())));
        out.addField(FieldSpec.builder(ArrayTypeName.of(String.class), METHODS, Modifier.STATIC, Modifier.FINAL)
                .initializer("{\n$>$>$L$<$<\n}", CodeBlock.join(numbered, ",\n"))
                .build());
        out.addField(FieldSpec.builder(RECEIVER_TYPE, RECEIVER, Modifier.PRIVATE, Modifier.TRANSIENT)
                .build());
        if (!type.isInterface()) {
            type.constructors().forEach(this::constructor);
        }
        for (int number = 0; number < methods.size(); number++) {
            method(number, methods.get(number));
        }
        return out.build();
    }

    private void constructor(ConstructorModel constructor) {
        List<ParameterSpec> parameters = constructor.parameters();
        String receiver = Names.unusedBy(parameters, "receiver");
        out.addMethod(MethodSpec.constructorBuilder()
                .addTypeVariables(constructor.typeVariables())
                .addParameters(parameters)
                .addParameter(RECEIVER_TYPE, receiver)
                .addExceptions(constructor.exceptions())
                .addStatement("super($L)", Names.list(parameters))
                .addStatement("this.$N = $N", RECEIVER, receiver)
                .build());
    }

    private void method(int number, MethodModel method) {
        boolean unchecked = !isKnownWhileRunning(method.returns());
        MethodSpec.Builder code = Writer.overriding(method, unchecked ? Set.of("unchecked") : Set.of());
        CodeBlock arguments = method.parameters().isEmpty()
                ? CodeBlock.of("null")
                : CodeBlock.of("new Object[] {$L}", Names.list(method.parameters()));
        if (method.ofClass() && !method.isAbstract() && !type.isInterface()) {
            code.beginControlFlow("if ($N == null)", RECEIVER).addComment("The superclass is still being constructed.");
            CodeBlock up = CodeBlock.of("super.$N($L)", method.name(), Names.list(method.parameters()));
            code.addStatement(method.isVoid() ? "$L" : "return $L", up);
            if (method.isVoid()) {
                code.addStatement("return");
            }
            code.endControlFlow();
        }
        CodeBlock call = CodeBlock.of("$N.apply($L, $L)", RECEIVER, number, arguments);
        if (method.isVoid()) {
            code.addStatement(call);
        } else if (method.returns().withoutAnnotations().equals(ClassName.OBJECT)) {
            code.addStatement("return $L", call);
        } else {
            code.addStatement("return ($T) $L", method.returns().withoutAnnotations(), call);
        }
        out.addMethod(code.build());
    }

    /** Whether a cast to the type is checked: it has no type arguments but unbounded wildcards, and is no variable. */
    private static boolean isKnownWhileRunning(TypeName type) {
        if (type instanceof ArrayTypeName array) {
            return isKnownWhileRunning(array.componentType());
        } else if (type instanceof ParameterizedTypeName parameterized) {
            WildcardTypeName any = WildcardTypeName.subtypeOf(Object.class);
            return parameterized.typeArguments().stream().allMatch(any::equals);
        }
        return type instanceof ClassName || type.isPrimitive() || type.equals(TypeName.VOID);
    }
}
