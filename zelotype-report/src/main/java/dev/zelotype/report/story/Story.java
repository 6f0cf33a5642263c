package dev.zelotype.report.story;

import dev.zelotype.doubles.Conversation;
import dev.zelotype.doubles.Conversation.CallInfo;
import dev.zelotype.doubles.Conversation.DoubleInfo;
import dev.zelotype.doubles.Conversation.Outcome;
import dev.zelotype.doubles.Conversation.Role;
import dev.zelotype.doubles.Conversation.StatementInfo;
import dev.zelotype.doubles.Conversation.Verb;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.report.story.Item.Message;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * One test's conversation, ready to be drawn.
 *
 * <pre>{@code
 * JournalReader.read(folder, scene -> System.out.println(Mermaid.of(Story.of(scene).folded())));
 * }</pre>
 *
 * @param scene the test
 * @param lifelines who takes part, callers first
 * @param items what was asked, in its order; missing calls at the end
 */
public record Story(JournalScene scene, List<Lifeline> lifelines, List<Item> items) {

    /** Fewer rounds than this are shown one by one. */
    private static final int LEAST_ROUNDS = 3;

    private static final int LONGEST_ROUND = 6;

    /**
     * The story of a scene.
     *
     * @param scene what a journal says of it
     * @return the story, with each call by itself
     */
    public static Story of(JournalScene scene) {
        return new Telling(scene).story();
    }

    /**
     * The title of the test, with its class.
     *
     * @return one line
     */
    public String title() {
        return scene.group().isEmpty() ? scene.title() : scene.group() + ": " + scene.title();
    }

    /**
     * The same story, with repeated calls shown once.
     *
     * @return the story with loops
     */
    public Story folded() {
        List<Item> folded = new ArrayList<>();
        int at = 0;
        while (at < items.size()) {
            int length = 1;
            int rounds = 1;
            for (int tried = 1; tried <= LONGEST_ROUND && rounds < LEAST_ROUNDS; tried++) {
                length = tried;
                rounds = rounds(at, tried);
            }
            if (rounds >= LEAST_ROUNDS) {
                List<Message> first = new ArrayList<>();
                items.subList(at, at + length).forEach(item -> first.add((Message) item));
                folded.add(new Item.Loop(rounds, List.copyOf(first)));
                at += rounds * length;
            } else {
                folded.add(items.get(at++));
            }
        }
        return new Story(scene, lifelines, List.copyOf(folded));
    }

    private int rounds(int start, int length) {
        int rounds = 1;
        while (start + (rounds + 1) * length <= items.size()) {
            for (int i = 0; i < length; i++) {
                boolean alike = items.get(start + i) instanceof Message first
                        && items.get(start + rounds * length + i) instanceof Message again
                        && first.mark() != Mark.MISSING
                        && first.isAlike(again);
                if (!alike) {
                    return rounds;
                }
            }
            rounds++;
        }
        return rounds;
    }

    /**
     * The part of the story between two calls; missing calls stay only if the end does.
     *
     * @param first the number of the first call to keep, from 1
     * @param last the number of the last one
     * @return a shorter story; its lifelines stay
     */
    public Story cut(int first, int last) {
        List<Item> kept = new ArrayList<>();
        for (Item item : items) {
            boolean keep = item instanceof Message message
                    && (message.mark() == Mark.MISSING
                            ? last >= scene.conversation().calls().size()
                            : message.number() >= first && message.number() <= last);
            if (keep) {
                kept.add(item);
            }
        }
        return new Story(scene, lifelines, List.copyOf(kept));
    }

    /** Puts a story together. */
    private static final class Telling {

        private final JournalScene scene;
        private final Conversation conversation;
        private final Map<String, Integer> callers = new LinkedHashMap<>();
        private final Map<String, Integer> receivers = new LinkedHashMap<>();
        private final List<Lifeline> lifelines = new ArrayList<>();

        Telling(JournalScene scene) {
            this.scene = scene;
            this.conversation = scene.conversation();
        }

        Story story() {
            conversation.calls().forEach(call -> caller(call.caller()));
            if (lifelines.isEmpty()) {
                caller(conversation.subject());
            }
            List<StatementInfo> missing = conversation.statements().stream()
                    .filter(statement -> statement.verb() != Verb.SUPPOSED && statement.isMissing())
                    .toList();
            for (DoubleInfo info : conversation.doubles()) {
                boolean speaks = conversation.calls().stream()
                                .anyMatch(call -> call.receiver().equals(info.name()))
                        || missing.stream()
                                .anyMatch(statement -> statement.receiver().equals(info.name()));
                if (speaks) {
                    receivers.put(info.name(), lifelines.size());
                    lifelines.add(new Lifeline(info.name(), info.kind().word(), simple(info.type())));
                }
            }
            List<Item> items = new ArrayList<>();
            String own = conversation.calls().isEmpty()
                    ? ""
                    : conversation.calls().get(0).thread();
            conversation.calls().forEach(call -> items.add(message(call, own)));
            missing.forEach(statement -> items.add(message(statement)));
            return new Story(scene, List.copyOf(lifelines), List.copyOf(items));
        }

        private int caller(String className) {
            return callers.computeIfAbsent(outermost(className), name -> {
                boolean subject = outermost(conversation.subject()).equals(name) && !name.isEmpty();
                lifelines.add(
                        new Lifeline(name.isEmpty() ? "somebody" : simple(name), subject ? "subject" : "caller", ""));
                return lifelines.size() - 1;
            });
        }

        private int receiver(String name) {
            return receivers.computeIfAbsent(name, unknown -> {
                lifelines.add(new Lifeline(unknown, "double", ""));
                return lifelines.size() - 1;
            });
        }

        private Message message(CallInfo call, String ownThread) {
            Mark mark = call.role() == Role.UNEXPECTED
                    ? Mark.UNEXPECTED
                    : call.role() == Role.EXPECTED ? Mark.EXPECTED : Mark.ALLOWED;
            return new Message(
                    call.number(),
                    caller(call.caller()),
                    receiver(call.receiver()),
                    call.signature(),
                    call.method() + "(" + String.join(", ", call.arguments()) + ")",
                    call.outcome() == Outcome.RUNNING ? "" : call.answer(),
                    call.outcome() == Outcome.DEFAULTED,
                    call.outcome() == Outcome.THREW,
                    mark,
                    call.file().isEmpty() ? "" : call.file() + ":" + call.line(),
                    call.thread().equals(ownThread) ? "" : call.thread(),
                    call.micros());
        }

        private Message message(StatementInfo statement) {
            String text = statement.text();
            String prefix = statement.receiver() + ".";
            String wanted = statement.min() == 1 ? "1 call" : statement.min() + " calls";
            String there = statement.found() == 0 ? "there was none" : "there were " + statement.found();
            return new Message(
                    0,
                    0,
                    receiver(statement.receiver()),
                    statement.signature(),
                    (text.startsWith(prefix) ? text.substring(prefix.length()) : text) + ": "
                            + (statement.isExact() ? "" : "at least ") + wanted + " wanted, "
                            + (statement.found() == 1 ? "there was 1" : there),
                    "",
                    false,
                    false,
                    Mark.MISSING,
                    statement.place(),
                    "",
                    0);
        }

        /** Lambdas and anonymous classes are part of the class around them. */
        private static String outermost(String className) {
            int hidden = className.indexOf("$$");
            String name = hidden < 0 ? className : className.substring(0, hidden);
            return name.replaceAll("\\$\\d.*", "");
        }

        private static String simple(String className) {
            return className.substring(Math.max(className.lastIndexOf('.'), className.lastIndexOf('$')) + 1);
        }
    }
}
