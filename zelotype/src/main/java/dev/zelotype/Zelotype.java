package dev.zelotype;

import dev.zelotype.call.Act0;
import dev.zelotype.call.Act1;
import dev.zelotype.call.Act2;
import dev.zelotype.call.Act3;
import dev.zelotype.call.Act4;
import dev.zelotype.call.Act5;
import dev.zelotype.call.Act6;
import dev.zelotype.call.Act7;
import dev.zelotype.call.Act8;
import dev.zelotype.call.Query0;
import dev.zelotype.call.Query1;
import dev.zelotype.call.Query2;
import dev.zelotype.call.Query3;
import dev.zelotype.call.Query4;
import dev.zelotype.call.Query5;
import dev.zelotype.call.Query6;
import dev.zelotype.call.Query7;
import dev.zelotype.call.Query8;
import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.make.Comparison;
import dev.zelotype.engine.statement.Before;
import dev.zelotype.engine.statement.Check;
import dev.zelotype.engine.statement.Expectation;
import dev.zelotype.engine.statement.Order;
import dev.zelotype.engine.statement.Supposition;
import dev.zelotype.engine.statement.WholeDoubles;
import dev.zelotype.stage.Check0;
import dev.zelotype.stage.Check1;
import dev.zelotype.stage.Check2;
import dev.zelotype.stage.Check3;
import dev.zelotype.stage.Check4;
import dev.zelotype.stage.Check5;
import dev.zelotype.stage.Check6;
import dev.zelotype.stage.Check7;
import dev.zelotype.stage.Check8;
import dev.zelotype.stage.ExpectedAct0;
import dev.zelotype.stage.ExpectedAct1;
import dev.zelotype.stage.ExpectedAct2;
import dev.zelotype.stage.ExpectedAct3;
import dev.zelotype.stage.ExpectedAct4;
import dev.zelotype.stage.ExpectedAct5;
import dev.zelotype.stage.ExpectedAct6;
import dev.zelotype.stage.ExpectedAct7;
import dev.zelotype.stage.ExpectedAct8;
import dev.zelotype.stage.ExpectedQuery0;
import dev.zelotype.stage.ExpectedQuery1;
import dev.zelotype.stage.ExpectedQuery2;
import dev.zelotype.stage.ExpectedQuery3;
import dev.zelotype.stage.ExpectedQuery4;
import dev.zelotype.stage.ExpectedQuery5;
import dev.zelotype.stage.ExpectedQuery6;
import dev.zelotype.stage.ExpectedQuery7;
import dev.zelotype.stage.ExpectedQuery8;
import dev.zelotype.stage.Recorded;
import dev.zelotype.stage.Recorded2;
import dev.zelotype.stage.Recorded3;
import dev.zelotype.stage.Recorded4;
import dev.zelotype.stage.Recorded5;
import dev.zelotype.stage.Recorded6;
import dev.zelotype.stage.Recorded7;
import dev.zelotype.stage.Recorded8;
import dev.zelotype.stage.SupposedAct0;
import dev.zelotype.stage.SupposedAct1;
import dev.zelotype.stage.SupposedAct2;
import dev.zelotype.stage.SupposedAct3;
import dev.zelotype.stage.SupposedAct4;
import dev.zelotype.stage.SupposedAct5;
import dev.zelotype.stage.SupposedAct6;
import dev.zelotype.stage.SupposedAct7;
import dev.zelotype.stage.SupposedAct8;
import dev.zelotype.stage.SupposedQuery0;
import dev.zelotype.stage.SupposedQuery1;
import dev.zelotype.stage.SupposedQuery2;
import dev.zelotype.stage.SupposedQuery3;
import dev.zelotype.stage.SupposedQuery4;
import dev.zelotype.stage.SupposedQuery5;
import dev.zelotype.stage.SupposedQuery6;
import dev.zelotype.stage.SupposedQuery7;
import dev.zelotype.stage.SupposedQuery8;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * For tests: everything a test needs, to be imported statically: doubles of five kinds, and four verbs: {@code suppose}
 * sets answers, {@code expect} requires future calls, {@code verify} checks past calls, and {@code recorded} returns
 * their arguments. A call is always written as Java: a method reference or a lambda.
 *
 * <pre>{@code
 * WeatherStation weather = stub(WeatherStation.class);
 * suppose(weather::humidity).returns(95);
 * run.observe(List.of("Harrow-2"));
 * verify(dome::open).never();
 * }</pre>
 *
 * <p>All methods may be used from any thread. All throw {@link dev.zelotype.error.MisuseException} when they are given
 * something that cannot mean anything, with the reason and a cure.
 *
 * @since 0.2
 */
