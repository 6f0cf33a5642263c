package dev.zelotype.grammar;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.reading.Compiled;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Libraries refer to classes of others that are optional, and often absent when tests run: each use of a type with such a
 * gap works, or says what is missing.
 */
class MissingClassesTest {

    private static final String TYPES = """
            package gaps;
            import static dev.zelotype.Zelotype.*;
            import dev.zelotype.Scene;
            import java.lang.annotation.*;
            import java.util.*;
            import java.util.concurrent.*;
            class Gone { static int angle() { return 7; } }
            class Lost extends Exception { }
            @Retention(RetentionPolicy.RUNTIME) @interface Vanished { }
            @Retention(RetentionPolicy.RUNTIME) @interface Naming { Class<?> value(); }
            interface Answers { Gone last(); int open(); }
            interface Takes { void take(Gone it); int open(); }
            interface Throwing { void close() throws Lost; int open(); }
            interface Bounded { <T extends Gone> T found(Class<T> type); int open(); }
            interface Below extends Answers { }
            interface Defaulting { default Gone last() { return null; } int open(); }
            interface Comparing extends Comparable<Gone> { int open(); }
            interface Lists {
                List<Gone> all();
                Optional<Gone> first();
                Map<String, List<Gone>> by(Set<Gone> keys);
                CompletableFuture<Gone> later();
                int open();
            }
            @Vanished @Naming(Gone.class) interface Marked { @Vanished @Naming(Gone.class) int open(); }
            class Holding { Gone held; List<Gone> all; int open() { return 7; } }
            class Made { Made(Gone it) { } Made() { } int open() { return 7; } }
            class Coded { int open() { return 7; } int angle() { return Gone.angle(); } }
            class Owning { static Gone now() { return null; } static int open() { return 7; } }
            abstract class Days extends Calendar { static Gone last() { return null; } }
            class Inside { int open() { return 7; } private Gone hidden() { return null; } }
            final class Sealed { int open() { return 7; } Gone last() { return null; } }
            abstract class Partly { abstract Gone last(); int open() { return 7; } }
            record Line(int open, Gone it) { }
            class Wanting { Wanting(Gone it, Takes takes) { } Wanting(Takes takes) { } }
            class Parcel { public Gone last() { return null; } }
            enum Sort { FRAGILE; public Gone last() { return null; } }
            interface Post { boolean send(Parcel it, Sort sort); }
            class Carrier {
                private final Post post;
                private Gone last;
                Carrier(Post post) { this.post = post; }
                public Gone optional() { return null; }
                boolean run(Parcel it) { return post.send(it, Sort.FRAGILE); }
            }
            """;

    private static final List<String> NAMES =
            List.of(("Answers Takes Throwing Bounded Below Defaulting Comparing Lists Marked"
                            + " Holding Made Coded Inside Sealed Partly Line")
                    .split(" "));

    private static final String OF_EACH = """
                public static void stub_T() {
                    T it = stub(T.class);
                    suppose(() -> it.open()).returns(3);
                    is(3, it.open());
                    verify(() -> it.open()).once();
                    print(it);
                }
                public static void mock_T() { T it = mock(T.class); expect(() -> it.open()).returns(3); is(3, it.open()); }
                public static void spy_T() { T it = spy(T.class); suppose(() -> it.open()).returns(3); is(3, it.open()); }
                public static void dummy_T() { print(dummy(T.class)); }
            """;

