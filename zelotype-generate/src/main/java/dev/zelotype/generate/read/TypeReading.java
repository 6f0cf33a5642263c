package dev.zelotype.generate.read;

import dev.zelotype.generate.model.ConstructorModel;
import dev.zelotype.generate.model.MethodModel;
import dev.zelotype.generate.model.MethodModel.Access;
import dev.zelotype.generate.model.Parameter;
import dev.zelotype.generate.model.TypeVariables;
import dev.zelotype.generate.read.MethodFinder.Found;
import dev.zelotype.generate.type.AnnotationText;
import dev.zelotype.generate.type.TypeName;
import dev.zelotype.generate.type.VariableName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.AnnotationMirror;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.ExecutableType;
import javax.lang.model.type.IntersectionType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.type.TypeVariable;
import javax.lang.model.util.ElementFilter;
import javax.lang.model.util.Elements;
import javax.lang.model.util.Types;

/**
 * Reads one type.
 */
final class TypeReading {

    private final TypeElement type;
    private final Compiler compiler;
    private final Elements elements;
    private final Types types;
    private final MethodFinder finder;
    private final SignatureTypes names;
    private final MethodNames methodNames;
    private final Set<String> otherWarnings = new TreeSet<>();
    /** The names of methods that supertypes deprecate, and whether for removal. */
    private final Map<String, Boolean> deprecated = new HashMap<>();

    /** The methods of all supertypes, by name. */
    private final Map<String, List<ExecutableElement>> above = new HashMap<>();

    TypeReading(TypeElement type, Compiler compiler) {
        this.type = type;
        this.compiler = compiler;
        this.elements = compiler.elements();
        this.types = compiler.types();
        this.finder = compiler.finder();
        this.names = new SignatureTypes(type, elements, compiler.named());
        this.methodNames = new MethodNames(types);
    }

    /** The state that all readings of a run share. */
    record Compiler(
            Elements elements,
            Types types,
            MethodFinder finder,
            WritableNames writable,
            ParameterNames parameterNames,
            SignatureTypes.Known named,
            Map<Class<?>, TypeMirror> supertypes) {

        Compiler(Elements elements, Types types, ParameterNames parameterNames, Bridges bridges) {
            this(elements, types, parameterNames, bridges, new WritableNames());
        }

        private Compiler(
                Elements elements,
                Types types,
                ParameterNames parameterNames,
                Bridges bridges,
                WritableNames writable) {
            this(
                    elements,
                    types,
                    new MethodFinder(elements, types, bridges, writable),
                    writable,
                    parameterNames,
                    new SignatureTypes.Known(),
                    new HashMap<>());
        }
    }

    SignatureTypes names() {
        return names;
    }

    Set<String> warnings() {
        Set<String> warnings = new TreeSet<>(names.warnings());
        warnings.addAll(otherWarnings);
        if (names.isForRemoval(type)) {
            warnings.add("removal");
        }
        if (type.getNestingKind() == NestingKind.TOP_LEVEL
                && !type.getModifiers().contains(Modifier.PUBLIC)) {
            // It may be in a file with another name, and the compiler warns about its use.
            warnings.add("auxiliaryclass");
        }
        if (isA(java.io.Serializable.class)) {
            warnings.add("serial");
        }
        return warnings;
    }

    private void noteInterruptedClose(ExecutableElement method, ExecutableType actual) {
        boolean closes = method.getSimpleName().contentEquals("close")
                && method.getParameters().isEmpty()
                && isA(AutoCloseable.class);
        if (closes) {
            TypeMirror interrupted = elements.getTypeElement(InterruptedException.class.getName())
                    .asType();
            if (actual.getThrownTypes().stream().anyMatch(t -> types.isSubtype(interrupted, t))) {
                otherWarnings.add("try");
            }
        }
    }

    private boolean isA(Class<?> supertype) {
        return isSubtype(types.erasure(type.asType()), supertype);
    }

    private boolean isSubtype(TypeMirror tested, Class<?> supertype) {
        TypeMirror known = compiler.supertypes()
                .computeIfAbsent(
                        supertype,
                        each -> types.erasure(
                                elements.getTypeElement(each.getName()).asType()));
        return tested.getKind() != TypeKind.ERROR && types.isSubtype(tested, known);
    }

