package dev.zelotype.generate.read;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.ExecutableType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import javax.lang.model.util.Elements;
import javax.lang.model.util.Types;

/**
 * Finds the methods that a double of a type may override, each once, no matter how many supertypes declare it.
 */
final class MethodFinder {

    private final Elements elements;
    private final Types types;
    private final Bridges bridges;
    /** Inherited members are read only once. */
    private final Map<ExecutableElement, String> keysOfObject = new LinkedHashMap<>();

    private final Map<Element, String> descriptors = new HashMap<>();
    /** For the current type, by method: the name and the parameter types in class files. */
    private final Map<ExecutableElement, String> erasedParameters = new HashMap<>();

    private final WritableNames writable;

    MethodFinder(Elements elements, Types types, Bridges bridges, WritableNames writable) {
        this.bridges = bridges;
        this.writable = writable;
        this.elements = elements;
        this.types = types;
        TypeElement object = elements.getTypeElement("java.lang.Object");
        for (ExecutableElement method : ElementFilter.methodsIn(object.getEnclosedElements())) {
            keysOfObject.put(method, key(object, method));
        }
    }

    /**
     * A method, and equivalent declarations in other supertypes.
     *
     * @param method the method that a double overrides
     * @param others its declarations in other supertypes
     */
    record Found(ExecutableElement method, List<ExecutableElement> others) {}

    /**
     * The methods of a type.
     *
     * @param own the members of the type and its supertypes
     * @param ofObject the methods that every object has
     */
    record Methods(List<Found> own, List<Found> ofObject) {}

    /** Whether a method is declared by {@code Object} only. */
    boolean isOfObject(Found found) {
        return found.others().isEmpty() && keysOfObject.containsKey(found.method());
    }

    /** Finds the methods among all members of the type. */
    Methods find(TypeElement type, List<? extends Element> members) {
        erasedParameters.clear();
        Map<String, Found> own = new LinkedHashMap<>();
        Map<String, Found> ofObject = new LinkedHashMap<>();
        List<ExecutableElement> all = ElementFilter.methodsIn(members);
        Set<String> fixed = new HashSet<>();
        for (ExecutableElement method : all) {
            if (method.getModifiers().contains(Modifier.FINAL)) {
                fixed.add(key(type, method));
            }
        }
        for (ExecutableElement method : all) {
            if (isOverridable(method)) {
                String key = key(type, method);
                // An interface may declare again what a superclass has made final.
                if (!fixed.contains(key)) {
                    add(isObjectMethod(method) && !isLeftToSubclasses(method) ? ofObject : own, key, type, method);
                }
            }
        }
        if (type.getKind() == ElementKind.INTERFACE) {
            // Its doubles are classes anyway, and have what interfaces do not declare: clone.
            for (ExecutableElement method : keysOfObject.keySet()) {
                if (isOverridable(method) && isObjectMethod(method)) {
                    ofObject.putIfAbsent(key(type, method), new Found(method, List.of()));
                }
            }
        }
        ofObject.keySet().removeAll(own.keySet());
        return new Methods(List.copyOf(own.values()), List.copyOf(ofObject.values()));
    }

    private boolean isOverridable(ExecutableElement method) {
        Set<Modifier> modifiers = method.getModifiers();
        return !modifiers.contains(Modifier.STATIC)
                && !modifiers.contains(Modifier.FINAL)
                && !modifiers.contains(Modifier.PRIVATE)
                && !isBridge(method)
                && (modifiers.contains(Modifier.ABSTRACT) || writable.contains(method.getSimpleName()))
                && !isFinalizer(method);
    }

    /** The garbage collector calls it, never a subject. */
    static boolean isFinalizer(ExecutableElement method) {
        return method.getSimpleName().contentEquals("finalize")
                && method.getParameters().isEmpty();
    }

    boolean isBridge(ExecutableElement method) {
        return !method.getModifiers().contains(Modifier.ABSTRACT)
                && method.getEnclosingElement() instanceof TypeElement owner
                && bridges.mayBeIn(owner)
                && bridges.has(
                        elements.getBinaryName(owner).toString(),
                        method.getSimpleName().toString(),
                        method.getParameters().size());
    }

