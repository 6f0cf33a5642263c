package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.inThisOrder;
import static dev.zelotype.Zelotype.keepOnlyCounts;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyNothingElse;
import static dev.zelotype.Zelotype.verifyUntouched;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowable;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.error.MisuseException;
import dev.zelotype.error.UnexpectedCall;
import dev.zelotype.host.HostedScene;
import dev.zelotype.observatory.Observatory.Dome;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.NightLog;
import dev.zelotype.stage.Counted;
import dev.zelotype.stage.Counting;
import dev.zelotype.stage.ExpectedQuery1;
import java.lang.reflect.Method;
import java.time.Duration;
import java.util.List;
import java.util.Random;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/**
 * Failures that are sufficient to fix the code, and checks that do not miss anything.
 */
class FailureTest {

    private final Scene scene = Scene.open();
    private final NightLog log = spy(NightLog.class, "log");
    private final Dome dome = spy(Dome.class);
    private final Mount mount = spy(Mount.class);

    @AfterEach
    void close() {
        scene.close();
    }

    interface ResultSet {
        String getString(String columnLabel);

        boolean next();

        void store(Object thing);
    }

    static final class Ref {}

    @Test
    void every_failure_lists_what_nobody_needed() {
        suppose(mount::rate).returns(15);
        dome.open();
        List<Runnable> failing = List.of(
                () -> verify(dome::close).once(),
                () -> verifyNothingElse(dome),
                () -> verifyUntouched(dome),
                () -> inThisOrder(() -> {
                    verify(dome::close).once();
                    verify(dome::open).once();
                }));
        for (Runnable each : failing) {
            assertThatThrownBy(each::run)
                    .isInstanceOf(CheckFailure.class)
                    .hasMessageMatching("(?s).*Supposed, but not needed by any call\n"
                            + " +suppose\\(mount\\.rate\\(\\)\\) at \\S+FailureTest\\.java:\\d+\\).*");
        }
    }

    @Test
    void the_first_line_of_every_stack_is_that_of_the_test() {
        suppose(mount::rate).returns(15);
        List<Runnable> failing = List.of(
                () -> verify(dome::close).once(),
                () -> verify(mount::track).where((target, rate) -> rate > 2).times(2),
                () -> verify(() -> log.note("rain"))
                        .within(Duration.ofMillis(1))
                        .once(),
                () -> inThisOrder(() -> verify(dome::close).once()),
                () -> suppose(() -> Math.max(1, 2) + 1).returns(3),
                () -> verify(mount::rate).times(-1),
                () -> suppose(dome::open).fails(new java.io.IOException("not declared")),
                () -> stub(String.class));
        assertThat(failing)
                .allSatisfy(each -> assertThatThrownBy(each::run)
                        .satisfies(thrown -> assertThat(thrown.getStackTrace()[0].getClassName())
                                .as(thrown.toString())
                                .startsWith(FailureTest.class.getName())));
    }

    interface Ports {
        int read(String port);

        int read(int number);

        String label(String port);

        default String summary(String port) {
            return label(port).trim() + read(port);
        }
    }

    @Test
    void a_call_answered_by_default_tells_what_was_said_of_an_overload() {
        Ports ports = stub(Ports.class);
        suppose((Integer number) -> ports.read(number)).returns(3);
        ports.read("focus");
        assertThatThrownBy(() -> verify(dome::open).once())
                .hasMessageMatching("(?s).*ports\\.read\\(\"focus\"\\) += 0 \\(by default\\).*\n"
                        + " +another method of that name: ports\\.read\\(any int\\)"
                        + " +at \\S+FailureTest\\.java:\\d+\\)\n.*");
    }

