package dev.zelotype.generate.model;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.PackageElement;
import javax.lang.model.util.Elements;

/**
 * Names that are in use, and names that are free.
 */
public final class Names {

    private Names() {}

    /** The simple names of the types in a package. */
    public static Set<String> ofTypes(Elements elements, String packageName) {
        Set<String> names = new HashSet<>();
        for (PackageElement each : elements.getAllPackageElements(packageName)) {
            each.getEnclosedElements()
                    .forEach(type -> names.add(type.getSimpleName().toString()));
        }
        return names;
    }

    /** A name that no method of the type has. */
    public static String unusedBy(TypeModel type, String wanted) {
        String name = wanted;
        while (type.methodNames().contains(name)) {
            name += "Now";
        }
        return name;
    }

    /** A name that no parameter has. */
    public static String unusedBy(List<Parameter> parameters, String wanted) {
        String name = wanted;
        while (isOneOf(parameters, name)) {
            name += "One";
        }
        return name;
    }

    private static boolean isOneOf(List<Parameter> parameters, String name) {
        for (Parameter each : parameters) {
            if (each.name().equals(name)) {
                return true;
            }
        }
        return false;
    }

    public static String list(List<Parameter> parameters) {
        List<String> names = new ArrayList<>();
        for (Parameter each : parameters) {
            names.add(each.name());
        }
        return String.join(", ", names);
    }

    /** A field, qualified if a parameter has the same name. */
    public static String ofThis(MethodModel method, String field) {
        return isOneOf(method.parameters(), field) ? "this." + field : field;
    }
}
