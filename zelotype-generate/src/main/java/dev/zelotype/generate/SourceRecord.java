package dev.zelotype.generate;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreeScanner;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.Set;
import java.util.TreeSet;

/**
 * The part of a source file that other source files may depend on.
 *
 * @param file the file
 * @param packageName the package of its types
 * @param declared the qualified names of its types, at any depth
 * @param mentioned the simple names that its declarations refer to, and the packages that it imports with a star;
 *     method bodies do not count
 */
record SourceRecord(Path file, String packageName, Set<String> declared, Set<String> mentioned) {

    SourceRecord {
        declared = new TreeSet<>(declared);
        mentioned = new TreeSet<>(mentioned);
    }

    static SourceRecord of(Path file, CompilationUnitTree unit) {
        Set<String> declared = new HashSet<>();
        Set<String> mentioned = new HashSet<>();
        String packageName =
                unit.getPackageName() == null ? "" : unit.getPackageName().toString();
        Deque<String> outer = new ArrayDeque<>();
        new TreeScanner<Void, Void>() {
            @Override
            public Void visitClass(ClassTree type, Void none) {
                String around = outer.isEmpty() ? packageName : outer.peek();
                outer.push((around.isEmpty() ? "" : around + ".") + type.getSimpleName());
                declared.add(outer.peek());
                super.visitClass(type, none);
                outer.pop();
                return null;
            }

            @Override
            public Void visitImport(ImportTree tree, Void none) {
                String name = tree.getQualifiedIdentifier().toString();
                if (name.endsWith(".*") && !tree.isStatic()) {
                    mentioned.add(name);
                }
                return super.visitImport(tree, none);
            }

            @Override
            public Void visitIdentifier(IdentifierTree tree, Void none) {
                mentioned.add(tree.getName().toString());
                return null;
            }

            @Override
            public Void visitMemberSelect(MemberSelectTree tree, Void none) {
                mentioned.add(tree.getIdentifier().toString());
                return super.visitMemberSelect(tree, none);
            }

            @Override
            public Void visitVariable(VariableTree tree, Void none) {
                scan(tree.getModifiers(), none);
                return scan(tree.getType(), none);
            }

            @Override
            public Void visitBlock(BlockTree tree, Void none) {
                return null;
            }
        }.scan(unit, null);
        return new SourceRecord(file, packageName, declared, mentioned);
    }

    Set<String> simpleNames() {
        Set<String> names = new HashSet<>();
        declared.forEach(name -> names.add(name.substring(name.lastIndexOf('.') + 1)));
        return names;
    }

    /** The simple names of its top-level types. */
    Set<String> outermostIn(String name) {
        Set<String> names = new HashSet<>();
        if (name.equals(packageName)) {
            int start = name.isEmpty() ? 0 : name.length() + 1;
            declared.stream()
                    .map(type -> type.substring(start))
                    .filter(type -> type.indexOf('.') < 0)
                    .forEach(names::add);
        }
        return names;
    }

    /** The packages of its types, and the enclosing types of nested ones, as they appear in imports with a star. */
    Set<String> importedAs() {
        Set<String> names = new HashSet<>();
        declared.forEach(name -> names.add(name.substring(0, name.lastIndexOf('.') + 1) + "*"));
        return names;
    }
}
