package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.catchThrowable;

import dev.zelotype.Claims;
import dev.zelotype.Scene;
import dev.zelotype.basics.Mask;
import dev.zelotype.conversation.ConversationStatements.Form;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.net.URI;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.AbstractList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The statements of a conversation compile, match the object that answered, and set up a stub with the same answers.
 */
public class StatementsTest {

    public record Target(String name, int altitude) {
        @Override
        public String toString() {
            return name;
        }
    }

    /** Does not print its content. */
    public record Sealed(String text) {
        @Override
        public String toString() {
            return "sealed";
        }
    }

    public enum Sky {
        CLEAR,
        CLOUDED
    }

    public interface Desk {
        int number(int of);

        Object any(String of);

        Optional<Target> find(String name);

        List<Target> all(Sky sky, long limit);

        void park();

        void note(String text, Object... more);

        void expose(Duration time, Consumer<String> done);

        Supplier<String> later();

        String login(String user, char[] password);

        Desk next();
    }

    /** Returns values of all kinds, depending on the argument. */
    public static class RealDesk implements Desk {

        static final Map<String, Object> VALUES = Map.ofEntries(
                Map.entry("text", "a \"b\" \\ \n ä"),
                Map.entry("long", 5L),
                Map.entry("double", -0.5),
                Map.entry("char", '\''),
                Map.entry("decimal", new BigDecimal("1.50")),
                Map.entry("enum", Sky.CLOUDED),
                Map.entry("jdk enum", TimeUnit.DAYS),
                Map.entry("record", new Target("Harrow-2", 47)),
                Map.entry("list", List.of(new Target("a", 1), new Target("b", 2))),
                Map.entry("nulls", Arrays.asList("a", null)),
                Map.entry("set", Set.of(1)),
                Map.entry("map", Map.of("a", List.of(1L))),
                Map.entry("optional", Optional.of(Sky.CLEAR)),
                Map.entry("optional int", OptionalInt.of(3)),
                Map.entry("duration", Duration.ofMillis(1500)),
                Map.entry("instant", Instant.parse("2031-03-01T00:00:00Z")),
                Map.entry("date", LocalDate.of(2031, 3, 1)),
                Map.entry("path", Path.of("night", "log")),
                Map.entry("uri", URI.create("http://observatory.example/")),
                Map.entry("uuid", new UUID(0, 7)),
                Map.entry("class", Target.class),
                Map.entry("array", new int[] {1, 2}),
                Map.entry("nested array", new String[][] {{"a"}, {}}));

        @Override
        public int number(int of) {
            return of * of;
        }

        @Override
        public Object any(String of) {
            Object value = VALUES.get(of);
            if (value == null) {
                throw of.isEmpty()
                        ? new UncheckedIOException(new IOException("x"))
                        : new NoSuchElementException("no " + of);
            }
            return value;
        }

        @Override
        public Optional<Target> find(String name) {
            return name.isEmpty() ? Optional.empty() : Optional.of(new Target(name, name.length()));
        }

        @Override
        public List<Target> all(Sky sky, long limit) {
            return sky == Sky.CLEAR ? List.of(new Target("clear", (int) limit)) : List.of();
        }

        @Override
        public void park() {}

        @Override
        public void note(String text, Object... more) {}

        @Override
        public void expose(Duration time, Consumer<String> done) {
            done.accept("frame");
        }

        @Override
        public Supplier<String> later() {
            return () -> "later";
        }

        @Override
        public String login(String user, char[] password) {
            return "welcome";
        }

        @Override
        public Desk next() {
            return this;
        }
    }

    @TempDir
    Path folder;

    @AfterEach
    void show() {
        Mask.set(null);
    }

    /** The class that is generated from some statements. */
    private Class<?> compiled(String source) throws Exception {
        JavaFileObject file =
                new SimpleJavaFileObject(URI.create("string:///FromConversation.java"), JavaFileObject.Kind.SOURCE) {
                    @Override
                    public CharSequence getCharContent(boolean ignoreEncodingErrors) {
                        return source;
                    }
                };
        StringWriter said = new StringWriter();
        List<String> options =
                List.of("-proc:none", "-d", folder.toString(), "-cp", System.getProperty("java.class.path"));
        boolean compiles = ToolProvider.getSystemJavaCompiler()
                .getTask(said, null, null, options, null, List.of(file))
                .call();
        assertThat(compiles).as(said + "\n" + source).isTrue();
        URLClassLoader loader =
                new URLClassLoader(new URL[] {folder.toUri().toURL()}, StatementsTest.class.getClassLoader());
        return loader.loadClass("FromConversation");
    }

    private static void run(Class<?> statements, RealDesk desk) {
        try {
            var found = statements.getDeclaredMethod("claimsOfDesk", RealDesk.class);
            found.setAccessible(true);
            found.invoke(null, desk);
        } catch (ReflectiveOperationException e) {
            throw new AssertionError(e.getCause() == null ? e : e.getCause());
        }
    }

    private static void askForEverything(Desk desk) {
        RealDesk.VALUES.keySet().forEach(desk::any);
        catchThrowable(() -> desk.any("nothing"));
        for (int i = 1; i <= 4; i++) {
            desk.number(i);
        }
        desk.find("Harrow-2");
        desk.find("");
        desk.all(Sky.CLEAR, 3);
        desk.all(Sky.CLOUDED, 4);
    }

