package dev.zelotype.generate;

import com.palantir.javapoet.ClassName;
import com.palantir.javapoet.ParameterSpec;
import com.palantir.javapoet.TypeName;
import com.palantir.javapoet.TypeVariableName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.ExecutableType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import javax.lang.model.util.Elements;
import javax.lang.model.util.Types;

/**
 * Turns what the compiler knows of a type into a model. The same for source files, class files and annotation processing.
 */
final class ModelReader {

    private final Elements elements;
    private final Types types;

    ModelReader(Elements elements, Types types) {
        this.elements = elements;
        this.types = types;
    }

    /** Why a type cannot be written a double for; empty if it can. */
    static String obstacle(TypeElement type) {
        if (!isDoublableKind(type)) {
            return "is neither an interface nor an abstract class";
        }
        if (type.getModifiers().contains(Modifier.SEALED)) {
            return "is sealed";
        }
        for (Element e = type; e instanceof TypeElement; e = e.getEnclosingElement()) {
            if (e.getModifiers().contains(Modifier.PRIVATE)) {
                return "is private";
            }
        }
        return "";
    }

    /** Whether a type is an interface or an abstract class. */
    static boolean isDoublableKind(TypeElement type) {
        return type.getKind() == ElementKind.INTERFACE
                || type.getKind() == ElementKind.CLASS && type.getModifiers().contains(Modifier.ABSTRACT);
    }

    TypeModel read(TypeElement type) {
        List<MethodModel> methods = new ArrayList<>();
        List<ExecutableElement> found = new ArrayList<>();
        for (ExecutableElement method : ElementFilter.methodsIn(elements.getAllMembers(type))) {
            if (isOverridable(method)) {
                found.add(method);
            }
        }
        Map<String, Integer> overloads = new HashMap<>();
        found.forEach(method -> overloads.merge(method.getSimpleName().toString(), 1, Integer::sum));
        for (ExecutableElement method : found) {
            methods.add(
                    method(type, method, overloads.get(method.getSimpleName().toString()) > 1));
        }
        List<TypeVariableName> variables = new ArrayList<>();
        for (TypeParameterElement parameter : type.getTypeParameters()) {
            variables.add(TypeVariableName.get(parameter));
        }
        return new TypeModel(
                ClassName.get(type), variables, type.getKind() == ElementKind.INTERFACE, constructors(type), methods);
    }

    private static boolean isOverridable(ExecutableElement method) {
        boolean ofObject = method.getEnclosingElement().toString().equals("java.lang.Object");
        return !ofObject
                && !isObjectMethod(method)
                && !method.getModifiers().contains(Modifier.STATIC)
                && !method.getModifiers().contains(Modifier.FINAL)
                && !method.getModifiers().contains(Modifier.PRIVATE);
    }

    /** Interfaces such as {@code Comparator} declare {@code equals} again; every class has it. */
    private static boolean isObjectMethod(ExecutableElement method) {
        String name = method.getSimpleName().toString();
        return switch (name) {
            case "toString", "hashCode" -> method.getParameters().isEmpty();
            case "equals" ->
                method.getParameters().size() == 1
                        && method.getParameters().get(0).asType().toString().equals("java.lang.Object");
            default -> false;
        };
    }

    private List<List<ParameterSpec>> constructors(TypeElement type) {
        List<List<ParameterSpec>> constructors = new ArrayList<>();
        for (ExecutableElement constructor : ElementFilter.constructorsIn(type.getEnclosedElements())) {
            if (!constructor.getModifiers().contains(Modifier.PRIVATE)) {
                constructors.add(parameters(constructor, ((ExecutableType) constructor.asType()).getParameterTypes()));
            }
        }
        return constructors;
    }

    private static List<ParameterSpec> parameters(ExecutableElement method, List<? extends TypeMirror> actual) {
        List<ParameterSpec> parameters = new ArrayList<>();
        for (int i = 0; i < actual.size(); i++) {
            VariableElement parameter = method.getParameters().get(i);
            parameters.add(ParameterSpec.builder(
                            TypeName.get(actual.get(i)),
                            parameter.getSimpleName().toString())
                    .build());
        }
        return parameters;
    }

    private MethodModel method(TypeElement type, ExecutableElement method, boolean overloaded) {
        ExecutableType actual = (ExecutableType) types.asMemberOf((DeclaredType) type.asType(), method);
        List<TypeVariableName> variables = new ArrayList<>();
        for (TypeParameterElement parameter : method.getTypeParameters()) {
            variables.add(TypeVariableName.get(parameter));
        }
        List<TypeName> exceptions = new ArrayList<>();
        actual.getThrownTypes().forEach(thrown -> exceptions.add(TypeName.get(thrown)));
        String name = method.getSimpleName().toString();
        return new MethodModel(
                name,
                overloaded ? name + ofTypes(method) : name,
                variables,
                TypeName.get(actual.getReturnType()),
                parameters(method, actual.getParameterTypes()),
                method.isVarArgs(),
                exceptions,
                method.getModifiers().contains(Modifier.PUBLIC),
                method.getModifiers().contains(Modifier.PROTECTED),
                method.getModifiers().contains(Modifier.ABSTRACT),
                elements.isDeprecated(method));
    }

    /** The types of the parameters as part of a name: {@code note(String, int)} gives {@code OfStringInt}. */
    private String ofTypes(ExecutableElement method) {
        StringBuilder out = new StringBuilder(method.getParameters().isEmpty() ? "WithoutArguments" : "Of");
        for (VariableElement parameter : method.getParameters()) {
            String erased = types.erasure(parameter.asType()).toString().replace("[]", "Array");
            String simple = erased.substring(erased.lastIndexOf('.') + 1);
            out.append(Character.toUpperCase(simple.charAt(0))).append(simple.substring(1));
        }
        return out.toString();
    }
}
