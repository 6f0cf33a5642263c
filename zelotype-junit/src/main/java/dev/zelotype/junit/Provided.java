package dev.zelotype.junit;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * For tests: marks a field whose value is passed to the subject for the parameter of the same name.
 *
 * <pre>{@code
 * @Provided String site = "North Ridge";
 * @UnderTest NightRun run;
 * }</pre>
 *
 * @since 0.2
 */
@Target(ElementType.FIELD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Provided {}
