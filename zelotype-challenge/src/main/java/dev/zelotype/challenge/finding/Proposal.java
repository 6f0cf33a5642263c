package dev.zelotype.challenge.finding;

import dev.zelotype.challenge.change.Disturbance;
import dev.zelotype.challenge.change.Message;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * A statement that may close a gap, for one test. It is printed only after it has been tried there.
 *
 * @param statement as it would be written at the end of the test
 * @param imports the types that it names
 * @param receivers the doubles in it
 * @param disturbance the disturbance that must make it fail; null if it only has to pass
 */
public record Proposal(
        String statement,
        Set<String> imports,
        List<Receiver> receivers,
        @Nullable Disturbance disturbance) {

    /**
     * A double as a statement names it.
     *
     * @param variable the name of the variable; the double's own name if no variable holds it
     * @param type the variable's type as source
     * @param named the double
     * @param declared whether the test has such a variable
     */
    public record Receiver(String variable, String type, Message.Named named, boolean declared) {}

    public Proposal {
        TreeSet<String> named = new TreeSet<>(imports);
        named.removeIf(each -> !statement.contains(each.substring(each.lastIndexOf('.') + 1)));
        imports = named;
        // A class is named directly; no variable holds it.
        receivers = receivers.stream().filter(each -> !each.type().isEmpty()).toList();
    }
}
