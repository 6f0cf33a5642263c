package dev.zelotype.engine.weave;

import java.io.File;
import java.io.FileInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URISyntaxException;
import java.security.CodeSource;
import org.jspecify.annotations.Nullable;

/**
 * The class files of loaded classes, as their class loaders show them.
 */
public final class ClassFile {

    private static volatile Folder last = new Folder(null, null);

    private ClassFile() {}

    /**
     * Where the classes of a code source lie.
     *
     * @param source the code source; test classes mostly have the same
     * @param folder the folder; null if it is none
     */
    private record Folder(
            @Nullable CodeSource source, @Nullable File folder) {

        static Folder of(CodeSource source) {
            try {
                boolean folder = source.getLocation() != null
                        && source.getLocation().getProtocol().equals("file")
                        && source.getLocation().getPath().endsWith("/");
                return new Folder(source, folder ? new File(source.getLocation().toURI()) : null);
            } catch (URISyntaxException | IllegalArgumentException e) {
                return new Folder(source, null);
            }
        }
    }

    /** The bytes of a class's file; null if there is none that can be read. */
    public static byte @Nullable [] of(Class<?> type) {
        byte[] direct = ofFolder(type);
        if (direct != null) {
            return direct;
        }
        String file = type.getName().substring(type.getName().lastIndexOf('.') + 1) + ".class";
        try (InputStream in = type.getResourceAsStream(file)) {
            return in == null ? null : in.readAllBytes();
        } catch (IOException e) {
            return null;
        }
    }

    /** Read without asking the class loader, which takes far longer: a suite reads the file of each of its classes. */
    private static byte @Nullable [] ofFolder(Class<?> type) {
        CodeSource source = type.getProtectionDomain().getCodeSource();
        if (source == null) {
            return null;
        }
        Folder known = last;
        if (known.source() != source) {
            known = Folder.of(source);
            last = known;
        }
        if (known.folder() == null) {
            return null;
        }
        File file = new File(known.folder(), type.getName().replace('.', '/') + ".class");
        try (InputStream in = new FileInputStream(file)) {
            return in.readAllBytes();
        } catch (IOException e) {
            // A class loader may find it elsewhere.
            return null;
        }
    }
}
