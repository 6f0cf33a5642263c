package dev.zelotype.challenge;

import dev.zelotype.doubles.Ending;
import dev.zelotype.host.DisturbedCall;
import java.lang.StackWalker.StackFrame;
import java.lang.reflect.Modifier;
import java.lang.reflect.Proxy;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Stands between a test's subject and its doubles: notes the calls, and disturbs one of them if it is told to.
 */
final class Recorder {

    private static final int MANY = 10_000;

    /** What runs a test's own lambdas and method references for it. */
    private static final List<String> LIBRARIES_OF_TESTS =
            List.of("org.junit.", "org.assertj.", "org.hamcrest.", "org.opentest4j.", "kotlin.test.", "org.testng.");

    private final @Nullable Disturbance disturbance;
    private final Map<String, Integer> occurrences = new HashMap<>();
    private final Map<String, Integer> made = new HashMap<>();
    private final Map<String, Noted> first = new LinkedHashMap<>();
    private final Map<String, Noted> last = new LinkedHashMap<>();
    private int calls;
    private volatile String applied = "";

    /** A call as the supervisor needs to know it. */
    private record Noted(int occurrence, String method, String text, String line) {}

    Recorder(@Nullable Disturbance disturbance) {
        this.disturbance = disturbance;
    }

    /** What was changed, in words; empty if nothing was. */
    String applied() {
        return applied;
    }

    /** The first and the last call of each site, one line each. */
    synchronized List<String> calls() {
        List<String> lines = new ArrayList<>();
        first.forEach((site, noted) -> {
            lines.add(line(site, noted));
            Noted end = last.get(site);
            if (end.occurrence() != noted.occurrence()) {
                lines.add(line(site, end));
            }
        });
        return lines;
    }

    private String line(String site, Noted noted) {
        return Wire.line(site, noted.occurrence(), made.get(noted.method()), made.get(noted.text())) + "\t"
                + noted.line();
    }

    @Nullable
    Object take(DisturbedCall call) throws Throwable {
        StackFrame caller = call.caller();
        if (caller == null || isOfTest(caller)) {
            return call.proceed();
        }
        String site = caller.getClassName() + ":" + caller.getLineNumber() + " " + call.type() + "." + call.signature();
        int occurrence;
        synchronized (this) {
            occurrence = occurrences.merge(site, 1, Integer::sum) - 1;
            if (++calls > MANY) {
                throw new AssertionError("The subject calls its collaborators without end.");
            }
        }
        Disturbance wanted = disturbance;
        if (wanted == null) {
            return note(call, site, occurrence, caller);
        }
        boolean now = wanted.site().equals(site) && wanted.occurrence() == occurrence;
        return now ? disturbed(call, wanted) : call.proceed();
    }

    /** Calls that the test makes itself, in its own methods and lambdas, are its own affair. */
    private static boolean isOfTest(StackFrame caller) {
        String name = caller.getClassName();
        return LIBRARIES_OF_TESTS.stream().anyMatch(name::startsWith) || TestClasses.has(name);
    }

    private @Nullable Object note(DisturbedCall call, String site, int occurrence, StackFrame caller) throws Throwable {
        String text = text(call);
        Object[] arguments = call.arguments().clone();
        StringBuilder names = new StringBuilder();
        boolean[] ran = new boolean[arguments.length];
        for (int i = 0; i < arguments.length; i++) {
            int place = i;
            arguments[i] = watched(call, i, () -> ran[place] = true, true);
        }
        Object answer = null;
        boolean threw = true;
        try {
            answer = call.proceed(arguments);
            threw = false;
            return answer;
        } finally {
            StringBuilder altered = new StringBuilder();
            for (int i = 0; i < arguments.length; i++) {
                boolean hasOther = !Alterations.of(call.arguments()[i], parameterType(call, i))
                        .isEmpty();
                altered.append(ran[i] ? 'c' : hasOther && !call.isCallback(i) ? 'a' : '-');
                names.append(names.length() == 0 ? "" : ",").append(parameterName(call, i));
            }
            int variants = threw || call.isAnswerDropped()
                    ? 0
                    : Alterations.of(answer, call.returnType()).size();
            String line = Wire.line(
                    call.receiver(),
                    call.signature(),
                    text,
                    caller.getFileName() == null ? caller.getClassName() : caller.getFileName(),
                    caller.getLineNumber(),
                    variants,
                    call.ending() == Ending.DEFAULTED && call.returnType() != void.class
                            ? DisturbedCall.print(answer)
                            : "",
                    altered,
                    names);
            for (int i = 0; i < arguments.length; i++) {
                boolean made = i < call.arguments().length - call.method().getParameterCount();
                line += "\t" + Wire.line(made ? "it" : Source.of(call.arguments()[i]));
            }
            Noted noted =
                    new Noted(occurrence, call.receiver() + "." + call.signature(), call.receiver() + "." + text, line);
            synchronized (this) {
                made.merge(noted.method(), 1, Integer::sum);
                made.merge(noted.text(), 1, Integer::sum);
                first.putIfAbsent(site, noted);
                last.put(site, noted);
            }
        }
    }