public final class Zelotype {

    static {
        Comparison.prepare();
    }

    private Zelotype() {}

    /**
     * Makes a stub: it returns set answers, and a default answer for calls without a supposition.
     *
     * <pre>{@code
     * WeatherStation weather = stub(WeatherStation.class);
     * }</pre>
     *
     * @param type the type to double; for a generic one, the raw class
     * @param <T> the type of the variable for the double
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
     * @param name its name in messages
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     */
    public static <T> T stub(Class<? super T> type, String name) {
        return Orders.make(Kind.STUB, type, name, null);
    }

    /**
     * As {@link #stub(Class)}, configured in place.
     *
     * @param type the type to double
     * @param setUp makes statements about the double that it receives
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     */
    public static <T> T stub(Class<? super T> type, Consumer<? super T> setUp) {
        return Orders.make(Kind.STUB, type, null, setUp);
    }

    /**
     * As {@link #stub(Class)}, with a name and configured in place.
     *
     * @param type the type to double
     * @param name its name in messages
     * @param setUp makes statements about the double that it receives
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     */
    public static <T> T stub(Class<? super T> type, String name, Consumer<? super T> setUp) {
        return Orders.make(Kind.STUB, type, name, setUp);
    }

    /**
     * As {@link #stub(Class)}, of several types together.
     *
     * <pre>{@code
     * Dome dome = stub(Dome.class, AutoCloseable.class);
     * }</pre>
     *
     * @param type the type of the variable: a class or an interface
     * @param second a further interface
     * @param more further interfaces
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     */
    public static <T> T stub(Class<? super T> type, Class<?> second, Class<?>... more) {
        return Orders.makeOfSeveral(Kind.STUB, type, second, more);
    }

    /**
     * Makes a mock: an unexpected call fails immediately, and expectations are checked when the scene closes.
     *
     * <pre>{@code
     * Dome dome = mock(Dome.class);
     * }</pre>
     *
     * @param type the type to double; for a generic one, the raw class
     * @param <T> the type of the variable for the double
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
     * @param name its name in messages
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     */
    public static <T> T mock(Class<? super T> type, String name) {
        return Orders.make(Kind.MOCK, type, name, null);
    }

    /**
     * As {@link #mock(Class)}, configured in place.
     *
     * @param type the type to double
     * @param setUp makes statements about the double that it receives
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     */
    public static <T> T mock(Class<? super T> type, Consumer<? super T> setUp) {
        return Orders.make(Kind.MOCK, type, null, setUp);
    }

    /**
     * As {@link #mock(Class)}, with a name and configured in place.
     *
     * @param type the type to double
     * @param name its name in messages
     * @param setUp makes statements about the double that it receives
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     */
    public static <T> T mock(Class<? super T> type, String name, Consumer<? super T> setUp) {
        return Orders.make(Kind.MOCK, type, name, setUp);
    }

    /**
     * As {@link #mock(Class)}, of several types together.
     *
     * <pre>{@code
     * Dome dome = mock(Dome.class, AutoCloseable.class);
     * }</pre>
     *
     * @param type the type of the variable: a class or an interface
     * @param second a further interface
     * @param more further interfaces
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     */
    public static <T> T mock(Class<? super T> type, Class<?> second, Class<?>... more) {
        return Orders.makeOfSeveral(Kind.MOCK, type, second, more);
    }

    /**
     * Makes a spy: it records its calls and answers like a stub.
     *
     * <pre>{@code
     * Mount mount = spy(Mount.class);
     * }</pre>
     *
     * @param type the type to double; for a generic one, the raw class
     * @param <T> the type of the variable for the double
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
     * @param name its name in messages
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     */
    public static <T> T spy(Class<? super T> type, String name) {
        return Orders.make(Kind.SPY, type, name, null);
    }

