package dev.zelotype.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.commons.ClassRemapper;
import org.objectweb.asm.commons.Remapper;

/**
 * Class files of every age and compiler: their methods and calls are woven in the same way, or a problem is reported.
 */
class ClassFilesTest {

    @TempDir
    Path folder;

    private static final String OLD = """
            public class Old {
                public static int level(int of) { if (of > 3) { return of; } return -of; }
                public static int ask(boolean twice) {
                    int sum = twice ? new java.util.Random().nextInt(9) : 0;
                    return sum + new java.util.Random().nextInt(9) + level(2);
                }
                public static long clock() { return System.nanoTime(); }
            }
            """;

    private static final String USES = """
            import static dev.zelotype.Zelotype.*;
            import dev.zelotype.Scene;
            import java.util.Random;
            public class Uses {
                public static String run() {
                    try (Scene scene = Scene.open()) {
                        Random told = stub(Random.class);
                        suppose((Integer most) -> told.nextInt(most)).returns(100);
                        suppose(() -> new Random()).returns(told);
                        suppose(Old::level).returns(7);
                        suppose(System::nanoTime).returns(5L);
                        return Old.ask(true) + " " + Old.ask(false) + " " + Old.clock() + " "
                                + scene.conversation().calls().size();
                    }
                }
            }
            """;

    @Test
    void methods_and_calls_of_old_class_files_are_woven() throws Exception {
        ClassLoader loader = Compiled.BY_JAVAC.load(folder, Map.of("Old.java", OLD, "Uses.java", USES));
        change("Old", ClassReader.SKIP_FRAMES, out -> new ClassVisitor(Opcodes.ASM9, out) {
            @Override
            public void visit(int version, int access, String name, String generic, String parent, String[] all) {
                super.visit(Opcodes.V1_5, access, name, generic, parent, all);
            }
        });

        assertThat(loader.loadClass("Uses").getMethod("run").invoke(null)).isEqualTo("207 107 5 9");
    }

    private void change(String type, int options, UnaryOperator<ClassVisitor> changing) throws IOException {
        Path file = folder.resolve("classes/" + type + ".class");
        ClassWriter out = new ClassWriter(0);
        new ClassReader(Files.readAllBytes(file)).accept(changing.apply(out), options);
        Files.write(file, out.toByteArray());
    }

