package dev.zelotype.spring;

import static dev.zelotype.Zelotype.describe;
import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyUntouched;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.doubles.Kind;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.junit.StandIn;
import dev.zelotype.junit.UnderTest;
import dev.zelotype.junit.WithDoubles;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.aop.support.AopUtils;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.ApplicationContext;
import org.springframework.test.context.TestContextManager;
import org.springframework.test.context.junit.jupiter.SpringJUnitConfig;

/**
 * Doubles replace beans: each test has its own conversation, although the context is shared.
 */
@WithDoubles
@SpringJUnitConfig(Night.Config.class)
class BeansTest {

    @StandInBean
    Night.Weather weather;

    @StandInBean(Kind.MOCK)
    Night.Dome dome;

    @WatchedBean
    Night.Repository<Night.Target> targets;

    @StandInBean
    @Qualifier("south")
    Night.Gauge south;

    @StandInBean
    Thread.UncaughtExceptionHandler alarm;

    @WatchedBean
    Night.Log log;

    @WatchedBean
    Night.Camera camera;

    @Autowired
    @UnderTest
    Night.Watch watch;

    @Autowired
    Night.Gauge primary;

    @Autowired
    Night.Log proxied;

    @Autowired
    Night.Transactions transactions;

    @Autowired
    ApplicationContext context;

    @RepeatedTest(3)
    void what_a_test_says_and_sees_is_its_own() {
        assertThat(watch.atStart).as("while the context was put together").isZero();
        suppose(weather::humidity).returns(95);

        assertThat(watch.run()).isEqualTo(-1);

        verify(weather::humidity).once();
        verifyUntouched(dome);
    }

    @RepeatedTest(2)
    void nothing_is_left_of_other_tests() {
        expect(dome::open);

        assertThat(watch.run()).isEqualTo(102);

        verify(targets::all).once();
    }

    @Test
    void an_unexpected_call_and_an_unmet_expectation_fail_the_test() {
        assertThatThrownBy(() -> inScene(watch::run))
                .isInstanceOf(CheckFailure.class)
                .hasMessageStartingWith("dome.open() was not expected.");
        assertThatThrownBy(() -> inScene(() -> expect(dome::open)))
                .isInstanceOf(CheckFailure.class)
                .hasMessageStartingWith("Expected exactly 1 call of dome.open(), but there was none.");
    }

    private static void inScene(Runnable test) {
        Scene scene = Scene.open();
        try (scene) {
            test.run();
        }
    }

    @Test
    void beans_are_chosen_as_spring_chooses_them() {
        suppose(south::level).returns(3);

        assertThat(context.getBean("south", Night.Gauge.class).level()).isEqualTo(3);
        assertThat(primary.level()).isEqualTo(100);
        assertThat(context.getBean("alarm")).isSameAs(alarm);
        Night.Repository<?> names = context.getBean("names", Night.Repository.class);
        assertThat(names.all()).hasToString("[Harrow-2]");
        assertThat(context.getBean(Night.Weather.class)).isSameAs(weather);
    }

    @Test
    void statements_may_name_the_proxy_of_a_bean() throws Exception {
        assertThat(AopUtils.isAopProxy(proxied)).isTrue();
        int before = transactions.begun;

        proxied.append("rain");
        suppose(proxied::size).returns(7);

        assertThat(transactions.begun).isEqualTo(before + 1);
        assertThat(proxied.size()).isEqualTo(7);
        verify(() -> proxied.append("rain")).once();
        assertThat(recorded(proxied::append)).containsExactly("rain");
        assertThat(describe(proxied)).contains("log is a spy of Log");
        assertThat(camera.expose().get(10, TimeUnit.SECONDS)).isEqualTo("a frame");
        verify(camera::expose).within(java.time.Duration.ofSeconds(5)).once();
    }

    @Nested
    class Inside {

        @StandIn
        Runnable listener;

        @Test
        void nested_tests_have_the_doubles_of_the_context() {
            suppose(weather::humidity).returns(81);

            assertThat(watch.run()).isEqualTo(-1);

            verify(weather::humidity).once();
            assertThat(listener).isNotNull();
        }
    }

    /** Inherits the fields of the class above, and shares its context. */
    @Nested
    class SameBeans extends BeansTest.Base {

        @Test
        void a_subject_is_built_from_the_doubles_of_the_context() {
            suppose(gauge::level).returns(5);
            assertThat(reader.read()).isEqualTo(5);
            verify(gauge::level).once();
        }
    }

    /** Reads an injected collaborator. */
    static class Reader {
        private final Night.Gauge gauge;

        Reader(Night.Gauge gauge) {
            this.gauge = gauge;
        }

        int read() {
            return gauge.level();
        }
    }

    @WithDoubles
    @SpringJUnitConfig(Night.Config.class)
    abstract static class Base {

        @StandInBean(name = "north")
        Night.Gauge gauge;

        @UnderTest
        Reader reader;
    }

    @SpringJUnitConfig(Night.Config.class)
    static class Unknown {
        @StandInBean
        java.util.concurrent.Callable<String> missing;
    }

    @SpringJUnitConfig(Night.Config.class)
    static class Several {
        @StandInBean
        Night.Repository<?> any;
    }

    @SpringJUnitConfig(Night.Config.class)
    static class Twice {
        @StandInBean
        Night.Weather weather;

        @StandInBean(name = "weather")
        Night.Weather again;
    }

    @SpringJUnitConfig(Night.Config.class)
    static class Both {
        @StandIn
        @StandInBean
        Night.Weather weather;
    }

    static Stream<Arguments> refused() {
        return Stream.of(
                Arguments.of(new Unknown(), "missing"),
                Arguments.of(new Several(), "found 2 beans"),
                Arguments.of(new Twice(), "Two fields replace the bean 'weather'"),
                Arguments.of(
                        new Both(),
                        "The field Both.weather asks for a double of the test and for one of the context."));
    }

    @ParameterizedTest
    @MethodSource("refused")
    void what_cannot_be_meant_is_refused(Object test, String said) {
        assertThatThrownBy(() -> new TestContextManager(test.getClass()).prepareTestInstance(test))
                .satisfies(thrown -> {
                    StringBuilder all = new StringBuilder();
                    for (Throwable each = thrown; each != null; each = each.getCause()) {
                        all.append(each.getMessage()).append('\n');
                    }
                    assertThat(all.toString()).contains(said);
                });
    }

    @Test
    void classes_that_replace_the_same_beans_share_a_context() throws Exception {
        ApplicationContext other =
                new TestContextManager(BeansTest.class).getTestContext().getApplicationContext();
        assertThat(other).isSameAs(context);
        assertThat(List.of(weather, dome)).doesNotContainNull();
    }
}
