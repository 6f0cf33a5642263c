package dev.zelotype.replaced;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.reading.Compiled;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TimeZone;
import java.util.concurrent.Callable;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Calls of a replaced static method or constructor in any form are answered while the scene is open, and run the real
 * code afterwards. Tested by compiler, for classes that were loaded before and after the statement.
 */
class CallFormsTest {

    /**
     * What is replaced.
     *
     * @param name its unique name
     * @param call the call, with the argument as {@code $}
     * @param reference the method reference
     * @param argument the argument's type
     * @param value the argument
     * @param result the type of the answer
     * @param told the answer of the statement
     */
    private record Target(
            String name, String call, String reference, String argument, String value, String result, String told) {}

    private static final List<Target> TARGETS = List.of(
            new Target("Static", "Base.level($)", "Base::level", "String", "\"4\"", "Integer", "7"),
            new Target("Inherited", "Further.level($)", "Further::level", "String", "\"4\"", "Integer", "7"),
            new Target("OfInterface", "Site.level($)", "Site::level", "String", "\"4\"", "Integer", "7"),
            new Target("OfJdk", "Integer.parseInt($)", "Integer::parseInt", "String", "\"4\"", "Integer", "7"),
            new Target(
                    "InheritedOfJdk",
                    "SimpleTimeZone.getTimeZone($)",
                    "SimpleTimeZone::getTimeZone",
                    "String",
                    "\"GMT+1\"",
                    "TimeZone",
                    "TimeZone.getTimeZone(\"GMT+9\")"),
            new Target(
                    "OfInterfaceOfJdk",
                    "List.copyOf($)",
                    "List::copyOf",
                    "List<Integer>",
                    "new ArrayList<>(Arrays.asList(4))",
                    "List<Integer>",
                    "Arrays.asList(7)"),
            new Target("Constructor", "new Box($)", "Box::new", "String", "\"4\"", "Box", "new Box(\"7\")"),
            new Target(
                    "ConstructorOfJdk",
                    "new StringBuilder($)",
                    "StringBuilder::new",
                    "String",
                    "\"4\"",
                    "StringBuilder",
                    "new StringBuilder(\"7\")"));

    /** The form of the call: {@code $} is the value, {@code #} the reference, {@code @} the call of {@code x}. */
    private static final Map<String, String> FORMS = new LinkedHashMap<>();

    static {
        FORMS.put("plain", "{ ARG x = $; return @; }");
        FORMS.put(
                "several in a line",
                "{ ARG x = $; RES a = @; RES b = @; return a.toString().equals(b.toString()) ? a : null; }");
        FORMS.put("lambda", "{ Function<ARG, RES> f = x -> @; return f.apply($); }");
        FORMS.put("reference", "{ Function<ARG, RES> f = #; return f.apply($); }");
        FORMS.put(
                "serializable", "{ Function<ARG, RES> f = (Function<ARG, RES> & Serializable) #; return f.apply($); }");
        FORMS.put(
                "copied", "{ Function<ARG, RES> f = (Function<ARG, RES> & Serializable) #; return copy(f).apply($); }");
        FORMS.put(
                "marker",
                "{ Function<ARG, RES> f = (Function<ARG, RES> & Mark) #; return ((Mark) f) == f ? f.apply($) : 0; }");
        FORMS.put("bridge", "{ Narrow f = #; Function<ARG, RES> wide = f; return wide.apply($); }");
        FORMS.put("private interface", "{ Hidden f = #; return f.twice($); }");
        FORMS.put("stream", "{ ARG x = $; return Stream.of(x).map(#).toList().get(0); }");
        FORMS.put("nested class", "{ return new Object() { RES made(ARG x) { return @; } }.made($); }");
        FORMS.put("static initializer", "{ return Init.VALUE; }");
        FORMS.put("pool", "{ ARG x = $; return CompletableFuture.supplyAsync(() -> @).get(); }");
        FORMS.put("kept", "{ return KEPT.apply($); }");
        FORMS.put("optional", "{ ARG x = $; return Optional.of(x).map(#).get(); }");
    }

    /** Forms for one target only. */
    private static final Map<String, String> OF_PARSE_INT = new LinkedHashMap<>();

