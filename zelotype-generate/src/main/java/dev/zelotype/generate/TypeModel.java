package dev.zelotype.generate;

import com.palantir.javapoet.ClassName;
import com.palantir.javapoet.ParameterSpec;
import com.palantir.javapoet.ParameterizedTypeName;
import com.palantir.javapoet.TypeName;
import com.palantir.javapoet.TypeVariableName;
import java.util.List;

/**
 * A type that a double is to be written for.
 *
 * @param name the type's name
 * @param typeVariables its type variables, with their bounds
 * @param isInterface whether it is an interface, or else an abstract class
 * @param constructors the parameters of each constructor that a subclass can call; for an interface, none
 * @param methods the methods that a double may override, in the order of their declaration
 */
record TypeModel(
        ClassName name,
        List<TypeVariableName> typeVariables,
        boolean isInterface,
        List<List<ParameterSpec>> constructors,
        List<MethodModel> methods) {

    /** The type with its own variables as arguments. */
    TypeName self() {
        return typeVariables.isEmpty() ? name : ParameterizedTypeName.get(name, typeVariables.toArray(new TypeName[0]));
    }

    /** What a double is called: the names of the types around it, too, so that none is taken twice. */
    String doubleName(Style style) {
        return String.join("", name.simpleNames()) + style.suffix();
    }
}
