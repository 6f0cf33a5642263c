package dev.zelotype.generate.read;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.JavacTask;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.ToolProvider;

/**
 * The sources next to jars of classes, for example {@code sky-sources.jar} beside {@code sky.jar}. They are only
 * parsed, to get the names that are missing in class files.
 */
public final class SourceJars {

    public static final SourceJars NONE = new SourceJars(List.of());

    private final List<Path> jars = new ArrayList<>();
    private final Map<String, List<ClassTree>> parsed = new HashMap<>();

    public SourceJars(List<Path> classPath) {
        for (Path entry : classPath) {
            beside(entry).filter(Files::isRegularFile).ifPresent(jars::add);
        }
    }

    /** Where the sources of a jar would be, whether or not they exist; none for a path that is not a jar. */
    public static Optional<Path> beside(Path place) {
        String name = place.getFileName() == null ? "" : place.getFileName().toString();
        return name.endsWith(".jar")
                ? Optional.of(place.resolveSibling(name.substring(0, name.length() - ".jar".length()) + "-sources.jar"))
                : Optional.empty();
    }

    /** The names of a method's parameters; none if its source is not found. */
    List<String> parameters(TypeElement type, ExecutableElement method) {
        if (jars.isEmpty()) {
            return List.of();
        }
        List<String> path = new ArrayList<>();
        Element at = type;
        for (; at.getEnclosingElement() instanceof TypeElement; at = at.getEnclosingElement()) {
            path.add(0, at.getSimpleName().toString());
        }
        List<ClassTree> classes =
                parsed.computeIfAbsent(((TypeElement) at).getQualifiedName().toString(), this::parse);
        ClassTree found = named(classes, at.getSimpleName().toString());
        for (String nested : path) {
            found = found == null ? null : named(nestedIn(found), nested);
        }
        return found == null ? List.of() : names(found, method);
    }

    private static ClassTree named(List<ClassTree> classes, String name) {
        return classes.stream()
                .filter(each -> each.getSimpleName().contentEquals(name))
                .findFirst()
                .orElse(null);
    }

    private static List<ClassTree> nestedIn(ClassTree outer) {
        List<ClassTree> nested = new ArrayList<>();
        for (Tree member : outer.getMembers()) {
            if (member instanceof ClassTree inner) {
                nested.add(inner);
            }
        }
        return nested;
    }

    private static List<String> names(ClassTree type, ExecutableElement method) {
        for (Tree member : type.getMembers()) {
            if (member instanceof MethodTree tree && isSame(tree, method)) {
                return tree.getParameters().stream()
                        .map(parameter -> parameter.getName().toString())
                        .toList();
            }
        }
        return List.of();
    }

    private static boolean isSame(MethodTree tree, ExecutableElement method) {
        boolean same = tree.getName().contentEquals(method.getSimpleName())
                && tree.getParameters().size() == method.getParameters().size();
        for (int i = 0; same && i < tree.getParameters().size(); i++) {
            VariableTree written = tree.getParameters().get(i);
            VariableElement known = method.getParameters().get(i);
            same = simple(written.getType().toString())
                    .equals(simple(known.asType().toString()));
        }
        return same;
    }

    /** A type without package, type arguments and annotations. */
    private static String simple(String type) {
        String plain = type;
        while (plain.matches(".*<[^<>]*>.*")) {
            plain = plain.replaceAll("<[^<>]*>", "");
        }
        plain = plain.replaceAll("@[\\w.]+(\\([^)]*\\))?,?\\s*", "")
                .replace("...", "[]")
                .replace(" ", "");
        return plain.substring(plain.lastIndexOf('.') + 1);
    }

    private List<ClassTree> parse(String name) {
        for (Path jar : jars) {
            try (ZipFile zip = new ZipFile(jar.toFile())) {
                ZipEntry entry = zip.getEntry(name.replace('.', '/') + ".java");
                if (entry != null) {
                    return parse(name, new String(zip.getInputStream(entry).readAllBytes(), StandardCharsets.UTF_8));
                }
            } catch (IOException e) {
                // Sources only provide better names; an unreadable jar is not an error.
                continue;
            }
        }
        return List.of();
    }

    private static List<ClassTree> parse(String name, String text) throws IOException {
        JavaFileObject file =
                new SimpleJavaFileObject(
                        URI.create("string:///" + name.replace('.', '/') + ".java"), JavaFileObject.Kind.SOURCE) {
                    @Override
                    public CharSequence getCharContent(boolean ignoreEncodingErrors) {
                        return text;
                    }
                };
        JavacTask task = (JavacTask) ToolProvider.getSystemJavaCompiler()
                .getTask(null, null, new DiagnosticCollector<>(), List.of("-proc:none"), null, List.of(file));
        List<ClassTree> classes = new ArrayList<>();
        for (CompilationUnitTree unit : task.parse()) {
            for (Tree declared : unit.getTypeDecls()) {
                if (declared instanceof ClassTree type) {
                    classes.add(type);
                }
            }
        }
        return classes;
    }
}
