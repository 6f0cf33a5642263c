package dev.zelotype.generate;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.io.StringWriter;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.io.TempDir;

/**
 * A folder with sources and generated doubles, which are compiled together.
 */
abstract class Workshop {

    static final Set<Style> ALL = EnumSet.allOf(Style.class);

    @TempDir
    Path folder;

    final Path source(String file, String code) throws IOException {
        Path path = folder.resolve("in").resolve(file);
        Files.createDirectories(path.getParent());
        return Files.writeString(path, code);
    }

    final Generator.Plan plan(Set<Style> styles, String packageName) {
        return generator(folder.resolve("in"), "*").plan(styles, packageName, folder.resolve("out"), "./doubles");
    }

    static Generator generator(Path from, String types) {
        Generator generator = new Generator(List.of(), Progress.NONE);
        generator.addFrom(List.of(from), types);
        return generator;
    }

    /** Compiles everything, with all warnings as errors. */
    final URLClassLoader compiled() throws IOException {
        return compiledWithout("none");
    }

    final URLClassLoader compiledWithout(String leftOut) throws IOException {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        Path classes = folder.resolve("classes");
        StringWriter said = new StringWriter();
        try (StandardJavaFileManager manager = compiler.getStandardFileManager(null, null, null);
                Stream<Path> files = Files.walk(folder)) {
            List<Path> sources = files.filter(file -> file.toString().endsWith(".java") && !file.endsWith(leftOut))
                    .toList();
            boolean fine = compiler.getTask(
                            said,
                            manager,
                            null,
                            List.of(
                                    "-Xlint:all,-processing",
                                    "-Werror",
                                    "-d",
                                    Files.createDirectories(classes).toString(),
                                    "-cp",
                                    classes + File.pathSeparator + System.getProperty("java.class.path")),
                            null,
                            manager.getJavaFileObjectsFromPaths(sources))
                    .call();
            assertThat(fine).as(said.toString()).isTrue();
        }
        return new URLClassLoader(
                new URL[] {classes.toUri().toURL()}, getClass().getClassLoader());
    }
}
