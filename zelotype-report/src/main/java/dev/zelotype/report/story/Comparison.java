package dev.zelotype.report.story;

import com.github.difflib.DiffUtils;
import com.github.difflib.patch.AbstractDelta;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.tools.TestNames;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * For Zelotype's own tools: compares the conversations of two runs, test by test and call by call, to show how a code
 * change has affected the calls between subjects and their collaborators. Lines and times are ignored. For one thread.
 *
 * <pre>{@code
 * Comparison comparison = new Comparison();
 * JournalReader.read(before, comparison::addBefore);
 * JournalReader.read(after, comparison::addAfter);
 * comparison.changed().forEach(test -> System.out.println(test.title()));
 * }</pre>
 */
public final class Comparison {

    private final Map<String, List<String>> before = new LinkedHashMap<>();
    private final List<Changed> changed = new ArrayList<>();
    private final List<String> fresh = new ArrayList<>();
    private int same;

    /** An empty coverage. */
    public Comparison() {}

    /**
     * A test whose subject makes other calls than before.
     *
     * @param title its class and title
     * @param lines the calls: removed ones after {@code -}, new ones after {@code +}, the others unchanged
     */
    public record Changed(String title, List<String> lines) {

        /**
         * Copies the list.
         *
         * @param title its class and title
         * @param lines the calls
         */
        public Changed {
            lines = List.copyOf(lines);
        }
    }

    /**
     * Adds a test of the earlier run. These must be added first.
     *
     * @param scene the test
     */
    public void addBefore(JournalScene scene) {
        before.put(key(scene), calls(scene));
    }

    /**
     * Adds a test of the later run.
     *
     * @param scene the test
     */
    public void addAfter(JournalScene scene) {
        List<String> earlier = before.remove(key(scene));
        List<String> now = calls(scene);
        if (earlier == null) {
            fresh.add(key(scene));
        } else if (earlier.equals(now)) {
            same++;
        } else {
            changed.add(new Changed(key(scene), difference(earlier, now)));
        }
    }

    private static String key(JournalScene scene) {
        String title = TestNames.readable(scene.title());
        return scene.group().isEmpty() ? title : scene.group() + ": " + title;
    }

    private static List<String> calls(JournalScene scene) {
        List<String> lines = new ArrayList<>();
        for (RecordedCall call : scene.conversation().calls()) {
            lines.add((call.receiver() + "." + call.text() + " " + call.answerText()).stripTrailing());
        }
        return lines;
    }

    /** All calls of a test are shown, because earlier calls explain a changed one. */
    private static List<String> difference(List<String> earlier, List<String> now) {
        List<String> lines = new ArrayList<>();
        int at = 0;
        for (AbstractDelta<String> delta : DiffUtils.diff(earlier, now).getDeltas()) {
            for (; at < delta.getSource().getPosition(); at++) {
                lines.add("  " + earlier.get(at));
            }
            delta.getSource().getLines().forEach(line -> lines.add("- " + line));
            delta.getTarget().getLines().forEach(line -> lines.add("+ " + line));
            at += delta.getSource().size();
        }
        for (; at < earlier.size(); at++) {
            lines.add("  " + earlier.get(at));
        }
        return lines;
    }

    /**
     * Returns the tests whose subjects make other calls.
     *
     * @return in the order of the later run
     */
    public List<Changed> changed() {
        return List.copyOf(changed);
    }

    /**
     * Returns the tests that are new.
     *
     * @return their names
     */
    public List<String> fresh() {
        return List.copyOf(fresh);
    }

    /**
     * Returns the tests that no longer exist.
     *
     * @return their names
     */
    public List<String> gone() {
        return List.copyOf(before.keySet());
    }

    /**
     * Returns how many tests have the same conversation as before.
     *
     * @return the number
     */
    public int same() {
        return same;
    }
}
