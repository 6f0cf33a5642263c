package dev.zelotype.report.story;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.Role;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;
import dev.zelotype.doubles.Kind;
import dev.zelotype.doubles.NamedDouble;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.report.story.Item.Message;
import dev.zelotype.tools.TestNames;
import dev.zelotype.tools.TypeNames;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * For Zelotype's own tools: one test's conversation, ready to be drawn.
 *
 * <pre>{@code
 * JournalReader.read(folder, scene -> System.out.println(Mermaid.of(Story.of(scene).folded())));
 * }</pre>
 *
 * @param scene the test
 * @param lifelines the participants, callers first
 * @param items the calls in order; missing calls at the end
 */
public record Story(JournalScene scene, List<Lifeline> lifelines, List<Item> items) {

    /** Fewer rounds than this are shown individually. */
    private static final int LEAST_ROUNDS = 3;

    private static final int LONGEST_ROUND = 6;

    /**
     * Returns the story of a scene.
     *
     * @param scene a scene of a journal
     * @return the story, with each call shown separately
     */
    public static Story of(JournalScene scene) {
        return new Telling(scene).story();
    }

    /**
     * A role as one character, so that it is not shown by color alone.
     *
     * @param role the role
     * @return the sign
     */
    static String sign(Role role) {
        return switch (role) {
            case EXPECTED -> "✔";
            case ALLOWED -> "·";
            case UNEXPECTED -> "✘";
            case MISSING -> "?";
        };
    }

    /**
     * The role of a double in its test. A class whose static methods or constructors were replaced has its own name,
     * and records like a spy; so it is named as what it is.
     *
     * @param info the double
     * @return the word of its kind, or {@code replaced class}
     */
    public static String role(NamedDouble info) {
        return info.kind() == Kind.SPY && info.name().equals(TypeNames.simple(info.type()))
                ? "replaced class"
                : info.kind().word();
    }

    /**
     * Returns the title of the test, with its class.
     *
     * @return one line
     */
    public String title() {
        String title = TestNames.readable(scene.title());
        return scene.group().isEmpty() ? title : scene.group() + ": " + title;
    }

    /**
     * Returns the doubles that received no call, and were not expected to.
     *
     * @return their names, each with its role
     */
    public List<String> silent() {
        Set<String> shown = new HashSet<>();
        lifelines.forEach(lifeline -> shown.add(lifeline.name()));
        return scene.conversation().doubles().stream()
                .filter(info -> !shown.contains(info.name()))
                .map(info -> info.name() + " (" + role(info) + ")")
                .distinct()
                .toList();
    }

    /**
     * Returns the same story, with repeated calls shown once.
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
     * Returns the part of the story between two calls; missing calls are kept only with the last call.
     *
     * @param first the number of the first call to keep, from 1
     * @param last the number of the last one
     * @return a shorter story with the same lifelines
     */
    public Story cut(int first, int last) {
        List<Item> kept = new ArrayList<>();
        for (Item item : items) {
            boolean keep = item instanceof Message message
                    && (message.role() == Role.MISSING
                            ? last >= scene.conversation().calls().size()
                            : message.number() >= first && message.number() <= last);
            if (keep) {
                kept.add(item);
            }
        }
        return new Story(scene, lifelines, List.copyOf(kept));
    }

    /** Builds a story. */
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
            List<TestStatement> missing = conversation.statements().stream()
                    .filter(statement -> statement.verb() != Verb.SUPPOSED && statement.isMissing())
                    .toList();
            for (NamedDouble info : conversation.doubles()) {
                boolean speaks = conversation.calls().stream()
                                .anyMatch(call -> call.receiver().equals(info.name()))
                        || missing.stream()
                                .anyMatch(statement -> statement.receiver().equals(info.name()));
                if (speaks) {
                    receivers.put(info.name(), lifelines.size());
                    lifelines.add(new Lifeline(info.name(), role(info), TypeNames.simple(info.type())));
                }
            }
            List<Item> items = new ArrayList<>();
            String own = conversation.calls().isEmpty()
                    ? ""
                    : conversation.calls().get(0).thread();
            conversation.calls().forEach(call -> items.add(message(call, own)));
            missing.forEach(statement -> items.add(Message.missing(statement, 0, receiver(statement.receiver()))));
            return new Story(scene, List.copyOf(lifelines), List.copyOf(items));
        }

        private int caller(String className) {
            return callers.computeIfAbsent(TypeNames.named(className), name -> {
                boolean subject = TypeNames.named(conversation.subject()).equals(name) && !name.isEmpty();
                lifelines.add(new Lifeline(
                        name.isEmpty() ? "unknown" : TypeNames.simple(name), subject ? "subject" : "caller", ""));
                return lifelines.size() - 1;
            });
        }

        private int receiver(String name) {
            return receivers.computeIfAbsent(name, unknown -> {
                lifelines.add(new Lifeline(unknown, "double", ""));
                return lifelines.size() - 1;
            });
        }

        private Message message(RecordedCall call, String ownThread) {
            return Message.of(call, caller(call.caller()), receiver(call.receiver()), ownThread);
        }
    }
}
