package dev.zelotype.generate.read;

import dev.zelotype.generate.model.MethodModel;
import dev.zelotype.generate.model.MethodModel.Access;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;
import javax.lang.model.util.Elements;

/**
 * Whether a type can have doubles as source, and in which packages.
 */
public final class DoublableTypes {

    private DoublableTypes() {}

    /** Why a type cannot be doubled as source; empty if it can. */
    public static String obstacle(TypeElement type) {
        if (!isDoublableKind(type)) {
            return switch (type.getKind()) {
                case ENUM -> "is an enum: use one of its constants";
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
    public static boolean isDoublableKind(TypeElement type) {
        return type.getKind() == ElementKind.INTERFACE
                || type.getKind() == ElementKind.CLASS && type.getModifiers().contains(Modifier.ABSTRACT);
    }

    /** The constructors that a subclass can call: from any package, or else only from the same package. */
    static List<ExecutableElement> subclassConstructors(TypeElement type) {
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

    /** Whether a double must be in the same package. */
    static boolean isBoundToPackage(TypeElement type, List<MethodModel> methods) {
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

    /** Whether a type belongs to a module of the JDK. */
    static boolean isOfJdk(Elements elements, TypeElement type) {
        String module = elements.getModuleOf(type) == null
                ? ""
                : elements.getModuleOf(type).getQualifiedName().toString();
        return module.startsWith("java.") || module.startsWith("jdk.");
    }

    /** The compiler does not expose the flag of preview types; it is in the class file. */
    static boolean isPreview(Elements elements, TypeElement type) {
        String file = elements.getBinaryName(type).toString().replace('.', '/') + ".class";
        try (InputStream in = ClassLoader.getSystemResourceAsStream(file)) {
            return in != null
                    && new String(in.readAllBytes(), StandardCharsets.ISO_8859_1)
                            .contains("Ljdk/internal/javac/PreviewFeature;");
        } catch (IOException e) {
            // The compiler will report it where the type is used.
            return false;
        }
    }
}
