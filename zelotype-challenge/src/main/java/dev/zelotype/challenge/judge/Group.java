package dev.zelotype.challenge.judge;

import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.change.Disturbance;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * One place and one possible change there, over all tests.
 */
final class Group {

    final ChangeKind kind;
    final int index;
    /** The changed part of an argument; empty for all of it. */
    final String part;

    final Set<String> tests = new LinkedHashSet<>();
    /** The call that represents the others: one whose test passed, if there is one. */
    CallPlace site;

    String test = "";

    @Nullable
    Disturbance first;

    final List<Disturbance> passing = new ArrayList<>();
    String change = "";
    boolean noticed;
    boolean passed;
    boolean unclear;

    Group(CallPlace site, ChangeKind kind, int index, String part) {
        this.site = site;
        this.kind = kind;
        this.index = index;
        this.part = part;
    }

    /** Whether only the author of a test can decide if this should be noticed. */
    boolean isQuestion() {
        return kind.isQuestion() || !part.isEmpty();
    }

    /**
     * The disturbance that represents the group.
     *
     * @throws IllegalStateException if none has passed
     */
    Disturbance first() {
        Disturbance standing = first;
        if (standing == null) {
            throw new IllegalStateException("No test passed.");
        }
        return standing;
    }
}
