package dev.zelotype.journal;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * For readers of journals: what could not be read, and why. For one thread.
 *
 * @since 0.2
 */
public final class Losses {

    private static final int MOST_NAMED = 5;

    private final Set<String> places = new LinkedHashSet<>();
    private int unnamed;
    private int scenes;
    private int read;

    Losses() {}

    void sceneRead() {
        read++;
    }

    void sceneLost(String place) {
        scenesLost(1, place);
    }

    void scenesLost(int count, String place) {
        scenes = (int) Math.min(Integer.MAX_VALUE, (long) scenes + count);
        note(place);
    }

    void note(String place) {
        if (places.size() < MOST_NAMED) {
            places.add(place);
        } else if (!places.contains(place)) {
            unnamed++;
        }
    }

    /**
     * Tells whether everything could be read.
     *
     * @return true if nothing is missing
     */
    public boolean isEmpty() {
        return places.isEmpty();
    }

    /**
     * Returns how many scenes are missing.
     *
     * @return the number
     */
    public int scenes() {
        return scenes;
    }

    /**
     * Describes what is missing: how many scenes, and where with the reason.
     *
     * @return lines; none if nothing is missing
     */
    public List<String> lines() {
        List<String> lines = new ArrayList<>();
        if (places.isEmpty()) {
            return lines;
        }
        long all = (long) scenes + read;
        lines.add(
                scenes == 0
                        ? "Something in the journal could not be read, but no scene is missing:"
                        : scenes + (scenes == 1 ? " scene" : " scenes") + " of " + all + " could not be read:");
        places.forEach(place -> lines.add("  " + place));
        if (unnamed > 0) {
            lines.add("  and " + unnamed + (unnamed == 1 ? " more place" : " more places"));
        }
        return lines;
    }
}
