package dev.zelotype.generate;

import dev.zelotype.generate.model.TypeModel;

/**
 * What a double as source is called, and where it can stand.
 */
final class DoubleName {

    private DoubleName() {}

    /** What a double is called: the names of the types around it, too, so that none is taken twice. */
    static String of(TypeModel type, Style style) {
        return style == Style.LINKED
                ? type.binaryName().substring(type.binaryName().lastIndexOf('.') + 1) + style.suffix()
                : String.join("", type.name().simpleNames()) + style.suffix();
    }

    /** The package in which a double is written if one is asked for, else that of the type. */
    static String packageOf(TypeModel type, Style style, String asked) {
        return asked.isEmpty() || style == Style.LINKED ? type.name().packageName() : asked;
    }

    /** Why no double of a style can be written in a package; empty if one can. */
    static String obstacle(TypeModel type, Style style, String target) {
        if (type.boundToPackage() && !target.equals(type.name().packageName())) {
            return "can only be doubled in its own package";
        } else if (style == Style.LINKED && type.ofJdk()) {
            return "cannot be linked: nothing can be added to its package";
        }
        return "";
    }
}
