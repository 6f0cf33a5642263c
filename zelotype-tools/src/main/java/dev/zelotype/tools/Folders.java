package dev.zelotype.tools;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;

/**
 * For Zelotype's own tools: the files in folders. Stateless.
 */
public final class Folders {

    private Folders() {}

    /**
     * Everything in a folder at any depth, the folder itself included. The folder may be a link, which is followed; links in
     * it are not.
     *
     * @param folder the folder, or a file, which is then all there is
     * @return paths that begin as the given one does; to be closed
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
