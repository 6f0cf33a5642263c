package dev.zelotype.generate.model;

import dev.zelotype.generate.type.ClassName;
import dev.zelotype.generate.type.GenericName;
import dev.zelotype.generate.type.TypeName;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A type to be doubled.
 *
 * @param name the type's name
 * @param binaryName its name in class files
 * @param typeVariables its type variables, with their bounds
 * @param isInterface whether it is an interface; otherwise it is an abstract class
 * @param boundToPackage whether a double must be in the same package
 * @param ofJdk whether it belongs to a JDK module, whose packages cannot be extended
 * @param hidesMethods whether it has an abstract method that Java code can neither see nor write
 * @param isDeprecated whether it is deprecated
 * @param warnings the compiler warnings caused by writing a double of it, by name
 * @param obstacles why its signatures cannot be repeated in source; usually empty
 * @param nestedNames the simple names of its nested types, including inherited ones
 * @param constructors the constructors that a subclass can call; none for an interface
 * @param methods the methods that a double may override, in declaration order
 * @param methodNames the names of these methods
 * @param objectMethods the methods that every object has
 * @param parts for each class that is the only parameter of some method: possible keys, as methods without parameters
 *     and their types
 * @param unmarked the annotation that takes code out of the null checks that apply to the type; null if none apply
 * @param asksForFinalizer whether it declares {@code finalize}, which its doubles must then declare as public
 */
public record TypeModel(
        ClassName name,
        String binaryName,
        TypeVariables typeVariables,
        boolean isInterface,
        boolean boundToPackage,
        boolean ofJdk,
        boolean hidesMethods,
        boolean isDeprecated,
        Set<String> warnings,
        Set<String> obstacles,
        Set<String> nestedNames,
        List<ConstructorModel> constructors,
        List<MethodModel> methods,
        Set<String> methodNames,
        List<MethodModel> objectMethods,
        Map<String, Map<String, TypeName>> parts,
        @Nullable ClassName unmarked,
        boolean asksForFinalizer) {

    /** The type with its own variables as arguments. */
    public TypeName self() {
        return typeVariables.isEmpty() ? name : GenericName.of(name, typeVariables.all());
    }

    /** The method of a value that returns its key, guessed by name; null if there is none. */
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

    /** A nested type of the double with the same type variables, or the double itself. */
    public String withVariables(String own) {
        return own + typeVariables.asArguments();
    }

    /** The default answer of a double: the double itself if its type is returned. */
    public String emptyAnswer(TypeName returned) {
        TypeName raw = returned instanceof GenericName generic ? generic.raw() : returned;
        boolean isSelf = raw instanceof ClassName known && known.isSameAs(name) && returned.equals(self());
        return isSelf ? "this" : EmptyAnswers.of(returned);
    }

    /** A call of the type's own code for a method. */
    public String ownCode(MethodModel method) {
        return isInterface
                ? Code.of("$T.super.$L($L)", name, method.name(), Names.list(method.parameters()))
                : Code.of("super.$L($L)", method.name(), Names.list(method.parameters()));
    }
}
