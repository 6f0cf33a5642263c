package dev.zelotype.engine.claim;

import dev.zelotype.conversation.Verb;
import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.decide.DoubleState;
import dev.zelotype.engine.decide.NewDouble;
import dev.zelotype.engine.decide.Rule;
import dev.zelotype.engine.decide.Step;
import dev.zelotype.engine.decide.facts.Settings;
import dev.zelotype.engine.explain.Calls;
import dev.zelotype.engine.explain.Columns;
import dev.zelotype.engine.explain.FailureText;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.scene.SceneState;
import dev.zelotype.engine.statement.Before;
import dev.zelotype.engine.statement.Statement;
import dev.zelotype.engine.statement.Supposition;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiPredicate;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * The statements of a method with suppositions about a collaborator, each ready to be checked against a real one. The
 * method is run again for each, so that no sequence of answers is partly used.
 */
public final class ClaimSet {

    private final @Nullable Class<?> type;
    private final Consumer<Object> claims;
    private final Duration limit;

    /**
     * Claims about a type.
     *
     * @param type the type; null for claims about static methods only
     * @param claims makes statements about the given double
     */
    public ClaimSet(@Nullable Class<?> type, Consumer<Object> claims) {
        this(type, claims, Caller.USUAL_LIMIT);
    }

    private ClaimSet(@Nullable Class<?> type, Consumer<Object> claims, Duration limit) {
        this.type = type;
        this.claims = claims;
        this.limit = limit;
    }

    /** The same claims with another time limit for the real object; zero for none. */
    public ClaimSet within(Duration other) {
        if (other.isNegative()) {
            throw new MisuseException(
                    "The time limit must not be negative, but was " + other + ".",
                    "give a time above zero, or zero for no limit");
        }
        return new ClaimSet(type, claims, other);
    }

    /** A statement with its double, in the scene in which it was made. */
    private record Said(SceneState scene, @Nullable DoubleState about, List<Supposition> suppositions) {}

    /** What is known of a claim before it is checked. */
    public record Told(
            String name,
            String place,
            String sourceClass,
            int line,
            String type,
            String signature,
            String text,
            String call) {}

    /** All claims, in statement order. */
    public List<Told> told() {
        SceneState scene = open();
        try {
            Said said = run(scene);
            List<Told> all = new ArrayList<>();
            for (Supposition each : said.suppositions()) {
                all.add(new Told(
                        each.patternText() + " " + words(each),
                        each.place(),
                        each.frame() == null
                                ? ""
                                : topLevel(each.frame().getDeclaringClass()).getName(),
                        each.frame() == null ? 0 : Math.max(0, each.frame().getLineNumber()),
                        each.about().doubleClass().doubledType().getName(),
                        each.method().signature(),
                        each.patternText(),
                        each.callText()));
            }
            return all;
        } finally {
            scene.close();
        }
    }

    private static Class<?> topLevel(Class<?> type) {
        Class<?> around = type.getEnclosingClass();
        return around == null ? type : topLevel(around);
    }

    private static String words(Supposition claim) {
        List<String> steps = new ArrayList<>();
        boolean nothing = claim.method().givesNothing();
        claim.rule()
                .steps()
                .forEach(step -> steps.add(nothing && step instanceof Step.Value ? "does nothing" : step.said()));
        return String.join(", then ", steps);
    }

    private static SceneState open() {
        SceneState scene = new SceneState("claims", Settings.unchecked(0), false);
        scene.open(null, /* byTest= */ true);
        // Without a subject, the claims themselves call both sides.
        scene.disturbBy(null);
        return scene;
    }

    private Said run(SceneState scene) {
        DoubleState about = type == null ? null : scene.make(NewDouble.of(Kind.STUB, null, type));
        claims.accept(about == null ? null : about.self());
        List<Supposition> suppositions = new ArrayList<>();
        for (Statement statement : scene.statements()) {
            if (statement.verb() != Verb.SUPPOSED) {
                throw new MisuseException(
                        statement + " was written among claims, which consist of suppose(...) only.",
                        "move it to a test of the subject");
            }
            Supposition supposition = (Supposition) statement;
            if (supposition.isOfTest()) {
                refuseOther(scene, about, supposition);
                refuseMeaningless(supposition);
                suppositions.add(supposition);
            }
        }
        if (!scene.calls().isEmpty()) {
            throw new MisuseException(
                    "The claims themselves call " + Calls.call(scene.calls().get(0)) + ".",
                    "state what the collaborator does with suppose(...); do not call it here");
        }
        if (suppositions.isEmpty()) {
            throw new MisuseException(
                    "The claims" + (type == null ? "" : " about " + type.getSimpleName()) + " are empty.",
                    "write at least one suppose(...) about the collaborator that is passed to the method");
        }
        List<String> unfinished = scene.unfinished();
        if (!unfinished.isEmpty()) {
            throw new MisuseException(unfinished.get(0), "finish the statement, or remove it");
        }
        return new Said(scene, about, suppositions);
    }

