package dev.zelotype.challenge;

import dev.zelotype.doubles.Ending;
import dev.zelotype.error.OwnNames;
import dev.zelotype.host.DisturbedCall;
import java.lang.StackWalker.StackFrame;
import java.lang.invoke.MethodType;
import java.lang.ref.SoftReference;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Stands between a test's subject and its doubles: notes the calls, and disturbs one of them if it is told to.
 */
final class Recorder {

    private static final int MANY = 10_000;

    /** What runs a test's own lambdas and method references for it. */
    private static final List<String> LIBRARIES_OF_TESTS =
            List.of("org.junit.", "org.assertj.", "org.hamcrest.", "org.opentest4j.", "kotlin.test.", "org.testng.");

    /** With what the first call of each site was made, for tests in which it is not made. */
    private static final Map<String, Memory> MEMORY = new ConcurrentHashMap<>();

    private final @Nullable Disturbance disturbance;
    private final Map<String, Integer> occurrences = new HashMap<>();
    private final Map<String, Integer> made = new HashMap<>();
    private final Map<String, Noted> first = new LinkedHashMap<>();
    private final Map<String, Noted> last = new LinkedHashMap<>();
    /** The classes that the test calls so that they call doubles, and those that call doubles. */
    private final Set<String> subjects = new HashSet<>();

    private final Map<String, FailedCheck> failedChecks = new LinkedHashMap<>();
    private int calls;
    private volatile String applied = "";

    /** A call as the supervisor needs to know it. */
    private record Noted(String method, String text, BooleanSupplier countedExactly, Message.Asked asked) {}

    /** What it takes to make a call once more. */
    private record Memory(String receiver, String signature, SoftReference<Object[]> arguments) {}

    /** A check that has failed without ending its test. */
    private record FailedCheck(String check, String receiver, String signature, String file, int line) {}

    Recorder(@Nullable Disturbance disturbance) {
        this.disturbance = disturbance;
    }

    /** What was changed, in words; empty if nothing was. */
    String applied() {
        return applied;
    }

    /** The first and the last call of each site. */
    synchronized List<Message.Asked> calls() {
        List<Message.Asked> all = new ArrayList<>();
        first.forEach((site, noted) -> {
            all.add(counted(noted));
            Noted end = last.get(site);
            if (end.asked().occurrence() != noted.asked().occurrence()) {
                all.add(counted(end));
            }
        });
        return all;
    }

    private Message.Asked counted(Noted noted) {
        return noted.asked()
                .counted(
                        made.getOrDefault(noted.method(), 1),
                        made.getOrDefault(noted.text(), 1),
                        noted.countedExactly().getAsBoolean());
    }

    /** The checks that have failed without ending the test. */
    synchronized List<Message.CheckFailed> failedChecks(String test) {
        return failedChecks.values().stream()
                .map(each -> new Message.CheckFailed(
                        test, each.check(), each.receiver(), each.signature(), each.file(), each.line()))
                .toList();
    }

    /**
     * Lets a disturbed test go on after a check has failed, so that the others may fail as well. One that stands in a
     * lambda is somebody else's to run: it may be tried until it holds, or be meant to fail.
     */
    synchronized boolean keeps(String check, String receiver, String signature, @Nullable StackFrame at) {
        boolean kept = !applied.isEmpty()
                && at != null
                && TestClasses.has(at.getClassName())
                && !at.getMethodName().startsWith("lambda$");
        if (kept) {
            failedChecks.put(check + at, new FailedCheck(check, receiver, signature, fileOf(at), at.getLineNumber()));
        }
        return kept;
    }

    private static String fileOf(StackFrame frame) {
        return frame.getFileName() == null ? frame.getClassName() : frame.getFileName();
    }

