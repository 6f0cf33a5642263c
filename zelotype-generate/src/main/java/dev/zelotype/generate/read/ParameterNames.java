package dev.zelotype.generate.read;

import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;

/**
 * The names of parameters. Class files usually lack them: then they are taken from a sources jar in the same folder, or
 * else numbered.
 */
public final class ParameterNames {

    private static final List<String> COUNTED =
            List.of("first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth", "tenth");

    private final SourceJars sources;
    private final WritableNames writableNames = new WritableNames();
    private int unknown;

    public ParameterNames(SourceJars sources) {
        this.sources = sources;
    }

    /** How many methods without parameter names were found. */
    public int unknown() {
        return unknown;
    }

    public List<String> of(ExecutableElement method) {
        List<String> names = new ArrayList<>();
        boolean known = false;
        boolean writable = true;
        for (VariableElement parameter : method.getParameters()) {
            names.add(parameter.getSimpleName().toString());
            known |= !parameter.getSimpleName().contentEquals("arg" + (names.size() - 1));
            writable &= writableNames.contains(parameter.getSimpleName());
        }
        if (known && writable || names.isEmpty()) {
            return names;
        }
        List<String> written = sources.parameters((TypeElement) method.getEnclosingElement(), method);
        if (!written.isEmpty()) {
            return written;
        }
        unknown++;
        List<String> counted = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            counted.add(i < COUNTED.size() ? COUNTED.get(i) : "argument" + (i + 1));
        }
        return counted;
    }
}
