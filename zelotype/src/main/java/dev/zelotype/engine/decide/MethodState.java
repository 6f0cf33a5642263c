package dev.zelotype.engine.decide;

import dev.zelotype.engine.calls.Call;
import dev.zelotype.engine.calls.MethodLog;
import dev.zelotype.engine.decide.facts.Repetition;
import dev.zelotype.engine.make.DoubledMethod;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * The statements about one method of one double in one scene, and its calls. Rules are added by copying, so that other
 * threads see either the old or the new ones.
 */
public final class MethodState extends MethodLog {

    private static final Rule[] NO_RULES = {};
    private static final Demand[] NO_DEMANDS = {};

    private final Part part;
    private final boolean isWovenItself;
    private volatile Rule[] rules = NO_RULES;
    /** Created once there are many rules. */
    private volatile @Nullable ValueTable table;

    private volatile Demand[] demands = NO_DEMANDS;
    private int unsaid;
    private @Nullable Repetition repetition;

    MethodState(Part part, DoubledMethod method) {
        super(part.owner(), method, part.scene().ownerThread());
        this.part = part;
        this.isWovenItself = part.owner().isWovenItself(method);
        if (!part.scene().isOpenScene()) {
            // It lives as long as its double, possibly a whole run.
            keepOnlyCount();
        }
    }

    public Part part() {
        return part;
    }

    /** Whether the called method itself is on the stack, because it calls the engine. */
    boolean isWovenItself() {
        return isWovenItself;
    }

    /**
     * Refuses a call without a supposed answer that is repeated endlessly.
     *
     * @return the call
     */
    Call unlessWithoutEnd(Call call) {
        // Counted without a lock: a lost number or two does not matter.
        if (++unsaid % Repetition.LOOKED_AT_EACH == 0 && !method().givesNothing()) {
            Repetition known;
            synchronized (this) {
                known = repetition == null ? new Repetition() : repetition;
                repetition = known;
            }
            if (known.goesOn(call, isWovenItself)) {
                throw part.scene().refuse(call, Refusals.withoutEnd(call, unsaid, known.line()));
            }
        }
        return call;
    }

    public synchronized void add(Rule added) {
        Rule[] longer = Arrays.copyOf(rules, rules.length + 1);
        longer[rules.length] = added;
        if (longer.length == ValueTable.WORTHWHILE) {
            ValueTable first = new ValueTable();
            for (int i = 0; i < longer.length; i++) {
                first.add(longer[i], i);
            }
            table = first;
        } else if (table != null) {
            table.add(added, rules.length);
        }
        rules = longer;
    }

    public synchronized void add(Demand added) {
        Demand[] longer = Arrays.copyOf(demands, demands.length + 1);
        longer[demands.length] = added;
        demands = longer;
    }

    boolean isCovered() {
        return rules.length > 0 || demands.length > 0;
    }

    Demand[] demands() {
        return demands;
    }

    Rule[] rules() {
        return rules;
    }

    /** The newest rule that covers a call: a later statement refines an earlier one. */
    @Nullable
    Rule covering(Object[] arguments) {
        Rule[] now = rules;
        ValueTable known = table;
        return known == null ? ValueTable.oneByOne(now, arguments) : known.covering(now, arguments);
    }
}
