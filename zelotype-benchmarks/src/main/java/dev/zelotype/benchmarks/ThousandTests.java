package dev.zelotype.benchmarks;

import dev.zelotype.challenge.Challenge;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.tools.WholeFiles;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.tools.ToolProvider;

/**
 * Writes a thousand small tests, challenges them, and prints the time and the number of runs.
 */
public final class ThousandTests {

    private static final int CLASSES = 20;
    private static final int TESTS = 50;

    private ThousandTests() {}

    /**
     * Measures once.
     *
     * @param arguments none
     * @throws IOException if the sources cannot be written
     */
    public static void main(String[] arguments) throws IOException {
        Path folder = WholeFiles.temporaryFolder("zelotype-thousand-tests");
        List<String> sources = new ArrayList<>(List.of("-d", folder.toString(), "-proc:none"));
        sources.add(write(folder, "Night", subject()));
        for (int i = 0; i < CLASSES; i++) {
            sources.add(write(folder, "Night" + i + "Test", tests(i)));
        }
        if (ToolProvider.getSystemJavaCompiler().run(null, null, null, sources.toArray(new String[0])) != 0) {
            throw new IllegalStateException("the tests do not compile");
        }
        List<Path> classPath = new ArrayList<>(List.of(folder));
        for (String entry : System.getProperty("java.class.path").split(File.pathSeparator)) {
            classPath.add(Path.of(entry));
        }
        long start = System.nanoTime();
        ChallengeResult result = new Challenge(classPath)
                .from(List.of(folder))
                .jvms(Runtime.getRuntime().availableProcessors())
                .run((done, all) -> {});
        System.out.println((System.nanoTime() - start) / 1_000_000 + " " + result.runs() + " "
                + result.tests().size());
    }

    private static String write(Path folder, String name, String code) throws IOException {
        return Files.writeString(folder.resolve(name + ".java"), code).toString();
    }

    private static String subject() {
        return """
                class Night {
                    interface Dome {
                        int open(String who);
                        boolean isDry(int hour);
                        void close();
                    }

                    static int over(Dome dome, int hour) {
                        int opened = dome.open("Harrow-2");
                        int dry = dome.isDry(hour) ? 1 : 0;
                        dome.close();
                        return opened + dry;
                    }
                }
                """;
    }

    private static String tests(int number) {
        StringBuilder code =
                new StringBuilder("import static dev.zelotype.Zelotype.*;\n@dev.zelotype.junit.WithDoubles\nclass Night"
                        + number + "Test {\n    Night.Dome dome = stub(Night.Dome.class);\n");
        for (int i = 0; i < TESTS; i++) {
            code.append("""
                        @org.junit.jupiter.api.Test
                        void hour_%1$d() {
                            suppose(dome::open).returns(%1$d);
                            suppose(dome::isDry).returns(true);
                            org.junit.jupiter.api.Assertions.assertEquals(%1$d + 1, Night.over(dome, %1$d));
                            verify(dome::close).once();
                        }
                    """.formatted(i));
        }
        return code.append("}\n").toString();
    }
}