    static {
        OF_PARSE_INT.put("widened", "{ ToLongFunction<String> f = Integer::parseInt; return (int) f.applyAsLong($); }");
        OF_PARSE_INT.put(
                "widened to double",
                "{ ToDoubleFunction<String> f = Integer::parseInt; return (int) f.applyAsDouble($); }");
        OF_PARSE_INT.put("boxed to Object", "{ Function<String, Object> f = Integer::parseInt; return f.apply($); }");
        OF_PARSE_INT.put("unboxed stream", "{ return (int) Stream.of($).mapToLong(Integer::parseInt).sum(); }");
        OF_PARSE_INT.put(
                "of a wider argument",
                "{ Function<String, Number> f = Integer::parseInt; return f.apply($).intValue(); }");
    }

    private static final String TYPES = """
            class Base { static int level(String text) { return Integer.valueOf(text); } }
            class Derived extends Base {}
            class Further extends Derived { static Object own(String text) { return level(text); } }
            interface Site { static int level(String text) { return Integer.valueOf(text); } }
            class Box {
                final String text;
                Box(String text) { this.text = text; }
                public String toString() { return text; }
            }
            class Crate extends Box { Crate(String text) { super(text); } }
            interface Mark {}
            """;

    private static final String HEAD = """
            import java.io.*;
            import java.util.*;
            import java.util.concurrent.*;
            import java.util.function.*;
            import java.util.stream.*;
            import dev.zelotype.Zelotype;
            """;

    private static String source(Target target, Map<String, String> forms) {
        StringBuilder out = new StringBuilder(HEAD + """
                public class NAME {
                    interface Narrow extends Function<ARG, RES> { RES apply(ARG x); }
                    private interface Hidden { RES once(ARG x); default RES twice(ARG x) { once(x); return once(x); } }
                    static final Function<ARG, RES> KEPT = x -> @;
                    static class Init { static final Object VALUE = at($); static RES at(ARG x) { return @; } }
                    static <T> T copy(T one) throws Exception {
                        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
                        new ObjectOutputStream(bytes).writeObject(one);
                        return (T) new ObjectInputStream(new ByteArrayInputStream(bytes.toByteArray())) {
                            protected Class<?> resolveClass(ObjectStreamClass type) throws ClassNotFoundException {
                                return Class.forName(type.getName(), false, NAME.class.getClassLoader());
                            }
                        }.readObject();
                    }
                    static Object told() { return TOLD; }
                """);
        int number = 0;
        for (String body : forms.values()) {
            out.append("    static Object form")
                    .append(number++)
                    .append("() throws Exception ")
                    .append(body)
                    .append('\n');
        }
        return filled(out + "}\n", target);
    }

    /** Statements are in a separate class, so that no call to be replaced is running already. */
    private static String statement(Target target) {
        return filled(HEAD + """
                public class SayNAME {
                    public static void say() {
                        RES told = (RES) NAME.told();
                        Zelotype.suppose((ARG x) -> @).returns(told);
                    }
                }
                """, target);
    }

    private static String filled(String text, Target target) {
        return text.replace("@", target.call().replace("$", "x"))
                .replace("#", target.reference())
                .replace("$", target.value())
                .replace("ARG", target.argument())
                .replace("RES", target.result())
                .replace("TOLD", target.told())
                .replace("NAME", target.name());
    }

    /** The published table: a row for each form, a column for each target. */
    private static String page() {
        StringBuilder out = new StringBuilder("""
                # Call forms

                What happens to a call of a replaced static method or constructor, by the form of the call. Each
                cell is tested with classes compiled by javac (with and without debug information, and with coverage
                probes) and by the Eclipse compiler, loaded before and after the statement. "replaced" means that
                the call is answered in the scene, and runs the real code after it. The Eclipse compiler itself
                omits marker interfaces. `CallFormsTest` checks the table.

                | form |""");
        TARGETS.forEach(target -> out.append(" `").append(target.reference()).append("` |"));
        out.append("\n|---|").append("---|".repeat(TARGETS.size())).append('\n');
        Map<String, String> all = new LinkedHashMap<>();
        TARGETS.forEach(target -> all.putAll(formsOf(target)));
        for (String form : all.keySet()) {
            out.append("| ").append(form).append(" |");
            for (Target target : TARGETS) {
                out.append(formsOf(target).containsKey(form) ? " replaced |" : " |");
            }
            out.append('\n');
        }
        out.append("| `super(...)` of a subclass |")
                .append(" |".repeat(TARGETS.size() - 2))
                .append(" real | real |\n");
        return out.append("\n[Limits](guide/limits.md)\n").toString();
    }

