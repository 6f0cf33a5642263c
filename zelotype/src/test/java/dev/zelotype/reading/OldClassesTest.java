package dev.zelotype.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Opcodes;

/**
 * Class files from before there were stack maps: their methods and their calls are woven like others.
 */
class OldClassesTest {

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
        Path old = folder.resolve("classes/Old.class");
        ClassWriter out = new ClassWriter(0);
        new ClassReader(Files.readAllBytes(old))
                .accept(
                        new ClassVisitor(Opcodes.ASM9, out) {
                            @Override
                            public void visit(
                                    int version, int access, String name, String generic, String parent, String[] all) {
                                super.visit(Opcodes.V1_5, access, name, generic, parent, all);
                            }
                        },
                        ClassReader.SKIP_FRAMES);
        Files.write(old, out.toByteArray());

        assertThat(loader.loadClass("Uses").getMethod("run").invoke(null)).isEqualTo("207 107 5 9");
    }
}
