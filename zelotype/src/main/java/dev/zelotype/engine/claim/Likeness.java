package dev.zelotype.engine.claim;

import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.pattern.rule.Equality;
import java.lang.reflect.Array;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.BaseStream;
import org.jspecify.annotations.Nullable;

/**
 * Whether a claimed value and a real one are similar: by content, if they have any.
 */
final class Likeness {

    /** Further elements of a stream or an iterator are not compared. */
    private static final int MOST = 10_000;

    private static final double EXACT = 1e-9;
    private static final double FLOATING = 1e-5;

    private Likeness() {}

    static boolean of(@Nullable Object claimed, @Nullable Object real, Class<?> declared) {
        if (claimed == null || real == null) {
            return claimed == real;
        } else if (claimed.getClass().isArray() && real.getClass().isArray()) {
            return alike(elements(claimed), elements(real));
        } else if (claimed instanceof Throwable one && real instanceof Throwable other) {
            return one.equals(other) || sameThrown(one, other);
        } else if (claimed instanceof BigDecimal one && real instanceof BigDecimal other) {
            // Its equals distinguishes 1.5 and 1.50, which hardly any claim intends.
            return one.compareTo(other) == 0;
        } else if (claimed instanceof Double one && real instanceof Double other) {
            return near(one, other, EXACT);
        } else if (claimed instanceof Float one && real instanceof Float other) {
            return near(one, other, FLOATING);
        } else if (claimed instanceof Optional<?> one && real instanceof Optional<?> other) {
            return of(one.orElse(null), other.orElse(null), Object.class);
        } else if (declared == Collection.class
                && claimed instanceof Collection<?> one
                && real instanceof Collection<?> other) {
            // A plain collection has no order.
            return sameElements(one, other);
        } else if (claimed instanceof List<?> one && real instanceof List<?> other) {
            return alike(one, other);
        } else if (claimed instanceof Map<?, ?> one && real instanceof Map<?, ?> other) {
            return alike(one, other);
        } else if (claimed instanceof Collection<?> one && real instanceof Collection<?> other) {
            return one instanceof Set ? sameElements(one, other) : alike(new ArrayList<>(one), new ArrayList<>(other));
        }
        return Objects.equals(claimed, real);
    }

    /** Computed numbers differ from typed ones in their last digits. */
    private static boolean near(double claimed, double real, double tolerance) {
        return Double.compare(claimed, real) == 0
                || Math.abs(claimed - real) <= tolerance * Math.max(Math.abs(claimed), Math.abs(real));
    }

    /**
     * Whether a handler of the claimed exception would catch the real one, with the same message if one is claimed.
     */
    static boolean sameThrown(Throwable claimed, Throwable real) {
        boolean sameMessage =
                claimed.getMessage() == null || claimed.getMessage().equals(real.getMessage());
        return claimed.getClass().isInstance(real) && sameMessage;
    }

    private static boolean alike(List<?> claimed, List<?> real) {
        if (claimed.size() != real.size()) {
            return false;
        }
        Iterator<?> other = real.iterator();
        for (Object one : claimed) {
            if (!of(one, other.next(), Object.class)) {
                return false;
            }
        }
        return true;
    }

    private static boolean alike(Map<?, ?> claimed, Map<?, ?> real) {
        if (!claimed.keySet().equals(real.keySet())) {
            return false;
        }
        for (Map.Entry<?, ?> one : claimed.entrySet()) {
            if (!of(one.getValue(), real.get(one.getKey()), Object.class)) {
                return false;
            }
        }
        return true;
    }

    private static boolean sameElements(Collection<?> claimed, Collection<?> real) {
        List<Object> left = new ArrayList<>(real);
        for (Object one : claimed) {
            boolean found = false;
            for (Iterator<Object> others = left.iterator(); others.hasNext() && !found; ) {
                if (of(one, others.next(), Object.class)) {
                    others.remove();
                    found = true;
                }
            }
            if (!found) {
                return false;
            }
        }
        return left.isEmpty();
    }

    private static List<Object> elements(Object array) {
        List<Object> all = new ArrayList<>();
        for (int i = 0; i < Array.getLength(array); i++) {
            all.add(Array.get(array, i));
        }
        return all;
    }

    /** The elements of a value that can be read only once. */
    static @Nullable Object settled(@Nullable Object value) {
        Iterator<?> elements = value instanceof BaseStream<?, ?> stream
                ? stream.iterator()
                : value instanceof Iterator<?> iterator ? iterator : null;
        if (elements == null) {
            return value;
        }
        List<Object> all = new ArrayList<>();
        while (elements.hasNext() && all.size() < MOST) {
            all.add(elements.next());
        }
        return all;
    }

    /** How two values differ, in a line or two. */
    static List<String> difference(@Nullable Object claimed, @Nullable Object real) {
        List<String> lines = new ArrayList<>();
        if (claimed instanceof Collection<?> one && real instanceof Collection<?> other) {
            Set<Object> missing = new HashSet<>(one);
            missing.removeAll(new HashSet<>(other));
            Set<Object> more = new HashSet<>(other);
            more.removeAll(new HashSet<>(one));
            if (!missing.isEmpty()) {
                lines.add("only claimed: " + Values.print(new ArrayList<>(missing)));
            }
            if (!more.isEmpty()) {
                lines.add("only real: " + Values.print(new ArrayList<>(more)));
            }
        }
        if (lines.isEmpty() && claimed != null && real != null) {
            if (!Equality.isDefinedBy(claimed.getClass())) {
                lines.add(Values.typeName(claimed.getClass()) + " has no equals of its own: say comparedBy(...)");
            } else if (Values.print(claimed).equals(Values.print(real))) {
                lines.add(
                        "both print alike, but one is of " + claimed.getClass().getName() + " and the other of "
                                + real.getClass().getName());
            }
        }
        return lines;
    }
}
