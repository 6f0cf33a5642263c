package dev.zelotype.junit;

import java.lang.annotation.ElementType;
import java.lang.annotation.Inherited;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Opens a scene for each test of the class, and hands it the doubles it asks for with {@link Collaborator}. At the end of
 * the test the scene is closed, which checks what was expected.
 *
 * <pre>{@code
 * @WithDoubles
 * class NightRunTest {
 *     @Collaborator(STUB) WeatherStation weather;
 *     ...
 * }
 * }</pre>
 */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@Inherited
@ExtendWith(DoublesExtension.class)
public @interface WithDoubles {}
