package dev.zelotype.spring;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.test.context.bean.override.BeanOverride;

/**
 * For tests with Spring: puts a spy around a bean, and injects it into this field. Calls go to the real bean unless a
 * statement says otherwise.
 *
 * <pre>{@code
 * @WatchedBean Gauge gauge;
 *
 * suppose(gauge::level).returns(3);
 * verify(gauge::reset).once();
 * }</pre>
 *
 * @since 0.2
 */
@Documented
@Target(ElementType.FIELD)
@Retention(RetentionPolicy.RUNTIME)
@BeanOverride(BeanDoubleProcessor.class)
public @interface WatchedBean {

    /**
     * The bean to watch.
     *
     * @return its name; by default the bean of the field's type, selected by qualifiers and the field's name if there
     *     are several
     */
    String name() default "";

    /**
     * The context in a hierarchy.
     *
     * @return its name in {@code @ContextConfiguration}; by default all of them
     */
    String context() default "";
}
