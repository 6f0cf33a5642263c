package dev.zelotype.sweep;

import java.io.File;
import java.io.IOException;
import java.net.URI;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import java.util.stream.Stream;

/**
 * The names of the classes of a JDK module or of a jar on the class path.
 */
final class TypeLists {

    private TypeLists() {}

    static List<String> of(String name) throws IOException {
        if (name.startsWith("java.")) {
            return ofModule(name);
        }
        for (String entry : System.getProperty("java.class.path").split(File.pathSeparator)) {
            if (Path.of(entry).getFileName().toString().startsWith(name + "-")) {
                return ofJar(entry);
            }
        }
        throw new IOException(name + " is neither a JDK module nor a jar on the class path.");
    }

    private static List<String> ofModule(String name) throws IOException {
        Path root = FileSystems.getFileSystem(URI.create("jrt:/")).getPath("modules", name);
        try (Stream<Path> files = Files.walk(root)) {
            return files.map(file -> root.relativize(file).toString())
                    .filter(TypeLists::isType)
                    .map(TypeLists::className)
                    .sorted()
                    .toList();
        }
    }

    private static List<String> ofJar(String jar) throws IOException {
        try (JarFile file = new JarFile(jar)) {
            return file.stream()
                    .map(JarEntry::getName)
                    .filter(TypeLists::isType)
                    .map(TypeLists::className)
                    .sorted()
                    .toList();
        }
    }

    private static boolean isType(String file) {
        return file.endsWith(".class") && !file.endsWith("-info.class") && !file.startsWith("META-INF");
    }

    private static String className(String file) {
        return file.substring(0, file.length() - ".class".length()).replace('/', '.');
    }
}
