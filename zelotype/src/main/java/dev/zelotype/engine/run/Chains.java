package dev.zelotype.engine.run;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.pattern.CallPattern;
import dev.zelotype.error.MisuseException;

/**
 * Patterns of several calls in a row, such as {@code () -> site.mount().rate()}: every link but the last answers with a
 * double.
 */
final class Chains {

    private Chains() {}

    /**
     * The last call of a chain as a pattern on the double that the calls before it give.
     *
     * @param mayMakeLinks whether a missing link is supposed on the way
     */
    static CallPattern resolve(CallPattern pattern, boolean mayMakeLinks) {
        CallPattern before = pattern.before();
        if (before == null) {
            return pattern;
        }
        CallPattern link = resolve(before, mayMakeLinks);
        Told linked = linkOf((Told) link.participant(), link, mayMakeLinks);
        DoubledMethod method = linked.doubleClass()
                .find(pattern.method().name(), pattern.method().descriptor());
        if (method == null) {
            throw new MisuseException(
                    Calls.pattern(link) + " answers with " + linked.name() + ", which has no "
                            + pattern.method().name() + ".",
                    "suppose it in a statement of its own");
        }
        return pattern.on(linked, method);
    }

    private static Told linkOf(Told told, CallPattern link, boolean mayMakeLinks) {
        Supposition[] suppositions = told.state(link.method()).suppositions();
        for (int i = suppositions.length - 1; i >= 0; i--) {
            boolean general = suppositions[i].pattern().coversAll();
            if ((general || suppositions[i].patternText().equals(Calls.pattern(link)))
                    && DoubleClass.participantOf(suppositions[i].plainValue()) instanceof Told linked) {
                return linked;
            }
        }
        if (!mayMakeLinks) {
            throw new MisuseException(
                    "Nothing is known of calls beyond " + Calls.pattern(link)
                            + ": it was not told to answer with a double.",
                    "suppose the chain, or what " + Calls.pattern(link) + " returns, before the subject runs");
        }
        Told made = told.scene()
                .make(Making.of(
                        Kind.STUB,
                        told.name() + "." + link.method().name() + "()",
                        link.method().returnType()));
        Supposition supposition = new Supposition("suppose", link);
        supposition.returns(made.self());
        return made;
    }
}
