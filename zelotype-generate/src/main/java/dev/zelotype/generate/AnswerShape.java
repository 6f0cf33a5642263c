package dev.zelotype.generate;

import dev.zelotype.generate.model.Code;
import dev.zelotype.generate.model.Parameter;
import dev.zelotype.generate.model.TypeVariables;
import dev.zelotype.generate.text.ClassText;
import dev.zelotype.generate.text.MethodText;
import dev.zelotype.generate.type.PrimitiveName;
import dev.zelotype.generate.type.TypeName;
import dev.zelotype.generate.type.VariableName;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.TypeVariable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.BiFunction;
import java.util.function.BiPredicate;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.DoubleBinaryOperator;
import java.util.function.DoubleConsumer;
import java.util.function.DoubleFunction;
import java.util.function.DoublePredicate;
import java.util.function.DoubleSupplier;
import java.util.function.DoubleToIntFunction;
import java.util.function.DoubleToLongFunction;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;
import java.util.function.IntBinaryOperator;
import java.util.function.IntConsumer;
import java.util.function.IntFunction;
import java.util.function.IntPredicate;
import java.util.function.IntSupplier;
import java.util.function.IntToDoubleFunction;
import java.util.function.IntToLongFunction;
import java.util.function.IntUnaryOperator;
import java.util.function.LongBinaryOperator;
import java.util.function.LongConsumer;
import java.util.function.LongFunction;
import java.util.function.LongPredicate;
import java.util.function.LongSupplier;
import java.util.function.LongToDoubleFunction;
import java.util.function.LongToIntFunction;
import java.util.function.LongUnaryOperator;
import java.util.function.ObjDoubleConsumer;
import java.util.function.ObjIntConsumer;
import java.util.function.ObjLongConsumer;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.function.ToDoubleBiFunction;
import java.util.function.ToDoubleFunction;
import java.util.function.ToIntBiFunction;
import java.util.function.ToIntFunction;
import java.util.function.ToLongBiFunction;
import java.util.function.ToLongFunction;
import org.jspecify.annotations.Nullable;

/**
 * A functional interface with the parameters and the result of a method: one from the JDK, or one that all methods of
 * the double with the same number of parameters share. Methods with checked exceptions share a variant that declares
 * them.
 */
final class AnswerShape {

    /**
     * The methods of such interfaces, by the kinds of the parameters and of the result, for example {@code (L int )void},
     * where L is any reference.
     */
    private static final Map<String, Method> OF_JDK = new HashMap<>();

    static {
        for (Class<?> each : List.of(
                Runnable.class,
                Supplier.class,
                BooleanSupplier.class,
                IntSupplier.class,
                LongSupplier.class,
                DoubleSupplier.class,
                Consumer.class,
                IntConsumer.class,
                LongConsumer.class,
                DoubleConsumer.class,
                BiConsumer.class,
                ObjIntConsumer.class,
                ObjLongConsumer.class,
                ObjDoubleConsumer.class,
                Predicate.class,
                IntPredicate.class,
                LongPredicate.class,
                DoublePredicate.class,
                BiPredicate.class,
                Function.class,
                IntFunction.class,
                LongFunction.class,
                DoubleFunction.class,
                ToIntFunction.class,
                ToLongFunction.class,
                ToDoubleFunction.class,
                IntUnaryOperator.class,
                LongUnaryOperator.class,
                DoubleUnaryOperator.class,
                IntToLongFunction.class,
                IntToDoubleFunction.class,
                LongToIntFunction.class,
                LongToDoubleFunction.class,
                DoubleToIntFunction.class,
                DoubleToLongFunction.class,
                BiFunction.class,
                ToIntBiFunction.class,
                ToLongBiFunction.class,
                ToDoubleBiFunction.class,
                IntBinaryOperator.class,
                LongBinaryOperator.class,
                DoubleBinaryOperator.class)) {
            Method method = methodOf(each);
            StringBuilder sorts = new StringBuilder("(");
            for (Class<?> parameter : method.getParameterTypes()) {
                sorts.append(sort(parameter));
            }
            OF_JDK.put(sorts.append(')').append(sort(method.getReturnType())).toString(), method);
        }
    }

    private static final List<String> NAMES =
            List.of("first", "second", "third", "fourth", "fifth", "sixth", "seventh");

    /** The method of the interface from the JDK; null if there is none for this number of parameters. */
    private final @Nullable Method jdk;

    private final String name;
    private final List<TypeName> arguments;
    private final TypeName result;

