package dev.zelotype;

import dev.zelotype.call.Act0;
import dev.zelotype.call.Act1;
import dev.zelotype.call.Act2;
import dev.zelotype.call.Act3;
import dev.zelotype.call.Act4;
import dev.zelotype.call.Act5;
import dev.zelotype.call.Act6;
import dev.zelotype.call.Args2;
import dev.zelotype.call.Args3;
import dev.zelotype.call.Args4;
import dev.zelotype.call.Args5;
import dev.zelotype.call.Args6;
import dev.zelotype.call.Query0;
import dev.zelotype.call.Query1;
import dev.zelotype.call.Query2;
import dev.zelotype.call.Query3;
import dev.zelotype.call.Query4;
import dev.zelotype.call.Query5;
import dev.zelotype.call.Query6;
import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.run.Check;
import dev.zelotype.engine.run.Expectation;
import dev.zelotype.engine.run.Order;
import dev.zelotype.engine.run.Supposition;
import dev.zelotype.engine.run.WholeDoubles;
import java.util.List;
import java.util.function.Consumer;

/**
 * Everything a test needs, to be imported statically: doubles of five kinds, and four verbs for what they answer
 * ({@code suppose}), what must happen ({@code expect}), what did happen ({@code verify}) and with which arguments
 * ({@code recorded}). A call is always written as Java: a method reference or a lambda.
 *
 * <pre>{@code
 * WeatherStation weather = stub(WeatherStation.class);
 * suppose(weather::humidity).returns(95);
 * new NightRun(weather, dome, ...).once();
 * verify(dome::open).never();
 * }</pre>
 *
 * <p>All methods may be used from any thread. All throw {@link dev.zelotype.error.MisuseException} when they are given
 * something that cannot mean anything, with the reason and a cure.
 */
public final class Zelotype {

    private Zelotype() {}

    /**
     * Makes a stub: it gives canned answers, and an empty value where nobody said what to answer.
     *
     * <pre>{@code
     * WeatherStation weather = stub(WeatherStation.class);
     * }</pre>
     *
     * @param type the type to double; for a generic one, the raw class
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     * @throws dev.zelotype.error.MisuseException if the type is null or cannot be doubled
     */
    public static <T> T stub(Class<? super T> type) {
        return Orders.make(Kind.STUB, type, null, null);
    }

    /**
     * As {@link #stub(Class)}, with a name for messages and pictures.
     *
     * @param type the type to double
     * @param name what messages call it
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     */
    public static <T> T stub(Class<? super T> type, String name) {
        return Orders.make(Kind.STUB, type, name, null);
    }

    /**
     * As {@link #stub(Class)}, configured in place.
     *
     * @param type the type to double
     * @param setUp says what the double answers or expects; it is given the double
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     */
    public static <T> T stub(Class<? super T> type, Consumer<? super T> setUp) {
        return Orders.make(Kind.STUB, type, null, setUp);
    }

    /**
     * As {@link #stub(Class)}, with a name and configured in place.
     *
     * @param type the type to double
     * @param name what messages call it
     * @param setUp says what the double answers or expects; it is given the double
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     */
    public static <T> T stub(Class<? super T> type, String name, Consumer<? super T> setUp) {
        return Orders.make(Kind.STUB, type, name, setUp);
    }

    /**
     * Makes a mock: a call neither supposed nor expected fails at once, and expectations are checked when the scene closes.
     *
     * <pre>{@code
     * Dome dome = mock(Dome.class);
     * }</pre>
     *
     * @param type the type to double; for a generic one, the raw class
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     * @throws dev.zelotype.error.MisuseException if the type is null or cannot be doubled, or no scene is open
     */
    public static <T> T mock(Class<? super T> type) {
        return Orders.make(Kind.MOCK, type, null, null);
    }

    /**
     * As {@link #mock(Class)}, with a name for messages and pictures.
     *
     * @param type the type to double
     * @param name what messages call it
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     */
    public static <T> T mock(Class<? super T> type, String name) {
        return Orders.make(Kind.MOCK, type, name, null);
    }

    /**
     * As {@link #mock(Class)}, configured in place.
     *
     * @param type the type to double
     * @param setUp says what the double answers or expects; it is given the double
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     */
    public static <T> T mock(Class<? super T> type, Consumer<? super T> setUp) {
        return Orders.make(Kind.MOCK, type, null, setUp);
    }

