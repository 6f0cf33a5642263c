package dev.zelotype.engine.run;

import dev.zelotype.doubles.Conversation;
import dev.zelotype.doubles.Conversation.CallInfo;
import dev.zelotype.doubles.Conversation.DoubleInfo;
import dev.zelotype.doubles.Conversation.Outcome;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.journal.CallRecord;
import java.lang.StackWalker.StackFrame;
import java.util.ArrayList;
import java.util.List;

/**
 * A scene's calls as plain values.
 */
public final class ConversationView {

    private ConversationView() {}

    public static Conversation of(SceneState scene) {
        List<DoubleInfo> doubles = new ArrayList<>();
        for (Told told : scene.doubles()) {
            doubles.add(new DoubleInfo(
                    told.name(), told.kind(), told.doubleClass().doubledType().getName()));
        }
        List<CallInfo> calls = new ArrayList<>();
        for (CallRecord call : scene.calls()) {
            calls.add(info(call));
        }
        return new Conversation(List.copyOf(doubles), List.copyOf(calls), scene.notes());
    }

    public static String textOf(SceneState scene) {
        return String.join("\n", Calls.conversation(scene.calls()));
    }

    private static CallInfo info(CallRecord call) {
        StackFrame frame = call.caller();
        boolean isVoid = call.log().method().returnType() == void.class;
        Outcome outcome = outcome(call.ending());
        boolean silent = call.ending() == CallRecord.Ending.PASSED_ON
                || outcome == Outcome.RUNNING
                || outcome == Outcome.UNEXPECTED
                || isVoid && outcome != Outcome.THREW;
        return new CallInfo(
                call.number(),
                frame == null ? "" : frame.getClassName(),
                call.log().owner().name(),
                call.log().method().name(),
                Calls.arguments(call.log().method(), call.arguments()),
                silent ? "" : Values.print(call.answer()),
                outcome,
                call.thread().getName(),
                frame == null || frame.getFileName() == null ? "" : frame.getFileName(),
                frame == null ? 0 : Math.max(0, frame.getLineNumber()));
    }

    private static Outcome outcome(CallRecord.Ending ending) {
        return switch (ending) {
            case RUNNING -> Outcome.RUNNING;
            case ANSWERED -> Outcome.ANSWERED;
            case DEFAULTED -> Outcome.DEFAULTED;
            case REAL, PASSED_ON -> Outcome.REAL;
            case THREW -> Outcome.THREW;
            case UNEXPECTED -> Outcome.UNEXPECTED;
        };
    }
}
