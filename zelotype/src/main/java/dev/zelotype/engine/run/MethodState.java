package dev.zelotype.engine.run;

import dev.zelotype.engine.journal.MethodLog;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * What one method of one double is told in one scene, and its calls. Statements are added by copying, so that calls on other
 * threads see either the old or the new ones.
 */
final class MethodState {

    private static final Supposition[] NO_SUPPOSITIONS = {};
    private static final Expectation[] NO_EXPECTATIONS = {};

    private final MethodLog log;
    private volatile Supposition[] suppositions = NO_SUPPOSITIONS;
    private volatile Expectation[] expectations = NO_EXPECTATIONS;

    MethodState(MethodLog log) {
        this.log = log;
    }

    MethodLog log() {
        return log;
    }

    synchronized void suppose(Supposition added) {
        Supposition[] longer = Arrays.copyOf(suppositions, suppositions.length + 1);
        longer[suppositions.length] = added;
        suppositions = longer;
    }

    synchronized void expect(Expectation added) {
        Expectation[] longer = Arrays.copyOf(expectations, expectations.length + 1);
        longer[expectations.length] = added;
        expectations = longer;
    }

    boolean isTold() {
        return suppositions.length > 0 || expectations.length > 0;
    }

    Expectation[] expectations() {
        return expectations;
    }

    Supposition[] suppositions() {
        return suppositions;
    }

    /** The newest supposition that covers a call: a later statement refines an earlier one. */
    @Nullable
    Supposition covering(Object[] arguments) {
        Supposition[] now = suppositions;
        for (int i = now.length - 1; i >= 0; i--) {
            if (now[i].pattern().covers(arguments)) {
                return now[i];
            }
        }
        return null;
    }
}
