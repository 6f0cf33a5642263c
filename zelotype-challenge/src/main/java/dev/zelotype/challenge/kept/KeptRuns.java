package dev.zelotype.challenge.kept;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.challenge.change.Baseline;
import dev.zelotype.challenge.change.Disturbance;
import dev.zelotype.challenge.change.Message;
import dev.zelotype.challenge.change.Tried;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The disturbed runs of a challenge, which a later challenge can reuse and which shards combine. Written by one thread;
 * several may read it once it is complete.
 */
public final class KeptRuns {

    private final Message.Kept head;
    private final Map<String, Baseline> tests = new LinkedHashMap<>();
    private final Map<String, String> prints = new HashMap<>();
    private final Map<Key, Tried> tried = new LinkedHashMap<>();
    private final Map<Place, Message.Said> said = new LinkedHashMap<>();
    private final List<String> leftOut = new ArrayList<>();

    private record Key(Disturbance disturbance, boolean confirms) {}

    private record Place(String test, String statement) {}

    public KeptRuns(Message.Kept head) {
        this.head = head;
    }

    /** No kept runs. */
    public static KeptRuns none() {
        return new KeptRuns(new Message.Kept("", 1, 1, "", "", true));
    }

    /** The description of the challenge. */
    public Message.Kept head() {
        return head;
    }

    public Shard shard() {
        return new Shard(head.shard(), head.shards());
    }

    /**
     * Adds a test.
     *
     * @param print a hash of the classes that it had
     */
    public void add(Baseline test, String print) {
        tests.put(test.id(), test);
        prints.put(test.id(), print);
    }

    public void add(Tried run) {
        tried.put(new Key(run.disturbance(), run.confirms()), run);
    }

    public void add(Message.Said statement) {
        said.put(new Place(statement.test(), statement.statement()), statement);
    }

    public void leftOut(String reason) {
        leftOut.add(reason);
    }

    /** The tests by their ids. */
    public Map<String, Baseline> tests() {
        return tests;
    }

    /** The hash of a test's classes; empty if unknown. */
    public String print(String test) {
        return prints.getOrDefault(test, "");
    }

    public List<Tried> tried() {
        return List.copyOf(tried.values());
    }

    /** The statements that were tried, with their results. */
    public List<Message.Said> said() {
        return List.copyOf(said.values());
    }

    public List<String> leftOut() {
        return leftOut;
    }

    /** The result of a disturbed run; null if it was not run. */
    public @Nullable Tried of(Disturbance disturbance, boolean confirms) {
        return tried.get(new Key(disturbance, confirms));
    }

    /** The result of a statement at the end of a test; null if it was not tried. */
    public Message.@Nullable Said of(String test, String statement) {
        return said.get(new Place(test, statement));
    }

    /** How long a class with all its tests took, or would take with all disturbances, in milliseconds. */
    public Map<String, Long> millis() {
        Map<String, Long> millis = new HashMap<>();
        for (Baseline each : tests.values()) {
            millis.merge(CodeOwner.outermost(each.type()), each.millisOfAllRuns(), Long::sum);
        }
        return millis;
    }

    /** The runs of only some tests, with the statements that were tried in them. */
    public KeptRuns only(Set<String> these) {
        KeptRuns some = new KeptRuns(head);
        tests.forEach((id, test) -> {
            if (these.contains(id)) {
                some.add(test, print(id));
            }
        });
        for (Tried each : tried.values()) {
            String from = each.disturbance().from();
            if (these.contains(each.disturbance().test()) && (from.isEmpty() || these.contains(from))) {
                some.add(each);
            }
        }
        for (Message.Said each : said.values()) {
            if (these.contains(each.test())) {
                some.add(each);
            }
        }
        return some;
    }
}
