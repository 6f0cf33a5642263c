package dev.zelotype.generate.type;

import java.util.List;
import javax.lang.model.type.TypeMirror;

/**
 * A type as it is named in source. Two names are equal if they are written the same way.
 */
public sealed interface TypeName permits ArrayName, ClassName, GenericName, PrimitiveName, VariableName, WildcardName {

    PrimitiveName VOID = new PrimitiveName("void", List.of());

    /** Converts a type of the compiler, without its annotations. */
    static TypeName of(TypeMirror type) {
        return new TypeNaming().of(type);
    }

    /** The annotations of the type itself, without those of its parts. */
    List<AnnotationText> annotations();

    /** The same type with additional annotations. */
    default TypeName annotated(List<AnnotationText> more) {
        return with(annotations().isEmpty() ? more : AnnotationText.together(annotations(), more));
    }

    /** The same type without its own annotations; its parts keep theirs. */
    default TypeName withoutAnnotations() {
        return annotations().isEmpty() ? this : with(List.of());
    }

    /** The same type with only these annotations. */
    TypeName with(List<AnnotationText> annotations);

    /** The wrapper class of a primitive type; any other type itself. */
    default TypeName box() {
        return this;
    }
}
