package dev.zelotype.engine.weave;

import java.io.File;
import java.io.FileInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.security.CodeSource;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Opcodes;

/**
 * The class files of loaded classes, as their class loaders provide them.
 */
public final class ClassFile {

    private static volatile Folder last = new Folder(null, null);

    private ClassFile() {}

    /**
     * The folder of the classes of a code source.
     *
     * @param source the code source; usually all test classes have the same
     * @param folder the folder; null if it is not a folder
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

    /** The bytes of a class's file; null if it cannot be read. */
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

    /** Passes the class file to a visitor; returns false if it cannot be read. */
    public static boolean visit(Class<?> type, ClassVisitor visitor, int options) {
        byte[] code = of(type);
        if (code == null) {
            return false;
        }
        try {
            new ClassReader(code).accept(visitor, options);
            return true;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    /** The name of a class's source file, for example {@code NightRun.java}; null if its class file has none. */
    static @Nullable String sourceOf(Class<?> type) {
        String[] source = new String[1];
        visit(
                type,
                new ClassVisitor(Opcodes.ASM9) {
                    @Override
                    public void visitSource(String file, String debug) {
                        source[0] = file;
                    }
                },
                ClassReader.SKIP_CODE);
        return source[0];
    }

    /** Whether a class file's constants contain an ASCII string, for example the name of an attribute. */
    static boolean holds(byte[] code, String text) {
        byte[] wanted = text.getBytes(StandardCharsets.US_ASCII);
        for (int i = 0; i + wanted.length <= code.length; i++) {
            if (code[i] == wanted[0] && Arrays.equals(code, i, i + wanted.length, wanted, 0, wanted.length)) {
                return true;
            }
        }
        return false;
    }

    /** Read without the class loader, which takes far longer: a suite reads the file of each of its classes. */
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
