package dev.zelotype.generate;

import com.palantir.javapoet.ParameterSpec;
import com.palantir.javapoet.TypeName;
import com.palantir.javapoet.TypeVariableName;
import java.util.List;

/**
 * A method of a type that a double is to be written for.
 *
 * @param name its name
 * @param readableName its name, made different from those of its overloads by the types of its parameters
 * @param typeVariables its own type variables
 * @param returns what it returns
 * @param parameters its parameters
 * @param varargs whether the last parameter takes any number of arguments
 * @param exceptions what it declares to throw
 * @param isPublic whether it is public, or else protected or package-private
 * @param isProtected whether it is protected
 * @param isAbstract whether it has no code
 * @param isDeprecated whether it should not be used any more
 */
record MethodModel(
        String name,
        String readableName,
        List<TypeVariableName> typeVariables,
        TypeName returns,
        List<ParameterSpec> parameters,
        boolean varargs,
        List<TypeName> exceptions,
        boolean isPublic,
        boolean isProtected,
        boolean isAbstract,
        boolean isDeprecated) {

    boolean isVoid() {
        return returns.equals(TypeName.VOID);
    }

    /** The readable name with a capital first letter, to go into another name. */
    String capitalName() {
        return Character.toUpperCase(readableName.charAt(0)) + readableName.substring(1);
    }
}
