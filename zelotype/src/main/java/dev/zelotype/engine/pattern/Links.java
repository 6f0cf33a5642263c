package dev.zelotype.engine.pattern;

import java.lang.reflect.Modifier;
import java.time.temporal.TemporalAccessor;
import java.time.temporal.TemporalAmount;
import java.util.Collection;
import java.util.Iterator;
import java.util.Map;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.Future;
import java.util.stream.BaseStream;

/**
 * The types as which the result of a call can be doubled, so that a chain can continue.
 */
final class Links {

    private static final Class<?>[] VALUES = {
        Collection.class,
        Map.class,
        Iterator.class,
        BaseStream.class,
        Future.class,
        CompletionStage.class,
        CharSequence.class,
        Number.class,
        TemporalAccessor.class,
        TemporalAmount.class,
        Comparable.class
    };

    private Links() {}

    /** Whether a double can be a link of a chain; for values and containers it is better to set the value itself. */
    static boolean canBeLink(Class<?> type) {
        if (type.isArray() || type.isEnum() || type.isRecord() || type.isSealed() || type == Object.class) {
            return false;
        }
        for (Class<?> value : VALUES) {
            if (type.getName().startsWith("java.") && value.isAssignableFrom(type)) {
                return false;
            }
        }
        return !(Modifier.isFinal(type.getModifiers()) && type.getName().startsWith("java."));
    }
}
