package dev.zelotype.generate.read;

import java.util.HashMap;
import java.util.Map;
import javax.lang.model.SourceVersion;
import javax.lang.model.element.Name;

/**
 * Names that are valid in Java source; compilers of other languages produce others. The same names are used often, so
 * each is checked only once.
 */
final class WritableNames {

    private final Map<Name, Boolean> known = new HashMap<>();

    boolean contains(Name name) {
        return known.computeIfAbsent(name, SourceVersion::isName);
    }
}
