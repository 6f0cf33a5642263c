package dev.zelotype.benchmarks;

import com.sun.source.util.JavacTask;
import dev.zelotype.generate.Generator;
import dev.zelotype.generate.Progress;
import dev.zelotype.generate.Style;
import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/**
 * Run in a JVM of its own: writes doubles for many interfaces in the given styles, or only lets the compiler parse and
 * attribute them. The third argument is the folder for the files. Prints milliseconds, and the peak memory of the process
 * in megabytes.
 */
public final class ThousandInterfaces {

    private ThousandInterfaces() {}

    public static void main(String[] arguments) throws IOException {
        Path folder = WholeFiles.temporaryFolder(Path.of(arguments[2]), "zelotype-thousand");
        List<Path> files = new ArrayList<>();
        for (int i = 0; i < Integer.parseInt(arguments[1]); i++) {
            files.add(Files.writeString(folder.resolve("Station" + i + ".java"), """
                    import java.util.*;
                    public interface Station%d<T extends Comparable<T>> {
                        int humidity();
                        int humidityAt(String dome) throws java.io.IOException;
                        Optional<T> find(String name, int limit);
                        <K> Map<K, List<T>> grouped(Collection<? extends K> keys);
                        void note(String text);
                        void note(String text, int severity);
                    }
                    """.formatted(i)));
        }
        long start = System.nanoTime();
        if (arguments[0].equals("javac")) {
            analyze(files);
        } else {
            Generator generator = new Generator(List.of(), Progress.NONE);
            generator.addFrom(List.of(folder), "*");
            generator
                    .plan(Style.ofWords(List.of(arguments[0].split(","))), "", folder.resolve("out"), "again")
                    .write(false);
        }
        System.out.println((System.nanoTime() - start) / 1_000_000 + " " + megabytes());
    }

    /** The peak memory as Linux reports it; 0 elsewhere. */
    private static long megabytes() throws IOException {
        Path status = Path.of("/proc/self/status");
        if (!Files.exists(status)) {
            return 0;
        }
        String line = Files.readAllLines(status).stream()
                .filter(each -> each.startsWith("VmHWM:"))
                .findFirst()
                .orElse("0");
        return Long.parseLong(line.replaceAll("[^0-9]", "")) / 1024;
    }

    private static void analyze(List<Path> files) throws IOException {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        try (StandardJavaFileManager manager = compiler.getStandardFileManager(null, null, null)) {
            JavacTask task = (JavacTask) compiler.getTask(
                    null,
                    manager,
                    null,
                    List.of("-proc:none", "-implicit:none"),
                    null,
                    manager.getJavaFileObjectsFromPaths(files));
            task.analyze();
        }
    }
}
