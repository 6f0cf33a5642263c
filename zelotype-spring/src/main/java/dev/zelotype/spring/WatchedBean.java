package dev.zelotype.spring;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.test.context.bean.override.BeanOverride;

/**
 * For tests of Spring: puts a spy around a bean, and into this field. Calls go to the real bean unless the test says
 * otherwise.
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
     * Which bean is watched.
     *
     * @return its name; the bean of the field's type unless given, by qualifiers and the field's name if there are several
     */
    String name() default "";

    /**
     * In which context of a hierarchy.
     *
     * @return the name that {@code @ContextConfiguration} gives it; all of them unless given
     */
    String context() default "";
}
