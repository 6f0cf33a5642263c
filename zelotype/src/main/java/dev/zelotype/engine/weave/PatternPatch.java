package dev.zelotype.engine.weave;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Replaces the linking of a pattern's lambda by the compiler's description of the lambda, because a pattern is only
 * read. A lambda is a pattern if the next instruction passes it directly to a statement. All other lambdas are left
 * alone.
 *
 * <p>The linking instruction is as long as one that pushes a small number and one that calls a method. So no code
 * moves, and lines, frames and coverage probes are unchanged; only a method for each kind of lambda, and constants, are
 * added at the end. The constants of the lambdas remain as well, because patterns are read from them elsewhere.
 *
 * <p>The methods that compilers generated for the bodies of these lambdas are never called. A class that is changed while
 * it is loaded loses them, because test frameworks examine each method of a test class several times. The reader of
 * patterns finds them in the class file, which stays as it was compiled.
 */
public final class PatternPatch {

    /** The prefix of the added methods' names. */
    public static final String ADDED = "zelotype$pattern$";

    private static final byte[] FACADE = ascii("dev/zelotype/Zelotype");
    private static final byte[] MARK = ascii(ADDED + 0);
    private static final byte[][] STATEMENTS = {ascii("suppose"), ascii("expect"), ascii("verify"), ascii("recorded")};
    private static final byte[] SHAPES = ascii("Ldev/zelotype/call/");
    private static final byte[] LINKER = ascii("java/lang/invoke/LambdaMetafactory");
    private static final byte[] DESERIALIZE = ascii("$deserializeLambda$");
    private static final byte[] BODY = ascii("lambda$");
    private static final String PATTERN = "dev/zelotype/call/WrittenPattern";
    private static final String FACTORY = "(Ljava/lang/Class;Ljava/lang/String;I[Ljava/lang/Object;)";

    private static final int INTERFACE = 0x0200;
    private static final int PRIVATE_STATIC_SYNTHETIC = 0x100A;
    private static final int PRIVATE_SYNTHETIC = 0x1002;
    private static final int MOST = 0xFFFF;
    private static final int MOST_SLOTS = 255;
    /** The range of numbers that the short instruction can push, and the smallest one. */
    private static final int GROUP = 256;

    private static final int LEAST = -128;
    /** A class, a string, a number, an array, the array again, an index, and a long value. */
    private static final int DEEPEST = 8;

    private final ClassBytes file;
    private final boolean keepsBodies;
    private final byte[] out;
    /** The name of the source file; empty if it is unknown. */
    private final Bytes source = new Bytes(32);

    private final Bytes constants = new Bytes(512);
    private final Bytes methods = new Bytes(256);
    private final List<Group> groups = new ArrayList<>();

    private final Map<String, Integer> added = new HashMap<>();
    /** The constants of the added methods, by the constants of the lambda types and by groups. */
    private final Map<Long, Integer> makers = new HashMap<>();

    /** The positions of the linking instructions of the patterns, which are numbered in this order. */
    private final List<Integer> found = new ArrayList<>();
    /** The bodies of patterns, and all bodies that other lambdas or calls need. */
    private final Set<String> bodies = new HashSet<>();

    private final Set<String> needed = new HashSet<>();
    private int next;
    private boolean lambdasStay;

    /** Patterns whose numbers the short instruction can push. */
    private static final class Group {

        /** The descriptions of their lambdas. */
        private final Bytes forms = new Bytes(1024);
        /** For each pattern the index of its description, its line, and the name of the method around it. */
        private final Bytes places = new Bytes(512);
        /** The indexes of the descriptions, by the constants of the lambdas. */
        private final Map<Integer, Integer> indexes = new HashMap<>();
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }

    private PatternPatch(ClassBytes file, boolean keepsBodies) {
        this.file = file;
        this.keepsBodies = keepsBodies;
        this.out = file.bytes().clone();
        this.next = file.constants();
        if (file.source() > 0) {
            file.copyText(file.source(), source);
        }
    }

    /**
     * Replaces the patterns of a class.
     *
     * @param code the class file
     * @return the changed class file; null if it has no pattern, or cannot be changed
     */
    public static byte @Nullable [] of(byte[] code) {
        return of(code, /* keepsBodies= */ true);
    }

    /** As {@link #of(byte[])}, for a class that is being loaded: its file stays as it was compiled. */
    public static byte @Nullable [] ofLoaded(byte[] code) {
        return of(code, /* keepsBodies= */ false);
    }

    private static byte @Nullable [] of(byte[] code, boolean keepsBodies) {
        ClassBytes file = ClassBytes.of(code);
        boolean apart = file == null || !file.names(FACADE) || file.names(MARK) || (file.access() & INTERFACE) != 0;
        return apart ? null : new PatternPatch(file, keepsBodies).patched();
    }

    /** The constants of the methods that implement the patterns of a class. */
    public static List<Integer> methodsBehind(byte[] code) {
        ClassBytes file = ClassBytes.of(code);
        return file == null ? List.of() : file.methodsBehind(SHAPES);
    }

