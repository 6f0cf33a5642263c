package dev.zelotype.engine.pattern;

import dev.zelotype.engine.make.VariableNames;
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
                "pass '" + name + "' unchanged, and write the condition in where(...)");
    }

    MisuseException unreached(int parameter, Call call) {
        return new MisuseException(
                "The free parameter '" + form.parameterNames()[parameter] + "' of this pattern is not passed to " + call
                        + ".",
                "pass it unchanged, or remove it");
    }

    MisuseException noCall() {
        return new MisuseException(
                "This pattern does not call a double.",
                "call one method of one double in it, such as () -> weather.humidityAt(\"north\")");
    }

    MisuseException failed(@Nullable Call call, Throwable thrown) {
        if (call == null) {
            return new MisuseException(
                    "This pattern failed before it called a double: " + thrown + ".",
                    "call one method of one double in it, such as () -> weather.humidityAt(\"north\")",
                    thrown);
        }
        return new MisuseException(
                "This pattern continues after the call of " + call + ", and failed with "
                        + VariableNames.simpleName(thrown.getClass()) + ".",
                "end the pattern with the call",
                thrown);
    }

    MisuseException noDouble(String method, Object target) {
        Class<?> type = target.getClass();
        return new MisuseException(
                "This pattern does not call a double: " + method + " was called on a real "
                        + VariableNames.simpleName(type) + ".",
                "make a double, such as stub(" + PatternReader.typeToDouble(type)
                        + ".class), give it to the subject, and use it in the pattern");
    }

    MisuseException realCode(String method, Object target) {
        return new MisuseException(
                "This pattern runs real code before its call: " + method + " was called on a real "
                        + VariableNames.simpleName(target.getClass()) + ".",
                "compute the double, or the value, before the statement");
    }

    MisuseException mayChange(Class<?> type, String method) {
        return new MisuseException(
                "This pattern runs real code before its call: " + VariableNames.simpleName(type) + "." + method
                        + "(...), which may change something.",
                "compute the value before the statement");
    }

    MisuseException staticCode(Class<?> type, String method) {
        String call = method.equals("new")
                ? "new " + VariableNames.simpleName(type)
                : VariableNames.simpleName(type) + "." + method;
        return new MisuseException(
                "This pattern also runs real code that is not needed for its call: " + call + "(...).",
                "leave only the call in the pattern, and move the rest before the statement");
    }

    MisuseException twoCalls(Call first, Call second) {
        return new MisuseException(
                "This pattern makes more than one call: " + first + " and " + second + ".",
                "write one statement for each call; compute arguments before the statement");
    }

    MisuseException goesOn(Call call, String how) {
        return new MisuseException(
                "This pattern continues after the call of " + call + ": it " + how + ".",
                "end the pattern with the call");
    }

    MisuseException onlyItself(Call call, String what) {
        return new MisuseException(
                "This pattern matches no call: it passes " + what + " to " + call
                        + ", and that is equal only to itself.",
                "make it a free parameter, and write the condition in where(...)");
    }

    MisuseException other(String what) {
        return new MisuseException(
                "This pattern does more than call a double: it " + what + ".",
                "leave only the call in the pattern, and move the rest before the statement");
    }
}
