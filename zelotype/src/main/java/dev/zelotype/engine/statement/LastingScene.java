package dev.zelotype.engine.statement;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.decide.DoubleState;
import dev.zelotype.engine.decide.NewDouble;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.InPlace;
import dev.zelotype.engine.make.Unwrapping;
import dev.zelotype.engine.replace.Replacing;

/**
 * The home of doubles that outlive scenes, for example in a container that several tests share. Statements and recorded
 * calls belong to the scene of each test.
 */
public final class LastingScene extends SpokenScene {

    /** The names of objects that scenes spy on. */
    private static final InPlace<String> WATCHED = new InPlace<>();

    private volatile boolean settingUp = true;

    public LastingScene(String title) {
        super(title);
    }

    /** The container is complete: until now, calls belonged to no test, and mocks answered like stubs. */
    public void endContainersSetUp() {
        settingUp = false;
    }

    @Override
    protected boolean isSettingUp() {
        return settingUp;
    }

    public Object make(Kind kind, Class<?> type, String name) {
        NewDouble order = kind == Kind.FAKE
                ? NewDouble.fake(name, DoubleClass.of(type), new Object[0])
                : NewDouble.of(kind, name, type);
        return make(order).self();
    }

    /**
     * A spy on an object. If the object is a double already, it is returned itself; so is an object that each scene
     * spies on for itself.
     */
    public Object watched(Object real, String name) {
        if (DoubleClass.participantOf(real) instanceof DoubleState known) {
            return known.self();
        }
        if (Replacing.canReplace(real.getClass())) {
            WATCHED.put(real, name);
            return real;
        }
        return make(NewDouble.spy(name, real)).self();
    }

    /** Makes the scene of this thread spy on an object, or on the one behind a proxy, if that is watched. */
    public static void watchHere(Object object) {
        Object real = Unwrapping.innermost(object);
        String name = WATCHED.get(real);
        if (name != null) {
            makeDouble(NewDouble.spy(name, real));
        }
    }

    /** Closes it: later calls are reported. */
    public void close() {
        shut();
    }
}
