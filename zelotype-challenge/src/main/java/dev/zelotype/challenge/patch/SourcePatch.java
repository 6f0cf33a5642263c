package dev.zelotype.challenge.patch;

import dev.zelotype.Zelotype;
import dev.zelotype.basics.CodeOwner;
import dev.zelotype.challenge.error.ChallengeException;
import dev.zelotype.challenge.finding.ChallengeResult;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.challenge.patch.TestSource.Source;
import dev.zelotype.challenge.patch.TestSource.Wanted;
import dev.zelotype.tools.TestNames;
import java.io.IOException;
import java.io.OutputStream;
import java.io.StringWriter;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.tools.FileObject;
import javax.tools.ForwardingJavaFileManager;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileManager;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.StandardLocation;
import javax.tools.ToolProvider;
import org.jspecify.annotations.Nullable;

/**
 * For builds and tools: the proposals of a challenge as a patch of the test sources. Each source is compiled with its
 * additions before it becomes part of the patch. No file is changed. Immutable.
 *
 * <pre>{@code
 * SourcePatch patch = SourcePatch.of(result, List.of(Path.of("src/test/java")), classPath);
 * System.out.print(patch.text());
 * }</pre>
 *
 * @since 0.2
 */
public final class SourcePatch {

    private static final Pattern CLASS = Pattern.compile("\\[(?:nested-)?class:([^]]+)]");
    private static final Pattern METHOD = Pattern.compile("\\[method:([^(\\]]+)\\(([^)]*)\\)]$");

    private final String text;
    private final int statements;
    private final List<String> leftOut;

    private SourcePatch(String text, int statements, List<String> leftOut) {
        this.text = text;
        this.statements = statements;
        this.leftOut = List.copyOf(leftOut);
    }

    /**
     * Makes the patch of a result. It contains statements for gaps and unclear places; questions must be answered by
     * people first.
     *
     * @param result the result of a challenge
     * @param sources the folders of the test sources; paths in the patch start with them, relative to the working
     *     directory
     * @param classPath the class path to compile the sources with
     * @return the patch
     * @throws ChallengeException if a source cannot be read, or this JVM has no compiler
     */
    public static SourcePatch of(ChallengeResult result, List<Path> sources, List<Path> classPath) {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        if (compiler == null) {
            throw new ChallengeException("This JVM has no compiler, so no patch can be made: use a JDK.");
        }
        return new Making(compiler, sources, classPath).of(result);
    }

    /**
     * Returns the patch.
     *
     * @return a unified diff; empty if there is nothing to write
     */
    public String text() {
        return text;
    }

    /**
     * Returns how many statements it adds.
     *
     * @return the number
     */
    public int statements() {
        return statements;
    }

    /**
     * Returns the proposals that are not in the patch.
     *
     * @return one sentence for each
     */
    public List<String> leftOut() {
        return leftOut;
    }

    /** A test as described by its unique id. */
    private record Place(List<String> types, String file, String method, int parameters) {

        static @Nullable Place of(String id) {
            Matcher method = METHOD.matcher(id);
            if (!method.find()) {
                return null;
            }
            List<String> types = new ArrayList<>();
            String file = "";
            Matcher type = CLASS.matcher(id);
            while (type.find()) {
                String name = type.group(1);
                if (types.isEmpty()) {
                    file = CodeOwner.outermost(name).replace('.', '/') + ".java";
                    name = name.substring(name.lastIndexOf('.') + 1);
                }
                types.addAll(List.of(name.split("\\$")));
            }
            String parameters = method.group(2).strip();
            return types.isEmpty()
                    ? null
                    : new Place(types, file, method.group(1), parameters.isEmpty() ? 0 : parameters.split(",").length);
        }
    }

    private record Addition(Finding finding, List<Edit> edits) {}

    private static final class Making {

        private final JavaCompiler compiler;
        private final List<Path> sources;
        private final List<Path> classPath;
        private final List<String> leftOut = new ArrayList<>();

        Making(JavaCompiler compiler, List<Path> sources, List<Path> classPath) {
            this.compiler = compiler;
            this.sources = sources;
            this.classPath = classPath;
        }