    @Test
    void claims_from_a_real_object_hold_against_it_and_a_stub_set_up_by_them_answers_the_same() throws Exception {
        String source;
        try (Scene scene = Scene.open()) {
            Desk real = spy(new RealDesk(), "desk");
            askForEverything(real);
            source = scene.statements().text(Form.CLAIMS);
        }
        assertThat(source)
                .contains("static void claimsOfDesk(StatementsTest.RealDesk desk) {")
                .contains("suppose((Integer key) -> desk.number(key))\n"
                        + "                .returnsFrom(Map.of(1, 1, 2, 4, 3, 9, 4, 16));")
                .contains("suppose(() -> desk.find(\"Harrow-2\"))"
                        + ".returns(Optional.of(new StatementsTest.Target(\"Harrow-2\", 8)));");
        Class<?> claims = compiled(source);
        assertThatCode(() ->
                        Claims.of(RealDesk.class, desk -> run(claims, desk)).check(new RealDesk()))
                .doesNotThrowAnyException();
        try (Scene scene = Scene.open()) {
            RealDesk desk = stub(RealDesk.class, "of " + scene);
            run(claims, desk);
            RealDesk.VALUES.forEach(
                    (of, value) -> assertThat(desk.any(of)).as(of).isEqualTo(value));
            assertThat(catchThrowable(() -> desk.any("nothing")))
                    .isInstanceOf(NoSuchElementException.class)
                    .hasMessage("no nothing");
            assertThat(desk.number(4)).isEqualTo(16);
            assertThat(desk.find("")).isEmpty();
            assertThat(desk.all(Sky.CLEAR, 3)).containsExactly(new Target("clear", 3));
        }
    }

    @Test
    void a_test_becomes_suppositions_and_checks() throws Exception {
        String source;
        try (Scene scene = Scene.open()) {
            Desk desk = stub(Desk.class, "north desk");
            Desk other = stub(Desk.class, "class");
            suppose((Integer of) -> desk.number(of)).returns(1, 2, 2, 2);
            suppose(desk::next).returns(other);
            suppose(desk::later).returns(() -> "later");
            List.of(1, 1, 1, 1).forEach(desk::number);
            desk.next().park();
            other.park();
            desk.note("see {} {}", 7, Sky.CLEAR);
            desk.expose(Duration.ofSeconds(90), frame -> {});
            desk.later();
            desk.find("not said");
            source = scene.statements().text(Form.BOTH);
        }
        assertThat(source).isEqualTo("""
                import static dev.zelotype.Zelotype.*;

                import dev.zelotype.grammar.StatementsTest;
                import java.time.Duration;
                import java.util.function.Consumer;
                import java.util.function.Supplier;

                class FromConversation {

                    static void suppositions(StatementsTest.Desk northDesk, StatementsTest.Desk theClass) {
                        Supplier laterAnswer = null; // write what prints as: a lambda
                        suppose(() -> northDesk.number(1)).returns(1, 2);
                        suppose(() -> northDesk.next()).returns(theClass);
                        suppose(() -> northDesk.later()).returns(laterAnswer);
                    }

                    static void checks(StatementsTest.Desk theClass, StatementsTest.Desk northDesk) {
                        verify(() -> theClass.park()).times(2);
                        verify(() -> northDesk.note("see {} {}", 7, StatementsTest.Sky.CLEAR)).once();
                        verify((Consumer any1) -> northDesk.expose(Duration.ofSeconds(90), any1)).once();
                    }
                }
                """);
        compiled(source);
    }

    @Test
    void what_may_not_be_shown_does_not_compile_to_something_else() {
        Mask.set(Pattern.compile("Harrow-\\d"));
        try (Scene scene = Scene.open()) {
            Desk desk = spy(new RealDesk(), "desk");
            desk.find("Harrow-2");
            desk.login("night", new char[] {'o', 'w', 'l'});
            String source = scene.statements().text(Form.SUPPOSITIONS);
            assertThat(source)
                    .contains(
                            "desk.find(hiddenValue /* ",
                            "desk.login(\"night\", hiddenValue /* ***: write the value here */)")
                    .doesNotContain("Harrow-2", "'o'");
            Mask.set(Pattern.compile("ke\"y"));
            desk.note("x", new Sealed("a ke\"y"), new Sealed("a box"));
            assertThat(scene.statements().text(Form.CHECKS))
                    .as("a mask sees what is not quoted yet")
                    .contains("desk.note(\"x\", any1, new StatementsTest.Sealed(\"a box\"))")
                    .doesNotContain("ke\\");
        }
    }

    @Test
    void what_holds_itself_is_lazy_or_huge_is_not_written_down() {
        List<Object> itself = new ArrayList<>();
        itself.add(itself);
        Map<String, Object> map = new HashMap<>();
        map.put("it", map);
        AbstractList<String> lazy = new AbstractList<>() {
            @Override
            public String get(int index) {
                throw new IllegalStateException("loaded too late");
            }

            @Override
            public int size() {
                return 3;
            }

            @Override
            public String toString() {
                return "lazy";
            }
        };
        Object[][] wide = new Object[29][29];
        try (Scene scene = Scene.open()) {
            Desk desk = spy(Desk.class, "desk");
            desk.note("x", itself, map, lazy, wide);
            assertThat(scene.statements().text(Form.CHECKS))
                    .contains("verify((Object any1, Object any2, Object any3, Object any4) ->"
                            + " desk.note(\"x\", any1, any2, any3, any4)).once();");
        }
    }

    @Test
    void what_changed_since_it_was_passed_is_not_written_as_it_is_now() {
        try (Scene scene = Scene.open()) {
            Desk desk = spy(new RealDesk(), "desk");
            StringBuilder text = new StringBuilder("a");
            desk.note("x", text);
            text.append("b");
            assertThat(scene.statements().only("desk").text(Form.CHECKS))
                    .contains("verify((Object any1) -> desk.note(\"x\", any1)).once();");
            assertThat(scene.statements().only("unknown").text(Form.CHECKS)).contains("static void checks() {\n    }");
        }
    }
}
