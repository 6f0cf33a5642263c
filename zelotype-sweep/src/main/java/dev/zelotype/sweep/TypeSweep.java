package dev.zelotype.sweep;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Doubles every public and package-private type of modules and libraries, calls every method of the doubles, and checks
 * whether the calls were recorded.
 */
public final class TypeSweep {

    private static final List<String> ALL = List.of(
            "java.base",
            "java.sql",
            "java.net.http",
            "java.desktop",
            "spring-core",
            "spring-jdbc",
            "netty-handler",
            "hibernate-core",
            "guava",
            "kafka-clients",
            "jackson-databind",
            "httpclient5",
            "jakarta.servlet-api",
            "jakarta.persistence-api");

    private TypeSweep() {}

    public static void main(String[] arguments) throws IOException {
        List<String> names = arguments.length > 1 ? List.of(arguments).subList(1, arguments.length) : ALL;
        List<String> rows = new ArrayList<>();
        Map<String, Integer> reasons = new TreeMap<>();
        int failed = 0;
        FluentMethods fluent = new FluentMethods();
        for (String name : names) {
            fluent.read(TypeLists.of(name));
        }
        for (String name : names) {
            Tally tally = new Tally();
            for (String className : TypeLists.of(name)) {
                OneType.sweep(className, tally);
            }
            rows.add("| " + name + " | " + tally.row() + " |");
            System.out.println(name + ": " + tally.words());
            tally.failures().forEach(failure -> System.out.println("  FAILED " + failure));
            tally.reasons().forEach((reason, count) -> reasons.merge(reason, count, Integer::sum));
            failed += tally.failures().size();
        }
        for (String name : names) {
            fluent.ask(TypeLists.of(name));
        }
        System.out.println("Of " + fluent.methods() + " methods that give their own type, stubs are right about "
                + (fluent.methods() - fluent.wrong().size()) + ".");
        fluent.wrong().forEach(each -> System.out.println("  NOT AS " + each));
        if (arguments.length <= 1) {
            Files.writeString(Path.of(arguments[0]), page(rows, reasons, fluent));
        }
        System.exit(failed == 0 ? 0 : 1);
    }

    private static String page(List<String> rows, Map<String, Integer> reasons, FluentMethods fluent) {
        StringBuilder page =
                new StringBuilder("""
                # Type sweep

                Every public and package-visible type of some JDK modules and libraries, tried on JDK %s: a stub is
                made, every method that a double answers is called with made-up arguments, and each call must be
                recorded under its own name. Written by `zelotype-sweep/sweep`. *Doubled* means with a generated
                class, *in place* by weaving the final class itself.

                | module or library | types | doubled | in place | refused | failed | calls |
                |---|---|---|---|---|---|---|
                %s

                Reasons why types are refused:

                | reason | types |
                |---|---|
                """.formatted(System.getProperty("java.version"), String.join("\n", rows)));
        reasons.forEach((reason, count) ->
                page.append("| ").append(reason).append(" | ").append(count).append(" |\n"));
        int methods = fluent.methods();
        page.append("""

                A method that returns its own type may return the same object, as builders do, or another one, as
                `getParent()` and `next()` do. Of %d such methods, %d return the object itself in most of
                their implementations here. A stub behaves the same for %d (%.0f %%).
                """.formatted(
                        methods,
                        fluent.same(),
                        methods - fluent.wrong().size(),
                        100.0 * (methods - fluent.wrong().size()) / Math.max(1, methods)));
        return page.toString();
    }
}
