package dev.zelotype.challenge.worker;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.basics.GenericTypes;
import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.change.Disturbance;
import dev.zelotype.challenge.change.Message;
import dev.zelotype.challenge.values.Alterations;
import dev.zelotype.challenge.values.Failures;
import dev.zelotype.challenge.values.NeverComplete;
import dev.zelotype.conversation.Ending;
import dev.zelotype.host.DisturbedCall;
import dev.zelotype.host.DisturbedScene;
import java.lang.StackWalker.StackFrame;
import java.lang.reflect.Method;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Stands between a test's subject and its doubles: records the calls, and disturbs one of them on request.
 */
final class Recorder {

    private static final int MANY = 10_000;

    private final @Nullable Disturbance disturbance;
    private final Map<String, Integer> occurrences = new HashMap<>();
    private final RecordedCalls noted = new RecordedCalls();
    private final Subjects subjects = new Subjects();
    private final FailedChecks checks = new FailedChecks();
    private final @Nullable Trial trial;
    private int calls;
    private volatile String applied = "";
    /** A call that is delayed until after the next one. */
    private @Nullable DisturbedCall late;

    private boolean looking;

    Recorder(@Nullable Disturbance disturbance, @Nullable Trial trial) {
        this.disturbance = disturbance;
        this.trial = trial;
    }

    /** The result of the statement that was tried; empty if none was. */
    String tried() {
        return trial == null ? "" : trial.result();
    }

    /** Whether the test called a class that calls doubles. */
    boolean callsSubject() {
        return subjects.called();
    }

    /** The test is about to check something, or its scene is about to close. */
    void looks(DisturbedScene scene, boolean last) throws Throwable {
        if (looking) {
            return;
        }
        looking = true;
        try {
            makeLate("");
            Disturbance wanted = disturbance;
            if (wanted != null && wanted.kind() == ChangeKind.EXTRA && applied.isEmpty()) {
                // Recorded first, because the call may be refused.
                applied = "made as well";
                if (!CallMemory.make(scene, wanted.site())) {
                    applied = "";
                }
            }
            if (last && trial != null) {
                trial.run(scene);
            }
        } finally {
            looking = false;
        }
    }

    /** Makes a delayed call; if no other call came in between, it was not late. */
    private void makeLate(String after) throws Throwable {
        DisturbedCall waiting = late;
        if (waiting != null) {
            late = null;
            applied = after;
            waiting.again();
        }
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

    /** Whether a disturbed test continues after a failed check. */
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
        }
        boolean now = wanted.site().equals(site) && wanted.occurrence() == occurrence;
        if (now) {
            return disturbed(call, wanted);
        }
        Object answer = call.proceed();
        makeLate("made after " + CallParts.text(call));
        return answer;
    }

    /** A test has made a call, and is about to receive its result. */
    @Nullable
    Object result(@Nullable Object result, String owner, String name, String descriptor) {
        Disturbance wanted = disturbance;
        boolean looks = wanted == null || wanted.kind() == ChangeKind.RESULT && applied.isEmpty();
        Method method = looks ? subjects.method(owner, name, descriptor) : null;
        if (method == null || method.getReturnType() == void.class) {
            return result;
        }
        List<String> types =
                Stream.of(method.getParameterTypes()).map(Class::getSimpleName).toList();
        String signature = name + "(" + String.join(", ", types) + ")";
        String site = "result " + owner + "." + signature;
        synchronized (this) {
            int occurrence = occurrences.merge(site, 1, Integer::sum) - 1;
            // Without a result there is nothing to check.
            List<Object> others = result == null ? List.of() : Alterations.of(result, GenericTypes.ofResult(method));
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
                CallParts.place(caller),
                variants,
                "",
                Message.Written.NOTHING,
                false,
                false,
                List.of());
        noted.add(asked, () -> false, List::of);
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
            List<Message.Argument> given = new ArrayList<>();
            for (int i = 0; i < arguments.length; i++) {
                given.add(CallParts.argument(call, i, use(call, i, arguments[i])));
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
                    CallParts.place(caller),
                    variants,
                    call.ending() == Ending.DEFAULTED && call.returnType() != void.class
                            ? DisturbedCall.print(answer)
                            : "",
                    threw || call.returnType() == void.class ? Message.Written.NOTHING : Message.Written.of(answer),
                    answer instanceof CompletableFuture,
                    threw,
                    given);
            noted.add(asked, call::isCountedExactly, () -> withCalledBack(given, ran));
        }
    }

    private static Message.Use use(DisturbedCall call, int place, @Nullable Object passed) {
        if (passed != call.arguments()[place]) {
            return Message.Use.NOT_CALLED;
        }
        boolean hasOther = !call.isCallback(place)
                && !Alterations.of(passed, CallParts.type(call, place)).isEmpty();
        return hasOther ? Message.Use.OTHER : Message.Use.NONE;
    }

    private static List<Message.Argument> withCalledBack(List<Message.Argument> given, boolean[] ran) {
        List<Message.Argument> arguments = new ArrayList<>(given);
        for (int i = 0; i < ran.length; i++) {
            if (ran[i]) {
                arguments.set(i, given.get(i).as(Message.Use.CALLED));
            }
        }
        return arguments;
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
                Type type = CallParts.type(call, wanted.index());
                List<Object> others = Alterations.of(was, type);
                Object other = wanted.part().isEmpty()
                        ? others.isEmpty() ? null : others.get(0)
                        : Alterations.parts(was, type).get(wanted.part());
                if (other == null) {
                    return call.proceed();
                }
                arguments[wanted.index()] = other;
                applied = DisturbedCall.print(other) + " instead of " + DisturbedCall.print(was);
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
            case THROWN -> {
                call.proceed();
                Throwable thrown = Failures.of(call.method());
                applied = "throws " + thrown.getClass().getSimpleName();
                throw thrown;
            }
            case SILENT -> {
                call.proceed();
                applied = "never completes";
                return new NeverComplete<>();
            }
            case ORDER -> {
                Object answer = call.lose();
                late = call;
                return answer;
            }
            case RESULT, EXTRA -> {
                return call.proceed();
            }
        }
        throw new IllegalStateException("A kind of change has no code: " + wanted.kind());
    }
}