    private byte @Nullable [] patched() {
        List<ClassBytes.Member> all = file.methods();
        for (ClassBytes.Member each : all) {
            if (!file.isText(each.name(), DESERIALIZE)) {
                find(each);
            }
        }
        if (found.isEmpty()) {
            return null;
        }
        // The descriptions come first among the added constants: a text and a string for each group.
        next += 2 * groups.size();
        for (int number = 0; number < found.size(); number++) {
            put(found.get(number), number);
        }
        List<ClassBytes.Member> kept = new ArrayList<>();
        for (ClassBytes.Member each : all) {
            if (isKept(each)) {
                kept.add(each);
            }
        }
        if (next > MOST || kept.size() + makers.size() > MOST) {
            return null;
        }
        return written(kept);
    }

    /** Removes the code for deserialization, which is not needed any more, and is the longest method of most tests. */
    private boolean isKept(ClassBytes.Member method) {
        if (file.isText(method.name(), DESERIALIZE)) {
            return lambdasStay;
        }
        if (keepsBodies || (file.u2(method.begin()) & PRIVATE_SYNTHETIC) != PRIVATE_SYNTHETIC) {
            return true;
        }
        String body = body(method.name(), file.u2(method.begin() + 4));
        return !bodies.contains(body) || needed.contains(body);
    }

    private String body(int name, int type) {
        return file.text(name) + file.text(type);
    }

    /** Adds a method to some bodies, if it is one. */
    private void addBody(int method, Set<String> to) {
        if (method > 0 && file.begins(file.nameOf(method), BODY)) {
            to.add(body(file.nameOf(method), file.typeOf(method)));
        }
    }

    private byte[] written(List<ClassBytes.Member> kept) {
        Bytes bytes = new Bytes(2 * out.length + constants.length() + methods.length());
        bytes.add(out, 0, 8).u2(next).add(out, 10, file.endOfConstants());
        int constant = file.constants();
        for (Group each : groups) {
            bytes.u1(1).u2(lengthOf(each)).add(each.forms).u1('\n').add(source).u1('\n');
            bytes.add(each.places).u1(8).u2(constant);
            constant += 2;
        }
        bytes.add(constants);
        bytes.add(out, file.endOfConstants(), file.beginOfMethods());
        bytes.u2(kept.size() + makers.size());
        for (ClassBytes.Member each : kept) {
            bytes.add(out, each.begin(), each.end());
        }
        return bytes.add(methods).add(out, file.endOfMethods(), out.length).toArray();
    }

    private int lengthOf(Group group) {
        return group.forms.length() + group.places.length() + source.length() + 2;
    }

    /** Finds the patterns that a method creates. */
    private void find(ClassBytes.Member method) {
        int end = method.endOfCode();
        int begin = method.beginOfCode();
        int lambda = -1;
        boolean any = false;
        for (int at = begin; at < end; at = file.afterInstruction(at, begin)) {
            int opcode = file.u1(at);
            if (opcode == ClassBytes.CHECKCAST && lambda >= 0) {
                continue;
            }
            if (opcode >= ClassBytes.INVOKEVIRTUAL && opcode <= ClassBytes.INVOKESTATIC) {
                addBody(file.u2(at + 1), needed);
            }
            if (lambda >= 0) {
                if (opcode == ClassBytes.INVOKESTATIC && isTaken(method, lambda, at)) {
                    any = true;
                } else {
                    leave(lambda);
                }
            }
            lambda = opcode == ClassBytes.INVOKEDYNAMIC ? at : -1;
        }
        if (any) {
            deepen(begin);
        }
    }

    /** The number of a pattern is on the stack together with the values that the pattern captures. */
    private void deepen(int begin) {
        int stack = file.u2(begin - 8) + 1;
        out[begin - 8] = (byte) (stack >> 8);
        out[begin - 7] = (byte) stack;
    }

    /** Takes a lambda if it is passed to a statement directly after its creation. */
    private boolean isTaken(ClassBytes.Member method, int at, int statement) {
        int lambda = file.u2(at + 1);
        int called = file.u2(statement + 1);
        if (!isStatement(called) || !isHanded(lambda, called) || !isAdded(lambda, method, statement)) {
            return false;
        }
        found.add(at);
        addBody(file.methodBehind(lambda), bodies);
        return true;
    }

    private void leave(int at) {
        int lambda = file.u2(at + 1);
        lambdasStay |= file.isSerializableLambda(lambda);
        addBody(file.methodBehind(lambda), needed);
    }

    private boolean isStatement(int called) {
        if (!file.isText(file.ownerOf(called), FACADE)) {
            return false;
        }
        for (byte[] each : STATEMENTS) {
            if (file.isText(file.nameOf(called), each)) {
                return true;
            }
        }
        return false;
    }

    /** Whether the linked object is a call shape, and the only argument of the method. */
    private boolean isHanded(int lambda, int called) {
        return file.isText(file.linkerOf(lambda), LINKER)
                && file.returnsFirst(file.typeOf(lambda), SHAPES, file.typeOf(called));
    }

