package dev.zelotype.engine.pattern.code;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.engine.make.VariableNames;
import java.lang.ref.Reference;
import java.lang.reflect.Array;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.net.URI;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.Paths;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.Currency;
import java.util.Date;
import java.util.EnumSet;
import java.util.Enumeration;
import java.util.HexFormat;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Scanner;
import java.util.Set;
import java.util.Spliterator;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.BaseStream;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Type;

/**
 * The real code that a pattern may run to compute an argument: that of the test itself, and code of the JDK that is
 * known to have no side effects. Reading a pattern must not change the test's objects, so unknown code is refused.
 */
public final class SideEffects {

    /** Types of the JDK whose objects never change. */
    private static final List<Class<?>> VALUES = List.of(
            String.class,
            Boolean.class,
            Character.class,
            Byte.class,
            Short.class,
            Integer.class,
            Long.class,
            Float.class,
            Double.class,
            BigInteger.class,
            BigDecimal.class,
            Enum.class,
            Record.class,
            Class.class,
            Optional.class,
            OptionalInt.class,
            OptionalLong.class,
            OptionalDouble.class,
            Path.class,
            URI.class,
            UUID.class,
            Locale.class,
            Charset.class,
            Currency.class,
            Pattern.class,
            HexFormat.class,
            Comparator.class);

    /** Types of the JDK whose objects have content that can be read. */
    private static final List<Class<?>> HOLDERS = List.of(
            CharSequence.class,
            Number.class,
            Collection.class,
            Map.class,
            Map.Entry.class,
            BitSet.class,
            Date.class,
            MatchResult.class,
            AtomicReference.class,
            AtomicBoolean.class,
            ThreadLocal.class,
            Reference.class,
            Throwable.class);

    /** The first words of methods that read the content of such an object. */
    private static final Set<String> LOOKS = Set.of(
            "after",
            "array",
            "as",
            "before",
            "capacity",
            "cardinality",
            "ceiling",
            "char",
            "chars",
            "clone",
            "code",
            "comparator",
            "compare",
            "contains",
            "contents",
            "copy",
            "count",
            "descending",
            "double",
            "element",
            "elements",
            "end",
            "entry",
            "equals",
            "first",
            "float",
            "floor",
            "get",
            "group",
            "has",
            "head",
            "higher",
            "index",
            "int",
            "intersects",
            "is",
            "iterator",
            "key",
            "keys",
            "last",
            "length",
            "lines",
            "list",
            "long",
            "lower",
            "navigable",
            "next",
            "or",
            "parallel",
            "peek",
            "previous",
            "refers",
            "remaining",
            "reversed",
            "short",
            "size",
            "spliterator",
            "start",
            "stream",
            "string",
            "sub",
            "subsequence",
            "substring",
            "sum",
            "tail",
            "to",
            "values");

    /** Classes of the JDK whose static methods compute values or query the system. */
    private static final Set<Class<?>> FACTORIES = Set.of(
            Objects.class,
            Math.class,
            StrictMath.class,
            Paths.class,
            List.class,
            Set.class,
            Map.class,
            Map.Entry.class,
            EnumSet.class,
            BitSet.class,
            Collectors.class,
            Stream.class,
            IntStream.class,
            LongStream.class,
            DoubleStream.class,
            TimeUnit.class,
            CharSequence.class);

    /** For other classes: the first words of static methods that do so. */
    private static final Map<Class<?>, Set<String>> SOME_STATIC = Map.of(
            Arrays.class,
                    Set.of("as", "binary", "compare", "copy", "deep", "equals", "hash", "mismatch", "stream", "to"),
            Collections.class,
                    Set.of(
                            "binary",
                            "checked",
                            "disjoint",
                            "empty",
                            "enumeration",
                            "frequency",
                            "index",
                            "last",
                            "max",
                            "min",
                            "n",
                            "reverse",
                            "singleton",
                            "synchronized",
                            "unmodifiable"),
            System.class, Set.of("current", "get", "getenv", "identity", "line", "nano"),
            Thread.class, Set.of("current"),
            Files.class, Set.of("exists", "get", "is", "mismatch", "not", "probe", "read", "size"),
            Array.class, Set.of("get", "new"),
            CompletableFuture.class, Set.of("completed", "failed"));

    private SideEffects() {}

