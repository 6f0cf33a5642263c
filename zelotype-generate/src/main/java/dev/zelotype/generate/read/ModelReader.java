package dev.zelotype.generate.read;

import dev.zelotype.generate.model.ConstructorModel;
import dev.zelotype.generate.model.MethodModel;
import dev.zelotype.generate.model.TypeModel;
import dev.zelotype.generate.model.TypeVariables;
import dev.zelotype.generate.read.MethodFinder.Found;
import dev.zelotype.generate.type.ClassName;
import dev.zelotype.generate.type.TypeName;
import dev.zelotype.generate.type.VariableName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.AnnotationMirror;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import javax.lang.model.util.Elements;
import javax.lang.model.util.Types;
import org.jspecify.annotations.Nullable;

/**
 * Converts the compiler's model of a type. The same for source files, class files and annotation processing.
 */
public final class ModelReader {

    /** Common names of keys. */
    private static final Set<String> KEYS =
            Set.of("id", "getId", "key", "getKey", "name", "getName", "code", "getCode", "number", "getNumber");

    private final TypeReading.Compiler compiler;
    private final Elements elements;
    private final Bridges bridges;
    private final Map<List<ExecutableElement>, List<MethodModel>> methodsOfObject = new HashMap<>();

    public ModelReader(Elements elements, Types types, ParameterNames parameterNames, Bridges bridges) {
        this.elements = elements;
        this.bridges = bridges;
        this.compiler = new TypeReading.Compiler(elements, types, parameterNames, bridges);
    }

    public TypeModel read(TypeElement type) {
        TypeReading reading = new TypeReading(type, compiler);
        for (Element e = type; e instanceof TypeElement; e = e.getEnclosingElement()) {
            reading.lookAbove(e.asType(), e == type, new HashSet<>());
        }
        reading.names().noteDeprecation(type.getEnclosingElement());
        reading.names().refuseCycle();
        List<? extends Element> members = elements.getAllMembers(type);
        if (reading.names().obstacles().isEmpty()) {
            reading.noteDeprecatedOfObject(members);
            for (TypeParameterElement variable : type.getTypeParameters()) {
                for (TypeMirror bound : variable.getBounds()) {
                    reading.names().name(bound);
                }
            }
        }
        MethodFinder.Methods found = compiler.finder().find(type, members);
        reading.refuseOutdated(members);
        List<ConstructorModel> constructors = reading.constructors();
        List<MethodModel> methods = reading.methods(found.own());
        List<MethodModel> objectMethods = objectMethods(reading, found.ofObject());
        boolean onlyStatics = type.getKind() == ElementKind.CLASS
                && methods.isEmpty()
                && ElementFilter.methodsIn(type.getEnclosedElements()).stream()
                        .anyMatch(method -> method.getModifiers().contains(Modifier.STATIC));
        if (onlyStatics) {
            reading.names()
                    .refuse("has only static methods, and doubles do not answer these: replace them while tests run");
        }
        boolean ofJdk = DoublableTypes.isOfJdk(elements, type);
        if (ofJdk && DoublableTypes.isPreview(elements, type)) {
            reading.names()
                    .refuse("belongs to a preview API of this JDK, which compilers refuse unless told otherwise");
        }
        boolean asksForFinalizer = false;
        for (ExecutableElement method : ElementFilter.methodsIn(members)) {
            asksForFinalizer |= MethodFinder.isFinalizer(method)
                    && method.getModifiers().contains(Modifier.ABSTRACT)
                    && method.getModifiers().contains(Modifier.PUBLIC);
        }
        if (asksForFinalizer) {
            reading.noteFinalizer();
        }
        return new TypeModel(
                ClassName.of(type),
                elements.getBinaryName(type).toString(),
                variables(type.getTypeParameters()),
                type.getKind() == ElementKind.INTERFACE,
                DoublableTypes.isBoundToPackage(type, methods),
                ofJdk,
                bridges.mayBeIn(type)
                        && bridges.hidesAbstract(elements.getBinaryName(type).toString()),
                elements.isDeprecated(type),
                reading.warnings(),
                reading.names().obstacles(),
                nestedNames(members),
                constructors,
                methods,
                namesOf(methods),
                objectMethods,
                parts(found.own()),
                unmarked(type),
                asksForFinalizer);
    }

