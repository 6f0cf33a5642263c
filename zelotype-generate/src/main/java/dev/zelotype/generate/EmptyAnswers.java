package dev.zelotype.generate;

import com.palantir.javapoet.ArrayTypeName;
import com.palantir.javapoet.ClassName;
import com.palantir.javapoet.CodeBlock;
import com.palantir.javapoet.ParameterizedTypeName;
import com.palantir.javapoet.TypeName;
import com.palantir.javapoet.TypeVariableName;
import java.util.Map;

/**
 * What a written double answers if nobody says otherwise: something empty of the right type, else {@code null}.
 */
final class EmptyAnswers {

    private static final Map<String, String> NEW = Map.ofEntries(
            Map.entry("java.util.List", "java.util.ArrayList"),
            Map.entry("java.util.Collection", "java.util.ArrayList"),
            Map.entry("java.lang.Iterable", "java.util.ArrayList"),
            Map.entry("java.util.Set", "java.util.LinkedHashSet"),
            Map.entry("java.util.Map", "java.util.LinkedHashMap"),
            Map.entry("java.util.SortedSet", "java.util.TreeSet"),
            Map.entry("java.util.SortedMap", "java.util.TreeMap"),
            Map.entry("java.util.Queue", "java.util.ArrayDeque"),
            Map.entry("java.util.Deque", "java.util.ArrayDeque"));

    private EmptyAnswers() {}

    static CodeBlock of(TypeName type) {
        if (type.isPrimitive()) {
            return CodeBlock.of(type.equals(TypeName.BOOLEAN) ? "false" : type.equals(TypeName.CHAR) ? "'\\0'" : "0");
        } else if (type instanceof ArrayTypeName array) {
            return arrayOf(array);
        }
        TypeName raw = type instanceof ParameterizedTypeName parameterized ? parameterized.rawType() : type;
        String name = raw instanceof ClassName known ? known.canonicalName() : "";
        if (name.equals("java.lang.String") || name.equals("java.lang.CharSequence")) {
            return CodeBlock.of("$S", "");
        } else if (name.startsWith("java.util.Optional") || name.equals("java.util.stream.Stream")) {
            return CodeBlock.of("$T.empty()", raw);
        } else if (NEW.containsKey(name)) {
            return CodeBlock.of(raw == type ? "new $T()" : "new $T<>()", ClassName.bestGuess(NEW.get(name)));
        } else if (type.isBoxedPrimitive()) {
            return CodeBlock.of(boxed(type.unbox()));
        }
        return CodeBlock.of("null");
    }

    /** A zero that becomes the right box without being told to. */
    private static String boxed(TypeName primitive) {
        if (primitive.equals(TypeName.LONG)) {
            return "0L";
        } else if (primitive.equals(TypeName.DOUBLE)) {
            return "0.0";
        } else if (primitive.equals(TypeName.FLOAT)) {
            return "0f";
        } else if (primitive.equals(TypeName.SHORT) || primitive.equals(TypeName.BYTE)) {
            return "(" + primitive + ") 0";
        }
        return of(primitive).toString();
    }

    private static CodeBlock arrayOf(ArrayTypeName array) {
        TypeName element = array.componentType();
        int dimensions = 1;
        while (element instanceof ArrayTypeName inner) {
            element = inner.componentType();
            dimensions++;
        }
        if (element instanceof ParameterizedTypeName || element instanceof TypeVariableName) {
            return CodeBlock.of("null");
        }
        return CodeBlock.of("new $T[0]$L", element, "[]".repeat(dimensions - 1));
    }
}
