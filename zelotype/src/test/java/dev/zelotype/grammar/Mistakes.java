package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.describe;
import static dev.zelotype.Zelotype.dummy;
import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.fake;
import static dev.zelotype.Zelotype.inThisOrder;
import static dev.zelotype.Zelotype.keepOnlyCounts;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.named;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyNothingElse;
import static dev.zelotype.Zelotype.verifyUntouched;
import static java.time.Duration.ofSeconds;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.call.Query0;
import dev.zelotype.call.Query1;
import dev.zelotype.observatory.Hardware.SerialLink;
import dev.zelotype.observatory.Hardware.SiderealClock;
import dev.zelotype.observatory.Observatory.Camera;
import dev.zelotype.observatory.Observatory.Dome;
import dev.zelotype.observatory.Observatory.Filter;
import dev.zelotype.observatory.Observatory.Instrument;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.NightLog;
import dev.zelotype.observatory.Observatory.Site;
import dev.zelotype.observatory.Observatory.SkyTarget;
import dev.zelotype.observatory.Observatory.WeatherStation;
import dev.zelotype.stage.Answering;
import dev.zelotype.stage.Counting;
import dev.zelotype.stage.ExpectedAct0;
import dev.zelotype.stage.SupposedQuery1;
import java.lang.invoke.MethodHandles;
import java.time.Duration;
import java.util.List;

/**
 * Every way to use Zelotype wrongly, one a method. The page docs/mistakes.md is made of these methods and their messages.
 */
final class Mistakes {

    final WeatherStation weather = stub(WeatherStation.class);
    final Dome dome = mock(Dome.class);
    final Mount mount = spy(Mount.class);
    final NightLog log = spy(NightLog.class, "log");
    final SkyTarget harrow = new SkyTarget("Harrow-2", 47);
    final List<String> realList = new java.util.ArrayList<>();

    sealed interface Signal permits Red {}

    record Red() implements Signal {}

    interface HalfMount extends Mount {}

    @Mistake("A pattern on a real object")
    void realObject() {
        suppose(realList::size).returns(3);
    }

    @Mistake("A pattern that names a type instead of a double")
    void typeInsteadOfDouble() {
        suppose(WeatherStation::humidity).returns(40);
    }

    @Mistake("A method of the JDK that tells who calls it")
    void callersOwn() {
        suppose(MethodHandles::lookup);
    }

    @Mistake("A method of any instance of a class of the JDK")
    void jdkInstance() {
        suppose(java.util.Date::getTime).returns(5L);
    }

    @Mistake("A check of a static method that was not watched before")
    void unwatched() {
        verify(SiderealClock::now).never();
    }

    @Mistake("A constructor that is to give null")
    void nullFromConstructor() {
        suppose((String port) -> new SerialLink(port)).returns((SerialLink) null);
    }

    @Mistake("A pattern on null")
    void nullPattern() {
        verify((Query0<Integer>) null).once();
    }

    @Mistake("A pattern that is neither a method reference nor a lambda")
    void objectPattern() {
        verify(new Query0<Integer>() {
                    private static final long serialVersionUID = 1L;

                    @Override
                    public Integer ask() {
                        return weather.humidity();
                    }
                })
                .once();
    }

    @Mistake("A lambda that calls no double")
    void noCall() {
        suppose(() -> realList.size()).returns(3);
    }

    @Mistake("A lambda that fails before it calls a double")
    void failsBefore() {
        suppose(() -> weather.humidityAt(realList.get(0))).returns(40);
    }

    @Mistake("Two calls in one lambda")
    void twoCalls() {
        verify(() -> mount.track(harrow, mount.rate())).once();
    }

    @Mistake("A lambda that goes on after the call")
    void goesOn() {
        suppose(() -> weather.warning().get()).returns("storm");
    }

    @Mistake("A lambda that runs real code, which calls the double")
    void realCode() {
        suppose(() -> new Planner(weather).isDry()).returns(true);
    }

    record Planner(WeatherStation weather) {
        boolean isDry() {
            return weather.humidity() < 50;
        }
    }

