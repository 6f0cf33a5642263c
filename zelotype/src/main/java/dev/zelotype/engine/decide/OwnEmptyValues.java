package dev.zelotype.engine.decide;

import dev.zelotype.doubles.EmptyValue;
import dev.zelotype.engine.make.Unrecorded;
import dev.zelotype.engine.replace.Seat;
import dev.zelotype.error.MisuseException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.ServiceConfigurationError;
import java.util.ServiceLoader;
import java.util.Set;
import java.util.WeakHashMap;
import org.jspecify.annotations.Nullable;

/**
 * The empty values that a team has defined for its own types: those of enclosing scenes first, then those of services.
 */
final class OwnEmptyValues {

    /** Most test runs have no such service, and then scenes need not search again. */
    private static final Set<ClassLoader> WITHOUT_SERVICES = Collections.newSetFromMap(new WeakHashMap<>());

    private final @Nullable EmptyValue said;
    private volatile @Nullable List<EmptyValue> services;

    OwnEmptyValues(@Nullable EmptyValue said) {
        this.said = said;
    }

    /** The empty value of a type for a call on this thread to a double of some scene; null if none is defined. */
    static @Nullable Object of(Class<?> type, CallScene scene) {
        CallScene current = (CallScene) Seat.current();
        for (CallScene each = current == null ? scene : current; each != null; each = each.outer()) {
            Object empty = each.emptyValues().said == null ? null : given(each.emptyValues().said, type);
            if (empty != null) {
                return empty;
            }
        }
        for (EmptyValue each : (current == null ? scene : current).emptyValues().services()) {
            Object empty = given(each, type);
            if (empty != null) {
                return empty;
            }
        }
        return null;
    }

    private static @Nullable Object given(EmptyValue from, Class<?> type) {
        Object empty = asked(from, type);
        if (empty != null && !type.isInstance(empty)) {
            throw new MisuseException(
                    from.getClass().getName() + " returned a "
                            + empty.getClass().getName() + " as the empty value of " + type.getName() + ".",
                    "return a value of that type, or null to use the usual empty value");
        }
        return empty;
    }

    private static @Nullable Object asked(EmptyValue from, Class<?> type) {
        boolean entered = Unrecorded.enter();
        try {
            return from.of(type);
        } finally {
            Unrecorded.leave(entered);
        }
    }

    /** Searched at the first use; two threads that search at the same time find the same. */
    private List<EmptyValue> services() {
        List<EmptyValue> known = services;
        if (known == null) {
            known = found();
            services = known;
        }
        return known;
    }

    private static List<EmptyValue> found() {
        ClassLoader context = Thread.currentThread().getContextClassLoader();
        ClassLoader loader = context == null ? EmptyValue.class.getClassLoader() : context;
        synchronized (WITHOUT_SERVICES) {
            if (WITHOUT_SERVICES.contains(loader)) {
                return List.of();
            }
        }
        List<EmptyValue> found = new ArrayList<>();
        try {
            ServiceLoader.load(EmptyValue.class, loader).forEach(found::add);
        } catch (ServiceConfigurationError e) {
            throw new MisuseException(
                    "A service that gives empty values cannot be used: " + e.getMessage() + ".",
                    "name public classes with a constructor without parameters in META-INF/services/"
                            + EmptyValue.class.getName(),
                    e);
        }
        if (found.isEmpty()) {
            synchronized (WITHOUT_SERVICES) {
                WITHOUT_SERVICES.add(loader);
            }
        }
        return found;
    }
}
