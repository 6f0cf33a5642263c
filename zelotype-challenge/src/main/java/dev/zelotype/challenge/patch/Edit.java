package dev.zelotype.challenge.patch;

import java.util.Comparator;
import java.util.List;

/**
 * Text that is inserted into a source.
 *
 * @param at the offset at which it is inserted
 */
record Edit(int at, String text) {

    /** Returns a source with edits applied; several edits at the same place are applied in order. */
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
