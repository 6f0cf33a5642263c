package dev.zelotype.generate;

import dev.zelotype.generate.model.Code;
import dev.zelotype.generate.model.MethodModel;
import dev.zelotype.generate.model.Parameter;
import dev.zelotype.generate.model.TypeModel;
import dev.zelotype.generate.text.ClassText;
import dev.zelotype.generate.text.MethodText;
import dev.zelotype.generate.type.ArrayName;
import dev.zelotype.generate.type.ClassName;
import dev.zelotype.generate.type.GenericName;
import dev.zelotype.generate.type.PrimitiveName;
import dev.zelotype.generate.type.TypeName;
import dev.zelotype.generate.type.VariableName;
import dev.zelotype.generate.type.WildcardName;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Writes a fake that already works where names and types of methods reveal their purpose: a store of values by key, a
 * queue, listeners. The rest is left to be written.
 */
final class FakeWriter {

    private static final Set<String> SAVE = Set.of(
            "save", "add", "put", "store", "insert", "register", "update", "create", "persist", "upsert", "replace");
    private static final Set<String> FIND = Set.of("find", "get", "load", "lookup", "fetch", "read");
    private static final Set<String> DELETE = Set.of("delete", "remove", "forget", "discard", "erase", "drop");
    private static final Pattern ALL =
            Pattern.compile("(find|get|list|load)?All[A-Z]?\\w*|all|list|values|entries|(list|all)[A-Z]\\w*");
    private static final Set<String> EXISTS = Set.of("exists", "contains", "has");
    private static final Pattern COUNT = Pattern.compile("count(All)?|size|length|total");
    private static final Pattern CLEAR = Pattern.compile("clear|deleteAll|removeAll|reset");
    private static final Set<String> OFFER =
            Set.of("add", "offer", "put", "enqueue", "send", "publish", "submit", "post", "append");
    private static final Set<String> POLL = Set.of("poll", "take", "next", "dequeue", "receive");
    private static final Set<String> PEEK = Set.of("peek", "head");
    private static final Pattern LISTEN = Pattern.compile("(add|register)\\w*|subscribe|listen|on[A-Z]\\w*");
    private static final Pattern UNLISTEN = Pattern.compile("(remove|unregister)\\w*|unsubscribe|forget");

    private static final Set<String> COLLECTIONS = Set.of(
            "java.lang.Iterable", "java.util.Collection", "java.util.List", "java.util.Set", "java.util.stream.Stream");

    private final TypeModel type;
    private final ClassText out;
    private final String name;
    private final Map<MethodModel, List<String>> bodies = new LinkedHashMap<>();
    private final List<String> recognised = new ArrayList<>();
    private String stored = "";
    private String waiting = "";
    private String listening = "";
    private String keyOf = "";

    FakeWriter(TypeModel type, ClassText out, String name) {
        this.type = type;
        this.out = out;
        this.name = name;
    }

    /** Determines the purpose of the methods, and writes the fields that they need. */
    void head(List<MethodModel> methods) {
        List<MethodModel> open = new ArrayList<>(methods);
        // A field cannot have a method's own type variables, and should not be warned of.
        open.removeIf(each -> each.isOfObject()
                || !each.typeVariables().isEmpty()
                || !each.warnings().isEmpty());
        this.stored = unused("stored", methods);
        this.waiting = unused("waiting", methods);
        this.listening = unused("listeners", methods);
        this.keyOf = unused("keyOf", methods);
        listeners(open);
        store(open);
        queue(open);
        List<String> left = methods.stream()
                .filter(each -> !each.isOfObject() && !bodies.containsKey(each))
                .map(MethodModel::link)
                .distinct()
                .toList();
        List<String> lines = new ArrayList<>();
        if (recognised.isEmpty()) {
            lines.add(
                    "A fake of {@link $T}, to be written: none of its methods look like those of a store that saves and");
            lines.add("finds values, of a queue, or of listeners.");
        } else {
            lines.add("A fake of {@link $T} that works as far as its names were understood:");
            lines.addAll(recognised);
            if (!left.isEmpty()) {
                lines.add("Left to write: " + String.join(", ", left) + ".");
            }
        }
        out.javadoc(String.join("\n * ", lines), type.name());
    }

    /** A name that no method and no parameter has. */
    private String unused(String wanted, List<MethodModel> methods) {
        String free = wanted;
        while (isUsed(free, methods)) {
            free = "own" + Character.toUpperCase(free.charAt(0)) + free.substring(1);
        }
        return free;
    }

