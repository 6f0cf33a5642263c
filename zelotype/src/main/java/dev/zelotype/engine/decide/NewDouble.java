package dev.zelotype.engine.decide;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.decide.facts.Wrappers;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.InPlace;
import dev.zelotype.engine.make.Members;
import dev.zelotype.engine.make.VariableNames;
import dev.zelotype.engine.replace.Replacing;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import org.jspecify.annotations.Nullable;

/**
 * A request for a double.
 *
 * @param kind its kind
 * @param name its name in messages; null to name it after its type
 * @param type the class to instantiate
 * @param real the real object of a spy, or null
 * @param constructorArguments the arguments for the constructor of a fake; null if no constructor must run
 */
public record NewDouble(
        Kind kind,
        @Nullable String name,
        DoubleClass type,
        @Nullable Object real,
        Object @Nullable [] constructorArguments) {

    /** A double of a type, made in whatever way the type allows. */
    public static NewDouble of(Kind kind, @Nullable String name, Class<?> type) {
        DoubleClass known = DoubleClass.known(type);
        if (known != null) {
            return of(kind, name, known);
        }
        boolean replaced = !DoubleClass.canDouble(type) && !type.isEnum() && Replacing.canReplace(type);
        return of(kind, name, replaced ? Replacing.ofDoubles(type) : DoubleClass.of(type));
    }

    /** A double that runs no constructor. */
    public static NewDouble of(Kind kind, @Nullable String name, DoubleClass type) {
        return new NewDouble(kind, name, type, null, null);
    }

    /** A fake whose own constructor runs. */
    public static NewDouble fake(@Nullable String name, DoubleClass type, Object[] arguments) {
        return new NewDouble(Kind.FAKE, name, type, null, arguments);
    }

    /**
     * A spy on a real object: the object itself if its class can be woven, else a wrapper that passes calls on to it.
     */
    public static NewDouble spy(@Nullable String name, Object real) {
        Class<?> type = real.getClass();
        if (!Replacing.canReplace(type)) {
            return new NewDouble(Kind.SPY, name, Wrappers.of(type), real, null);
        }
        if (isGeneratedWithout(type)) {
            throw new MisuseException(
                    VariableNames.simpleName(type)
                            + " cannot be spied on: a container generated the class, and its methods are"
                            + " hidden from the test.",
                    "spy on the object behind it, before the container wraps it or after it is taken out of its proxy");
        }
        return inPlace(name, Replacing.ofInstance(type), real);
    }

    /** Whether a generated class has generated methods, which are not woven. */
    private static boolean isGeneratedWithout(Class<?> type) {
        if (type.isSynthetic()) {
            for (Method method : Members.methods(type)) {
                if (method.isSynthetic() && !method.isBridge() && !Modifier.isStatic(method.getModifiers())) {
                    return true;
                }
            }
        }
        return false;
    }

    /** A spy on an object itself, or on a class as a whole: its own methods are woven. */
    static NewDouble inPlace(@Nullable String name, DoubleClass woven, Object real) {
        return new NewDouble(Kind.SPY, name, woven, real, null);
    }

    /** Whether it answers for an object that is real elsewhere. */
    public boolean isInPlace() {
        return real != null && type.isWoven();
    }

    Object instance(DoubleState state) {
        if (type.isWoven()) {
            Object made = real == null ? type.newInstance(state) : real;
            if (!state.isOfClass()) {
                InPlace.answer(made, state);
            }
            if (real == null) {
                Replacing.doubleLives();
            }
            return made;
        }
        if (constructorArguments == null) {
            return type.newInstance(state);
        }
        try {
            return type.construct(state, constructorArguments);
        } catch (MisuseException e) {
            throw e;
        } catch (Throwable e) {
            throw new MisuseException(
                    "The constructor of the fake " + VariableNames.simpleName(type.doubledType()) + " threw " + e + ".",
                    "give it arguments that it accepts",
                    e);
        }
    }
}
