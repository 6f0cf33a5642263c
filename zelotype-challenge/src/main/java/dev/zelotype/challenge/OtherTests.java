package dev.zelotype.challenge;

import dev.zelotype.challenge.error.ChallengeException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Test classes of other frameworks, which run only if an engine for them is on the class path.
 */
final class OtherTests {

    /** Recognized by annotations in their class files: the framework, and the engine that runs it. */
    private static final Map<String, String[]> FRAMEWORKS = new LinkedHashMap<>();

    static {
        FRAMEWORKS.put("Lorg/junit/Test;", new String[] {"JUnit 4", "org.junit.vintage:junit-vintage-engine"});
        FRAMEWORKS.put("Lorg/testng/annotations/Test;", new String[] {"TestNG", "org.junit.support:testng-engine"});
    }

    private final List<Path> roots;
    private final Set<String> seen;
    private final Predicate<String> wanted;

    /**
     * Looks in folders.
     *
     * @param seen the classes whose tests have run
     * @param wanted returns, of the given class names, those that should have run
     */
    OtherTests(List<Path> roots, Set<String> seen, Predicate<String> wanted) {
        this.roots = roots;
        this.seen = seen;
        this.wanted = wanted;
    }

    /** A sentence for each framework whose tests were not run. */
    List<String> leftOut() {
        List<String> sentences = new ArrayList<>();
        Map<String, Integer> counts = new LinkedHashMap<>();
        for (Path root : roots) {
            try (Stream<Path> files = Files.walk(root)) {
                files.filter(file -> file.toString().endsWith(".class")).forEach(file -> count(root, file, counts));
            } catch (IOException e) {
                throw new ChallengeException(root + " cannot be read: " + e.getMessage() + ".", e);
            }
        }
        counts.forEach((mark, count) -> {
            String[] framework = FRAMEWORKS.get(mark);
            sentences.add(count + " test " + (count == 1 ? "class" : "classes") + " of " + framework[0]
                    + ", for which the class path lacks an engine: add " + framework[1]);
        });
        return sentences;
    }

    private void count(Path root, Path file, Map<String, Integer> counts) {
        String path = root.relativize(file).toString();
        String name = path.substring(0, path.length() - ".class".length())
                .replace(file.getFileSystem().getSeparator(), ".");
        if (seen.contains(name) || !wanted.test(name)) {
            return;
        }
        try {
            String code = Files.readString(file, StandardCharsets.ISO_8859_1);
            for (String mark : FRAMEWORKS.keySet()) {
                if (code.contains(mark)) {
                    counts.merge(mark, 1, Integer::sum);
                }
            }
        } catch (IOException e) {
            throw new ChallengeException(file + " cannot be read: " + e.getMessage() + ".", e);
        }
    }
}
