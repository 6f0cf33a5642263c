package dev.zelotype.spring;

import dev.zelotype.doubles.Kind;
import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.test.context.bean.override.BeanOverride;

/**
 * For tests of Spring: puts a double in the place of a bean, and into this field. The context is shared by all test classes
 * that replace the same beans; what a test says and sees belongs to it alone.
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
     * What the double does when it is told nothing.
     *
     * @return its kind; a stub unless given
     */
    Kind value() default Kind.STUB;

    /**
     * Which bean is replaced.
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
