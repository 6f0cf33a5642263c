package dev.zelotype.engine.decide.facts;

import dev.zelotype.error.MisuseException;

/**
 * The required number of calls.
 *
 * @param min the minimum
 * @param max the maximum
 */
public record Count(int min, int max) {

    public static final Count ONCE = exactly(1);
    /** For statements that require nothing. */
    public static final Count ANY = new Count(0, Integer.MAX_VALUE);

    public static Count exactly(int times) {
        return of(times, times);
    }

    /** A number of calls, both limits included; {@link Integer#MAX_VALUE} means any number. */
    public static Count of(int min, int max) {
        if (min == 0 && max == Integer.MAX_VALUE) {
            throw new MisuseException(
                    "atLeast(0) is always true, so it checks nothing.",
                    "give a number above 0, or remove the statement");
        }
        if (min < 0 || max < min) {
            throw new MisuseException(
                    "between(" + min + ", " + max + "): "
                            + (max < min ? "the lower bound is greater than the upper bound." : "a bound is below 0."),
                    "give counts of 0 or more, the smaller one first");
        }
        return new Count(min, max);
    }

    /** Whether another call would be one too many. */
    public boolean isExact() {
        return min == max;
    }

    public boolean holds(long calls) {
        return min <= calls && calls <= max;
    }

    /** The count as part of a sentence, for example {@code exactly 1 call}. */
    public String text() {
        if (max == 0) {
            return "no call";
        } else if (min == max) {
            return "exactly " + calls(min);
        } else if (max == Integer.MAX_VALUE) {
            return "at least " + calls(min);
        } else if (min == 0) {
            return "at most " + calls(max);
        }
        return "between " + min + " and " + calls(max);
    }

    public static String calls(long number) {
        return number == 1 ? "1 call" : number + " calls";
    }

    /** The actual number, for example {@code there were 2}. */
    public static String happened(long number) {
        return number == 0 ? "there was none" : number == 1 ? "there was 1" : "there were " + number;
    }
}