    /**
     * As {@link #spy(Class)}, configured in place.
     *
     * @param type the type to double
     * @param setUp makes statements about the double that it receives
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     */
    public static <T> T spy(Class<? super T> type, Consumer<? super T> setUp) {
        return Orders.make(Kind.SPY, type, null, setUp);
    }

    /**
     * As {@link #spy(Class)}, with a name and configured in place.
     *
     * @param type the type to double
     * @param name its name in messages
     * @param setUp makes statements about the double that it receives
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     */
    public static <T> T spy(Class<? super T> type, String name, Consumer<? super T> setUp) {
        return Orders.make(Kind.SPY, type, name, setUp);
    }

    /**
     * As {@link #spy(Class)}, of several types together.
     *
     * <pre>{@code
     * Dome dome = spy(Dome.class, AutoCloseable.class);
     * }</pre>
     *
     * @param type the type of the variable: a class or an interface
     * @param second a further interface
     * @param more further interfaces
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     */
    public static <T> T spy(Class<? super T> type, Class<?> second, Class<?>... more) {
        return Orders.makeOfSeveral(Kind.SPY, type, second, more);
    }

    /**
     * Makes a dummy: it only fills a parameter, and any call of it fails.
     *
     * <pre>{@code
     * Camera camera = dummy(Camera.class);
     * }</pre>
     *
     * @param type the type to double; for a generic one, the raw class
     * @param <T> the type of the variable for the double
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
     * @param name its name in messages
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     */
    public static <T> T dummy(Class<? super T> type, String name) {
        return Orders.make(Kind.DUMMY, type, name, null);
    }

    /**
     * As {@link #dummy(Class)}, of several types together.
     *
     * <pre>{@code
     * Dome dome = dummy(Dome.class, AutoCloseable.class);
     * }</pre>
     *
     * @param type the type of the variable: a class or an interface
     * @param second a further interface
     * @param more further interfaces
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     */
    public static <T> T dummy(Class<? super T> type, Class<?> second, Class<?>... more) {
        return Orders.makeOfSeveral(Kind.DUMMY, type, second, more);
    }

    /**
     * Makes a spy around a real object: it records its calls and passes them on, except for those with a statement.
     * State stays with the real object.
     *
     * <pre>{@code
     * NightLog log = spy(new PaperLog());
     * }</pre>
     *
     * @param real the object; if its class cannot be extended, the spy only has its interfaces
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
     * @param name the spy's name in messages
     * @param <T> the object's type
     * @return a new double of the current scene
     */
    public static <T> T spy(T real, String name) {
        return Orders.spyAround(real, name);
    }

    /**
     * Makes a fake: the code of an abstract class (or an interface's default methods) works, and a method that it
     * leaves
     * out fails with the signature to add.
     *
     * <pre>{@code
     * InMemoryLog log = fake(InMemoryLog.class, "North Ridge");
     * }</pre>
     *
     * @param type the class or interface
     * @param constructorArguments the arguments for its constructor
     * @param <T> the type of the variable for the double
     * @return a new double of the current scene
     * @throws dev.zelotype.error.MisuseException if the type is null or cannot be doubled, or no constructor fits
     */
    public static <T> T fake(Class<? super T> type, Object... constructorArguments) {
        return Orders.fake(type, constructorArguments);
    }

    /**
     * Gives a double of any kind a name for messages and pictures.
     *
     * <pre>{@code
     * InMemoryLog log = named(fake(InMemoryLog.class, "North Ridge"), "log");
     * }</pre>
     *
     * @param one the double
     * @param name its name in messages from now on
     * @param <T> the double's type
     * @return the same double
     * @throws dev.zelotype.error.MisuseException if it is not a double, or the name is blank
     */
    public static <T> T named(T one, String name) {
        return Orders.named(one, name);
    }

