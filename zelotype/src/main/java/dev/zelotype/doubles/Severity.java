package dev.zelotype.doubles;

/**
 * For tests and readers of results: what becomes of something that is not wrong, but worth knowing.
 *
 * @since 0.2
 */
public enum Severity {
    /** Nothing is said. */
    IGNORE,
    /** It is noted beside the conversation. */
    NOTE,
    /** The scene fails. */
    FAIL
}
