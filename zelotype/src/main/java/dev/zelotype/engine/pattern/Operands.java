package dev.zelotype.engine.pattern;

import dev.zelotype.engine.pattern.Symbols.NewLambda;
import dev.zelotype.engine.pattern.Symbols.Wide;
import dev.zelotype.engine.pattern.code.Concatenation;
import dev.zelotype.engine.pattern.code.MethodCode;
import dev.zelotype.engine.pattern.code.RealCode;
import java.lang.reflect.Array;
import org.objectweb.asm.ConstantDynamic;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Type;

/**
 * Values that a lambda's code computes, and arguments of real code.
 */
final class Operands {

    private final Frame frame;
    private final RealCode real;

    Operands(Frame frame, RealCode real) {
        this.frame = frame;
        this.real = real;
    }

    Object constant(Object constant) throws Throwable {
        if (constant instanceof Type || constant instanceof Handle) {
            return real.literal(constant);
        } else if (constant instanceof ConstantDynamic dynamic) {
            Object literal = real.literal(dynamic);
            if (literal instanceof boolean[]) {
                frame.noteProbes(literal);
            }
            return Frame.onStack(literal, Type.getType(dynamic.getDescriptor()));
        }
        return constant instanceof Long || constant instanceof Double ? new Wide(constant) : constant;
    }

    /** A new multidimensional array, whose lengths are on the stack. */
    void pushGrid(String descriptor, int dimensions) {
        int[] lengths = new int[dimensions];
        for (int i = dimensions - 1; i >= 0; i--) {
            lengths[i] = (Integer) frame.popKnown();
        }
        Class<?> element = real.type(descriptor);
        for (int i = 0; i < dimensions; i++) {
            element = element.getComponentType();
        }
        frame.push(Array.newInstance(element, lengths));
    }

    /** The result of a call with a bootstrap method. */
    void pushDynamic(MethodCode.Dynamic recipe) throws Throwable {
        Type[] types = Type.getArgumentTypes(recipe.descriptor());
        Object[] arguments = frame.popAll(types.length);
        String bootstrap = recipe.bootstrap().getOwner();
        if (bootstrap.equals("java/lang/invoke/LambdaMetafactory")) {
            frame.push(new NewLambda(recipe, known(arguments, types)));
        } else if (recipe.bootstrap().getName().equals("makeConcatWithConstants")) {
            frame.push(Concatenation.of((String) recipe.arguments()[0], recipe.arguments(), known(arguments, types)));
        } else {
            Object value = real.dynamic(recipe, made(known(arguments, types)));
            frame.push(Frame.onStack(value, Type.getReturnType(recipe.descriptor())));
        }
    }

    /** Arguments as real values of their types; a symbol among them is refused. */
    Object[] known(Object[] arguments, Type[] types) {
        Object[] values = new Object[arguments.length];
        for (int i = 0; i < values.length; i++) {
            values[i] = arguments[i] instanceof NewLambda
                    ? arguments[i]
                    : Frame.offStack(frame.known(arguments[i]), types[i]);
        }
        return values;
    }

    /** Arguments of real code, with lambdas created. */
    Object[] made(Object[] arguments) throws Throwable {
        for (int i = 0; i < arguments.length; i++) {
            if (arguments[i] instanceof NewLambda lambda) {
                arguments[i] =
                        real.lambda(lambda.recipe(), made(lambda.captured().clone()));
            }
        }
        return arguments;
    }
}
