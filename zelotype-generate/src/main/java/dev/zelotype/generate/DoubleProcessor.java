package dev.zelotype.generate;

import dev.zelotype.generate.model.Names;
import dev.zelotype.generate.model.TypeModel;
import dev.zelotype.generate.read.Bridges;
import dev.zelotype.generate.read.DoublableTypes;
import dev.zelotype.generate.read.ModelReader;
import dev.zelotype.generate.read.ParameterNames;
import dev.zelotype.generate.read.SourceJars;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.annotation.processing.AbstractProcessor;
import javax.annotation.processing.FilerException;
import javax.annotation.processing.RoundEnvironment;
import javax.lang.model.SourceVersion;
import javax.lang.model.element.AnnotationMirror;
import javax.lang.model.element.AnnotationValue;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.tools.Diagnostic;

/**
 * For builds and tools: writes the doubles that {@link DoubleFor} requests while the compiler runs. Each double depends
 * only on the class that requests it, so incremental builds redo only what changed.
 *
 * @since 0.2
 */
public final class DoubleProcessor extends AbstractProcessor {

    /** The option to mark written doubles with {@code javax.annotation.processing.Generated}. */
    private static final String MARKED = "zelotype.markGenerated";

    /**
     * The class that requested each double: an incremental build keeps the double as long as that class requests it.
     */
    private final Map<String, String> asked = new HashMap<>();

    /** Called by the compiler. */
    public DoubleProcessor() {}

    @Override
    public Set<String> getSupportedAnnotationTypes() {
        return Set.of(DoubleFor.class.getName());
    }

    @Override
    public Set<String> getSupportedOptions() {
        return Set.of(MARKED);
    }

    @Override
    public SourceVersion getSupportedSourceVersion() {
        return SourceVersion.latestSupported();
    }

    @Override
    public boolean process(Set<? extends TypeElement> annotations, RoundEnvironment round) {
        for (Element asking : round.getElementsAnnotatedWith(DoubleFor.class)) {
            asking.getAnnotationMirrors().stream()
                    .filter(each -> each.getAnnotationType().toString().equals(DoubleFor.class.getName()))
                    .forEach(asked -> write(asking, asked));
        }
        return true;
    }

    /** The annotation is read through the compiler's model: its classes do not exist yet, and some may be missing. */
    private void write(Element asking, AnnotationMirror asked) {
        Map<String, List<?>> values = new HashMap<>();
        processingEnv
                .getElementUtils()
                .getElementValuesWithDefaults(asked)
                .forEach((name, value) -> values.put(
                        name.getSimpleName().toString(), value.getValue() instanceof List<?> list ? list : List.of()));
        List<Style> styles = new ArrayList<>();
        for (Object each : values.get("style")) {
            if (each instanceof AnnotationValue value && value.getValue() instanceof VariableElement constant) {
                styles.add(Style.valueOf(constant.getSimpleName().toString()));
            }
        }
        for (Object each : values.get("value")) {
            // The compiler itself says what is wrong with a name that it does not know.
            if (each instanceof AnnotationValue value
                    && value.getValue() instanceof TypeMirror type
                    && type.getKind() != TypeKind.ERROR) {
                write(asking, type, styles);
            }
        }
    }

    private void write(Element asking, TypeMirror mirror, List<Style> styles) {
        if (!(mirror instanceof DeclaredType declared)) {
            error(asking, mirror + " is not a type to double.");
            return;
        }
        TypeElement type = (TypeElement) declared.asElement();
        String obstacle = DoublableTypes.obstacle(type);
        if (!obstacle.isEmpty()) {
            refuse(asking, type, obstacle);
            return;
        }
        TypeModel model = new ModelReader(
                        processingEnv.getElementUtils(),
                        processingEnv.getTypeUtils(),
                        new ParameterNames(SourceJars.NONE),
                        Bridges.NONE)
                .read(type);
        if (!model.obstacles().isEmpty()) {
            model.obstacles().forEach(reason -> refuse(asking, type, reason));
            return;
        }
        String packageName = processingEnv
                .getElementUtils()
                .getPackageOf(asking)
                .getQualifiedName()
                .toString();
        for (Style style : styles) {
            String target = DoubleName.packageOf(model, style, packageName);
            String name = (target.isEmpty() ? "" : target + ".") + DoubleName.of(model, style);
            if (!DoubleName.obstacle(model, style, target).isEmpty()) {
                refuse(asking, type, DoubleName.obstacle(model, style, target));
                continue;
            }
            String first = asked.putIfAbsent(name, asking.toString());
            if (first != null && !first.equals(asking.toString())) {
                error(
                        asking,
                        name + " is asked for by " + first
                                + " too: let one class ask for it, since an incremental build keeps it only as long"
                                + " as that class asks.");
            } else if (first == null) {
                write(
                        asking,
                        name,
                        Writer.write(
                                model,
                                style,
                                target,
                                Names.ofTypes(processingEnv.getElementUtils(), target),
                                processingEnv.getOptions().containsKey(MARKED)));
            }
        }
    }

    private void write(Element asking, String name, String source) {
        try (java.io.Writer out =
                processingEnv.getFiler().createSourceFile(name, asking).openWriter()) {
            out.write(source);
        } catch (FilerException e) {
            error(asking, name + " is there already: write it by hand, or have it generated, not both.");
        } catch (IOException e) {
            error(asking, name + " cannot be written: " + e + ".");
        }
    }

    private void refuse(Element asking, TypeElement type, String obstacle) {
        error(asking, "No double can be written for " + type.getQualifiedName() + ": it " + obstacle + ".");
    }

    private void error(Element asking, String message) {
        processingEnv.getMessager().printMessage(Diagnostic.Kind.ERROR, message, asking);
    }
}
