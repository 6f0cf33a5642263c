package dev.zelotype.generate;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.PackageElement;
import javax.lang.model.util.Elements;

/**
 * Names that are taken, and names that are not taken yet.
 */
final class Names {

    private Names() {}

    /** The simple names of a package's types. */
    static Set<String> ofTypes(Elements elements, String packageName) {
        Set<String> names = new HashSet<>();
        for (PackageElement each : elements.getAllPackageElements(packageName)) {
            each.getEnclosedElements()
                    .forEach(type -> names.add(type.getSimpleName().toString()));
        }
        return names;
    }

    /** A name for something that no method of the type is called. */
    static String unusedBy(TypeModel type, String wanted) {
        String name = wanted;
        boolean taken = true;
        while (taken) {
            String tried = name;
            taken = type.methods().stream().anyMatch(method -> method.name().equals(tried));
            name = taken ? name + "Now" : name;
        }
        return name;
    }

    /** A name for something beside parameters. */
    static String unusedBy(List<Parameter> parameters, String wanted) {
        String name = wanted;
        boolean taken = true;
        while (taken) {
            String tried = name;
            taken = parameters.stream().anyMatch(parameter -> parameter.name().equals(tried));
            name = taken ? name + "One" : name;
        }
        return name;
    }

    static String list(List<Parameter> parameters) {
        List<String> names = new ArrayList<>();
        parameters.forEach(parameter -> names.add(parameter.name()));
        return String.join(", ", names);
    }

    /** A field, told apart from a parameter of the same name. */
    static String ofThis(MethodModel method, String field) {
        return method.parameters().stream()
                        .anyMatch(parameter -> parameter.name().equals(field))
                ? "this." + field
                : field;
    }
}
