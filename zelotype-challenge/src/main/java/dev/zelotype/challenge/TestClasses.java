package dev.zelotype.challenge;

import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The classes that hold the tests of a run, with all that is written inside them.
 */
final class TestClasses {

    private static final List<String> USUAL_ENDS = List.of("Test", "Tests", "TestCase");
    private static final Set<String> NAMES = ConcurrentHashMap.newKeySet();

    private TestClasses() {}

    static void add(String name) {
        NAMES.add(outer(name));
    }

    static boolean has(String name) {
        String outer = outer(name);
        return NAMES.contains(outer) || USUAL_ENDS.stream().anyMatch(outer::endsWith);
    }

    private static String outer(String name) {
        int inner = name.indexOf('$');
        return inner < 0 ? name : name.substring(0, inner);
    }
}
