package dev.zelotype.engine.make;

import dev.zelotype.doubles.Kind;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;

/**
 * What stands behind a double and answers its calls. A double's class knows only the JDK's function type, so that it can
 * live in any module and any class loader; its methods pass their number and their arguments (null for none).
 */
public abstract class Participant implements BiFunction<Object, Object[], Object> {

    private final String baseName;
    private final int number;
    private @Nullable String name;
    private final Kind kind;
    private final DoubleClass doubleClass;

    /** A participant that shares its name with others; from the second on the number is part of the name. */
    protected Participant(String baseName, int number, Kind kind, DoubleClass doubleClass) {
        this.baseName = baseName;
        this.number = number;
        this.kind = kind;
        this.doubleClass = doubleClass;
    }

    /** What messages call it; put together when it is first asked for, as it seldom is. */
    public final String name() {
        String known = name;
        if (known == null) {
            known = number == 1 ? baseName : baseName + number;
            name = known;
        }
        return known;
    }

    public final Kind kind() {
        return kind;
    }

    public final DoubleClass doubleClass() {
        return doubleClass;
    }

    /** The double itself. */
    public abstract Object self();
}
