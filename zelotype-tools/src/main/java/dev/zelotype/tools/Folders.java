package dev.zelotype.tools;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;

/**
 * For Zelotype's own tools: files in folders. Stateless.
 */
public final class Folders {

    private Folders() {}

    /**
     * Returns everything in a folder at any depth, including the folder itself. If the folder is a link, it is
     * followed; links inside are not.
     *
     * @param folder the folder, or a file, which is then the only result
     * @return paths that start like the given one; to be closed
     * @throws IOException if it cannot be read
     */
    public static Stream<Path> walk(Path folder) throws IOException {
        if (!Files.isSymbolicLink(folder)) {
            return Files.walk(folder);
        }
        Path real = folder.toRealPath();
        return Files.walk(real).map(each -> folder.resolve(real.relativize(each)));
    }
}
