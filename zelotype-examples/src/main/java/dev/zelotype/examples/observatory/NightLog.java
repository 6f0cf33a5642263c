package dev.zelotype.examples.observatory;

/**
 * What happened in a night; numbers its entries.
 */
public interface NightLog {

    /** Adds an entry and gives it back with its number. */
    LogEntry append(LogEntry entry);

    void note(String text);
}
