package dev.zelotype.generate.model;

import dev.zelotype.generate.type.TypeName;
import java.util.List;

/**
 * A constructor that a double can call up to.
 *
 * @param typeVariables its own type variables
 * @param parameters its parameters
 * @param exceptions what it declares to throw
 */
public record ConstructorModel(TypeVariables typeVariables, List<Parameter> parameters, List<TypeName> exceptions) {

    /** What an interface offers to its doubles: nothing to call. */
    public static final ConstructorModel NONE = new ConstructorModel(TypeVariables.NONE, List.of(), List.of());
}
