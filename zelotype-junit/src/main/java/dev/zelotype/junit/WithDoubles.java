package dev.zelotype.junit;

import dev.zelotype.doubles.Severity;
import java.lang.annotation.ElementType;
import java.lang.annotation.Inherited;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * For tests: opens a scene for each test of the class, and hands it the doubles it asks for with {@link StandIn} and the
 * class under test it asks for with {@link UnderTest}. A parameter of type {@link dev.zelotype.Scene} is given the
 * scene. At the end of the test the scene is closed, which checks what was expected. When the test failed, the
 * conversation is attached to the failure.
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
 * <p>Settings that are not given here come from JUnit's configuration parameters {@code zelotype.unused} and
 * {@code zelotype.lines}.
 *
 * @since 0.2
 */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@Inherited
@ExtendWith(DoublesExtension.class)
public @interface WithDoubles {

    /**
     * What becomes of suppositions that a test makes and no call needs.
     *
     * @return nothing (leave it to the configuration parameter), or one severity
     */
    Severity[] unused() default {};

    /**
     * For how many calls of a test the line they were made at is noted.
     *
     * @return the number, or -1 to leave it to the configuration parameter
     */
    int lines() default -1;

    /**
     * Calls that need no check: a challenge of the class's tests leaves them alone.
     *
     * @return methods with their types, such as {@code NightLog.append}; a star matches anything
     */
    String[] unchallenged() default {};
}