    /**
     * The annotation {@code NullUnmarked} from where the {@code NullMarked} comes that applies to a type: a double returns
     * null by default, whatever the type promises.
     */
    private @Nullable ClassName unmarked(TypeElement type) {
        for (Element scope = type; scope != null; scope = scope.getEnclosingElement()) {
            for (AnnotationMirror each : scope.getAnnotationMirrors()) {
                Element marker = each.getAnnotationType().asElement();
                if (marker.getSimpleName().contentEquals("NullMarked")) {
                    TypeElement unmarked = elements.getTypeElement(
                            elements.getPackageOf(marker).getQualifiedName() + ".NullUnmarked");
                    return unmarked == null ? null : ClassName.of(unmarked);
                }
            }
        }
        return null;
    }

    /** Possible keys: methods with such a name, or the first component of a record. */
    private Map<String, Map<String, TypeName>> parts(List<Found> methods) {
        Map<String, Map<String, TypeName>> parts = new HashMap<>();
        for (Found each : methods) {
            if (each.method().getParameters().size() == 1
                    && each.method().getParameters().get(0).asType() instanceof DeclaredType declared
                    && declared.getTypeArguments().isEmpty()
                    && declared.asElement() instanceof TypeElement value) {
                parts.computeIfAbsent(ClassName.of(value).canonicalName(), first -> keysOf(value));
            }
        }
        return parts;
    }

    private Map<String, TypeName> keysOf(TypeElement value) {
        Map<String, TypeName> keys = new LinkedHashMap<>();
        for (ExecutableElement method : ElementFilter.methodsIn(value.getEnclosedElements())) {
            boolean asked = method.getParameters().isEmpty()
                    && method.getThrownTypes().isEmpty()
                    && method.getModifiers().contains(Modifier.PUBLIC)
                    && !method.getModifiers().contains(Modifier.STATIC)
                    && !elements.isDeprecated(method);
            if (asked && KEYS.contains(method.getSimpleName().toString())) {
                keys.put(method.getSimpleName().toString(), TypeName.of(method.getReturnType()));
            }
        }
        if (!value.getRecordComponents().isEmpty()
                && !elements.isDeprecated(value.getRecordComponents().get(0).getAccessor())) {
            ExecutableElement first = value.getRecordComponents().get(0).getAccessor();
            keys.putIfAbsent(first.getSimpleName().toString(), TypeName.of(first.getReturnType()));
        }
        return keys;
    }

    private static Set<String> namesOf(List<MethodModel> methods) {
        Set<String> names = new HashSet<>();
        for (MethodModel method : methods) {
            names.add(method.name());
        }
        return names;
    }

    /** Nearly every type inherits them from {@code Object}, so they are shared. */
    private List<MethodModel> objectMethods(TypeReading reading, List<Found> found) {
        List<ExecutableElement> methods = new ArrayList<>();
        for (Found each : found) {
            if (!compiler.finder().isOfObject(each)) {
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
        List<VariableName> variables = new ArrayList<>();
        for (TypeParameterElement parameter : parameters) {
            variables.add((VariableName)
                    compiler.named().ofElements().computeIfAbsent(parameter, each -> TypeName.of(parameter.asType())));
        }
        return new TypeVariables(variables);
    }

    /** Types nested in the type or in one of its supertypes hide imports with the same name. */
    private static Set<String> nestedNames(List<? extends Element> members) {
        Set<String> found = new TreeSet<>();
        for (TypeElement nested : ElementFilter.typesIn(members)) {
            found.add(nested.getSimpleName().toString());
        }
        return found;
    }
}
