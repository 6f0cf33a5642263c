package dev.zelotype.engine.run;

import dev.zelotype.doubles.Conversation;
import dev.zelotype.doubles.Conversation.CallInfo;
import dev.zelotype.doubles.Conversation.DoubleInfo;
import dev.zelotype.doubles.Conversation.Outcome;
import dev.zelotype.doubles.Conversation.Role;
import dev.zelotype.doubles.Conversation.StatementInfo;
import dev.zelotype.doubles.Conversation.TypeInfo;
import dev.zelotype.doubles.Conversation.Verb;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.journal.CallRecord;
import dev.zelotype.engine.make.DoubledMethod;
import java.lang.StackWalker.StackFrame;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a scene's doubles were told and asked, as plain values.
 */
public final class ConversationView {

    private ConversationView() {}

    public static Conversation of(SceneState scene) {
        List<DoubleInfo> doubles = new ArrayList<>();
        Map<String, TypeInfo> types = new LinkedHashMap<>();
        for (Told told : scene.cast()) {
            String type = told.doubleClass().doubledType().getName();
            doubles.add(new DoubleInfo(told.name(), told.kind(), type));
            types.putIfAbsent(type, new TypeInfo(type, told.doubleClass().signatures()));
        }
        List<CallInfo> calls = new ArrayList<>();
        for (CallRecord call : scene.calls()) {
            calls.add(info(call));
        }
        Class<?> subject = scene.subject();
        return new Conversation(
                subject == null ? "" : subject.getName(),
                List.copyOf(types.values()),
                List.copyOf(doubles),
                List.copyOf(calls),
                statements(scene),
                scene.notes());
    }

    public static String textOf(SceneState scene) {
        return String.join("\n", Rows.of(scene.calls()));
    }

    private static CallInfo info(CallRecord call) {
        StackFrame frame = call.caller();
        DoubledMethod method = call.log().method();
        boolean isVoid = method.returnType() == void.class;
        Outcome outcome = outcome(call.ending());
        boolean silent = call.ending() == CallRecord.Ending.PASSED_ON
                || outcome == Outcome.RUNNING
                || outcome == Outcome.UNEXPECTED
                || isVoid && outcome != Outcome.THREW;
        CallRecord.Detailed details = call instanceof CallRecord.Detailed detailed ? detailed : null;
        String answer = details == null ? Values.print(call.answer()) : details.answerText();
        return new CallInfo(
                call.number(),
                frame == null ? "" : frame.getClassName(),
                call.log().owner().name(),
                method.name(),
                method.signature(),
                details == null ? Calls.arguments(method, call.arguments()) : details.argumentTexts(),
                silent ? "" : answer,
                outcome,
                outcome == Outcome.UNEXPECTED ? Role.UNEXPECTED : call.expected() ? Role.EXPECTED : Role.ALLOWED,
                call.thread().getName(),
                frame == null || frame.getFileName() == null ? "" : frame.getFileName(),
                frame == null ? 0 : Math.max(0, frame.getLineNumber()),
                details == null ? 0 : details.began() / 1000);
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

    private static List<StatementInfo> statements(SceneState scene) {
        List<Order> orders = new ArrayList<>();
        List<StatementInfo> infos = new ArrayList<>();
        for (Statement statement : scene.statements()) {
            Order order = statement.order();
            if (order != null && !orders.contains(order)) {
                orders.add(order);
            }
            DoubledMethod method = statement.pattern().method();
            infos.add(new StatementInfo(
                    switch (statement.verb()) {
                        case "suppose" -> Verb.SUPPOSED;
                        case "expect" -> Verb.EXPECTED;
                        default -> Verb.VERIFIED;
                    },
                    statement.told().name(),
                    method.signature(),
                    statement.patternText(),
                    statement.count().min(),
                    statement.count().max(),
                    statement.found(),
                    method.returnType() != void.class && !method.isConstructor(),
                    statement.pattern().rules().length,
                    statement.pattern().pinned(),
                    orders.indexOf(order) + 1,
                    statement.line()));
        }
        return List.copyOf(infos);
    }
}
