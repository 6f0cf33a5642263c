package dev.zelotype.journal;

import org.jspecify.annotations.Nullable;

/**
 * For readers and writers of journals: a journal cannot be written or read. The message names the file and what to do.
 *
 * @since 0.2
 */
public final class JournalException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    /**
     * A problem found by the reader of a journal.
     *
     * @param message what is wrong and what to do
     */
    public JournalException(String message) {
        super(message);
    }

    JournalException(String message, @Nullable Throwable cause) {
        super(message, cause);
    }
}
