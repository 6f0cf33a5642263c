package dev.zelotype.challenge.worker;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.host.ResultDisturber;
import java.io.IOException;
import java.io.InputStream;
import java.lang.annotation.Annotation;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * The classes that hold the tests of a run, with their nested classes.
 */
final class TestClasses {

    private static final List<String> USUAL_ENDS = List.of("Test", "Tests", "TestCase");
    private static final String WITH_DOUBLES = "dev.zelotype.junit.WithDoubles";
    private static final Pattern NOTHING = Pattern.compile("(?!)");
    private static final Set<String> NAMES = ConcurrentHashMap.newKeySet();
    /** Classes added so far: each class is read only once, although its tests run many times. */
    private static final Set<String> ADDED = ConcurrentHashMap.newKeySet();

    private static final Map<String, String> FAMILIES = new ConcurrentHashMap<>();

    private static final Map<String, Boolean> HELPERS = new ConcurrentHashMap<>();
    /** References in a class file that show the use of a test library, or of doubles. */
    private static final List<String> TEST_CODE = List.of(
            "org/junit/",
            "org/assertj/",
            "org/hamcrest/",
            "org/testng/",
            "kotlin/test/",
            "dev/zelotype/Zelotype",
            "dev/zelotype/Scene");

    private TestClasses() {}

    /** Adds a class that holds a test, with its superclasses: their set-up and checks belong to the test. */
    static void add(String name) {
        if (!ADDED.add(name)) {
            return;
        }
        addOuter(name);
        try {
            Class<?> type = Class.forName(name, false, Thread.currentThread().getContextClassLoader());
            for (Class<?> each = type.getSuperclass(); isUsers(each); each = each.getSuperclass()) {
                addOuter(each.getName());
            }
        } catch (ClassNotFoundException | LinkageError e) {
            // A test without a class inherits nothing.
            return;
        }
    }

    private static void addOuter(String name) {
        String outer = CodeOwner.outermost(name);
        if (NAMES.add(outer)) {
            ResultDisturber.in(outer);
        }
    }

    /** The class that groups similar tests: the topmost superclass, or else the outermost class. */
    static String family(String name) {
        return FAMILIES.computeIfAbsent(CodeOwner.outermost(name), TestClasses::topmost);
    }

    private static String topmost(String outer) {
        try {
            Class<?> type = Class.forName(outer, false, Thread.currentThread().getContextClassLoader());
            Class<?> top = type;
            while (isUsers(top.getSuperclass())) {
                top = top.getSuperclass();
            }
            return CodeOwner.outermost(top.getName());
        } catch (ClassNotFoundException | LinkageError e) {
            // A test without a class shares nothing.
            return outer;
        }
    }

    private static boolean isUsers(@Nullable Class<?> type) {
        return type != null && !CodeOwner.isOfJdk(type) && !CodeOwner.isOfTestLibrary(type.getName());
    }

    static boolean has(String name) {
        String outer = CodeOwner.outermost(name);
        return NAMES.contains(outer)
                || USUAL_ENDS.stream().anyMatch(outer::endsWith)
                || HELPERS.computeIfAbsent(outer, TestClasses::isHelper);
    }

    /** Whether a class is a test helper, whatever its name: its code refers to a test library. */
    private static boolean isHelper(String name) {
        if (name.substring(name.lastIndexOf('.') + 1).startsWith(Trial.NAME)) {
            return false;
        }
        ClassLoader loader = Thread.currentThread().getContextClassLoader();
        try (InputStream file = loader.getResourceAsStream(name.replace('.', '/') + ".class")) {
            if (file == null) {
                return false;
            }
            String code = new String(file.readAllBytes(), StandardCharsets.ISO_8859_1);
            return TEST_CODE.stream().anyMatch(code::contains);
        } catch (IOException e) {
            // An unreadable class is treated like most classes.
            return false;
        }
    }

    /**
     * Whether code belongs to the test, or to a library that runs it for the test: its calls are not the subject's.
     */
    static boolean isOfTest(String name) {
        return CodeOwner.isOfTestLibrary(name) || has(name);
    }

    /** Matches the calls that need no check according to the test class or an enclosing class. */
    static Pattern unchallenged(String name) {
        List<String> names = new ArrayList<>();
        try {
            Class<?> type = Class.forName(name, false, Thread.currentThread().getContextClassLoader());
            for (Class<?> each = type; each != null; each = each.getEnclosingClass()) {
                for (Annotation annotation : each.getAnnotations()) {
                    // By name: tests of other hosts need not have Zelotype's JUnit module.
                    if (annotation.annotationType().getName().equals(WITH_DOUBLES)) {
                        Object said = annotation
                                .annotationType()
                                .getMethod("unchallenged")
                                .invoke(annotation);
                        names.addAll(List.of((String[]) said));
                    }
                }
            }
        } catch (ReflectiveOperationException | LinkageError e) {
            // A test without a class, or with an annotation of another version, sets nothing.
            return NOTHING;
        }
        return names.isEmpty() ? NOTHING : CallPlace.named(String.join(",", names));
    }
}
