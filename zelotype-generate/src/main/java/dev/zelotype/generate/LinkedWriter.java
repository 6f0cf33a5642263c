package dev.zelotype.generate;

import dev.zelotype.generate.model.Code;
import dev.zelotype.generate.model.ConstructorModel;
import dev.zelotype.generate.model.MethodModel;
import dev.zelotype.generate.model.Names;
import dev.zelotype.generate.model.Parameter;
import dev.zelotype.generate.model.TypeModel;
import dev.zelotype.generate.text.ClassText;
import dev.zelotype.generate.text.MethodText;
import dev.zelotype.generate.type.ArrayName;
import dev.zelotype.generate.type.ClassName;
import dev.zelotype.generate.type.GenericName;
import dev.zelotype.generate.type.PrimitiveName;
import dev.zelotype.generate.type.TypeName;
import dev.zelotype.generate.type.WildcardName;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;

/**
 * Writes the class of doubles as source that would otherwise be generated at run time: each method passes its number
 * and its arguments to the receiver. The list of methods maps each number to its method.
 */
final class LinkedWriter {

    private static final String RECEIVER = "zelotype$receiver";
    private static final String METHODS = "zelotype$methods";
    private static final TypeName RECEIVER_TYPE = GenericName.of(
            ClassName.of(BiFunction.class),
            List.of(ClassName.OBJECT, ArrayName.of(ClassName.OBJECT), ClassName.OBJECT));

    private final TypeModel type;
    private final ClassText out;
    private final List<MethodModel> methods = new ArrayList<>();

    private LinkedWriter(TypeModel type) {
        this.type = type;
        out = new ClassText("public final class", DoubleName.of(type, Style.LINKED))
                .typeVariables(type.typeVariables());
        methods.addAll(type.methods());
        methods.addAll(type.objectMethods());
    }

    static ClassText write(TypeModel type) {
        return new LinkedWriter(type).build();
    }

    private ClassText build() {
        Writer.extend(out, type);
        out.javadoc("The class of the doubles of {@link $T}: Zelotype finds it, and need not make one.", type.name());
        List<String> numbered = new ArrayList<>();
        methods.forEach(method -> numbered.add(Code.of("$S", method.erased())));
        out.field(
                "static final $T[] $L = {\n        $L\n}", String.class, METHODS, String.join(",\n        ", numbered));
        out.field("private transient $T $L", RECEIVER_TYPE, RECEIVER);
        if (!type.isInterface()) {
            type.constructors().forEach(this::constructor);
        }
        for (int number = 0; number < methods.size(); number++) {
            method(number, methods.get(number));
        }
        return out;
    }

    private void constructor(ConstructorModel constructor) {
        List<Parameter> parameters = constructor.parameters();
        String receiver = Names.unusedBy(parameters, "receiver");
        out.method(new MethodText("", out.name())
                .typeVariables(constructor.typeVariables())
                .parameters(parameters)
                .parameter(Code.type(RECEIVER_TYPE), receiver)
                .exceptions(constructor.exceptions())
                .statement("super($L)", Names.list(parameters))
                .statement("this.$L = $L", RECEIVER, receiver));
    }

    private void method(int number, MethodModel method) {
        boolean unchecked = !isKnownWhileRunning(method.returns());
        MethodText code = Writer.overriding(method, unchecked ? Set.of("unchecked") : Set.of());
        String arguments = method.parameters().isEmpty()
                ? "null"
                : Code.of("new $T[] {$L}", Object.class, Names.list(method.parameters()));
        if (method.ofClass() && !method.isAbstract() && !type.isInterface()) {
            code.begin("if ($L == null)", RECEIVER).comment("The superclass is still being constructed.");
            String up = Code.of("super.$L($L)", method.name(), Names.list(method.parameters()));
            code.statement(method.isVoid() ? "$L" : "return $L", up);
            if (method.isVoid()) {
                code.statement("return");
            }
            code.end();
        }
        String call = Code.of("$L.apply($L, $L)", RECEIVER, number, arguments);
        if (method.isVoid()) {
            code.statement("$L", call);
        } else if (method.returns().withoutAnnotations().equals(ClassName.OBJECT)) {
            code.statement("return $L", call);
        } else {
            code.statement("return ($T) $L", method.returns().withoutAnnotations(), call);
        }
        out.method(code);
    }

    /**
     * Whether a cast to the type is checked: its type arguments, if any, are unbounded wildcards, and it is not a type
     * variable.
     */
    private static boolean isKnownWhileRunning(TypeName type) {
        if (type instanceof ArrayName array) {
            return isKnownWhileRunning(array.component());
        } else if (type instanceof GenericName parameterized) {
            return parameterized.arguments().stream().allMatch(WildcardName.ANY::equals)
                    && (parameterized.enclosing() == null || isKnownWhileRunning(parameterized.enclosing()));
        }
        return type instanceof ClassName || type instanceof PrimitiveName;
    }
}
