package dev.zelotype.engine.run;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * How often the replaced methods of a scene ran their real code on threads that are in no scene.
 */
final class RealRuns {

    static final String TITLE = "Replaced, but ran their real code on threads of no scene";

    private final Map<String, AtomicInteger> counts = new ConcurrentHashMap<>();

    void add(String method) {
        counts.computeIfAbsent(method + " on " + Thread.currentThread().getName(), key -> new AtomicInteger())
                .incrementAndGet();
    }

    /** A line for each method and thread, and what to do about it; empty if there were none. */
    List<String> lines() {
        List<String> lines = new ArrayList<>();
        counts.forEach((where, times) -> lines.add(where + ", " + Count.calls(times.get())));
        Collections.sort(lines);
        if (!lines.isEmpty()) {
            lines.add("write scene.everywhere() if these threads belong to the test");
        }
        return lines;
    }
}