    /** Methods of Object, even if an interface such as {@code Comparator} declares them again. */
    static boolean isObjectMethod(ExecutableElement method) {
        String name = method.getSimpleName().toString();
        return switch (name) {
            case "toString", "hashCode" -> method.getParameters().isEmpty();
            case "clone" -> method.getEnclosingElement().toString().equals("java.lang.Object");
            case "equals" ->
                method.getParameters().size() == 1
                        && method.getParameters().get(0).asType().toString().equals("java.lang.Object");
            default -> false;
        };
    }

    /** A class can require each subclass to implement even {@code hashCode}. */
    private static boolean isLeftToSubclasses(ExecutableElement method) {
        return method.getModifiers().contains(Modifier.ABSTRACT)
                && method.getEnclosingElement().getKind() == ElementKind.CLASS;
    }

    /** Adds a method, or merges it with an equivalent one from another supertype. */
    private void add(Map<String, Found> found, String key, TypeElement type, ExecutableElement method) {
        Found known = found.get(key);
        if (known == null) {
            found.put(key, new Found(method, List.of()));
            return;
        }
        boolean narrower = replaces(type, method, known.method());
        List<ExecutableElement> others = new ArrayList<>(known.others());
        others.add(narrower ? known.method() : method);
        found.put(key, new Found(narrower ? method : known.method(), others));
    }

    /** Whether overriding one method overrides the other, but not the other way round. */
    private boolean replaces(TypeElement type, ExecutableElement method, ExecutableElement known) {
        boolean overridesKnown = types.isSubsignature(member(type, method), member(type, known));
        boolean knownOverrides = types.isSubsignature(member(type, known), member(type, method));
        // A raw type can replace a parameterized one, but not the other way round.
        return overridesKnown == knownOverrides ? returnsNarrower(type, method, known) : overridesKnown;
    }

    private boolean returnsNarrower(TypeElement type, ExecutableElement method, ExecutableElement known) {
        TypeMirror erased = returned(type, method);
        TypeMirror otherErased = returned(type, known);
        if (!types.isSameType(erased, otherErased)) {
            return types.isSubtype(erased, otherErased);
        }
        // A type variable is narrower than its bound, which is its erasure.
        TypeMirror declared = member(type, method).getReturnType();
        TypeMirror other = member(type, known).getReturnType();
        return types.isSubtype(declared, other) && !types.isSameType(declared, other);
    }

    /** A method with its type variables replaced as in a type; unchanged if the type itself declares it. */
    ExecutableType member(TypeElement type, ExecutableElement method) {
        if (method.getEnclosingElement().equals(type)) {
            return (ExecutableType) method.asType();
        }
        return (ExecutableType) types.asMemberOf((DeclaredType) type.asType(), method);
    }

    /** The erased return type of a method as a member of a type. */
    TypeMirror returned(TypeElement type, ExecutableElement method) {
        return types.erasure(member(type, method).getReturnType());
    }

    private String key(TypeElement type, ExecutableElement method) {
        String known = keysOfObject.get(method);
        if (known != null) {
            return known;
        }
        if (method.getEnclosingElement().equals(type)) {
            return erasedParameters(method);
        }
        return erasedParameters(method, member(type, method).getParameterTypes());
    }

    private String erasedParameters(ExecutableElement method) {
        return erasedParameters.computeIfAbsent(
                method, each -> erasedParameters(each, ((ExecutableType) each.asType()).getParameterTypes()));
    }

    private String erasedParameters(ExecutableElement method, List<? extends TypeMirror> types) {
        StringBuilder out = new StringBuilder(method.getSimpleName()).append('(');
        for (TypeMirror each : types) {
            out.append(descriptor(each));
        }
        return out.toString();
    }

    /** The name of a method with its descriptor in class files. */
    String erased(ExecutableElement method) {
        return erasedParameters(method) + ")" + descriptor(method.getReturnType());
    }

    private String descriptor(TypeMirror type) {
        TypeMirror erased = types.erasure(type);
        return switch (erased.getKind()) {
            case BOOLEAN -> "Z";
            case BYTE -> "B";
            case SHORT -> "S";
            case INT -> "I";
            case LONG -> "J";
            case CHAR -> "C";
            case FLOAT -> "F";
            case DOUBLE -> "D";
            case VOID -> "V";
            case ARRAY -> "[" + descriptor(((ArrayType) erased).getComponentType());
            default -> {
                yield descriptors.computeIfAbsent(
                        ((DeclaredType) erased).asElement(),
                        each -> "L"
                                + elements.getBinaryName((TypeElement) each)
                                        .toString()
                                        .replace('.', '/') + ";");
            }
        };
    }
}
