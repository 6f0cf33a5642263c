package dev.zelotype.examples.guide;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreeScanner;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.ToolProvider;

/**
 * Sources as the compiler reads them: comments, strings and methods that are never called do not count as code.
 */
final class CodeThatRuns {

    private static final JavaCompiler COMPILER = ToolProvider.getSystemJavaCompiler();

    /** The annotations of methods that JUnit or a container calls. */
    private static final Set<String> CALLED =
            Set.of("Test", "ParameterizedTest", "TestFactory", "BeforeEach", "AfterEach", "Bean", "PrePersist");

    /** Consecutive statements or members, or the imports of a file. */
    private final List<List<String>> sequences = new ArrayList<>();

    CodeThatRuns(List<Path> folders) throws IOException {
        for (Path folder : folders) {
            try (Stream<Path> files = Files.walk(folder)) {
                for (Path file :
                        files.filter(path -> path.toString().endsWith(".java")).toList()) {
                    read(parsed(Files.readString(file)));
                }
            }
        }
    }

    /** What is wrong with a piece of code; empty if it compiles and runs. */
    String problemOf(String part) {
        // A part may end within a block, or contain the end of a block of an earlier part.
        String begun = part;
        for (int surplus = -open(part); surplus > 0; surplus--) {
            begun = begun.substring(0, begun.lastIndexOf('}'));
        }
        if (begun.isBlank()) {
            return "";
        }
        int open = Math.max(0, open(begun));
        List<String> wanted = whole(begun + "\n" + "}".repeat(open));
        if (wanted.isEmpty()) {
            return "The compiler does not understand this";
        }
        boolean stands = sequences.stream().anyMatch(sequence -> stands(wanted, open, sequence));
        return stands ? "" : "This is not part of code that runs";
    }

    /** As a file, as members of a class, or as statements. */
    private static List<String> whole(String code) {
        for (String around : List.of("class Around { %s }", "class Around { void within() { %s } }", "%s")) {
            CompilationUnitTree unit = parsed(around.formatted(code));
            if (unit == null) {
                continue;
            }
            List<String> texts = new ArrayList<>();
            if (around.equals("%s")) {
                unit.getImports().forEach(each -> texts.add(flat(each)));
                unit.getTypeDecls().forEach(each -> texts.add(flat(each)));
            } else {
                List<? extends Tree> members = ((ClassTree) unit.getTypeDecls().get(0)).getMembers();
                boolean statements = around.contains("within");
                (statements ? ((MethodTree) members.get(0)).getBody().getStatements() : members)
                        .forEach(each -> texts.add(flat(each)));
            }
            return texts;
        }
        return List.of();
    }

    /** The last one may be incomplete: then the code only has to begin with it. */
    private static boolean stands(List<String> wanted, int open, List<String> sequence) {
        int last = wanted.size() - 1;
        String end = wanted.get(last);
        for (int i = 0; i < open; i++) {
            end = end.substring(0, end.lastIndexOf('}')).stripTrailing();
        }
        for (int from = 0; from + last < sequence.size(); from++) {
            String there = sequence.get(from + last);
            boolean ends = open == 0 ? there.equals(end) : there.startsWith(end);
            if (ends && sequence.subList(from, from + last).equals(wanted.subList(0, last))) {
                return true;
            }
        }
        return false;
    }

    private void read(CompilationUnitTree unit) {
        Set<String> named = new HashSet<>();
        new Names(named).scan(unit, null);
        List<String> file = new ArrayList<>();
        unit.getImports().forEach(each -> file.add(flat(each)));
        unit.getTypeDecls().forEach(each -> file.add(flat(each)));
        sequences.add(file);
        new Sequences(named).scan(unit, null);
    }

    private static final class Names extends TreeScanner<Void, Void> {

        private final Set<String> named;

        Names(Set<String> named) {
            this.named = named;
        }

        @Override
        public Void visitImport(ImportTree tree, Void none) {
            return null;
        }

        @Override
        public Void visitIdentifier(IdentifierTree tree, Void none) {
            named.add(tree.getName().toString());
            return null;
        }

        @Override
        public Void visitMemberSelect(MemberSelectTree tree, Void none) {
            named.add(tree.getIdentifier().toString());
            return super.visitMemberSelect(tree, none);
        }

        @Override
        public Void visitMemberReference(MemberReferenceTree tree, Void none) {
            named.add(tree.getName().toString());
            return super.visitMemberReference(tree, none);
        }
    }

    private final class Sequences extends TreeScanner<Void, Void> {

        private final Set<String> named;

        Sequences(Set<String> named) {
            this.named = named;
        }

        @Override
        public Void visitClass(ClassTree tree, Void none) {
            sequences.add(tree.getMembers().stream().map(CodeThatRuns::flat).toList());
            return super.visitClass(tree, none);
        }

        @Override
        public Void visitMethod(MethodTree tree, Void none) {
            boolean called = tree.getName().contentEquals("main")
                    || named.contains(tree.getName().toString())
                    || tree.getModifiers().getAnnotations().stream()
                            .map(AnnotationTree::getAnnotationType)
                            .anyMatch(type -> CALLED.contains(type.toString()));
            return called ? super.visitMethod(tree, none) : null;
        }

        @Override
        public Void visitBlock(BlockTree tree, Void none) {
            sequences.add(tree.getStatements().stream().map(CodeThatRuns::flat).toList());
            return super.visitBlock(tree, none);
        }
    }

    private static String flat(Tree tree) {
        return tree.toString().replaceAll("\\s+", " ").strip();
    }

    private static int open(String code) {
        return (int) (code.chars().filter(c -> c == '{').count()
                - code.chars().filter(c -> c == '}').count());
    }

    /** Null if it is not Java. */
    private static CompilationUnitTree parsed(String code) {
        DiagnosticCollector<JavaFileObject> problems = new DiagnosticCollector<>();
        JavaFileObject source = new TextAsFile("Code", code);
        JavacTask task =
                (JavacTask) COMPILER.getTask(null, null, problems, List.of("-proc:none"), null, List.of(source));
        try {
            CompilationUnitTree unit = task.parse().iterator().next();
            return problems.getDiagnostics().isEmpty() ? unit : null;
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }
}
