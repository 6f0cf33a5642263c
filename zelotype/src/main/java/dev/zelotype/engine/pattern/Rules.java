package dev.zelotype.engine.pattern;

import dev.zelotype.basics.Boxes;
import dev.zelotype.engine.pattern.Symbols.Call;
import dev.zelotype.engine.pattern.Symbols.NewArray;
import dev.zelotype.engine.pattern.Symbols.NewLambda;
import dev.zelotype.engine.pattern.Symbols.Parameter;
import dev.zelotype.engine.pattern.Symbols.Result;
import dev.zelotype.engine.pattern.Symbols.Unmade;
import dev.zelotype.engine.pattern.Symbols.Wide;
import dev.zelotype.engine.pattern.code.MethodCode.Member;
import dev.zelotype.engine.pattern.code.RealCode;
import dev.zelotype.engine.pattern.rule.ArgumentRule;
import dev.zelotype.engine.pattern.rule.Equality;
import dev.zelotype.engine.pattern.rule.Widening;
import java.lang.reflect.Array;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Type;

/**
 * The rules for the arguments of the described call, derived from the values on the reader's stack.
 */
final class Rules {

    private final RealCode real;
    private final Refused refused;
    private final Set<Object> madeHere = Collections.newSetFromMap(new IdentityHashMap<>());

    Rules(RealCode real, Refused refused) {
        this.real = real;
        this.refused = refused;
    }

    /** Records an object that the pattern itself has made. */
    void madeHere(Object object) {
        madeHere.add(object);
    }

    /** The rule for an argument of a declared type. */
    ArgumentRule of(@Nullable Object value, Type type, Call call) {
        if (value instanceof Parameter parameter && parameter.number() == Parameter.CONTINUATION) {
            return new ArgumentRule.Passed();
        } else if (value instanceof Parameter parameter) {
            return free(parameter, type);
        } else if (value instanceof NewArray array) {
            return array.anySymbol() == null ? new ArgumentRule.Literal(array.real) : elements(array, call);
        } else if (value instanceof Result result) {
            throw refused.twoCalls(result.call(), call);
        } else if (value instanceof NewLambda) {
            throw refused.onlyItself(call, "a new lambda");
        } else if (value instanceof Unmade) {
            throw refused.other("passes on an object before its constructor has run");
        } else if (value != null && madeHere.contains(value) && !Equality.isDefinedBy(value.getClass())) {
            String name = value.getClass().getSimpleName();
            throw refused.onlyItself(call, name.isEmpty() ? "an object of a class without a name" : "a new " + name);
        }
        return new ArgumentRule.Literal(Frame.offStack(value instanceof Wide wide ? wide.value() : value, type));
    }

    private ArgumentRule free(Parameter parameter, Type type) {
        Class<?> passedAs = parameter.as();
        if (type.getSort() < Type.ARRAY) {
            Class<?> wanted = real.type(type);
            if (!passedAs.isPrimitive() || !Widening.leads(passedAs, wanted)) {
                throw refused.computed(parameter);
            }
            passedAs = Boxes.of(wanted);
        } else if (passedAs.isPrimitive()) {
            throw refused.computed(parameter);
        }
        return new ArgumentRule.Free(parameter.number(), parameter.type(), passedAs, parameter.orNull());
    }

    private ArgumentRule elements(NewArray array, Call call) {
        ArgumentRule[] rules = new ArgumentRule[Array.getLength(array.real)];
        Type element = Type.getType(array.real.getClass().getComponentType());
        for (int i = 0; i < rules.length; i++) {
            Object symbol = array.symbol(i);
            rules[i] = symbol == null ? new ArgumentRule.Literal(Array.get(array.real, i)) : of(symbol, element, call);
        }
        return new ArgumentRule.Elements(rules);
    }

    /** Boxes a free parameter or a call's result. */
    Object boxed(Member method, @Nullable Object value) {
        if (value instanceof Parameter parameter) {
            Class<?> primitive = real.type(Type.getArgumentTypes(method.descriptor())[0]);
            if (!parameter.as().isPrimitive() || !Widening.leads(parameter.as(), primitive)) {
                throw refused.computed(parameter);
            }
            return new Parameter(parameter.number(), parameter.type(), Boxes.of(primitive));
        }
        return new Result(((Result) value).call(), false);
    }

    /** Unboxes a free parameter. */
    Parameter unboxed(Member method, Parameter parameter) {
        Class<?> primitive = real.type(Type.getReturnType(method.descriptor()));
        if (Boxes.of(primitive) != parameter.as()) {
            throw refused.computed(parameter);
        }
        return new Parameter(parameter.number(), parameter.type(), primitive);
    }
}
