package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.describe;
import static dev.zelotype.Zelotype.dummy;
import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.fake;
import static dev.zelotype.Zelotype.inThisOrder;
import static dev.zelotype.Zelotype.keepOnlyCounts;
import static dev.zelotype.Zelotype.named;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyNothingElse;
import static dev.zelotype.Zelotype.verifyUntouched;
import static java.time.Duration.ofSeconds;

import dev.zelotype.Claims;
import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.call.Query0;
import dev.zelotype.call.Query1;
import dev.zelotype.doubles.EmptyValue;
import dev.zelotype.observatory.Observatory.Camera;
import dev.zelotype.observatory.Observatory.Dome;
import dev.zelotype.observatory.Observatory.Filter;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.Site;
import dev.zelotype.stage.Answering;
import dev.zelotype.stage.Counting;
import dev.zelotype.stage.ExpectedAct0;
import dev.zelotype.stage.SupposedQuery1;
import java.time.Duration;

/**
 * Further ways to use Zelotype wrongly: doubles, answers, counts and checks.
 */
final class MistakesInStatements extends Mistaken {

    sealed interface Signal permits Red {}

    record Red() implements Signal {}

    interface HalfMount extends Mount {}

    @Mistake("A double of null")
    void nullType() {
        stub(null);
    }

    @Mistake("A double of a primitive type")
    void primitive() {
        stub(int.class);
    }

    @Mistake("A double of an array")
    void array() {
        stub(String[].class);
    }

    @Mistake("A double of a final class of the JDK")
    void finalClass() {
        stub(String.class);
    }

    @Mistake("A double of an enum")
    void enumType() {
        stub(Filter.class);
    }

    @Mistake("A double of a sealed type")
    void sealedType() {
        stub(Signal.class);
    }

    @Mistake("A spy on null")
    void spyOnNull() {
        spy((Mount) null);
    }

    @Mistake("A blank name")
    void blankName() {
        stub(Dome.class, " ");
    }

    @Mistake("A fake with arguments that no constructor takes")
    void fakeArguments() {
        fake(HalfMount.class, "north");
    }

    @Mistake("An answer of the wrong type, through an unchecked cast")
    @SuppressWarnings({"unchecked", "rawtypes"})
    void wrongType() {
        ((Answering) suppose(weather::humidity)).returns("forty");
    }

    @Mistake("A computed answer of the wrong type, through an unchecked cast")
    @SuppressWarnings({"unchecked", "rawtypes"})
    void wrongComputedType() {
        ((Answering) suppose(weather::humidity)).answers((Query0<String>) () -> "forty");
        weather.humidity();
    }

    @Mistake("Null from a method that returns a primitive")
    void nullForPrimitive() {
        suppose(weather::humidity).returns((Integer) null);
    }

    @Mistake("A checked exception that the method does not declare")
    void undeclared() {
        suppose(weather::humidity).fails(new java.io.IOException("line down"));
    }

    @Mistake("A null exception")
    void nullFailure() {
        suppose(weather::humidity).fails(null);
    }

    @Mistake("Real code of an abstract method")
    void noRealCode() {
        suppose(mount::rate).callsReal();
    }

    @Mistake("Setting an answer of a dummy")
    void tellingDummy() {
        Camera camera = dummy(Camera.class);
        suppose(camera::frame).returns("f");
    }

    @Mistake("Expecting calls of a stub")
    void expectingOfStub() {
        expect(weather::humidity).once();
    }

    @Mistake("Two counts in one expectation")
    void twoCounts() {
        ExpectedAct0 statement = expect(dome::open);
        statement.once();
        statement.atLeast(2);
    }

    @Mistake("A count that is always reached")
    void vacuousCount() {
        verify(dome::open).atLeast(0);
    }

    @Mistake("A count that is never reached")
    void impossibleCount() {
        verify(dome::open).between(3, 2);
    }

    @Mistake("A timeout of zero")
    void noTime() {
        verify(dome::open).within(Duration.ZERO);
    }

    @Mistake("Waiting inside an order")
    void waitingInOrder() {
        inThisOrder(() -> verify(dome::open).within(ofSeconds(1)).once());
    }

    @Mistake("An order of one statement")
    void shortOrder() {
        inThisOrder(() -> verify(dome::open).once());
    }

    @Mistake("An order inside an order")
    void nestedOrder() {
        inThisOrder(() -> inThisOrder(() -> verify(dome::open).once()));
    }

    @Mistake("Narrowing after answering")
    void tooLate() {
        SupposedQuery1<String, Integer> statement = suppose(weather::humidityAt);
        statement.returns(40);
        statement.with("north");
    }

    @Mistake("Values given twice")
    void valuesTwice() {
        suppose(weather::humidityAt).with("north").with("south").returns(40);
    }

    @Mistake("A null table")
    void nullTable() {
        suppose(weather::humidityAt).returnsFrom(null);
    }

    @Mistake("An answer to a call that is expected never to happen")
    void answerOfNever() {
        expect(mount::rate).times(0).returns(15);
    }

