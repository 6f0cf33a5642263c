package dev.zelotype.generate;

import dev.zelotype.generate.model.TypeModel;

/**
 * The name and the package of a double as source.
 */
final class DoubleName {

    private DoubleName() {}

    /** The name of a double. It includes the names of enclosing types, so that each name is used only once. */
    static String of(TypeModel type, Style style) {
        return style == Style.LINKED
                ? type.binaryName().substring(type.binaryName().lastIndexOf('.') + 1) + style.suffix()
                : String.join("", type.name().simpleNames()) + style.suffix();
    }

    /** The requested package of a double; the package of its type if none was requested. */
    static String packageOf(TypeModel type, Style style, String asked) {
        return asked.isEmpty() || style == Style.LINKED ? type.name().packageName() : asked;
    }

    /** The reason why no double of a style can be written in a package; empty if one can. */
    static String obstacle(TypeModel type, Style style, String target) {
        if (type.boundToPackage() && !target.equals(type.name().packageName())) {
            return "can only be doubled in its own package";
        } else if (style == Style.LINKED && type.ofJdk()) {
            return "cannot be linked: nothing can be added to its package";
        } else if (style == Style.LINKED && type.hidesMethods()) {
            return "cannot be linked: it has an abstract method that Java code can neither see nor write";
        }
        return "";
    }
}
