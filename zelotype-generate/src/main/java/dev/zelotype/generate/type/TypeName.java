package dev.zelotype.generate.type;

import java.util.List;
import javax.lang.model.type.TypeMirror;

/**
 * A type as source names it. Two names are equal if they are written the same.
 */
public sealed interface TypeName permits ArrayName, ClassName, GenericName, PrimitiveName, VariableName, WildcardName {

    PrimitiveName VOID = new PrimitiveName("void", List.of());

    /** The name of a type that the compiler knows. Annotations on the type are left out. */
    static TypeName of(TypeMirror type) {
        return new TypeNaming().of(type);
    }

    /** What the type is annotated with in this place, without what its parts are annotated with. */
    List<AnnotationText> annotations();

    /** The same type with these annotations besides. */
    default TypeName annotated(List<AnnotationText> more) {
        return with(annotations().isEmpty() ? more : AnnotationText.together(annotations(), more));
    }

    /** The same type without its own annotations; its parts keep theirs. */
    default TypeName withoutAnnotations() {
        return annotations().isEmpty() ? this : with(List.of());
    }

    /** The same type with these annotations alone. */
    TypeName with(List<AnnotationText> annotations);

    /** The type of an object that holds a value of this type. */
    default TypeName box() {
        return this;
    }
}
