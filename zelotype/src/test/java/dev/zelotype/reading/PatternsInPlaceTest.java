package dev.zelotype.reading;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.call.WrittenPattern;
import dev.zelotype.engine.weave.PatternPatch;
import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.Method;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.commons.ClassRemapper;
import org.objectweb.asm.commons.Remapper;
import org.objectweb.asm.commons.SimpleRemapper;

/**
 * The lambdas that are removed from a class; nothing else in it changes.
 */
class PatternsInPlaceTest {

    @TempDir
    Path folder;

    private static final String SOURCE = """
            import static dev.zelotype.Zelotype.*;
            import dev.zelotype.Scene;
            import dev.zelotype.call.*;
            import java.io.*;
            import java.util.*;

            public class %1$s {
                public interface Mount { int turn(Object... how); int rate(); void park(); <T> T as(T it); }
                public static final List<Serializable> SEEN = new ArrayList<>();

                static <S extends Serializable> S seen(S pattern) { SEEN.add(pattern); return pattern; }

                public static String run(boolean other) throws Throwable {
                    boolean z = true; byte b = 1; char c = 'c'; short s = 2; int i = 3; long j = 4; float f = 5;
                    double d = 6;
                    int[] array = {7};
                    String text = "x";
                    try (Scene scene = Scene.open()) {
                        Mount mount = stub(Mount.class);
                        suppose(() -> mount.turn(z, b, c, s, i, j, f, d, array, text)).returns(10);
                        suppose(other ? mount::rate : mount::rate).returns(11);
                        suppose((String it) -> mount.as(it)).answers(it -> it + "!");
                        Query0<Integer> kept = mount::rate;
                        verify(kept).never();
                        int answer = mount.turn(z, b, c, s, i, j, f, d, array, text) + mount.rate();
                        mount.park();
                        verify(mount::park).once();
                        verify(mount::rate).once();
                        switch (answer) {
                            case 21: verify(() -> mount.turn((Object[]) null)).never(); break;
                            case 1_000_000: return "far";
                            default: return "other";
                        }
                        return answer + mount.as("it") + recorded((String it) -> mount.as(it));
                    }
                }
                %2$s
            }
            """;

    private Class<?> compiled(String name, String more, Compiled way) throws Exception {
        Map<String, String> sources = Map.of(name + ".java", SOURCE.formatted(name, more));
        return way.load(Files.createDirectories(folder.resolve(way.name() + name)), sources)
                .loadClass(name);
    }

    private static Object run(Class<?> type) throws Exception {
        Method run = type.getMethod("run", boolean.class);
        return Arrays.asList(run.invoke(null, true), run.invoke(null, false));
    }

    /** In the class file, because an agent may change the loaded class. */
    private static long count(Class<?> type, String begin) throws IOException {
        long[] found = {0};
        try (InputStream file = type.getResourceAsStream(type.getSimpleName() + ".class")) {
            new ClassReader(file)
                    .accept(
                            new ClassVisitor(Opcodes.ASM9) {
                                @Override
                                public MethodVisitor visitMethod(
                                        int access, String name, String type, String signature, String[] thrown) {
                                    found[0] += name.startsWith(begin) ? 1 : 0;
                                    return null;
                                }
                            },
                            ClassReader.SKIP_CODE);
        }
        return found[0];
    }

    @Test
    void only_what_is_handed_to_a_statement_at_once_is_taken() throws Exception {
        Class<?> plain = compiled("Plain", "", Compiled.BY_JAVAC);
        Class<?> changed = compiled("Plain", "", Compiled.WITH_PATTERNS_IN_PLACE);
        assertThat(run(changed)).isEqualTo(run(plain)).asString().contains("21it![it]");
        assertThat(count(plain, PatternPatch.ADDED)).isZero();
        // A lambda in a variable, an answer, and one branch of a conditional stay lambdas.
        assertThat(count(changed, PatternPatch.ADDED)).as("one for each sort").isEqualTo(4);
        assertThat(count(changed, "$deserializeLambda$"))
                .as("for those that stay")
                .isOne();
        assertThat(count(changed, "lambda$"))
                .as("the class file is all that the reader has")
                .isEqualTo(count(plain, "lambda$"));
    }