    private static final String BRIDGED = """
            import static dev.zelotype.Zelotype.*;
            import dev.zelotype.Scene;
            import java.util.*;
            import java.util.function.*;
            public class Bridged {
                interface Naming extends Function<String, String> { String apply(String it); }
                interface Source<T> { T take(T it); default T twice(T it) { return take(take(it)); } }
                interface Texts extends Source<String> { String take(String it); }
                interface Numbers<N extends Number> extends Source<N> { N take(N it); }
                interface Sizes extends Numbers<Integer> { Integer take(Integer it); String twice(String other); }
                interface Rows<E> extends Source<E[]> { E[] take(E[] it); }
                interface Words extends Source<List<String>> { List<String> take(List<String> it); }
                interface Pair<A, B> { A both(A one, B other); A both(A one, String other); }
                interface Swapped<X> extends Pair<X, Integer> { X both(X one, Integer other); }
                interface Found extends Swapped<Long> { Long both(Long one, Integer other); }
                interface Others { String take(String it); }
                interface Both extends Source<String>, Others { }
                interface Bounded<X extends CharSequence> { X take(X it); }
                interface Inherited extends Bounded<String>, Source<String> { }
                interface Star extends Comparable<Star> { int compareTo(Star other); }
                static abstract class Base<T> { abstract T open(T it); T shut(T it) { return it; } }
                static abstract class Below extends Base<String> {
                    abstract String open(String it);
                    String shut(String it) { return "real " + it; }
                }
                static <A, B> B named(Function<A, B> it, A given) { return it.apply(given); }
                static <T> T taken(Source<T> it, T given) { return it.take(given); }
                static <N extends Number> N counted(Numbers<N> it, N given) { return it.take(given); }
                static <A, B> A paired(Pair<A, B> it, A one, B other) { return it.both(one, other); }
                static <T> T opened(Base<T> it, T given) { return it.open(given); }
                static <T> T shut(Base<T> it, T given) { return it.shut(given); }
                public static String run() {
                    StringBuilder said = new StringBuilder();
                    for (int i = 0; i < 2; i++) {
                        boolean spies = i == 1;
                        try (Scene scene = Scene.open()) {
                            Naming naming = spies ? spy(Naming.class) : stub(Naming.class);
                            suppose(() -> naming.apply("a")).returns("b");
                            said.append(naming.apply("a")).append(named(naming, "a"));
                            verify(() -> naming.apply("a")).times(2);
                            Function<String, String> wide = naming;
                            suppose(() -> wide.apply("c")).returns("d");
                            said.append(naming.apply("c"));
                            Texts texts = spies ? spy(Texts.class) : stub(Texts.class);
                            suppose((String it) -> texts.take(it)).answers(it -> it + "!");
                            said.append(texts.take("e")).append(taken(texts, "f")).append(texts.twice("g"));
                            Sizes sizes = spies ? spy(Sizes.class) : stub(Sizes.class);
                            suppose(() -> sizes.take(1)).returns(2);
                            said.append(sizes.take(1)).append(taken(sizes, 1)).append(counted(sizes, 1));
                            Both both = spies ? spy(Both.class) : stub(Both.class);
                            Others others = both;
                            suppose(() -> others.take("q")).returns("r");
                            said.append(taken(both, "q")).append(others.take("q"));
                            Inherited inherited = spies ? spy(Inherited.class) : stub(Inherited.class);
                            Source<String> general = inherited;
                            Bounded<String> bounded = inherited;
                            suppose(() -> general.take("s")).returns("t");
                            said.append(general.take("s")).append(bounded.take("s"));
                            verify(() -> bounded.take("s")).times(2);
                            Rows<String> rows = stub(Rows.class);
                            suppose(() -> rows.take(new String[] {"h"})).returns(new String[] {"i"});
                            said.append(taken(rows, new String[] {"h"})[0]);
                            Words words = stub(Words.class);
                            suppose(() -> words.take(List.of("j"))).returns(List.of("k"));
                            said.append(taken(words, List.of("j")));
                            Found found = spies ? spy(Found.class) : stub(Found.class);
                            suppose(() -> found.both(3L, 4)).returns(5L);
                            suppose(() -> found.both(3L, "l")).returns(6L);
                            said.append(found.both(3L, 4)).append(paired(found, 3L, 4)).append(found.both(3L, "l"));
                            Star star = stub(Star.class);
                            suppose(() -> star.compareTo(star)).returns(7);
                            said.append(((Comparable<Star>) star).compareTo(star));
                            Below below = spies ? spy(Below.class) : stub(Below.class);
                            suppose(() -> below.open("m")).returns("n");
                            said.append(below.open("m")).append(opened(below, "m"));
                            said.append(below.shut("o")).append(shut(below, "o"));
                            verify(() -> below.shut("o")).times(2);
                            Below fake = fake(Below.class);
                            said.append(shut(fake, "p")).append(scene.conversation().calls().size()).append('\\n');
                        }
                    }
                    return said.toString();
                }
            }
            """;

    /** Of interfaces, for compilers of other languages and for old ones. */
    @Test
    void a_double_is_the_same_without_bridges_in_class_files() throws Exception {
        ClassLoader whole = Compiled.BY_JAVAC.load(folder, Map.of("Bridged.java", BRIDGED));
        Object usual = whole.loadClass("Bridged").getMethod("run").invoke(null);
        int[] bridges = {0};
        for (String each : "Naming Texts Numbers Sizes Rows Words Swapped Found Star Below".split(" ")) {
            change("Bridged$" + each, 0, out -> new ClassVisitor(Opcodes.ASM9, out) {
                @Override
                public MethodVisitor visitMethod(
                        int access, String name, String type, String generic, String[] thrown) {
                    boolean isBridge = (access & Opcodes.ACC_BRIDGE) != 0;
                    bridges[0] += isBridge ? 1 : 0;
                    return isBridge ? null : super.visitMethod(access, name, type, generic, thrown);
                }
            });
        }

        assertThat(bridges[0]).isEqualTo(13);
        ClassLoader stripped = new URLClassLoader(
                new URL[] {folder.resolve("classes").toUri().toURL()},
                getClass().getClassLoader());
        assertThat(stripped.loadClass("Bridged").getMethod("run").invoke(null)).isEqualTo(usual);
        assertThat((String) usual).startsWith("bbde!f!g!!222rrtti[k]5567nn");
    }

