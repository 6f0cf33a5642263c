package dev.zelotype.generate;

import com.palantir.javapoet.AnnotationSpec;
import com.palantir.javapoet.ClassName;
import com.palantir.javapoet.TypeName;
import com.palantir.javapoet.TypeVariableName;
import dev.zelotype.generate.MethodFinder.Found;
import dev.zelotype.generate.MethodModel.Access;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
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
 * Turns what the compiler knows of a type into a model. The same for source files, class files and annotation processing.
 */
final class ModelReader {

    private static final int LONGEST_TYPES = 40;

    private final Elements elements;
    private final Types types;
    private final MethodFinder finder;
    private final WritableNames writable = new WritableNames();
    private final ParameterNames parameterNames;
    private final Map<List<ExecutableElement>, List<MethodModel>> methodsOfObject = new HashMap<>();
    private final SignatureTypes.Known named = new SignatureTypes.Known();
    private final Map<Class<?>, TypeMirror> supertypes = new HashMap<>();

    ModelReader(Elements elements, Types types, ParameterNames parameterNames, Bridges bridges) {
        this.parameterNames = parameterNames;
        this.elements = elements;
        this.types = types;
        this.finder = new MethodFinder(elements, types, bridges, writable);
    }

    /** Why a type cannot be written a double for; empty if it can. */
    static String obstacle(TypeElement type) {
        if (!isDoublableKind(type)) {
            return switch (type.getKind()) {
                case ENUM -> "is an enum, whose constants are all there are: use one of them";
                case RECORD -> "is a record, which is final: make one with the values that the test needs";
                case ANNOTATION_TYPE -> "is an annotation: read it from an element that has it";
                default ->
                    type.getModifiers().contains(Modifier.FINAL)
                            ? "is a final class: double an interface of it, or replace it while tests run"
                            : "is neither an interface nor an abstract class: double an interface of it";
            };
        }
        if (type.getModifiers().contains(Modifier.SEALED)) {
            return "is sealed";
        }
        if (type.getQualifiedName().contentEquals("java.lang.Enum")
                || type.getQualifiedName().contentEquals("java.lang.Record")) {
            return "can only be extended by the compiler";
        }
        for (Element e = type; e instanceof TypeElement; e = e.getEnclosingElement()) {
            if (e.getModifiers().contains(Modifier.PRIVATE)) {
                return "is private";
            }
        }
        boolean inner = type.getNestingKind() == NestingKind.MEMBER
                && type.getKind() == ElementKind.CLASS
                && !type.getModifiers().contains(Modifier.STATIC);
        if (inner) {
            return "belongs to an instance of " + type.getEnclosingElement().getSimpleName();
        }
        if (type.getKind() == ElementKind.CLASS && subclassConstructors(type).isEmpty()) {
            return "has only private constructors";
        }
        return "";
    }

    /** Whether a type is an interface or an abstract class. */
    static boolean isDoublableKind(TypeElement type) {
        return type.getKind() == ElementKind.INTERFACE
                || type.getKind() == ElementKind.CLASS && type.getModifiers().contains(Modifier.ABSTRACT);
    }

    /** The constructors that a subclass can call: from everywhere, or else from the same package. */
    private static List<ExecutableElement> subclassConstructors(TypeElement type) {
        List<ExecutableElement> all = ElementFilter.constructorsIn(type.getEnclosedElements());
        List<ExecutableElement> open = all.stream()
                .filter(constructor -> Access.of(constructor).everywhere())
                .toList();
        return open.isEmpty()
                ? all.stream()
                        .filter(constructor -> !constructor.getModifiers().contains(Modifier.PRIVATE))
                        .toList()
                : open;
    }

    /** Whether a double can only stand in the same package. */
    private static boolean isBoundToPackage(TypeElement type, List<MethodModel> methods) {
        for (Element e = type; e instanceof TypeElement; e = e.getEnclosingElement()) {
            if (Access.of(e) != Access.PUBLIC) {
                return true;
            }
        }
        boolean noConstructor = type.getKind() == ElementKind.CLASS
                && subclassConstructors(type).stream()
                        .noneMatch(constructor -> Access.of(constructor).everywhere());
        return noConstructor
                || methods.stream()
                        .anyMatch(method ->
                                method.isAbstract() && !method.access().everywhere());
    }