    @Test
    void default_methods_say_that_their_own_code_ran_and_how_to_answer_for_it() {
        Ports ports = stub(Ports.class);
        assertThat(ports.summary("focus")).isEqualTo("0");
        assertThat(scene.conversationText()).containsPattern("ports.summary\\(\"focus\"\\) += \"0\" \\(own code\\)");
        suppose(ports::label).returns((String) null);
        assertThatThrownBy(() -> ports.summary("focus")).isInstanceOf(NullPointerException.class);
        assertThatThrownBy(() -> verify(dome::open).once())
                .hasMessageContaining("Default methods without a supposition ran their own code and threw\n"
                        + "    ports.summary(\"focus\") ran Ports.summary, which threw NullPointerException;"
                        + " to answer for it: suppose(ports::summary).returns(...);");
    }

    @Test
    @SuppressWarnings("unchecked")
    void notes_of_each_kind_stand_under_a_heading_of_their_own() {
        HostedScene hosted = HostedScene.of(SceneSettings.defaults()).open();
        Supplier<Object> names = stub(Supplier.class, "names");
        suppose(names::get).returns(5);
        suppose(mount::rate).returns(15);
        Ports ports = stub(Ports.class);
        Throwable failure = catchThrowable(
                () -> ((Supplier<String>) (Supplier<?>) names).get().length());
        suppose(ports::label).returns((String) null);
        assertThatThrownBy(() -> ports.summary("focus")).isInstanceOf(NullPointerException.class);
        hosted.attachConversation(failure, List.of());
        hosted.closeAfter(failure);
        assertThat(failure).isInstanceOf(ClassCastException.class);
        assertThat(failure.getSuppressed()[0].toString())
                .containsPattern("\n *Answers of the type that cannot be cast, and where they were supposed\n"
                        + "  +names\\.get\\(\\) = 5 +at \\S+FailureTest\\.java:\\d+\\)\n"
                        + " *Supposed, but not needed by any call\n"
                        + " +suppose\\(mount\\.rate\\(\\)\\) at \\S+FailureTest\\.java:\\d+\\)\n"
                        + " *Default methods without a supposition ran their own code and threw\n"
                        + " +ports\\.summary\\(\"focus\"\\) ran Ports\\.summary");
    }

    @Test
    void text_is_cut_between_characters_and_what_cannot_be_seen_is_a_code() {
        String star = "\ud83c\udf1f";
        for (int letters = 0; letters < 2; letters++) {
            log.note("x".repeat(letters) + star.repeat(3000));
        }
        log.note("a\ud83d\udc4db\u2003c\udb40\udc41d\ud800e\ufe0f");
        String told = scene.conversationText();
        assertThat(told).contains(star + "\"... (6000 characters)", star + "\"... (6001 characters)");
        assertThat(told).doesNotContain("\\ud83c");
        assertThat(told).contains("\"a\ud83d\udc4db\\u2003c\\udb40\\udc41d\\ud800e\\ufe0f\"");
    }

    @Test
    void a_failure_tells_as_values_what_its_message_tells() {
        log.note("rain");
        log.note("fog");
        CheckFailure missing = catchThrowableOfType(
                CheckFailure.class, () -> verify(() -> log.note("hail")).times(2));
        assertThat(missing.details().expected()).isEqualTo("exactly 2 calls of log.note(\"hail\")");
        assertThat(missing.details().closest()).isEqualTo("log.note(\"rain\")");
        assertThat(missing.details().differences()).containsExactly("text: expected \"hail\", was \"rain\"");
        assertThat(missing.details().conversation())
                .hasSize(2)
                .allMatch(line -> missing.getMessage().contains(line));
        CheckFailure tooMany = catchThrowableOfType(
                CheckFailure.class,
                () -> verify((String text) -> log.note(text)).never());
        assertThat(tooMany.details().expected()).isEqualTo("no call of log.note(any String)");
        assertThat(tooMany.details().closest()).isEmpty();

        Scene inner = Scene.open();
        Ports strict = mock(Ports.class, "strict");
        expect(() -> strict.label("focus")).once();
        UnexpectedCall refused = catchThrowableOfType(UnexpectedCall.class, () -> strict.label("rotator"));
        assertThat(refused.details().conversation()).hasSize(1);
        CheckFailure several = catchThrowableOfType(CheckFailure.class, inner::close);
        assertThat(several.details().expected()).as("of several failures").isEmpty();
        Scene other = Scene.open();
        Ports loose = spy(Ports.class, "loose");
        expect(() -> loose.label("focus")).once();
        CheckFailure unmet = catchThrowableOfType(CheckFailure.class, other::close);
        assertThat(unmet.details().expected()).isEqualTo("exactly 1 call of loose.label(\"focus\")");
    }

