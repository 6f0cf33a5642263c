package dev.zelotype.tools;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * For Zelotype's own tools: names that a misspelled word may mean. Stateless.
 */
public final class Closest {

    private static final int MOST = 3;

    private Closest() {}

    /**
     * Returns the known names that are most similar to a word.
     *
     * @param word the word
     * @param known all names
     * @return at most three, the closest first; none if all differ in more than a third of their letters
     */
    public static List<String> to(String word, Collection<String> known) {
        String typed = word.toLowerCase(Locale.ROOT);
        return known.stream()
                .distinct()
                .filter(name -> distance(typed, name) <= Math.max(2, name.length() / 3))
                .sorted(Comparator.comparingInt((String name) -> distance(typed, name))
                        .thenComparing(Comparator.naturalOrder()))
                .limit(MOST)
                .toList();
    }

    /** The number of letters to replace, add, remove or swap with the next one. */
    private static int distance(String typed, String name) {
        String meant = name.toLowerCase(Locale.ROOT);
        int[] earlier = new int[meant.length() + 1];
        int[] before = new int[meant.length() + 1];
        for (int j = 0; j <= meant.length(); j++) {
            before[j] = j;
        }
        for (int i = 1; i <= typed.length(); i++) {
            int[] now = new int[meant.length() + 1];
            now[0] = i;
            for (int j = 1; j <= meant.length(); j++) {
                char a = typed.charAt(i - 1);
                char b = meant.charAt(j - 1);
                now[j] = Math.min(before[j - 1] + (a == b ? 0 : 1), Math.min(before[j], now[j - 1]) + 1);
                boolean swapped = i > 1 && j > 1 && a == meant.charAt(j - 2) && typed.charAt(i - 2) == b && a != b;
                if (swapped) {
                    now[j] = Math.min(now[j], earlier[j - 2] + 1);
                }
            }
            earlier = before;
            before = now;
        }
        return before[meant.length()];
    }
}
