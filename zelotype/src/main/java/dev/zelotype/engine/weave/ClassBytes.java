package dev.zelotype.engine.weave;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A class file as specified for the JVM, reading only as much as needed. The bytecode library is not used here: its
 * start takes longer than all of this, and this runs for each class that is loaded.
 */
final class ClassBytes {

    static final int BIPUSH = 0x10;
    static final int INVOKEVIRTUAL = 0xB6;
    static final int INVOKESTATIC = 0xB8;
    static final int INVOKEDYNAMIC = 0xBA;
    static final int CHECKCAST = 0xC0;

    private static final int TABLESWITCH = 0xAA;
    private static final int LOOKUPSWITCH = 0xAB;
    private static final int WIDE = 0xC4;
    private static final int IINC = 0x84;
    /** The length of each instruction, by opcode; variable lengths are read. */
    private static final String LENGTHS = "1".repeat(16) + "232" + "33" + "22222" + "1".repeat(28) + "22222"
            + "1".repeat(73) + "3" + "1".repeat(20) + "3".repeat(16) + "2" + "00" + "111111" + "3333333" + "55" + "323"
            + "11" + "33" + "11" + "0" + "4" + "33" + "55";

    private static final byte[] CODE = "Code".getBytes(StandardCharsets.US_ASCII);
    private static final byte[] LINES = "LineNumberTable".getBytes(StandardCharsets.US_ASCII);
    private static final byte[] SOURCE = "SourceFile".getBytes(StandardCharsets.US_ASCII);
    private static final byte[] RECIPES = "BootstrapMethods".getBytes(StandardCharsets.US_ASCII);
    private static final byte[] SERIALIZABLE = "altMetafactory".getBytes(StandardCharsets.US_ASCII);

    private static final int UTF8 = 1;
    private static final int LONG = 5;
    private static final int DOUBLE = 6;
    private static final int INTERFACE_METHOD = 11;
    private static final int METHOD_HANDLE = 15;
    private static final int INVOKE_DYNAMIC = 18;

    private final byte[] bytes;
    private final int[] constants;
    private final int end;
    private final List<Member> methods = new ArrayList<>();
    private int beginOfMethods;
    private int endOfMethods;
    /** The position of each bootstrap entry: a method, the number of its arguments, and these. */
    private int @Nullable [] recipes;

    /** A method, with the limits of its bytes and of its code; the code is empty if it has none. */
    record Member(int name, int begin, int end, int beginOfCode, int endOfCode) {}

    private ClassBytes(byte[] bytes, int[] constants, int end) {
        this.bytes = bytes;
        this.constants = constants;
        this.end = end;
    }

    /** Reads the constants; null if the format is unknown. */
    static @Nullable ClassBytes of(byte[] bytes) {
        int[] constants = new int[u2(bytes, 8)];
        int at = 10;
        for (int i = 1; i < constants.length; i++) {
            constants[i] = at;
            switch (bytes[at]) {
                case UTF8 -> at += 3 + u2(bytes, at + 1);
                case 3, 4, 9, 10, INTERFACE_METHOD, 12, 17, INVOKE_DYNAMIC -> at += 5;
                case LONG, DOUBLE -> {
                    at += 9;
                    i++;
                }
                case 7, 8, 16, 19, 20 -> at += 3;
                case METHOD_HANDLE -> at += 4;
                default -> {
                    return null;
                }
            }
        }
        return new ClassBytes(bytes, constants, at);
    }

    private static int u2(byte[] bytes, int at) {
        return (bytes[at] & 0xFF) << 8 | bytes[at + 1] & 0xFF;
    }

    byte[] bytes() {
        return bytes;
    }

    int u1(int at) {
        return bytes[at] & 0xFF;
    }

    int u2(int at) {
        return u2(bytes, at);
    }

    private int u4(int at) {
        return u2(at) << 16 | u2(at + 2);
    }

    /** The size of the constant pool, including the unused first entry. */
    int constants() {
        return constants.length;
    }

    int endOfConstants() {
        return end;
    }

    int access() {
        return u2(end);
    }

    int thisClass() {
        return u2(end + 2);
    }

    /** Whether a string is among the constants. */
    boolean names(byte[] text) {
        for (int i = 1; i < constants.length; i++) {
            if (constants[i] > 0 && bytes[constants[i]] == UTF8 && isText(i, text)) {
                return true;
            }
        }
        return false;
    }

