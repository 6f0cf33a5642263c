package dev.zelotype.challenge.run;

import dev.zelotype.challenge.error.ChallengeException;
import dev.zelotype.challenge.finding.Proposal;
import dev.zelotype.challenge.worker.Trial;
import dev.zelotype.host.AgentJar;
import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.io.StringWriter;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.StandardLocation;
import javax.tools.ToolProvider;

/**
 * Statements that are compiled before they are proposed, each in its own class beside the test, and the folder of a
 * challenge's temporary files.
 */
public final class Trials implements AutoCloseable {

    private final List<Path> classPath;
    private final Path folder;
    /** By identity: the same statement in another test is a separate trial. */
    private final Map<Proposal, Source> sources = new IdentityHashMap<>();

    /** Returns the source of a class with a statement. */
    private static final class Source extends SimpleJavaFileObject {

        private final String type;
        private final String code;

        Source(String type, String code) {
            super(URI.create("memory:///" + type.replace('.', '/') + ".java"), Kind.SOURCE);
            this.type = type;
            this.code = code;
        }

        @Override
        public CharSequence getCharContent(boolean ignoreErrors) {
            return code;
        }
    }

    public Trials(List<Path> classPath) {
        this.classPath = classPath;
        try {
            folder = WholeFiles.temporaryFolder("zelotype-trials");
            AgentJar.write(agent());
        } catch (IOException e) {
            throw new ChallengeException("No folder for temporary files can be made: " + e.getMessage() + ".", e);
        }
    }

    /** The folder of the compiled classes, to be added to the tests' class path. */
    public Path folder() {
        return folder;
    }

    /** The agent that workers are started with: attaching it later takes longer than many tests do. */
    public Path agent() {
        return folder.resolve("agent.jar");
    }

    /** Adds a statement to compile, for a test of a class. */
    void add(Proposal proposal, String testClass) {
        String name = Trial.NAME + (sources.size() + 1);
        String home = packageOf(testClass);
        String parameters = proposal.receivers().stream()
                .map(each -> each.type() + " " + each.variable())
                .distinct()
                .collect(Collectors.joining(", "));
        StringBuilder code = new StringBuilder(home.isEmpty() ? "" : "package " + home + ";\n");
        code.append("import static dev.zelotype.Zelotype.*;\n");
        proposal.imports().forEach(each -> code.append("import ").append(each).append(";\n"));
        code.append("final class ")
                .append(name)
                .append(" {\n    static void ")
                .append(Trial.METHOD)
                .append('(');
        code.append(parameters)
                .append(") throws Throwable {\n")
                .append(proposal.statement())
                .append("\n    }\n}\n");
        sources.put(proposal, new Source(home.isEmpty() ? name : home + "." + name, code.toString()));
    }

    /** Compiles the added statements, and removes those that do not compile. */
    void compile() {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        if (compiler == null) {
            sources.clear();
            return;
        }
        while (!sources.isEmpty()) {
            Set<String> wrong = new TreeSet<>();
            DiagnosticCollector<JavaFileObject> heard = new DiagnosticCollector<>();
            try (StandardJavaFileManager files =
                    compiler.getStandardFileManager(heard, Locale.ROOT, StandardCharsets.UTF_8)) {
                files.setLocationFromPaths(StandardLocation.CLASS_PATH, classPath);
                files.setLocationFromPaths(StandardLocation.CLASS_OUTPUT, List.of(folder));
                List<String> options = List.of("-proc:none", "-nowarn", "-parameters");
                boolean done = compiler.getTask(new StringWriter(), files, heard, options, null, sources.values())
                        .call();
                heard.getDiagnostics().stream()
                        .filter(each -> each.getKind() == Diagnostic.Kind.ERROR)
                        .filter(each -> each.getSource() instanceof Source)
                        .forEach(each -> wrong.add(((Source) each.getSource()).type));
                if (done) {
                    return;
                }
            } catch (IOException e) {
                throw new ChallengeException("Statements cannot be compiled: " + e.getMessage() + ".", e);
            }
            // An error without a place concerns all of them.
            sources.values().removeIf(each -> wrong.isEmpty() || wrong.contains(each.type));
        }
    }

    /** The class with a statement; empty if it does not compile. */
    String typeOf(Proposal proposal) {
        Source source = sources.get(proposal);
        return source == null ? "" : source.type;
    }

    /**
     * A statement as a reader needs it: after the imports and the field that the test lacks.
     *
     * @param testClass the test whose class file shows which types it already imports
     */
    String written(Proposal proposal, String testClass) {
        String known = code(testClass);
        String home = packageOf(testClass);
        List<String> lines = new ArrayList<>();
        for (String each : proposal.imports()) {
            if (!packageOf(each).equals(home) && !known.contains(each.replace('.', '/'))) {
                lines.add("import " + each + ";");
            }
        }
        for (Proposal.Receiver each : proposal.receivers()) {
            if (!each.declared()) {
                lines.add("@StandIn " + simple(each.type()) + " " + each.variable() + ";");
            }
        }
        lines.add(proposal.statement());
        return String.join("\n", lines);
    }

    private static String packageOf(String type) {
        return type.substring(0, Math.max(0, type.lastIndexOf('.')));
    }

    private static String simple(String type) {
        return type.substring(type.lastIndexOf('.') + 1);
    }

    private String code(String testClass) {
        String file = testClass.replace('.', '/') + ".class";
        for (Path each : classPath) {
            Path place = each.resolve(file);
            if (Files.isRegularFile(place)) {
                try {
                    return Files.readString(place, StandardCharsets.ISO_8859_1);
                } catch (IOException e) {
                    // Then a superfluous import is reported.
                    return "";
                }
            }
        }
        return "";
    }

    @Override
    public void close() {
        try {
            WholeFiles.delete(folder);
        } catch (IOException e) {
            // A file that remains in the temporary folder does no harm.
            return;
        }
    }
}
