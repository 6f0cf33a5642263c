package dev.zelotype.challenge.kept;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.challenge.error.ChallengeException;
import java.io.ByteArrayInputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Detects whether code has changed: that of some classes and of all classes that they refer to, directly or indirectly,
 * as far as they are in the folders of a class path. Classes that are only loaded by a name composed at run time are
 * not found.
 */
public final class CodeHashes {

    private static final Pattern IN_DESCRIPTOR = Pattern.compile("L([^;<>()]+)[;<]");
    private static final int MAGIC = 0xCAFEBABE;
    private static final int UTF8 = 1;
    /** The length in bytes of each type of constant; -1 for types that do not exist. */
    private static final int[] LENGTHS = {-1, -1, -1, 4, 4, 8, 8, 2, 2, 4, 4, 4, 4, -1, -1, 3, 2, 4, 4, 2, 2};

    private static final int LONG = 5;
    private static final int DOUBLE = 6;

    /** The content of a class file. */
    private record Code(String print, Set<String> texts) {}

    private final Map<String, Code> classes = new HashMap<>();
    private final Map<String, Long> sizes = new TreeMap<>();
    private final StringBuilder others = new StringBuilder();

    /**
     * Reads the folders of a class path.
     *
     * @param classPath folders and jars
     * @param roots the folders among them in which tests are looked for
     * @throws ChallengeException if a file cannot be read
     */
    public CodeHashes(List<Path> classPath, List<Path> roots) {
        for (Path each : classPath) {
            if (Files.isDirectory(each)) {
                read(each, roots.contains(each));
            } else if (Files.isRegularFile(each)) {
                // A jar counts as changed if its size or name differs.
                others.append(each.getFileName())
                        .append(' ')
                        .append(each.toFile().length())
                        .append('\n');
            }
        }
    }

    private void read(Path folder, boolean isRoot) {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path file : all.filter(Files::isRegularFile).sorted().toList()) {
                String path = folder.relativize(file)
                        .toString()
                        .replace(file.getFileSystem().getSeparator(), "/");
                byte[] content = Files.readAllBytes(file);
                if (!path.endsWith(".class")) {
                    others.append(path).append(' ').append(Hashes.of(content)).append('\n');
                    continue;
                }
                String name = path.substring(0, path.length() - ".class".length());
                classes.putIfAbsent(name, new Code(Hashes.of(content), texts(content)));
                if (isRoot) {
                    sizes.merge(CodeOwner.outermost(name.replace('/', '.')), (long) content.length, Long::sum);
                }
            }
        } catch (IOException e) {
            throw new ChallengeException(folder + " cannot be read: " + e.getMessage() + ".", e);
        }
    }

    /** All strings in a class's constant pool; none if the file is damaged. */
    private static Set<String> texts(byte[] code) throws IOException {
        Set<String> texts = new HashSet<>();
        DataInputStream in = new DataInputStream(new ByteArrayInputStream(code));
        if (code.length < LENGTHS.length || in.readInt() != MAGIC) {
            return texts;
        }
        in.skipBytes(4);
        int count = in.readUnsignedShort();
        for (int i = 1; i < count; i++) {
            int sort = in.readUnsignedByte();
            if (sort == UTF8) {
                texts.add(in.readUTF());
            } else if (sort < LENGTHS.length && LENGTHS[sort] > 0) {
                in.skipBytes(LENGTHS[sort]);
                i += sort == LONG || sort == DOUBLE ? 1 : 0;
            } else {
                return texts;
            }
        }
        return texts;
    }

    /** The bytes of each class in the tests' folders, including its nested classes. */
    public Map<String, Long> sizes() {
        return sizes;
    }

    /** Files that are not class files: jars, and resources that tests may read. */
    public String others() {
        return Hashes.of(others.toString());
    }

    /**
     * Returns a hash of the code of some classes.
     *
     * @param names their binary names
     * @return a string that changes with the code
     */
    public String of(Collection<String> names) {
        Deque<String> open = new ArrayDeque<>();
        Set<String> reached = new TreeSet<>();
        names.forEach(each -> reach(each.replace('.', '/'), reached, open));
        while (!open.isEmpty()) {
            for (String text : classes.get(open.pop()).texts()) {
                reach(text, reached, open);
                // Names in the form that reflection accepts.
                reach(text.replace('.', '/'), reached, open);
                Matcher found = IN_DESCRIPTOR.matcher(text);
                while (found.find()) {
                    reach(found.group(1), reached, open);
                }
            }
        }
        StringBuilder all = new StringBuilder();
        reached.forEach(each ->
                all.append(each).append(' ').append(classes.get(each).print()).append('\n'));
        return Hashes.of(all.toString().getBytes(StandardCharsets.UTF_8));
    }

    private void reach(String name, Set<String> reached, Deque<String> open) {
        if (classes.containsKey(name) && reached.add(name)) {
            open.add(name);
        }
    }
}