    /**
     * Examines the supertypes of a type: the members of a missing supertype are unknown; overriding a deprecated method
     * causes a warning, even if a type in between does not deprecate it.
     */
    void lookAbove(TypeMirror of, boolean inherited, Set<Element> seen) {
        try {
            for (TypeMirror supertype : types.directSupertypes(of)) {
                if (supertype.getKind() == TypeKind.ERROR) {
                    names.refuse("extends " + supertype + ", not to be found on the class path");
                } else if (supertype instanceof DeclaredType declared) {
                    if (SignatureTypes.isRaw(declared)) {
                        // Passing anything to its members is unchecked.
                        otherWarnings.add("unchecked");
                    }
                    if (seen.add(declared.asElement())) {
                        if (inherited) {
                            noteMethods(declared.asElement());
                        }
                        lookAbove(supertype, inherited, seen);
                    }
                }
            }
        } catch (RuntimeException e) {
            // The compiler throws this, an exception of its own, if a class file refers to a missing one.
            names.refuse("cannot be read: " + e.getMessage());
        }
    }

    private void noteMethods(Element supertype) {
        for (ExecutableElement method : ElementFilter.methodsIn(supertype.getEnclosedElements())) {
            String name = method.getSimpleName().toString();
            if (elements.isDeprecated(method)) {
                deprecated.merge(name, names.isForRemoval(method), Boolean::logicalOr);
            }
            above.computeIfAbsent(name, each -> new ArrayList<>()).add(method);
        }
    }

    /**
     * Refuses a type with a method that its supertypes have too, but in another form: they have changed since the type was
     * compiled, as {@code List} has with a new JDK.
     */
    void refuseOutdated(List<? extends Element> members) {
        for (ExecutableElement method : ElementFilter.methodsIn(members)) {
            for (ExecutableElement other :
                    above.getOrDefault(method.getSimpleName().toString(), List.of())) {
                if (elements.overrides(method, other, type) && !fits(method, other) && !finder.isBridge(method)) {
                    names.refuse("has a method " + method.getSimpleName() + " that conflicts with "
                            + other.getEnclosingElement() + ", so no Java class can extend it here");
                }
            }
        }
    }

    /** Whether a method may override another one that it overrides by its name and parameters. */
    private boolean fits(ExecutableElement method, ExecutableElement other) {
        TypeMirror returned = finder.member(type, method).getReturnType();
        TypeMirror otherReturned = finder.member(type, other).getReturnType();
        boolean returnFits = returned.getKind().isPrimitive()
                ? returned.getKind() == otherReturned.getKind()
                : types.isSubtype(returned, otherReturned)
                        || types.isSubtype(finder.returned(type, method), finder.returned(type, other));
        return returnFits && Access.of(method).compareTo(Access.of(other)) <= 0;
    }

    /** Newer compilers warn about overriding it. */
    void noteFinalizer() {
        otherWarnings.add("deprecation");
        otherWarnings.add("removal");
    }

    /** Every class has these methods, whether it declares them or not. */
    void noteDeprecatedOfObject(List<? extends Element> members) {
        for (ExecutableElement method : ElementFilter.methodsIn(members)) {
            if (elements.isDeprecated(method) && MethodFinder.isObjectMethod(method)) {
                otherWarnings.add("deprecation");
            }
        }
    }

    List<ConstructorModel> constructors() {
        List<ConstructorModel> constructors = new ArrayList<>();
        for (ExecutableElement constructor : DoublableTypes.subclassConstructors(type)) {
            if (elements.isDeprecated(constructor)) {
                otherWarnings.add(names.isForRemoval(constructor) ? "removal" : "deprecation");
            }
            ExecutableType actual = (ExecutableType) constructor.asType();
            constructors.add(new ConstructorModel(
                    variables(actual),
                    parameters(constructor, actual.getParameterTypes()),
                    exceptions(actual, List.of())));
        }
        return constructors;
    }

    List<MethodModel> methods(List<Found> found) {
        Map<String, List<ExecutableElement>> overloads = new HashMap<>();
        for (Found each : found) {
            overloads
                    .computeIfAbsent(each.method().getSimpleName().toString(), name -> new ArrayList<>())
                    .add(each.method());
        }
        if (overloads.values().stream().anyMatch(this::isAmbiguous)) {
            otherWarnings.add("overloads");
        }
        List<MethodModel> methods = new ArrayList<>();
        for (Found each : found) {
            String name = each.method().getSimpleName().toString();
            methods.add(method(each.method(), each.others(), overloads.get(name)));
        }
        return methods;
    }

    /** Whether a lambda with untyped parameters fits two of several overloads, which newer compilers warn of. */
    private boolean isAmbiguous(List<ExecutableElement> overloads) {
        for (int i = 1; i < overloads.size(); i++) {
            for (int j = 0; j < i; j++) {
                if (isAmbiguous(
                        overloads.get(i).getParameters(), overloads.get(j).getParameters())) {
                    return true;
                }
            }
        }
        return false;
    }

