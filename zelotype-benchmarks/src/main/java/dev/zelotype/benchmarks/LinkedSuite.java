package dev.zelotype.benchmarks;

import dev.zelotype.Scene;
import dev.zelotype.Zelotype;
import dev.zelotype.generate.Generator;
import dev.zelotype.generate.Progress;
import dev.zelotype.generate.Style;
import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.tools.ToolProvider;

/**
 * Run in a JVM of its own: makes a double of each of 200 interfaces, as at the start of a suite. Given {@code linked},
 * their classes were written and compiled before; otherwise they are made at run time. Prints milliseconds.
 */
public final class LinkedSuite {

    private static final int COUNT = 200;

    private LinkedSuite() {}

    public static void main(String[] arguments) throws IOException, ClassNotFoundException {
        Path folder = WholeFiles.temporaryFolder("zelotype-linked");
        Files.createDirectories(folder.resolve("sky"));
        for (int i = 0; i < COUNT; i++) {
            Files.writeString(folder.resolve("sky/Station" + i + ".java"), """
                    package sky;
                    public interface Station%d {
                        int humidity();
                        int humidityAt(String dome);
                        java.util.Optional<String> find(String name, int limit);
                        void note(String text, int severity);
                    }
                    """.formatted(i));
        }
        if (arguments[0].equals("linked")) {
            Generator generator = new Generator(List.of(), Progress.NONE);
            generator.addFrom(List.of(folder), "*");
            generator.plan(Set.of(Style.LINKED), "", folder, "again").write(false);
        }
        List<String> options = new ArrayList<>(List.of("-proc:none", "-d", folder.toString()));
        try (Stream<Path> files = Files.walk(folder)) {
            files.map(Path::toString).filter(file -> file.endsWith(".java")).forEach(options::add);
        }
        if (ToolProvider.getSystemJavaCompiler().run(null, null, null, options.toArray(new String[0])) != 0) {
            throw new IllegalStateException("the interfaces do not compile");
        }
        try (URLClassLoader loader =
                        new URLClassLoader(new URL[] {folder.toUri().toURL()}, LinkedSuite.class.getClassLoader());
                Scene scene = Scene.open()) {
            List<Class<?>> types = new ArrayList<>();
            for (int i = 0; i < COUNT; i++) {
                types.add(loader.loadClass("sky.Station" + i));
            }
            long start = System.nanoTime();
            for (Class<?> type : types) {
                Zelotype.stub(type);
            }
            long taken = (System.nanoTime() - start) / 1_000_000;
            System.out.println(scene.conversation().doubles().size() == COUNT ? taken : -1);
        }
    }
}
