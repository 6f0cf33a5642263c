package dev.zelotype.generate.model;

import dev.zelotype.generate.type.ClassName;
import dev.zelotype.generate.type.GenericName;
import dev.zelotype.generate.type.TypeName;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A type that a double is to be written for.
 *
 * @param name the type's name
 * @param binaryName its name as class files know it
 * @param typeVariables its type variables, with their bounds
 * @param isInterface whether it is an interface, or else an abstract class
 * @param boundToPackage whether a double must be in the same package
 * @param ofJdk whether it is of a module of the JDK, to whose packages nothing can be added
 * @param isDeprecated whether it should not be used any more
 * @param warnings what compilers warn of where a double of it is written, by their names
 * @param obstacles why its signatures cannot be written down again; mostly none
 * @param nestedNames the simple names of the types in it and in its supertypes
 * @param constructors the constructors that a subclass can call; for an interface, none
 * @param methods the methods that a double may override, in the order of their declaration
 * @param methodNames what these methods are called
 * @param objectMethods those that every class has
 * @param parts by class that a method takes alone, what may be a key of it: methods without parameters, with their types
 * @param asksForFinalizer whether it declares {@code finalize}, which its doubles then must have in public
 */
public record TypeModel(
        ClassName name,
        String binaryName,
        TypeVariables typeVariables,
        boolean isInterface,
        boolean boundToPackage,
        boolean ofJdk,
        boolean isDeprecated,
        Set<String> warnings,
        Set<String> obstacles,
        Set<String> nestedNames,
        List<ConstructorModel> constructors,
        List<MethodModel> methods,
        Set<String> methodNames,
        List<MethodModel> objectMethods,
        Map<String, Map<String, TypeName>> parts,
        boolean asksForFinalizer) {

    /** The type with its own variables as arguments. */
    public TypeName self() {
        return typeVariables.isEmpty() ? name : GenericName.of(name, typeVariables.all());
    }

    /** The method of a value that gives its key, as far as names tell; null if there is none. */
    public @Nullable String partOf(TypeName value, TypeName key) {
        if (value instanceof ClassName known) {
            for (Map.Entry<String, TypeName> each :
                    parts.getOrDefault(known.canonicalName(), Map.of()).entrySet()) {
                if (each.getValue()
                        .withoutAnnotations()
                        .box()
                        .equals(key.withoutAnnotations().box())) {
                    return each.getKey();
                }
            }
        }
        return null;
    }

    /** A type of the double's own that has the same variables, or the double itself. */
    public String withVariables(String own) {
        return own + typeVariables.asArguments();
    }

    /** The default answer of a double: the double itself where its type is returned. */
    public String emptyAnswer(TypeName returned) {
        TypeName raw = returned instanceof GenericName generic ? generic.raw() : returned;
        boolean isSelf = raw instanceof ClassName known && known.isSameAs(name) && returned.equals(self());
        return isSelf ? "this" : EmptyAnswers.of(returned);
    }

    /** A call of the code that the type itself has for a method. */
    public String ownCode(MethodModel method) {
        return isInterface
                ? Code.of("$T.super.$L($L)", name, method.name(), Names.list(method.parameters()))
                : Code.of("super.$L($L)", method.name(), Names.list(method.parameters()));
    }
}
