package dev.zelotype.engine.scene;

import dev.zelotype.basics.Mask;
import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.Ending;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.Role;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.NamedDouble;
import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.decide.CallScene;
import dev.zelotype.engine.decide.DoubleState;
import dev.zelotype.engine.decide.Rows;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.statement.Order;
import dev.zelotype.engine.statement.Statement;
import dev.zelotype.engine.statement.Supposition;
import java.lang.StackWalker.StackFrame;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Future;
import org.jspecify.annotations.Nullable;

/**
 * The statements and calls of a scene's doubles, as plain values.
 */
public final class ConversationView {

    private ConversationView() {}

    public static Conversation of(SceneState scene) {
        return scene.numbers().in(() -> told(scene));
    }

    private static Conversation told(SceneState scene) {
        Conversation.Builder told = Conversation.builder();
        Set<String> types = new HashSet<>();
        for (DoubleState each : scene.cast()) {
            String type = each.doubleClass().doubledType().getName();
            told.add(NamedDouble.of(each.name(), each.kind(), type));
            if (types.add(type)) {
                told.add(DoubledType.of(type, each.doubleClass().signatures()));
            }
        }
        for (Call call : scene.calls()) {
            told.add(recorded(call));
        }
        Class<?> subject = scene.subject();
        addStatements(scene, told);
        scene.notes().forEach(told::note);
        return told.subject(subject == null ? "" : subject.getName()).build();
    }

    public static String textOf(SceneState scene) {
        return scene.numbers().in(() -> Mask.apply(String.join("\n", Rows.of(scene.calls()))));
    }

    private static RecordedCall recorded(Call call) {
        StackFrame frame = call.caller();
        DoubledMethod method = call.log().method();
        RecordedCall.Builder told = RecordedCall.builder()
                .number(call.number())
                .caller(frame == null ? "" : frame.getClassName())
                .receiver(call.log().owner().name())
                .instance(Calls.instance(call.log().owner(), method, call.arguments()))
                .signature(method.signature())
                .ending(call.ending())
                .role(
                        call.ending() == Ending.UNEXPECTED
                                ? Role.UNEXPECTED
                                : call.expected() ? Role.EXPECTED : Role.ALLOWED)
                .thread(call.thread().getName())
                .file(frame == null || frame.getFileName() == null ? "" : frame.getFileName())
                .line(frame == null ? 0 : Math.max(0, frame.getLineNumber()));
        List<String> arguments = null;
        String answer = null;
        boolean failed = false;
        Call.Worded worded = call.words();
        if (worded != null) {
            told.micros((worded.began() + call.later()) / 1000)
                    .tookMicros(worded.took() < 0 ? -1 : worded.took() / 1000);
            failed = worded.hasFailedByCallback();
            arguments = worded.argumentTexts();
            answer = worded.answerText();
        }
        told.failed(failed || isFailedFuture(call.answer()));
        List<String> texts = arguments == null ? Calls.arguments(method, call.arguments()) : arguments;
        ValueSources sources = arguments == null ? ValueSources.NOW : ValueSources.EARLIER;
        told.arguments(texts).argumentSources(sources.ofArguments(method, call.arguments(), texts));
        if (!isSilent(call)) {
            String text = answer == null ? Values.print(method.name(), call.answer()) : answer;
            Class<?> type = call.ending() == Ending.THREW ? Throwable.class : method.returnType();
            told.answer(text)
                    .answerSource(
                            (answer == null ? ValueSources.NOW : ValueSources.EARLIER).of(call.answer(), text, type));
        }
        return told.build();
    }

    private static boolean isFailedFuture(@Nullable Object answer) {
        if (answer instanceof CompletableFuture<?> future) {
            return future.isCompletedExceptionally();
        }
        Future<?> plain = answer instanceof Future<?> other && DoubleClass.participantOf(answer) == null ? other : null;
        if (plain == null || !plain.isDone()) {
            return false;
        }
        try {
            plain.get();
            return false;
        } catch (ExecutionException | CancellationException e) {
            return true;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /** Whether the call returned nothing that could be shown. */
    private static boolean isSilent(Call call) {
        return switch (call.ending()) {
            case RUNNING, UNEXPECTED -> true;
            case THREW -> false;
            case ANSWERED, DEFAULTED, REAL, OWN_CODE ->
                call.answer() == Call.UNSEEN || call.log().method().givesNothing();
        };
    }

    private static void addStatements(SceneState scene, Conversation.Builder told) {
        List<Order> orders = new ArrayList<>();
        for (Statement statement : scene.statements()) {
            Order order = statement.order();
            if (order != null && !orders.contains(order)) {
                orders.add(order);
            }
            told.add(TestStatement.builder()
                    .verb(statement.verb())
                    .receiver(statement.receiver())
                    .signature(statement.method().signature())
                    .text(statement.patternText())
                    .call(statement.callText())
                    .link(statement instanceof Supposition supposition && !supposition.isOfTest())
                    .min(statement.count().min())
                    .max(statement.count().max())
                    .found(statement.found())
                    .query(!statement.method().givesNothing())
                    .parameters(statement.pattern().rules().length)
                    .pinned(statement.pattern().pinned())
                    .order(orders.indexOf(order) + 1)
                    .place(statement.place())
                    .build());
        }
        for (CallScene.Whole whole : scene.wholes()) {
            told.add(TestStatement.builder()
                    .verb(Verb.NOTHING_ELSE)
                    .receiver(whole.receiver())
                    .text(whole.receiver())
                    .place(whole.place())
                    .build());
        }
    }
}
