package dev.zelotype.engine.decide.facts;

import dev.zelotype.engine.calls.Lines;
import dev.zelotype.engine.explain.Columns;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.weave.Initializers;
import dev.zelotype.engine.weave.WovenMethod;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * Classes that were initialized while something was replaced, so that their static fields may keep what a test supposed
 * for all following tests. They are named in the scene where it happened, and in the next failure of another one.
 */
public final class InitializedClasses {

    private static final int MOST = 10;
    private static final Set<String> NOTED = new LinkedHashSet<>();

    private final Set<String> here = new LinkedHashSet<>();

    public synchronized void add(String scene, Initializers.Found found, WovenMethod replaced) {
        String method = replaced.name().equals("<init>")
                ? "new " + Values.typeName(replaced.owner())
                : Values.typeName(replaced.owner()) + "." + replaced.name();
        String what = Values.typeName(found.type()) + " keeps what a test supposed of " + method + "(...)";
        if (here.add(Columns.gap(what, Lines.at(found.frame())))) {
            note(Columns.gap(what + ", since the scene " + scene, Lines.at(found.frame())));
        }
    }

    private static void note(String text) {
        synchronized (NOTED) {
            if (NOTED.size() < MOST) {
                NOTED.add(text);
            }
        }
    }

    /** The classes that were initialized in this scene. */
    public synchronized List<String> here() {
        return List.copyOf(here);
    }

    /** Those of this scene, and those of others that no failure has reported yet. */
    public List<String> all() {
        synchronized (NOTED) {
            List<String> all = new ArrayList<>(here().isEmpty() ? NOTED : here());
            NOTED.clear();
            return all;
        }
    }
}
