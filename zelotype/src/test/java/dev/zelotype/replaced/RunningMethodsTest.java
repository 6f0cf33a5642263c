package dev.zelotype.replaced;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.reading.Compiled;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * A method that is already running when one of its calls is woven keeps its old code. A statement about a call that it
 * still has to make is refused, every time; calls of the code that runs the test are neither refused nor answered.
 */
class RunningMethodsTest {

    private static final String TOLD = "told";
    private static final String REAL = "real";
    private static final String REFUSED = "refused";

    /**
     * The body of a method, and the expected result. Each calls a different method of the JDK, which nothing else here
     * replaces.
     */
    private static final Map<String, String[]> CASES = new LinkedHashMap<>();

    private static void add(String name, String said, String body) {
        CASES.put(name, new String[] {said, body});
    }

    static {
        add("a call after the statement, in the method that opens the scene", REFUSED, """
                try (Scene scene = Scene.open()) {
                    suppose(() -> Runtime.version()).returns(null);
                    return text(Runtime.version());
                }
                """);
        add("in a second scene just as well", "refused, refused", """
                String said = "";
                for (int i = 0; i < 2; i++) {
                    try (Scene scene = Scene.open()) {
                        suppose(() -> Locale.getISOCountries()).returns(null);
                        said += text(Locale.getISOCountries());
                    } catch (MisuseException e) {
                        said += (i == 0 ? "" : ", ") + "refused";
                    }
                }
                return said;
                """);
        add("calls before the scene and after it", "real, told, real", """
                String before = text(Locale.getISOLanguages());
                String inside;
                try (Scene scene = Scene.open()) {
                    suppose(() -> Locale.getISOLanguages()).returns(null);
                    inside = Other.languages();
                }
                return before + ", " + inside + ", " + text(Locale.getISOLanguages());
                """);
        add("in one line with what comes before", "real, told", """
                String a = text(Locale.getAvailableLocales()); try (Scene s = Scene.open()) { \
                suppose(() -> Locale.getAvailableLocales()).returns(null); return a + ", " + Other.locales(); }
                """);
        add("in one line with what comes later", REFUSED, """
                try (Scene s = Scene.open()) { suppose(() -> TimeZone.getAvailableIDs()).returns(null); \
                return text(TimeZone.getAvailableIDs()); }
                """);
        add("a loop that returns only after the scene", "real, told, real, told", """
                String said = "";
                for (int i = 0; i < 2; i++) {
                    said += (i == 0 ? "" : ", ") + text(Currency.getAvailableCurrencies());
                    try (Scene scene = Scene.open()) {
                        suppose(() -> Currency.getAvailableCurrencies()).returns(null);
                        said += ", " + Other.currencies();
                    }
                }
                return said;
                """);
        add("a loop within the scene", REFUSED, """
                try (Scene scene = Scene.open()) {
                    String said = "";
                    for (int i = 0; i < 2; i++) {
                        if (i == 1) {
                            said = text(Charset.availableCharsets());
                        } else {
                            suppose(() -> Charset.availableCharsets()).returns(null);
                        }
                    }
                    return said;
                }
                """);
        add("a method of another class with the same name", TOLD, """
                try (Scene scene = Scene.open()) {
                    suppose(() -> Instant.now()).returns(null);
                    return text(Other.now());
                }
                """);
        add("a branch that is not to come", TOLD, """
                try (Scene scene = Scene.open()) {
                    if (scene == null) {
                        return text(Charset.defaultCharset());
                    }
                    suppose(() -> Charset.defaultCharset()).returns(null);
                    return Other.charset();
                }
                """);
        add("a handler that may come", REFUSED, """
                try (Scene scene = Scene.open()) {
                    try {
                        suppose(() -> ModuleLayer.boot()).returns(null);
                        return Other.layer();
                    } catch (IllegalStateException e) {
                        return text(ModuleLayer.boot());
                    }
                }
                """);
        add("a method that is begun afterwards", TOLD, """
                return within(() -> suppose(() -> ProcessHandle.current()).returns(null), Other::process);
                """);
        add("a method reference that is still to be linked", REFUSED, """
                try (Scene scene = Scene.open()) {
                    suppose(() -> ThreadGroup.class.getName());
                    return "not reached";
                } catch (MisuseException ofReal) {
                    try (Scene scene = Scene.open()) {
                        suppose(() -> Collections.emptyEnumeration()).returns(null);
                        Supplier<Object> later = Collections::emptyEnumeration;
                        return text(later.get());
                    }
                }
                """);
        add("another thread of the scene", REFUSED, """
                try (Scene scene = Scene.open()) {
                    CountDownLatch go = new CountDownLatch(1);
                    Thread other = new Thread(() -> Other.waitsAndCalls(go));
                    other.start();
                    Other.began.await();
                    try {
                        Says.listIterator();
                        return "not refused";
                    } finally {
                        go.countDown();
                        other.join();
                    }
                }
                """);
        add("what runs a test", "real, told, real", """
                HostedScene hosted = HostedScene.of(SceneSettings.defaults()).inTest(ATest.class).open();
                String before = text(Collections.emptyIterator());
                String said = new ATest().run();
                String after = text(Collections.emptyIterator());
                hosted.closeAfter(null);
                return before + ", " + said + ", " + after;
                """);
        add("a launcher below what runs a test", "told, told, real", """
                return Launcher.launches();
                """);
        add("a main method around the scene of a test", "told, real", """
                String said = Other.opens();
                return said + ", " + text(Collections.emptySortedMap());
                """);
    }

