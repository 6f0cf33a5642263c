package dev.zelotype.challenge.worker;

import dev.zelotype.challenge.change.Message;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/**
 * The calls of an undisturbed test: the first and the last of each site, and the number of calls. Safe for use from any
 * thread.
 */
final class RecordedCalls {

    private final Map<String, Integer> made = new HashMap<>();
    private final Map<String, Noted> first = new LinkedHashMap<>();
    private final Map<String, Noted> last = new LinkedHashMap<>();

    private record Noted(
            String method,
            String text,
            BooleanSupplier countedExactly,
            Supplier<List<Message.Argument>> arguments,
            Message.Asked asked) {}

    /**
     * Records a call.
     *
     * @param countedExactly evaluated at the end of the test: whether the test states the number of such calls
     * @param arguments evaluated at the end of the test: what happened to the arguments
     */
    synchronized void add(
            Message.Asked asked, BooleanSupplier countedExactly, Supplier<List<Message.Argument>> arguments) {
        Noted noted = new Noted(
                asked.receiver() + "." + asked.signature(),
                asked.receiver() + "." + asked.text(),
                countedExactly,
                arguments,
                asked);
        made.merge(noted.method(), 1, Integer::sum);
        made.merge(noted.text(), 1, Integer::sum);
        first.putIfAbsent(asked.key(), noted);
        last.put(asked.key(), noted);
    }

    /** The first and the last call of each site. */
    synchronized List<Message.Asked> all() {
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
                .atEnd(
                        made.getOrDefault(noted.method(), 1),
                        made.getOrDefault(noted.text(), 1),
                        noted.countedExactly().getAsBoolean(),
                        noted.arguments().get());
    }
}