    TypeModel read(TypeElement type) {
        Reading reading = new Reading(type);
        for (Element e = type; e instanceof TypeElement; e = e.getEnclosingElement()) {
            reading.lookAbove(e.asType(), e == type, new HashSet<>());
        }
        reading.names.noteDeprecation(type.getEnclosingElement());
        List<? extends Element> members = elements.getAllMembers(type);
        if (reading.names.obstacles().isEmpty()) {
            reading.noteDeprecatedOfObject(members);
            for (TypeParameterElement variable : type.getTypeParameters()) {
                for (TypeMirror bound : variable.getBounds()) {
                    reading.names.name(bound);
                }
            }
        }
        MethodFinder.Methods found = finder.find(type, members);
        List<ConstructorModel> constructors = reading.constructors();
        List<MethodModel> methods = reading.methods(found.own());
        List<MethodModel> objectMethods = objectMethods(reading, found.ofObject());
        boolean onlyStatics = type.getKind() == ElementKind.CLASS
                && methods.isEmpty()
                && ElementFilter.methodsIn(type.getEnclosedElements()).stream()
                        .anyMatch(method -> method.getModifiers().contains(Modifier.STATIC));
        if (onlyStatics) {
            reading.names.refuse("has only static methods, which no double answers: replace them while tests run");
        }
        boolean ofJdk = isOfJdk(type);
        if (ofJdk && isPreview(type)) {
            reading.names.refuse("belongs to a preview API of this JDK, which compilers refuse unless told otherwise");
        }
        return new TypeModel(
                ClassName.get(type),
                elements.getBinaryName(type).toString(),
                variables(type.getTypeParameters()),
                type.getKind() == ElementKind.INTERFACE,
                isBoundToPackage(type, methods),
                ofJdk,
                elements.isDeprecated(type),
                reading.warnings(),
                reading.names.obstacles(),
                nestedNames(members),
                constructors,
                methods,
                namesOf(methods),
                objectMethods);
    }

    private static Set<String> namesOf(List<MethodModel> methods) {
        Set<String> names = new HashSet<>();
        for (MethodModel method : methods) {
            names.add(method.name());
        }
        return names;
    }

    private boolean isOfJdk(TypeElement type) {
        String module = elements.getModuleOf(type) == null
                ? ""
                : elements.getModuleOf(type).getQualifiedName().toString();
        return module.startsWith("java.") || module.startsWith("jdk.");
    }

    /** The compiler tells nobody of the mark by which it knows them; it stands in the class file. */
    private boolean isPreview(TypeElement type) {
        String file = elements.getBinaryName(type).toString().replace('.', '/') + ".class";
        try (InputStream in = ClassLoader.getSystemResourceAsStream(file)) {
            return in != null
                    && new String(in.readAllBytes(), StandardCharsets.ISO_8859_1)
                            .contains("Ljdk/internal/javac/PreviewFeature;");
        } catch (IOException e) {
            // Who uses the type will be told.
            return false;
        }
    }

    /** Nearly every type has them from {@code Object} itself, and then they are the same for all. */
    private List<MethodModel> objectMethods(Reading reading, List<Found> found) {
        List<ExecutableElement> methods = new ArrayList<>();
        for (Found each : found) {
            if (!finder.isOfObject(each)) {
                return reading.methods(found);
            }
            methods.add(each.method());
        }
        List<MethodModel> known = methodsOfObject.get(methods);
        if (known == null) {
            known = reading.methods(found);
            methodsOfObject.put(methods, known);
        }
        return known;
    }

    private TypeVariables variables(List<? extends TypeParameterElement> parameters) {
        List<TypeVariableName> variables = new ArrayList<>();
        for (TypeParameterElement parameter : parameters) {
            variables.add((TypeVariableName)
                    named.ofElements().computeIfAbsent(parameter, each -> TypeVariableName.get(parameter)));
        }
        return new TypeVariables(variables);
    }

    /** What is named in the type or in one of its supertypes hides what is imported under the same name. */
    private static Set<String> nestedNames(List<? extends Element> members) {
        Set<String> found = new TreeSet<>();
        for (TypeElement nested : ElementFilter.typesIn(members)) {
            found.add(nested.getSimpleName().toString());
        }
        return found;
    }

    /** Reads one type. */
    private final class Reading {

        private final TypeElement type;
        private final SignatureTypes names = new SignatureTypes(elements, named);
        private final Set<String> readableNames = new HashSet<>();
        private final Set<String> otherWarnings = new TreeSet<>();
        /** The names of methods that supertypes advise against, and whether they are to be removed. */
        private final Map<String, Boolean> deprecated = new HashMap<>();

        Reading(TypeElement type) {
            this.type = type;
        }