    private static final String HEAD = """
            import static dev.zelotype.Zelotype.*;
            import dev.zelotype.*;
            import dev.zelotype.host.HostedScene;
            import dev.zelotype.error.MisuseException;
            import java.nio.charset.Charset;
            import java.time.Instant;
            import java.util.*;
            import java.util.concurrent.CountDownLatch;
            import java.util.function.*;
            """;

    private static final String OTHER = HEAD + """
            class Other {
                static CountDownLatch began = new CountDownLatch(1);
                static String text(Object value) { return value == null ? "told" : "real"; }
                static Instant now() { return Instant.now(); }
                static String navigableMap() { return text(Collections.emptyNavigableMap()); }
                static String languages() { return text(Locale.getISOLanguages()); }
                static String locales() { return text(Locale.getAvailableLocales()); }
                static String currencies() { return text(Currency.getAvailableCurrencies()); }
                static String charset() { return text(Charset.defaultCharset()); }
                static String layer() { return text(ModuleLayer.boot()); }
                static String process() { return text(ProcessHandle.current()); }
                static void waitsAndCalls(CountDownLatch go) {
                    began.countDown();
                    try {
                        go.await();
                    } catch (InterruptedException e) {
                        return;
                    }
                    text(Collections.emptyListIterator());
                }
                static String opens() {
                    try (Scene scene = Scene.open()) {
                        suppose(() -> Collections.emptySortedMap()).returns(null);
                        return map();
                    }
                }
                static String map() { return text(Collections.emptySortedMap()); }
            }
            class Says {
                static void navigableMap() {
                    suppose(() -> Collections.emptyNavigableMap()).returns(null);
                }
                static void listIterator() {
                    suppose(() -> Collections.emptyListIterator()).returns(null);
                }
            }
            class Launcher {
                static String launches() {
                    String said = runs() + ", " + runs();
                    return said + ", " + Other.text(Collections.emptyNavigableMap());
                }
                static String runs() {
                    HostedScene hosted = HostedScene.of(SceneSettings.defaults()).inTest(BTest.class).open();
                    String said = new BTest().run();
                    hosted.closeAfter(null);
                    return said;
                }
            }
            class BTest {
                String run() {
                    Says.navigableMap();
                    return Other.navigableMap();
                }
            }
            class ATest {
                String run() {
                    suppose(() -> Collections.emptyIterator()).returns(null);
                    return Other.text(Collections.emptyIterator());
                }
            }
            """;

    /** Each case has its own class, because a scene prepares all calls that its class names. */
    private static String source(int number, String body) {
        return HEAD + """
                public class Runs%d {
                    static String text(Object value) { return Other.text(value); }
                    static String within(Runnable statement, Supplier<String> subject) {
                        try (Scene scene = Scene.open()) {
                            statement.run();
                            return subject.get();
                        }
                    }
                    public static Object run() throws Exception {
                        %s
                    }
                }
                """.formatted(number, body);
    }

    @ParameterizedTest
    @EnumSource(
            value = Compiled.class,
            names = {"BY_JAVAC", "WITHOUT_DEBUG_DATA", "BY_ECLIPSE", "WITH_COVERAGE_PROBES"})
    void only_calls_still_to_come_are_refused(Compiled how, @TempDir Path folder) throws Exception {
        Map<String, String> sources = new LinkedHashMap<>(Map.of("Other.java", OTHER));
        CASES.values().forEach(each -> {
            int number = sources.size();
            sources.put("Runs" + number + ".java", source(number, each[1]));
        });
        ClassLoader loader = how.load(folder, sources);
        List<String> wrong = new ArrayList<>();
        // Each case calls a different method, as if nothing had been replaced in the JVM before.
        Scene.unweave();
        int number = 1;
        for (Map.Entry<String, String[]> each : CASES.entrySet()) {
            String said = run(loader.loadClass("Runs" + number++));
            if (!said.equals(each.getValue()[0])) {
                wrong.add(each.getKey() + ": " + said + " and not " + each.getValue()[0]);
            }
        }
        assertThat(wrong).isEmpty();
    }

    private static String run(Class<?> type) throws Exception {
        try {
            return String.valueOf(type.getMethod("run").invoke(null));
        } catch (java.lang.reflect.InvocationTargetException e) {
            String said = String.valueOf(e.getCause());
            return said.contains("would run the real code: it is in a method that is already running") ? REFUSED : said;
        }
    }
}
