package dev.zelotype.challenge.worker;

import dev.zelotype.basics.GenericTypes;
import dev.zelotype.challenge.change.Message;
import dev.zelotype.challenge.values.Alterations;
import dev.zelotype.host.DisturbedCall;
import java.lang.StackWalker.StackFrame;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The parts of a call that a challenge names, alters and watches. For a method that a test replaces for all instances,
 * the instance is the first argument.
 */
final class CallParts {

    private CallParts() {}

    /** The number of arguments before those of the method's own parameters. */
    private static int shift(DisturbedCall call) {
        return call.arguments().length - call.method().getParameterCount();
    }

    /** The text of the call; an instance that the subject itself made has no stable name. */
    static String text(DisturbedCall call) {
        int shift = shift(call);
        if (shift == 0) {
            return call.text();
        }
        List<String> printed = new ArrayList<>();
        for (int i = shift; i < call.arguments().length; i++) {
            printed.add(DisturbedCall.print(call.arguments()[i]));
        }
        return call.receiver() + "." + call.method().getName() + "(" + String.join(", ", printed) + ")";
    }

    /** The type of an argument, with what is known about its parts. */
    static Type type(DisturbedCall call, int place) {
        Type[] types = GenericTypes.ofParameters(call.method());
        int shift = call.arguments().length - types.length;
        return place < shift || types.length == 0 ? Object.class : types[Math.max(0, place - shift)];
    }

    /** The name of an argument. */
    static String name(DisturbedCall call, int place) {
        int shift = shift(call);
        if (place < shift) {
            return "instance";
        }
        var parameter = call.method().getParameters()[place - shift];
        return parameter.isNamePresent() ? parameter.getName() : "argument " + (place - shift + 1);
    }

    /** An argument as it is reported to the supervisor; what happens to it is reported later. */
    static Message.Argument argument(DisturbedCall call, int place, Message.Use use) {
        if (place < shift(call)) {
            return new Message.Argument(name(call, place), use, new Message.Written("it", List.of()), List.of());
        }
        Object value = call.arguments()[place];
        return new Message.Argument(
                name(call, place),
                use,
                Message.Written.of(value),
                use == Message.Use.OTHER
                        ? List.copyOf(
                                Alterations.parts(value, type(call, place)).keySet())
                        : List.of());
    }

    /** A callback that records when it is run; it can be suppressed. */
    static @Nullable Object watched(DisturbedCall call, int place, Runnable told, boolean runs) {
        Object callback = call.arguments()[place];
        boolean plain = callback == null
                || !call.isCallback(place)
                || !(callback.getClass().isHidden()
                        || callback.getClass().isSynthetic()
                        || callback.getClass().isAnonymousClass());
        if (plain) {
            return callback;
        }
        return call.watched(place, "a lambda", told, runs);
    }

    static Message.Place place(StackFrame frame) {
        return new Message.Place(
                frame.getClassName(),
                frame.getMethodName(),
                frame.getFileName() == null ? frame.getClassName() : frame.getFileName(),
                frame.getLineNumber());
    }
}