    private static final String SINGLE = """
            import static dev.zelotype.Zelotype.*;
            import dev.zelotype.Scene;
            public class Single {
                public static String textOf() { return "real"; }
                public static int codeOf() { return 1; }
                public static boolean isLike(Object other) { return false; }
                static String asked() { return Single.textOf() + " " + Single.codeOf() + " " + Single.isLike("dome"); }
                public static String run() {
                    try (Scene scene = Scene.open()) {
                        suppose(() -> Single.textOf()).returns("told");
                        suppose(() -> Single.codeOf()).returns(7);
                        suppose((Object any) -> Single.isLike(any)).returns(true);
                        String told = asked();
                        verify(() -> Single.textOf()).once();
                        verify(() -> Single.isLike("dome")).once();
                        return told + " " + scene.conversation().calls().size();
                    }
                }
            }
            """;

    /** For the single objects of some languages, their compilers write static methods with the names of Object's. */
    @Test
    void static_methods_with_names_of_object_are_replaced() throws Exception {
        ClassLoader loader = Compiled.BY_JAVAC.load(folder, Map.of("Single.java", SINGLE));
        Map<String, String> names = Map.of("textOf", "toString", "codeOf", "hashCode", "isLike", "equals");
        Remapper renaming = new Remapper(Opcodes.ASM9) {
            @Override
            public String mapMethodName(String owner, String name, String descriptor) {
                return names.getOrDefault(name, name);
            }
        };
        change("Single", 0, out -> new ClassRemapper(out, renaming));

        assertThat(loader.loadClass("Single").getMethod("run").invoke(null)).isEqualTo("told 7 true 3");
    }

    private static final String DROPS = """
            import static dev.zelotype.Zelotype.*;
            import dev.zelotype.Scene;
            import java.util.Random;
            public class Drops {
                static String drop(boolean first) {
                    try {
                        new Random(first ? Long.valueOf(5).longValue() : new Long[] {6L}[0]);
                        return "real";
                    } catch (IllegalStateException told) {
                        return told.getMessage();
                    }
                }
                static String dropPlain() {
                    try {
                        new Random();
                        return "real";
                    } catch (IllegalStateException told) {
                        return told.getMessage();
                    }
                }
                public static String run() {
                    try (Scene scene = Scene.open()) {
                        suppose(() -> new Random()).fails(new IllegalStateException("plain"));
                        suppose(() -> new Random(5)).fails(new IllegalStateException("five"));
                        suppose(() -> new Random(6)).fails(new IllegalStateException("six"));
                        return drop(true) + " " + drop(false) + " " + dropPlain();
                    }
                }
            }
            """;

    @ParameterizedTest
    @EnumSource
    void a_new_object_that_nobody_keeps_is_replaced(Compiled how) throws Exception {
        ClassLoader loader = how.load(folder, Map.of("Drops.java", DROPS));

        assertThat(loader.loadClass("Drops").getMethod("run").invoke(null)).isEqualTo("five six plain");
    }

    private static final String HUGE = """
            import static dev.zelotype.Zelotype.*;
            import dev.zelotype.Scene;
            public class Huge {
                public static void ask() { %s }
                public static String run() {
                    try (Scene scene = Scene.open()) {
                        suppose(System::nanoTime).returns(5L);
                        ask();
                        return String.join("; ", scene.notes());
                    }
                }
            }
            """.formatted("System.nanoTime();".repeat(12_000));

    @Test
    void a_class_that_cannot_be_woven_is_named() throws Exception {
        ClassLoader loader = Compiled.BY_JAVAC.load(folder, Map.of("Huge.java", HUGE));

        assertThat((String) loader.loadClass("Huge").getMethod("run").invoke(null))
                .contains("Classes that call the real code, since the JVM does not let them be changed: Huge");
    }
}