    /**
     * As {@link #mock(Class)}, with a name and configured in place.
     *
     * @param type the type to double
     * @param name what messages call it
     * @param setUp says what the double answers or expects; it is given the double
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     */
    public static <T> T mock(Class<? super T> type, String name, Consumer<? super T> setUp) {
        return Orders.make(Kind.MOCK, type, name, setUp);
    }

    /**
     * Makes a spy: it records what it is asked and answers like a stub.
     *
     * <pre>{@code
     * Mount mount = spy(Mount.class);
     * }</pre>
     *
     * @param type the type to double; for a generic one, the raw class
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     * @throws dev.zelotype.error.MisuseException if the type is null or cannot be doubled
     */
    public static <T> T spy(Class<? super T> type) {
        return Orders.make(Kind.SPY, type, null, null);
    }

    /**
     * As {@link #spy(Class)}, with a name for messages and pictures.
     *
     * @param type the type to double
     * @param name what messages call it
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     */
    public static <T> T spy(Class<? super T> type, String name) {
        return Orders.make(Kind.SPY, type, name, null);
    }

    /**
     * As {@link #spy(Class)}, configured in place.
     *
     * @param type the type to double
     * @param setUp says what the double answers or expects; it is given the double
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     */
    public static <T> T spy(Class<? super T> type, Consumer<? super T> setUp) {
        return Orders.make(Kind.SPY, type, null, setUp);
    }

    /**
     * As {@link #spy(Class)}, with a name and configured in place.
     *
     * @param type the type to double
     * @param name what messages call it
     * @param setUp says what the double answers or expects; it is given the double
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     */
    public static <T> T spy(Class<? super T> type, String name, Consumer<? super T> setUp) {
        return Orders.make(Kind.SPY, type, name, setUp);
    }

    /**
     * Makes a dummy: it fills a place, and any call of it fails.
     *
     * <pre>{@code
     * Camera camera = dummy(Camera.class);
     * }</pre>
     *
     * @param type the type to double; for a generic one, the raw class
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     * @throws dev.zelotype.error.MisuseException if the type is null or cannot be doubled
     */
    public static <T> T dummy(Class<? super T> type) {
        return Orders.make(Kind.DUMMY, type, null, null);
    }

    /**
     * As {@link #dummy(Class)}, with a name for messages and pictures.
     *
     * @param type the type to double
     * @param name what messages call it
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     */
    public static <T> T dummy(Class<? super T> type, String name) {
        return Orders.make(Kind.DUMMY, type, name, null);
    }

    /**
     * Makes a spy around a real object: it records its calls and passes them on, except for those that are told to answer
     * otherwise. State stays with the real object.
     *
     * <pre>{@code
     * NightLog log = spy(new PaperLog());
     * }</pre>
     *
     * @param real the object; of a class that can be extended, or else the spy has its interfaces only
     * @param <T> the object's type
     * @return a new double of the current scene
     * @throws dev.zelotype.error.MisuseException if it is null or cannot be spied on
     */
    public static <T> T spy(T real) {
        return Orders.spyAround(real, null);
    }

    /**
     * As {@link #spy(Object)}, with a name for messages and pictures.
     *
     * @param real the object
     * @param name what messages call the spy
     * @param <T> the object's type
     * @return a new double of the current scene
     */
    public static <T> T spy(T real, String name) {
        return Orders.spyAround(real, name);
    }

    /**
     * Makes a stub of several types at once.
     *
     * <pre>{@code
     * Dome dome = stubOf(Dome.class, AutoCloseable.class);
     * }</pre>
     *
     * @param type the type of the variable: a class or an interface
     * @param interfaces further interfaces
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     */
    public static <T> T stubOf(Class<? super T> type, Class<?>... interfaces) {
        return Orders.makeOfSeveral(Kind.STUB, type, interfaces);
    }

    /**
     * Makes a fake: the code of an abstract class (or an interface's default methods) works, and a method that it leaves
     * out fails with the signature to add.
     *
     * <pre>{@code
     * InMemoryLog log = fake(InMemoryLog.class, "North Ridge");
     * }</pre>
     *
     * @param type the class or interface
     * @param constructorArguments what its constructor is given
     * @param <T> the type of the variable that takes the double
     * @return a new double of the current scene
     * @throws dev.zelotype.error.MisuseException if the type is null or cannot be doubled, or no constructor fits
     */
    public static <T> T fake(Class<? super T> type, Object... constructorArguments) {
        return Orders.fake(type, constructorArguments);
    }

