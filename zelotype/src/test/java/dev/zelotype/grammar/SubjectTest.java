package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowable;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.doubles.Kind;
import dev.zelotype.doubles.NamedDouble;
import dev.zelotype.error.MisuseException;
import dev.zelotype.host.HostedScene;
import dev.zelotype.observatory.Observatory.Dome;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.NightLog;
import dev.zelotype.observatory.Observatory.Repository;
import dev.zelotype.observatory.Observatory.WeatherStation;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Subjects are built with the scene's doubles, in whatever order they are requested.
 */
class SubjectTest {

    private final Scene scene = Scene.open();

    @AfterEach
    void close() {
        scene.close();
    }

    static class Plan {
        final Dome dome;
        final Mount mount;
        final List<Object> all;

        Plan(Dome dome) {
            this(dome, null, null, 0, null);
        }

        Plan(Dome dome, Mount mount, String site, int limit, Repository<String> entries) {
            this.dome = dome;
            this.mount = mount;
            this.all = entries == null ? List.of() : List.of(dome, mount, site, limit, entries);
        }
    }

    static class Twin {
        final List<Dome> domes;

        Twin(Dome north, Dome south) {
            domes = List.of(north, south);
        }
    }

    static class Torn {
        Torn(Dome dome, Mount mount) {}

        Torn(Mount mount, NightLog log) {}
    }

    static class ByProperties {
        private Dome dome;
        private String site = "unset";
        NightLog log;
        Mount mount = stub(Mount.class, "own mount");

        public void setDome(Dome dome) {
            this.dome = dome;
        }

        public void setSite(String site) {
            this.site = site;
        }
    }

    static class OnlyValues {
        OnlyValues(String name) {}
    }

    static class Hidden {
        private Hidden() {}
    }

    static class Failing {
        Failing(Dome dome) {
            throw new UnsupportedOperationException("on " + dome);
        }
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void the_double_of_the_test_and_of_the_subject_are_the_same_in_any_order(boolean declaredFirst) {
        Dome declared = declaredFirst ? mock(Dome.class, "roof") : null;
        Plan plan = scene.provide("site", "North Ridge").provide("limit", 3).subject(Plan.class, Kind.SPY);

        assertThat(plan.all).hasSize(5).contains("North Ridge", 3);
        assertThat(scene.the(Dome.class)).isSameAs(plan.dome);
        assertThat(plan.dome).isEqualTo(declaredFirst ? declared : plan.dome);
        assertThat(scene.the(Mount.class, Kind.SPY)).isSameAs(plan.mount);
        assertThat(scene.subject(Plan.class).dome)
                .as("a second subject gets the same")
                .isSameAs(plan.dome);
        assertThat(scene.conversation().doubles())
                .extracting(NamedDouble::name)
                .containsExactly(declaredFirst ? "roof" : "dome", "mount", "entries");
    }

    @Test
    void without_the_values_it_needs_the_smaller_constructor_is_called() {
        assertThat(scene.subject(Plan.class).all).isEmpty();
    }

    @Test
    void parameters_of_one_type_are_told_apart_by_name() {
        Dome south = stub(Dome.class, "south");
        Twin twin = scene.subject(Twin.class);
        assertThat(twin.domes).doesNotHaveDuplicates().element(1).isSameAs(south);
        assertThat(scene.the(Dome.class, Kind.STUB, "north")).isSameAs(twin.domes.get(0));
    }

    @Test
    void a_class_without_constructor_parameters_gets_setters_and_open_fields() {
        ByProperties subject = scene.provide("site", "South Ridge").subject(ByProperties.class);
        assertThat(subject.dome).hasToString("dome");
        assertThat(subject.site).isEqualTo("South Ridge");
        assertThat(subject.log).hasToString("log");
        assertThat(subject.mount).hasToString("own mount");
    }

    record Wrong(Callable<?> what, String message) {}

