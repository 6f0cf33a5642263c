package dev.zelotype.challenge.patch;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.Trees;
import dev.zelotype.challenge.error.ChallengeException;
import java.io.IOException;
import java.io.StringWriter;
import java.net.URI;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import org.jspecify.annotations.Nullable;

/**
 * The source of a test, and the places where something can be inserted.
 */
final class TestSource {

    private static final String INDENT = "    ";

    private final String text;
    private final String newline;
    private final CompilationUnitTree unit;
    private final SourcePositions positions;

    /** A source in memory. */
    static final class Source extends SimpleJavaFileObject {

        private final String code;

        Source(String name, String code) {
            super(URI.create("memory:///" + name), Kind.SOURCE);
            this.code = code;
        }

        @Override
        public CharSequence getCharContent(boolean ignoreErrors) {
            return code;
        }
    }

    /**
     * Parses.
     *
     * @param name the name of the file
     */
    TestSource(JavaCompiler compiler, String name, String text) {
        this.text = text;
        this.newline = text.contains("\r\n") ? "\r\n" : "\n";
        JavaFileObject source = new Source(name, text);
        JavacTask task = (JavacTask)
                compiler.getTask(new StringWriter(), null, heard -> {}, List.of("-proc:none"), null, List.of(source));
        try {
            unit = task.parse().iterator().next();
        } catch (IOException e) {
            throw new ChallengeException(name + " cannot be read: " + e.getMessage() + ".", e);
        }
        positions = Trees.instance(task).getSourcePositions();
    }

    String text() {
        return text;
    }

    /**
     * The edits that add a statement to the end of a test.
     *
     * @param types the names of the class and its enclosing classes, the outermost first
     * @param parameters the number of the method's parameters
     * @return null if the source has no such method, or more than one
     */
    @Nullable
    List<Edit> saying(Wanted wanted, List<String> types, String method, int parameters) {
        ClassTree type = type(types);
        MethodTree found = type == null ? null : method(type, method, parameters);
        BlockTree body = found == null ? null : found.getBody();
        if (type == null || body == null) {
            return null;
        }
        List<Edit> edits = new ArrayList<>();
        for (String each : wanted.imports()) {
            if (!isImported(each)) {
                edits.add(new Edit(endOfImports(), "import " + each + ";" + newline));
            }
        }
        for (String each : wanted.fields()) {
            edits.add(field(type, each));
        }
        edits.add(atEnd(body, wanted.statement()));
        return edits;
    }

    private @Nullable ClassTree type(List<String> names) {
        ClassTree found = null;
        List<? extends Tree> members = unit.getTypeDecls();
        for (String name : names) {
            found = null;
            for (Tree each : members) {
                if (each instanceof ClassTree type && type.getSimpleName().contentEquals(name)) {
                    found = type;
                }
            }
            if (found == null) {
                return null;
            }
            members = found.getMembers();
        }
        return found;
    }

    private static @Nullable MethodTree method(ClassTree type, String name, int parameters) {
        List<MethodTree> found = new ArrayList<>();
        for (Tree each : type.getMembers()) {
            if (each instanceof MethodTree method
                    && method.getName().contentEquals(name)
                    && method.getParameters().size() == parameters) {
                found.add(method);
            }
        }
        return found.size() == 1 ? found.get(0) : null;
    }

    private boolean isImported(String wanted) {
        String package_ = wanted.substring(0, wanted.lastIndexOf('.'));
        String home = unit.getPackageName() == null ? "" : unit.getPackageName().toString();
        if (package_.equals(home)) {
            return true;
        }
        for (ImportTree each : unit.getImports()) {
            String name = (each.isStatic() ? "static " : "") + each.getQualifiedIdentifier();
            if (name.equals(wanted) || name.equals(package_ + ".*")) {
                return true;
            }
        }
        return false;
    }

    private int endOfImports() {
        long end = unit.getPackage() == null ? 0 : positions.getEndPosition(unit, unit.getPackage());
        for (ImportTree each : unit.getImports()) {
            end = Math.max(end, positions.getEndPosition(unit, each));
        }
        int line = text.indexOf('\n', (int) end);
        return end == 0 ? 0 : line < 0 ? text.length() : line + 1;
    }

    /** After the last field, or else at the start of the class. */
    private Edit field(ClassTree type, String field) {
        long end = -1;
        for (Tree each : type.getMembers()) {
            if (each.getKind() == Tree.Kind.VARIABLE && positions.getStartPosition(unit, each) >= 0) {
                end = positions.getEndPosition(unit, each);
            }
        }
        if (end < 0) {
            end = text.indexOf('{', (int) headEnd(type)) + 1;
        }
        String indent = indentOf((int) positions.getStartPosition(unit, type)) + INDENT;
        return new Edit((int) end, newline + newline + indent + field);
    }

    /** Where to look for the brace of a class body: annotations before the class name may have braces of their own. */
    private long headEnd(ClassTree type) {
        long end = positions.getEndPosition(unit, type.getModifiers());
        return end < 0 ? positions.getStartPosition(unit, type) : end;
    }

    private Edit atEnd(BlockTree body, String statement) {
        int brace = (int) positions.getEndPosition(unit, body) - 1;
        int line = text.lastIndexOf('\n', brace - 1) + 1;
        String outer = indentOf(brace);
        List<? extends StatementTree> statements = body.getStatements();
        int last = statements.isEmpty()
                ? -1
                : (int) positions.getStartPosition(unit, statements.get(statements.size() - 1));
        String inner = last > line || last < 0 ? outer + INDENT : indentOf(last);
        if (text.substring(line, brace).isBlank()) {
            return new Edit(line, inner + statement + newline);
        }
        return new Edit(brace, newline + inner + statement + newline + outer);
    }

    private String indentOf(int offset) {
        int line = text.lastIndexOf('\n', offset - 1) + 1;
        int end = line;
        while (end < text.length() && (text.charAt(end) == ' ' || text.charAt(end) == '\t')) {
            end++;
        }
        return text.substring(line, end);
    }

    /**
     * What is inserted.
     *
     * @param imports qualified names, with {@code static} before those of methods
     */
    record Wanted(Set<String> imports, List<String> fields, String statement) {

        /** The proposal of a finding, with the static imports that it needs. */
        static Wanted of(String proposed, Set<String> verbs, String verbsOf) {
            Set<String> imports = new LinkedHashSet<>();
            List<String> fields = new ArrayList<>();
            StringBuilder statement = new StringBuilder();
            for (String line : proposed.lines().toList()) {
                if (line.startsWith("import ")) {
                    imports.add(line.substring("import ".length(), line.length() - 1));
                } else if (line.startsWith("@StandIn ")) {
                    imports.add("dev.zelotype.junit.StandIn");
                    fields.add(line);
                } else {
                    statement.append(statement.length() == 0 ? "" : " ").append(line.strip());
                }
            }
            for (String each : verbs) {
                if (statement.toString().matches("(.*[^.\\w])?" + each + "\\(.*")) {
                    imports.add("static " + verbsOf + "." + each);
                }
            }
            return new Wanted(imports, fields, statement.toString());
        }
    }
}
