package dev.zelotype.engine.statement;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.decide.DoubleState;
import dev.zelotype.engine.decide.NewDouble;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.InPlace;
import dev.zelotype.engine.make.Unwrapping;
import dev.zelotype.engine.replace.Replacing;

/**
 * The place of doubles that outlive scenes: of a container that several tests share. What a test says of them, and what it
 * sees of their calls, is of its own scene.
 */
public final class LastingScene extends SpokenScene {

    /** The names of objects that scenes spy on in their own place. */
    private static final InPlace<String> WATCHED = new InPlace<>();

    private volatile boolean settingUp = true;

    public LastingScene(String title) {
        super(title);
    }

    /** Until now the container was put together: calls were no test's, and mocks answered like stubs. */
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
     * A spy on an object: the object itself if it is a double already, or if it is to be spied on in its own place,
     * which each scene does for itself.
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

    /** Lets the scene of this thread spy on an object in its place, or on the one behind it, if that is watched. */
    public static void watchHere(Object object) {
        Object real = Unwrapping.innermost(object);
        String name = WATCHED.get(real);
        if (name != null) {
            makeDouble(NewDouble.spy(name, real));
        }
    }

    /** Closes it: calls that come later are named. */
    public void close() {
        shut();
    }
}