    private static final String OTHERS = """
                static void print(Object it) { describe(it); it.toString(); it.hashCode(); it.equals(it); }
                static void is(int wanted, int given) { if (wanted != given) throw new IllegalStateException("" + given); }
                public static void fake_Partly() { print(fake(Partly.class)); }
                public static void fake_Holding() { print(fake(Holding.class)); }
                public static void fake_Made() { print(fake(Made.class)); }
                public static void around_Coded() {
                    Coded it = spy(new Coded());
                    suppose(it::open).returns(3);
                    is(3, it.open());
                }
                public static void around_Holding() { print(spy(new Holding())); }
                public static void around_Inside() { print(spy(new Inside())); }
                public static void around_Sealed() { print(spy(new Sealed())); }
                public static void replaced_Owning() { suppose(() -> Owning.open()).returns(3); }
                public static void replaced_Made() { Made made = stub(Made.class); suppose(() -> new Made()).returns(made); }
                public static void replaced_Gone() { suppose(() -> Gone.angle()).returns(3); }
                public static void watched_Owning() { watch(Owning.class); }
                public static void watched_Coded() { watch(Coded.class); new Coded().open(); }
                public static void running_Days() {
                    suppose(() -> Calendar.getAvailableCalendarTypes()).returns(Set.of());
                    is(0, Days.getAvailableCalendarTypes().size());
                }
                public static void later_Days() {
                    suppose(() -> Calendar.getAvailableLocales()).returns(new Locale[3]);
                    is(3, days());
                }
                private static int days() { return Days.getAvailableLocales().length; }
                public static void empty_Lists() {
                    Lists lists = stub(Lists.class);
                    is(0, lists.all().size() + lists.by(Set.of()).size() + (lists.first().isPresent() ? 1 : 0));
                    lists.later().isDone();
                    verify((Set<Gone> any) -> lists.by(any)).once();
                }
                public static void second_Lists() { print(stub(Runnable.class, Lists.class, Marked.class)); }
                public static void second_Answers() { print(stub(Runnable.class, Answers.class)); }
                public static void compared_Comparing() {
                    Comparing it = stub(Comparing.class);
                    it.compareTo(null);
                    verify(() -> it.compareTo(null)).once();
                }
                public static void passed_Parcel() {
                    Post post = stub(Post.class);
                    Parcel parcel = new Parcel();
                    suppose(() -> post.send(parcel, Sort.FRAGILE)).returns(true);
                    if (!new Carrier(post).run(parcel)) throw new IllegalStateException();
                    verify(() -> post.send(parcel, Sort.FRAGILE)).once();
                    fails(() -> verify(() -> post.send(new Parcel(), Sort.FRAGILE)).once());
                }
                static void fails(Runnable statement) {
                    try {
                        statement.run();
                    } catch (AssertionError e) {
                        if (e.getMessage().contains("Parcel")) return;
                    }
                    throw new IllegalStateException("It does not fail as it should.");
                }
                public static void subject_Wanting(Scene scene) { scene.subject(Wanting.class); }
                public static void subject_Holding(Scene scene) { scene.subject(Holding.class); }
                public static void subject_Carrier(Scene scene) { scene.subject(Carrier.class).run(new Parcel()); }
            }
            """;

    @TempDir
    Path folder;

    @Test
    void a_gap_is_no_obstacle_or_it_is_named() throws Exception {
        StringBuilder code = new StringBuilder(TYPES).append("public class Gaps {\n");
        NAMES.forEach(name -> code.append(OF_EACH.replaceAll("\\bT\\b", name).replace("_T(", "_" + name + "(")));
        ClassLoader loader = Compiled.BY_JAVAC.load(folder, Map.of("Gaps.java", code + OTHERS));
        for (String gone : List.of("Gone", "Lost", "Vanished")) {
            Files.delete(folder.resolve("classes/gaps/" + gone + ".class"));
        }
        Set<String> work = new TreeSet<>();
        Map<String, String> refused = new TreeMap<>();
        for (Method use : loader.loadClass("gaps.Gaps").getDeclaredMethods()) {
            if (use.getName().indexOf('_') > 0 && !use.isSynthetic()) {
                try (Scene scene = Scene.open()) {
                    use.invoke(null, use.getParameterCount() == 0 ? new Object[0] : new Object[] {scene});
                    work.add(use.getName());
                } catch (InvocationTargetException e) {
                    assertThat(e).as(use.getName()).hasCauseInstanceOf(MisuseException.class);
                    refused.put(use.getName(), e.getCause().getMessage());
                }
            }
        }
        for (String kind : List.of("stub", "mock", "spy", "dummy")) {
            assertThat(work)
                    .contains(
                            kind + "_Lists",
                            kind + "_Comparing",
                            kind + "_Marked",
                            kind + "_Holding",
                            kind + "_Coded",
                            kind + "_Made");
        }
        assertThat(work)
                .contains(
                        "empty_Lists",
                        "second_Lists",
                        "compared_Comparing",
                        "around_Coded",
                        "around_Holding",
                        "fake_Holding",
                        "watched_Coded",
                        "passed_Parcel",
                        "later_Days",
                        "subject_Carrier");
        assertThat(refused.remove("running_Days")).startsWith("The call at gaps.Gaps.running_Days(Gaps.java:");
        assertThat(refused)
                .allSatisfy((use, message) -> assertThat(message)
                        .containsPattern("refers to gaps\\.(Gone|Lost), ")
                        .contains("Cure: "));
        assertThat(refused.get("stub_Answers"))
                .isEqualTo(
                        "The JVM does not list the methods of gaps.Answers: one of them refers to gaps.Gone, which is"
                                + " not on the class path.\n"
                                + "  Cure: add the library that contains it to the class path of the tests");
    }
}