    /** Claims concern the collaborator, the end of a chain, a double that it returns, or static methods. */
    private static void refuseOther(SceneState scene, @Nullable DoubleState about, Supposition claim) {
        DoubleState spokenOf = claim.about();
        boolean known = spokenOf == about || spokenOf.doubleClass().isWoven() || parent(scene, spokenOf) != null;
        if (!known) {
            throw new MisuseException(
                    claim + " is about " + spokenOf.name()
                            + ", which is neither the collaborator of these claims nor a double that it returns.",
                    "write claims about it in a separate method");
        }
    }

    private static void refuseMeaningless(Supposition claim) {
        boolean real = claim.rule().steps().stream().anyMatch(Step::isReal);
        if (real || claim.method().isConstructor()) {
            throw new MisuseException(
                    claim + " cannot be checked: " + (real ? "it calls the real code." : "it creates an object."),
                    "state what is returned, or remove it from the claims");
        }
    }

    /** The call that returned a double of the scene, or null. */
    private static @Nullable Supposition parent(SceneState scene, DoubleState answered) {
        for (Statement statement : scene.statements()) {
            if (statement instanceof Supposition supposition
                    && supposition.about() != answered
                    && supposition.rule().plainValue() == answered.self()) {
                return supposition;
            }
        }
        return null;
    }

    /**
     * Checks a claim against a real object.
     *
     * @param index the index of the claim
     * @param real the object; null for claims about static methods
     * @throws CheckFailure if the real object behaves differently
     */
    public void hold(int index, @Nullable Object real) {
        refuseUnreal(real);
        SceneState scene = open();
        Supposition claim;
        Object[][] examples;
        List<List<Reaction>> claimed = new ArrayList<>();
        try {
            Said said = run(scene);
            claim = said.suppositions().get(index);
            examples = examples(claim);
            for (Before each : claim.befores()) {
                Caller.callDouble(each.method(), each.arguments(), each.about());
            }
            for (Object[] example : examples) {
                refuseUncovered(claim, example);
                List<Reaction> outcomes = new ArrayList<>();
                for (int i = 0; i < claim.rule().steps().size(); i++) {
                    outcomes.add(
                            Caller.callDouble(claim.method(), claim.pattern().example(example), claim.about()));
                }
                claimed.add(outcomes);
            }
        } finally {
            scene.close();
        }
        for (Before each : claim.befores()) {
            Reaction led = Caller.callReal(each.method(), each.arguments(), real, limit, 0);
            if (led.thrown() != null) {
                throw new CheckFailure(
                        "The claim " + claim + " cannot be held: " + each.text() + " of the real object "
                                + led.said(false) + ".",
                        led.thrown());
            }
        }
        for (int i = 0; i < examples.length; i++) {
            Object target = target(scene, claim, real);
            for (Reaction outcome : claimed.get(i)) {
                Object[] arguments = claim.pattern().example(examples[i]);
                Reaction did = Caller.callReal(
                        claim.method(),
                        arguments,
                        target,
                        limit,
                        outcome.callbacks().size());
                compare(claim, arguments, outcome, did, real);
            }
        }
    }

    private void refuseUnreal(@Nullable Object real) {
        if (type == null) {
            return;
        }
        if (real == null) {
            throw new MisuseException("The real object is null.", "give the object to check the claims against");
        }
        if (DoubleClass.participantOf(real) != null) {
            throw new MisuseException(
                    Values.print(real) + " is a double: checking claims against it would prove nothing.",
                    "give a real " + type.getSimpleName());
        }
        if (!type.isInstance(real)) {
            throw new MisuseException(
                    Values.print(real) + " is not of type " + type.getSimpleName() + ".",
                    "give an object of that type");
        }
    }

    /** The real object to call: the given one, or the one that it returns for a chain or another double. */
    private @Nullable Object target(SceneState scene, Supposition claim, @Nullable Object real) {
        Supposition parent = parent(scene, claim.about());
        if (parent == null) {
            return real;
        }
        Object holder = target(scene, parent, real);
        Reaction led =
                Caller.callReal(parent.method(), parent.pattern().example(examples(parent)[0]), holder, limit, 0);
        if (led.thrown() != null || led.value() == null) {
            throw new CheckFailure(
                    "The claim " + claim + " cannot be held: " + parent.patternText() + " of the real object "
                            + led.said(false) + ".",
                    led.thrown());
        }
        return led.value();
    }

