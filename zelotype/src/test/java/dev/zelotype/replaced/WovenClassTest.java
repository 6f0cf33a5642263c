package dev.zelotype.replaced;

import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.reading.Compiled;
import java.lang.annotation.Annotation;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Parameter;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The visible properties of a class do not change when it is woven, and a class that is too large to weave is refused.
 */
@SuppressWarnings("try")
class WovenClassTest {

    @Retention(RetentionPolicy.RUNTIME)
    @Target({ElementType.TYPE_USE, ElementType.PARAMETER, ElementType.METHOD, ElementType.TYPE, ElementType.FIELD})
    private @interface Marked {
        String value() default "";
    }

    /** A subject with everything that frameworks look for. */
    @Marked("rig")
    public static class Rig<T extends Comparable<T>> {
        @Marked("field")
        private final List<@Marked("element") T> plates;

        private final String site;

        Rig(List<T> plates, @Marked("site") final String site) {
            this.plates = plates;
            this.site = site + Instant.now().getEpochSecond();
        }

        @Marked("method")
        public <E extends Exception> T latest(final int offset, Map<String, ? super T> index) throws E {
            index.clear();
            return plates.get(plates.size() - 1 - offset);
        }

        static String named(@Marked String name, long... numbers) {
            return name + numbers.length;
        }

        String site() {
            return site;
        }

        class Part {
            Part(int thickness) {
                assertThat(thickness).isPositive();
            }
        }

        enum Side {
            LEFT(1);

            Side(int place) {
                assertThat(place).isPositive();
            }
        }

        record Plate(@Marked("id") int id, List<String> notes) {
            Plate {
                assertThat(notes).isNotNull();
            }
        }
    }

    private static final List<Class<?>> TYPES = List.of(Rig.class, Rig.Part.class, Rig.Side.class, Rig.Plate.class);

    /** All information about a class from reflection. */
    private static List<String> seen(Class<?> type) {
        List<String> seen = new ArrayList<>(List.of(type.toGenericString(), texts(type.getAnnotations())));
        List<Executable> all = new ArrayList<>(Arrays.asList(type.getDeclaredMethods()));
        all.addAll(Arrays.asList(type.getDeclaredConstructors()));
        for (Executable each : all) {
            StringBuilder text = new StringBuilder(each.toGenericString()).append(texts(each.getAnnotations()));
            for (Parameter parameter : each.getParameters()) {
                text.append(' ')
                        .append(parameter.isNamePresent())
                        .append(parameter)
                        .append(parameter.getModifiers())
                        .append(texts(parameter.getAnnotations()))
                        .append(texts(parameter.getAnnotatedType().getAnnotations()));
            }
            seen.add(text.toString());
        }
        for (var field : type.getDeclaredFields()) {
            seen.add(field.toGenericString() + texts(field.getAnnotations()) + field.getAnnotatedType());
        }
        if (type.isRecord()) {
            seen.add(Arrays.toString(type.getRecordComponents()));
        }
        Collections.sort(seen);
        return seen;
    }

    private static String texts(Annotation[] annotations) {
        return Arrays.toString(annotations);
    }

    private static List<String> all() {
        List<String> all = new ArrayList<>();
        TYPES.forEach(type -> all.addAll(seen(type)));
        return all;
    }

    @Test
    void nothing_that_reflection_tells_is_lost() throws Exception {
        List<String> before = all();
        assertThat(before).anyMatch(text -> text.contains("truefinal int offset"));
        try (Scene scene = Scene.open()) {
            Rig<String> rig = spy(new Rig<>(List.of("a"), "north"));
            suppose((String name) -> Rig.named(name)).returns("told");
            suppose(spy(Rig.Side.LEFT)::name);
        } catch (MisuseException unfinished) {
            assertThat(all()).as("with woven methods").isEqualTo(before);
        }
        try (Scene scene = Scene.open()) {
            spy(new Rig.Plate(1, List.of()));
            suppose(() -> Instant.now()).returns(Instant.EPOCH);
            assertThat(all()).as("with a woven call").isEqualTo(before);
        }
        Scene.unweave();
        assertThat(all()).as("with nothing woven any more").isEqualTo(before);
        Constructor<?> constructor = Rig.class.getDeclaredConstructors()[0];
        assertThat(constructor.getParameters()[1].getName()).isEqualTo("site");
    }

    private static final String WIDE = """
            import static dev.zelotype.Zelotype.*;
            public class Wide {
                public static class Plain { public static String call(PARAMETERS) { return "real"; } }
                public static class Made { final String text; public Made(PARAMETERS) { text = "real"; } }
                static String called() { return Plain.call(ARGUMENTS); }
                static String made() { return new Made(ARGUMENTS) == null ? "none" : new Made(ARGUMENTS).text; }
                public static void sayCall() { suppose(() -> Plain.call(ARGUMENTS)).returns("told").callsReal(); }
                public static void sayMake() {
                    Made first = new Made(ARGUMENTS);
                    suppose(() -> new Made(ARGUMENTS)).returns(first);
                }
                public static String call() { return called() + called(); }
                public static String make() { return "" + (Same.made() == Same.made()); }
                static class Same { static Object made() { return new Made(ARGUMENTS); } }
            }
            """;

    @ParameterizedTest
    @CsvSource({
        "int, 249, true",
        "int, 250, true",
        "int, 251, false",
        "int, 254, false",
        "long, 125, true",
        "double, 127, false"
    })
    void calls_of_up_to_250_slots_are_replaced_and_wider_ones_refused(
            String type, int count, boolean replaced, @TempDir Path folder) throws Exception {
        List<String> parameters = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            parameters.add(type + " p" + i);
        }
        String source = WIDE.replace("PARAMETERS", String.join(", ", parameters))
                .replace("ARGUMENTS", String.join(", ", Collections.nCopies(count, "1")));
        ClassLoader loader = Compiled.BY_JAVAC.load(folder, Map.of("Wide.java", source));
        Class<?> wide = loader.loadClass("Wide");
        try (Scene scene = Scene.open()) {
            assertThat(said(wide, "sayCall") + said(wide, "call"))
                    .isEqualTo(replaced ? "toldreal" : "refused: takes more than 250realreal");
            assertThat(said(wide, "sayMake") + said(wide, "make"))
                    .isEqualTo(replaced ? "true" : "refused: takes more than 250false");
        }
    }

    private static String said(Class<?> type, String method) throws Exception {
        try {
            Object said = type.getMethod(method).invoke(null);
            return said == null ? "" : said.toString();
        } catch (InvocationTargetException e) {
            String message = String.valueOf(e.getCause());
            return "refused: " + (message.contains("takes more than 250") ? "takes more than 250" : message);
        }
    }
}
