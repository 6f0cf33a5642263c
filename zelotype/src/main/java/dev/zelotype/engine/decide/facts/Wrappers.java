package dev.zelotype.engine.decide.facts;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.lang.reflect.Modifier;
import java.lang.reflect.Proxy;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The types of a spy that wraps a real object whose class can be neither woven nor extended: the nearest superclass
 * that can be extended, and the interfaces. The spy must be usable wherever a test can use the object's type, so an
 * object is refused if a test can name its type but the type cannot be extended.
 */
public final class Wrappers {

    private Wrappers() {}

    public static DoubleClass of(Class<?> type) {
        if (isOpen(type)) {
            return DoubleClass.of(type);
        }
        Class<?> parent = type;
        while (parent != Object.class && !isOpen(parent)) {
            if (canBeNamed(parent)) {
                throw refusal(type, parent);
            }
            parent = parent.getSuperclass();
        }
        Set<Class<?>> interfaces = new LinkedHashSet<>();
        for (Class<?> c = type; c != null; c = c.getSuperclass()) {
            for (Class<?> each : c.getInterfaces()) {
                collect(each, interfaces, type);
            }
        }
        Class<?> extended = parent;
        interfaces.removeIf(each -> each.isAssignableFrom(extended));
        if (interfaces.size() > 1) {
            // No subject requests it.
            interfaces.remove(Serializable.class);
        }
        List<Class<?>> all = new ArrayList<>();
        if (parent != Object.class) {
            all.add(parent);
        }
        all.addAll(interfaces);
        if (all.isEmpty()) {
            throw refusal(type, type);
        }
        return DoubleClass.of(all.get(0), all);
    }

    /** Interfaces that a test can implement; an interface that it cannot is replaced by those that it extends. */
    private static void collect(Class<?> each, Set<Class<?>> interfaces, Class<?> type) {
        if (isOpen(each)) {
            interfaces.add(each);
            return;
        }
        if (canBeNamed(each)) {
            throw refusal(type, each);
        }
        for (Class<?> parent : each.getInterfaces()) {
            collect(parent, interfaces, type);
        }
    }

    private static boolean isOpen(Class<?> type) {
        return DoubleClass.canDouble(type) && !type.isSealed() && (!CodeOwner.isOfJdk(type) || canBeNamed(type));
    }

    /** Whether code outside its module can name a type. */
    private static boolean canBeNamed(Class<?> type) {
        if (type.isHidden() || Proxy.isProxyClass(type) || !type.getModule().isExported(type.getPackageName())) {
            return false;
        }
        for (@Nullable Class<?> c = type; c != null; c = c.getEnclosingClass()) {
            if (CodeOwner.isOfJdk(type) && !Modifier.isPublic(c.getModifiers())) {
                return false;
            }
        }
        return true;
    }

    private static MisuseException refusal(Class<?> type, Class<?> closed) {
        String why = closed.isSealed()
                ? "is sealed"
                : Modifier.isFinal(closed.getModifiers()) ? "is final" : "cannot be extended";
        return new MisuseException(
                "A " + Values.typeName(type) + " cannot be spied on: "
                        + (closed == type ? "its class" : Values.typeName(closed)) + " " + why
                        + (CodeOwner.isOfJdk(closed) ? ", and classes of the JDK are left alone." : "."),
                "use the real object, or put an interface of your own in front of it");
    }
}
