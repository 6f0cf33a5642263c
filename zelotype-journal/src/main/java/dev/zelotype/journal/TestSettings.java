package dev.zelotype.journal;

import dev.zelotype.SceneSettings;
import dev.zelotype.doubles.Severity;
import dev.zelotype.error.MisuseException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.regex.PatternSyntaxException;
import org.jspecify.annotations.Nullable;

/**
 * For hosts of tests: the user's settings for the scenes of a run, named {@code zelotype.journal}, {@code
 * zelotype.mask}, {@code zelotype.unused}, {@code zelotype.lines} and {@code zelotype.tasks}. Immutable.
 *
 * <pre>{@code
 * TestSettings settings = TestSettings.of(name -> Optional.ofNullable(System.getProperty(name)));
 * }</pre>
 *
 * @since 0.2
 */
public final class TestSettings {

    private static final String JOURNAL = "zelotype.journal";
    private static final String MASK = "zelotype.mask";
    private static final String UNUSED = "zelotype.unused";
    private static final String LINES = "zelotype.lines";
    private static final String TASKS = "zelotype.tasks";
    private static final Set<String> KNOWN = new TreeSet<>(List.of(JOURNAL, MASK, UNUSED, LINES, TASKS));
    private static final String PREFIX = "zelotype.";
    /** Names that differ by more letters are not treated as misspelled settings. */
    private static final int NEAR = 2;

    private final SceneSettings scene;
    private final @Nullable Path journal;
    private final @Nullable Pattern mask;

    private TestSettings(SceneSettings scene, @Nullable Path journal, @Nullable Pattern mask) {
        this.scene = scene;
        this.journal = journal;
        this.mask = mask;
    }

    /**
     * Reads the settings.
     *
     * @param lookup returns the value of a setting, given its name
     * @return the settings
     * @throws MisuseException if a value is invalid
     */
    public static TestSettings of(Function<String, Optional<String>> lookup) {
        SceneSettings scene = SceneSettings.defaults();
        Optional<String> unused = lookup.apply(UNUSED);
        if (unused.isPresent()) {
            scene = scene.unusedSuppositions(severity(unused.get()));
        }
        Optional<String> lines = lookup.apply(LINES);
        if (lines.isPresent()) {
            scene = scene.linesOfCalls(number(lines.get()));
        }
        Optional<String> tasks = lookup.apply(TASKS);
        if (tasks.isPresent()) {
            scene = scene.tasksFollow(follow(tasks.get()));
        }
        return new TestSettings(
                scene,
                lookup.apply(JOURNAL)
                        .filter(folder -> !folder.isBlank())
                        .map(Path::of)
                        .orElse(null),
                lookup.apply(MASK).map(TestSettings::pattern).orElse(null));
    }

    /**
     * Refuses a name that looks like a misspelled setting. Other names are ignored: a build may have its own.
     *
     * @param names all names that users have set
     * @throws MisuseException if one differs from the name of a setting by a few letters
     */
    public static void refuseNearMisses(Iterable<String> names) {
        for (String name : names) {
            if (!name.regionMatches(true, 0, PREFIX, 0, PREFIX.length()) || KNOWN.contains(name)) {
                continue;
            }
            for (String known : KNOWN) {
                if (distance(name.toLowerCase(Locale.ROOT), known) <= NEAR) {
                    throw new MisuseException(
                            "Unknown setting " + name + ".", "write " + known + "; the settings are " + KNOWN);
                }
            }
        }
    }

    /** How many letters must be replaced, added or removed to turn one word into the other. */
    private static int distance(String from, String to) {
        int[] row = new int[to.length() + 1];
        for (int j = 0; j < row.length; j++) {
            row[j] = j;
        }
        for (int i = 1; i <= from.length(); i++) {
            int diagonal = row[0];
            row[0] = i;
            for (int j = 1; j < row.length; j++) {
                int above = row[j];
                int exchanged = diagonal + (from.charAt(i - 1) == to.charAt(j - 1) ? 0 : 1);
                row[j] = Math.min(exchanged, 1 + Math.min(above, row[j - 1]));
                diagonal = above;
            }
        }
        return row[to.length()];
    }

    private static Severity severity(String value) {
        try {
            return Severity.valueOf(value.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            throw new MisuseException(UNUSED + "=" + value + " is not a severity.", "give IGNORE, NOTE or FAIL", e);
        }
    }

    private static boolean follow(String value) {
        return switch (value.toLowerCase(Locale.ROOT)) {
            case "follow" -> true;
            case "stay" -> false;
            default ->
                throw new MisuseException(TASKS + "=" + value + " is neither follow nor stay.", "give one of them");
        };
    }

    private static int number(String value) {
        try {
            int number = Integer.parseInt(value);
            if (number >= 0) {
                return number;
            }
        } catch (NumberFormatException e) {
            throw new MisuseException(LINES + "=" + value + " is not a number.", "give 0 or more", e);
        }
        throw new MisuseException(LINES + "=" + value + ": the number must be 0 or more.", "give 0 or more");
    }

    private static Pattern pattern(String mask) {
        try {
            return Pattern.compile(mask);
        } catch (PatternSyntaxException e) {
            throw new MisuseException(
                    MASK + "=" + mask + " is not a regular expression: " + e.getDescription() + ".",
                    "give one that matches what no journal may show",
                    e);
        }
    }

    /**
     * Returns the settings for a test class with an annotation of its own.
     *
     * @param unused the severity of unused suppositions; null to keep it
     * @param lines for how many calls the line is recorded; negative to keep the setting
     * @return changed settings
     */
    @SuppressWarnings("exports")
    public TestSettings with(@Nullable Severity unused, int lines) {
        SceneSettings changed = unused == null ? scene : scene.unusedSuppositions(unused);
        return new TestSettings(lines < 0 ? changed : changed.linesOfCalls(lines), journal, mask);
    }

    /**
     * Returns the settings of scenes.
     *
     * @return the settings of a scene
     */
    public SceneSettings scene() {
        return scene;
    }

    /**
     * Tells whether there is a journal.
     *
     * @return whether a folder for it is set
     */
    public boolean keepsJournal() {
        return journal != null;
    }

    /** Returns the folder of the journal, or null. */
    @Nullable
    Path journal() {
        return journal;
    }

    /** Returns what must not appear in any output, or null. */
    @Nullable
    Pattern mask() {
        return mask;
    }
}
