package dev.zelotype.cdi;

import dev.zelotype.error.MisuseException;
import jakarta.enterprise.context.Dependent;
import jakarta.enterprise.event.Observes;
import jakarta.enterprise.inject.Any;
import jakarta.enterprise.inject.Default;
import jakarta.enterprise.inject.spi.AfterBeanDiscovery;
import jakarta.enterprise.inject.spi.Bean;
import jakarta.enterprise.inject.spi.BeanAttributes;
import jakarta.enterprise.inject.spi.Extension;
import jakarta.enterprise.inject.spi.ProcessBeanAttributes;
import java.lang.annotation.Annotation;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * Puts doubles in the place of the beans of a container: a portable extension, to be added when a test starts the
 * container. Beans of the same type with the same qualifiers are left out. A double is handed out as it is, without a
 * proxy. It outlives scenes: what a test says of it, and the calls that a test sees, belong to the test's scene.
 *
 * <pre>{@code
 * DoubleBeans doubles = new DoubleBeans().replace(Dome.class, stub(Dome.class));
 * }</pre>
 *
 * <p>For one container; not safe for use from several threads.
 *
 * @since 0.2
 */
public final class DoubleBeans implements Extension {

    private final List<Replacement> all = new ArrayList<>();

    /** An extension that replaces nothing yet. */
    public DoubleBeans() {}

    /** A double in the place of a bean. */
    private record Replacement(Class<?> type, Object one, Set<Annotation> qualifiers) {

        boolean isFor(BeanAttributes<?> bean) {
            return bean.getTypes().contains(type) && bean.getQualifiers().containsAll(qualifiers);
        }
    }

    /**
     * Puts an object in the place of the beans of a type.
     *
     * @param type the type of the injection points
     * @param one a double, or another object for the test
     * @param qualifiers the qualifiers of the replaced bean; none for a bean without qualifiers
     * @param <T> the type
     * @return this
     * @throws MisuseException if the object is not of the type, or the type is replaced already
     */
    public <T> DoubleBeans replace(Class<T> type, T one, Annotation... qualifiers) {
        if (!type.isInstance(one)) {
            throw new MisuseException(
                    "The bean " + type.getSimpleName() + " cannot be replaced by " + one + ".",
                    "give an object of that type, such as stub(" + type.getSimpleName() + ".class)");
        }
        Set<Annotation> wanted = new LinkedHashSet<>(List.of(qualifiers));
        if (wanted.isEmpty()) {
            wanted.add(Default.Literal.INSTANCE);
        }
        for (Replacement each : all) {
            if (each.type() == type && each.qualifiers().equals(wanted)) {
                throw new MisuseException(
                        "The bean " + type.getSimpleName() + " is replaced twice.",
                        "replace it once, or tell the two apart by their qualifiers");
            }
        }
        all.add(new Replacement(type, one, wanted));
        return this;
    }

    /**
     * Leaves out a bean that is replaced. Called by the container.
     *
     * @param bean a bean that the container has found
     */
    void leaveOut(@Observes ProcessBeanAttributes<?> bean) {
        if (all.stream().anyMatch(each -> each.isFor(bean.getBeanAttributes()))) {
            bean.veto();
        }
    }

    /**
     * Adds the doubles. Called by the container.
     *
     * @param discovery the event that accepts new beans
     */
    void add(@Observes AfterBeanDiscovery discovery) {
        for (Replacement each : all) {
            Set<Annotation> qualifiers = new LinkedHashSet<>(each.qualifiers());
            qualifiers.add(Any.Literal.INSTANCE);
            discovery
                    .addBean()
                    .beanClass(each.type())
                    .types(each.type(), Object.class)
                    .qualifiers(qualifiers)
                    .scope(Dependent.class)
                    .id(Bean.class.getName() + " of Zelotype: " + each.type().getName() + each.qualifiers())
                    .createWith(context -> each.one());
        }
    }
}
