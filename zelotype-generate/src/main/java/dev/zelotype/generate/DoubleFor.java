package dev.zelotype.generate;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * For builds and tools: requests doubles as source, written while the test sources are compiled, into the package of
 * the annotated class or package.
 *
 * <pre>{@code
 * @DoubleFor(WeatherStation.class)
 * class NightRunTest {
 *     private final WeatherStationStub weather = new WeatherStationStub().humidityAnswers(95);
 * }
 * }</pre>
 *
 * @since 0.2
 */
@Target({ElementType.TYPE, ElementType.PACKAGE})
@Retention(RetentionPolicy.SOURCE)
public @interface DoubleFor {

    /**
     * The types to write doubles for: interfaces and abstract classes.
     *
     * @return the types
     */
    Class<?>[] value();

    /**
     * The kinds of doubles.
     *
     * @return the styles; by default stubs
     */
    Style[] style() default Style.STUB;
}