    private AnswerShape(@Nullable Method jdk, String name, List<TypeName> arguments, TypeName result) {
        this.jdk = jdk;
        this.name = name;
        this.arguments = arguments;
        this.result = result;
    }

    /** The shared interface for a method; null if the method needs its own. */
    static @Nullable AnswerShape of(List<Parameter> parameters, TypeName result) {
        List<TypeName> types = new ArrayList<>();
        List<TypeName> boxed = new ArrayList<>();
        for (Parameter parameter : parameters) {
            types.add(parameter.type());
            boxed.add(parameter.type().box());
        }
        Method exact = OF_JDK.get(sorts(types, result));
        Method jdk = exact != null ? exact : OF_JDK.get(sorts(boxed, result));
        List<TypeName> arguments = new ArrayList<>();
        for (TypeName each : exact != null ? types : boxed) {
            if (!(each instanceof PrimitiveName)) {
                arguments.add(each);
            }
        }
        // void counts as primitive.
        if (!(result instanceof PrimitiveName)) {
            arguments.add(result);
        }
        if (jdk != null) {
            return new AnswerShape(jdk, jdk.getDeclaringClass().getSimpleName(), arguments, result);
        }
        boolean hasNumber = types.size() > 2 && types.size() <= NAMES.size();
        boolean isAction = isAction(result);
        return hasNumber && (isAction || !(result instanceof PrimitiveName))
                ? new AnswerShape(null, (isAction ? "Action" : "Answer") + types.size(), arguments, result)
                : null;
    }

    private static String sorts(List<TypeName> parameters, TypeName result) {
        StringBuilder sorts = new StringBuilder("(");
        for (TypeName parameter : parameters) {
            sorts.append(sort(parameter));
        }
        return sorts.append(')').append(sort(result)).toString();
    }

    /** The name of its method. */
    String call() {
        return jdk != null ? jdk.getName() : call(result);
    }

    /** The name of the method of an interface that the JDK does not have. */
    static String call(TypeName result) {
        return isAction(result) ? "on" : "to";
    }

    private static boolean isAction(TypeName result) {
        return result.equals(TypeName.VOID);
    }

    /** Whether the JDK has it, so that it need not be written. */
    boolean isOfJdk() {
        return jdk != null;
    }

    /** Its name in fields and parameters. */
    String code() {
        return withArguments(jdk != null ? Code.of("$T", jdk.getDeclaringClass()) : name);
    }

    /** The name of the variant with checked exceptions in fields and parameters. */
    String throwingCode() {
        return withArguments(throwingName());
    }

    String name() {
        return name;
    }

    String throwingName() {
        return "Throwing" + name;
    }

    private String withArguments(String called) {
        if (arguments.isEmpty()) {
            return called;
        }
        return called + "<"
                + String.join(", ", arguments.stream().map(Code::type).toList()) + ">";
    }

    /** The declaration of the interface, or of the variant with checked exceptions. */
    ClassText declared(String called, List<TypeName> exceptions) {
        MethodText method = new MethodText("", call()).exceptions(exceptions).withoutBody();
        List<String> variables = new ArrayList<>();
        if (jdk != null) {
            method.returns(jdk.getGenericReturnType().getTypeName());
            for (int i = 0; i < jdk.getParameterCount(); i++) {
                method.parameter(jdk.getGenericParameterTypes()[i].getTypeName(), NAMES.get(i));
            }
            for (TypeVariable<?> each : jdk.getDeclaringClass().getTypeParameters()) {
                variables.add(each.getName());
            }
        } else {
            boolean isAction = isAction(result);
            int number = arguments.size() - (isAction ? 0 : 1);
            for (int i = 0; i < number; i++) {
                String variable = String.valueOf((char) ('A' + i));
                variables.add(variable);
                method.parameter(variable, NAMES.get(i));
            }
            if (!isAction) {
                variables.add("R");
            }
            method.returns(isAction ? "void" : "R");
        }
        return new ClassText("public interface", called)
                .annotation(Code.of("@$T", FunctionalInterface.class))
                .typeVariables(new TypeVariables(
                        variables.stream().map(VariableName::of).toList()))
                .method(method);
    }

    private static Method methodOf(Class<?> type) {
        return Arrays.stream(type.getMethods())
                .filter(each -> Modifier.isAbstract(each.getModifiers()))
                .findFirst()
                .orElseThrow();
    }

    private static String sort(Class<?> type) {
        return type.isPrimitive() ? type.getName() + " " : "L ";
    }

    private static String sort(TypeName type) {
        return type instanceof PrimitiveName primitive ? primitive.keyword() + " " : "L ";
    }
}
