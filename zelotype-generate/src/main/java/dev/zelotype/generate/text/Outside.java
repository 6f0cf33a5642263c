package dev.zelotype.generate.text;

import com.palantir.javapoet.ArrayTypeName;
import com.palantir.javapoet.ClassName;
import com.palantir.javapoet.ParameterizedTypeName;
import com.palantir.javapoet.TypeName;
import com.palantir.javapoet.TypeVariableName;
import com.palantir.javapoet.WildcardTypeName;
import dev.zelotype.generate.model.Parameter;
import dev.zelotype.generate.model.TypeVariables;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Types of a generic method as they can be said outside it, where its own type variables mean nothing: each becomes what
 * fits whatever it stands for. {@code Map<K, List<K>>} becomes {@code Map<?, ? extends List<?>>}.
 */
public final class Outside {

    /** By name, with the bounds that they have where the method is a member. */
    private final Map<String, TypeVariableName> variables = new HashMap<>();

    private final Set<String> expanding = new HashSet<>();

    /** What is outside some type variables. */
    public Outside(TypeVariables variables) {
        for (TypeVariableName variable : variables.all()) {
            this.variables.put(variable.name(), variable);
        }
    }

    /** Whether one of the variables stands somewhere in one of the types. */
    public boolean mentionedIn(List<Parameter> parameters) {
        for (Parameter each : parameters) {
            if (isMentionedIn(each.type())) {
                return true;
            }
        }
        return false;
    }

    /** Whether one of the variables stands somewhere in a type. */
    public boolean isMentionedIn(TypeName type) {
        return !variables.isEmpty() && mentions(type);
    }

    private boolean mentions(TypeName type) {
        if (type instanceof TypeVariableName variable) {
            return variables.containsKey(variable.name());
        } else if (type instanceof ArrayTypeName array) {
            return mentions(array.componentType());
        } else if (type instanceof WildcardTypeName wildcard) {
            return mentions(wildcard.upperBounds()) || mentions(wildcard.lowerBounds());
        }
        return type instanceof ParameterizedTypeName parameterized && mentions(parameterized.typeArguments());
    }

    private boolean mentions(List<TypeName> types) {
        for (TypeName each : types) {
            if (mentions(each)) {
                return true;
            }
        }
        return false;
    }

    /** A type that holds all that the given one may hold. */
    public TypeName above(TypeName type) {
        if (!isMentionedIn(type)) {
            return type;
        } else if (type instanceof TypeVariableName variable) {
            return aboveBound(variable);
        } else if (type instanceof ArrayTypeName array) {
            return ArrayTypeName.of(above(array.componentType()));
        } else if (type instanceof ParameterizedTypeName parameterized) {
            TypeName[] arguments =
                    parameterized.typeArguments().stream().map(this::argument).toArray(TypeName[]::new);
            return ParameterizedTypeName.get(parameterized.rawType(), arguments);
        }
        return type;
    }

    /** Its first bound; what refers to itself, as in {@code T extends Comparable<T>}, ends there. */
    private TypeName aboveBound(TypeVariableName named) {
        TypeVariableName variable = variables.get(named.name());
        if (variable == null || variable.bounds().isEmpty() || !expanding.add(named.name())) {
            return ClassName.OBJECT;
        }
        TypeName bound = variable.bounds().get(0);
        TypeName found = above(bound);
        expanding.remove(named.name());
        return found;
    }

    private TypeName argument(TypeName argument) {
        if (!mentions(argument)) {
            return argument;
        }
        TypeName bound = argument;
        if (argument instanceof WildcardTypeName wildcard) {
            if (!wildcard.lowerBounds().isEmpty()) {
                return any();
            }
            bound = wildcard.upperBounds().get(0);
        }
        TypeName above = above(bound);
        // What refers to itself ends there.
        return above.equals(ClassName.OBJECT) ? any() : WildcardTypeName.subtypeOf(above);
    }

    private static TypeName any() {
        return WildcardTypeName.subtypeOf(Object.class);
    }
}