        Set<String> warnings() {
            Set<String> warnings = new TreeSet<>(names.warnings());
            warnings.addAll(otherWarnings);
            if (names.isForRemoval(type)) {
                warnings.add("removal");
            }
            if (type.getNestingKind() == NestingKind.TOP_LEVEL
                    && !type.getModifiers().contains(Modifier.PUBLIC)) {
                // It may stand in a file of another name, which is said of whoever uses it.
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
            TypeMirror known = supertypes.computeIfAbsent(
                    supertype,
                    each -> types.erasure(
                            elements.getTypeElement(each.getName()).asType()));
            return types.isSubtype(types.erasure(type.asType()), known);
        }

        /**
         * Looks at what lies above a type: what a supertype that is missing declares, nobody knows; whoever overrides what a
         * supertype advises against is warned, even if a type between says nothing of it.
         */
        void lookAbove(TypeMirror of, boolean inherited, Set<Element> seen) {
            try {
                for (TypeMirror supertype : types.directSupertypes(of)) {
                    if (supertype.getKind() == TypeKind.ERROR) {
                        names.refuse("extends " + supertype + ", not to be found on the class path");
                    } else if (supertype instanceof DeclaredType declared) {
                        if (SignatureTypes.isRaw(declared)) {
                            // Whatever is passed to what it declares is unchecked.
                            otherWarnings.add("unchecked");
                        }
                        if (seen.add(declared.asElement())) {
                            if (inherited) {
                                noteDeprecated(declared.asElement());
                            }
                            lookAbove(supertype, inherited, seen);
                        }
                    }
                }
            } catch (RuntimeException e) {
                // The compiler fails so, by a type of its own, where a class file names another that is not there.
                names.refuse("cannot be read: " + e.getMessage());
            }
        }

        private void noteDeprecated(Element supertype) {
            for (ExecutableElement method : ElementFilter.methodsIn(supertype.getEnclosedElements())) {
                if (elements.isDeprecated(method)) {
                    deprecated.merge(method.getSimpleName().toString(), names.isForRemoval(method), Boolean::logicalOr);
                }
            }
        }

        /** Each class has what every object has, whether it writes it or not. */
        void noteDeprecatedOfObject(List<? extends Element> members) {
            for (ExecutableElement method : ElementFilter.methodsIn(members)) {
                if (elements.isDeprecated(method) && MethodFinder.isObjectMethod(method)) {
                    otherWarnings.add("deprecation");
                }
            }
        }

        List<ConstructorModel> constructors() {
            List<ConstructorModel> constructors = new ArrayList<>();
            for (ExecutableElement constructor : subclassConstructors(type)) {
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
            List<MethodModel> methods = new ArrayList<>();
            for (Found each : found) {
                String name = each.method().getSimpleName().toString();
                methods.add(method(each.method(), each.others(), overloads.get(name)));
            }
            return methods;
        }

        private MethodModel method(
                ExecutableElement method, List<ExecutableElement> others, List<ExecutableElement> overloads) {
            boolean overloaded = overloads.size() > 1;
            ExecutableType actual = finder.member(type, method);
            String name = method.getSimpleName().toString();
            noteInterruptedClose(method, actual);
            refuseHiddenVariables(method);
            refuseClash(actual, method, others);
            if (method.getModifiers().contains(Modifier.ABSTRACT) && !writable.contains(method.getSimpleName())) {
                names.refuse("has a method " + name + ", a name that cannot be written in Java");
            }
            return new MethodModel(
                    name,
                    unusedName(overloaded ? name + ofTypes(method, overloads) : name),
                    link(method, overloaded),
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

        /** Compilers of other languages write what no class in Java can implement: two methods in one. */
        private void refuseClash(ExecutableType actual, ExecutableElement method, List<ExecutableElement> others) {
            for (ExecutableElement other : others) {
                ExecutableType declared = finder.member(type, other);
                if (!types.isSubsignature(actual, declared) && !types.isSubsignature(declared, actual)) {
                    names.refuse("inherits " + method.getSimpleName() + " from " + method.getEnclosingElement()
                            + " and " + other.getEnclosingElement() + ", and no Java class can implement both");
                }
            }
        }

        /** What the type's own variable stands for cannot be said within a method that has one of the same name. */
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

        /** A method's own variable, with bounds in the words of the type that has inherited the method. */
        private TypeVariableName variable(TypeVariable variable) {
            TypeMirror bound = variable.getUpperBound();
            List<? extends TypeMirror> bounds =
                    bound instanceof IntersectionType several ? several.getBounds() : List.of(bound);
            return TypeVariableName.get(
                    variable.asElement().getSimpleName().toString(),
                    bounds.stream().map(names::name).toArray(TypeName[]::new));
        }

        /** Capitals do not count, since names of records are made of these names. */
        private String unusedName(String wanted) {
            String name = wanted;
            for (int i = 2; !readableNames.add(name.toLowerCase(Locale.ROOT)); i++) {
                name = wanted + i;
            }
            return name;
        }

        private static Access widest(ExecutableElement method, List<ExecutableElement> others) {
            Access widest = Access.of(method);
            for (ExecutableElement other : others) {
                widest = Access.of(other).compareTo(widest) < 0 ? Access.of(other) : widest;
            }
            return widest;
        }

        /** What may be thrown is what every declaration of the method allows. */
        private List<TypeName> exceptions(ExecutableType actual, List<ExecutableElement> others) {
            List<TypeName> exceptions = new ArrayList<>();
            for (TypeMirror thrown : actual.getThrownTypes()) {
                boolean allowed = true;
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

        private List<AnnotationSpec> annotations(ExecutableElement method) {
            List<AnnotationSpec> annotations = new ArrayList<>();
            for (AnnotationMirror annotation : method.getAnnotationMirrors()) {
                if (annotation.getAnnotationType().toString().equals("java.lang.Deprecated")) {
                    annotations.add(AnnotationSpec.get(annotation));
                }
            }
            annotations.addAll(nullnessBeside(method, method.getReturnType()));
            return annotations;
        }

        /** Those that mark the type itself are written there. */
        private List<AnnotationSpec> nullnessBeside(Element place, TypeMirror of) {
            List<AnnotationSpec> annotations = names.nullness(place);
            if (!annotations.isEmpty()) {
                annotations.removeAll(names.nullness(of));
            }
            return annotations;
        }

        private Set<String> warningsOf(ExecutableElement method) {
            Set<String> warnings = new TreeSet<>();
            if (names.isForRemoval(method)) {
                warnings.add("removal");
            }
            Boolean forRemoval = deprecated.get(method.getSimpleName().toString());
            // A compiler of another language may say so without the annotation, which a double then has not either.
            boolean annotated = method.getAnnotation(Deprecated.class) != null;
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
            VariableElement last =
                    method.getParameters().get(method.getParameters().size() - 1);
            TypeMirror element = ((ArrayType) last.asType()).getComponentType();
            return types.isSameType(types.erasure(element), element);
        }

        private List<Parameter> parameters(ExecutableElement method, List<? extends TypeMirror> actual) {
            List<Parameter> parameters = new ArrayList<>();
            List<String> called = parameterNames.of(method);
            for (int i = 0; i < actual.size(); i++) {
                VariableElement parameter = method.getParameters().get(i);
                List<AnnotationSpec> annotations = nullnessBeside(parameter, parameter.asType());
                parameters.add(new Parameter(names.name(actual.get(i)), called.get(i), annotations));
            }
            return parameters;
        }
    }

    private String link(ExecutableElement method, boolean overloaded) {
        if (!overloaded) {
            return method.getSimpleName().toString();
        }
        List<String> erased = new ArrayList<>();
        for (VariableElement parameter : method.getParameters()) {
            erased.add(Code.type(TypeName.get(types.erasure(parameter.asType()))));
        }
        return method.getSimpleName() + "(" + String.join(", ", erased) + ")";
    }

    /** The types of the first parameters as part of a name: {@code note(String, int)} gives {@code OfStringInt}. */
    private String ofTypes(ExecutableElement method, int count) {
        StringBuilder out = new StringBuilder(method.getParameters().isEmpty() ? "WithoutArguments" : "Of");
        for (VariableElement parameter : method.getParameters().subList(0, count)) {
            String simple = simpleName(types.erasure(parameter.asType()));
            out.append(Character.toUpperCase(simple.charAt(0))).append(simple.substring(1));
        }
        return out.toString();
    }

    private static String simpleName(TypeMirror erased) {
        if (erased instanceof ArrayType array) {
            return simpleName(array.getComponentType()) + "Array";
        }
        return erased instanceof DeclaredType declared
                ? declared.asElement().getSimpleName().toString()
                : erased.toString();
    }

    /** As few types as tell the method from its overloads; of long lists, how many more there are. */
    private String ofTypes(ExecutableElement method, List<ExecutableElement> overloads) {
        int all = method.getParameters().size();
        for (int count = Math.min(1, all); count < all; count++) {
            String tried = ofTypes(method, count);
            int kept = count;
            boolean unique = overloads.stream()
                    .filter(other -> other != method && other.getParameters().size() >= kept)
                    .noneMatch(other -> ofTypes(other, kept).equalsIgnoreCase(tried));
            if (unique) {
                return tried;
            }
        }
        String whole = ofTypes(method, all);
        return whole.length() <= LONGEST_TYPES ? whole : ofTypes(method, 1) + "And" + (all - 1) + "More";
    }
}
