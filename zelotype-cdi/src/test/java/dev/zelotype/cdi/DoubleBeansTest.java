package dev.zelotype.cdi;

import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyUntouched;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.error.MisuseException;
import dev.zelotype.junit.WithDoubles;
import jakarta.enterprise.context.ApplicationScoped;
import jakarta.enterprise.inject.Produces;
import jakarta.enterprise.util.AnnotationLiteral;
import jakarta.inject.Inject;
import jakarta.inject.Qualifier;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import org.jboss.weld.junit5.EnableWeld;
import org.jboss.weld.junit5.WeldInitiator;
import org.jboss.weld.junit5.WeldSetup;
import org.junit.jupiter.api.Test;

/**
 * Doubles replace managed beans, beans of producers and qualified beans; statements may name client proxies.
 */
@EnableWeld
@WithDoubles
class DoubleBeansTest {

    @Qualifier
    @Retention(RetentionPolicy.RUNTIME)
    public @interface At {
        String value();

        final class Literal extends AnnotationLiteral<At> implements At {
            private static final long serialVersionUID = 1L;
            private final String value;

            private Literal(String value) {
                this.value = value;
            }

            static Literal of(String value) {
                return new Literal(value);
            }

            @Override
            public String value() {
                return value;
            }
        }
    }

    public interface WeatherStation {
        int humidity();
    }

    public interface Dome {
        void open();
    }

    @ApplicationScoped
    public static class RealDome implements Dome {
        @Override
        public void open() {
            throw new IllegalStateException("the real dome");
        }
    }

    public static class Stations {
        @Produces
        @ApplicationScoped
        public WeatherStation station() {
            throw new IllegalStateException("the real station");
        }

        @Produces
        @At("south")
        public WeatherStation south() {
            return () -> 12;
        }
    }

    @ApplicationScoped
    public static class NightLog {
        private int lines;

        public int note(String text) {
            lines += text.length();
            return lines;
        }
    }

    @ApplicationScoped
    public static class NightRun {
        @Inject
        WeatherStation weather;

        @Inject
        @At("south")
        WeatherStation south;

        @Inject
        @At("north")
        WeatherStation north;

        @Inject
        Dome dome;

        @Inject
        NightLog log;

        public int humidityInTheSouth() {
            return south.humidity();
        }

        public void run() {
            if (weather.humidity() < 85 && north.humidity() < 85) {
                dome.open();
            }
            log.note("done");
        }
    }

    private final WeatherStation weather = stub(WeatherStation.class);
    private final WeatherStation north = stub(WeatherStation.class, "north");
    private final Dome dome = spy(Dome.class);

    @WeldSetup
    WeldInitiator weld = WeldInitiator.of(WeldInitiator.createWeld()
            .beanClasses(RealDome.class, Stations.class, NightLog.class, NightRun.class)
            .addExtension(new DoubleBeans()
                    .replace(WeatherStation.class, weather)
                    .replace(WeatherStation.class, north, At.Literal.of("north"))
                    .replace(Dome.class, dome)));

    @Inject
    NightRun night;

    @Inject
    Dome injected;

    @Inject
    NightLog log;

    @Test
    void a_dry_evening_opens_the_dome() {
        suppose(weather::humidity).returns(40);
        night.run();
        verify(dome::open).once();
        assertThat(injected).isSameAs(dome);
        assertThat(night.humidityInTheSouth()).as("another bean of that type").isEqualTo(12);
    }

    @Test
    void what_one_test_says_is_gone_in_the_next() {
        suppose(north::humidity).returns(95);
        night.run();
        verifyUntouched(dome);
    }

    @Test
    void a_client_proxy_is_followed_in_statements() {
        assertThat(log.getClass()).isNotEqualTo(NightLog.class);
        spy(log);
        suppose(() -> log.note("done")).returns(7);
        night.run();
        verify(() -> log.note("done")).once();
    }

    @Test
    void a_double_of_another_type_and_a_bean_that_is_replaced_twice_are_refused() {
        @SuppressWarnings({"unchecked", "rawtypes"})
        Class<Object> type = (Class) Dome.class;
        assertThatThrownBy(() -> new DoubleBeans().replace(type, weather))
                .isInstanceOf(MisuseException.class)
                .hasMessageContaining("The bean Dome cannot be replaced by weatherStation.")
                .hasMessageContaining("stub(Dome.class)");
        Dome other = mock(Dome.class);
        assertThatThrownBy(() -> new DoubleBeans().replace(Dome.class, dome).replace(Dome.class, other))
                .hasMessageContaining("The bean Dome is replaced twice.");
    }
}
