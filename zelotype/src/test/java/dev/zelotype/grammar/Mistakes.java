package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyUntouched;

import dev.zelotype.Scene;
import dev.zelotype.call.Query0;
import dev.zelotype.observatory.Hardware.SerialLink;
import dev.zelotype.observatory.Hardware.SiderealClock;
import dev.zelotype.observatory.Observatory.Camera;
import dev.zelotype.observatory.Observatory.Dome;
import dev.zelotype.observatory.Observatory.Instrument;
import dev.zelotype.observatory.Observatory.WeatherStation;
import java.lang.invoke.MethodHandles;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Iterator;
import java.util.List;

/**
 * Wrong uses of Zelotype, one per method: patterns and replacements. The page docs/mistakes.md is generated from these
 * methods and their messages.
 */
final class Mistakes extends Mistaken {

    @Mistake("A pattern on a real object")
    void realObject() {
        suppose(realList::size).returns(3);
    }

    @Mistake("A pattern that names a type instead of a double")
    void typeInsteadOfDouble() {
        suppose(WeatherStation::humidity).returns(40);
    }

    @Mistake("A method of the JDK whose result depends on its caller")
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

    @Mistake("A constructor that should return null")
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

    @Mistake("A lambda that does not call a double")
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

    @Mistake("A lambda that continues after the call")
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

    @Mistake("A statement before the call")
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

    @Mistake("A pattern that takes the next element of an iterator")
    void nextElement() {
        Iterator<String> names = List.of("north").iterator();
        suppose(() -> weather.humidityAt(names.next())).returns(40);
    }

    @Mistake("A pattern that calls a static method of the JDK which changes something")
    void changesSomething() {
        List<String> names = new ArrayList<>();
        suppose(() -> weather.humidityAt(String.valueOf(Collections.addAll(names, "north"))))
                .returns(40);
    }

    @Mistake("A pattern that writes into an array")
    void writesIntoArray() {
        String[] names = {"north"};
        suppose(() -> weather.humidityAt(names[0] = "south")).returns(40);
    }

    @Mistake("A chain through a value")
    void chainThroughValue() {
        suppose(() -> weather.sensors().size()).returns(3);
    }

    @Mistake("A free parameter that is not an argument")
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
}
