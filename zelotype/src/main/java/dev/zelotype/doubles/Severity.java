package dev.zelotype.doubles;

/**
 * For tests and readers of results: how to treat a remark that does not fail the test.
 *
 * @since 0.2
 */
public enum Severity {
    /** It is ignored. */
    IGNORE,
    /** It is noted next to the conversation. */
    NOTE,
    /** The scene fails. */
    FAIL
}
