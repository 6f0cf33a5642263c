package dev.zelotype.engine.weave;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Puts what the compiler wrote down of a pattern in the place of the lambda that the JVM would link there, only for it to be
 * read. A pattern is told by the next instruction: it is handed to a statement at once. All other lambdas stay.
 *
 * <p>The instruction that links is as long as a call of a method and two that do nothing. So no code moves, and lines, frames,
 * and the probes of coverage stay as they are; small methods and constants are added at the end. The constants that told the
 * lambda stay as well, since others read patterns from them.
 */
public final class PatternPatch {

    /** How the names of the added methods begin. */
    public static final String ADDED = "zelotype$pattern$";

    private static final String FACADE = "dev/zelotype/Zelotype";
    private static final Set<String> STATEMENTS = Set.of("suppose", "expect", "verify", "recorded");
    private static final String SHAPES = "dev/zelotype/call/";
    private static final String PATTERN = "dev/zelotype/call/WrittenPattern";
    private static final String FACTORY = "(Ljava/lang/Class;Ljava/lang/String;[Ljava/lang/Object;)L";
    private static final String LINKER = "java/lang/invoke/LambdaMetafactory";
    private static final String DESERIALIZE = "$deserializeLambda$";

    private static final int INTERFACE = 0x0200;
    private static final int PRIVATE_STATIC_SYNTHETIC = 0x100A;
    private static final int MOST = 0xFFFF;
    /** A class, a text, an array, itself again, a place in it, and a long value. */
    private static final int DEEPEST = 7;

    private final ClassBytes file;
    private final byte[] out;
    private final Addition constants = new Addition();
    private final Addition methods = new Addition();
    private final Map<String, Integer> added = new HashMap<>();
    /** The added methods by the constant of the lambda; 0 for lambdas that stay. */
    private final Map<Integer, Integer> calls = new HashMap<>();

    private int next;
    private int count;
    private boolean lambdasStay;

    /** Bytes that are written one after the other. */
    private static final class Addition {
        private final ByteArrayOutputStream bytes = new ByteArrayOutputStream(1024);
        private final DataOutputStream data = new DataOutputStream(bytes);

        Addition u1(int value) throws IOException {
            data.writeByte(value);
            return this;
        }

        Addition u2(int value) throws IOException {
            data.writeShort(value);
            return this;
        }

        Addition u4(int value) throws IOException {
            data.writeInt(value);
            return this;
        }
    }

    private PatternPatch(ClassBytes file) {
        this.file = file;
        this.out = file.bytes().clone();
        this.next = file.constants();
    }

    /**
     * Puts the patterns of a class in their place.
     *
     * @param code the class file
     * @return the changed class file; null if it has no pattern, or cannot be changed so
     */
    public static byte @Nullable [] of(byte[] code) {
        ClassBytes file = ClassBytes.of(code);
        boolean apart =
                file == null || !file.names(FACADE) || file.names(ADDED + 0) || (file.access() & INTERFACE) != 0;
        try {
            return apart ? null : new PatternPatch(file).patched();
        } catch (IOException e) {
            throw new IllegalStateException("Nothing was written to any device.", e);
        }
    }

    private byte @Nullable [] patched() throws IOException {
        List<ClassBytes.Member> all = file.methods();
        for (ClassBytes.Member each : all) {
            if (!each.name().equals(DESERIALIZE)) {
                patch(each);
            }
        }
        if (count == 0 || next > MOST) {
            return null;
        }
        List<ClassBytes.Member> kept = new ArrayList<>();
        for (ClassBytes.Member each : all) {
            // Nothing can be serialized any more of what it reads, and it is the longest method of most tests.
            if (lambdasStay || !each.name().equals(DESERIALIZE)) {
                kept.add(each);
            }
        }
        if (kept.size() + count > MOST) {
            return null;
        }
        ByteArrayOutputStream bytes =
                new ByteArrayOutputStream(out.length + constants.bytes.size() + methods.bytes.size());
        DataOutputStream data = new DataOutputStream(bytes);
        data.write(out, 0, 8);
        data.writeShort(next);
        data.write(out, 10, file.endOfConstants() - 10);
        constants.bytes.writeTo(data);
        data.write(out, file.endOfConstants(), file.beginOfMethods() - file.endOfConstants());
        data.writeShort(kept.size() + count);
        for (ClassBytes.Member each : kept) {
            data.write(out, each.begin(), each.end() - each.begin());
        }
        methods.bytes.writeTo(data);
        data.write(out, file.endOfMethods(), out.length - file.endOfMethods());
        return bytes.toByteArray();
    }

    private void patch(ClassBytes.Member method) throws IOException {
        int end = method.endOfCode();
        int before = -1;
        for (int at = method.beginOfCode(); at < end; at = file.afterInstruction(at, method.beginOfCode())) {
            int opcode = file.u1(at);
            if (opcode == ClassBytes.INVOKEDYNAMIC) {
                stays(before);
                before = at;
            } else if (opcode == ClassBytes.INVOKESTATIC && before >= 0) {
                pattern(before, file.u2(at + 1));
                before = -1;
            } else if (opcode != ClassBytes.CHECKCAST) {
                stays(before);
                before = -1;
            }
        }
        stays(before);
    }

    private void stays(int at) {
        lambdasStay |= at >= 0 && file.isSerializableLambda(file.u2(at + 1));
    }

