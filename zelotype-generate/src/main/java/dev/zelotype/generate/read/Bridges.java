package dev.zelotype.generate.read;

import java.lang.reflect.Method;
import java.net.MalformedURLException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.TypeElement;

/**
 * Methods that another language's compiler has written to lead from one to another. Java hides those that its own compiler
 * writes; of the others its model of a type says nothing, so the class itself is asked.
 */
public final class Bridges {

    public static final Bridges NONE = new Bridges(List.of());

    /** Marks classes that were compiled from Kotlin. */
    private static final String OF_KOTLIN = "kotlin.Metadata";

    private final URL[] classPath;
    private final Map<String, Set<String>> known = new HashMap<>();

    public Bridges(List<Path> classPath) {
        List<URL> urls = new ArrayList<>();
        for (Path entry : classPath) {
            try {
                urls.add(entry.toUri().toURL());
            } catch (MalformedURLException e) {
                // What no class can be loaded from holds none.
                continue;
            }
        }
        this.classPath = urls.toArray(new URL[0]);
    }

    /** Whether a type can have any that the compiler does not show. */
    boolean mayBeIn(TypeElement type) {
        return classPath.length > 0
                && type.getAnnotationMirrors().stream()
                        .anyMatch(each -> each.getAnnotationType().toString().equals(OF_KOTLIN));
    }

    /** Whether a method, by its name and the number of its parameters, only leads to another one. */
    boolean has(String binaryName, String method, int parameters) {
        return known.computeIfAbsent(binaryName, this::read).contains(method + parameters);
    }

    private Set<String> read(String binaryName) {
        Set<String> bridges = new HashSet<>();
        Set<String> others = new HashSet<>();
        try (URLClassLoader loader = new URLClassLoader(classPath, ClassLoader.getPlatformClassLoader())) {
            for (Method method : Class.forName(binaryName, false, loader).getDeclaredMethods()) {
                (method.isBridge() ? bridges : others).add(method.getName() + method.getParameterCount());
            }
        } catch (ReflectiveOperationException | LinkageError | java.io.IOException e) {
            // A class that needs what is not there tells nothing; the compiler will.
            return Set.of();
        }
        bridges.removeAll(others);
        return bridges;
    }
}