    private @Nullable Object disturbed(DisturbedCall call, Disturbance wanted) throws Throwable {
        switch (wanted.sort()) {
            case ANSWER -> {
                Object answer = call.proceed();
                List<Object> others = Alterations.of(answer, call.returnType());
                if (wanted.index() >= others.size()) {
                    return answer;
                }
                Object other = others.get(wanted.index());
                applied = DisturbedCall.print(other) + " instead of " + DisturbedCall.print(answer);
                return other;
            }
            case LOST -> {
                applied = "left out";
                return call.lose();
            }
            case ARGUMENT -> {
                Object[] arguments = call.arguments().clone();
                Object was = arguments[wanted.index()];
                List<Object> others = Alterations.of(was, parameterType(call, wanted.index()));
                if (others.isEmpty()) {
                    return call.proceed();
                }
                arguments[wanted.index()] = others.get(0);
                applied = DisturbedCall.print(others.get(0)) + " instead of " + DisturbedCall.print(was);
                return call.proceed(arguments);
            }
            case CALLBACK -> {
                Object[] arguments = call.arguments().clone();
                arguments[wanted.index()] = watched(call, wanted.index(), () -> applied = "not called back", false);
                return call.proceed(arguments);
            }
        }
        throw new IllegalStateException("A sort of disturbance has no code: " + wanted.sort());
    }

    /** The call as it reads; an instance that the subject made itself has no name, and none that stays the same. */
    private static String text(DisturbedCall call) {
        int shift = call.arguments().length - call.method().getParameterCount();
        if (shift == 0) {
            return call.text();
        }
        List<String> printed = new ArrayList<>();
        for (int i = shift; i < call.arguments().length; i++) {
            printed.add(DisturbedCall.print(call.arguments()[i]));
        }
        return call.receiver() + "." + call.method().getName() + "(" + String.join(", ", printed) + ")";
    }

    private static java.lang.reflect.Type parameterType(DisturbedCall call, int place) {
        java.lang.reflect.Type[] types = call.method().getGenericParameterTypes();
        int shift = call.arguments().length - types.length;
        return place < shift || types.length == 0 ? Object.class : types[Math.max(0, place - shift)];
    }

    private static String parameterName(DisturbedCall call, int place) {
        int shift = call.arguments().length - call.method().getParameterCount();
        if (place < shift) {
            return "instance";
        }
        var parameter = call.method().getParameters()[place - shift];
        return parameter.isNamePresent() ? parameter.getName() : "argument " + (place - shift + 1);
    }

    private static Class<?> parameterClass(DisturbedCall call, int place) {
        int shift = call.arguments().length - call.method().getParameterCount();
        return place < shift ? Object.class : call.method().getParameterTypes()[place - shift];
    }

    /** A callback that tells when it is run, and runs or not. */
    private static @Nullable Object watched(DisturbedCall call, int place, Runnable told, boolean runs) {
        Object callback = call.arguments()[place];
        boolean plain = callback == null
                || !call.isCallback(place)
                || !(callback.getClass().isHidden()
                        || callback.getClass().isSynthetic()
                        || callback.getClass().isAnonymousClass());
        if (plain) {
            return callback;
        }
        Class<?> type = parameterClass(call, place);
        return Proxy.newProxyInstance(
                callback.getClass().getClassLoader() == null
                        ? Recorder.class.getClassLoader()
                        : callback.getClass().getClassLoader(),
                new Class<?>[] {type},
                (proxy, method, arguments) -> {
                    if (method.getDeclaringClass() == Object.class) {
                        return switch (method.getName()) {
                            case "equals" -> proxy == arguments[0];
                            case "hashCode" -> System.identityHashCode(proxy);
                            default -> "a lambda";
                        };
                    }
                    if (Modifier.isAbstract(method.getModifiers())) {
                        told.run();
                        if (!runs) {
                            return Alterations.zero(method.getReturnType());
                        }
                    }
                    method.setAccessible(true);
                    try {
                        return method.invoke(callback, arguments);
                    } catch (java.lang.reflect.InvocationTargetException e) {
                        throw e.getCause();
                    }
                });
    }
}
