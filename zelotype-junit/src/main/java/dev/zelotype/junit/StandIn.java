package dev.zelotype.junit;

import dev.zelotype.doubles.Kind;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * For tests: requests a double for a field of a test class, or for a parameter of a test or set-up method. The name of
 * the field or parameter becomes the double's name in messages.
 *
 * @since 0.2
 */
@Target({ElementType.FIELD, ElementType.PARAMETER})
@Retention(RetentionPolicy.RUNTIME)
public @interface StandIn {

    /**
     * The kind of double.
     *
     * @return the kind; by default a stub
     */
    Kind value() default Kind.STUB;
}
