package dev.zelotype.generate;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A working fake behaves as its method names suggest, lists what was recognized, and leaves the rest to be written.
 * Each one is compiled without warnings, and used.
 */
class WorkingFakeTest extends Workshop {

    private void write(String methods) throws IOException {
        source("sky/Night.java", """
                package sky;
                import java.util.*;
                import java.util.stream.Stream;
                public interface Night<T, ID> {
                    record Target(String name, int degrees) { }
                    interface Frame { long getId(); }
                    interface LineListener { void line(String text); }
                    %s
                }
                """.formatted(methods));
        plan(Set.of(Style.WORKING_FAKE), "").write(false);
    }

    /** The methods of a type, statements that use them and must return true, and the expected comment. */
    private record Shape(String methods, String use, String said) {}

    static List<Shape> shapes() {
        return List.of(
                new Shape(
                        "void save(Target t); Optional<Target> find(String name);",
                        "n.save(t); " + "return n.find(\"Harrow-2\").get() == t && n.find(\"x\").isEmpty();",
                        "each Target by its name() (save, find)"),
                new Shape(
                        "Target add(Target t); Target get(String name); List<Target> all();",
                        "return n.add(t) == t && n.all().equals(List.of(t)) && n.get(\"x\") == null;",
                        "each Target by its name() (add, get, all)"),
                new Shape(
                        "boolean put(Frame f); Frame get(long id); void remove(Frame f); "
                                + "Stream<? extends Frame> frames(); "
                                + "Collection<? extends Frame> allFrames();",
                        "Night.Frame f = () -> 7; boolean one = n.put(f); "
                                + "int many = n.allFrames().size(); n.remove(f); "
                                + "return one && many == 1 && n.get(7) == null;",
                        "Left to write: frames."),
                new Shape(
                        "void put(String key, Integer value); Integer get(String key); "
                                + "boolean remove(String key); int size(); void clear(); "
                                + "boolean isEmpty(); boolean containsKey(String key);",
                        "n.put(\"a\", 1); n.put(\"a\", 2); boolean had = n.containsKey(\"a\"); "
                                + "boolean gone = n.remove(\"a\") && !n.remove(\"a\"); n.put(\"b\", 3); "
                                + "int size = n.size(); n.clear(); "
                                + "return had && gone && size == 1 && n.isEmpty();",
                        "one Integer for each String"),
                new Shape(
                        "Target update(Target t); Optional<Target> delete(String name); "
                                + "Target load(String name); long count();",
                        "n.update(t); "
                                + "return n.count() == 1 && n.delete(\"Harrow-2\").get() == t && "
                                + "n.delete(\"Harrow-2\").isEmpty();",
                        "update, delete, load, count"),
                new Shape(
                        "void send(String line); String receive(); Optional<String> peek(); " + "boolean isEmpty();",
                        "n.send(\"a\"); n.send(\"b\"); "
                                + "return n.peek().get().equals(\"a\") && n.receive().equals(\"a\") && "
                                + "n.receive().equals(\"b\") && n.receive() == null && n.isEmpty();",
                        "it is a queue of String (send, receive, peek, isEmpty)"),
                new Shape(
                        "void addListener(LineListener l); " + "boolean removeListener(LineListener l); void open();",
                        "List<String> heard = new ArrayList<>(); "
                                + "Night.LineListener l = heard::add; n.addListener(l); "
                                + "n.listeners().get(0).line(\"x\"); "
                                + "return heard.equals(List.of(\"x\")) && n.removeListener(l) && "
                                + "n.listeners().isEmpty();",
                        "Left to write: open."),
                new Shape(
                        "T save(T one); Optional<T> findById(ID id);",
                        "try { n.save(\"x\"); return false; } "
                                + "catch (UnsupportedOperationException e) { return e.getMessage().contains(\"keyOf "
                                + "is left to write\"); "
                                + "}",
                        "by the key that keyOf gives"),
                new Shape(
                        "void save(String stored, Integer keyOf); Integer find(String stored);",
                        "n.save(\"a\", 1); return n.find(\"a\") == 1;",
                        "one Integer for each String"),
                new Shape(
                        "int add(int a, int b); String name(); Target nearest(int degrees);",
                        "try { n.add(1, 2); return false; } "
                                + "catch (UnsupportedOperationException e) { return true; }",
                        "to be written: none of its methods look like"),
                new Shape(
                        "<X> void put(Class<X> type, X value); <X> X get(Class<X> type);",
                        "try { n.get(String.class); return false; } "
                                + "catch (UnsupportedOperationException e) { return true; }",
                        "to be written"));
    }

    @ParameterizedTest
    @MethodSource("shapes")
    void what_is_recognised_works(Shape shape) throws Exception {
        write(shape.methods());
        source("sky/Use.java", """
                package sky;
                import java.util.*;
                public class Use {
                    public static boolean works() {
                        Night.Target t = new Night.Target("Harrow-2", 47);
                        NightWorkingFake<String, String> n = new NightWorkingFake<>();
                        %s
                    }
                }
                """.formatted(shape.use()));
        assertThat(folder.resolve("out/sky/NightWorkingFake.java")).content().contains(shape.said());
        try (var loader = compiled()) {
            assertThat(loader.loadClass("sky.Use").getMethod("works").invoke(null))
                    .isEqualTo(true);
        }
    }

    @Test
    void a_key_is_written_by_hand_where_the_guess_ends() throws Exception {
        write("T save(T one); Optional<T> findById(ID id);");
        source("sky/Use.java", """
                package sky;
                public class Use extends NightWorkingFake<String, Integer> {
                    @Override
                    protected Integer keyOf(String value) { return value.length(); }
                    public static boolean works() {
                        Use use = new Use();
                        use.save("abc");
                        return use.findById(3).get().equals("abc");
                    }
                }
                """);
        try (var loader = compiled()) {
            assertThat(loader.loadClass("sky.Use").getMethod("works").invoke(null))
                    .isEqualTo(true);
        }
    }
}
