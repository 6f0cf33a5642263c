package dev.zelotype.engine.weave;

import java.util.HashSet;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;

/**
 * Which classes may contain call sites of a method: read from the constant pools of their class files, once per class.
 */
final class SiteIndex {

    private static final int METHOD = 10;
    private static final int INTERFACE_METHOD = 11;

    /** The numbers of the methods that a class names; null if its class file is not found. */
    private static final ClassValue<Names> NAMED = new ClassValue<>() {
        @Override
        protected Names computeValue(Class<?> type) {
            byte[] code = ClassFile.of(type);
            try {
                return new Names(code == null ? null : namesIn(code));
            } catch (RuntimeException e) {
                return new Names(null);
            }
        }
    };

    private record Names(@Nullable Set<Integer> hashes) {}

    private SiteIndex() {}

    /** Whether a loaded class may call one of some methods; true if its class file is not found. */
    static boolean mayCall(Class<?> type, Sites sites) {
        Set<Integer> hashes = NAMED.get(type).hashes();
        return hashes == null || sites.anyIn(hashes);
    }

    /** Whether the class in a class file may call one of some methods. */
    static boolean mayCall(byte[] code, Sites sites) {
        return sites.anyIn(namesIn(code));
    }

    private static Set<Integer> namesIn(byte[] code) {
        ClassReader in = new ClassReader(code);
        char[] buffer = new char[in.getMaxStringLength()];
        Set<Integer> hashes = new HashSet<>();
        for (int i = 1; i < in.getItemCount(); i++) {
            int at = in.getItem(i);
            int tag = at == 0 ? 0 : in.readByte(at - 1);
            if (tag == METHOD || tag == INTERFACE_METHOD) {
                int nameAndType = in.getItem(in.readUnsignedShort(at + 2));
                hashes.add(new Site(
                                in.readClass(at, buffer),
                                in.readUTF8(nameAndType, buffer),
                                in.readUTF8(nameAndType + 2, buffer))
                        .key());
            }
        }
        return hashes;
    }
}
