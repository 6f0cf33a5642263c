package dev.zelotype.challenge.patch;

import java.util.Comparator;
import java.util.List;

/**
 * Text that is inserted into a source.
 *
 * @param at the offset before which it comes
 */
record Edit(int at, String text) {

    /** A source after edits at places of its own; several at one place come in their order. */
    static String apply(String source, List<Edit> edits) {
        StringBuilder out = new StringBuilder();
        int from = 0;
        for (Edit each :
                edits.stream().sorted(Comparator.comparingInt(Edit::at)).toList()) {
            out.append(source, from, each.at()).append(each.text());
            from = each.at();
        }
        return out.append(source.substring(from)).toString();
    }
}
