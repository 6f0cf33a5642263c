package dev.zelotype.junit;

import dev.zelotype.doubles.Kind;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * For tests: asks for a double, in a field of a test class or as a parameter of a test or set-up method. The field's or
 * parameter's name is the double's name in messages.
 *
 * @since 0.2
 */
@Target({ElementType.FIELD, ElementType.PARAMETER})
@Retention(RetentionPolicy.RUNTIME)
public @interface StandIn {

    /**
     * What kind of double.
     *
     * @return the kind; a stub unless given
     */
    Kind value() default Kind.STUB;
}