    @Test
    void what_cannot_be_built_is_said() {
        stub(WeatherStation.class, "first");
        stub(WeatherStation.class, "second");
        for (Wrong wrong : List.of(
                new Wrong(
                        () -> scene.subject(Torn.class),
                        "Torn(Dome dome, Mount mount) and Torn(Mount mount, NightLog log)"),
                new Wrong(() -> scene.subject(Runnable.class), "Runnable cannot be a subject"),
                new Wrong(() -> scene.subject(Hidden.class), "Hidden has private constructors only"),
                new Wrong(
                        () -> scene.subject(OnlyValues.class),
                        "OnlyValues(String name) needs String name, which cannot be doubled"),
                new Wrong(
                        () -> scene.the(WeatherStation.class),
                        "Several doubles could be WeatherStation: first, second"),
                new Wrong(
                        () -> scene.the(Dome.class) == scene.the(Dome.class, Kind.MOCK),
                        "dome is a stub already, not a mock"),
                new Wrong(
                        () -> scene.provide("limit", "three")
                                .provide("site", "x")
                                .subject(Plan.class),
                        "'limit' was provided as \"three\", but int limit is needed"),
                new Wrong(() -> scene.provide("site", "y"), "'site' is provided twice"))) {
            assertThatThrownBy(wrong.what()::call)
                    .isInstanceOf(MisuseException.class)
                    .hasMessageContaining(wrong.message());
        }
        assertThatThrownBy(() -> scene.subject(Failing.class))
                .isInstanceOf(UnsupportedOperationException.class)
                .hasMessage("on dome");
    }

    /** As written for containers. */
    static class ByFields {
        private static Dome shared;
        private WeatherStation weather;
        private final Dome fixed = null;
        private Mount mount = stub(Mount.class, "own mount");
        private String site;
        private List<String> cache;
        private Map<String, Integer> index;

        List<Object> all() {
            return Arrays.asList(weather, fixed, mount, site, cache, index, shared);
        }
    }

    @Test
    void private_fields_without_a_value_are_filled_by_type() {
        WeatherStation weather = stub(WeatherStation.class);
        @SuppressWarnings("unchecked")
        Map<String, Integer> index = stub(Map.class, "index");
        ByFields subject = scene.provide("site", "north").subject(ByFields.class);
        assertThat(subject.all()).containsExactly(weather, null, subject.mount, "north", null, index, null);
        assertThat(subject.mount).hasToString("own mount");
    }

    @Test
    void a_provided_value_that_no_subject_takes_is_named() {
        HostedScene hosted = HostedScene.of(SceneSettings.defaults()).open();
        hosted.scene().provide("site", "north").provide("limitation", 3).subject(Plan.class);
        assertThat(hosted.providedButNotTaken())
                .containsExactly(
                        "'site' is provided, but Plan was built without it",
                        "'limitation' is provided, but Plan was built without it; did you mean 'limit'?");
        hosted.closeAfter(null);
    }

    static class Shutter {
        final Runnable open;
        final Supplier<String> label;
        final Comparable<String> order;
        final AutoCloseable port;

        Shutter(Runnable open, Supplier<String> label, Comparable<String> order, AutoCloseable port) {
            this.open = open;
            this.label = label;
            this.order = order;
            this.port = port;
        }
    }

    @Test
    void interfaces_of_the_language_are_collaborators_like_others() throws Exception {
        Runnable open = spy(Runnable.class, "open");
        Shutter shutter = scene.subject(Shutter.class);
        shutter.open.run();
        shutter.port.close();
        assertThat(shutter.open).isSameAs(open);
        assertThat(shutter.label.get()).isNull();
        assertThat(shutter.order.compareTo("a")).isZero();
        verify(open::run).once();
    }

    static class Half {
        final Dome dome;
        Mount mount;
        private WeatherStation weather;
        private List<String> notes;
        private String site;

        Half(Dome dome) {
            this.dome = dome;
        }

        int humidity() {
            site = String.valueOf(notes);
            return weather.humidity() + mount.rate() + site.length();
        }
    }

    @Test
    void a_field_that_nobody_filled_is_named_in_the_failure() {
        HostedScene hosted = HostedScene.of(SceneSettings.defaults()).open();
        Half half = hosted.scene().subject(Half.class);
        Throwable failure = catchThrowable(half::humidity);
        hosted.attachConversation(failure, List.of("the collaborator log is declared, but the subject takes none"));
        hosted.closeAfter(failure);
        assertThat(failure.getSuppressed()[0])
                .hasToString(String.join(
                        "\n    ",
                        "what the doubles were asked before the test failed:",
                        "nothing",
                        "The subject and its doubles",
                        "  the collaborator log is declared, but the subject takes none",
                        "  Half.mount of Mount is null: fields are filled only if the constructor takes nothing",
                        "  Half.weather of WeatherStation is null: fields are filled only if the constructor takes"
                                + " nothing"));
    }

    @Test
    void a_provided_value_of_a_misspelt_name_is_refused() {
        scene.provide("limt", 5);
        assertThatThrownBy(() -> scene.subject(Plan.class))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("'limt' is provided, but Plan takes 'limit'.");
    }
}
