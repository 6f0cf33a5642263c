package dev.zelotype.generate.read;

import dev.zelotype.generate.type.AnnotationText;
import dev.zelotype.generate.type.ArrayName;
import dev.zelotype.generate.type.ClassName;
import dev.zelotype.generate.type.GenericName;
import dev.zelotype.generate.type.PrimitiveName;
import dev.zelotype.generate.type.TypeName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.AnnotatedConstruct;
import javax.lang.model.element.AnnotationMirror;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.type.TypeVariable;
import javax.lang.model.type.WildcardType;
import javax.lang.model.util.Elements;
import org.jspecify.annotations.Nullable;

/**
 * Names the types in signatures, with their nullness annotations, and collects the warnings that repeating such a type
 * in source would cause.
 */
final class SignatureTypes {

    /** The simple names of nullness annotations in common libraries. */
    private static final Set<String> NULLNESS =
            Set.of("Nullable", "NonNull", "Nonnull", "NotNull", "CheckForNull", "PolyNull");

    /**
     * Cached names, for all types.
     *
     * @param ofElements names of classes and type variables
     * @param ofTypes names of types without warnings or obstacles, by the compiler's object for the type
     * @param plain classes that can be named without a warning
     * @param gaps by class, the first of its supertypes that is missing; empty if none is
     * @param acyclic classes whose supertypes and enclosing classes do not lead back to them
     */
    record Known(
            Map<Element, TypeName> ofElements,
            Map<TypeMirror, TypeName> ofTypes,
            Set<Element> plain,
            Map<Element, String> gaps,
            Set<Element> acyclic) {
        Known() {
            this(new HashMap<>(), new HashMap<>(), new HashSet<>(), new HashMap<>(), new HashSet<>());
        }
    }

    private final TypeElement user;
    private final Elements elements;
    private final Known known;
    private final Set<String> warnings = new LinkedHashSet<>();
    private final Set<String> obstacles = new LinkedHashSet<>();

    /**
     * An instance without any names yet.
     *
     * @param user the type in whose signatures they are
     */
    SignatureTypes(TypeElement user, Elements elements, Known known) {
        this.user = user;
        this.elements = elements;
        this.known = known;
    }

    /** The compiler's names of the warnings that the named types cause. */
    Set<String> warnings() {
        return warnings;
    }

    /** Why named types cannot be repeated in source: they are inaccessible or missing. */
    Set<String> obstacles() {
        return obstacles;
    }

    void refuse(String reason) {
        obstacles.add(reason);
    }

    TypeName name(TypeMirror type) {
        TypeName found = known.ofTypes().get(type);
        if (found == null) {
            TypeName plain = plainOrRebuilt(type);
            List<AnnotationText> annotations = nullness(type);
            found = annotations.isEmpty() ? plain : plain.annotated(annotations);
            boolean isOneOfMany = plain instanceof ClassName || plain instanceof PrimitiveName;
            if (isOneOfMany && annotations.isEmpty() && warnings.isEmpty() && obstacles.isEmpty()) {
                known.ofTypes().put(type, plain);
            }
        }
        return found;
    }

    private TypeName plainOrRebuilt(TypeMirror type) {
        if (type.getKind() == TypeKind.ERROR) {
            obstacles.add("refers to " + type + ", not to be found on the class path");
        } else if (type instanceof ArrayType array) {
            return ArrayName.of(name(array.getComponentType()));
        } else if (type instanceof WildcardType wildcard) {
            noteWithin(wildcard.getExtendsBound());
            noteWithin(wildcard.getSuperBound());
        } else if (type instanceof DeclaredType declared && type.getKind() == TypeKind.DECLARED) {
            note(declared);
            if (declared.getEnclosingType().getKind() == TypeKind.NONE) {
                ClassName raw = (ClassName) known.ofElements()
                        .computeIfAbsent(declared.asElement(), each -> ClassName.of((TypeElement) each));
                return declared.getTypeArguments().isEmpty() ? raw : GenericName.of(raw, arguments(declared));
            }
        } else if (type instanceof TypeVariable variable) {
            refuseOfOthers(variable);
            return known.ofElements().computeIfAbsent(variable.asElement(), each -> TypeName.of(variable));
        }
        return TypeName.of(type);
    }

    private List<TypeName> arguments(DeclaredType type) {
        List<TypeName> names = new ArrayList<>();
        for (TypeMirror each : type.getTypeArguments()) {
            names.add(name(each));
        }
        return names;
    }

    private void noteWithin(TypeMirror bound) {
        if (bound != null) {
            name(bound);
        }
    }

    private void note(DeclaredType type) {
        TypeElement element = (TypeElement) type.asElement();
        if (!known.plain().contains(element)) {
            boolean isPrivate = element.getModifiers().contains(Modifier.PRIVATE);
            if (isPrivate) {
                obstacles.add("refers to " + element.getQualifiedName() + ", which is private");
            }
            String gap = gapAbove(element);
            if (!gap.isEmpty()) {
                obstacles.add("refers to " + element.getQualifiedName() + ", which extends " + gap
                        + ", not to be found on the class path");
            }
            if (!noteDeprecation(element) && !isPrivate && gap.isEmpty()) {
                known.plain().add(element);
            }
        }
        if (isRaw(type)) {
            warnings.add("rawtypes");
            warnings.add("unchecked");
        }
    }

