package dev.zelotype.engine.weave;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * The instructions of a method and their successors, to determine which calls can still follow an instruction.
 */
final class LaterCalls {

    /** Whether a method in a class file's constant pool is one of those searched for. */
    interface Meaning {
        boolean isMeantBy(String owner, String name, String descriptor, boolean ofInterface);
    }

    /** A call, or a method reference: its method, and its line (0 if unknown). */
    private record Named(String owner, String name, String descriptor, boolean ofInterface, int line) {}

    private final List<Integer> offsets = new ArrayList<>();
    private final Map<Integer, Named> calls = new TreeMap<>();
    private final Map<Integer, List<Label>> jumps = new HashMap<>();
    private final Set<Integer> lines = new HashSet<>();
    private final Set<Integer> ends = new HashSet<>();
    /** A comparison of a local variable with null. */
    private final Map<Integer, Integer> nullTests = new HashMap<>();

    private final Set<Integer> jumpsIfNull = new HashSet<>();
    /** The local variables that are closed somewhere. */
    private final Set<Integer> closed = new HashSet<>();

    private final Map<Label, Integer> labels = new HashMap<>();
    private final List<Handler> handlers = new ArrayList<>();

    /** An exception handler and the code that it covers; without a type it handles all exceptions. */
    private record Handler(Label start, Label end, Label code, boolean takesAll) {}

    private LaterCalls() {}

    /** Reads a method of a class file; null if it has no such code. */
    static @Nullable LaterCalls of(byte[] code, String name, String descriptor) {
        List<LaterCalls> found = read(code, name, descriptor);
        return found.isEmpty() ? null : found.get(0);
    }

    /** Reads the method with a name and a line, if only the name is known; null if there is none. */
    static @Nullable LaterCalls of(byte[] code, String name, int line) {
        List<LaterCalls> all = read(code, name, null);
        for (LaterCalls each : all) {
            if (each.lines.contains(line)) {
                return each;
            }
        }
        return all.size() == 1 ? all.get(0) : null;
    }

    private static List<LaterCalls> read(byte[] code, String name, @Nullable String descriptor) {
        List<LaterCalls> found = new ArrayList<>();
        Offsets in = new Offsets(code);
        in.accept(
                new ClassVisitor(Opcodes.ASM9) {
                    @Override
                    public @Nullable MethodVisitor visitMethod(
                            int access, String itsName, String its, String signature, String[] exceptions) {
                        if (!itsName.equals(name) || descriptor != null && !its.equals(descriptor)) {
                            return null;
                        }
                        LaterCalls method = new LaterCalls();
                        found.add(method);
                        return method.new Reader(in);
                    }
                },
                ClassReader.SKIP_FRAMES);
        for (Iterator<LaterCalls> i = found.iterator(); i.hasNext(); ) {
            if (i.next().offsets.isEmpty()) {
                i.remove();
            }
        }
        return found;
    }

    private static final class Offsets extends ClassReader {

        private int offset;

        Offsets(byte[] code) {
            super(code);
        }

        @Override
        protected void readBytecodeInstructionOffset(int at) {
            offset = at;
        }
    }

    private final class Reader extends MethodVisitor {

        private final Offsets in;
        private final List<Label> waiting = new ArrayList<>();
        private int line;
        /** The local variable loaded by the previous instruction. */
        private @Nullable Integer loadedBefore;

        private @Nullable Integer loaded;

        Reader(Offsets in) {
            super(Opcodes.ASM9);
            this.in = in;
        }

        private int next() {
            int offset = in.offset;
            loadedBefore = loaded;
            loaded = null;
            offsets.add(offset);
            place(offset);
            return offset;
        }

        private void place(int offset) {
            for (Label label : waiting) {
                labels.put(label, offset);
            }
            waiting.clear();
        }

        @Override
        public void visitLabel(Label label) {
            waiting.add(label);
        }

        @Override
        public void visitEnd() {
            // A variable that ends at the end of the code is valid everywhere in it.
            place(Integer.MAX_VALUE);
        }

        @Override
        public void visitLineNumber(int number, Label start) {
            line = number;
            lines.add(number);
        }

        @Override
        public void visitTryCatchBlock(Label start, Label end, Label handler, String type) {
            handlers.add(new Handler(start, end, handler, type == null || type.equals("java/lang/Throwable")));
        }

        @Override
        public void visitMethodInsn(int opcode, String owner, String name, String descriptor, boolean ofInterface) {
            int offset = next();
            Named call = new Named(owner, name, descriptor, ofInterface, line);
            calls.put(offset, call);
            if (isClose(call) && loadedBefore != null) {
                closed.add(loadedBefore);
            }
        }

        @Override
        public void visitInvokeDynamicInsn(String name, String descriptor, Handle bootstrap, Object... arguments) {
            int offset = next();
            for (Object argument : arguments) {
                if (argument instanceof Handle handle) {
                    calls.put(
                            offset,
                            new Named(
                                    handle.getOwner(), handle.getName(), handle.getDesc(), handle.isInterface(), line));
                }
            }
        }

        @Override
        public void visitInsn(int opcode) {
            int offset = next();
            if (opcode >= Opcodes.IRETURN && opcode <= Opcodes.RETURN || opcode == Opcodes.ATHROW) {
                ends.add(offset);
            }
        }

