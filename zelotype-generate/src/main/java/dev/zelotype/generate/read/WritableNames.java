package dev.zelotype.generate.read;

import java.util.HashMap;
import java.util.Map;
import javax.lang.model.SourceVersion;
import javax.lang.model.element.Name;

/**
 * Names that Java source can hold: compilers of other languages write others. The same few come again and again, so each is
 * read one time.
 */
final class WritableNames {

    private final Map<Name, Boolean> known = new HashMap<>();

    boolean contains(Name name) {
        return known.computeIfAbsent(name, SourceVersion::isName);
    }
}