    private boolean isUsed(String wanted, List<MethodModel> methods) {
        return type.methodNames().contains(wanted)
                || methods.stream()
                        .flatMap(each -> each.parameters().stream())
                        .anyMatch(each -> each.name().equals(wanted));
    }

    /** Writes the code of a method; returns false if it is left to be written. */
    boolean write(MethodModel method) {
        List<String> body = bodies.get(method);
        if (body == null) {
            return false;
        }
        MethodText code = Writer.overriding(method, Set.of());
        body.forEach(each -> code.statement("$L", each));
        out.method(code);
        return true;
    }

    private void recognise(MethodModel method, String... body) {
        bodies.put(method, List.of(body));
    }

    private static @Nullable TypeName only(MethodModel method) {
        return method.parameters().size() == 1 && !method.varargs()
                ? method.parameters().get(0).type().withoutAnnotations()
                : null;
    }

    private static String argument(MethodModel method, int place) {
        return method.parameters().get(place).name();
    }

    // A store of values by their key

    private void store(List<MethodModel> methods) {
        if (type.methodNames().contains("iterator")) {
            // A collection finds its elements by their places.
            return;
        }
        for (MethodModel find : methods) {
            TypeName key = only(find);
            TypeName value = key == null || bodies.containsKey(find) ? null : found(find.returns());
            boolean isFind = value != null && isNamed(find, FIND, value) && canBeKey(key);
            if (isFind && store(methods, key, value)) {
                return;
            }
        }
    }

    private boolean store(List<MethodModel> methods, TypeName key, TypeName value) {
        MethodModel save = methods.stream()
                .filter(each -> isSave(each, key, value) && !bodies.containsKey(each))
                .findFirst()
                .orElse(null);
        if (save == null) {
            return false;
        }
        boolean byArgument = save.parameters().size() == 2;
        List<String> does = new ArrayList<>();
        for (MethodModel each : methods) {
            if (!bodies.containsKey(each) && isInStore(each, key, value, byArgument)) {
                does.add(each.name());
            }
        }
        out.field("private final $T<$T, $T> $L = new $T<>()", Map.class, key.box(), value, stored, LinkedHashMap.class);
        String how = byArgument
                ? "one " + plain(value) + " for each " + plain(key)
                : "each " + plain(value) + key(key, value);
        recognised.add("it keeps " + how + " ("
                + String.join(", ", does.stream().distinct().toList()) + ").");
        return true;
    }

    private boolean isSave(MethodModel method, TypeName key, TypeName value) {
        List<Parameter> parameters = method.parameters();
        boolean one = parameters.size() == 1 && same(parameters.get(0).type(), value) && !same(key, value);
        boolean two = parameters.size() == 2
                && same(parameters.get(0).type(), key)
                && same(parameters.get(1).type(), value);
        return isNamed(method, SAVE, value) && (one || two) && givesOf(method, value) && !method.varargs();
    }

    /** Whether a method name is a verb, or a verb with its object: {@code find}, {@code findById}. */
    private static boolean isNamed(MethodModel method, Set<String> verbs, TypeName value) {
        String first = method.name().replaceFirst("[A-Z].*", "");
        String rest = method.name().substring(first.length());
        boolean isOwn =
                !(value instanceof ClassName known && known.packageName().startsWith("java."));
        boolean isAbout =
                rest.isEmpty() || rest.startsWith("By") || rest.equals("Key") || isOwn && rest.startsWith(plain(value));
        return verbs.contains(first) && isAbout;
    }

    /** The possible results of a method that changes something: nothing, whether it did, or the value. */
    private static boolean givesOf(MethodModel method, TypeName value) {
        return method.isVoid() || isBoolean(method.returns()) || same(unwrapped(method.returns()), value);
    }

    private boolean isInStore(MethodModel method, TypeName key, TypeName value, boolean byArgument) {
        TypeName only = only(method);
        TypeName returns = method.returns();
        if (isSave(method, key, value) && (method.parameters().size() == 2 || !byArgument)) {
            boolean two = method.parameters().size() == 2;
            String of = argument(method, two ? 1 : 0);
            String put = Code.of("$L.put($L, $L)", stored, two ? argument(method, 0) : keyOf + "(" + of + ")", of);
            saving(method, put, of);
        } else if (only != null && same(only, key) && isNamed(method, FIND, value) && same(unwrapped(returns), value)) {
            recognise(method, "return " + given(returns, Code.of("$L.get($L)", stored, argument(method, 0))));
        } else if (only != null
                && isNamed(method, DELETE, value)
                && givesOf(method, value)
                && (same(only, key) || same(only, value) && !byArgument)) {
            String by = same(only, key) ? argument(method, 0) : keyOf + "(" + argument(method, 0) + ")";
            String removed = Code.of("$L.remove($L)", stored, by);
            recognise(
                    method,
                    method.isVoid()
                            ? removed
                            : "return " + (isBoolean(returns) ? removed + " != null" : given(returns, removed)));
        } else if (only != null && same(only, key) && isNamed(method, EXISTS, value) && isBoolean(returns)) {
            recognise(method, Code.of("return $L.containsKey($L)", stored, argument(method, 0)));
        } else {
            return whole(method, value, stored, stored + ".values()");
        }
        return true;
    }

