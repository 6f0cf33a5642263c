package dev.zelotype.engine.weave;

import java.lang.reflect.Executable;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.Set;

/**
 * The static methods and constructors whose call sites are woven. A class file may name a subclass of the class that
 * declares a static method, so calls are found by name and descriptor, and resolved when they are linked. Immutable.
 */
final class Sites {

    static final Sites NONE = new Sites(Set.of(), Set.of());

    private final Set<Site> all;
    /** Names and descriptors of static methods of classes, without those of interfaces, which are not inherited. */
    private final Set<String> inherited;
    /** The numbers of {@link Site#key()}. */
    private final Set<Integer> keys = new HashSet<>();

    private Sites(Set<Site> all, Set<String> inherited) {
        this.all = all;
        this.inherited = inherited;
        for (Site each : all) {
            keys.add(each.key());
        }
    }

    static Sites of(Collection<? extends Executable> executables) {
        Set<Site> all = new HashSet<>();
        Set<String> inherited = new HashSet<>();
        for (Executable each : executables) {
            Site site = Site.of(each);
            all.add(site);
            if (!site.isConstructor() && !each.getDeclaringClass().isInterface()) {
                inherited.add(site.name() + site.descriptor());
            }
        }
        return new Sites(all, inherited);
    }

    boolean isEmpty() {
        return all.isEmpty();
    }

    boolean contains(Executable resolved) {
        return all.contains(Site.of(resolved));
    }

    /** These and some more. */
    Sites and(Sites more) {
        Set<Site> both = new HashSet<>(all);
        both.addAll(more.all);
        Set<String> bothInherited = new HashSet<>(inherited);
        bothInherited.addAll(more.inherited);
        return new Sites(both, bothInherited);
    }

    /** Whether any of them is among some others. */
    boolean meets(Sites others) {
        return !Collections.disjoint(all, others.all);
    }

    /** Whether a class that names methods with these numbers may call one of them. */
    boolean anyIn(Set<Integer> named) {
        for (Integer key : keys) {
            if (named.contains(key)) {
                return true;
            }
        }
        return false;
    }

    /** Whether the JVM may resolve the method of a call to one of them. */
    boolean mayMean(String owner, String name, String descriptor, boolean ofInterface) {
        return !ofInterface && inherited.contains(name + descriptor) || all.contains(new Site(owner, name, descriptor));
    }
}
