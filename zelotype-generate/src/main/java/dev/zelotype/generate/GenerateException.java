package dev.zelotype.generate;

/**
 * For builds and tools: doubles cannot be written. The message says what is wrong, where, and what to do; nothing was
 * written.
 *
 * @since 0.2
 */
public final class GenerateException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    GenerateException(String message) {
        super(message);
    }
}
