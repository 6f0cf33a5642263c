package dev.zelotype.reading;

import java.lang.reflect.InvocationTargetException;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * All forms in which people write patterns, compiled in every way.
 */
class FormsTest {

    @TempDir
    Path folder;

    private static final String FORMS = """
            import static dev.zelotype.Zelotype.*;
            import static org.assertj.core.api.Assertions.*;
            import dev.zelotype.Scene;
            import dev.zelotype.call.*;
            import dev.zelotype.error.MisuseException;
            import java.util.*;
            import java.util.concurrent.TimeUnit;
            import java.util.function.*;

            public class Forms extends Base {
                public interface Mount {
                    boolean track(String target, int rate);
                    int rate();
                    void park();
                    String name(Object... parts);
                    default int twice() { return 2 * rate(); }
                }
                public interface Spec<S extends Spec<S>> { S header(String name, String value); }
                public interface Get extends Spec<Get> { Answer send(); }
                public interface Answer { <T> T body(Class<T> type); }
                public interface Client { Get get(); Supplier<Mount> supplier(); List<Mount> all(); }
                public static class Registry {
                    static final List<String> RAN = new ArrayList<>();
                    static final String READY = "ready".toUpperCase();
                    public static void keep(Object thing) { RAN.add("kept"); }
                    public static int count(String name) { RAN.add("counted"); return 1; }
                    public int size() { RAN.add("sized"); return 2; }
                    public Registry delete(String id) { RAN.add("deleted"); return this; }
                    public Registry() { }
                    public Registry(String name) { RAN.add("made"); }
                }
                enum Gain { LOW, HIGH }

                private final Mount mount = stub(Mount.class);
                private final Client client = stub(Client.class);
                private final Registry registry = new Registry();
                private static final String SITE = "north";
                private final int[] rates = {1, 2};
                private String own(int n) { return "own " + n; }
                private static String fixed(String text) { return text + "!"; }

                static void refused(String part, Runnable statement) {
                    assertThatThrownBy(statement::run).isInstanceOf(MisuseException.class).hasMessageContaining(part);
                }

                public static void run() {
                    try (Scene scene = Scene.open()) { new Forms().values(); }
                    try (Scene scene = Scene.open()) { new Forms().chains(); }
                    try (Scene scene = Scene.open()) { new Forms().classes(); }
                    try (Scene scene = Scene.open()) { new Forms().refusals(); }
                }

                void values() {
                    String local = "local";
                    suppose((Integer rate) -> mount.track(own(3), rate)).returns(true);
                    assertThat(mount.track("own 3", 9)).isTrue();
                    suppose(() -> mount.track(
                            fixed(local) + SITE + 'c' + rates[1] + true + 2L + 1.5, rates[0] > 5 ? 1 : rates.length))
                            .returns(true);
                    assertThat(mount.track("local!northc2true2" + "1.5", 2)).isTrue();
                    suppose((String a) -> mount.name(a, 1, "x")).returns("three");
                    suppose((Object a, Object b) -> mount.name(a, b)).returns("two");
                    suppose(() -> mount.name()).returns("none");
                    assertThat(mount.name("z", 1, "x")).isEqualTo("three");
                    assertThat(mount.name(1, 2)).isEqualTo("two");
                    assertThat(mount.name()).isEqualTo("none");
                    Gain gain = Gain.HIGH;
                    suppose(() -> mount.track(switch (gain) { case LOW -> "l"; case HIGH -> "h"; }, gain.ordinal()))
                            .returns(true);
                    assertThat(mount.track("h", 1)).isTrue();
                    suppose(() -> mount.track(
                            List.of("a", "bc").stream().filter(s -> s.length() > 1).findFirst().get(), inherited()))
                            .returns(true);
                    assertThat(mount.track("bc", 77)).isTrue();
                    suppose((String t) -> { int r = 4; for (int i = 0; i < 3; i++) { r += i; } return mount.track(t, r); })
                            .returns(true);
                    assertThat(mount.track("any", 7)).isTrue();
                    suppose(() -> mount.track(super.toText(), 8)).returns(true);
                    assertThat(mount.track("base", 8)).isTrue();
                    suppose(() -> { mount.park(); }).doesNothing();
                    verify(() -> { mount.park(); }).never();
                    suppose(() -> Objects.requireNonNull(mount).rate()).returns(5);
                    assertThat(mount.twice()).isEqualTo(10);
                    Query1<String, Boolean> held = t -> mount.track(t, 1);
                    suppose(held).with("held").returns(true);
                    assertThat(mount.track("held", 1)).isTrue();
                }

                void chains() {
                    suppose(() -> client.get().header("a", "b").header("c", "d").send().body(String.class))
                            .returns("fluent");
                    assertThat(client.get().header("a", "b").header("c", "d").send().body(String.class)).isEqualTo("fluent");
                    suppose((Integer rate) -> client.supplier().get().track("s", rate)).returns(true);
                    assertThat(client.supplier().get().track("s", 3)).isTrue();
                    refused("continues after the call", () -> suppose(() -> client.all().size()));
                }

                void classes() {
                    Mount given = mount;
                    suppose(() -> Registry.keep(given)).doesNothing();
                    Registry.keep(mount);
                    verify(() -> Registry.keep(given)).once();
                    suppose((String name) -> Registry.count(name)).returns(5);
                    assertThat(Registry.count("x")).isEqualTo(5);
                    assertThat(Registry.READY).isEqualTo("READY");
                    suppose((String name) -> new Registry(name)).fails(new IllegalStateException("told"));
                    assertThatThrownBy(() -> new Registry("x")).hasMessage("told");
                    suppose(Registry::size).returns(8);
                    assertThat(registry.size()).isEqualTo(8);
                    suppose((Registry any, String id) -> any.delete(id)).returns((Registry) null);
                    assertThat(registry.delete("x")).isNull();
                    assertThat(Registry.RAN).isEmpty();
                }

                void refusals() {
                    Registry.RAN.clear();
                    refused("called on a real Registry", () -> suppose((String id) -> registry.delete(id)));
                    refused("called on a real Registry", () -> suppose(() -> registry.delete("x").size()));
                    refused("called on a real Registry", () -> suppose(() -> mount.track("x", registry.delete("x").size())));
                    refused("called on a real Registry", () -> verify(registry::size));
                    refused("also runs real code", () -> suppose(() -> { Registry.keep("x"); return mount.rate(); }));
                    refused("also runs real code", () -> suppose(() -> Registry.count("x") + 1));
                    refused("called on a real TimeUnit", () -> suppose((Long n) -> TimeUnit.HOURS.sleep(n)));
                    refused("more than one call", () -> suppose(() -> { mount.park(); return mount.rate(); }));
                    refused("continues after the call", () -> suppose(() -> mount.rate() + 1));
                    refused("more than one call", () -> suppose(() -> String.valueOf(mount.rate())));
                    refused("returns something else", () -> suppose(() -> { mount.rate(); return 5; }));
                    refused("writes into a field", () -> suppose(() -> { held = 3; return mount.rate(); }));
                    refused("not needed for its call: new IllegalStateException(...)",
                            () -> suppose(() -> { if (held > 0) { mount.rate(); } throw new IllegalStateException(); }));
                    refused("does not end", () -> suppose(() -> { while (held == 0) { } return mount.rate(); }));
                    refused("writes into an array", () -> suppose(() -> mount.track("x", rates[0]++)));
                    refused("takes a lock", () -> suppose(() -> { synchronized (mount) { return mount.rate(); } }));
                    refused("and that is equal only to itself", () -> verify(() -> client.equals(new Object() { })));
                    refused("it passes a new lambda to", () -> suppose(() -> mount.name((Runnable) () -> { })));
                    refused("runs real code that calls", () -> suppose(() -> mount.track("" + hidden(), 1)));
                    assertThat(Registry.RAN).isEmpty();
                }
                private int held;
                private int hidden() { return mount.rate(); }
            }

            abstract class Base {
                int inherited() { return 77; }
                String toText() { return "base"; }
            }
            """;

    @ParameterizedTest
    @EnumSource
    void every_form_is_read_however_it_was_compiled(Compiled how) throws Throwable {
        ClassLoader loader = how.load(folder, Map.of("Forms.java", FORMS));
        try {
            loader.loadClass("Forms").getMethod("run").invoke(null);
        } catch (InvocationTargetException e) {
            throw e.getCause();
        }
    }
}