    private static Object[][] examples(Supposition claim) {
        int open = claim.pattern().open();
        if (claim.examples().isEmpty()) {
            if (open > 0) {
                throw new MisuseException(
                        claim + " has " + open + (open == 1 ? " free parameter" : " free parameters")
                                + " and no example, so it is unclear how to call the real object.",
                        "add .forExample(...), or write the claim with values");
            }
            return new Object[][] {new Object[0]};
        }
        return claim.examples().toArray(new Object[0][]);
    }

    private static void refuseUncovered(Supposition claim, Object[] free) {
        Object[] arguments = claim.pattern().example(free);
        String call = Calls.call(claim.about(), claim.method(), arguments);
        if (!claim.pattern().covers(arguments)) {
            throw new MisuseException(
                    "The example " + call + " is not covered by its own claim, " + claim + ".",
                    "give an example that fits the pattern and its conditions");
        }
        Rule answering = claim.about().partOfStatement().covering(claim.method(), arguments);
        if (answering != claim.rule()) {
            throw new MisuseException(
                    "The example " + call + " of " + claim + " is answered by a later claim, " + answering + ".",
                    "give an example that only this claim covers, or write the more general claim first");
        }
    }

    private static void compare(
            Supposition claim, Object[] arguments, Reaction claimed, Reaction real, @Nullable Object realObject) {
        List<String> differences = differences(claim, claimed, real);
        if (differences.isEmpty()) {
            return;
        }
        DoubledMethod method = claim.method();
        boolean nothing = method.givesNothing();
        String who = realObject == null ? "the real code" : Values.typeName(realObject.getClass());
        List<String[]> rows =
                List.of(new String[] {"the stub", claimed.said(nothing)}, new String[] {who, real.said(nothing)});
        FailureText text = new FailureText("The real one does not do what the stub says.")
                .expected(claim.patternText() + " " + words(claim))
                .section("Asked both", List.of(Calls.call(claim.about(), method, arguments)))
                .section("They", Columns.align(rows))
                .differing(differences)
                .section("Claimed", List.of(Columns.gap(claim.patternText() + " " + words(claim), claim.at())));
        throw text.failure(real.thrown());
    }

    private static List<String> differences(Supposition claim, Reaction claimed, Reaction real) {
        List<String> lines = new ArrayList<>();
        if (real.late() != null) {
            lines.add("the real one " + real.said(claim.method().givesNothing()));
            return lines;
        }
        if (claimed.thrown() != null || real.thrown() != null) {
            boolean both = claimed.thrown() != null && real.thrown() != null;
            if (!both) {
                lines.add(claimed.thrown() == null ? "only the real one fails" : "only the stub fails");
            } else if (!claimed.thrown().getClass().isInstance(real.thrown())) {
                lines.add("the exceptions are of different types");
            } else if (!Likeness.sameThrown(claimed.thrown(), real.thrown())) {
                lines.add("the messages of the exceptions differ");
            }
        } else if (!claim.method().givesNothing() && !alike(claim, claimed.value(), real.value())) {
            lines.add("expected " + Values.print(claimed.value()) + ", was " + Values.print(real.value()));
            lines.addAll(Likeness.difference(claimed.value(), real.value()));
        }
        if (!claimed.callbacks().equals(real.callbacks())) {
            lines.add("the stub called back "
                    + (claimed.callbacks().isEmpty() ? "nothing" : String.join(", ", claimed.callbacks())));
            lines.add("the real one called back "
                    + (real.callbacks().isEmpty() ? "nothing" : String.join(", ", real.callbacks())));
        }
        for (int i = 0; i < claimed.written().size(); i++) {
            if (!Likeness.of(claimed.written().get(i), real.written().get(i), Object.class)) {
                lines.add("the stub left " + Values.print(claimed.written().get(i)) + " in an argument, the real one "
                        + Values.print(real.written().get(i)));
            }
        }
        return lines;
    }

    private static boolean alike(Supposition claim, @Nullable Object claimed, @Nullable Object real) {
        BiPredicate<Object, Object> comparison = claim.comparison();
        if (comparison != null) {
            return claimed != null && real != null ? comparison.test(claimed, real) : claimed == real;
        }
        if (DoubleClass.participantOf(claimed) instanceof DoubleState) {
            // Another collaborator: it has its own claims, if any.
            return real != null;
        }
        return Likeness.of(claimed, real, claim.method().returnType());
    }
}