    /**
     * Runs statements whose calls must happen in order: expectations are checked at each call, checks at the end of the
     * block.
     *
     * <pre>{@code
     * inThisOrder(() -> {
     *     verify(dome::open).once();
     *     verify(mount::park).once();
     * });
     * }</pre>
     *
     * <p>Checks in an order read the calls that any of them is about like a sentence: each takes as many calls in a row
     * as its count says, and none is left over.
     *
     * @param statements makes at least two {@code expect} or {@code verify} statements, about any doubles
     * @throws dev.zelotype.error.CheckFailure if the calls happened in another order
     */
    public static void inThisOrder(Act0 statements) {
        Order.inThisOrder(statements);
    }

    /**
     * Runs suppositions that apply once a call was made, for a double with state. A claim in such a block makes this
     * call on the real object first, too.
     *
     * <pre>{@code
     * suppose(weather::humidity).returns(40);
     * after(dome::open, () -> suppose(weather::humidity).returns(70));
     * }</pre>
     *
     * @param call the call, with its values; it is not made
     * @param suppositions makes the suppositions; nested blocks require calls in sequence
     * @throws dev.zelotype.error.MisuseException if it is not a call of a double
     */
    public static void after(Act0 call, Act0 suppositions) {
        Before.after(call, suppositions);
    }

    /**
     * As {@link #after(Act0, Act0)}, for a call that returns a value.
     *
     * @param call the call, with its values; it is not made
     * @param suppositions makes the suppositions
     * @throws dev.zelotype.error.MisuseException if it is not a call of a double
     */
    public static void after(Query0<?> call, Act0 suppositions) {
        Before.after(call, suppositions);
    }

    /**
     * Checks that the doubles had no other calls than those that the test has supposed, expected, verified or read.
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
     * Records the calls of classes from now on in the current scene: calls of their static methods and constructors,
     * and of the methods of all their instances, so that they can be verified afterwards. The calls run as usual.
     * Classes with suppositions or expectations are recorded anyway.
     *
     * <pre>{@code
     * watch(SiderealClock.class);
     * new FocusSweep().sharpest(3);
     * verify(SiderealClock::now).once();
     * }</pre>
     *
     * @param types the classes
     * @throws dev.zelotype.error.MisuseException if no scene is open, or this JVM does not allow it; the message says
     *     what
     *     to add
     */
    public static void watch(Class<?>... types) {
        WholeDoubles.watch(types);
    }

    /**
     * Forgets the calls so far; statements remain.
     *
     * @param doubles at least one double
     */
    public static void forgetCalls(Object... doubles) {
        WholeDoubles.forgetCalls(doubles);
    }

    /**
     * From now on records only the number of calls of each method of the doubles: for loops with millions of calls.
     * Arguments and order cannot be checked then, and the calls are missing in the conversation.
     *
     * @param doubles at least one double
     */
    public static void keepOnlyCounts(Object... doubles) {
        WholeDoubles.keepOnlyCounts(doubles);
    }

    /**
     * Describes a double: its statements and its calls.
     *
     * @param object the double
     * @return several lines of text, without a final line break
     */
    public static String describe(Object object) {
        return WholeDoubles.describe(object);
    }

