package dev.zelotype.examples.containers;

import static dev.zelotype.Zelotype.describe;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static dev.zelotype.Zelotype.verifyUntouched;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.examples.observatory.ExposurePlan;
import dev.zelotype.examples.observatory.WeatherStation;
import dev.zelotype.junit.WithDoubles;
import org.aopalliance.intercept.MethodInterceptor;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.aop.framework.ProxyFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.test.context.junit.jupiter.SpringJUnitConfig;
import org.springframework.test.util.AopTestUtils;

/**
 * Doubles as beans of a context that all tests share. Statements about them and their recorded calls belong to a single
 * test.
 */
@SpringJUnitConfig(SpringTest.Beans.class)
@WithDoubles
@TestMethodOrder(MethodOrderer.MethodName.class)
class SpringTest {

    @Configuration
    static class Beans {

        @Bean
        WeatherStation weather() {
            return stub(WeatherStation.class, "weather");
        }

        @Bean
        Watch watch(WeatherStation weather) {
            return new Watch(weather);
        }

        @Bean
        ExposurePlan plan() {
            return timed(stub(ExposurePlan.class, "plan"));
        }

        @Bean
        Gauge gauge() {
            return timed(new Gauge());
        }
    }

    /** Reads the weather. */
    static class Watch {
        private final WeatherStation weather;

        Watch(WeatherStation weather) {
            this.weather = weather;
        }

        boolean isDry() {
            return weather.humidity() < 80;
        }
    }

    /** A bean with code of its own. */
    static class Gauge {
        int level() {
            return 3;
        }

        int twice() {
            return 2 * level();
        }
    }

    /**
     * A proxy like those of containers for transactions or caches: a subclass of the bean's class, in front of the
     * bean.
     */
    private static <T> T timed(T bean) {
        ProxyFactory factory = new ProxyFactory(bean);
        factory.setProxyTargetClass(true);
        factory.addAdvice((MethodInterceptor) invocation -> invocation.proceed());
        @SuppressWarnings("unchecked")
        T proxy = (T) factory.getProxy(SpringTest.class.getClassLoader());
        return proxy;
    }

    @Autowired
    WeatherStation weather;

    @Autowired
    Watch watch;

    @Autowired
    ExposurePlan plan;

    @Autowired
    Gauge gauge;

    @Test
    void a_dry_night() {
        suppose(weather::humidity).returns(40);

        assertThat(watch.isDry()).isTrue();
        verify(weather::humidity).once();
    }

    @Test
    void b_humid_night_knows_nothing_of_the_night_before() {
        verifyUntouched(weather);
        suppose(weather::humidity).returns(95);

        assertThat(watch.isDry()).isFalse();
        assertThat(describe(weather)).contains("Asked (1 call)");
    }

    @Test
    void c_double_of_a_class_stands_behind_a_proxy() {
        ExposurePlan behind = AopTestUtils.getTargetObject(plan);
        suppose(behind::baseSeconds).returns(60);

        assertThat(plan).isNotSameAs(behind);
        assertThat(plan.baseSeconds()).isEqualTo(60);
    }

    @Test
    void d_bean_behind_a_proxy_is_spied_on_in_its_place() {
        Gauge behind = spy(AopTestUtils.<Gauge>getTargetObject(gauge));
        suppose(behind::level).returns(50);

        assertThat(gauge.twice()).isEqualTo(100);
        verify(behind::level).once();
    }
}
