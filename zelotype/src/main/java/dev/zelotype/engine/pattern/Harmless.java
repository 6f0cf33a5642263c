package dev.zelotype.engine.pattern;

import dev.zelotype.engine.make.Jdk;
import java.time.temporal.TemporalAccessor;
import java.time.temporal.TemporalAmount;
import java.util.Collection;
import java.util.Enumeration;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.BaseStream;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Type;

/**
 * Which methods of real objects a pattern may call for the value of an argument: those of the test itself, and those that
 * only look at what a value or a container of the JDK holds.
 */
final class Harmless {

    /** Types of the JDK that only hold values, whatever class of the JDK implements them. */
    private static final List<Class<?>> HOLDERS = List.of(
            CharSequence.class,
            Number.class,
            Boolean.class,
            Character.class,
            Enum.class,
            Class.class,
            Record.class,
            Collection.class,
            Map.class,
            Map.Entry.class,
            Iterator.class,
            Enumeration.class,
            Optional.class,
            OptionalInt.class,
            OptionalLong.class,
            OptionalDouble.class,
            BaseStream.class,
            TemporalAccessor.class,
            TemporalAmount.class,
            java.time.Clock.class,
            java.nio.file.Path.class,
            java.net.URI.class,
            java.util.UUID.class,
            java.util.Locale.class,
            java.util.BitSet.class,
            java.util.Random.class,
            AtomicReference.class,
            AtomicBoolean.class,
            ThreadLocal.class,
            java.lang.ref.Reference.class,
            Throwable.class);

    /** How the names of methods begin that change a container. */
    private static final String[] CHANGES = {
        "add", "clear", "compute", "drain", "merge", "offer", "poll", "pop", "push", "put", "remove", "replace",
        "retain", "set", "sort", "take"
    };

    private Harmless() {}

    /** Whether calling a method of an object can be taken for looking at a value. */
    static boolean onlyLooks(Class<?> owner, Object target, String method, String descriptor, @Nullable Object self) {
        if (target == self || isOwn(owner, target.getClass())) {
            return true;
        }
        switch (method) {
            case "toString", "hashCode", "equals", "getClass", "compareTo", "name", "ordinal", "getMessage":
                return true;
            default:
        }
        Class<?> type = target.getClass();
        if (type.isRecord()) {
            return Type.getArgumentTypes(descriptor).length == 0 && isComponent(type, method);
        }
        return Jdk.has(type) && isHolder(target) && !changes(target, method);
    }

    /** Whether a method of a container changes what it holds. */
    private static boolean changes(Object target, String method) {
        if (target instanceof Collection || target instanceof Map) {
            for (String verb : CHANGES) {
                if (method.startsWith(verb)) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Whether a class is the one that the pattern stands in, one around it, or a lambda of it. */
    private static boolean isOwn(Class<?> owner, Class<?> type) {
        if (type.isHidden()) {
            return type.getNestHost() == owner.getNestHost();
        }
        for (Class<?> around = owner; around != null; around = around.getEnclosingClass()) {
            if (around.isAssignableFrom(type)) {
                return true;
            }
        }
        return false;
    }

    private static boolean isComponent(Class<?> type, String name) {
        for (var component : type.getRecordComponents()) {
            if (component.getName().equals(name)) {
                return true;
            }
        }
        return false;
    }

    private static boolean isHolder(Object target) {
        if (target.getClass().isArray()) {
            return true;
        }
        for (Class<?> type : HOLDERS) {
            if (type.isInstance(target)) {
                return true;
            }
        }
        return false;
    }
}