    @Test
    void a_misspelt_column_is_found_from_the_message_alone() {
        ResultSet row = stub(ResultSet.class, "row");
        suppose(row::next).returns(true, false);
        suppose(() -> row.getString("altitude")).returns("47");
        suppose(() -> row.getString("titel")).returns("Harrow-2");
        row.next();
        row.getString("title");

        assertThatThrownBy(() -> verify(dome::open).once())
                .isInstanceOf(CheckFailure.class)
                .hasMessageMatching("(?s).*row\\.getString\\(\"title\"\\) +=( )\"\" \\(by default\\).*"
                        + "closest supposed: row\\.getString\\(\"titel\"\\)    at \\S+FailureTest\\.java:\\d+\\)\n"
                        + " +columnLabel: expected \"titel\", was \"title\"\n.*"
                        + " *Supposed, but not needed by any call\n"
                        + " +suppose\\(row\\.getString\\(\"altitude\"\\)\\) at \\S+FailureTest.*"
                        + "suppose\\(row\\.getString\\(\"titel\"\\)\\) at \\S+FailureTest.*");
    }

    @Test
    void an_object_without_equals_of_its_own_is_named_as_such() {
        ResultSet row = spy(ResultSet.class, "row");
        Ref wanted = new Ref();
        row.store(new Ref());
        assertThatThrownBy(() -> verify(() -> row.store(wanted)).once())
                .isInstanceOf(CheckFailure.class)
                .hasMessageContaining("Ref does not override equals, so only the same object is equal to it")
                .hasMessageContaining(".where(");
        assertThatThrownBy(() -> verify(() -> row.store(new Ref())).never())
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("and that is equal only to itself");
        verify((Ref any) -> row.store(any)).where(any -> any != wanted).once();
    }

    @Test
    void a_call_of_an_overload_is_told_as_the_closest() {
        log.note("rain", 2);
        assertThatThrownBy(() -> verify(() -> log.note("rain")).once())
                .hasMessageContaining("Closest\n    log.note(\"rain\", 2)")
                .hasMessageContaining("another method of that name: expected note(String), was note(String, int)");
    }

    @Test
    void only_counted_calls_are_something_else_too() {
        keepOnlyCounts(mount);
        mount.park();
        mount.park();
        assertThatThrownBy(() -> verifyNothingElse(mount))
                .isInstanceOf(CheckFailure.class)
                .hasMessageContaining("mount.park()    2 calls, only counted");
        verify(mount::park).times(2);
        verify(mount::park).atMost(2);
        verifyNothingElse(mount);
        mount.park();
        assertThatThrownBy(() -> verifyNothingElse(mount)).hasMessageContaining("1 call, only counted");
        suppose(mount::rate).returns(15);
        mount.rate();
        verify(mount::park).atLeast(1);
        verifyNothingElse(mount);
    }

    @Test
    void contradictions_do_not_compile_or_are_refused_at_once() {
        assertThat(methods(Counted.class)).doesNotContain("within");
        assertThat(Stream.of(ExpectedQuery1.class.getMethods())
                        .filter(method -> method.getName().equals("never"))
                        .map(Method::getReturnType))
                .containsExactly(void.class);
        assertThat(Stream.of(ExpectedQuery1.class.getMethods())
                        .filter(method -> method.getName().equals("times"))
                        .flatMap(method -> Stream.of(method.getReturnType().getMethods()))
                        .map(Method::getName))
                .doesNotContain("once", "never", "times", "atLeast", "atMost", "between", "with", "where");

        Counting finished = verify(dome::open);
        finished.never();
        assertThatThrownBy(finished::once)
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("has a count already");
        Counting waiting = verify(dome::open);
        waiting.within(Duration.ofSeconds(1));
        assertThatThrownBy(() -> waiting.within(Duration.ofSeconds(2)))
                .hasMessageContaining("has a timeout already: 1 s");
    }

