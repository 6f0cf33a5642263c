package dev.zelotype.benchmarks;

import dev.zelotype.Zelotype;
import java.lang.reflect.Proxy;
import java.util.Arrays;
import java.util.concurrent.Callable;
import java.util.function.BiFunction;
import java.util.function.Supplier;

/**
 * Run in a JVM of its own: how long the first double of the JVM takes, and how long those of further interfaces take.
 * Prints nanoseconds: the first, and the median of the others.
 */
public final class FirstDouble {

    private static final Class<?>[] OTHERS = {
        Runnable.class,
        Callable.class,
        Supplier.class,
        BiFunction.class,
        Comparable.class,
        java.util.List.class,
        java.util.Map.class,
        java.util.Set.class,
        java.util.Queue.class,
        java.util.Iterator.class,
        AutoCloseable.class,
        CharSequence.class,
        Iterable.class,
        java.util.function.Function.class,
        java.util.function.Predicate.class,
        java.util.concurrent.Future.class,
        java.util.concurrent.Executor.class,
        java.util.Comparator.class
    };

    private FirstDouble() {}

    public static void main(String[] arguments) {
        boolean proxy = arguments[0].equals("proxy");
        long first = time(proxy, Mount.class);
        long[] others = new long[OTHERS.length];
        for (int i = 0; i < others.length; i++) {
            others[i] = time(proxy, OTHERS[i]);
        }
        Arrays.sort(others);
        System.out.println(first + " " + others[others.length / 2]);
    }

    private static long time(boolean proxy, Class<?> type) {
        long start = System.nanoTime();
        Object made = proxy
                ? Proxy.newProxyInstance(
                        FirstDouble.class.getClassLoader(), new Class<?>[] {type}, new RecordingHandler())
                : Zelotype.stub(type);
        long end = System.nanoTime();
        if (made == null) {
            throw new IllegalStateException();
        }
        return end - start;
    }
}