    private static Map<String, String> formsOf(Target target) {
        Map<String, String> all = new LinkedHashMap<>(FORMS);
        if (target.name().equals("OfJdk")) {
            all.putAll(OF_PARSE_INT);
        }
        if (target.name().equals("Inherited")) {
            all.put("unqualified in a subclass", "{ return Further.own($); }");
        }
        return all;
    }

    @ParameterizedTest
    @EnumSource(
            value = Compiled.class,
            names = {"BY_JAVAC", "WITHOUT_DEBUG_DATA", "BY_ECLIPSE", "WITH_COVERAGE_PROBES", "WITHOUT_CLASS_FILES"})
    void every_form_is_answered_in_the_scene_and_real_after_it(Compiled how, @TempDir Path folder) throws Exception {
        Map<String, String> sources = new LinkedHashMap<>();
        sources.put("Types.java", TYPES);
        for (Target target : TARGETS) {
            sources.put(target.name() + ".java", source(target, formsOf(target)));
            sources.put("Say" + target.name() + ".java", statement(target));
        }
        List<String> wrong = new ArrayList<>();
        how.load(folder, sources);
        for (boolean before : new boolean[] {true, false}) {
            ClassLoader loader = how.again(folder);
            for (Target target : TARGETS) {
                tryAll(target, loader, before, wrong);
            }
        }
        if (how == Compiled.BY_JAVAC) {
            Path published = Path.of("..", "docs", "call-forms.md");
            if (Boolean.getBoolean("zelotype.publish")) {
                Files.writeString(published, page());
            }
            assertThat(published).as("written with -Dzelotype.publish=true").hasContent(page());
        }
        // The Eclipse compiler omits the marker, whether the call is replaced or not.
        wrong.removeIf(each -> how == Compiled.BY_ECLIPSE && each.contains("cannot be cast to class Mark"));
        assertThat(wrong).isEmpty();
    }

    private static void tryAll(Target target, ClassLoader loader, boolean before, List<String> wrong) throws Exception {
        List<String> names = List.copyOf(formsOf(target).keySet());
        if (before) {
            Class.forName(target.name(), false, loader);
            Class.forName(target.name() + "$Init", false, loader);
        }
        Object told;
        try (Scene scene = Scene.open()) {
            Class.forName("Say" + target.name(), false, loader).getMethod("say").invoke(null);
            told = call(target, loader, "told").call();
            for (int i = 0; i < names.size(); i++) {
                compare(
                        target,
                        names.get(i),
                        before,
                        "in the scene",
                        text(told),
                        call(target, loader, "form" + i),
                        wrong);
            }
            assertThat(scene.conversation().calls()).hasSizeGreaterThanOrEqualTo(names.size());
        }
        Object real = call(target, loader, "form0").call();
        assertThat(text(real)).isNotEqualTo(text(told));
        for (int i = 0; i < names.size(); i++) {
            // Values from a static initializer stay.
            String wanted = names.get(i).equals("static initializer") ? text(told) : text(real);
            compare(target, names.get(i), before, "after it", wanted, call(target, loader, "form" + i), wrong);
        }
    }

    private static void compare(
            Target target,
            String form,
            boolean before,
            String when,
            String wanted,
            Callable<Object> call,
            List<String> wrong) {
        String got;
        try {
            got = text(call.call());
        } catch (Throwable e) {
            got = String.valueOf(e.getCause() == null ? e : e.getCause());
        }
        if (!got.equals(wanted)) {
            wrong.add(target.name() + ", " + form + (before ? ", loaded before, " : ", loaded after, ") + when + ": "
                    + got + " and not " + wanted);
        }
    }

    private static Callable<Object> call(Target target, ClassLoader loader, String method) {
        return () -> {
            var found = Class.forName(target.name(), true, loader).getDeclaredMethod(method);
            found.setAccessible(true);
            return found.invoke(null);
        };
    }

    /** A value whose identity does not matter. */
    private static String text(Object value) {
        return value instanceof TimeZone zone ? zone.getID() : String.valueOf(value);
    }
}
