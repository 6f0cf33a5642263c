package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyNothingElse;
import static dev.zelotype.Zelotype.watch;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.engine.weave.Agent;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import dev.zelotype.observatory.Hardware.FocusSweep;
import dev.zelotype.observatory.Hardware.Gain;
import dev.zelotype.observatory.Hardware.Reading;
import dev.zelotype.observatory.Hardware.SerialLink;
import dev.zelotype.observatory.Hardware.SiderealClock;
import java.lang.instrument.ClassFileTransformer;
import java.lang.instrument.Instrumentation;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.ProtectionDomain;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.SynchronousQueue;
import java.util.function.Function;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * Static methods, constructors and final classes, replaced for one scene.
 */
class ReplacementTest {

    private Scene scene;

    @BeforeEach
    void open() {
        SiderealClock.reset();
        scene = Scene.open();
    }

    @AfterEach
    void everything_is_put_back() {
        scene.close();
        SiderealClock.reset();
        assertThat(SiderealClock.now()).isEqualTo(1_000L);
        assertThat(SiderealClock.reads()).isEqualTo(1);
        assertThat(new SerialLink("/dev/tty").send("real")).isEqualTo(4);
    }

    @Test
    void static_methods_take_all_four_verbs() {
        suppose(SiderealClock::now).returns(7L, 8L).callsReal();
        suppose((Integer degrees) -> SiderealClock.offset("north", degrees)).answers(degrees -> 10L * degrees);
        expect(() -> SiderealClock.offset("south", 3)).returns(33L).once();

        assertThat(List.of(SiderealClock.now(), SiderealClock.now())).containsExactly(7L, 8L);
        assertThat(SiderealClock.reads()).as("no real code ran").isZero();
        assertThat(SiderealClock.now()).isEqualTo(1_000L);
        assertThat(SiderealClock.offset("north", 4)).isEqualTo(40);
        assertThat(SiderealClock.offset("south", 3)).isEqualTo(33);
        assertThat(SiderealClock.offset("west", 5))
                .as("not covered: the real one")
                .isEqualTo(9);
        verify(SiderealClock::now).times(3);
        assertThat(recorded((String site) -> SiderealClock.offset(site, 5))).containsExactly("west");
        assertThat(scene.conversation().calls()).first().satisfies(call -> {
            assertThat(call.receiver()).isEqualTo("SiderealClock");
            assertThat(call.file()).isEqualTo("ReplacementTest.java");
        });
    }

    @Test
    void a_check_never_runs_what_it_asks_about_and_must_have_watched() {
        assertThatThrownBy(() -> verify(SiderealClock::now).never())
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("watch(SiderealClock.class) before");
        watch(SiderealClock.class);
        verify(SiderealClock::now).never();
        SiderealClock.now();
        verify(() -> SiderealClock.now()).once();
        assertThat(SiderealClock.reads()).isEqualTo(1);
        assertThatThrownBy(() -> verify(SiderealClock::now).never())
                .isInstanceOf(CheckFailure.class)
                .hasMessageContaining("SiderealClock.now()  = 1000");
    }

    @Test
    void statics_of_the_jdk_or_a_clear_refusal() {
        Instant fixed = Instant.ofEpochSecond(5);
        UUID id = new UUID(1, 2);
        suppose(() -> Instant.now()).returns(fixed);
        suppose(UUID::randomUUID).returns(id);

        suppose((String name) -> System.getenv(name)).with("SITE").returns("North Ridge");
        Path nowhere = Path.of("/no/such/file");
        suppose(() -> Files.exists(nowhere)).returns(true);

        assertThat(System.getenv("SITE")).isEqualTo("North Ridge");
        assertThat(System.getenv("NO_SUCH_VARIABLE")).isNull();
        assertThat(Files.exists(nowhere)).isTrue();
        assertThat(Instant.now()).isEqualTo(fixed);
        assertThat(UUID.randomUUID()).isEqualTo(id);
        suppose(System::nanoTime).returns(1L, 2L);
        assertThat(System.nanoTime() + System.nanoTime()).isEqualTo(3L);
        assertThatThrownBy(() -> suppose(java.lang.invoke.MethodHandles::lookup))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("MethodHandles.lookup cannot be replaced");
    }

