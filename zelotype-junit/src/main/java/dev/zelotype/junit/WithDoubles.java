package dev.zelotype.junit;

import dev.zelotype.doubles.Severity;
import java.lang.annotation.ElementType;
import java.lang.annotation.Inherited;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * For tests: opens a scene for each test of the class, and provides its doubles ({@link StandIn}) and the class under
 * test ({@link UnderTest}). A parameter of type {@link dev.zelotype.Scene} receives the scene. At the end of the test
 * the scene is closed, which checks the expectations. If the test fails, the conversation is attached to the failure.
 *
 * <pre>{@code
 * @WithDoubles
 * class NightRunTest {
 *     @StandIn(STUB) WeatherStation weather;
 *     @StandIn(MOCK) Dome dome;
 *     @UnderTest NightRun run;
 *     ...
 * }
 * }</pre>
 *
 * <p>Settings that are not given here come from JUnit's configuration parameters {@code zelotype.unused} and {@code
 * zelotype.lines}.
 *
 * @since 0.2
 */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@Inherited
@ExtendWith(DoublesExtension.class)
public @interface WithDoubles {

    /**
     * The severity of suppositions that no call used.
     *
     * @return nothing to use the configuration parameter, or one severity
     */
    Severity[] unused() default {};

    /**
     * For how many calls per test the line of the caller is recorded.
     *
     * @return the number, or -1 to use the configuration parameter
     */
    int lines() default -1;

    /**
     * Calls that need no check: a challenge of the class's tests does not disturb them.
     *
     * @return methods with their types, for example {@code NightLog.append}; a star matches anything
     */
    String[] unchallenged() default {};
}
