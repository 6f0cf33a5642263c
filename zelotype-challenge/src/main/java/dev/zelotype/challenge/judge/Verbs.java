package dev.zelotype.challenge.judge;

import java.util.Set;

/**
 * Whether a method name sounds like an action rather than a query.
 */
final class Verbs {

    private static final Set<String> COMMANDS = Set.of(
            ("accept acquire add adjust append apply archive arm assign attach authorize authorise begin bind block book"
                            + " broadcast cancel capture change charge clear close commit complete confirm connect consume"
                            + " create credit debit decrement delete deliver deposit detach disable disconnect dispatch"
                            + " dispose download emit enable enqueue enroll execute expire export fire flush forward grant"
                            + " handle hold import increment index inform insert invalidate invoke issue launch link load"
                            + " lock log mail mark merge move notify offer open order park patch pause pay perform persist"
                            + " place play poll pop post print process produce publish push put queue raise rate record"
                            + " refund register reject release remove rename replace reply report request reserve reset"
                            + " restart resume retry return revoke rollback rotate run save schedule send set ship show"
                            + " shutdown sign slew start stop store submit subscribe suspend sync take tick toggle track"
                            + " transfer transition trigger turn unblock undo unlock unregister unsubscribe update upload"
                            + " upsert withdraw write")
                    .split(" "));
    /** Verbs from the above list that are used just as often for queries. */
    private static final Set<String> BOTH =
            Set.of("index", "load", "order", "poll", "rate", "request", "return", "track");

    private Verbs() {}

    static boolean isCommand(String method) {
        String word = method.replaceAll("[A-Z_0-9].*", "");
        return COMMANDS.contains(word) && !BOTH.contains(word);
    }
}
