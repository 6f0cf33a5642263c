package dev.zelotype.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The examples of the demo.
 *
 * @param group its title
 * @param name the word on the command line
 * @param testClasses its test classes
 * @param about what it shows
 * @param fails whether its tests fail on purpose
 */
record DemoExample(String group, String name, List<String> testClasses, String about, boolean fails) {

    private static final String PACKAGE = "dev.zelotype.examples.";
    private static final String OBSERVATORY_GROUP = "The observatory";
    private static final String GUIDE = "The guide";
    private static final String LIBRARIES = "Libraries as collaborators";

    /** The examples, starting with the one to run first. */
    static final List<DemoExample> ALL = List.of(
            of(OBSERVATORY_GROUP, "night-run", "observatory.NightRunTest", "a subject and its six collaborators"),
            of(OBSERVATORY_GROUP, "claims", "observatory.FileCatalogTest", "claims checked against a real catalog"),
            of(OBSERVATORY_GROUP, "partial", "observatory.ExposurePlanTest", "partial doubles, spies in place, fakes"),
            of(OBSERVATORY_GROUP, "replacing", "observatory.FocusSweepTest", "static methods and constructors"),
            new DemoExample(
                    OBSERVATORY_GROUP,
                    "trouble",
                    List.of(PACKAGE + "observatory.TroubledNight", PACKAGE + "observatory.TroubledCatalog"),
                    "failure messages: tests that fail on purpose",
                    true),
            of(GUIDE, "doubles", "guide.DoublesTest", "the five kinds of doubles"),
            of(GUIDE, "answers", "guide.AnswersTest", "setting the answers of calls"),
            of(GUIDE, "checks", "guide.ChecksTest", "expecting and verifying calls"),
            of(GUIDE, "brittle", "guide.BrittleTestsTest", "better forms of brittle tests"),
            of(GUIDE, "cheat-sheet", "guide.CheatSheetTest", "every line of the cheat sheet"),
            of(LIBRARIES, "jdbc", "libraries.JdbcTest", "rows in sequence, and closing everything"),
            of(LIBRARIES, "servlet", "libraries.ServletTest", "requests and responses"),
            of(LIBRARIES, "http-client", "libraries.HttpClientTest", "a server that responds, and one that does not"),
            of(LIBRARIES, "messaging", "libraries.MessagingTest", "incoming and outgoing messages"),
            of(LIBRARIES, "persistence", "libraries.PersistenceTest", "a transaction and a query"),
            of(LIBRARIES, "time", "libraries.TimeTest", "clocks and the current date"),
            of(LIBRARIES, "files", "libraries.FilesTest", "a failing disk"),
            of(LIBRARIES, "concurrency", "libraries.ConcurrencyTest", "executors, and waiting for threads"));

    /** Examples whose tests look complete: these are challenged by default. */
    static final List<DemoExample> OBSERVATORY = ALL.stream()
            .filter(example -> example.group.equals(OBSERVATORY_GROUP) && !example.fails)
            .toList();

    private static DemoExample of(String group, String name, String testClass, String about) {
        return new DemoExample(group, name, List.of(PACKAGE + testClass), about, false);
    }

    static Optional<DemoExample> named(String name) {
        return ALL.stream().filter(example -> example.name.equals(name)).findFirst();
    }

    static List<String> names() {
        List<String> names = new ArrayList<>();
        ALL.forEach(example -> names.add(example.name));
        return names;
    }
}