    private void saving(MethodModel method, String put, String of) {
        if (method.isVoid()) {
            recognise(method, put);
        } else if (isBoolean(method.returns())) {
            recognise(method, "return " + put + " == null");
        } else {
            recognise(method, put, "return " + given(method.returns(), of));
        }
    }

    /** Methods without parameters that concern all stored values. */
    private boolean whole(MethodModel method, TypeName value, String field, String values) {
        TypeName returns = method.returns();
        if (!method.parameters().isEmpty()) {
            return false;
        } else if (ALL.matcher(method.name()).matches() && isCollectionOf(returns, value)) {
            recognise(method, "return " + collected(returns, values));
        } else if (COUNT.matcher(method.name()).matches() && isNumber(returns)) {
            recognise(method, "return " + field + ".size()");
        } else if (CLEAR.matcher(method.name()).matches() && method.isVoid()) {
            recognise(method, field + ".clear()");
        } else if (method.name().equals("isEmpty") && isBoolean(returns)) {
            recognise(method, "return " + field + ".isEmpty()");
        } else {
            return false;
        }
        return true;
    }

    /** Writes how the key of a value is found, and returns a description of it. */
    private String key(TypeName key, TypeName value) {
        String part = type.partOf(value, key);
        MethodText code =
                new MethodText("protected", keyOf).returns(Code.type(key.box())).parameter(Code.type(value), "value");
        if (part != null) {
            code.statement("return value.$L()", part);
        } else {
            code.statement(
                    "throw new $T($S)",
                    UnsupportedOperationException.class,
                    name + "." + keyOf + " is left to write: which part of a value is its key?");
        }
        out.method(code);
        return part == null ? " by the key that " + keyOf + " gives" : " by its " + part + "()";
    }

    // A queue

    private void queue(List<MethodModel> methods) {
        if (type.methodNames().contains("hasNext")) {
            // It is gone through, and not emptied.
            return;
        }
        for (MethodModel poll : methods) {
            TypeName value = bodies.containsKey(poll) || !poll.parameters().isEmpty() ? null : found(poll.returns());
            boolean offered = value != null
                    && isNamed(poll, POLL, value)
                    && methods.stream().anyMatch(each -> isOffer(each, value));
            if (!offered) {
                continue;
            }
            List<String> does = new ArrayList<>();
            for (MethodModel each : methods) {
                if (!bodies.containsKey(each) && isInQueue(each, value)) {
                    does.add(each.name());
                }
            }
            out.field("private final $T<$T> $L = new $T<>()", Deque.class, value.box(), waiting, ArrayDeque.class);
            recognised.add("it is a queue of " + plain(value) + " (" + String.join(", ", does) + ").");
            return;
        }
    }

    private boolean isOffer(MethodModel method, TypeName value) {
        TypeName only = only(method);
        return only != null
                && !bodies.containsKey(method)
                && same(only, value)
                && isNamed(method, OFFER, value)
                && (method.isVoid() || isBoolean(method.returns()));
    }

    private boolean isInQueue(MethodModel method, TypeName value) {
        boolean gives = method.parameters().isEmpty() && same(unwrapped(method.returns()), value);
        if (isOffer(method, value)) {
            recognise(
                    method,
                    Code.of(method.isVoid() ? "$L.add($L)" : "return $L.add($L)", waiting, argument(method, 0)));
        } else if (gives && isNamed(method, POLL, value)) {
            recognise(method, "return " + taken(method.returns(), waiting + ".poll()", waiting + ".remove()"));
        } else if (gives && isNamed(method, PEEK, value)) {
            recognise(method, "return " + taken(method.returns(), waiting + ".peek()", waiting + ".element()"));
        } else {
            return whole(method, value, waiting, waiting);
        }
        return true;
    }

    // Listeners