    private boolean isAmbiguous(List<? extends VariableElement> some, List<? extends VariableElement> others) {
        if (some.size() != others.size()) {
            return false;
        }
        boolean takeLambdas = false;
        for (int i = 0; i < some.size(); i++) {
            TypeMirror one = types.erasure(some.get(i).asType());
            TypeMirror other = types.erasure(others.get(i).asType());
            int takes = parametersOfLambda(one);
            if (takes > 0 && takes == parametersOfLambda(other)) {
                takeLambdas |= !types.isSameType(one, other);
            } else if (!types.isSubtype(one, other) && !types.isSubtype(other, one)) {
                return false;
            }
        }
        return takeLambdas;
    }

    /** The number of parameters of the method of a functional interface; -1 for any other type. */
    private int parametersOfLambda(TypeMirror type) {
        if (!(type instanceof DeclaredType declared)
                || !(declared.asElement() instanceof TypeElement element)
                || element.getKind() != ElementKind.INTERFACE
                || !elements.isFunctionalInterface(element)) {
            return -1;
        }
        return ElementFilter.methodsIn(elements.getAllMembers(element)).stream()
                .filter(each -> each.getModifiers().contains(Modifier.ABSTRACT) && !MethodFinder.isObjectMethod(each))
                .mapToInt(each -> each.getParameters().size())
                .findFirst()
                .orElse(-1);
    }

    private MethodModel method(
            ExecutableElement method, List<ExecutableElement> others, List<ExecutableElement> overloads) {
        ExecutableType actual = finder.member(type, method);
        String name = method.getSimpleName().toString();
        noteInterruptedClose(method, actual);
        refuseHiddenVariables(method);
        refuseClash(actual, method, others);
        refuseUnnamed(actual, method);
        if (method.getModifiers().contains(Modifier.ABSTRACT)
                && !compiler.writable().contains(method.getSimpleName())) {
            names.refuse("has a method " + name + ", a name that cannot be written in Java");
        }
        return new MethodModel(
                name,
                methodNames.nameOf(method, overloads),
                methodNames.link(method, overloads.size() > 1),
                finder.erased(method),
                variables(actual),
                annotations(method),
                warningsOf(method),
                names.name(narrowest(actual, others)),
                parameters(method, actual.getParameterTypes()),
                method.isVarArgs(),
                exceptions(actual, others),
                widest(method, others),
                elements.getPackageOf(method).getQualifiedName().toString(),
                method.getModifiers().contains(Modifier.ABSTRACT),
                method.getEnclosingElement().getKind() == ElementKind.CLASS);
    }

    /** Compilers of other languages produce types that no Java class can implement: with two methods in one. */
    private void refuseClash(ExecutableType actual, ExecutableElement method, List<ExecutableElement> others) {
        for (ExecutableElement other : others) {
            ExecutableType declared = finder.member(type, other);
            if (!types.isSubsignature(actual, declared) && !types.isSubsignature(declared, actual)) {
                names.refuse("inherits " + method.getSimpleName() + " from " + method.getEnclosingElement() + " and "
                        + other.getEnclosingElement() + ", and no Java class can implement both");
            }
        }
    }

    /** Compilers of other languages allow {@code ?} as a type argument of a supertype. */
    private void refuseUnnamed(ExecutableType actual, ExecutableElement method) {
        List<TypeMirror> used = new ArrayList<>(actual.getParameterTypes());
        used.add(actual.getReturnType());
        for (TypeMirror each : used) {
            TypeMirror element = each;
            while (element instanceof ArrayType array) {
                element = array.getComponentType();
            }
            if (element.getKind() == TypeKind.WILDCARD) {
                names.refuse("inherits " + method.getSimpleName() + " from " + method.getEnclosingElement() + " with "
                        + element + " as a type, which cannot be written in Java");
            }
        }
    }

    /** A type variable of the type cannot be named within a method that has one of the same name. */
    private void refuseHiddenVariables(ExecutableElement method) {
        TypeElement declaring = (TypeElement) method.getEnclosingElement();
        if (declaring.equals(type) || declaring.getTypeParameters().isEmpty()) {
            return;
        }
        for (TypeParameterElement own : method.getTypeParameters()) {
            for (TypeParameterElement ofType : type.getTypeParameters()) {
                if (own.getSimpleName().equals(ofType.getSimpleName())) {
                    names.refuse("has a type variable " + own + ", as has " + method.getSimpleName()
                            + ", which it inherits");
                }
            }
        }
    }

