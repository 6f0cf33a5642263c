package dev.zelotype.challenge;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.conversation.Ending;
import dev.zelotype.host.DisturbedCall;
import java.lang.StackWalker.StackFrame;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Stands between a test's subject and its doubles: notes the calls, and disturbs one of them if it is told to.
 */
final class Recorder {

    private static final int MANY = 10_000;

    private final @Nullable Disturbance disturbance;
    private final Map<String, Integer> occurrences = new HashMap<>();
    private final NotedCalls noted = new NotedCalls();
    private final Subjects subjects = new Subjects();
    private final KeptChecks checks = new KeptChecks();
    private int calls;
    private volatile String applied = "";

    Recorder(@Nullable Disturbance disturbance) {
        this.disturbance = disturbance;
    }

    /** What was changed, in words; empty if nothing was. */
    String applied() {
        return applied;
    }

    List<Message.Asked> calls() {
        return noted.all();
    }

    List<Message.CheckFailed> failedChecks(String test) {
        return checks.all(test);
    }

    /** Whether a disturbed test goes on after a check has failed. */
    boolean keeps(String check, String receiver, String signature, @Nullable StackFrame at) {
        return !applied.isEmpty() && checks.keep(check, receiver, signature, at);
    }

    @Nullable
    Object take(DisturbedCall call) throws Throwable {
        StackFrame caller = call.caller();
        if (caller == null || TestClasses.isOfTest(caller.getClassName())) {
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
        if (wanted.kind() == ChangeKind.RESULT) {
            subjects.note(caller.getClassName());
            return call.proceed();
        } else if (wanted.kind() == ChangeKind.EXTRA) {
            return applied.isEmpty() ? withAnother(call, wanted) : call.proceed();
        }
        boolean now = wanted.site().equals(site) && wanted.occurrence() == occurrence;
        return now ? disturbed(call, wanted) : call.proceed();
    }

    /** A test has called something, and is about to see what came back. */
    @Nullable
    Object result(@Nullable Object result, String owner, String name, String descriptor) {
        Disturbance wanted = disturbance;
        boolean looks = wanted == null || wanted.kind() == ChangeKind.RESULT && applied.isEmpty();
        Method method = looks ? subjects.method(owner, name, descriptor) : null;
        if (method == null) {
            return result;
        }
        List<String> types =
                Stream.of(method.getParameterTypes()).map(Class::getSimpleName).toList();
        String signature = name + "(" + String.join(", ", types) + ")";
        String site = "result " + owner + "." + signature;
        synchronized (this) {
            int occurrence = occurrences.merge(site, 1, Integer::sum) - 1;
            // Where nothing came back, nothing need be looked at.
            List<Object> others = result == null ? List.of() : Alterations.of(result, method.getGenericReturnType());
            if (wanted == null) {
                noteResult(site, occurrence, owner, signature, others.size());
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
                .walk(frames -> frames.filter(frame -> !CodeOwner.isOurs(frame.getClassName()))
                        .findFirst())
                .orElse(null);
        if (caller == null || !TestClasses.isOfTest(caller.getClassName()) || variants == 0) {
            return;
        }
        String simple = owner.substring(owner.lastIndexOf('.') + 1);
        String text =
                simple.substring(simple.lastIndexOf('$') + 1) + "." + signature.substring(0, signature.indexOf('('));
        Message.Asked asked = new Message.Asked(
                site,
                /* ofResult= */ true,
                occurrence,
                0,
                0,
                false,
                simple,
                owner,
                signature,
                text,
                CallParts.file(caller),
                caller.getLineNumber(),
                variants,
                "",
                "",
                List.of(),
                List.of());
        noted.add(asked, () -> false);
    }

    private @Nullable Object note(DisturbedCall call, String site, int occurrence, StackFrame caller) throws Throwable {
        String text = CallParts.text(call);
        subjects.note(caller.getClassName());
        CallMemory.keep(site, call);
        Object[] arguments = call.arguments().clone();
        boolean[] ran = new boolean[arguments.length];
        for (int i = 0; i < arguments.length; i++) {
            int place = i;
            arguments[i] = CallParts.watched(call, i, () -> ran[place] = true, true);
        }
        Object answer = null;
        boolean threw = true;
        try {
            answer = call.proceed(arguments);
            threw = false;
            return answer;
        } finally {
            StringBuilder altered = new StringBuilder();
            List<String> names = new ArrayList<>();
            List<String> values = new ArrayList<>();
            for (int i = 0; i < arguments.length; i++) {
                boolean hasOther = !Alterations.of(call.arguments()[i], CallParts.type(call, i))
                        .isEmpty();
                altered.append(ran[i] ? 'c' : hasOther && !call.isCallback(i) ? 'a' : '-');
                names.add(CallParts.name(call, i));
                values.add(CallParts.source(call, i));
            }
            int variants = threw || call.isAnswerDropped()
                    ? 0
                    : Alterations.of(answer, call.returnType()).size();
            Message.Asked asked = new Message.Asked(
                    site,
                    /* ofResult= */ false,
                    occurrence,
                    0,
                    0,
                    false,
                    call.receiver(),
                    call.type(),
                    call.signature(),
                    text,
                    CallParts.file(caller),
                    caller.getLineNumber(),
                    variants,
                    call.ending() == Ending.DEFAULTED && call.returnType() != void.class
                            ? DisturbedCall.print(answer)
                            : "",
                    altered.toString(),
                    names,
                    values);
            noted.add(asked, call::isCountedExactly);
        }
    }

    /** Lets the call be followed by one that other tests make. */
    private @Nullable Object withAnother(DisturbedCall call, Disturbance wanted) throws Throwable {
        Object answer = call.proceed();
        // Said before, since it may be refused.
        applied = "made as well";
        if (!CallMemory.makeBeside(call, wanted.site())) {
            applied = "";
        }
        return answer;
    }

    private @Nullable Object disturbed(DisturbedCall call, Disturbance wanted) throws Throwable {
        switch (wanted.kind()) {
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
                List<Object> others = Alterations.of(was, CallParts.type(call, wanted.index()));
                if (others.isEmpty()) {
                    return call.proceed();
                }
                arguments[wanted.index()] = others.get(0);
                applied = DisturbedCall.print(others.get(0)) + " instead of " + DisturbedCall.print(was);
                return call.proceed(arguments);
            }
            case CALLBACK -> {
                Object[] arguments = call.arguments().clone();
                arguments[wanted.index()] =
                        CallParts.watched(call, wanted.index(), () -> applied = "not called back", false);
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
        throw new IllegalStateException("A kind of change has no code: " + wanted.kind());
    }
}
