package dev.zelotype.generate.type;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.AnnotationMirror;
import javax.lang.model.element.AnnotationValue;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.SimpleAnnotationValueVisitor14;

/**
 * An annotation as it is written in source.
 *
 * @param type its type
 * @param members the value of each member, as source, in the order of the annotation
 */
public record AnnotationText(ClassName type, Map<String, String> members) {

    /** Converts an annotation of the compiler, with only its explicit members. */
    public static AnnotationText of(AnnotationMirror annotation) {
        Map<String, String> members = new LinkedHashMap<>();
        annotation
                .getElementValues()
                .forEach((member, value) ->
                        members.put(member.getSimpleName().toString(), value.accept(new Source(), value)));
        TypeElement type = (TypeElement) annotation.getAnnotationType().asElement();
        return new AnnotationText(ClassName.of(type), members);
    }

    /** All of both lists, without duplicates. */
    static List<AnnotationText> together(List<AnnotationText> some, List<AnnotationText> others) {
        Set<AnnotationText> all = new LinkedHashSet<>(some);
        all.addAll(others);
        return List.copyOf(all);
    }

    /** Values with qualified names of types, so that they need no import. */
    private static final class Source extends SimpleAnnotationValueVisitor14<String, AnnotationValue> {

        @Override
        protected String defaultAction(Object constant, AnnotationValue value) {
            return value.toString();
        }

        @Override
        public String visitEnumConstant(VariableElement constant, AnnotationValue value) {
            TypeElement type = (TypeElement) constant.getEnclosingElement();
            return type.getQualifiedName() + "." + constant.getSimpleName();
        }

        @Override
        public String visitType(TypeMirror type, AnnotationValue value) {
            return type + ".class";
        }

        @Override
        public String visitArray(List<? extends AnnotationValue> values, AnnotationValue value) {
            List<String> texts = new ArrayList<>();
            values.forEach(each -> texts.add(each.accept(this, each)));
            return texts.size() == 1 ? texts.get(0) : "{" + String.join(", ", texts) + "}";
        }
    }
}
