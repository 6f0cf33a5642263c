package dev.zelotype.spring;

import dev.zelotype.error.MisuseException;
import dev.zelotype.host.LastingDoubles;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.config.SingletonBeanRegistry;
import org.springframework.beans.factory.support.DefaultSingletonBeanRegistry;
import org.springframework.context.ApplicationContext;

/**
 * The doubles of one context, with the same lifetime. Safe for use from any thread.
 */
final class ContextDoubles {

    private static final String BEAN = "dev.zelotype.spring.doubles";

    /**
     * A double of a bean.
     *
     * @param place the scene that it was made in
     * @param bean the name of the bean
     */
    record Made(LastingDoubles place, String bean) {}

    private final Map<BeanDoubleHandler, Made> all = new LinkedHashMap<>();

    private ContextDoubles() {}

    /** For a context that is being built. */
    static ContextDoubles of(SingletonBeanRegistry registry) {
        synchronized (registry) {
            if (registry.getSingleton(BEAN) instanceof ContextDoubles known) {
                return known;
            }
            ContextDoubles doubles = new ContextDoubles();
            registry.registerSingleton(BEAN, doubles);
            if (registry instanceof DefaultSingletonBeanRegistry disposing) {
                disposing.registerDisposableBean(BEAN, doubles::close);
            }
            return doubles;
        }
    }

    /** Those of a context; null if it replaces no bean. */
    static @Nullable ContextDoubles of(ApplicationContext context) {
        return context.containsLocalBean(BEAN) ? context.getBean(BEAN, ContextDoubles.class) : null;
    }

    synchronized void add(BeanDoubleHandler handler, Made made) {
        all.forEach((other, known) -> {
            if (known.bean().equals(made.bean())) {
                throw new MisuseException(
                        "Two fields replace the bean '" + made.bean() + "': " + name(other) + " and " + name(handler)
                                + ".",
                        "declare it once, or give the name of the other bean");
            }
        });
        all.put(handler, made);
    }

    private static String name(BeanDoubleHandler handler) {
        return handler.getField() == null
                ? "one of the class"
                : handler.getField().getName();
    }

    /** The context is complete: from now on, calls belong to tests. */
    synchronized void endSetUp() {
        all.values().forEach(made -> made.place().endSetUp());
    }

    private synchronized void close() {
        all.values().forEach(made -> made.place().close());
    }
}
