package dev.zelotype.call;

import java.lang.StackWalker.StackFrame;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.lang.invoke.SerializedLambda;
import java.util.Arrays;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;

/**
 * For Zelotype's own agent and build goal: a pattern of a test in the form that the compiler wrote down for
 * serialization. It replaces the lambda that the JVM would otherwise link, because a pattern is only read. If it is run
 * anyway, it does what the lambda would do, unless its class was loaded without the lambda's method. Immutable.
 *
 * @since 0.2
 */
@SuppressWarnings("serial") // What is serialized is the compiler's own form of it.
public abstract class WrittenPattern implements Shape {

    private static final long serialVersionUID = 1L;
    /** Kind, owner, name and type of the implementing method, its own type, then the interface, its method and type. */
    private static final int EACH = 8;
    /** The index of the description, the line of the statement, and the name of the method around it. */
    private static final int EACH_PLACE = 3;

    private final transient Class<?> caller;
    private final transient String forms;
    private final transient int number;
    private final transient @Nullable Object[] captured;

    /** The parsed descriptions of the patterns of a class, with its source file and the places of the patterns in it. */
    private record Words(String forms, String[] words, String file, String[] places) {

        static Words of(String forms) {
            String[] parts = forms.split("\n", 3);
            return new Words(forms, parts[0].split("\\."), parts[1], parts[2].split("\\."));
        }
    }

    /** The place of a statement, as a stack walk would find it. */
    private record Place(Class<?> caller, String method, String file, int line) implements StackFrame {

        @Override
        public String getClassName() {
            return caller.getName();
        }

        @Override
        public String getMethodName() {
            return method;
        }

        @Override
        public Class<?> getDeclaringClass() {
            return caller;
        }

        @Override
        public int getByteCodeIndex() {
            return -1;
        }

        @Override
        public String getFileName() {
            return file;
        }

        @Override
        public int getLineNumber() {
            return line;
        }

        @Override
        public boolean isNativeMethod() {
            return false;
        }

        @Override
        public StackTraceElement toStackTraceElement() {
            return new StackTraceElement(caller.getName(), method, file, line);
        }
    }

    private static final ClassValue<AtomicReference<@Nullable Words>> WORDS = new ClassValue<>() {
        @Override
        protected AtomicReference<@Nullable Words> computeValue(Class<?> type) {
            return new AtomicReference<>();
        }
    };

    private WrittenPattern(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        this.caller = caller;
        this.forms = forms;
        this.number = number;
        this.captured = captured;
    }

    /**
     * The class whose code contains it.
     *
     * @return the class
     */
    public final Class<?> caller() {
        return caller;
    }

    /**
     * Returns what the compiler wrote down.
     *
     * @return the serialized form of the lambda
     */
    public final SerializedLambda form() {
        Words all = words();
        String[] words = all.words();
        int first = EACH * Integer.parseInt(all.places()[EACH_PLACE * number]);
        return new SerializedLambda(
                caller,
                words[first + 5],
                words[first + 6],
                words[first + 7],
                words[first].charAt(0) - '0',
                words[first + 1],
                words[first + 2],
                words[first + 3],
                words[first + 4],
                captured);
    }

    /**
     * Returns the place of the statement with this pattern.
     *
     * @return the place; null if the class was compiled without lines
     */
    public final @Nullable StackFrame place() {
        Words all = words();
        int first = EACH_PLACE * number;
        int line = Integer.parseInt(all.places()[first + 1]);
        return all.file().isEmpty() || line == 0 ? null : new Place(caller, all.places()[first + 2], all.file(), line);
    }

    /** A class has one text for all its patterns. */
    @SuppressWarnings("StringEquality")
    private Words words() {
        AtomicReference<@Nullable Words> known = WORDS.get(caller);
        Words words = known.get();
        if (words == null || words.forms() != forms) {
            words = Words.of(forms);
            known.set(words);
        }
        return words;
    }

    /**
     * Returns the object to serialize instead.
     *
     * @return the compiler's own form
     */
    final Object writeReplace() {
        return form();
    }

