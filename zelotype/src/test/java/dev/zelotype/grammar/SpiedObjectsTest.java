package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.describe;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.observatory.Hardware.Gain;
import dev.zelotype.observatory.Hardware.Port;
import dev.zelotype.observatory.Hardware.Reading;
import dev.zelotype.observatory.Hardware.SerialLink;
import dev.zelotype.observatory.Observatory.SkyTarget;
import java.lang.invoke.MethodHandles;
import java.math.BigDecimal;
import java.nio.file.FileSystems;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.Scanner;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Spies on real objects of any class, and stubs of final ones: their types, and what is refused.
 */
@SuppressWarnings("try")
class SpiedObjectsTest {

    private static final String REFUSED = "refused";

    /** Each with its type in a test, which would cause a ClassCastException if the spy had another type. */
    private static final Map<String, Callable<Object>> OF_JDK = new LinkedHashMap<>();

    private static Object given(Object spied) {
        return spied;
    }

    static {
        OF_JDK.put("Clock wrapper", () -> {
            Clock one = spy(Clock.systemUTC());
            return one;
        });
        OF_JDK.put("Path wrapper", () -> {
            Path one = spy(Path.of("x"));
            return one;
        });
        OF_JDK.put("FileSystem wrapper", () -> given(spy(FileSystems.getDefault())));
        OF_JDK.put("List.of wrapper", () -> {
            List<String> one = spy(List.of("a"));
            return one;
        });
        OF_JDK.put("unmodifiable map wrapper", () -> {
            Map<String, String> one = spy(Collections.unmodifiableMap(Map.of("a", "b")));
            return one;
        });
        OF_JDK.put("ArrayList wrapper", () -> {
            ArrayList<String> one = spy(new ArrayList<>(List.of("a")));
            return one;
        });
        OF_JDK.put("Random wrapper", () -> {
            Random one = spy(new Random(1));
            return one;
        });
        OF_JDK.put("iterator wrapper", () -> {
            Iterator<String> one = spy(List.of("a").iterator());
            return one;
        });
        OF_JDK.put("executor wrapper", () -> {
            ExecutorService one = spy(Executors.unconfigurableExecutorService(Executors.newCachedThreadPool()));
            return one;
        });
        OF_JDK.put("stream wrapper", () -> {
            Stream<Integer> one = spy(Stream.of(1));
            return one;
        });
        OF_JDK.put("int stream wrapper", () -> {
            IntStream one = spy(IntStream.of(1));
            return one;
        });
        OF_JDK.put("future wrapper", () -> {
            CompletableFuture<String> one = spy(new CompletableFuture<String>());
            return one;
        });
        OF_JDK.put("lambda wrapper", () -> {
            Supplier<String> one = spy(() -> "a");
            return one;
        });
        OF_JDK.put("proxy wrapper", () -> {
            Runnable one = spy((Runnable) java.lang.reflect.Proxy.newProxyInstance(
                    SpiedObjectsTest.class.getClassLoader(), new Class<?>[] {Runnable.class}, (p, m, a) -> null));
            return one;
        });
        OF_JDK.put("Scanner " + REFUSED, () -> {
            Scanner one = spy(new Scanner("a"));
            return one;
        });
        OF_JDK.put("StringBuilder " + REFUSED, () -> {
            StringBuilder one = spy(new StringBuilder("a"));
            return one;
        });
        OF_JDK.put("LocalDate " + REFUSED, () -> {
            LocalDate one = spy(LocalDate.EPOCH);
            return one;
        });
        OF_JDK.put("UUID " + REFUSED, () -> {
            UUID one = spy(new UUID(1, 2));
            return one;
        });
        OF_JDK.put("String " + REFUSED, () -> {
            String one = spy("a");
            return one;
        });
        OF_JDK.put("Optional " + REFUSED, () -> {
            Optional<String> one = spy(Optional.of("a"));
            return one;
        });
        OF_JDK.put("Integer " + REFUSED, () -> {
            Integer one = spy(1);
            return one;
        });
        OF_JDK.put("BigDecimal wrapper", () -> {
            BigDecimal one = spy(BigDecimal.ONE);
            return one;
        });
        OF_JDK.put("array " + REFUSED, () -> {
            int[] one = spy(new int[1]);
            return one;
        });
        OF_JDK.put("final class itself", () -> {
            SerialLink one = spy(new SerialLink("tty"));
            return one;
        });
        OF_JDK.put("record itself", () -> {
            SkyTarget one = spy(new SkyTarget("Harrow-4", 40));
            return one;
        });
        OF_JDK.put("enum itself", () -> {
            Gain one = spy(Gain.HIGH);
            return one;
        });
    }

    @Test
    void a_spy_is_what_it_is_taken_for_or_is_refused() {
        List<String> wrong = new ArrayList<>();
        try (Scene scene = Scene.open()) {
            OF_JDK.forEach((name, order) -> {
                String became = became(order);
                if (!name.endsWith(became)) {
                    wrong.add(name + ": " + became);
                }
            });
        }
        assertThat(wrong).isEmpty();
    }

    private static String became(Callable<Object> order) {
        try {
            String described = describe(order.call());
            return described.contains(": the real object itself.")
                    ? "itself"
                    : described.contains(": a wrapper that passes calls on to a real ") ? "wrapper" : described;
        } catch (MisuseException e) {
            return e.getMessage().contains("cannot be spied on")
                            || e.getMessage().contains("cannot be doubled")
                    ? REFUSED
                    : e.toString();
        } catch (Exception e) {
            return e.toString();
        }
    }

