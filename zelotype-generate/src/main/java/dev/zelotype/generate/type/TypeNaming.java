package dev.zelotype.generate.type;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.type.TypeVariable;
import javax.lang.model.type.WildcardType;

/**
 * Names a type of the compiler and all of its parts.
 */
final class TypeNaming {

    /** Variables named so far: the bound of a variable may refer to the variable. */
    private final Map<Element, VariableName> variables = new HashMap<>();

    TypeName of(TypeMirror type) {
        if (type instanceof ArrayType array) {
            return ArrayName.of(of(array.getComponentType()));
        } else if (type instanceof WildcardType wildcard) {
            return wildcard(wildcard);
        } else if (type instanceof TypeVariable variable) {
            return variable((TypeParameterElement) variable.asElement());
        } else if (type instanceof DeclaredType declared) {
            return declared(declared);
        }
        return new PrimitiveName(keyword(type), List.of());
    }

    private TypeName wildcard(WildcardType type) {
        if (type.getSuperBound() != null) {
            return WildcardName.supertypeOf(of(type.getSuperBound()));
        }
        return type.getExtendsBound() == null ? WildcardName.ANY : WildcardName.subtypeOf(of(type.getExtendsBound()));
    }

    VariableName variable(TypeParameterElement parameter) {
        VariableName known = variables.get(parameter);
        if (known != null) {
            return known;
        }
        VariableName variable = VariableName.of(parameter.getSimpleName().toString());
        variables.put(parameter, variable);
        for (TypeMirror bound : parameter.getBounds()) {
            variable.addBound(of(bound));
        }
        return variable;
    }

    private TypeName declared(DeclaredType type) {
        ClassName raw = ClassName.of((TypeElement) type.asElement());
        // Compilers of other languages do not mark nested interfaces as static.
        boolean isInner = !type.asElement().getModifiers().contains(Modifier.STATIC)
                && !type.asElement().getKind().isInterface();
        GenericName enclosing = isInner
                        && type.getEnclosingType() instanceof DeclaredType around
                        && declared(around) instanceof GenericName generic
                ? generic
                : null;
        if (enclosing == null && type.getTypeArguments().isEmpty()) {
            return raw;
        }
        List<TypeName> arguments = new ArrayList<>();
        for (TypeMirror each : type.getTypeArguments()) {
            arguments.add(of(each));
        }
        return new GenericName(enclosing, raw, List.copyOf(arguments), List.of());
    }

    /** The keyword of a primitive type or void. The compiler's text may start with annotations. */
    private static String keyword(TypeMirror type) {
        return type.getKind().name().toLowerCase(Locale.ROOT);
    }
}