    /**
     * Sets what a call returns, from now on and until a later statement covers the same call.
     *
     * <pre>{@code
     * suppose(weather::humidity).returns(40, 70, 95);
     * suppose((String dome) -> weather.humidityAt(dome)).where(dome -> dome.startsWith("n")).returns(40);
     * suppose(log::append).answers(entry -> entry.numbered(7));
     * }</pre>
     *
     * <p>May be used from any thread, also while the double is being called. The pattern is read and never run.
     *
     * @param pattern the call: a method reference on a double (any arguments), or a lambda that makes exactly one call
     *     on a double; the lambda's own parameters are free
     * @param <R> the return type of the call
     * @return the statement, to be continued
     * @throws dev.zelotype.error.MisuseException if the pattern names no double, or a lambda does anything but one call
     */
    public static <R extends @Nullable Object> SupposedQuery0<R> suppose(Query0<R> pattern) {
        return new SupposedQuery0<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a query with one free parameter.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object, R extends @Nullable Object> SupposedQuery1<A, R> suppose(
            Query1<A, R> pattern) {
        return new SupposedQuery1<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a query with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object, B extends @Nullable Object, R extends @Nullable Object>
            SupposedQuery2<A, B, R> suppose(Query2<A, B, R> pattern) {
        return new SupposedQuery2<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a query with three free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    R extends @Nullable Object>
            SupposedQuery3<A, B, C, R> suppose(Query3<A, B, C, R> pattern) {
        return new SupposedQuery3<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a query with four free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    R extends @Nullable Object>
            SupposedQuery4<A, B, C, D, R> suppose(Query4<A, B, C, D, R> pattern) {
        return new SupposedQuery4<>(Supposition.of(pattern));
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
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    R extends @Nullable Object>
            SupposedQuery5<A, B, C, D, E, R> suppose(Query5<A, B, C, D, E, R> pattern) {
        return new SupposedQuery5<>(Supposition.of(pattern));
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
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    R extends @Nullable Object>
            SupposedQuery6<A, B, C, D, E, F, R> suppose(Query6<A, B, C, D, E, F, R> pattern) {
        return new SupposedQuery6<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a query with seven free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object,
                    R extends @Nullable Object>
            SupposedQuery7<A, B, C, D, E, F, G, R> suppose(Query7<A, B, C, D, E, F, G, R> pattern) {
        return new SupposedQuery7<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a query with eight free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @param <H> the type of the eighth parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object,
                    H extends @Nullable Object,
                    R extends @Nullable Object>
            SupposedQuery8<A, B, C, D, E, F, G, H, R> suppose(Query8<A, B, C, D, E, F, G, H, R> pattern) {
        return new SupposedQuery8<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a void call with no free parameters.
     *
     * @param pattern the call
     * @return the statement, to be continued
     */
    public static SupposedAct0 suppose(Act0 pattern) {
        return new SupposedAct0(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a void call with one free parameter.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object> SupposedAct1<A> suppose(Act1<A> pattern) {
        return new SupposedAct1<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a void call with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object, B extends @Nullable Object> SupposedAct2<A, B> suppose(
            Act2<A, B> pattern) {
        return new SupposedAct2<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a void call with three free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object>
            SupposedAct3<A, B, C> suppose(Act3<A, B, C> pattern) {
        return new SupposedAct3<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a void call with four free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object>
            SupposedAct4<A, B, C, D> suppose(Act4<A, B, C, D> pattern) {
        return new SupposedAct4<>(Supposition.of(pattern));
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
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object>
            SupposedAct5<A, B, C, D, E> suppose(Act5<A, B, C, D, E> pattern) {
        return new SupposedAct5<>(Supposition.of(pattern));
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
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object>
            SupposedAct6<A, B, C, D, E, F> suppose(Act6<A, B, C, D, E, F> pattern) {
        return new SupposedAct6<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a void call with seven free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object>
            SupposedAct7<A, B, C, D, E, F, G> suppose(Act7<A, B, C, D, E, F, G> pattern) {
        return new SupposedAct7<>(Supposition.of(pattern));
    }

    /**
     * As {@link #suppose(Query0)}, for a void call with eight free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @param <H> the type of the eighth parameter
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object,
                    H extends @Nullable Object>
            SupposedAct8<A, B, C, D, E, F, G, H> suppose(Act8<A, B, C, D, E, F, G, H> pattern) {
        return new SupposedAct8<>(Supposition.of(pattern));
    }

    /**
     * Requires a call that will happen later: by default once. It is checked when the scene closes, and a call too many
     * fails immediately. May also set what the call returns.
     *
     * <pre>{@code
     * expect(dome::open).once();
     * expect((SkyTarget target) -> mount.slewTo(target)).where(target -> target.altitude() > 0).times(2);
     * }</pre>
     *
     * @param pattern the call, written as for {@link #suppose(Query0)}
     * @param <R> the return type of the call
     * @return the statement, to be continued
     * @throws dev.zelotype.error.MisuseException if the pattern names no double, or a lambda does anything but one call
     */
    public static <R extends @Nullable Object> ExpectedQuery0<R> expect(Query0<R> pattern) {
        return new ExpectedQuery0<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a query with one free parameter.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object, R extends @Nullable Object> ExpectedQuery1<A, R> expect(
            Query1<A, R> pattern) {
        return new ExpectedQuery1<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a query with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object, B extends @Nullable Object, R extends @Nullable Object>
            ExpectedQuery2<A, B, R> expect(Query2<A, B, R> pattern) {
        return new ExpectedQuery2<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a query with three free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    R extends @Nullable Object>
            ExpectedQuery3<A, B, C, R> expect(Query3<A, B, C, R> pattern) {
        return new ExpectedQuery3<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a query with four free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    R extends @Nullable Object>
            ExpectedQuery4<A, B, C, D, R> expect(Query4<A, B, C, D, R> pattern) {
        return new ExpectedQuery4<>(Expectation.of(pattern));
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
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    R extends @Nullable Object>
            ExpectedQuery5<A, B, C, D, E, R> expect(Query5<A, B, C, D, E, R> pattern) {
        return new ExpectedQuery5<>(Expectation.of(pattern));
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
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    R extends @Nullable Object>
            ExpectedQuery6<A, B, C, D, E, F, R> expect(Query6<A, B, C, D, E, F, R> pattern) {
        return new ExpectedQuery6<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a query with seven free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object,
                    R extends @Nullable Object>
            ExpectedQuery7<A, B, C, D, E, F, G, R> expect(Query7<A, B, C, D, E, F, G, R> pattern) {
        return new ExpectedQuery7<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a query with eight free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @param <H> the type of the eighth parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object,
                    H extends @Nullable Object,
                    R extends @Nullable Object>
            ExpectedQuery8<A, B, C, D, E, F, G, H, R> expect(Query8<A, B, C, D, E, F, G, H, R> pattern) {
        return new ExpectedQuery8<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a void call with no free parameters.
     *
     * @param pattern the call
     * @return the statement, to be continued
     */
    public static ExpectedAct0 expect(Act0 pattern) {
        return new ExpectedAct0(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a void call with one free parameter.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object> ExpectedAct1<A> expect(Act1<A> pattern) {
        return new ExpectedAct1<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a void call with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object, B extends @Nullable Object> ExpectedAct2<A, B> expect(
            Act2<A, B> pattern) {
        return new ExpectedAct2<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a void call with three free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object>
            ExpectedAct3<A, B, C> expect(Act3<A, B, C> pattern) {
        return new ExpectedAct3<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a void call with four free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object>
            ExpectedAct4<A, B, C, D> expect(Act4<A, B, C, D> pattern) {
        return new ExpectedAct4<>(Expectation.of(pattern));
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
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object>
            ExpectedAct5<A, B, C, D, E> expect(Act5<A, B, C, D, E> pattern) {
        return new ExpectedAct5<>(Expectation.of(pattern));
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
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object>
            ExpectedAct6<A, B, C, D, E, F> expect(Act6<A, B, C, D, E, F> pattern) {
        return new ExpectedAct6<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a void call with seven free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object>
            ExpectedAct7<A, B, C, D, E, F, G> expect(Act7<A, B, C, D, E, F, G> pattern) {
        return new ExpectedAct7<>(Expectation.of(pattern));
    }

    /**
     * As {@link #expect(Query0)}, for a void call with eight free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @param <H> the type of the eighth parameter
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object,
                    H extends @Nullable Object>
            ExpectedAct8<A, B, C, D, E, F, G, H> expect(Act8<A, B, C, D, E, F, G, H> pattern) {
        return new ExpectedAct8<>(Expectation.of(pattern));
    }

    /**
     * Checks how often a call has happened. The count, for example {@code once()}, runs the check; without one, the
     * statement is reported as incomplete when the scene closes.
     *
     * <pre>{@code
     * verify(dome::close).once();
     * verify(() -> mount.slewTo(quill)).never();
     * verify(mount::park).within(ofSeconds(2)).once();
     * }</pre>
     *
     * @param pattern the call, written as for {@link #suppose(Query0)}; it is not called
     * @param <R> the return type of the call
     * @return the statement, to be continued
     * @throws dev.zelotype.error.MisuseException if the pattern names no double, or a lambda does anything but one call
     */
    public static <R extends @Nullable Object> Check0 verify(Query0<R> pattern) {
        return new Check0(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a query with one free parameter.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object, R extends @Nullable Object> Check1<A> verify(Query1<A, R> pattern) {
        return new Check1<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a query with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object, B extends @Nullable Object, R extends @Nullable Object>
            Check2<A, B> verify(Query2<A, B, R> pattern) {
        return new Check2<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a query with three free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    R extends @Nullable Object>
            Check3<A, B, C> verify(Query3<A, B, C, R> pattern) {
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
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    R extends @Nullable Object>
            Check4<A, B, C, D> verify(Query4<A, B, C, D, R> pattern) {
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
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    R extends @Nullable Object>
            Check5<A, B, C, D, E> verify(Query5<A, B, C, D, E, R> pattern) {
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
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    R extends @Nullable Object>
            Check6<A, B, C, D, E, F> verify(Query6<A, B, C, D, E, F, R> pattern) {
        return new Check6<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a query with seven free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object,
                    R extends @Nullable Object>
            Check7<A, B, C, D, E, F, G> verify(Query7<A, B, C, D, E, F, G, R> pattern) {
        return new Check7<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a query with eight free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @param <H> the type of the eighth parameter
     * @param <R> the type of the value that is returned
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object,
                    H extends @Nullable Object,
                    R extends @Nullable Object>
            Check8<A, B, C, D, E, F, G, H> verify(Query8<A, B, C, D, E, F, G, H, R> pattern) {
        return new Check8<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a void call with no free parameters.
     *
     * @param pattern the call
     * @return the statement, to be continued
     */
    public static Check0 verify(Act0 pattern) {
        return new Check0(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a void call with one free parameter.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object> Check1<A> verify(Act1<A> pattern) {
        return new Check1<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a void call with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object, B extends @Nullable Object> Check2<A, B> verify(Act2<A, B> pattern) {
        return new Check2<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a void call with three free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @return the statement, to be continued
     */
    public static <A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object>
            Check3<A, B, C> verify(Act3<A, B, C> pattern) {
        return new Check3<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a void call with four free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object>
            Check4<A, B, C, D> verify(Act4<A, B, C, D> pattern) {
        return new Check4<>(Check.of(pattern));
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
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object>
            Check5<A, B, C, D, E> verify(Act5<A, B, C, D, E> pattern) {
        return new Check5<>(Check.of(pattern));
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
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object>
            Check6<A, B, C, D, E, F> verify(Act6<A, B, C, D, E, F> pattern) {
        return new Check6<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a void call with seven free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object>
            Check7<A, B, C, D, E, F, G> verify(Act7<A, B, C, D, E, F, G> pattern) {
        return new Check7<>(Check.of(pattern));
    }

    /**
     * As {@link #verify(Query0)}, for a void call with eight free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @param <H> the type of the eighth parameter
     * @return the statement, to be continued
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object,
                    H extends @Nullable Object>
            Check8<A, B, C, D, E, F, G, H> verify(Act8<A, B, C, D, E, F, G, H> pattern) {
        return new Check8<>(Check.of(pattern));
    }

    /**
     * Returns the arguments of the calls that a pattern covers, in call order, each with its own type.
     *
     * <pre>{@code
     * List<SkyTarget> slewed = recorded(mount::slewTo);
     * List<String> names = recorded(mount::slewTo).map(SkyTarget::name);
     * SkyTarget only = recorded(mount::slewTo).single();
     * }</pre>
     *
     * @param pattern the call, written as for {@link #suppose(Query0)}
     * @param <A> the type of the first parameter
     * @return the arguments so far, null ones too, unmodifiable; empty if there was no such call
     * @throws dev.zelotype.error.MisuseException if the pattern is wrong or the double's scene is closed
     */
    @SuppressWarnings("unchecked")
    public static <A extends @Nullable Object> Recorded<A> recorded(Query1<A, ?> pattern) {
        return new Recorded<>(Check.recorded(pattern), arguments -> (A) arguments[0]);
    }

    /**
     * As {@link #recorded(Query1)}, for a query with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @return the arguments so far, unmodifiable
     */
    public static <A extends @Nullable Object, B extends @Nullable Object> Recorded2<A, B> recorded(
            Query2<A, B, ?> pattern) {
        return new Recorded2<>(Check.recorded(pattern));
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
    public static <A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object>
            Recorded3<A, B, C> recorded(Query3<A, B, C, ?> pattern) {
        return new Recorded3<>(Check.recorded(pattern));
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
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object>
            Recorded4<A, B, C, D> recorded(Query4<A, B, C, D, ?> pattern) {
        return new Recorded4<>(Check.recorded(pattern));
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
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object>
            Recorded5<A, B, C, D, E> recorded(Query5<A, B, C, D, E, ?> pattern) {
        return new Recorded5<>(Check.recorded(pattern));
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
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object>
            Recorded6<A, B, C, D, E, F> recorded(Query6<A, B, C, D, E, F, ?> pattern) {
        return new Recorded6<>(Check.recorded(pattern));
    }

    /**
     * As {@link #recorded(Query1)}, for a query with seven free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @return the arguments so far, unmodifiable
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object>
            Recorded7<A, B, C, D, E, F, G> recorded(Query7<A, B, C, D, E, F, G, ?> pattern) {
        return new Recorded7<>(Check.recorded(pattern));
    }

    /**
     * As {@link #recorded(Query1)}, for a query with eight free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @param <H> the type of the eighth parameter
     * @return the arguments so far, unmodifiable
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object,
                    H extends @Nullable Object>
            Recorded8<A, B, C, D, E, F, G, H> recorded(Query8<A, B, C, D, E, F, G, H, ?> pattern) {
        return new Recorded8<>(Check.recorded(pattern));
    }

    /**
     * As {@link #recorded(Query1)}, for a void call with one free parameter.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @return the arguments so far, unmodifiable
     */
    @SuppressWarnings("unchecked")
    public static <A extends @Nullable Object> Recorded<A> recorded(Act1<A> pattern) {
        return new Recorded<>(Check.recorded(pattern), arguments -> (A) arguments[0]);
    }

    /**
     * As {@link #recorded(Query1)}, for a void call with two free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @return the arguments so far, unmodifiable
     */
    public static <A extends @Nullable Object, B extends @Nullable Object> Recorded2<A, B> recorded(
            Act2<A, B> pattern) {
        return new Recorded2<>(Check.recorded(pattern));
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
    public static <A extends @Nullable Object, B extends @Nullable Object, C extends @Nullable Object>
            Recorded3<A, B, C> recorded(Act3<A, B, C> pattern) {
        return new Recorded3<>(Check.recorded(pattern));
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
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object>
            Recorded4<A, B, C, D> recorded(Act4<A, B, C, D> pattern) {
        return new Recorded4<>(Check.recorded(pattern));
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
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object>
            Recorded5<A, B, C, D, E> recorded(Act5<A, B, C, D, E> pattern) {
        return new Recorded5<>(Check.recorded(pattern));
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
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object>
            Recorded6<A, B, C, D, E, F> recorded(Act6<A, B, C, D, E, F> pattern) {
        return new Recorded6<>(Check.recorded(pattern));
    }

    /**
     * As {@link #recorded(Query1)}, for a void call with seven free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @return the arguments so far, unmodifiable
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object>
            Recorded7<A, B, C, D, E, F, G> recorded(Act7<A, B, C, D, E, F, G> pattern) {
        return new Recorded7<>(Check.recorded(pattern));
    }

    /**
     * As {@link #recorded(Query1)}, for a void call with eight free parameters.
     *
     * @param pattern the call
     * @param <A> the type of the first parameter
     * @param <B> the type of the second parameter
     * @param <C> the type of the third parameter
     * @param <D> the type of the fourth parameter
     * @param <E> the type of the fifth parameter
     * @param <F> the type of the sixth parameter
     * @param <G> the type of the seventh parameter
     * @param <H> the type of the eighth parameter
     * @return the arguments so far, unmodifiable
     */
    public static <
                    A extends @Nullable Object,
                    B extends @Nullable Object,
                    C extends @Nullable Object,
                    D extends @Nullable Object,
                    E extends @Nullable Object,
                    F extends @Nullable Object,
                    G extends @Nullable Object,
                    H extends @Nullable Object>
            Recorded8<A, B, C, D, E, F, G, H> recorded(Act8<A, B, C, D, E, F, G, H> pattern) {
        return new Recorded8<>(Check.recorded(pattern));
    }
}