    /** Compilers of other languages let a class extend one that is nested in it. */
    void refuseCycle() {
        if (hasCycle(user, new HashSet<>())) {
            obstacles.add("is, or extends, a class that extends one of those nested in it, which Java does not allow");
        }
    }

    /** Whether supertypes and enclosing classes lead back to a class: compilers look for that. */
    private boolean hasCycle(TypeElement type, Set<TypeElement> below) {
        if (known.acyclic().contains(type) || DoublableTypes.isOfJdk(elements, type)) {
            return false;
        } else if (!below.add(type)) {
            return true;
        }
        List<TypeElement> next = new ArrayList<>();
        for (TypeMirror each : supertypes(type)) {
            if (each instanceof DeclaredType declared && each.getKind() == TypeKind.DECLARED) {
                next.add((TypeElement) declared.asElement());
            }
        }
        if (type.getEnclosingElement() instanceof TypeElement owner) {
            next.add(owner);
        }
        boolean found = next.stream().anyMatch(each -> hasCycle(each, below));
        below.remove(type);
        if (!found) {
            known.acyclic().add(type);
        }
        return found;
    }

    private static List<TypeMirror> supertypes(TypeElement type) {
        List<TypeMirror> all = new ArrayList<>(type.getInterfaces());
        all.add(type.getSuperclass());
        return all;
    }

    /** In other languages, a nested type may use the type variables of the class around it. */
    private void refuseOfOthers(TypeVariable variable) {
        Element of = ((TypeParameterElement) variable.asElement()).getGenericElement();
        if (of instanceof TypeElement && !of.equals(user)) {
            obstacles.add("refers to the type variable " + variable + " of " + of + ", which is unknown in it");
        }
    }

    /**
     * Without all supertypes of a class, the compiler does not know which overloads it fits, nor whether it is an
     * exception.
     */
    private String gapAbove(TypeElement type) {
        String gap = known.gaps().get(type);
        if (gap == null) {
            gap = DoublableTypes.isOfJdk(elements, type) ? "" : gapIn(type);
            known.gaps().put(type, gap);
        }
        return gap;
    }

    private String gapIn(TypeElement type) {
        for (TypeMirror each : supertypes(type)) {
            if (each.getKind() == TypeKind.ERROR) {
                return each.toString();
            } else if (each instanceof DeclaredType declared) {
                String gap = gapAbove((TypeElement) declared.asElement());
                if (!gap.isEmpty()) {
                    return gap;
                }
            }
        }
        return "";
    }

    /** Naming a nested type also names its enclosing types. Returns whether anything was recorded. */
    boolean noteDeprecation(Element named) {
        boolean noted = false;
        for (Element each = named; each instanceof TypeElement; each = each.getEnclosingElement()) {
            if (elements.isDeprecated(each)) {
                warnings.add(isForRemoval(each) ? "removal" : "deprecation");
                noted = true;
            }
        }
        return noted;
    }

    static boolean isRaw(DeclaredType type) {
        return type.getTypeArguments().isEmpty()
                && !((TypeElement) type.asElement()).getTypeParameters().isEmpty();
    }

    /** The nullness annotations of an element, as far as their types are known. */
    List<AnnotationText> nullness(AnnotatedConstruct place) {
        if (place.getAnnotationMirrors().isEmpty()) {
            return List.of();
        }
        List<AnnotationText> found = new ArrayList<>();
        for (AnnotationMirror annotation : place.getAnnotationMirrors()) {
            Element type = annotation.getAnnotationType().asElement();
            if (annotation.getAnnotationType().getKind() == TypeKind.DECLARED
                    && type.getKind() == ElementKind.ANNOTATION_TYPE
                    && NULLNESS.contains(type.getSimpleName().toString())
                    && isApplicable((TypeElement) type, place)) {
                found.add(AnnotationText.of(annotation));
            }
        }
        return found;
    }

    /** A class file may have been compiled with another version of the annotation. */
    private static boolean isApplicable(TypeElement annotation, AnnotatedConstruct place) {
        for (AnnotationMirror meta : annotation.getAnnotationMirrors()) {
            if (meta.getAnnotationType().toString().equals("java.lang.annotation.Target")) {
                String targets = meta.getElementValues().values().toString();
                boolean isForTypes = targets.contains("TYPE_USE");
                return place instanceof Element element
                        ? isForTypes || targets.matches(".*\\b" + element.getKind() + "\\b.*")
                        : isForTypes;
            }
        }
        return place instanceof Element;
    }

    boolean isForRemoval(Element element) {
        if (!elements.isDeprecated(element)) {
            return false;
        }
        AnnotationMirror deprecation = deprecation(element);
        return deprecation != null
                && "true".equals(AnnotationText.of(deprecation).members().get("forRemoval"));
    }

    /** Not as an annotation object, which would be a new proxy each time; null if there is none. */
    static @Nullable AnnotationMirror deprecation(Element element) {
        for (AnnotationMirror each : element.getAnnotationMirrors()) {
            if (((TypeElement) each.getAnnotationType().asElement())
                    .getQualifiedName()
                    .contentEquals("java.lang.Deprecated")) {
                return each;
            }
        }
        return null;
    }
}