    /** A class like those that containers generate for a bean: a subclass that is marked as generated. */
    private static Port generated(boolean methodsToo) throws Exception {
        String parent = Type.getInternalName(Port.class);
        ClassWriter out = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        out.visit(
                Opcodes.V17,
                Opcodes.ACC_PUBLIC | Opcodes.ACC_SYNTHETIC,
                parent + "$Proxy" + methodsToo,
                null,
                parent,
                null);
        MethodVisitor made = out.visitMethod(Opcodes.ACC_PUBLIC, "<init>", "()V", null, null);
        made.visitCode();
        made.visitVarInsn(Opcodes.ALOAD, 0);
        made.visitLdcInsn("proxied");
        made.visitMethodInsn(Opcodes.INVOKESPECIAL, parent, "<init>", "(Ljava/lang/String;)V", false);
        made.visitInsn(Opcodes.RETURN);
        made.visitMaxs(0, 0);
        int access = Opcodes.ACC_PUBLIC | (methodsToo ? Opcodes.ACC_SYNTHETIC : 0);
        MethodVisitor name = out.visitMethod(access, "name", "()Ljava/lang/String;", null, null);
        name.visitCode();
        name.visitVarInsn(Opcodes.ALOAD, 0);
        name.visitMethodInsn(Opcodes.INVOKESPECIAL, parent, "name", "()Ljava/lang/String;", false);
        name.visitInsn(Opcodes.ARETURN);
        name.visitMaxs(0, 0);
        out.visitEnd();
        Class<?> type = MethodHandles.privateLookupIn(Port.class, MethodHandles.lookup())
                .defineClass(out.toByteArray());
        return (Port) type.getConstructor().newInstance();
    }

    @Test
    void a_generated_class_is_spied_on_in_place_or_refused_with_a_cure() throws Exception {
        Port proxy = generated(false);
        Port hiding = generated(true);
        try (Scene scene = Scene.open()) {
            assertThat(spy(proxy)).isSameAs(proxy);
            suppose(proxy::name).returns("told");
            assertThat(proxy.name()).isEqualTo("told");
            assertThat(describe(proxy)).contains(": the real object itself.");
            assertThatThrownBy(() -> spy(hiding))
                    .isInstanceOf(MisuseException.class)
                    .hasMessageContaining("a container generated the class")
                    .hasMessageContaining("spy on the object behind it");
        }
        assertThat(proxy.name()).isEqualTo("PROXIED");
    }

    @Test
    void a_wrapper_passes_calls_on_and_answers_as_told() {
        try (Scene scene = Scene.open()) {
            Clock clock = spy(Clock.systemUTC());
            suppose(clock::millis).returns(7L);
            Path path = spy(Path.of("domes", "north"));
            suppose(path::isAbsolute).returns(true);
            assertThat(clock.millis()).isEqualTo(7L);
            assertThat(clock.instant()).isNotNull();
            assertThat(path.isAbsolute()).isTrue();
            assertThat(path.getNameCount()).isEqualTo(2);
            verify(clock::instant).once();
            assertThatThrownBy(() -> spy(new Scanner("a")))
                    .isInstanceOf(MisuseException.class)
                    .hasMessageContaining("A Scanner cannot be spied on: its class is final");
        }
    }

    @Test
    void the_real_code_of_stubs_of_final_classes_and_records_can_be_called() {
        try (Scene scene = Scene.open()) {
            SerialLink link = stub(SerialLink.class);
            suppose(link::send).callsReal();
            suppose(link::log).doesNothing();
            suppose(link::sent).around(real -> real.ask() + 100);
            Reading reading = stub(Reading.class);
            suppose(reading::value).returns(21);
            suppose(reading::doubled).callsReal();
            SkyTarget target = stub(SkyTarget.class);
            suppose(target::name).around(real -> Objects.requireNonNullElse(real.ask(), "none"));

            assertThat(link.send("abc")).isEqualTo(3);
            assertThat(link.sent()).isEqualTo(101);
            assertThat(reading.doubled()).as("of its zeroed field").isZero();
            assertThat(reading.value()).isEqualTo(21);
            assertThat(target.name()).isEqualTo("none");
            verify(link::log).once();
            assertThat(describe(link)).startsWith("serialLink is a stub of SerialLink.");
        }
    }

    @Test
    void a_stub_of_a_final_class_outlives_scenes_and_keeps_nothing_of_them() throws InterruptedException {
        SerialLink link = Outside.made(
                () -> stub(SerialLink.class, one -> suppose(one::send).returns(5)));
        assertThat(link.send("x")).isEqualTo(5);
        for (int test = 0; test < 2; test++) {
            try (Scene scene = Scene.open()) {
                assertThat(link.send("x")).isEqualTo(5);
                suppose(link::send).with("y").returns(9);
                assertThat(List.of(link.send("x"), link.send("y"))).containsExactly(5, 9);
                verify(link::send).times(3);
                Outside.of(() -> assertThat(link.sent()).isZero());
            }
            assertThat(List.of(link.send("x"), link.send("y"))).containsExactly(5, 5);
        }
        assertThat(new SerialLink("tty").send("real")).isEqualTo(4);
    }
}
