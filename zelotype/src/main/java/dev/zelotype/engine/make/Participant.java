package dev.zelotype.engine.make;

import dev.zelotype.doubles.Kind;
import java.util.function.BiFunction;

/**
 * What stands behind a double and answers its calls. A double's class knows only the JDK's function type, so that it can
 * live in any module and any class loader; its methods pass their number and their arguments (null for none).
 */
public abstract class Participant implements BiFunction<Object, Object[], Object> {

    private final String name;
    private final Kind kind;
    private final DoubleClass doubleClass;

    protected Participant(String name, Kind kind, DoubleClass doubleClass) {
        this.name = name;
        this.kind = kind;
        this.doubleClass = doubleClass;
    }

    public final String name() {
        return name;
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
