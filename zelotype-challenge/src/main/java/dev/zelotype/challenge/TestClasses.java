package dev.zelotype.challenge;

import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The classes that hold the tests of a run.
 */
final class TestClasses {

    private static final Set<String> NAMES = ConcurrentHashMap.newKeySet();

    private TestClasses() {}

    static void add(String name) {
        NAMES.add(name);
    }

    static boolean has(String name) {
        return NAMES.contains(name);
    }
}