    @Test
    void a_constructor_inside_the_subject_makes_an_object_that_behaves_as_told() {
        suppose((String port) -> new SerialLink(port));
        suppose(SerialLink::send)
                .where((link, command) -> command.endsWith("0"))
                .returns(100);
        suppose(SiderealClock::now).returns(7L);
        suppose(() -> Instant.now()).returns(Instant.ofEpochSecond(5));

        assertThat(new FocusSweep().run(3))
                .as("a call not told about answers with an empty value")
                .isEqualTo("7/100/5");

        assertThat(recorded((String port) -> new SerialLink(port))).containsExactly("COM3");
        verify(SerialLink::send).times(3);
        verify(SerialLink::send).where((link, command) -> command.equals("G1")).once();
        assertThat(scene.conversationText()).contains("new SerialLink(\"COM3\")");
    }

    @Test
    void a_constructor_can_hand_over_to_a_double_or_fail() {
        SerialLink link = stub(SerialLink.class);
        suppose(link::send).answers(command -> 10);
        suppose((String port) -> new SerialLink(port))
                .with("COM3")
                .returns(link)
                .fails(new IllegalStateException("busy"));

        assertThat(new FocusSweep().run(2)).startsWith("1000/20/");
        verify(link::send).times(2);
        assertThatThrownBy(() -> new FocusSweep().run(1)).hasMessage("busy");
        assertThatThrownBy(() -> new SerialLink("COM4")).as("not covered").hasMessage("no such port: COM4");
        assertThat(new SerialLink("tty").name()).isEqualTo("TTY");
    }

    @Test
    void final_classes_records_and_enums_in_their_own_place() {
        SerialLink hollow = stub(SerialLink.class, "hollow");
        Reading reading = stub(Reading.class);
        suppose(hollow::send).returns(3);
        suppose(reading::doubled).returns(42);
        suppose(spy(Gain.HIGH)::factor).returns(9);

        assertThat(hollow.send("x")).isEqualTo(3);
        assertThat(hollow.name()).isEmpty();
        assertThat(reading).hasToString("reading");
        assertThat(reading.doubled()).isEqualTo(42);
        assertThat(List.of(Gain.HIGH.factor(), Gain.LOW.factor())).containsExactly(9, 1);
        verify(() -> hollow.send("x")).once();
        scene.close();
        assertThat(Gain.HIGH.factor()).isEqualTo(2);
    }

    /** A class with a bridge method: calls through the wider types of the interface go through it. */
    static final class Shelf implements Function<String, Integer> {
        @Override
        public Integer apply(String plate) {
            return apply(plate, 1);
        }

        Integer apply(String plate, int copies) {
            return plate.length() * copies;
        }
    }

    @Test
    void a_call_stands_where_the_code_that_calls_does_whatever_it_goes_through() {
        Shelf shelf = spy(new Shelf());
        Function<String, Integer> wide = shelf;
        int line = here() + 1;
        assertThat(wide.apply("M31") + shelf.apply("M31")).isEqualTo(6);
        assertThat(linesOf("apply(String)")).containsExactly(line, line);
        assertThat(linesOf("apply(String, int)")).hasSize(2).doesNotContain(line);
    }

    private List<Integer> linesOf(String signature) {
        return scene.conversation().calls().stream()
                .filter(call -> call.signature().equals(signature))
                .map(RecordedCall::line)
                .toList();
    }

    private static int here() {
        return StackWalker.getInstance()
                .walk(frames -> frames.skip(1).findFirst().orElseThrow().getLineNumber());
    }