    /**
     * Whether a method call on an object can be considered as reading a value.
     *
     * @param owner the class that contains the pattern
     * @param made whether the pattern itself has created the object, so that the change is not visible elsewhere
     */
    public static boolean onlyLooks(
            Class<?> owner, Object target, String method, String descriptor, @Nullable Object self, boolean made) {
        if (target == self || isOwn(owner, target.getClass())) {
            return true;
        }
        switch (method) {
            case "toString", "hashCode", "equals", "getClass", "compareTo":
                return true;
            case "name", "ordinal":
                if (target instanceof Enum) {
                    return true;
                }
                break;
            case "getMessage":
                if (target instanceof Throwable) {
                    return true;
                }
                break;
            default:
        }
        Class<?> type = target.getClass();
        if (type.isRecord()) {
            return Type.getArgumentTypes(descriptor).length == 0 && isComponent(type, method);
        }
        return CodeOwner.isOfJdk(type) && (made || isValue(target) || looks(target, method));
    }

    private static boolean isValue(Object target) {
        return target.getClass().getName().startsWith("java.time.") || isOneOf(VALUES, target);
    }

    private static boolean looks(Object target, String method) {
        if (target.getClass().isArray()) {
            return true;
        } else if (target instanceof Iterator || target instanceof Enumeration) {
            // A scanner reads ahead to know.
            return !(target instanceof Scanner) && (method.equals("hasNext") || method.equals("hasMoreElements"));
        }
        return isOneOf(HOLDERS, target)
                && LOOKS.contains(VariableNames.firstWord(method))
                && !method.contains("And")
                && !method.contains("Then")
                && !(target instanceof Matcher && method.equals("lookingAt"));
    }

    /** Whether a static method of the JDK has no side effects; those of other code are the test's responsibility. */
    public static boolean onlyLooks(Class<?> type, String method) {
        if (!CodeOwner.isOfJdk(type)) {
            return true;
        }
        String name = type.getName();
        Set<String> some = SOME_STATIC.get(type);
        return some != null && some.contains(VariableNames.firstWord(method))
                || FACTORIES.contains(type)
                || VALUES.contains(type)
                || name.startsWith("java.time.")
                || name.startsWith("java.math.")
                || name.startsWith("java.text.")
                || name.startsWith("java.util.function.")
                || method.equals("of")
                || method.equals("valueOf");
    }

    /** Whether an object is new and shared with nothing else, given the JDK method that returned it. */
    public static boolean makesNew(@Nullable Object from, boolean made, String method, @Nullable Object given) {
        if (given == null || given == from || !CodeOwner.isOfJdk(given.getClass())) {
            return false;
        }
        return given instanceof BaseStream || given instanceof Iterator && !(given instanceof Scanner)
                ? made || from == null || isValue(from) || isOneOf(HOLDERS, from)
                : given instanceof Spliterator || given instanceof Matcher && method.equals("matcher");
    }

    /** Whether an object that was made from some arguments can change without changing these. */
    public static boolean standsAlone(Object made, Object[] arguments, Set<Object> madeHere) {
        boolean copies = made instanceof Collection || made instanceof Map || made instanceof CharSequence;
        for (Object each : arguments) {
            boolean alone = each == null
                    || isValue(each)
                    || madeHere.contains(each)
                    || each.getClass().isArray();
            boolean copied =
                    copies && (each instanceof Collection || each instanceof Map || each instanceof CharSequence);
            if (!alone && !copied) {
                return false;
            }
        }
        return CodeOwner.isOfJdk(made.getClass());
    }

    private static boolean isOneOf(List<Class<?>> types, Object target) {
        for (Class<?> type : types) {
            if (type.isInstance(target)) {
                return true;
            }
        }
        return false;
    }

    /** Whether a class is the one that contains the pattern, an enclosing one, or a lambda of it. */
    private static boolean isOwn(Class<?> owner, Class<?> type) {
        if (type.isHidden()) {
            return type.getNestHost() == owner.getNestHost();
        }
        for (Class<?> around = owner; around != null; around = around.getEnclosingClass()) {
            if (around.isAssignableFrom(type)) {
                return true;
            }
        }
        return false;
    }

    private static boolean isComponent(Class<?> type, String name) {
        for (var component : type.getRecordComponents()) {
            if (component.getName().equals(name)) {
                return true;
            }
        }
        return false;
    }
}
