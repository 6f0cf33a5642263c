package dev.zelotype.spring;

import dev.zelotype.doubles.Kind;
import dev.zelotype.host.LastingDoubles;
import java.lang.reflect.Field;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.beans.factory.config.SingletonBeanRegistry;
import org.springframework.core.ResolvableType;
import org.springframework.test.context.bean.override.BeanOverrideHandler;
import org.springframework.test.context.bean.override.BeanOverrideStrategy;

/**
 * Makes the double of one bean. Equal for equal requests, so that test classes share a context.
 */
final class BeanDoubleHandler extends BeanOverrideHandler {

    /** Null for a spy on the real bean. */
    private final @Nullable Kind kind;
    /** Doubles that the context does not track yet. */
    private final Map<Object, ContextDoubles.Made> made = Collections.synchronizedMap(new IdentityHashMap<>());

    BeanDoubleHandler(
            Field field,
            ResolvableType type,
            @Nullable String name,
            String context,
            BeanOverrideStrategy strategy,
            @Nullable Kind kind) {
        super(field, type, name, context, strategy);
        this.kind = kind;
    }

    @Override
    protected Object createOverrideInstance(
            String beanName, @Nullable BeanDefinition definition, @Nullable Object existing) {
        String name = getField() == null ? beanName : getField().getName();
        LastingDoubles place = LastingDoubles.open("bean " + beanName);
        Object standIn = kind == null
                ? place.spy(existing, name)
                : place.make(kind, getBeanType().toClass(), name);
        made.put(standIn, new ContextDoubles.Made(place, beanName));
        return standIn;
    }

    @Override
    protected void trackOverrideInstance(Object instance, SingletonBeanRegistry registry) {
        ContextDoubles.Made one = made.remove(instance);
        if (one != null) {
            ContextDoubles.of(registry).add(this, one);
        }
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return super.equals(other) && other instanceof BeanDoubleHandler handler && handler.kind == kind;
    }

    @Override
    public int hashCode() {
        return super.hashCode() * 31 + Objects.hashCode(kind);
    }
}