        SourcePatch of(ChallengeResult result) {
            Set<String> verbs = verbs();
            Map<Path, TestSource> parsed = new LinkedHashMap<>();
            Map<Path, List<Addition>> additions = new LinkedHashMap<>();
            Set<List<String>> said = new LinkedHashSet<>();
            for (Finding each : result.findings()) {
                boolean counts = each.weight() == Finding.Weight.GAP || each.weight() == Finding.Weight.UNCLEAR;
                if (!counts || each.statement().isEmpty() || !said.add(List.of(each.statedIn(), each.statement()))) {
                    continue;
                }
                Place place = Place.of(each.statedIn());
                Path file = place == null ? null : file(place.file());
                if (place == null) {
                    leave(each, "its test runs several times, or is made while tests run");
                    continue;
                } else if (file == null) {
                    leave(each, place.file() + " is in none of the folders " + joined());
                    continue;
                }
                TestSource source = parsed.computeIfAbsent(file, this::parsed);
                Wanted wanted = Wanted.of(each.statement(), verbs, Zelotype.class.getName());
                List<Edit> edits = source.saying(wanted, place.types(), place.method(), place.parameters());
                if (edits == null) {
                    leave(each, place.file() + " does not declare the test, or has two of its name");
                } else {
                    additions.computeIfAbsent(file, first -> new ArrayList<>()).add(new Addition(each, edits));
                }
            }
            StringBuilder text = new StringBuilder();
            int statements = 0;
            for (Map.Entry<Path, List<Addition>> each : additions.entrySet()) {
                TestSource source = parsed.get(each.getKey());
                List<Addition> compiled = compiled(each.getKey(), source, each.getValue());
                statements += compiled.size();
                text.append(UnifiedDiff.of(path(each.getKey()), source.text(), after(source, compiled)));
            }
            return new SourcePatch(text.toString(), statements, leftOut);
        }

        private static Set<String> verbs() {
            return Arrays.stream(Zelotype.class.getMethods())
                    .filter(each -> Modifier.isStatic(each.getModifiers()))
                    .map(Method::getName)
                    .collect(Collectors.toCollection(TreeSet::new));
        }

        private void leave(Finding finding, String reason) {
            leftOut.add(
                    finding.statement().lines().reduce((first, last) -> last).orElse("") + " in "
                            + TestNames.readable(finding.tests().get(0)) + ": " + reason);
        }

        private String joined() {
            return sources.stream().map(String::valueOf).collect(Collectors.joining(", "));
        }

        private @Nullable Path file(String name) {
            return sources.stream()
                    .map(each -> each.resolve(name))
                    .filter(Files::isRegularFile)
                    .findFirst()
                    .orElse(null);
        }

        private TestSource parsed(Path file) {
            try {
                return new TestSource(compiler, file.getFileName().toString(), Files.readString(file));
            } catch (IOException e) {
                throw new ChallengeException(file + " cannot be read: " + e.getMessage() + ".", e);
            }
        }

        private static String path(Path file) {
            Path here = Path.of("").toAbsolutePath();
            Path whole = file.toAbsolutePath().normalize();
            Path shown = whole.startsWith(here) ? here.relativize(whole) : whole;
            return shown.toString()
                    .replace(file.getFileSystem().getSeparator(), "/")
                    .replaceFirst("^/", "");
        }

        /**
         * A name in the test may hide one in a statement: statements that do not compile together with the others are
         * left out.
         */
        private List<Addition> compiled(Path file, TestSource source, List<Addition> wanted) {
            if (compiles(file, after(source, wanted))) {
                return wanted;
            }
            List<Addition> kept = new ArrayList<>();
            for (Addition each : wanted) {
                kept.add(each);
                if (!compiles(file, after(source, kept))) {
                    kept.remove(each);
                    leave(each.finding(), "the test does not compile with it");
                }
            }
            return kept;
        }

        /** Two statements may need the same import or field. */
        private static String after(TestSource source, List<Addition> additions) {
            Set<Edit> edits = new LinkedHashSet<>();
            additions.forEach(each -> edits.addAll(each.edits()));
            return Edit.apply(source.text(), List.copyOf(edits));
        }

        private boolean compiles(Path file, String code) {
            try (StandardJavaFileManager files =
                    compiler.getStandardFileManager(null, Locale.ROOT, StandardCharsets.UTF_8)) {
                files.setLocationFromPaths(StandardLocation.CLASS_PATH, classPath);
                return compiler.getTask(
                                new StringWriter(),
                                new Nowhere(files),
                                heard -> {},
                                List.of("-proc:none", "-nowarn"),
                                null,
                                List.of(new Source(file.getFileName().toString(), code)))
                        .call();
            } catch (IOException e) {
                throw new ChallengeException(file + " cannot be compiled: " + e.getMessage() + ".", e);
            }
        }
    }

    /** Discards the compiled classes. */
    private static final class Nowhere extends ForwardingJavaFileManager<JavaFileManager> {

        Nowhere(JavaFileManager files) {
            super(files);
        }

        @Override
        public JavaFileObject getJavaFileForOutput(
                Location location, String className, JavaFileObject.Kind kind, FileObject sibling) {
            return new SimpleJavaFileObject(
                    URI.create("memory:///" + className.replace('.', '/') + kind.extension), kind) {
                @Override
                public OutputStream openOutputStream() {
                    return OutputStream.nullOutputStream();
                }
            };
        }
    }
}
