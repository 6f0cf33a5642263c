package dev.zelotype.generate.model;

import dev.zelotype.generate.type.AnnotationText;
import dev.zelotype.generate.type.TypeName;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;

/**
 * A method of a type that a double is to be written for.
 *
 * @param name its name
 * @param readableName its name, made different from those of its overloads by the types of its parameters
 * @param link how javadoc refers to it, without the type before it
 * @param erased its name and the descriptor that class files know it by
 * @param typeVariables its own type variables
 * @param annotations what it is marked with that a double should be marked with as well
 * @param warnings what compilers warn of when it is overridden, by their names
 * @param returns what it returns
 * @param parameters its parameters
 * @param varargs whether the last parameter takes any number of arguments
 * @param exceptions what it declares to throw
 * @param access who may call it
 * @param packageName the package of the type that declares it
 * @param isAbstract whether it has no code
 * @param ofClass whether a class, and not an interface, declares it
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

    /** Who may call a method, the widest first. */
    public enum Access {
        PUBLIC,
        PROTECTED,
        PACKAGE;

        public static Access of(Element element) {
            return element.getModifiers().contains(Modifier.PUBLIC)
                    ? PUBLIC
                    : element.getModifiers().contains(Modifier.PROTECTED) ? PROTECTED : PACKAGE;
        }

        /** Whether a subclass in any package can use it. */
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

    /** The readable name with a capital first letter, to go into another name. */
    public String capitalName() {
        return Character.toUpperCase(readableName.charAt(0)) + readableName.substring(1);
    }
}
