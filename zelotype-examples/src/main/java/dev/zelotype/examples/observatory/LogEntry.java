package dev.zelotype.examples.observatory;

/**
 * A line of the night log.
 *
 * @param number its number, or 0 until the log assigns one
 * @param text what happened
 */
public record LogEntry(int number, String text) {

    public static LogEntry of(String text) {
        return new LogEntry(0, text);
    }

    public LogEntry numbered(int newNumber) {
        return new LogEntry(newNumber, text);
    }

    @Override
    public String toString() {
        return number == 0 ? text : "entry " + number;
    }
}
