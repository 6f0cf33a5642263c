package dev.zelotype.generate.type;

import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.PackageElement;
import javax.lang.model.element.TypeElement;

/**
 * A class, an interface, an enum or a record, without type arguments.
 *
 * @param packageName its package; empty for the unnamed one
 * @param simpleNames its simple name, after those of its enclosing classes
 * @param annotations its annotations
 */
public record ClassName(String packageName, List<String> simpleNames, List<AnnotationText> annotations)
        implements TypeName {

    public static final ClassName OBJECT = of(Object.class);

    public static ClassName of(Class<?> type) {
        List<String> names = new ArrayList<>();
        for (Class<?> each = type; each != null; each = each.getEnclosingClass()) {
            names.add(0, each.getSimpleName());
        }
        return new ClassName(type.getPackageName(), List.copyOf(names), List.of());
    }

    public static ClassName of(TypeElement type) {
        List<String> names = new ArrayList<>();
        Element each = type;
        for (; each instanceof TypeElement; each = each.getEnclosingElement()) {
            names.add(0, each.getSimpleName().toString());
        }
        String packageName =
                each instanceof PackageElement known ? known.getQualifiedName().toString() : "";
        return new ClassName(packageName, List.copyOf(names), List.of());
    }

    @Override
    public ClassName with(List<AnnotationText> others) {
        return new ClassName(packageName, simpleNames, others);
    }

    public String simpleName() {
        return simpleNames.get(simpleNames.size() - 1);
    }

    /** Its simple name after those of its enclosing classes, with dots. */
    public String nestedName() {
        return simpleNames.size() == 1 ? simpleNames.get(0) : String.join(".", simpleNames);
    }

    public String canonicalName() {
        return packageName.isEmpty() ? nestedName() : packageName + "." + nestedName();
    }

    /** Whether both name the same class, regardless of annotations. */
    public boolean isSameAs(ClassName other) {
        return packageName.equals(other.packageName) && simpleNames.equals(other.simpleNames);
    }
}
