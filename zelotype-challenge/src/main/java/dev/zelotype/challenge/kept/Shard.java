package dev.zelotype.challenge.kept;

import dev.zelotype.challenge.error.ChallengeException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * For builds and tools: the part of the tests that one machine challenges, if several share the work. Immutable.
 *
 * <pre>{@code
 * Shard third = Shard.of("3/8");
 * }</pre>
 *
 * @param number from 1
 * @param count the number of parts
 * @since 0.2
 */
public record Shard(int number, int count) {

    /** All tests. */
    public static final Shard WHOLE = new Shard(1, 1);

    private static final Pattern WORD = Pattern.compile("(\\d{1,6})/(\\d{1,6})");

    /**
     * Checks the numbers.
     *
     * @throws ChallengeException if the number is not between 1 and the count
     */
    public Shard {
        if (number < 1 || number > count) {
            throw wrong(number + "/" + count);
        }
    }

    /**
     * Parses a shard.
     *
     * @param word for example {@code 3/8}: the third of eight
     * @return the shard
     * @throws ChallengeException if it is not a shard
     */
    public static Shard of(String word) {
        Matcher found = WORD.matcher(word.strip());
        if (!found.matches()) {
            throw wrong(word);
        }
        return new Shard(Integer.parseInt(found.group(1)), Integer.parseInt(found.group(2)));
    }

    private static ChallengeException wrong(String word) {
        return new ChallengeException(
                "'" + word + "' is not a shard: give its number and how many there are, from 1/8 to 8/8.");
    }

    /**
     * Tells whether it is only a part.
     *
     * @return false for all tests
     */
    public boolean isPart() {
        return count > 1;
    }

    /** Returns the shard in the form used on the command line. */
    @Override
    public String toString() {
        return number + "/" + count;
    }
}
