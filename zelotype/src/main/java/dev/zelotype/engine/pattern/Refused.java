package dev.zelotype.engine.pattern;

import dev.zelotype.engine.pattern.Symbols.Call;
import dev.zelotype.engine.pattern.Symbols.Parameter;
import dev.zelotype.error.MisuseException;
import org.jspecify.annotations.Nullable;

/**
 * The messages for lambdas that are not patterns.
 */
final class Refused {

    private final LambdaForm form;

    Refused(LambdaForm form) {
        this.form = form;
    }

    MisuseException computed(Parameter parameter) {
        String name = form.parameterNames()[parameter.number()];
        return new MisuseException(
                "An argument of this pattern is computed from its free parameter '" + name + "'.",
                "pass '" + name + "' on as it is, and say what you mean with where(...)");
    }

    MisuseException unreached(int parameter, Call call) {
        return new MisuseException(
                "The free parameter '" + form.parameterNames()[parameter] + "' of this pattern reaches no argument of "
                        + call + ".",
                "pass it on as it is, or remove it");
    }

    MisuseException noCall() {
        return new MisuseException(
                "This pattern calls no double.",
                "call one method of one double in it, such as () -> weather.humidityAt(\"north\")");
    }

    MisuseException failed(@Nullable Call call, Throwable thrown) {
        if (call == null) {
            return new MisuseException(
                    "This pattern calls no double: it failed with " + thrown + " before.",
                    "call one method of one double in it, such as () -> weather.humidityAt(\"north\")",
                    thrown);
        }
        return new MisuseException(
                "This pattern goes on after the call of " + call + ", and failed with "
                        + thrown.getClass().getSimpleName() + ".",
                "end the pattern with the call",
                thrown);
    }

    MisuseException noDouble(String method, Object target) {
        Class<?> type = target.getClass();
        return new MisuseException(
                "This pattern names no double: " + method + " was called on a real " + type.getSimpleName() + ".",
                "make a double, such as stub(" + PatternReader.typeToDouble(type)
                        + ".class), give it to the subject, and use it in the pattern");
    }

    MisuseException realCode(String method, Object target) {
        return new MisuseException(
                "This pattern runs real code before its call: " + method + " was called on a real "
                        + target.getClass().getSimpleName() + ".",
                "take the double, or the value, out into a variable first");
    }

    MisuseException mayChange(Class<?> type, String method) {
        return new MisuseException(
                "This pattern runs real code before its call: " + type.getSimpleName() + "." + method
                        + "(...), which may change something.",
                "take the value out into a variable first");
    }

    MisuseException staticCode(Class<?> type, String method) {
        String call = method.equals("new") ? "new " + type.getSimpleName() : type.getSimpleName() + "." + method;
        return new MisuseException(
                "This pattern runs real code beside its call: " + call + "(...) gives it no argument.",
                "leave only the call in the pattern, and do the rest before the statement");
    }

    MisuseException twoCalls(Call first, Call second) {
        return new MisuseException(
                "This pattern makes more than one call: " + first + " and " + second + ".",
                "write one statement for each call; compute arguments beforehand");
    }

    MisuseException goesOn(Call call, String how) {
        return new MisuseException(
                "This pattern goes on after the call of " + call + ": it " + how + ".",
                "end the pattern with the call");
    }

    MisuseException onlyItself(Call call, String what) {
        return new MisuseException(
                "This pattern covers no call: " + what + " is an argument of " + call
                        + ", has no equals of its own, and so only the very same object fits.",
                "make it a free parameter, and say what you mean with where(...)");
    }

    MisuseException other(String what) {
        return new MisuseException(
                "This pattern does something else than to call a double: it " + what + ".",
                "leave only the call in the pattern, and do the rest before the statement");
    }
}