    private TypeMirror narrowest(ExecutableType actual, List<ExecutableElement> others) {
        TypeMirror narrowest = actual.getReturnType();
        for (ExecutableElement other : others) {
            TypeMirror returned = finder.returned(type, other);
            boolean narrower = returned.getKind() == TypeKind.DECLARED
                    && types.isSubtype(returned, types.erasure(narrowest))
                    && !types.isSameType(returned, types.erasure(narrowest));
            narrowest = narrower ? returned : narrowest;
        }
        return narrowest;
    }

    private TypeVariables variables(ExecutableType method) {
        List<? extends TypeVariable> own = method.getTypeVariables();
        return own.isEmpty()
                ? TypeVariables.NONE
                : new TypeVariables(own.stream().map(this::variable).toList());
    }

    /** A method's own type variable, with bounds as seen from the inheriting type. */
    private VariableName variable(TypeVariable variable) {
        TypeMirror bound = variable.getUpperBound();
        List<? extends TypeMirror> bounds =
                bound instanceof IntersectionType several ? several.getBounds() : List.of(bound);
        return VariableName.of(
                variable.asElement().getSimpleName().toString(),
                bounds.stream().map(names::name).toList());
    }

    private static Access widest(ExecutableElement method, List<ExecutableElement> others) {
        Access widest = Access.of(method);
        for (ExecutableElement other : others) {
            widest = Access.of(other).compareTo(widest) < 0 ? Access.of(other) : widest;
        }
        return widest;
    }

    /** Checked exceptions that every declaration of the method allows; unchecked ones need no declaration. */
    private List<TypeName> exceptions(ExecutableType actual, List<ExecutableElement> others) {
        List<TypeName> exceptions = new ArrayList<>();
        for (TypeMirror thrown : actual.getThrownTypes()) {
            boolean allowed = !isSubtype(thrown, RuntimeException.class) && !isSubtype(thrown, Error.class);
            for (ExecutableElement other : others) {
                allowed &= finder.member(type, other).getThrownTypes().stream()
                        .anyMatch(declared -> types.isSubtype(thrown, declared));
            }
            if (allowed) {
                exceptions.add(names.name(thrown));
            }
        }
        return exceptions;
    }

    private List<AnnotationText> annotations(ExecutableElement method) {
        List<AnnotationText> annotations = new ArrayList<>();
        AnnotationMirror deprecation = SignatureTypes.deprecation(method);
        if (deprecation != null) {
            annotations.add(AnnotationText.of(deprecation));
        }
        annotations.addAll(nullnessBeside(method, method.getReturnType()));
        return annotations;
    }

    /** Annotations of the type itself are written with the type; those of an array's elements come first there. */
    private List<AnnotationText> nullnessBeside(Element place, TypeMirror of) {
        List<AnnotationText> annotations = names.nullness(place);
        if (!annotations.isEmpty()) {
            TypeMirror first = of;
            while (first instanceof ArrayType array) {
                first = array.getComponentType();
            }
            annotations.removeAll(names.nullness(first));
        }
        return annotations;
    }

    private Set<String> warningsOf(ExecutableElement method) {
        Set<String> warnings = new TreeSet<>();
        if (names.isForRemoval(method)) {
            warnings.add("removal");
        }
        Boolean forRemoval = deprecated.get(method.getSimpleName().toString());
        // A compiler of another language may set the flag without the annotation, and then the double has no annotation
        // either.
        boolean annotated = SignatureTypes.deprecation(method) != null;
        if (!annotated && (forRemoval != null || elements.isDeprecated(method))) {
            warnings.add("deprecation");
        }
        if (forRemoval != null && forRemoval) {
            warnings.add("removal");
        }
        if (method.isVarArgs() && !isKnownWhileRunning(method)) {
            warnings.add("unchecked");
        }
        return warnings;
    }

    private boolean isKnownWhileRunning(ExecutableElement method) {
        VariableElement last = method.getParameters().get(method.getParameters().size() - 1);
        TypeMirror element = ((ArrayType) last.asType()).getComponentType();
        return types.isSameType(types.erasure(element), element);
    }

    private List<Parameter> parameters(ExecutableElement method, List<? extends TypeMirror> actual) {
        List<Parameter> parameters = new ArrayList<>();
        List<String> called = compiler.parameterNames().of(method);
        for (int i = 0; i < actual.size(); i++) {
            VariableElement parameter = method.getParameters().get(i);
            List<AnnotationText> annotations = nullnessBeside(parameter, parameter.asType());
            parameters.add(new Parameter(names.name(actual.get(i)), called.get(i), annotations));
        }
        return parameters;
    }
}
