package dev.zelotype.generate.read;

import java.io.DataInputStream;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import javax.tools.JavaFileManager;
import javax.tools.JavaFileObject;
import javax.tools.StandardLocation;

/**
 * The names of source files in class files, which tell the language.
 */
public final class SourceNames {

    private static final int UTF8 = 1;
    private static final int LONG = 5;
    private static final int DOUBLE = 6;
    private static final int HANDLE = 15;

    private SourceNames() {}

    /**
     * Whether a class of the class path may be impossible to implement in Java: if it was not written in Java or in
     * Kotlin, whose compiler keeps to what Java can implement.
     *
     * @param binaryName its name, with a dollar sign before the name of a nested class
     */
    public static boolean isForeign(JavaFileManager classes, String binaryName) {
        try {
            JavaFileObject file =
                    classes.getJavaFileForInput(StandardLocation.CLASS_PATH, binaryName, JavaFileObject.Kind.CLASS);
            if (file == null) {
                // A class of the JDK.
                return false;
            }
            try (DataInputStream in = new DataInputStream(file.openInputStream())) {
                return !nameIn(in).matches(".*\\.(java|kt)");
            }
        } catch (IOException e) {
            // The compiler has read it before, and will say what is wrong.
            return true;
        }
    }

    /** Empty if the class file has none. */
    private static String nameIn(DataInputStream in) throws IOException {
        in.skipNBytes(8);
        Map<Integer, String> texts = texts(in);
        in.skipNBytes(6);
        in.skipNBytes(2L * in.readUnsignedShort());
        for (int members = 0; members < 2; members++) {
            for (int left = in.readUnsignedShort(); left > 0; left--) {
                in.skipNBytes(6);
                for (int attributes = in.readUnsignedShort(); attributes > 0; attributes--) {
                    in.skipNBytes(2);
                    in.skipNBytes(Integer.toUnsignedLong(in.readInt()));
                }
            }
        }
        for (int left = in.readUnsignedShort(); left > 0; left--) {
            String name = texts.get(in.readUnsignedShort());
            long length = Integer.toUnsignedLong(in.readInt());
            if ("SourceFile".equals(name)) {
                return texts.getOrDefault(in.readUnsignedShort(), "");
            }
            in.skipNBytes(length);
        }
        return "";
    }

    private static Map<Integer, String> texts(DataInputStream in) throws IOException {
        Map<Integer, String> texts = new HashMap<>();
        int count = in.readUnsignedShort();
        for (int i = 1; i < count; i++) {
            int tag = in.readUnsignedByte();
            switch (tag) {
                case UTF8 -> texts.put(i, in.readUTF());
                case LONG, DOUBLE -> {
                    in.skipNBytes(8);
                    // It counts as two.
                    i++;
                }
                // A class, a string, the type of a method, a module or a package.
                case 7, 8, 16, 19, 20 -> in.skipNBytes(2);
                case HANDLE -> in.skipNBytes(3);
                default -> in.skipNBytes(4);
            }
        }
        return texts;
    }
}
