package dev.zelotype.host;

/**
 * Not a problem of its own: the calls of the doubles in a failed test, attached to the failure.
 */
final class ConversationOfTheTest extends RuntimeException {

    private static final long serialVersionUID = 1L;

    ConversationOfTheTest(String conversation) {
        super(
                "what the doubles were asked before the test failed:\n    " + conversation.replace("\n", "\n    "),
                null,
                false,
                false);
    }

    @Override
    public String toString() {
        return getMessage();
    }
}