    /** The lines of the statements, wherever they are and however they are broken. */
    @Test
    void places_of_statements_are_the_same() throws Exception {
        String source = """
                import static dev.zelotype.Zelotype.*;
                import dev.zelotype.Scene;
                import dev.zelotype.conversation.TestStatement;
                import java.util.stream.Collectors;
                public class Places {
                    public interface Mount { int rate(); int at(String place, int night); void park(); }
                    private final Mount mount;
                    Places(Mount mount) { this.mount = mount; suppose(mount::rate).returns(1); }
                    public static String run() {
                        try (Scene scene = Scene.open()) {
                            Mount mount = new Places(stub(Mount.class)).mount;
                            suppose(mount::rate).returns(2); suppose(mount::rate).returns(3);
                            suppose(() -> mount.at(
                                            "dome",
                                            4))
                                    .returns(5);
                            suppose(
                                            mount::rate
                                    )
                                    .returns(6);
                            Runnable later = () -> {
                                suppose(() -> mount.at("shed", 7)).returns(8);
                            };
                            later.run();
                            if (mount.rate() + mount.at("dome", 4) > 0) {
                                verify(mount::park).never();
                                verify(mount::rate).once();
                            }
                            new Object() {
                                void check() { verify(() -> mount.at("dome", 4)).once(); }
                            }.check();
                            return scene.conversation().statements().stream()
                                    .map(TestStatement::place)
                                    .collect(Collectors.joining("\\n"));
                        }
                    }
                }
                """;
        Map<Compiled, List<Compiled>> same = Map.of(
                Compiled.BY_JAVAC,
                List.of(
                        Compiled.WITH_PATTERNS_IN_PLACE,
                        Compiled.LOADED_WITH_PATTERNS_IN_PLACE,
                        Compiled.WITH_PROBES_AND_PATTERNS_IN_PLACE),
                Compiled.BY_ECLIPSE,
                List.of(Compiled.BY_ECLIPSE_WITH_PATTERNS_IN_PLACE));
        for (Map.Entry<Compiled, List<Compiled>> ways : same.entrySet()) {
            String expected = places(source, ways.getKey());
            assertThat(expected).contains("Places.java:8", "Places.java:12", "Places.java:30");
            for (Compiled way : ways.getValue()) {
                assertThat(places(source, way)).as(way.name()).isEqualTo(expected);
            }
        }
    }

    private String places(String source, Compiled way) throws Exception {
        return (String) way.load(folder.resolve(way.name()), Map.of("Places.java", source))
                .loadClass("Places")
                .getMethod("run")
                .invoke(null);
    }

    /** Without debugging data, the compiler generates one method for equal lambdas. */
    @Test
    void a_class_is_loaded_without_the_code_that_only_patterns_have() throws Exception {
        String source = """
                import static dev.zelotype.Zelotype.*;
                import dev.zelotype.Scene;
                import dev.zelotype.call.Query0;
                public class Shared {
                    public interface Mount { int rate(); int at(String place); }
                    public static String run() throws Throwable {
                        try (Scene scene = Scene.open()) {
                            Mount mount = stub(Mount.class);
                            Query0<Integer> kept = () -> mount.rate();
                            suppose(() -> mount.rate()).returns(7);
                            suppose(() -> mount.at("dome")).answers(() -> 8);
                            return kept.ask() + " " + mount.at("dome");
                        }
                    }
                }
                """;
        for (Compiled way : List.of(Compiled.WITHOUT_DEBUG_DATA, Compiled.BY_JAVAC, Compiled.BY_ECLIPSE)) {
            Path place = folder.resolve(way.name());
            way.load(place, Map.of("Shared.java", source));
            Class<?> loaded =
                    Compiled.LOADED_WITH_PATTERNS_IN_PLACE.again(place).loadClass("Shared");
            assertThat(loaded.getMethod("run").invoke(null)).as(way.name()).isEqualTo("7 8");
            assertThat(loaded.getDeclaredMethods())
                    .as("in what is run: the lambda in a variable, and the answer")
                    .filteredOn(method -> method.getName().startsWith("lambda$"))
                    .hasSize(2);
        }
    }

