package dev.zelotype.spring;

import dev.zelotype.error.MisuseException;
import java.lang.annotation.Annotation;
import java.lang.reflect.Field;
import org.jspecify.annotations.Nullable;
import org.springframework.core.ResolvableType;
import org.springframework.test.context.bean.override.BeanOverrideHandler;
import org.springframework.test.context.bean.override.BeanOverrideProcessor;
import org.springframework.test.context.bean.override.BeanOverrideStrategy;

/**
 * Reads the annotations of a test's fields.
 */
final class BeanDoubleProcessor implements BeanOverrideProcessor {

    private static final String STAND_IN = "dev.zelotype.junit.StandIn";

    @Override
    public BeanOverrideHandler createHandler(Annotation said, Class<?> test, Field field) {
        for (Annotation each : field.getAnnotations()) {
            // By name: tests do not need the JUnit module for this.
            if (each.annotationType().getName().equals(STAND_IN)) {
                throw new MisuseException(
                        "The field " + field.getDeclaringClass().getSimpleName() + "." + field.getName()
                                + " asks for a double of the test and for one of the context.",
                        "keep @StandIn or @" + said.annotationType().getSimpleName());
            }
        }
        ResolvableType type = ResolvableType.forField(field, test);
        if (said instanceof WatchedBean watched) {
            return new BeanDoubleHandler(
                    field, type, named(watched.name()), watched.context(), BeanOverrideStrategy.WRAP, null);
        }
        StandInBean asked = (StandInBean) said;
        return new BeanDoubleHandler(
                field, type, named(asked.name()), asked.context(), BeanOverrideStrategy.REPLACE, asked.value());
    }

    private static @Nullable String named(String name) {
        return name.isBlank() ? null : name;
    }
}
