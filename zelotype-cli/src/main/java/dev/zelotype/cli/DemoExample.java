package dev.zelotype.cli;

import java.util.ArrayList;
import java.util.List;

/**
 * What the demo can run.
 *
 * @param name what is typed
 * @param testClasses the classes of its tests
 * @param about what it shows
 * @param fails whether its tests are meant to fail
 */
record DemoExample(String name, List<String> testClasses, String about, boolean fails) {

    private static final String PACKAGE = "dev.zelotype.examples.";

    /** The examples, the first of them being the one to begin with. */
    static final List<DemoExample> ALL = List.of(
            of("night-run", "observatory.NightRunTest", "a subject and its six collaborators"),
            of("claims", "observatory.FileCatalogTest", "stub and real one agree: claims held against a real catalog"),
            of("doubles", "guide.DoublesTest", "the five kinds of doubles"),
            of("answers", "guide.AnswersTest", "saying what calls answer"),
            of("checks", "guide.ChecksTest", "saying and asking what must happen"),
            of("partial", "observatory.ExposurePlanTest", "classes: partial doubles, spies in place, fakes"),
            of("replacing", "observatory.FocusSweepTest", "static methods and constructors"),
            of("brittle", "guide.BrittleTestsTest", "the milder forms of brittle tests"),
            of("cheat-sheet", "guide.CheatSheetTest", "every line of the cheat sheet"),
            new DemoExample(
                    "trouble",
                    List.of(PACKAGE + "observatory.TroubledNight", PACKAGE + "observatory.TroubledCatalog"),
                    "what failures say: tests that are meant to fail",
                    true));

    /** Those whose tests were thought good: what is challenged if nothing is named. */
    static final List<DemoExample> OBSERVATORY = ALL.stream()
            .filter(example -> example.testClasses().get(0).contains(".observatory.") && !example.fails)
            .toList();

    private static DemoExample of(String name, String testClass, String about) {
        return new DemoExample(name, List.of(PACKAGE + testClass), about, false);
    }

    static List<String> names() {
        List<String> names = new ArrayList<>();
        ALL.forEach(example -> names.add(example.name));
        return names;
    }
}
