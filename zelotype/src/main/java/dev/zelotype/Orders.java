package dev.zelotype;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.decide.DoubleState;
import dev.zelotype.engine.decide.NewDouble;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.Participant;
import dev.zelotype.engine.make.Unwrapping;
import dev.zelotype.engine.statement.SpokenScene;
import dev.zelotype.error.MisuseException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * Converts requests to the facade into orders for doubles. The type that a caller assigns a double to differs from the
 * doubled type only in type arguments, hence the casts.
 */
final class Orders {

    private Orders() {}

    @SuppressWarnings("unchecked")
    static <T> T make(Kind kind, Class<? super T> type, @Nullable String name, @Nullable Consumer<? super T> setUp) {
        checkName(name, kind);
        T made = (T)
                SpokenScene.makeDouble(NewDouble.of(kind, name, checked(type))).self();
        if (setUp != null) {
            setUp.accept(made);
        }
        return made;
    }

    @SuppressWarnings("unchecked")
    static <T> T makeOfSeveral(Kind kind, Class<? super T> type, Class<?> second, Class<?>[] more) {
        List<Class<?>> all = new ArrayList<>();
        all.add(checked(type));
        List<Class<?>> further = new ArrayList<>(List.of(checked(second)));
        further.addAll(List.of(more));
        for (Class<?> each : further) {
            if (!checked(each).isInterface()) {
                throw new MisuseException(
                        each.getName() + " is not an interface.", "give the class first, then interfaces");
            }
            all.add(each);
        }
        return (T) SpokenScene.makeDouble(NewDouble.of(kind, null, DoubleClass.of(type, List.copyOf(all))))
                .self();
    }

    @SuppressWarnings("unchecked")
    static <T> T fake(Class<? super T> type, Object[] arguments) {
        return (T) SpokenScene.makeDouble(NewDouble.fake(null, DoubleClass.of(checked(type)), arguments))
                .self();
    }

    @SuppressWarnings("unchecked")
    static <T> T spyAround(T real, @Nullable String name) {
        checkName(name, Kind.SPY);
        if (real == null) {
            throw new MisuseException("The real object to spy on is null.", "give an object, or a class");
        }
        if (Unwrapping.participantBehind(real) instanceof DoubleState known) {
            // A double records its calls already; a spy of an enclosing scene becomes one of this scene as well.
            DoubleState here = known.partOfStatement().owner();
            here.isSaid();
            if (name != null && here != known) {
                here.rename(name);
            }
            return real;
        }
        return (T) SpokenScene.makeDouble(NewDouble.spy(name, real)).self();
    }

    static <T> T named(T one, String name) {
        Participant known = DoubleClass.participantOf(one);
        if (known == null) {
            throw new MisuseException(
                    "named(...) was given " + Values.print(one) + ", which is not a double.",
                    "give a double, such as one made with fake(...)");
        }
        checkName(name, known.kind());
        known.rename(name);
        return one;
    }

    private static void checkName(@Nullable String name, Kind kind) {
        if (name != null && name.isBlank()) {
            throw new MisuseException(
                    "The name of a " + kind.word() + " is blank.", "give a name to show in messages, or leave it out");
        }
    }

    private static Class<?> checked(@Nullable Class<?> type) {
        if (type == null) {
            throw new MisuseException("The type to double is null.", "give a class, such as WeatherStation.class");
        }
        if (type == Object.class) {
            throw new MisuseException(
                    "A double of Object can neither answer nor record calls: every double has the methods of Object.",
                    "name the type that the subject uses");
        }
        return type;
    }
}
