package dev.zelotype.engine.pattern.code;

import java.util.HashSet;
import java.util.Set;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.Handle;

/**
 * The patterns that a class makes, told by the constants of its class file alone: the code of the methods in which they are
 * made need not be read for that, which in most test classes is nearly all there is.
 */
public final class NamedPatterns {

    /** How the types of calls end that make a pattern. */
    private static final String SHAPES = ")Ldev/zelotype/call/";

    private static final int INVOKE_DYNAMIC = 18;

    private NamedPatterns() {}

    /** The methods, of lambdas or named by references, that stand behind the patterns of a class. */
    public static Set<Handle> in(ClassReader file) {
        Set<Handle> patterns = new HashSet<>();
        char[] buffer = new char[file.getMaxStringLength()];
        int[] recipes = null;
        for (int i = 1; i < file.getItemCount(); i++) {
            int at = file.getItem(i);
            if (at == 0 || file.readByte(at - 1) != INVOKE_DYNAMIC) {
                continue;
            }
            int nameAndType = file.getItem(file.readUnsignedShort(at + 2));
            if (!file.readUTF8(nameAndType + 2, buffer).contains(SHAPES)) {
                continue;
            }
            if (recipes == null) {
                recipes = recipes(file, buffer);
            }
            int recipe = recipes[file.readUnsignedShort(at)];
            boolean hasTwo = file.readUnsignedShort(recipe + 2) > 1;
            if (hasTwo && file.readConst(file.readUnsignedShort(recipe + 6), buffer) instanceof Handle pattern) {
                patterns.add(pattern);
            }
        }
        return patterns;
    }

    /** Where the recipes stand by which the JVM links calls: a method, the number of its arguments, and these. */
    private static int[] recipes(ClassReader file, char[] buffer) {
        int at = file.header + 6;
        int interfaces = file.readUnsignedShort(at);
        at = afterMembers(file, afterMembers(file, at + 2 + 2 * interfaces));
        int attributes = file.readUnsignedShort(at);
        at += 2;
        for (int i = 0; i < attributes; i++) {
            if (file.readUTF8(at, buffer).equals("BootstrapMethods")) {
                int[] recipes = new int[file.readUnsignedShort(at + 6)];
                int each = at + 8;
                for (int j = 0; j < recipes.length; j++) {
                    recipes[j] = each;
                    each += 4 + 2 * file.readUnsignedShort(each + 2);
                }
                return recipes;
            }
            at += 6 + file.readInt(at + 2);
        }
        throw new IllegalArgumentException("a class file without recipes for its calls");
    }

    /** Where the fields or methods end that begin at some place. */
    private static int afterMembers(ClassReader file, int begin) {
        int count = file.readUnsignedShort(begin);
        int at = begin + 2;
        for (int i = 0; i < count; i++) {
            int attributes = file.readUnsignedShort(at + 6);
            at += 8;
            for (int j = 0; j < attributes; j++) {
                at += 6 + file.readInt(at + 2);
            }
        }
        return at;
    }
}
