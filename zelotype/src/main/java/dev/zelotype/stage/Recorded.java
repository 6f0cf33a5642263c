package dev.zelotype.stage;

import dev.zelotype.engine.statement.Check;
import java.util.AbstractList;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.RandomAccess;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * For tests: the arguments of the recorded calls that a pattern covers, in call order, as of the time of this list's
 * creation. An unmodifiable list, which may contain null.
 *
 * <pre>{@code
 * List<String> names = recorded(mount::slewTo).map(SkyTarget::name);
 * SkyTarget last = recorded(mount::slewTo).last();
 * }</pre>
 *
 * @param <A> the type of the argument, or {@link dev.zelotype.call.Args2} and so on for several
 * @see dev.zelotype.Zelotype#recorded(dev.zelotype.call.Query1)
 * @since 0.2
 */
public sealed class Recorded<A extends @Nullable Object> extends AbstractList<A> implements RandomAccess
        permits Recorded2, Recorded3, Recorded4, Recorded5, Recorded6, Recorded7, Recorded8 {

    private final Check check;
    private final List<A> all;

    /**
     * For the facade only.
     *
     * @param check whether a call is covered
     * @param typed converts the arguments of a call to an element
     */
    @SuppressWarnings("exports")
    public Recorded(Check check, Function<@Nullable Object[], A> typed) {
        this.check = check;
        List<A> recorded = new ArrayList<>();
        check.recordedArguments().forEach(arguments -> recorded.add(typed.apply(arguments)));
        // Not a copy that refuses null, because an argument may be null.
        this.all = Collections.unmodifiableList(recorded);
    }

    @Override
    public final A get(int index) {
        return all.get(index);
    }

    @Override
    public final int size() {
        return all.size();
    }

    /**
     * Returns a plain list with the same elements.
     *
     * @return the list, unmodifiable
     */
    public final List<A> list() {
        return all;
    }

    /**
     * Applies a function to each element.
     *
     * @param each the function
     * @param <R> the type of the results
     * @return a list of the same length, unmodifiable
     */
    public final <R extends @Nullable Object> List<R> map(Function<? super A, ? extends R> each) {
        List<R> made = new ArrayList<>();
        all.forEach(one -> made.add(each.apply(one)));
        return Collections.unmodifiableList(made);
    }

    /**
     * Returns the only element.
     *
     * @return the argument of the only call
     * @throws dev.zelotype.error.CheckFailure if there was no such call, or more than one
     */
    public final A single() {
        check.refuseUnlessRecorded(1, 1);
        return all.get(0);
    }

    /**
     * Returns the first element.
     *
     * @return the argument of the first call
     * @throws dev.zelotype.error.CheckFailure if there was no such call
     */
    public final A first() {
        check.refuseUnlessRecorded(1, Integer.MAX_VALUE);
        return all.get(0);
    }

    /**
     * Returns the last element.
     *
     * @return the argument of the last call
     * @throws dev.zelotype.error.CheckFailure if there was no such call
     */
    public final A last() {
        check.refuseUnlessRecorded(1, Integer.MAX_VALUE);
        return all.get(all.size() - 1);
    }
}