        @Override
        public void visitJumpInsn(int opcode, Label label) {
            int offset = next();
            jumps.put(offset, List.of(label));
            if (opcode == Opcodes.GOTO) {
                ends.add(offset);
            } else if ((opcode == Opcodes.IFNULL || opcode == Opcodes.IFNONNULL) && loadedBefore != null) {
                nullTests.put(offset, loadedBefore);
                if (opcode == Opcodes.IFNULL) {
                    jumpsIfNull.add(offset);
                }
            }
        }

        @Override
        public void visitTableSwitchInsn(int least, int most, Label otherwise, Label... cases) {
            visitSwitch(otherwise, cases);
        }

        @Override
        public void visitLookupSwitchInsn(Label otherwise, int[] keys, Label[] cases) {
            visitSwitch(otherwise, cases);
        }

        private void visitSwitch(Label otherwise, Label[] cases) {
            int offset = next();
            List<Label> all = new ArrayList<>(List.of(cases));
            all.add(otherwise);
            jumps.put(offset, all);
            ends.add(offset);
        }

        @Override
        public void visitIntInsn(int opcode, int operand) {
            next();
        }

        @Override
        public void visitVarInsn(int opcode, int slot) {
            next();
            loaded = opcode == Opcodes.ALOAD ? slot : null;
        }

        @Override
        public void visitTypeInsn(int opcode, String type) {
            next();
        }

        @Override
        public void visitFieldInsn(int opcode, String owner, String name, String descriptor) {
            next();
        }

        @Override
        public void visitLdcInsn(Object value) {
            next();
        }

        @Override
        public void visitIincInsn(int slot, int increment) {
            next();
        }

        @Override
        public void visitMultiANewArrayInsn(String descriptor, int dimensions) {
            next();
        }
    }

    /** The offsets of the calls in some line that may have called another method; 0 or less for any line. */
    Set<Integer> callsOf(String called, int line) {
        Set<Integer> found = new HashSet<>();
        calls.forEach((offset, named) -> {
            if ((line <= 0 || named.line() == line) && (named.name().equals(called) || line > 0)) {
                found.add(offset);
            }
        });
        return found.isEmpty() ? calls.keySet() : found;
    }

    /** Whether the method contains a call of a method searched for. */
    boolean names(Meaning wanted) {
        for (Named call : calls.values()) {
            if (wanted.isMeantBy(call.owner(), call.name(), call.descriptor(), call.ofInterface())) {
                return true;
            }
        }
        return false;
    }

    /**
     * The first line with a later call of one of some methods.
     *
     * @param from the offsets of the calls that have not returned
     * @param wanted the methods
     * @param endsWithClose whether calls after something was closed are ignored
     * @return the line, 0 if the class file has no lines; null without such a call
     */
    @Nullable
    Integer reaches(Set<Integer> from, Meaning wanted, boolean endsWithClose) {
        ToVisit go = new ToVisit();
        for (Integer offset : from) {
            goOn(offset, go);
        }
        Integer first = null;
        while (!go.open.isEmpty()) {
            Integer offset = go.open.remove();
            Named call = calls.get(offset);
            if (call != null && wanted.isMeantBy(call.owner(), call.name(), call.descriptor(), call.ofInterface())) {
                first = first == null ? call.line() : Integer.valueOf(Math.min(first, call.line()));
            }
            if (!endsWithClose) {
                goOn(offset, go);
            } else if (nullTests.containsKey(offset) && closed.contains(nullTests.get(offset))) {
                // A resource that is closed later is not null, whatever the compiler checks.
                goOnWithValue(offset, go);
            } else if (!closes(offset)) {
                goOn(offset, go);
            }
        }
        return first;
    }

    /** Instructions still to be visited, each once. */
    private static final class ToVisit {

        final Deque<Integer> open = new ArrayDeque<>();
        private final Set<Integer> seen = new HashSet<>();

        void accept(@Nullable Integer offset) {
            if (offset != null && offset != Integer.MAX_VALUE && seen.add(offset)) {
                open.add(offset);
            }
        }
    }

    private boolean closes(int offset) {
        Named call = calls.get(offset);
        return call != null && isClose(call);
    }

    private static boolean isClose(Named call) {
        return call.name().equals("close") && call.descriptor().equals("()V");
    }

    private void goOnWithValue(int offset, ToVisit go) {
        if (jumpsIfNull.contains(offset)) {
            go.accept(next(offset));
        } else {
            go.accept(labels.get(jumps.get(offset).get(0)));
        }
    }

    private @Nullable Integer next(int offset) {
        int next = Collections.binarySearch(offsets, offset) + 1;
        return next < offsets.size() ? offsets.get(next) : null;
    }

    private void goOn(int offset, ToVisit go) {
        if (!ends.contains(offset)) {
            go.accept(next(offset));
        }
        for (Label label : jumps.getOrDefault(offset, List.of())) {
            go.accept(labels.get(label));
        }
        for (Handler handler : handlers) {
            if (labels.get(handler.start()) <= offset && offset < labels.get(handler.end())) {
                go.accept(labels.get(handler.code()));
                if (handler.takesAll()) {
                    return;
                }
            }
        }
    }
}