    /**
     * Runs statements whose calls must happen one after the other: expectations are held to it at each call, checks at
     * the end of the block.
     *
     * <pre>{@code
     * inThisOrder(() -> {
     *     verify(dome::open).once();
     *     verify(mount::park).once();
     * });
     * }</pre>
     *
     * <p>Checks in an order read the calls that any of them speaks of like a sentence: each takes as many calls in a row
     * as its count says, and none is left over.
     *
     * @param statements at least two {@code expect} or {@code verify} statements, of any doubles
     * @throws dev.zelotype.error.CheckFailure if the calls happened otherwise
     */
    public static void inThisOrder(Act0 statements) {
        Order.inThisOrder(statements);
    }

    /**
     * Checks that the doubles were asked nothing but what the test has supposed, expected, verified or looked at.
     *
     * @param doubles at least one double
     * @throws dev.zelotype.error.CheckFailure if there was any other call
     */
    public static void verifyNothingElse(Object... doubles) {
        WholeDoubles.verifyNothingElse(doubles);
    }

    /**
     * Checks that the doubles were not called at all.
     *
     * @param doubles at least one double
     * @throws dev.zelotype.error.CheckFailure if there was a call
     */
    public static void verifyUntouched(Object... doubles) {
        WholeDoubles.verifyUntouched(doubles);
    }

    /**
     * Watches classes from now on in the current scene: calls of their static methods and constructors, and of the methods
     * of all their instances, are recorded and run as usual, so that they can be verified afterwards. Classes of which
     * something is supposed or expected are watched anyway.
     *
     * <pre>{@code
     * watch(SiderealClock.class);
     * new FocusSweep(camera).run();
     * verify(SiderealClock::now).times(2);
     * }</pre>
     *
     * @param types the classes
     * @throws dev.zelotype.error.MisuseException if no scene is open, or this JVM does not allow it; the message says what
     *     to add
     */
    public static void watch(Class<?>... types) {
        WholeDoubles.watch(types);
    }

    /**
     * Forgets the calls so far; what the doubles are told stays.
     *
     * @param doubles at least one double
     */
    public static void forgetCalls(Object... doubles) {
        WholeDoubles.forgetCalls(doubles);
    }

    /**
     * From now on keeps of the doubles' calls only how many there were of each method: for loops that call millions of
     * times. Nothing can be asked about arguments or order then, and the calls are missing in the conversation.
     *
     * @param doubles at least one double
     */
    public static void keepOnlyCounts(Object... doubles) {
        WholeDoubles.keepOnlyCounts(doubles);
    }

    /**
     * Tells what a double is told and what it was asked.
     *
     * @param object the double
     * @return several lines of text, without a final line break
     */
    public static String describe(Object object) {
        return WholeDoubles.describe(object);
    }