    @Test
    void what_nobody_can_serialize_any_more_need_not_be_read_back() throws Exception {
        String only = """
                public static void only() {
                    try (Scene scene = Scene.open()) { Mount mount = stub(Mount.class); verify(mount::rate).never(); }
                }""";
        String source = "import static dev.zelotype.Zelotype.*; import dev.zelotype.Scene; public class Only {"
                + " public interface Mount { int rate(); } " + only + "}";
        Class<?> changed = Compiled.WITH_PATTERNS_IN_PLACE
                .load(folder, Map.of("Only.java", source))
                .loadClass("Only");
        changed.getMethod("only").invoke(null);
        assertThat(count(changed, PatternPatch.ADDED)).isOne();
        assertThat(count(changed, "$deserializeLambda$")).isZero();
    }

    @Test
    void a_class_may_have_hundreds_of_patterns() throws Exception {
        StringBuilder code = new StringBuilder("import static dev.zelotype.Zelotype.*; import dev.zelotype.Scene;"
                + " public class Many { public interface Mount { int at(int n); }"
                + " public static int run() { int sum = 0;"
                + " try (Scene scene = Scene.open()) { Mount mount = stub(Mount.class);");
        for (int i = 0; i < 400; i++) {
            code.append(i % 100 == 0 ? "sum += part%d(mount); ".formatted(i / 100) : "");
        }
        code.append("} return sum; }");
        for (int part = 0; part < 4; part++) {
            code.append("static int part%d(Mount mount) { int sum = 0;".formatted(part));
            for (int i = 100 * part; i < 100 * part + 100; i++) {
                code.append("suppose(() -> mount.at(%1$d)).returns(%1$d); sum += mount.at(%1$d);".formatted(i));
            }
            code.append(" return sum; }");
        }
        Class<?> changed = Compiled.WITH_PATTERNS_IN_PLACE
                .load(folder, Map.of("Many.java", code + "}"))
                .loadClass("Many");
        assertThat(changed.getMethod("run").invoke(null)).isEqualTo(399 * 400 / 2);
        assertThat(count(changed, PatternPatch.ADDED)).as("one for each group").isEqualTo(2);
        assertThat(count(changed, "$deserializeLambda$")).isZero();
    }

    @Test
    void a_class_is_changed_once_and_others_never() throws Exception {
        compiled("Once", "", Compiled.BY_JAVAC);
        byte[] plain = Files.readAllBytes(folder.resolve("BY_JAVACOnce/classes/Once.class"));
        byte[] changed = PatternPatch.of(plain);
        assertThat(changed).isNotNull();
        assertThat(PatternPatch.of(changed)).as("once more").isNull();
        assertThat(PatternPatch.of(plain)).as("the same each time").isEqualTo(changed);
        byte[] other = Files.readAllBytes(folder.resolve("BY_JAVACOnce/classes/Once$Mount.class"));
        assertThat(PatternPatch.of(other)).isNull();
    }

