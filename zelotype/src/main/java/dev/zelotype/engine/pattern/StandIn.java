package dev.zelotype.engine.pattern;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.Participant;

/**
 * An object that exists only while a lambda is being read.
 */
abstract class StandIn extends Participant {

    private final Object self;

    StandIn(String name, Kind kind, DoubleClass doubleClass) {
        super(name, kind, doubleClass);
        this.self = doubleClass.newInstance(this);
    }

    @Override
    public final Object self() {
        return self;
    }
}
