package dev.zelotype.generate.type;

import java.util.List;
import java.util.Map;

/**
 * A primitive type, or {@code void}.
 *
 * @param keyword the keyword
 * @param annotations its annotations
 */
public record PrimitiveName(String keyword, List<AnnotationText> annotations) implements TypeName {

    private static final Map<String, String> BOXES = Map.of(
            "boolean", "Boolean",
            "byte", "Byte",
            "char", "Character",
            "double", "Double",
            "float", "Float",
            "int", "Integer",
            "long", "Long",
            "short", "Short",
            "void", "Void");

    /** Whether a type is a wrapper class of a primitive type. */
    public static boolean isBox(TypeName type) {
        return type instanceof ClassName named
                && named.packageName().equals("java.lang")
                && BOXES.containsValue(named.nestedName())
                && !named.nestedName().equals("Void");
    }

    @Override
    public PrimitiveName with(List<AnnotationText> others) {
        return new PrimitiveName(keyword, others);
    }

    @Override
    public ClassName box() {
        return new ClassName("java.lang", List.of(BOXES.get(keyword)), annotations);
    }
}
