package dev.zelotype.generate.model;

import dev.zelotype.generate.type.AnnotationText;
import dev.zelotype.generate.type.TypeName;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;

/**
 * A method of a type to be doubled.
 *
 * @param name its name
 * @param readableName its name, distinguished from its overloads by parameter types
 * @param link a javadoc link to it, without the type
 * @param erased its name and descriptor in class files
 * @param typeVariables its own type variables
 * @param annotations the annotations that a double should repeat
 * @param warnings the compiler warnings caused by overriding it, by name
 * @param returns its return type
 * @param parameters its parameters
 * @param varargs whether the last parameter takes variable arguments
 * @param exceptions its declared exceptions
 * @param access its access
 * @param packageName the package of the declaring type
 * @param isAbstract whether it has no code
 * @param ofClass whether it is declared by a class and not by an interface
 */
public record MethodModel(
        String name,
        String readableName,
        String link,
        String erased,
        TypeVariables typeVariables,
        List<AnnotationText> annotations,
        Set<String> warnings,
        TypeName returns,
        List<Parameter> parameters,
        boolean varargs,
        List<TypeName> exceptions,
        Access access,
        String packageName,
        boolean isAbstract,
        boolean ofClass) {

    /** The access of a method, the widest first. */
    public enum Access {
        PUBLIC,
        PROTECTED,
        PACKAGE;

        public static Access of(Element element) {
            return element.getModifiers().contains(Modifier.PUBLIC)
                    ? PUBLIC
                    : element.getModifiers().contains(Modifier.PROTECTED) ? PROTECTED : PACKAGE;
        }

        /** Whether subclasses in any package can use it. */
        public boolean everywhere() {
            return this != PACKAGE;
        }
    }

    /** Whether every object has it: equals, hashCode, toString. */
    public boolean isOfObject() {
        return erased.equals("equals(Ljava/lang/Object;)Z")
                || erased.equals("hashCode()I")
                || erased.equals("toString()Ljava/lang/String;");
    }

    public boolean isVoid() {
        return returns.equals(TypeName.VOID);
    }

    /** A link to it in javadoc, given the code of its type. */
    public String linkFrom(String type) {
        return "{@link " + type + "#" + link + "}";
    }

    /** The readable name with a capital first letter, for use inside another name. */
    public String capitalName() {
        return Character.toUpperCase(readableName.charAt(0)) + readableName.substring(1);
    }
}