    @Test
    void a_spy_in_place_sees_what_the_object_asks_of_itself() {
        SerialLink link = new SerialLink("tty");
        link.send("before");
        assertThat(spy(link, "link")).as("the same reference").isSameAs(link);
        suppose(() -> link.log("")).doesNothing();

        assertThat(link.send("abc")).isEqualTo(3);
        assertThat(link.send("")).as("the self-call was replaced").isZero();
        assertThat(link.sent()).as("the state is its own").isEqualTo(3);
        verify(link::log).times(2);
        verifyNothingElseAfter(link);
    }

    private static void verifyNothingElseAfter(SerialLink link) {
        verify(link::send).times(2);
        verify(link::sent).once();
        verifyNothingElse(link);
    }

    /** The class file of a class, as an agent sees it that was added after Zelotype's. */
    private static boolean isWoven(Class<?> type) throws Exception {
        Instrumentation instrumentation = Agent.instrumentation();
        boolean[] woven = new boolean[1];
        ClassFileTransformer looking = new ClassFileTransformer() {
            @Override
            public byte[] transform(
                    ClassLoader loader, String name, Class<?> seen, ProtectionDomain domain, byte[] code) {
                woven[0] |= seen == type && new String(code, StandardCharsets.ISO_8859_1).contains("ZelotypeGate");
                return null;
            }
        };
        instrumentation.addTransformer(looking, true);
        try {
            instrumentation.retransformClasses(type);
        } finally {
            instrumentation.removeTransformer(looking);
        }
        return woven[0];
    }

    @Test
    void classes_get_their_code_back_and_can_be_replaced_again() throws Exception {
        suppose(SiderealClock::now).returns(7L);
        assertThat(isWoven(SiderealClock.class)).isTrue();
        assertThatThrownBy(Scene::unweave).isInstanceOf(MisuseException.class).hasMessageContaining("still replaces");
        scene.close();
        Scene.unweave();
        assertThat(isWoven(SiderealClock.class)).isFalse();
        assertThat(SiderealClock.now()).isEqualTo(1_000L);
        try (Scene again = Scene.open()) {
            suppose(SiderealClock::now).returns(8L);
            assertThat(SiderealClock.now()).isEqualTo(8L);
            assertThat(again.conversation().calls()).hasSize(1);
        }
    }

    @Test
    void replacements_count_on_the_threads_of_their_scene_only() throws Exception {
        List<Long> seen = new ArrayList<>();
        SynchronousQueue<Runnable> errands = new SynchronousQueue<>();
        Outside.of(() -> new Thread(() -> runAll(errands)).start());
        ExecutorService pool = Executors.newSingleThreadExecutor();
        Outside.of(() -> pool.submit(() -> {}));
        suppose(SiderealClock::now).returns(7L);

        Thread inside = new Thread(() -> seen.add(SiderealClock.now()));
        inside.start();
        inside.join();
        Outside.of(() -> seen.add(SiderealClock.now()));
        seen.add(pool.submit(SiderealClock::now).get());
        pool.shutdown();
        errands.put(() -> seen.add(SiderealClock.now()));
        errands.put(() -> {});
        assertThat(seen)
                .as("a thread of the scene, one of none, work handed to a pool, a thread from before")
                .containsExactly(7L, 1_000L, 7L, 1_000L);
        assertThat(scene.notes()).first().asString().contains("SiderealClock.now() on Thread-");

        scene.everywhere();
        errands.put(() -> seen.add(SiderealClock.now()));
        errands.put(() -> Thread.currentThread().interrupt());
        assertThat(seen).endsWith(7L);
        try (Scene other = Scene.open()) {
            assertThat(SiderealClock.now()).as("an inner scene sees it too").isEqualTo(7L);
            assertThatThrownBy(other::everywhere).isInstanceOf(MisuseException.class);
        }
        assertThat(SiderealClock.now()).isEqualTo(7L);
    }

    private static void runAll(SynchronousQueue<Runnable> errands) {
        try {
            while (!Thread.currentThread().isInterrupted()) {
                errands.take().run();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