    @Nullable
    Object take(DisturbedCall call) throws Throwable {
        StackFrame caller = call.caller();
        if (caller == null || isOfTest(caller.getClassName())) {
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
        if (wanted.sort() == Sort.RESULT) {
            noteSubject(caller.getClassName());
            return call.proceed();
        } else if (wanted.sort() == Sort.EXTRA) {
            return applied.isEmpty() ? withAnother(call, wanted) : call.proceed();
        }
        boolean now = wanted.site().equals(site) && wanted.occurrence() == occurrence;
        return now ? disturbed(call, wanted) : call.proceed();
    }

    /** The subject of a test is what calls doubles, and what the test itself called for that. */
    private void noteSubject(String caller) {
        String outermost = StackWalker.getInstance().walk(frames -> {
            String last = caller;
            for (Iterator<StackFrame> i = frames.iterator(); i.hasNext(); ) {
                String name = i.next().getClassName();
                if (isOfTest(name)) {
                    break;
                }
                last = OwnNames.has(name) || name.startsWith("java.") || name.startsWith("jdk.") ? last : name;
            }
            return last;
        });
        synchronized (this) {
            for (String name : new String[] {caller, outermost}) {
                for (String each = name; ; each = each.substring(0, each.lastIndexOf('$'))) {
                    if (!subjects.add(each) || each.lastIndexOf('$') <= 0) {
                        break;
                    }
                }
            }
        }
    }

    /** Whether one of the subjects is of a class or an interface. */
    private synchronized boolean isOfSubject(Class<?> owner) {
        for (String name : subjects) {
            try {
                if (owner.isAssignableFrom(Class.forName(name, false, owner.getClassLoader()))) {
                    return true;
                }
            } catch (ClassNotFoundException | LinkageError e) {
                // A class that the owner's loader cannot see is none of its.
                continue;
            }
        }
        return false;
    }

    /** A test has called something, and is about to see what came back. */
    @Nullable
    Object result(@Nullable Object result, String owner, String name, String descriptor) {
        Disturbance wanted = disturbance;
        boolean looks = wanted == null || wanted.sort() == Sort.RESULT && applied.isEmpty();
        Method method = looks ? methodOfSubject(owner, name, descriptor) : null;
        if (method == null) {
            return result;
        }
        String simple = owner.substring(owner.lastIndexOf('.') + 1);
        List<String> types =
                Stream.of(method.getParameterTypes()).map(Class::getSimpleName).toList();
        String signature = name + "(" + String.join(", ", types) + ")";
        String site = CallSite.OF_RESULT + owner + "." + signature;
        synchronized (this) {
            int occurrence = occurrences.merge(site, 1, Integer::sum) - 1;
            // Where nothing came back, nothing need be looked at.
            List<Object> others = result == null ? List.of() : Alterations.of(result, method.getGenericReturnType());
            if (wanted == null) {
                noteResult(site, occurrence, simple, signature, others.size());
            } else if (wanted.site().equals(site)
                    && wanted.occurrence() == occurrence
                    && wanted.index() < others.size()) {
                Object other = others.get(wanted.index());
                applied = DisturbedCall.print(other) + " instead of " + DisturbedCall.print(result);
                return other;
            }
        }
        return result;
    }

    private void noteResult(String site, int occurrence, String owner, String signature, int variants) {
        StackFrame caller = StackWalker.getInstance()
                .walk(frames -> frames.filter(frame -> !OwnNames.has(frame.getClassName()))
                        .findFirst())
                .orElse(null);
        if (caller == null || !isOfTest(caller.getClassName()) || variants == 0) {
            return;
        }
        String text =
                owner.substring(owner.lastIndexOf('$') + 1) + "." + signature.substring(0, signature.indexOf('('));
        Message.Asked asked = new Message.Asked(
                site,
                occurrence,
                0,
                0,
                false,
                owner,
                "",
                signature,
                text,
                fileOf(caller),
                caller.getLineNumber(),
                variants,
                "",
                "",
                List.of(),
                List.of());
        Noted noted = new Noted(site, site, () -> false, asked);
        first.putIfAbsent(site, noted);
        last.put(site, noted);
    }

    private @Nullable Method methodOfSubject(String owner, String name, String descriptor) {
        try {
            Class<?> type = Class.forName(owner, false, Thread.currentThread().getContextClassLoader());
            if (type.isRecord() || type.isEnum() || !isOfSubject(type)) {
                return null;
            }
            List<Method> all = new ArrayList<>();
            for (Class<?> each = type; each != null; each = each.getSuperclass()) {
                all.addAll(List.of(each.getDeclaredMethods()));
            }
            // Those of interfaces as well.
            all.addAll(List.of(type.getMethods()));
            for (Method method : all) {
                if (method.getName().equals(name) && descriptor.equals(descriptor(method))) {
                    return method;
                }
            }
        } catch (ClassNotFoundException | LinkageError e) {
            // What cannot be looked into is left alone.
            return null;
        }
        return null;
    }

    private static String descriptor(Method method) {
        return MethodType.methodType(method.getReturnType(), method.getParameterTypes())
                .toMethodDescriptorString();
    }

    /** Lets the call be followed by one that other tests make. */
    private @Nullable Object withAnother(DisturbedCall call, Disturbance wanted) throws Throwable {
        Object answer = call.proceed();
        Memory known = MEMORY.get(wanted.site());
        Object[] arguments = known == null ? null : known.arguments().get();
        if (arguments != null) {
            // Said before, since it may be refused.
            applied = "made as well";
            if (!call.alsoCall(known.receiver(), known.signature(), arguments)) {
                applied = "";
            }
        }
        return answer;
    }

    /** Whether it is known with what a call was made. */
    static boolean remembers(String site) {
        Memory known = MEMORY.get(site);
        return known != null && known.arguments().get() != null;
    }

    /** Calls that the test makes itself, in its own methods and lambdas, are its own affair. */
    private static boolean isOfTest(String name) {
        return LIBRARIES_OF_TESTS.stream().anyMatch(name::startsWith) || TestClasses.has(name);
    }

    private @Nullable Object note(DisturbedCall call, String site, int occurrence, StackFrame caller) throws Throwable {
        String text = text(call);
        noteSubject(caller.getClassName());
        MEMORY.putIfAbsent(site, new Memory(call.receiver(), call.signature(), new SoftReference<>(call.arguments())));
        Object[] arguments = call.arguments().clone();
        List<String> names = new ArrayList<>();
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
                names.add(parameterName(call, i));
            }
            int variants = threw || call.isAnswerDropped()
                    ? 0
                    : Alterations.of(answer, call.returnType()).size();
            List<String> values = new ArrayList<>();
            for (int i = 0; i < arguments.length; i++) {
                boolean made = i < call.arguments().length - call.method().getParameterCount();
                values.add(made ? "it" : Source.of(call.arguments()[i]));
            }
            Message.Asked asked = new Message.Asked(
                    site,
                    occurrence,
                    0,
                    0,
                    false,
                    call.receiver(),
                    call.type(),
                    call.signature(),
                    text,
                    fileOf(caller),
                    caller.getLineNumber(),
                    variants,
                    call.ending() == Ending.DEFAULTED && call.returnType() != void.class
                            ? DisturbedCall.print(answer)
                            : "",
                    altered.toString(),
                    names,
                    values);
            Noted noted = new Noted(
                    call.receiver() + "." + call.signature(),
                    call.receiver() + "." + text,
                    call::isCountedExactly,
                    asked);
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
            case TWICE -> {
                Object answer = call.proceed();
                applied = "made twice";
                call.again();
                return answer;
            }
            case RESULT, EXTRA -> {
                return call.proceed();
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
        return call.watched(place, "a lambda", told, runs);
    }
}