    /** Whether a constant is a string. */
    boolean isText(int constant, byte[] text) {
        int at = constants[constant];
        return u2(at + 1) == text.length && isAt(text, at + 3);
    }

    /** Whether a string constant starts with a string. */
    boolean begins(int constant, byte[] text) {
        int at = constants[constant];
        return u2(at + 1) >= text.length && isAt(text, at + 3);
    }

    private boolean isAt(byte[] wanted, int at) {
        // From the end, where names with a common prefix differ.
        for (int i = wanted.length - 1; i >= 0; i--) {
            if (bytes[at + i] != wanted[i]) {
                return false;
            }
        }
        return true;
    }

    /** A string constant with one character per byte, because class files encode some characters in their own way. */
    String text(int constant) {
        int at = constants[constant];
        return new String(bytes, at + 3, u2(at + 1), StandardCharsets.ISO_8859_1);
    }

    /** The methods, in order. */
    List<Member> methods() {
        if (endOfMethods == 0) {
            int at = end + 6;
            at = afterFields(at + 2 + 2 * u2(at));
            beginOfMethods = at;
            int count = u2(at);
            at += 2;
            for (int i = 0; i < count; i++) {
                Member method = method(at);
                methods.add(method);
                at = method.end();
            }
            endOfMethods = at;
        }
        return methods;
    }

    /** The position of the method count. */
    int beginOfMethods() {
        return beginOfMethods;
    }

    int endOfMethods() {
        return endOfMethods;
    }

    private int afterFields(int begin) {
        int at = begin + 2;
        for (int i = u2(begin); i > 0; i--) {
            at = afterAttributes(at + 6);
        }
        return at;
    }

    private int afterAttributes(int begin) {
        int at = begin + 2;
        for (int i = u2(begin); i > 0; i--) {
            at += 6 + u4(at + 2);
        }
        return at;
    }

    /** The start of an attribute's content; 0 if the attribute is missing. */
    private int contentOf(byte[] attribute, int begin) {
        int at = begin + 2;
        for (int i = u2(begin); i > 0; i--) {
            if (isText(u2(at), attribute)) {
                return at + 6;
            }
            at += 6 + u4(at + 2);
        }
        return 0;
    }

    private Member method(int begin) {
        int code = contentOf(CODE, begin + 6);
        int first = code + 8;
        return new Member(
                u2(begin + 2),
                begin,
                afterAttributes(begin + 6),
                code == 0 ? 0 : first,
                code == 0 ? 0 : first + u4(code + 4));
    }

    /** The constant with the name of the source file; 0 if it is unknown. */
    int source() {
        methods();
        int content = contentOf(SOURCE, endOfMethods);
        return content == 0 ? 0 : u2(content);
    }

    /** The line of an instruction, as stack traces show it; 0 if it is unknown. */
    int lineOf(Member method, int instruction) {
        int place = instruction - method.beginOfCode();
        int line = 0;
        int nearest = -1;
        int attributes = method.endOfCode() + 2 + 8 * u2(method.endOfCode());
        int at = attributes + 2;
        for (int i = u2(attributes); i > 0; i--) {
            for (int j = isText(u2(at), LINES) ? u2(at + 6) - 1 : -1; j >= 0; j--) {
                int begins = u2(at + 8 + 4 * j);
                if (begins <= place && begins > nearest) {
                    nearest = begins;
                    line = u2(at + 10 + 4 * j);
                }
            }
            at += 6 + u4(at + 2);
        }
        return line;
    }

    /** The start of the next instruction. */
    int afterInstruction(int at, int beginOfCode) {
        int opcode = u1(at);
        switch (opcode) {
            case TABLESWITCH -> {
                int operands = at + 4 - (at - beginOfCode) % 4;
                return operands + 12 + 4 * (u4(operands + 8) - u4(operands + 4) + 1);
            }
            case LOOKUPSWITCH -> {
                int operands = at + 4 - (at - beginOfCode) % 4;
                return operands + 8 + 8 * u4(operands + 4);
            }
            case WIDE -> {
                return at + (u1(at + 1) == IINC ? 6 : 4);
            }
            default -> {
                int length = opcode < LENGTHS.length() ? LENGTHS.charAt(opcode) - '0' : 0;
                if (length == 0) {
                    throw new IllegalArgumentException("no instruction: " + opcode);
                }
                return at + length;
            }
        }
    }

    private int nameAndTypeOf(int member) {
        return constants[u2(constants[member] + 3)];
    }