    private static Stream<String> methods(Class<?> type) {
        return Stream.of(type.getMethods()).map(Method::getName);
    }

    @Test
    void waiting_is_interrupted_aloud_and_may_last_for_ages() throws InterruptedException {
        Thread.currentThread().interrupt();
        assertThatThrownBy(() ->
                        verify(dome::open).within(Duration.ofDays(1_000_000)).once())
                .isInstanceOf(CheckFailure.class)
                .hasMessageContaining("the waiting thread was interrupted, and until then there was none");
        assertThat(Thread.interrupted()).isTrue();
        dome.open();
        verify(dome::open).within(Duration.ofDays(1_000_000)).once();
        verify(dome::open).within(Duration.ofSeconds(Long.MAX_VALUE)).atLeast(1);
        Thread.currentThread().interrupt();
        assertThatThrownBy(
                        () -> verify(dome::close).within(Duration.ofMillis(5)).never())
                .as("later calls can no longer be observed")
                .hasMessageContaining("was interrupted");
        assertThat(Thread.interrupted()).isTrue();
    }

    /** The same order as a regular expression over the calls. */
    @Test
    void an_order_reads_calls_as_a_regular_expression_would() {
        Random random = new Random(42);
        int held = 0;
        for (int round = 0; round < 400; round++) {
            try (Scene inner = Scene.open()) {
                Dome calls = spy(Dome.class, "calls");
                StringBuilder happened = new StringBuilder();
                for (int i = random.nextInt(7); i > 0; i--) {
                    boolean open = random.nextBoolean();
                    if (open) {
                        calls.open();
                    } else {
                        calls.close();
                    }
                    happened.append(open ? 'o' : 'c');
                }
                StringBuilder wanted = new StringBuilder();
                int[][] counts = new int[2 + random.nextInt(3)][];
                for (int i = 0; i < counts.length; i++) {
                    int least = random.nextInt(3);
                    counts[i] = new int[] {random.nextInt(2), least, least + random.nextInt(3)};
                    wanted.append(counts[i][0] == 0 ? 'o' : 'c')
                            .append('{')
                            .append(least)
                            .append(',')
                            .append(counts[i][2])
                            .append('}');
                }
                boolean spokenOf = happened.chars().allMatch(c -> wanted.indexOf("" + (char) c) >= 0);
                Runnable order = () -> inThisOrder(() -> {
                    for (int[] count : counts) {
                        (count[0] == 0 ? verify(calls::open) : verify(calls::close)).between(count[1], count[2]);
                    }
                });
                String heard = happened.toString();
                String relevant = spokenOf ? heard : heard.replaceAll(wanted.indexOf("o") < 0 ? "o" : "c", "");
                if (relevant.matches(wanted.toString())) {
                    held++;
                    assertThatCode(order::run).as("%s of %s", heard, wanted).doesNotThrowAnyException();
                } else {
                    assertThatThrownBy(order::run).as("%s of %s", heard, wanted).isInstanceOf(CheckFailure.class);
                }
                assertThat(inner.notes()).isEmpty();
            }
        }
        assertThat(held).isGreaterThan(30);
    }

    @Test
    void an_order_of_many_statements_over_many_calls_is_read_at_once() {
        for (int i = 0; i < 1000; i++) {
            mount.park();
        }
        dome.open();
        assertThatThrownBy(() -> inThisOrder(() -> {
                    for (int i = 0; i < 19; i++) {
                        verify(mount::park).atLeast(1);
                    }
                    verify(dome::close).once();
                }))
                .isInstanceOf(CheckFailure.class)
                .hasMessageContaining("dome.close(), exactly 1 call");
    }
}