    @Mistake("A second count for a check that was made")
    void secondCount() {
        Counting statement = verify(mount::park);
        statement.never();
        statement.atMost(2);
    }

    @Mistake("Two timeouts")
    void waitingTwice() {
        Counting statement = verify(mount::park);
        statement.within(ofSeconds(1));
        statement.within(ofSeconds(2));
    }

    @Mistake("An answer that calls the method it answers")
    void endless() {
        suppose(weather::humidityAt).answers(place -> weather.humidityAt(place) + 1);
        weather.humidityAt("north");
    }

    @Mistake("An answer around real code that does not exist")
    void aroundNothing() {
        suppose(weather::humidity).around(real -> real.ask() + 1);
    }

    @Mistake("Expecting something of a double outside any scene")
    void expectOutside() throws InterruptedException {
        Outside.of(() -> {
            Dome loose = spy(Dome.class);
            expect(loose::open);
        });
    }

    static class Unready {
        static final int SIZE = Integer.parseInt("no number");

        static int size() {
            return SIZE;
        }
    }

    @Mistake("Replacing a class that cannot be initialized")
    void cannotInitialize() {
        suppose(Unready::size).returns(3);
    }

    @Mistake("A null condition")
    void nullCondition() {
        suppose(weather::humidityAt).where(null).returns(40);
    }

    @Mistake("A condition that throws")
    void throwingCondition() {
        suppose(weather::humidityAt)
                .where("northern", dome -> dome.startsWith("n"))
                .returns(40);
        weather.humidityAt(null);
    }

    @Mistake("Checking a chain that was never supposed")
    void unknownChain() {
        Site site = stub(Site.class);
        verify(() -> site.mount().rate()).never();
    }

    @Mistake("Narrowing a parameter of an earlier link")
    void narrowedLink() {
        Site site = stub(Site.class);
        suppose((String name) -> site.neighbour(name).mount().rate())
                .with("south")
                .returns(15);
    }

    @Mistake("Checking calls of a method of Object")
    void ofObject() {
        verify((Query1<Object, Boolean>) dome::equals).never();
    }

    @Mistake("A whole-double check without doubles")
    void noDoubles() {
        verifyNothingElse();
    }

    @Mistake("A whole-double check of a real object")
    void wholeRealObject() {
        verifyUntouched(realList);
    }

    @Mistake("Describing a real object")
    void describeReal() {
        describe(realList);
    }

    @Mistake("Looking at arguments where only counts are kept")
    void countsOnly() {
        keepOnlyCounts(log);
        recorded((String text) -> log.note(text));
    }

    interface Gauge {
        int level(String of);
    }

    @Mistake("Empty claims")
    void noClaims() {
        Claims.of(Gauge.class, gauge -> {}).check(of -> 3);
    }

    @Mistake("An expectation among claims")
    void expectationInClaims() {
        Claims.of(Gauge.class, gauge -> expect(dome::open).once()).check(of -> 3);
    }

    @Mistake("A claim for any argument, without an example")
    void claimWithoutExample() {
        Claims.of(Gauge.class, gauge -> suppose(gauge::level).returns(3)).check(of -> 3);
    }

    @Mistake("Claims checked against a double")
    void claimOfDouble() {
        Gauge double_ = stub(Gauge.class);
        Claims.of(Gauge.class, gauge -> suppose(() -> gauge.level("a")).returns(3))
                .check(double_);
    }

    @Mistake("Claims checked against null")
    void claimOfNull() {
        Claims.of(Gauge.class, gauge -> suppose(() -> gauge.level("a")).returns(3))
                .check(null);
    }

    @Mistake("A claim about another collaborator")
    void claimOfAnother() {
        Claims.of(Gauge.class, gauge -> suppose(mount::rate).returns(3)).check(of -> 3);
    }

    @Mistake("A double of Object")
    void doubleOfObject() {
        Dome dome = stub(Object.class);
        dome.open();
    }

    @Mistake("A name for a real object")
    void namedReal() {
        named(realList, "list");
    }

    static final class Limited {
        final Dome dome;
        final int limit;

        Limited(Dome dome, int limit) {
            this.dome = dome;
            this.limit = limit;
        }
    }

    @Mistake("A misspelled name of a provided value")
    void misspeltValue() {
        try (Scene inner = Scene.open()) {
            inner.provide("limit", 3).provide("doma", stub(Dome.class)).subject(Limited.class);
        }
    }

    @Mistake("An empty value of another type")
    void emptyValueOfAnotherType() {
        try (Scene inner = Scene.open(SceneSettings.defaults().emptyValue(new Blank()))) {
            inner.the(Site.class).mount();
        }
    }

    static final class Blank implements EmptyValue {
        @Override
        public Object of(Class<?> type) {
            return "";
        }
    }

    @Mistake("A negative number of lines")
    void negativeLines() {
        SceneSettings.defaults().linesOfCalls(-1);
    }
}
