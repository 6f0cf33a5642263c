package dev.zelotype.examples.observatory;

/**
 * The events of a night; numbers its entries.
 */
public interface NightLog {

    /** Adds an entry and returns it with its number. */
    LogEntry append(LogEntry entry);

    void note(String text);
}
