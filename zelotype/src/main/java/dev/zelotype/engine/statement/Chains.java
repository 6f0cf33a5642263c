package dev.zelotype.engine.statement;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.decide.DoubleState;
import dev.zelotype.engine.decide.NewDouble;
import dev.zelotype.engine.decide.Rule;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.pattern.PatternReader;
import dev.zelotype.engine.pattern.rule.CallPattern;
import dev.zelotype.error.MisuseException;
import java.util.List;

/**
 * Patterns of several calls in sequence, for example {@code () -> site.mount().rate()}: every link but the last returns
 * a double.
 */
final class Chains {

    private Chains() {}

    /**
     * The last call of a chain as a pattern on the double that the previous calls return.
     *
     * @param mayMakeLinks whether to make a supposition for a missing link
     */
    static CallPattern resolve(PatternReader.Written written, boolean mayMakeLinks) {
        CallPattern pattern = written.first();
        for (PatternReader.Link next : written.further()) {
            DoubleState linked = linkOf((DoubleState) pattern.participant(), pattern, next, mayMakeLinks);
            DoubledMethod method = linked.doubleClass().find(next.name(), next.descriptor());
            if (method == null) {
                throw new MisuseException(
                        Calls.pattern(pattern) + " answers with " + linked.name() + ", which has no " + next.name()
                                + ".",
                        "suppose it in a statement of its own");
            }
            pattern = pattern.next(linked, method, next.rules());
        }
        return pattern;
    }

    private static DoubleState linkOf(
            DoubleState owner, CallPattern link, PatternReader.Link next, boolean mayMakeLinks) {
        List<Rule> suppositions = owner.partOfStatement().rules(link.method());
        for (int i = suppositions.size() - 1; i >= 0; i--) {
            Rule known = suppositions.get(i);
            if ((known.pattern().coversAll() || known.pattern().means(link))
                    && DoubleClass.participantOf(known.plainValue()) instanceof DoubleState linked) {
                refuseUnlessFits(link, linked, next.type());
                return linked;
            }
        }
        if (!mayMakeLinks) {
            throw new MisuseException(
                    "Calls on the result of " + Calls.pattern(link)
                            + " were not recorded: no double was set as its answer.",
                    "suppose the chain, or what " + Calls.pattern(link) + " returns, before the subject runs");
        }
        Class<?> type = next.type();
        if (!link.method().returnType().isAssignableFrom(type)
                && type.isAssignableFrom(link.method().returnType())) {
            type = link.method().returnType();
        }
        DoubleState made = owner.partOfStatement().scene().make(NewDouble.of(Kind.STUB, Calls.pattern(link), type));
        made.comesOf(link);
        new InBetween(link).returns(made.self());
        return made;
    }

    private static void refuseUnlessFits(CallPattern link, DoubleState linked, Class<?> wanted) {
        if (!wanted.isInstance(linked.self())) {
            throw new MisuseException(
                    Calls.pattern(link) + " answers with " + linked.name() + ", which is not of type "
                            + wanted.getSimpleName() + ".",
                    "suppose what " + Calls.pattern(link) + " returns in a statement of its own, before the chains");
        }
    }

    /** Makes a call in the middle of a chain return the double for the rest of the chain. */
    private static final class InBetween extends Supposition {

        InBetween(CallPattern link) {
            super(new Written(link, null));
        }

        @Override
        public boolean isOfTest() {
            return false;
        }
    }
}
