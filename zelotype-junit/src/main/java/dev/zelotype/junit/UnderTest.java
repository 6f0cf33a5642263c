package dev.zelotype.junit;

import dev.zelotype.doubles.Kind;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * For tests: requests the class under test, built with a double for every constructor parameter: those of the test's
 * {@link StandIn} fields, values of its {@link Provided} fields, and new doubles for the rest. See {@link
 * dev.zelotype.Scene#subject(Class)} for the rules.
 *
 * @since 0.2
 */
@Target({ElementType.FIELD, ElementType.PARAMETER})
@Retention(RetentionPolicy.RUNTIME)
public @interface UnderTest {

    /**
     * The kind of the doubles that the test does not declare.
     *
     * @return the kind; by default stubs
     */
    Kind others() default Kind.STUB;
}