    /** A lambda that is handed to a static method right where it is made. */
    private void pattern(int at, int called) throws IOException {
        int lambda = file.u2(at + 1);
        Integer call = calls.get(lambda);
        String type = file.typeOf(lambda);
        String shape = type.substring(type.indexOf(')') + 1);
        boolean isPattern = STATEMENTS.contains(file.nameOf(called))
                && file.ownerOf(called).equals(FACADE)
                && file.typeOf(called).startsWith("(" + shape + ")")
                && shape.startsWith("L" + SHAPES)
                && file.linkerOf(lambda).equals(LINKER);
        // A name that is written in a way of the JVM's own is not told here.
        if (!isPattern || file.formOf(lambda, shape).indexOf('\uFFFD') >= 0) {
            stays(at);
            return;
        }
        if (call == null) {
            call = method(lambda, type, shape.substring(1, shape.length() - 1));
            calls.put(lambda, call);
        }
        out[at] = (byte) ClassBytes.INVOKESTATIC;
        out[at + 1] = (byte) (call >> 8);
        out[at + 2] = (byte) (int) call;
    }

    /** Adds a method that gives the pattern, and gives the constant by which it is called. */
    private int method(int lambda, String type, String shape) throws IOException {
        int name = text(ADDED + count++);
        int self = file.thisClass();
        byte[] code = code(lambda, type, shape, self);
        methods.u2(PRIVATE_STATIC_SYNTHETIC)
                .u2(name)
                .u2(file.typeIndexOf(lambda))
                .u2(1);
        methods.u2(text("Code"))
                .u4(12 + code.length)
                .u2(DEEPEST)
                .u2(slots(type))
                .u4(code.length);
        methods.data.write(code);
        methods.u2(0).u2(0);
        return member(self, name, file.typeIndexOf(lambda));
    }

    private byte[] code(int lambda, String type, String shape, int self) throws IOException {
        String simple = shape.substring(SHAPES.length());
        String factory = Character.toLowerCase(simple.charAt(0)) + simple.substring(1);
        int make = member(constant(7, text(PATTERN)), text(factory), text(FACTORY + shape + ";"));
        Addition code = new Addition();
        code.u1(0x13).u2(self).u1(0x13).u2(constant(8, text(file.formOf(lambda, shape))));
        List<String> captured = parameters(type);
        code.u1(0x11).u2(captured.size()).u1(0xBD).u2(constant(7, text("java/lang/Object")));
        int slot = 0;
        for (int i = 0; i < captured.size(); i++) {
            char sort = captured.get(i).charAt(0);
            code.u1(0x59).u1(0x11).u2(i).u1(0xC4).u1(load(sort)).u2(slot);
            box(sort, code);
            code.u1(0x53);
            slot += sort == 'J' || sort == 'D' ? 2 : 1;
        }
        return code.u1(ClassBytes.INVOKESTATIC).u2(make).u1(0xB0).bytes.toByteArray();
    }

    private void box(char sort, Addition code) throws IOException {
        String box = switch (sort) {
            case 'Z' -> "Boolean";
            case 'B' -> "Byte";
            case 'C' -> "Character";
            case 'S' -> "Short";
            case 'I' -> "Integer";
            case 'J' -> "Long";
            case 'F' -> "Float";
            case 'D' -> "Double";
            default -> "";
        };
        if (!box.isEmpty()) {
            String owner = "java/lang/" + box;
            int valueOf = member(constant(7, text(owner)), text("valueOf"), text("(" + sort + ")L" + owner + ";"));
            code.u1(ClassBytes.INVOKESTATIC).u2(valueOf);
        }
    }

    private static int load(char sort) {
        return switch (sort) {
            case 'J' -> 0x16;
            case 'F' -> 0x17;
            case 'D' -> 0x18;
            case 'L', '[' -> 0x19;
            default -> 0x15;
        };
    }

    private static List<String> parameters(String type) {
        List<String> parameters = new ArrayList<>();
        for (int at = 1; type.charAt(at) != ')'; ) {
            int end = at;
            while (type.charAt(end) == '[') {
                end++;
            }
            end = type.charAt(end) == 'L' ? type.indexOf(';', end) + 1 : end + 1;
            parameters.add(type.substring(at, end));
            at = end;
        }
        return parameters;
    }

    private static int slots(String type) {
        int slots = 0;
        for (String each : parameters(type)) {
            slots += each.equals("J") || each.equals("D") ? 2 : 1;
        }
        return slots;
    }

    private int text(String text) throws IOException {
        Integer known = added.get(text);
        if (known == null) {
            byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
            constants.u1(1);
            constants.data.writeUTF(text);
            known = taken(text, bytes.length);
        }
        return known;
    }

    private int taken(String key, int length) throws IOException {
        if (length > MOST) {
            throw new IOException(key);
        }
        added.put(key, next);
        return next++;
    }

    /** A constant that is made of one other: a class, or a string. */
    private int constant(int tag, int of) throws IOException {
        Integer known = added.get(tag + " " + of);
        if (known == null) {
            constants.u1(tag).u2(of);
            known = taken(tag + " " + of, 0);
        }
        return known;
    }

    private int member(int owner, int name, int type) throws IOException {
        String key = owner + "." + name + ":" + type;
        Integer known = added.get(key);
        if (known == null) {
            constants.u1(12).u2(name).u2(type);
            int nameAndType = next++;
            constants.u1(10).u2(owner).u2(nameAndType);
            known = taken(key, 0);
        }
        return known;
    }
}