    private void listeners(List<MethodModel> methods) {
        for (MethodModel add : methods) {
            TypeName listener = only(add);
            boolean isListener = listener instanceof ClassName known
                    && LISTEN.matcher(add.name()).matches()
                    && (known.simpleName().endsWith("Listener")
                            || known.simpleName().endsWith("Observer")
                            || known.simpleName().endsWith("Subscriber")
                            || known.simpleName().endsWith("Handler"))
                    && add.isVoid();
            if (!isListener) {
                continue;
            }
            List<String> does = new ArrayList<>(List.of(add.name()));
            recognise(add, Code.of("$L.add($L)", listening, argument(add, 0)));
            for (MethodModel each : methods) {
                boolean removes = only(each) != null
                        && same(only(each), listener)
                        && UNLISTEN.matcher(each.name()).matches()
                        && (each.isVoid() || isBoolean(each.returns()));
                if (removes) {
                    recognise(
                            each,
                            Code.of(
                                    each.isVoid() ? "$L.remove($L)" : "return $L.remove($L)",
                                    listening,
                                    argument(each, 0)));
                    does.add(each.name());
                }
            }
            out.field("private final $T<$T> $L = new $T<>()", List.class, listener, listening, ArrayList.class);
            out.method(new MethodText("public", listening)
                    .javadoc("Those that listen now, for a test to tell them something.")
                    .returns(Code.of("$T<$T>", List.class, listener))
                    .statement("return $T.copyOf($L)", List.class, listening));
            recognised.add("it keeps listeners, which " + listening + "() gives (" + String.join(", ", does) + ").");
            return;
        }
    }

    // Types

    /** The value type of a method that may find nothing; null if it does not return a single value. */
    private static @Nullable TypeName found(TypeName returns) {
        TypeName value = unwrapped(returns);
        boolean isOne = value instanceof ClassName || value instanceof VariableName || value instanceof GenericName;
        return isOne && !isCollection(value) && !isBoolean(value) && !value.equals(ClassName.OBJECT) ? value : null;
    }

    private static TypeName unwrapped(TypeName returns) {
        TypeName plain = returns.withoutAnnotations();
        return isOptional(plain) ? ((GenericName) plain).arguments().get(0).withoutAnnotations() : plain;
    }

    private static boolean isOptional(TypeName type) {
        return type instanceof GenericName generic
                && generic.raw().canonicalName().equals("java.util.Optional");
    }

    private static String given(TypeName returns, String value) {
        return isOptional(returns.withoutAnnotations()) ? Code.of("$T.ofNullable($L)", Optional.class, value) : value;
    }

    private static String taken(TypeName returns, String orNull, String orThrows) {
        return isOptional(returns.withoutAnnotations())
                ? given(returns, orNull)
                : returns instanceof PrimitiveName ? orThrows : orNull;
    }

    private static boolean canBeKey(TypeName type) {
        return !(type instanceof ArrayName)
                && !(type instanceof WildcardName)
                && !isCollection(type)
                && !isBoolean(type);
    }

    private static boolean isCollection(TypeName type) {
        return type instanceof GenericName generic
                && COLLECTIONS.contains(generic.raw().canonicalName());
    }

    private static boolean isCollectionOf(TypeName type, TypeName value) {
        if (!isCollection(type)) {
            return false;
        }
        TypeName element = ((GenericName) type).arguments().get(0).withoutAnnotations();
        TypeName of = element instanceof WildcardName wild && wild.lower() == null ? wild.upper() : element;
        return same(of, value);
    }

    private static String collected(TypeName returns, String values) {
        return switch (((GenericName) returns).raw().canonicalName()) {
            case "java.util.Set" -> Code.of("new $T<>($L)", LinkedHashSet.class, values);
            case "java.util.stream.Stream" -> Code.of("new $T<>($L).stream()", ArrayList.class, values);
            default -> Code.of("new $T<>($L)", ArrayList.class, values);
        };
    }

    private static boolean same(TypeName one, TypeName other) {
        return one.withoutAnnotations().box().equals(other.withoutAnnotations().box());
    }

    private static boolean isBoolean(TypeName type) {
        return type instanceof PrimitiveName primitive && primitive.keyword().equals("boolean");
    }

    private static boolean isNumber(TypeName type) {
        return type instanceof PrimitiveName primitive
                && (primitive.keyword().equals("int") || primitive.keyword().equals("long"));
    }

    private static String plain(TypeName type) {
        return type instanceof ClassName named
                ? named.simpleName()
                : type instanceof GenericName generic
                        ? generic.raw().simpleName()
                        : String.valueOf(type instanceof PrimitiveName primitive ? primitive.keyword() : type);
    }
}
