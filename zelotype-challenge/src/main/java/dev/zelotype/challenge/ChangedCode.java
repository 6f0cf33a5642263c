package dev.zelotype.challenge;

import dev.zelotype.basics.CodeOwner;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * For builds and tools: the changed lines of source files. Immutable.
 *
 * <pre>{@code
 * String diff = "+++ b/src/main/java/dev/observatory/NightRun.java\n@@ -66 +66 @@\n";
 * ChangedCode code = ChangedCode.ofDiff(diff);
 * }</pre>
 *
 * @since 0.2
 */
public final class ChangedCode {

    private static final Pattern FILE = Pattern.compile("\\+\\+\\+ (?:b/)?(.*?)(?:\\t.*)?");
    private static final Pattern LINES = Pattern.compile("@@ -\\S+ \\+(\\d+)(?:,(\\d+))? @@.*");

    private final Map<String, Set<Integer>> lines;

    private ChangedCode(Map<String, Set<Integer>> lines) {
        this.lines = lines;
    }

    /**
     * Reads the output of a version control system.
     *
     * @param diff a unified diff, best without lines of context
     * @return the changed lines of all files in it
     */
    public static ChangedCode ofDiff(String diff) {
        Map<String, Set<Integer>> lines = new HashMap<>();
        Set<Integer> current = new HashSet<>();
        for (String line : diff.lines().toList()) {
            Matcher file = FILE.matcher(line);
            Matcher part = LINES.matcher(line);
            if (file.matches()) {
                current = lines.computeIfAbsent(withoutEnding(file.group(1)), first -> new HashSet<>());
            } else if (part.matches()) {
                int from = Integer.parseInt(part.group(1));
                int count = part.group(2) == null ? 1 : Integer.parseInt(part.group(2));
                // If lines were only removed, the lines around them may have another meaning.
                for (int i = count == 0 ? from : 0; i < count || count == 0 && i <= from + 1; i++) {
                    current.add(count == 0 ? i : from + i);
                }
            }
        }
        return new ChangedCode(lines);
    }

    /**
     * Returns how many files have changed.
     *
     * @return the number of files of any type
     */
    public int files() {
        return lines.size();
    }

    private static String withoutEnding(String file) {
        int dot = file.lastIndexOf('.');
        return dot < 0 ? file : file.substring(0, dot);
    }

    /**
     * Tells whether a class has changed.
     *
     * @param type the binary name
     * @param line the line; 0 for any
     */
    boolean has(String type, int line) {
        String path = CodeOwner.outermost(type).replace('.', '/');
        for (Map.Entry<String, Set<Integer>> each : lines.entrySet()) {
            boolean same = each.getKey().equals(path) || each.getKey().endsWith("/" + path);
            if (same && (line == 0 || each.getValue().contains(line))) {
                return true;
            }
        }
        return false;
    }
}