    /** Class files encode characters beyond the first 65,536 differently from any charset. */
    @Test
    void names_may_be_of_any_letters() throws Exception {
        String source = """
                import static dev.zelotype.Zelotype.*;
                import dev.zelotype.Scene;
                public class Letters {
                    public static final class Star {}
                    public interface Mount { int at(Star star); int turn(int by); }
                    public static String run() {
                        Star star = new Star();
                        try (Scene scene = Scene.open()) {
                            Mount mount = stub(Mount.class);
                            suppose(() -> mount.at(star)).returns(7);
                            suppose(mount::turn).returns(8);
                            return mount.at(star) + " " + mount.turn(1) + " " + mount.at(new Star());
                        }
                    }
                }
                """;
        Compiled.BY_JAVAC.load(folder, Map.of("Letters.java", source));
        ClassLoader renamed = new Renamed(folder.resolve("classes"));
        assertThat(renamed.loadClass("Letters").getMethod("run").invoke(null)).isEqualTo("7 8 0");
        assertThat(renamed.loadClass(Renamed.STAR).getSimpleName()).isEqualTo("\uD835\uDCAEtar");
    }

    /**
     * Renames a class to a name that some file systems do not support, and puts the patterns of the others in place.
     */
    private static final class Renamed extends ClassLoader {

        static final String STAR = "Letters$\uD835\uDCAEtar";
        private final Path classes;

        Renamed(Path classes) {
            super(PatternsInPlaceTest.class.getClassLoader());
            this.classes = classes;
        }

        @Override
        protected Class<?> findClass(String name) throws ClassNotFoundException {
            Path file = classes.resolve(name.equals(STAR) ? "Letters$Star.class" : name + ".class");
            try {
                ClassWriter out = new ClassWriter(0);
                Remapper names = new SimpleRemapper(
                        Opcodes.ASM9, Map.of("Letters$Star", STAR, "Letters$Mount.turn(I)I", "\uD835\uDCAEtar"));
                new ClassReader(Files.readAllBytes(file)).accept(new ClassRemapper(out, names), 0);
                byte[] code = out.toByteArray();
                byte[] changed = PatternPatch.of(code);
                assertThat(changed != null).as(name).isEqualTo(name.equals("Letters"));
                byte[] defined = changed == null ? code : changed;
                return defineClass(name, defined, 0, defined.length);
            } catch (IOException e) {
                throw new ClassNotFoundException(name, e);
            }
        }
    }

    /** A caller can run it like the lambda, and gets the same serialized form. */
    public static final class Holder {
        private Holder() {}

        public static String join(String first, int second, Object... more) {
            return first + second + Arrays.toString(more);
        }

        public String own(long n) {
            return "own" + n;
        }

        public static Holder made() {
            return new Holder();
        }
    }

    @Test
    void what_was_written_down_can_be_run() throws Throwable {
        String name = Holder.class.getName().replace('.', '/');
        Object statically = WrittenPattern.query2(
                        Holder.class,
                        form(6, name, "join", "(Ljava/lang/String;I[Ljava/lang/Object;)Ljava/lang/String;", 2),
                        0,
                        new Object[] {"a"})
                .spread(new Object[] {1, new Object[] {2}});
        assertThat(statically).isEqualTo("a1[2]");
        Object bound = WrittenPattern.query1(
                        Holder.class, form(5, name, "own", "(J)Ljava/lang/String;", 1), 0, new Object[] {Holder.made()})
                .spread(new Object[] {4L});
        assertThat(bound).isEqualTo("own4");
        Object made = WrittenPattern.query0(Holder.class, form(8, name, "<init>", "()V", 0), 0, new Object[0])
                .ask();
        assertThat(made).isInstanceOf(Holder.class);
        assertThat(WrittenPattern.act0(Holder.class, form(6, name, "made", "()L" + name + ";", 0), 0, new Object[0]))
                .isInstanceOfSatisfying(WrittenPattern.class, pattern -> {
                    assertThat(pattern.form().getImplMethodName()).isEqualTo("made");
                    assertThat(pattern.caller()).isEqualTo(Holder.class);
                });
    }

    private static String form(int kind, String owner, String name, String type, int arity) {
        return String.join(".", "" + kind, owner, name, type, "()V", "dev/zelotype/call/Query" + arity, "ask", "()V")
                + "\nPatternsInPlaceTest.java\n0.1.form";
    }
}
