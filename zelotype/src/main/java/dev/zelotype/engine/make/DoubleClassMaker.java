package dev.zelotype.engine.make;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.error.MisuseException;
import java.lang.invoke.MethodHandles;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;

/**
 * Decides where the class of a double is defined, and makes it there: in the doubled type's own package if that is
 * accessible, else in a separate package below the type's class loader, else as a proxy of the JDK.
 */
final class DoubleClassMaker {

    private static final AtomicInteger NUMBER = new AtomicInteger();
    private static final ClassValue<Nursery> NURSERIES = new ClassValue<>() {
        @Override
        protected Nursery computeValue(Class<?> type) {
            return new Nursery(type.getClassLoader());
        }
    };

    private DoubleClassMaker() {}

    /** Loads classes of doubles whose own package is inaccessible. */
    private static final class Nursery extends ClassLoader {

        Nursery(@Nullable ClassLoader parent) {
            super(parent);
        }

        Class<?> define(String name, byte[] code) {
            return defineClass(name, code, 0, code.length);
        }
    }

    static DoubleClass make(List<Class<?>> types) {
        Class<?> superclass = Object.class;
        List<Class<?>> interfaces = new ArrayList<>();
        for (Class<?> wanted : types) {
            DoublableTypes.check(wanted);
            Class<?> type = DoublableTypes.open(wanted);
            if (type.isInterface()) {
                interfaces.add(type);
            } else {
                superclass = type;
            }
        }
        Class<?> host = host(types.size() == 1 ? List.of(DoublableTypes.open(types.get(0))) : types);
        if (isOpenToUs(host)) {
            Class<?> linked = types.size() == 1 ? LinkedClass.beside(host) : null;
            return linked == null
                    ? inPackageOf(host, types.get(0), superclass, interfaces)
                    : linked(host, linked, superclass, interfaces);
        }
        if (allPublic(types)) {
            return inNursery(host, types.get(0), superclass, interfaces);
        }
        if (superclass == Object.class && isKnownToProxies(host)) {
            return ProxyInstances.make(types.get(0), interfaces);
        }
        throw new MisuseException(
                host.getName() + " cannot be doubled: its package is closed to Zelotype.",
                "run the tests with --add-opens " + host.getModule().getName() + "/" + host.getPackageName() + "="
                        + (host.getModule().isNamed() ? "dev.zelotype" : "ALL-UNNAMED"));
    }

    /** The type that determines the package of the double: one that is not public, else the first. */
    private static Class<?> host(List<Class<?>> types) {
        for (Class<?> type : types) {
            if (!isVisibleToAll(type)) {
                return type;
            }
        }
        return types.get(0);
    }

    private static boolean allPublic(List<Class<?>> types) {
        for (Class<?> type : types) {
            if (!isVisibleToAll(type)) {
                return false;
            }
        }
        return true;
    }

    private static boolean isVisibleToAll(Class<?> type) {
        for (Class<?> c = type; c != null; c = c.getDeclaringClass()) {
            if (!Modifier.isPublic(c.getModifiers())) {
                return false;
            }
        }
        return type.getModule().isExported(type.getPackageName());
    }

    /**
     * The JDK treats a public type nested in a non-public one as public, and its proxies then cannot access the latter.
     */
    private static boolean isKnownToProxies(Class<?> host) {
        return !Modifier.isPublic(host.getModifiers()) || !host.getModule().isExported(host.getPackageName());
    }

    private static boolean isOpenToUs(Class<?> host) {
        Module own = DoubleClassMaker.class.getModule();
        own.addReads(host.getModule());
        return host.getClassLoader() != null
                && host.getModule().isOpen(host.getPackageName(), own)
                && host.getSigners() == null;
    }

    private static DoubleClass inPackageOf(
            Class<?> host, Class<?> type, Class<?> superclass, List<Class<?>> interfaces) {
        String packageName = host.getPackageName();
        MethodTable table = new MethodTable(superclass, interfaces, packageName);
        String name = (packageName.isEmpty() ? "" : packageName + ".") + simpleName(type);
        byte[] code = DoubleClassWriter.write(name, superclass, interfaces, table);
        try {
            MethodHandles.Lookup there = MethodHandles.privateLookupIn(host, DoubleClass.lookup());
            Class<?> generated = there.defineClass(code);
            return new DoubleClass(type, generated, table, new FieldInstances(generated, superclass, interfaces));
        } catch (IllegalAccessException e) {
            throw new IllegalStateException("An open package refused a class: " + name, e);
        }
    }

    private static DoubleClass linked(Class<?> type, Class<?> linked, Class<?> superclass, List<Class<?>> interfaces) {
        MethodTable table = new MethodTable(superclass, interfaces, type.getPackageName());
        LinkedClass.adopt(type, linked, table);
        return new DoubleClass(type, linked, table, new FieldInstances(linked, superclass, interfaces));
    }

    private static DoubleClass inNursery(Class<?> host, Class<?> type, Class<?> superclass, List<Class<?>> interfaces) {
        MethodTable table = new MethodTable(superclass, interfaces, null);
        String name = "dev.zelotype.made." + simpleName(type);
        byte[] code = DoubleClassWriter.write(name, superclass, interfaces, table);
        Class<?> generated = NURSERIES.get(host).define(name, code);
        return new DoubleClass(type, generated, table, new FieldInstances(generated, superclass, interfaces));
    }

    private static String simpleName(Class<?> type) {
        String name = type.getName();
        return name.substring(name.lastIndexOf('.') + 1) + CodeOwner.MARK + NUMBER.incrementAndGet();
    }
}