    /**
     * Says what a call answers, from now on and until a later statement covers the same call.
     *
     * <pre>{@code
     * suppose(weather::humidity).returns(40, 70, 95);
     * suppose((String dome) -> weather.humidityAt(dome)).where(dome -> dome.startsWith("n")).returns(40);
     * suppose(log::append).answers(entry -> entry.numbered(7));
     * }</pre>
     *
     * <p>May be used from any thread, also while the double is being called.
     *
     * @param pattern the call: a method reference on a double (any arguments), or a lambda that makes exactly one call
     *     on a double; the lambda's own parameters are free
     * @param <R> what the call gives back
     * @return the statement, to say the answer with
     * @throws dev.zelotype.error.MisuseException if the pattern names no double, or a lambda does anything but one call
     */
    public static <R> Answering<Query0<R>, R> suppose(Query0<R> pattern) {
        return new Answering<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a void call with no free parameters.
     *
     * @param pattern the call
     * @return the statement, to go on with
     */
    public static Doing<Act0> suppose(Act0 pattern) {
        return new Doing<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a query with one free parameter.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, R> SupposedQuery1<A, R> suppose(Query1<A, R> pattern) {
        return new SupposedQuery1<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a void call with one free parameter.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @return the statement, to go on with
     */
    public static <A> SupposedAct1<A> suppose(Act1<A> pattern) {
        return new SupposedAct1<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a query with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, R> SupposedQuery2<A, B, R> suppose(Query2<A, B, R> pattern) {
        return new SupposedQuery2<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a void call with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @return the statement, to go on with
     */
    public static <A, B> SupposedAct2<A, B> suppose(Act2<A, B> pattern) {
        return new SupposedAct2<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a query with three free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, C, R> SupposedQuery3<A, B, C, R> suppose(Query3<A, B, C, R> pattern) {
        return new SupposedQuery3<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a void call with three free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @return the statement, to go on with
     */
    public static <A, B, C> SupposedAct3<A, B, C> suppose(Act3<A, B, C> pattern) {
        return new SupposedAct3<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a query with four free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, C, D, R> SupposedQuery4<A, B, C, D, R> suppose(Query4<A, B, C, D, R> pattern) {
        return new SupposedQuery4<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a void call with four free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @return the statement, to go on with
     */
    public static <A, B, C, D> SupposedAct4<A, B, C, D> suppose(Act4<A, B, C, D> pattern) {
        return new SupposedAct4<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a query with five free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, C, D, E, R> SupposedQuery5<A, B, C, D, E, R> suppose(Query5<A, B, C, D, E, R> pattern) {
        return new SupposedQuery5<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a void call with five free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @return the statement, to go on with
     */
    public static <A, B, C, D, E> SupposedAct5<A, B, C, D, E> suppose(Act5<A, B, C, D, E> pattern) {
        return new SupposedAct5<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a query with six free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, C, D, E, F, R> SupposedQuery6<A, B, C, D, E, F, R> suppose(
            Query6<A, B, C, D, E, F, R> pattern) {
        return new SupposedQuery6<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a void call with six free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @return the statement, to go on with
     */
    public static <A, B, C, D, E, F> SupposedAct6<A, B, C, D, E, F> suppose(Act6<A, B, C, D, E, F> pattern) {
        return new SupposedAct6<>(Supposition.of(pattern));
    }

    /**
     * Says beforehand that a call must happen, once unless another count is given; checked when the scene closes.
     *
     * <pre>{@code
     * expect(dome::open).once();
     * expect((SkyTarget t) -> mount.slewTo(t)).where(t -> t.altitude() > 30).times(2);
     * }</pre>
     *
     * @param pattern the call, on a mock or a spy, written as for {@link #suppose(Query0)}
     * @param <R> what the call gives back
     * @return the statement, to give a count and an answer with
     * @throws dev.zelotype.error.MisuseException if the pattern is wrong or the double's kind takes no expectations
     */
    public static <R> ExpectedAnswering<Query0<R>, R> expect(Query0<R> pattern) {
        return new ExpectedAnswering<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a void call with no free parameters.
     *
     * @param pattern the call
     * @return the statement, to go on with
     */
    public static ExpectedDoing<Act0> expect(Act0 pattern) {
        return new ExpectedDoing<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a query with one free parameter.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, R> ExpectedQuery1<A, R> expect(Query1<A, R> pattern) {
        return new ExpectedQuery1<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a void call with one free parameter.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @return the statement, to go on with
     */
    public static <A> ExpectedAct1<A> expect(Act1<A> pattern) {
        return new ExpectedAct1<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a query with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, R> ExpectedQuery2<A, B, R> expect(Query2<A, B, R> pattern) {
        return new ExpectedQuery2<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a void call with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @return the statement, to go on with
     */
    public static <A, B> ExpectedAct2<A, B> expect(Act2<A, B> pattern) {
        return new ExpectedAct2<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a query with three free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, C, R> ExpectedQuery3<A, B, C, R> expect(Query3<A, B, C, R> pattern) {
        return new ExpectedQuery3<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a void call with three free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @return the statement, to go on with
     */
    public static <A, B, C> ExpectedAct3<A, B, C> expect(Act3<A, B, C> pattern) {
        return new ExpectedAct3<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a query with four free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, C, D, R> ExpectedQuery4<A, B, C, D, R> expect(Query4<A, B, C, D, R> pattern) {
        return new ExpectedQuery4<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a void call with four free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @return the statement, to go on with
     */
    public static <A, B, C, D> ExpectedAct4<A, B, C, D> expect(Act4<A, B, C, D> pattern) {
        return new ExpectedAct4<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a query with five free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, C, D, E, R> ExpectedQuery5<A, B, C, D, E, R> expect(Query5<A, B, C, D, E, R> pattern) {
        return new ExpectedQuery5<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a void call with five free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @return the statement, to go on with
     */
    public static <A, B, C, D, E> ExpectedAct5<A, B, C, D, E> expect(Act5<A, B, C, D, E> pattern) {
        return new ExpectedAct5<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a query with six free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, C, D, E, F, R> ExpectedQuery6<A, B, C, D, E, F, R> expect(
            Query6<A, B, C, D, E, F, R> pattern) {
        return new ExpectedQuery6<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a void call with six free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @return the statement, to go on with
     */
    public static <A, B, C, D, E, F> ExpectedAct6<A, B, C, D, E, F> expect(Act6<A, B, C, D, E, F> pattern) {
        return new ExpectedAct6<>(Expectation.of(pattern));
    }

    /**
     * Asks how often a call happened. The statement is a check only once it has a count; one without is reported when
     * the scene closes.
     *
     * <pre>{@code
     * verify(dome::close).once();
     * verify(() -> log.note("rain")).never();
     * verify(dome::close).within(ofSeconds(2)).once();
     * }</pre>
     *
     * @param pattern the call, written as for {@link #suppose(Query0)}; it is never run
     * @param <R> what the call gives back
     * @return the statement, to give the count with
     * @throws dev.zelotype.error.MisuseException if the pattern is wrong or the double's scene is closed
     */
    public static <R> Counting verify(Query0<R> pattern) {
        return new Counting(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a void call with no free parameters.
     *
     * @param pattern the call
     * @return the statement, to go on with
     */
    public static Counting verify(Act0 pattern) {
        return new Counting(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a query with one free parameter.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, R> Check1<A> verify(Query1<A, R> pattern) {
        return new Check1<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a void call with one free parameter.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @return the statement, to go on with
     */
    public static <A> Check1<A> verify(Act1<A> pattern) {
        return new Check1<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a query with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, R> Check2<A, B> verify(Query2<A, B, R> pattern) {
        return new Check2<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a void call with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @return the statement, to go on with
     */
    public static <A, B> Check2<A, B> verify(Act2<A, B> pattern) {
        return new Check2<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a query with three free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, C, R> Check3<A, B, C> verify(Query3<A, B, C, R> pattern) {
        return new Check3<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a void call with three free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @return the statement, to go on with
     */
    public static <A, B, C> Check3<A, B, C> verify(Act3<A, B, C> pattern) {
        return new Check3<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a query with four free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, C, D, R> Check4<A, B, C, D> verify(Query4<A, B, C, D, R> pattern) {
        return new Check4<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a void call with four free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @return the statement, to go on with
     */
    public static <A, B, C, D> Check4<A, B, C, D> verify(Act4<A, B, C, D> pattern) {
        return new Check4<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a query with five free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, C, D, E, R> Check5<A, B, C, D, E> verify(Query5<A, B, C, D, E, R> pattern) {
        return new Check5<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a void call with five free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @return the statement, to go on with
     */
    public static <A, B, C, D, E> Check5<A, B, C, D, E> verify(Act5<A, B, C, D, E> pattern) {
        return new Check5<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a query with six free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <R> the type of the value that comes back
     * @return the statement, to go on with
     */
    public static <A, B, C, D, E, F, R> Check6<A, B, C, D, E, F> verify(Query6<A, B, C, D, E, F, R> pattern) {
        return new Check6<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a void call with six free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @return the statement, to go on with
     */
    public static <A, B, C, D, E, F> Check6<A, B, C, D, E, F> verify(Act6<A, B, C, D, E, F> pattern) {
        return new Check6<>(Check.of(pattern));
    }

    /**
     * The arguments of the calls that a pattern covers, in the order of the calls, each with its own type.
     *
     * <pre>{@code
     * List<SkyTarget> slewed = recorded(mount::slewTo);
     * }</pre>
     *
     * @param pattern the call, written as for {@link #suppose(Query0)}
     * @param <A> the type of the first parameter
     * @return the arguments so far, unmodifiable; empty if there was no such call
     * @throws dev.zelotype.error.MisuseException if the pattern is wrong or the double's scene is closed
     */
    @SuppressWarnings("unchecked")
    public static <A> List<A> recorded(Query1<A, ?> pattern) {
        return Check.recorded(pattern, args -> (A) args[0]);
    }

    /**
     * As {@link #recorded(Query1)}, for a void call with one free parameter.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @return the arguments so far, unmodifiable
     */
    @SuppressWarnings("unchecked")
    public static <A> List<A> recorded(Act1<A> pattern) {
        return Check.recorded(pattern, args -> (A) args[0]);
    }

    /**
     * As {@link #recorded(Query1)}, for a query with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @return the arguments so far, unmodifiable
     */
    @SuppressWarnings("unchecked")
    public static <A, B> List<Args2<A, B>> recorded(Query2<A, B, ?> pattern) {
        return Check.recorded(pattern, args -> new Args2<>((A) args[0], (B) args[1]));
    }

    /**
     * As {@link #recorded(Query1)}, for a void call with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @return the arguments so far, unmodifiable
     */
    @SuppressWarnings("unchecked")
    public static <A, B> List<Args2<A, B>> recorded(Act2<A, B> pattern) {
        return Check.recorded(pattern, args -> new Args2<>((A) args[0], (B) args[1]));
    }

    /**
     * As {@link #recorded(Query1)}, for a query with three free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @return the arguments so far, unmodifiable
     */
    @SuppressWarnings("unchecked")
    public static <A, B, C> List<Args3<A, B, C>> recorded(Query3<A, B, C, ?> pattern) {
        return Check.recorded(pattern, args -> new Args3<>((A) args[0], (B) args[1], (C) args[2]));
    }

    /**
     * As {@link #recorded(Query1)}, for a void call with three free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @return the arguments so far, unmodifiable
     */
    @SuppressWarnings("unchecked")
    public static <A, B, C> List<Args3<A, B, C>> recorded(Act3<A, B, C> pattern) {
        return Check.recorded(pattern, args -> new Args3<>((A) args[0], (B) args[1], (C) args[2]));
    }

    /**
     * As {@link #recorded(Query1)}, for a query with four free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @return the arguments so far, unmodifiable
     */
    @SuppressWarnings("unchecked")
    public static <A, B, C, D> List<Args4<A, B, C, D>> recorded(Query4<A, B, C, D, ?> pattern) {
        return Check.recorded(pattern, args -> new Args4<>((A) args[0], (B) args[1], (C) args[2], (D) args[3]));
    }

    /**
     * As {@link #recorded(Query1)}, for a void call with four free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @return the arguments so far, unmodifiable
     */
    @SuppressWarnings("unchecked")
    public static <A, B, C, D> List<Args4<A, B, C, D>> recorded(Act4<A, B, C, D> pattern) {
        return Check.recorded(pattern, args -> new Args4<>((A) args[0], (B) args[1], (C) args[2], (D) args[3]));
    }

    /**
     * As {@link #recorded(Query1)}, for a query with five free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @return the arguments so far, unmodifiable
     */
    @SuppressWarnings("unchecked")
    public static <A, B, C, D, E> List<Args5<A, B, C, D, E>> recorded(Query5<A, B, C, D, E, ?> pattern) {
        return Check.recorded(
                pattern, args -> new Args5<>((A) args[0], (B) args[1], (C) args[2], (D) args[3], (E) args[4]));
    }

    /**
     * As {@link #recorded(Query1)}, for a void call with five free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @return the arguments so far, unmodifiable
     */
    @SuppressWarnings("unchecked")
    public static <A, B, C, D, E> List<Args5<A, B, C, D, E>> recorded(Act5<A, B, C, D, E> pattern) {
        return Check.recorded(
                pattern, args -> new Args5<>((A) args[0], (B) args[1], (C) args[2], (D) args[3], (E) args[4]));
    }

    /**
     * As {@link #recorded(Query1)}, for a query with six free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @return the arguments so far, unmodifiable
     */
    @SuppressWarnings("unchecked")
    public static <A, B, C, D, E, F> List<Args6<A, B, C, D, E, F>> recorded(Query6<A, B, C, D, E, F, ?> pattern) {
        return Check.recorded(
                pattern,
                args -> new Args6<>((A) args[0], (B) args[1], (C) args[2], (D) args[3], (E) args[4], (F) args[5]));
    }

    /**
     * As {@link #recorded(Query1)}, for a void call with six free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @return the arguments so far, unmodifiable
     */
    @SuppressWarnings("unchecked")
    public static <A, B, C, D, E, F> List<Args6<A, B, C, D, E, F>> recorded(Act6<A, B, C, D, E, F> pattern) {
        return Check.recorded(
                pattern,
                args -> new Args6<>((A) args[0], (B) args[1], (C) args[2], (D) args[3], (E) args[4], (F) args[5]));
    }
}