    @Mistake("An argument computed from a free parameter")
    void computed() {
        suppose((Integer rate) -> mount.track(harrow, rate + 1)).returns(true);
    }

    @Mistake("An argument computed from a free parameter, by calling a method of it")
    void computedByCall() {
        suppose((String dome) -> weather.humidityAt(dome.trim())).returns(40);
    }

    @Mistake("An argument that depends on a free parameter")
    void computedCondition() {
        verify((Integer rate) -> mount.track(rate > 3 ? harrow : null, 3)).never();
    }

    @Mistake("A lambda on a real object, which would do something")
    void wouldDelete() {
        verify((Integer index) -> realList.remove((int) index)).never();
    }

    @Mistake("Real code before the call")
    void realCodeBefore() {
        suppose(() -> weather.humidityAt(realList.remove(0))).returns(40);
    }

    @Mistake("Code of the test that calls a double on the way")
    void helperCalls() {
        suppose(() -> weather.humidityAt(driest())).returns(40);
    }

    private String driest() {
        return weather.humidity() < 50 ? "north" : "south";
    }

    @Mistake("A statement beside the call")
    void besides() {
        suppose(() -> {
                    System.gc();
                    return weather.humidity();
                })
                .returns(40);
    }

    @Mistake("An argument that can only be equal to itself")
    void onlyItself() {
        Instrument instrument = stub(Instrument.class);
        verify(() -> instrument.any(new Object())).never();
    }

    @Mistake("A lambda as an argument of a pattern")
    void lambdaArgument() {
        Camera camera = spy(Camera.class);
        verify(() -> camera.expose(Duration.ofSeconds(90), frame -> {}, failure -> {}))
                .never();
    }

    @Mistake("A chain through a value")
    void chainThroughValue() {
        suppose(() -> weather.sensors().size()).returns(3);
    }

    @Mistake("A free parameter that reaches no argument")
    void unreached() {
        suppose((String dome) -> weather.humidityAt("north")).returns(40);
    }

    @Mistake("A check without a count")
    void unfinishedCheck() {
        verify(mount::park);
    }

    @Mistake("A supposition without an answer")
    void unfinishedSupposition() {
        suppose(weather::humidity);
    }

    @Mistake("A check after the scene is closed")
    void closedScene() {
        Scene inner = Scene.open();
        Dome late = spy(Dome.class);
        inner.close();
        verify(late::open).never();
    }

    @Mistake("Looking at a whole double after its scene is closed")
    void closedSceneWhole() {
        Scene inner = Scene.open();
        Dome late = spy(Dome.class);
        inner.close();
        verifyUntouched(late);
    }

    @Mistake("A mock outside any scene")
    void mockOutside() throws InterruptedException {
        Outside.of(() -> mock(Dome.class));
    }

    @Mistake("A check outside any scene")
    void checkOutside() throws InterruptedException {
        Outside.of(() -> {
            Dome loose = spy(Dome.class);
            verify(loose::open).never();
        });
    }

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

    @Mistake("Telling a dummy what to answer")
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

    @Mistake("A count that always holds")
    void vacuousCount() {
        verify(dome::open).atLeast(0);
    }

    @Mistake("A count that never holds")
    void impossibleCount() {
        verify(dome::open).between(3, 2);
    }

    @Mistake("Waiting for no time")
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

    @Mistake("An answer to a call that never comes")
    void answerOfNever() {
        expect(mount::rate).times(0).returns(15);
    }

    @Mistake("A second count for a check that was made")
    void secondCount() {
        Counting statement = verify(mount::park);
        statement.never();
        statement.atMost(2);
    }

    @Mistake("Waiting twice")
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

    @Mistake("An answer around real code that there is none of")
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

    @Mistake("Replacing a class that cannot be initialised")
    void cannotInitialise() {
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

    @Mistake("A double of Object")
    void doubleOfObject() {
        Dome dome = stub(Object.class);
        dome.open();
    }

    @Mistake("A name for a real object")
    void namedReal() {
        named(realList, "list");
    }

    @Mistake("A negative number of lines")
    void negativeLines() {
        SceneSettings.defaults().linesOfCalls(-1);
    }
}
