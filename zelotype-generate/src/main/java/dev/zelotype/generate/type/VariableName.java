package dev.zelotype.generate.type;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A type variable. Its bounds may refer to the variable itself, so equality ignores them.
 */
public final class VariableName implements TypeName {

    private final String name;
    private final List<TypeName> bounds;
    private final List<AnnotationText> annotations;

    private VariableName(String name, List<TypeName> bounds, List<AnnotationText> annotations) {
        this.name = name;
        this.bounds = bounds;
        this.annotations = annotations;
    }

    /** A variable without bounds, until some are added. */
    public static VariableName of(String name) {
        return new VariableName(name, new ArrayList<>(), List.of());
    }

    /** A variable with bounds; {@code Object} is omitted. */
    public static VariableName of(String name, List<? extends TypeName> bounds) {
        VariableName variable = of(name);
        bounds.forEach(variable::addBound);
        return variable;
    }

    void addBound(TypeName bound) {
        if (!bound.equals(ClassName.OBJECT)) {
            bounds.add(bound);
        }
    }

    public String name() {
        return name;
    }

    /** Its bounds; empty if it may be any object. */
    public List<TypeName> bounds() {
        return Collections.unmodifiableList(bounds);
    }

    @Override
    public List<AnnotationText> annotations() {
        return annotations;
    }

    @Override
    public VariableName with(List<AnnotationText> others) {
        return new VariableName(name, bounds, others);
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof VariableName same && same.name.equals(name) && same.annotations.equals(annotations);
    }

    @Override
    public int hashCode() {
        return name.hashCode();
    }

    @Override
    public String toString() {
        return name;
    }
}