    /** Describes a pattern; returns false if the description does not fit. */
    private boolean isAdded(int lambda, ClassBytes.Member method, int statement) {
        if (found.size() / GROUP == groups.size()) {
            groups.add(new Group());
        }
        Group group = groups.get(found.size() / GROUP);
        int forms = group.forms.length();
        int places = group.places.length();
        Integer index = group.indexes.get(lambda);
        if (index == null) {
            if (!hasRoom(file.text(file.typeOf(lambda)))) {
                return false;
            }
            index = group.indexes.size();
            file.addForm(lambda, group.forms, index > 0);
        }
        if (found.size() % GROUP > 0) {
            group.places.u1('.');
        }
        group.places
                .digits(index)
                .u1('.')
                .digits(file.lineOf(method, statement))
                .u1('.');
        file.copyText(method.name(), group.places);
        if (lengthOf(group) > MOST) {
            group.forms.cut(forms);
            group.places.cut(places);
            return false;
        }
        group.indexes.put(lambda, index);
        return true;
    }

    /** Whether a method can take one more argument. */
    private static boolean hasRoom(String type) {
        return type.length() < MOST_SLOTS || slots(parameters(type)) < MOST_SLOTS;
    }

    private static int slots(List<String> types) {
        int slots = 0;
        for (String each : types) {
            slots += each.equals("J") || each.equals("D") ? 2 : 1;
        }
        return slots;
    }

    private void put(int at, int number) {
        int type = file.typeOf(file.u2(at + 1));
        int group = number / GROUP;
        long key = (long) group << 16 | type;
        Integer maker = makers.get(key);
        if (maker == null) {
            maker = maker(file.text(type), group);
            makers.put(key, maker);
        }
        out[at] = (byte) ClassBytes.BIPUSH;
        out[at + 1] = (byte) (number % GROUP + LEAST);
        out[at + 2] = (byte) ClassBytes.INVOKESTATIC;
        out[at + 3] = (byte) (maker >> 8);
        out[at + 4] = (byte) (int) maker;
    }

    /** Adds a method that returns patterns of a type, and returns the constant to call it. */
    private int maker(String type, int group) {
        int close = type.indexOf(')');
        List<String> captured = parameters(type);
        int slots = slots(captured);
        int name = text(ADDED + makers.size());
        int itsType = text(type.substring(0, close) + "I" + type.substring(close));
        Bytes code = code(captured, slots, type.substring(close + 1), group);
        methods.u2(PRIVATE_STATIC_SYNTHETIC).u2(name).u2(itsType).u2(1);
        methods.u2(text("Code"))
                .u4(12 + code.length())
                .u2(DEEPEST)
                .u2(slots + 1)
                .u4(code.length());
        methods.add(code).u2(0).u2(0);
        return member(file.thisClass(), name, itsType);
    }

    private Bytes code(List<String> captured, int slots, String shape, int group) {
        String simple = shape.substring(SHAPES.length, shape.length() - 1);
        String factory = Character.toLowerCase(simple.charAt(0)) + simple.substring(1);
        int make = member(constant(7, text(PATTERN)), text(factory), text(FACTORY + shape));
        Bytes code = new Bytes(64);
        code.u1(0x13).u2(file.thisClass());
        code.u1(0x13).u2(file.constants() + 2 * group + 1);
        // Numbers start below zero.
        code.u1(0xC4).u1(0x15).u2(slots).u1(0x11).u2(-LEAST).u1(0x60);
        code.u1(0x11).u2(captured.size()).u1(0xBD).u2(constant(7, text("java/lang/Object")));
        int slot = 0;
        for (int i = 0; i < captured.size(); i++) {
            char sort = captured.get(i).charAt(0);
            code.u1(0x59).u1(0x11).u2(i).u1(0xC4).u1(load(sort)).u2(slot);
            box(sort, code);
            code.u1(0x53);
            slot += sort == 'J' || sort == 'D' ? 2 : 1;
        }
        return code.u1(ClassBytes.INVOKESTATIC).u2(make).u1(0xB0);
    }

    private void box(char sort, Bytes code) {
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

    private int text(String text) {
        Integer known = added.get(text);
        if (known == null) {
            byte[] bytes = text.getBytes(StandardCharsets.ISO_8859_1);
            constants.u1(1).u2(bytes.length).add(bytes, 0, bytes.length);
            known = taken(text);
        }
        return known;
    }

    private int taken(String key) {
        added.put(key, next);
        return next++;
    }

    /** A constant that refers to one other, such as a class. */
    private int constant(int tag, int of) {
        Integer known = added.get(tag + " " + of);
        if (known == null) {
            constants.u1(tag).u2(of);
            known = taken(tag + " " + of);
        }
        return known;
    }

    private int member(int owner, int name, int type) {
        String key = owner + "." + name + ":" + type;
        Integer known = added.get(key);
        if (known == null) {
            constants.u1(12).u2(name).u2(type);
            int nameAndType = next++;
            constants.u1(10).u2(owner).u2(nameAndType);
            known = taken(key);
        }
        return known;
    }
}
