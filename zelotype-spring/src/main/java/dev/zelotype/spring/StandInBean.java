package dev.zelotype.spring;

import dev.zelotype.doubles.Kind;
import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.test.context.bean.override.BeanOverride;

/**
 * For tests with Spring: replaces a bean by a double, and injects it into this field. All test classes that replace the
 * same beans share the context; statements and recorded calls belong to a single test.
 *
 * <pre>{@code
 * @SpringJUnitConfig(ObservatoryConfig.class)
 * @WithDoubles
 * class NightRunTest {
 *     @StandInBean(Kind.MOCK) Dome dome;
 *     @Autowired NightRun night;
 * }
 * }</pre>
 *
 * @since 0.2
 */
@Documented
@Target(ElementType.FIELD)
@Retention(RetentionPolicy.RUNTIME)
@BeanOverride(BeanDoubleProcessor.class)
public @interface StandInBean {

    /**
     * The kind of double.
     *
     * @return its kind; by default a stub
     */
    Kind value() default Kind.STUB;

    /**
     * The bean to replace.
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
