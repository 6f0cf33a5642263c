package dev.zelotype.generate.read;

import dev.zelotype.generate.model.Code;
import dev.zelotype.generate.type.TypeName;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.Types;

/**
 * The names of a type's methods in its doubles: readable and unique.
 */
final class MethodNames {

    private static final int LONGEST_TYPES = 40;

    private final Types types;
    private final Set<String> taken = new HashSet<>();

    MethodNames(Types types) {
        this.types = types;
    }

    /** A name of a method that differs from those of its overloads. */
    String nameOf(ExecutableElement method, List<ExecutableElement> overloads) {
        String name = method.getSimpleName().toString();
        return unusedName(overloads.size() > 1 ? name + ofTypes(method, overloads) : name);
    }

    /** Case is ignored, because names of records are derived from these names. */
    private String unusedName(String wanted) {
        String name = wanted;
        for (int i = 2; !taken.add(name.toLowerCase(Locale.ROOT)); i++) {
            name = wanted + i;
        }
        return name;
    }

    /** The javadoc link to a method. */
    String link(ExecutableElement method, boolean overloaded) {
        if (!overloaded) {
            return method.getSimpleName().toString();
        }
        List<String> erased = new ArrayList<>();
        for (VariableElement parameter : method.getParameters()) {
            erased.add(Code.type(TypeName.of(types.erasure(parameter.asType()))));
        }
        return method.getSimpleName() + "(" + String.join(", ", erased) + ")";
    }

    /** The types of the first parameters as part of a name: {@code note(String, int)} becomes {@code OfStringInt}. */
    private String ofTypes(ExecutableElement method, int count) {
        StringBuilder out = new StringBuilder(method.getParameters().isEmpty() ? "WithoutArguments" : "Of");
        for (VariableElement parameter : method.getParameters().subList(0, count)) {
            String simple = simpleName(types.erasure(parameter.asType()));
            out.append(Character.toUpperCase(simple.charAt(0))).append(simple.substring(1));
        }
        return out.toString();
    }

    private static String simpleName(TypeMirror erased) {
        if (erased instanceof ArrayType array) {
            return simpleName(array.getComponentType()) + "Array";
        }
        return erased instanceof DeclaredType declared
                ? declared.asElement().getSimpleName().toString()
                : erased.toString();
    }

    /** As few types as distinguish the method from its overloads; for long lists, the number of the remaining ones. */
    private String ofTypes(ExecutableElement method, List<ExecutableElement> overloads) {
        int all = method.getParameters().size();
        for (int count = Math.min(1, all); count < all; count++) {
            String tried = ofTypes(method, count);
            int kept = count;
            boolean unique = overloads.stream()
                    .filter(other -> other != method && other.getParameters().size() >= kept)
                    .noneMatch(other -> ofTypes(other, kept).equalsIgnoreCase(tried));
            if (unique) {
                return tried;
            }
        }
        String whole = ofTypes(method, all);
        return whole.length() <= LONGEST_TYPES ? whole : ofTypes(method, 1) + "And" + (all - 1) + "More";
    }
}
