package dev.zelotype.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
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