    @Override
    public final @Nullable Object spread(@Nullable Object[] arguments) throws Throwable {
        SerializedLambda written = form();
        ClassLoader loader = caller.getClassLoader();
        Class<?> owner = Class.forName(written.getImplClass().replace('/', '.'), false, loader);
        String name = written.getImplMethodName();
        MethodType type = MethodType.fromMethodDescriptorString(written.getImplMethodSignature(), loader);
        MethodHandles.Lookup lookup = MethodHandles.privateLookupIn(caller, MethodHandles.lookup());
        MethodHandle code = switch (written.getImplMethodKind()) {
            case 6 -> lookup.findStatic(owner, name, type);
            case 7 -> lookup.findSpecial(owner, name, type, caller);
            case 8 -> lookup.findConstructor(owner, type);
            default -> lookup.findVirtual(owner, name, type);
        };
        @Nullable Object[] all = Arrays.copyOf(captured, captured.length + arguments.length);
        System.arraycopy(arguments, 0, all, captured.length, arguments.length);
        return code.asFixedArity().invokeWithArguments(all);
    }
    /**
     * A query with no free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Query0<?> query0(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfQuery0(caller, forms, number, captured);
    }

    private static final class OfQuery0 extends WrittenPattern implements Query0<@Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfQuery0(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public @Nullable Object ask() throws Throwable {
            return spread(new @Nullable Object[] {});
        }
    }

    /**
     * A void call with no free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Act0 act0(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfAct0(caller, forms, number, captured);
    }

    private static final class OfAct0 extends WrittenPattern implements Act0 {
        private static final long serialVersionUID = 1L;

        OfAct0(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public void act() throws Throwable {
            spread(new @Nullable Object[] {});
        }
    }
    /**
     * A query with one free parameter.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Query1<?, ?> query1(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfQuery1(caller, forms, number, captured);
    }

    private static final class OfQuery1 extends WrittenPattern implements Query1<@Nullable Object, @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfQuery1(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public @Nullable Object ask(@Nullable Object first) throws Throwable {
            return spread(new @Nullable Object[] {first});
        }
    }

    /**
     * A void call with one free parameter.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Act1<?> act1(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfAct1(caller, forms, number, captured);
    }

    private static final class OfAct1 extends WrittenPattern implements Act1<@Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfAct1(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public void act(@Nullable Object first) throws Throwable {
            spread(new @Nullable Object[] {first});
        }
    }
    /**
     * A query with two free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Query2<?, ?, ?> query2(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfQuery2(caller, forms, number, captured);
    }

    private static final class OfQuery2 extends WrittenPattern
            implements Query2<@Nullable Object, @Nullable Object, @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfQuery2(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public @Nullable Object ask(@Nullable Object first, @Nullable Object second) throws Throwable {
            return spread(new @Nullable Object[] {first, second});
        }
    }

    /**
     * A void call with two free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Act2<?, ?> act2(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfAct2(caller, forms, number, captured);
    }

    private static final class OfAct2 extends WrittenPattern implements Act2<@Nullable Object, @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfAct2(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public void act(@Nullable Object first, @Nullable Object second) throws Throwable {
            spread(new @Nullable Object[] {first, second});
        }
    }
    /**
     * A query with three free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Query3<?, ?, ?, ?> query3(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfQuery3(caller, forms, number, captured);
    }

    private static final class OfQuery3 extends WrittenPattern
            implements Query3<@Nullable Object, @Nullable Object, @Nullable Object, @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfQuery3(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public @Nullable Object ask(@Nullable Object first, @Nullable Object second, @Nullable Object third)
                throws Throwable {
            return spread(new @Nullable Object[] {first, second, third});
        }
    }

    /**
     * A void call with three free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Act3<?, ?, ?> act3(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfAct3(caller, forms, number, captured);
    }

    private static final class OfAct3 extends WrittenPattern
            implements Act3<@Nullable Object, @Nullable Object, @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfAct3(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public void act(@Nullable Object first, @Nullable Object second, @Nullable Object third) throws Throwable {
            spread(new @Nullable Object[] {first, second, third});
        }
    }
    /**
     * A query with four free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Query4<?, ?, ?, ?, ?> query4(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfQuery4(caller, forms, number, captured);
    }

    private static final class OfQuery4 extends WrittenPattern
            implements Query4<
                    @Nullable Object, @Nullable Object, @Nullable Object, @Nullable Object, @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfQuery4(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public @Nullable Object ask(
                @Nullable Object first, @Nullable Object second, @Nullable Object third, @Nullable Object fourth)
                throws Throwable {
            return spread(new @Nullable Object[] {first, second, third, fourth});
        }
    }

    /**
     * A void call with four free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Act4<?, ?, ?, ?> act4(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfAct4(caller, forms, number, captured);
    }

    private static final class OfAct4 extends WrittenPattern
            implements Act4<@Nullable Object, @Nullable Object, @Nullable Object, @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfAct4(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public void act(
                @Nullable Object first, @Nullable Object second, @Nullable Object third, @Nullable Object fourth)
                throws Throwable {
            spread(new @Nullable Object[] {first, second, third, fourth});
        }
    }
    /**
     * A query with five free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Query5<?, ?, ?, ?, ?, ?> query5(
            Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfQuery5(caller, forms, number, captured);
    }

    private static final class OfQuery5 extends WrittenPattern
            implements Query5<
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfQuery5(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public @Nullable Object ask(
                @Nullable Object first,
                @Nullable Object second,
                @Nullable Object third,
                @Nullable Object fourth,
                @Nullable Object fifth)
                throws Throwable {
            return spread(new @Nullable Object[] {first, second, third, fourth, fifth});
        }
    }

    /**
     * A void call with five free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Act5<?, ?, ?, ?, ?> act5(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfAct5(caller, forms, number, captured);
    }

    private static final class OfAct5 extends WrittenPattern
            implements Act5<@Nullable Object, @Nullable Object, @Nullable Object, @Nullable Object, @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfAct5(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public void act(
                @Nullable Object first,
                @Nullable Object second,
                @Nullable Object third,
                @Nullable Object fourth,
                @Nullable Object fifth)
                throws Throwable {
            spread(new @Nullable Object[] {first, second, third, fourth, fifth});
        }
    }
    /**
     * A query with six free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Query6<?, ?, ?, ?, ?, ?, ?> query6(
            Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfQuery6(caller, forms, number, captured);
    }

    private static final class OfQuery6 extends WrittenPattern
            implements Query6<
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfQuery6(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public @Nullable Object ask(
                @Nullable Object first,
                @Nullable Object second,
                @Nullable Object third,
                @Nullable Object fourth,
                @Nullable Object fifth,
                @Nullable Object sixth)
                throws Throwable {
            return spread(new @Nullable Object[] {first, second, third, fourth, fifth, sixth});
        }
    }

    /**
     * A void call with six free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Act6<?, ?, ?, ?, ?, ?> act6(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfAct6(caller, forms, number, captured);
    }

    private static final class OfAct6 extends WrittenPattern
            implements Act6<
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfAct6(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public void act(
                @Nullable Object first,
                @Nullable Object second,
                @Nullable Object third,
                @Nullable Object fourth,
                @Nullable Object fifth,
                @Nullable Object sixth)
                throws Throwable {
            spread(new @Nullable Object[] {first, second, third, fourth, fifth, sixth});
        }
    }
    /**
     * A query with seven free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Query7<?, ?, ?, ?, ?, ?, ?, ?> query7(
            Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfQuery7(caller, forms, number, captured);
    }

    private static final class OfQuery7 extends WrittenPattern
            implements Query7<
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfQuery7(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public @Nullable Object ask(
                @Nullable Object first,
                @Nullable Object second,
                @Nullable Object third,
                @Nullable Object fourth,
                @Nullable Object fifth,
                @Nullable Object sixth,
                @Nullable Object seventh)
                throws Throwable {
            return spread(new @Nullable Object[] {first, second, third, fourth, fifth, sixth, seventh});
        }
    }

    /**
     * A void call with seven free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Act7<?, ?, ?, ?, ?, ?, ?> act7(
            Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfAct7(caller, forms, number, captured);
    }

    private static final class OfAct7 extends WrittenPattern
            implements Act7<
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfAct7(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public void act(
                @Nullable Object first,
                @Nullable Object second,
                @Nullable Object third,
                @Nullable Object fourth,
                @Nullable Object fifth,
                @Nullable Object sixth,
                @Nullable Object seventh)
                throws Throwable {
            spread(new @Nullable Object[] {first, second, third, fourth, fifth, sixth, seventh});
        }
    }
    /**
     * A query with eight free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Query8<?, ?, ?, ?, ?, ?, ?, ?, ?> query8(
            Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfQuery8(caller, forms, number, captured);
    }

    private static final class OfQuery8 extends WrittenPattern
            implements Query8<
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfQuery8(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public @Nullable Object ask(
                @Nullable Object first,
                @Nullable Object second,
                @Nullable Object third,
                @Nullable Object fourth,
                @Nullable Object fifth,
                @Nullable Object sixth,
                @Nullable Object seventh,
                @Nullable Object eighth)
                throws Throwable {
            return spread(new @Nullable Object[] {first, second, third, fourth, fifth, sixth, seventh, eighth});
        }
    }

    /**
     * A void call with eight free parameters.
     *
     * @param caller the class whose code contains it
     * @param forms the descriptions of all patterns of the class
     * @param number its index among them, from 0
     * @param captured the captured values
     * @return the pattern
     */
    public static Act8<?, ?, ?, ?, ?, ?, ?, ?> act8(
            Class<?> caller, String forms, int number, @Nullable Object[] captured) {
        return new OfAct8(caller, forms, number, captured);
    }

    private static final class OfAct8 extends WrittenPattern
            implements Act8<
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object,
                    @Nullable Object> {
        private static final long serialVersionUID = 1L;

        OfAct8(Class<?> caller, String forms, int number, @Nullable Object[] captured) {
            super(caller, forms, number, captured);
        }

        @Override
        public void act(
                @Nullable Object first,
                @Nullable Object second,
                @Nullable Object third,
                @Nullable Object fourth,
                @Nullable Object fifth,
                @Nullable Object sixth,
                @Nullable Object seventh,
                @Nullable Object eighth)
                throws Throwable {
            spread(new @Nullable Object[] {first, second, third, fourth, fifth, sixth, seventh, eighth});
        }
    }
}
