package dev.zelotype.generate.model;

import dev.zelotype.generate.type.TypeName;
import java.util.List;

/**
 * A constructor that a double can call with {@code super}.
 *
 * @param typeVariables its own type variables
 * @param parameters its parameters
 * @param exceptions its declared exceptions
 */
public record ConstructorModel(TypeVariables typeVariables, List<Parameter> parameters, List<TypeName> exceptions) {

    /** The constructor of doubles of an interface, which calls nothing. */
    public static final ConstructorModel NONE = new ConstructorModel(TypeVariables.NONE, List.of(), List.of());
}