    /** The name constant of the method that another constant calls or links. */
    int nameOf(int member) {
        return u2(nameAndTypeOf(member) + 1);
    }

    int typeOf(int member) {
        return u2(nameAndTypeOf(member) + 3);
    }

    int ownerOf(int member) {
        return u2(constants[u2(constants[member] + 1)] + 1);
    }

    private int endOf(int text) {
        return constants[text] + 3 + u2(constants[text] + 1);
    }

    /** The start of the return type in a method type. */
    private int returned(int type) {
        int at = endOf(type);
        while (bytes[at - 1] != ')') {
            at--;
        }
        return at;
    }

    /** Whether a method type returns a class whose name has some prefix. */
    private boolean returns(int type, byte[] begin) {
        int at = returned(type);
        return endOf(type) - at > begin.length && isAt(begin, at);
    }

    /** Whether a method type returns a class whose name has some prefix, and another type takes exactly this class. */
    boolean returnsFirst(int type, byte[] begin, int taking) {
        if (!returns(type, begin)) {
            return false;
        }
        int from = returned(type);
        int length = endOf(type) - from;
        int to = constants[taking] + 4;
        return endOf(taking) > to + length
                && bytes[to + length] == ')'
                && Arrays.equals(bytes, from, from + length, bytes, to, to + length);
    }

    /** The constants of the methods behind lambdas and references whose types have some prefix. */
    List<Integer> methodsBehind(byte[] begin) {
        List<Integer> found = new ArrayList<>();
        for (int i = 1; i < constants.length; i++) {
            boolean links = constants[i] > 0 && bytes[constants[i]] == INVOKE_DYNAMIC;
            if (links && returns(typeOf(i), begin) && u2(recipeOf(i) + 2) > 1) {
                found.add(u2(recipeOf(i) + 6));
            }
        }
        return found;
    }

    /** The method that implements a lambda or reference; 0 if a constant links something else. */
    int methodBehind(int dynamic) {
        int recipe = recipeOf(dynamic);
        int handle = u2(recipe + 2) > 1 ? constants[u2(recipe + 6)] : 0;
        return handle > 0 && u1(handle) == METHOD_HANDLE ? u2(handle + 2) : 0;
    }

    private int recipeOf(int dynamic) {
        int[] known = recipes;
        if (known == null) {
            known = findRecipes();
            recipes = known;
        }
        return known[u2(constants[dynamic] + 1)];
    }

    private int[] findRecipes() {
        methods();
        int at = contentOf(RECIPES, endOfMethods);
        int[] found = new int[at == 0 ? 0 : u2(at)];
        at += 2;
        for (int i = 0; i < found.length; i++) {
            found[i] = at;
            at += 4 + 2 * u2(at + 2);
        }
        return found;
    }

    /** The class of the bootstrap method. */
    int linkerOf(int dynamic) {
        return ownerOf(u2(constants[u2(recipeOf(dynamic))] + 2));
    }

    /** Whether a bootstrap entry is a serializable lambda. */
    boolean isSerializableLambda(int dynamic) {
        int linker = u2(constants[u2(recipeOf(dynamic))] + 2);
        return isText(nameOf(linker), SERIALIZABLE);
    }

    /**
     * Adds the description of a lambda. Java names never contain the dots that separate its parts.
     *
     * @param goesOn whether to start with a dot
     */
    void addForm(int dynamic, Bytes to, boolean goesOn) {
        int recipe = recipeOf(dynamic);
        int handle = constants[u2(recipe + 6)];
        int method = u2(handle + 2);
        if (goesOn) {
            to.u1('.');
        }
        to.u1('0' + u1(handle + 1));
        addText(ownerOf(method), to);
        addText(nameOf(method), to);
        addText(typeOf(method), to);
        addText(u2(constants[u2(recipe + 8)] + 1), to);
        // Without the letter before a class name and the semicolon after it.
        to.u1('.').add(bytes, returned(typeOf(dynamic)) + 1, endOf(typeOf(dynamic)) - 1);
        addText(nameOf(dynamic), to);
        addText(u2(constants[u2(recipe + 4)] + 1), to);
    }

    private void addText(int constant, Bytes to) {
        copyText(constant, to.u1('.'));
    }

    /** Adds a string constant. */
    void copyText(int constant, Bytes to) {
        to.add(bytes, constants[constant] + 3, endOf(constant));
    }
}
