package dev.zelotype.engine.replace;

import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * How often the replaced methods of a scene ran their real code on threads without a scene.
 */
final class RealRuns {

    private final Map<String, AtomicInteger> counts = new ConcurrentHashMap<>();

    void add(String method) {
        counts.computeIfAbsent(method + " on " + Thread.currentThread().getName(), key -> new AtomicInteger())
                .incrementAndGet();
    }

    /** The counts, by method and thread. */
    Map<String, Integer> counts() {
        Map<String, Integer> now = new TreeMap<>();
        counts.forEach((where, times) -> now.put(where, times.get()));
        return now;
    }
}
