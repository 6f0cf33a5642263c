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
 * For tests: the arguments of the recorded calls that a pattern covers, in the order of the calls, as they were when it was
 * made. An unmodifiable list, which may hold null.
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
     * @param check what covers the calls
     * @param typed makes what the list holds of the arguments of a call
     */
    @SuppressWarnings("exports")
    public Recorded(Check check, Function<@Nullable Object[], A> typed) {
        this.check = check;
        List<A> recorded = new ArrayList<>();
        check.recordedArguments().forEach(arguments -> recorded.add(typed.apply(arguments)));
        // Not a copy that refuses null, since an argument may be null.
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
     * The same as a list that is nothing else.
     *
     * @return the list, unmodifiable
     */
    public final List<A> list() {
        return all;
    }

    /**
     * What a function makes of each.
     *
     * @param each the function
     * @param <R> the type of what it makes
     * @return a list of the same length, unmodifiable
     */
    public final <R extends @Nullable Object> List<R> map(Function<? super A, ? extends R> each) {
        List<R> made = new ArrayList<>();
        all.forEach(one -> made.add(each.apply(one)));
        return Collections.unmodifiableList(made);
    }

    /**
     * The only one.
     *
     * @return what the only call was given
     * @throws dev.zelotype.error.CheckFailure if there was no such call, or more than one
     */
    public final A single() {
        check.refuseUnlessRecorded(1, 1);
        return all.get(0);
    }

    /**
     * The first.
     *
     * @return what the first call was given
     * @throws dev.zelotype.error.CheckFailure if there was no such call
     */
    public final A first() {
        check.refuseUnlessRecorded(1, Integer.MAX_VALUE);
        return all.get(0);
    }

    /**
     * The last.
     *
     * @return what the last call was given
     * @throws dev.zelotype.error.CheckFailure if there was no such call
     */
    public final A last() {
        check.refuseUnlessRecorded(1, Integer.MAX_VALUE);
        return all.get(all.size() - 1);
    }
}
