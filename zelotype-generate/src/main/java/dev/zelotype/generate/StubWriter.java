package dev.zelotype.generate;

import dev.zelotype.generate.model.Code;
import dev.zelotype.generate.model.MethodModel;
import dev.zelotype.generate.model.Names;
import dev.zelotype.generate.model.Parameter;
import dev.zelotype.generate.model.TypeModel;
import dev.zelotype.generate.model.TypeVariables;
import dev.zelotype.generate.text.ClassText;
import dev.zelotype.generate.text.MethodText;
import dev.zelotype.generate.text.Outside;
import dev.zelotype.generate.type.ArrayName;
import dev.zelotype.generate.type.ClassName;
import dev.zelotype.generate.type.PrimitiveName;
import dev.zelotype.generate.type.TypeName;
import dev.zelotype.generate.type.VariableName;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;

/**
 * Writes the parts of a stub: for each method a place for its answer, and what a test says to set it.
 */
final class StubWriter {

    private static final String RUNTIME_EXCEPTION = Code.of("$T", RuntimeException.class);
    private static final String ERROR = Code.of("$T", Error.class);
    private static final String FUNCTIONAL = Code.of("@$T", FunctionalInterface.class);

    private final TypeModel type;
    private final Style style;
    private final ClassText out;
    private final String self;
    private final String typeCode;
    private final Outside ofType;

    StubWriter(TypeModel type, Style style, ClassText out) {
        this.type = type;
        this.style = style;
        this.out = out;
        this.self = type.withVariables(out.name());
        this.typeCode = Code.type(type.name());
        this.ofType = new Outside(type.typeVariables());
    }

    void method(MethodModel method) {
        new OfMethod(method).write();
    }

    /** What several methods need; it stands behind them. */
    void tail() {
        out.method(new MethodText("private static", Names.unusedBy(type, "inTurn"))
                .typeVariables(TypeVariables.of("A"))
                .returns(Code.of("$T<A>", Supplier.class))
                .parameter(Code.of("$T<? extends A>", List.class), "answers")
                .begin("if (answers.isEmpty())")
                .statement("throw new $T($S)", IllegalArgumentException.class, "Give at least one answer.")
                .end()
                .statement("$T<A> kept = new $T<>(answers)", List.class, ArrayList.class)
                .statement("$T given = new $T()", AtomicInteger.class, AtomicInteger.class)
                .statement("return () -> kept.get($T.min(given.getAndIncrement(), kept.size() - 1))", Math.class));
    }

    /** What belongs to one method. */
    private final class OfMethod {

        private final MethodModel method;
        private final String name;
        /** What javadoc describes. */
        private final String subject;

        private final TypeName kept;
        private final String keptCode;
        private final List<TypeName> exceptions = new ArrayList<>();
        private final List<Parameter> parameters = new ArrayList<>();
        private final String argumentNames;
        private final String lambdaParameters;
        private final String field;
        private final String does;
        private final String rawShape;
        private final boolean generic;
        private final String shape;

        OfMethod(MethodModel method) {
            this.method = method;
            name = method.readableName();
            Outside ofMethod = new Outside(method.typeVariables());
            kept = ofMethod.above(method.returns()).withoutAnnotations();
            keptCode = Code.type(kept);
            subject = method.linkFrom(typeCode);
            for (Parameter parameter : method.parameters()) {
                TypeName outside = ofMethod.above(parameter.type()).withoutAnnotations();
                parameters.add(parameter.plain(outside, parameter.name()));
            }
            for (TypeName thrown : method.exceptions()) {
                if (!ofMethod.isMentionedIn(thrown)) {
                    exceptions.add(thrown.withoutAnnotations());
                }
            }
            argumentNames = Names.list(parameters);
            lambdaParameters = parameters.size() == 1 ? argumentNames : "(" + argumentNames + ")";
            field = name + (method.isVoid() ? "Action" : "Answer");
            does = Names.unusedBy(type, name + (method.isVoid() ? "Does" : "AnswersBy"));
            rawShape = method.capitalName() + (method.isVoid() ? "Action" : "Answer");
            generic = ofType.isMentionedIn(kept)
                    || ofType.mentionedIn(parameters)
                    || exceptions.stream().anyMatch(ofType::isMentionedIn);
            shape = generic ? type.withVariables(rawShape) : rawShape;
        }

        void write() {
            field();
            if (method.isVoid()) {
                if (style == Style.STRICT) {
                    doesNothing();
                }
            } else {
                answers();
                answersInTurn();
            }
            doesOrAnswersBy();
            fails();
            overridden();
            out.type(functionalInterface());
        }

        private void field() {
            if (method.isAbstract()) {
                String unset = style == Style.STRICT ? refusing() : lambda(unsetAnswer());
                out.field("private volatile $L $L = $L", shape, field, unset);
            } else {
                out.field("private volatile $L $L", shape, field);
            }
        }

        private String unsetAnswer() {
            return method.isVoid() ? "{ }" : type.emptyAnswer(kept);
        }

        private String lambda(String body) {
            return lambdaParameters + " -> " + body;
        }

        /** What says which line is missing. */
        private String refusing() {
            StringBuilder text = new StringBuilder();
            String call = type.name().simpleName() + "." + method.name() + "(";
            String cure = method.isVoid()
                    ? " Write: ." + Names.unusedBy(type, name + "DoesNothing") + "();"
                    : " Write: ." + Names.unusedBy(type, name + "Answers") + "(...);";
            String said = method.isVoid() ? "Not expected: " : "No answer is set for ";
            // On lines of their own, so that they do not grow too long.
            if (parameters.isEmpty()) {
                text.append(Code.of("$S\n+ $S", said + call + ").", cure));
            } else {
                text.append(Code.of("$S + ", said + call));
                for (int i = 0; i < parameters.size(); i++) {
                    text.append(i == 0 ? "" : "\n+ \", \" + ").append(printed(parameters.get(i)));
                }
                text.append(Code.of("\n+ $S", ")." + cure));
            }
            String thrown = ClassText.continued(Code.of("throw new $T($L);", AssertionError.class, text));
            return lambda("{\n" + ClassText.indented(thrown, "    ") + "\n}");
        }

        private String printed(Parameter parameter) {
            return parameter.type() instanceof ArrayName array
                    ? Code.of(
                            "$T.$L($L)",
                            Arrays.class,
                            array.component() instanceof PrimitiveName ? "toString" : "deepToString",
                            parameter.name())
                    : parameter.name();
        }

        /** A method that sets the answer. */
        private MethodText said(String word, String javadoc) {
            return setter(word).javadoc(javadoc);
        }

        private MethodText setter(String word) {
            return new MethodText("public", word).returns(self);
        }

        private void doesNothing() {
            out.method(said(
                            Names.unusedBy(type, name + "DoesNothing"),
                            "Says that " + subject + " may be called, and does nothing.")
                    .statement("return $L($L)", does, lambda("{ }")));
        }

        private void answers() {
            String answer = Names.unusedBy(parameters, "answer");
            out.method(said(Names.unusedBy(type, name + "Answers"), "Says what " + subject + " answers from now on.")
                    .parameter(keptCode, answer)
                    .statement("return $L($L)", does, lambda(answer)));
        }

        private void answersInTurn() {
            TypeName boxed = kept.box();
            String boxedCode = Code.type(boxed);
            String element = boxed instanceof ClassName ? boxedCode : "? extends " + boxedCode;
            String answers = Names.unusedBy(parameters, "answers");
            String next = Names.unusedBy(parameters, "next");
            out.method(said(
                            Names.unusedBy(type, name + "AnswersInTurn"),
                            "Says what " + subject + " answers, one after the other; the last again and again.")
                    .parameter(Code.of("$T<$L>", List.class, element), answers)
                    .statement(
                            "$T<$L> $L = $L($L)",
                            Supplier.class,
                            boxedCode,
                            next,
                            Names.unusedBy(type, "inTurn"),
                            answers)
                    .statement("return $L($L)", does, lambda(next + ".get()")));
        }

        private void doesOrAnswersBy() {
            String parameter = method.isVoid() ? "action" : "answer";
            out.method(said(
                            does,
                            method.isVoid()
                                    ? "Says what " + subject + " does from now on: it may run a callback."
                                    : "Says how the answers of " + subject + " are worked out from now on.")
                    .parameter(shape, parameter)
                    .statement("this.$L = $L", field, parameter)
                    .statement("return this"));
        }

        /** One for what is unchecked, and one for each exception that the method declares. */
        private void fails() {
            Map<String, String> allowed = new LinkedHashMap<>();
            allowed.put(RUNTIME_EXCEPTION, RUNTIME_EXCEPTION);
            allowed.put(ERROR, ERROR);
            for (TypeName thrown : exceptions) {
                allowed.putIfAbsent(Code.type(erased(thrown)), Code.type(thrown));
            }
            String failure = Names.unusedBy(parameters, "failure");
            String setter = Names.unusedBy(type, name + "Fails");
            for (String thrown : allowed.values()) {
                // What is said of the first says all.
                boolean first = thrown.equals(RUNTIME_EXCEPTION);
                out.method((first ? said(setter, "Says what " + subject + " throws from now on.") : setter(setter))
                        .parameter(thrown, failure)
                        .statement("return $L($L)", does, lambda("{ throw " + failure + "; }")));
            }
        }

        private TypeName erased(TypeName thrown) {
            if (thrown instanceof VariableName variable) {
                return variable.bounds().isEmpty()
                        ? ClassName.OBJECT
                        : erased(variable.bounds().get(0));
            }
            return thrown;
        }

        private void overridden() {
            boolean cast = !method.typeVariables().isEmpty()
                    && !kept.equals(method.returns().withoutAnnotations());
            MethodText code = Writer.overriding(method, cast ? Set.of("unchecked") : Set.of());
            String answer = Names.ofThis(method, field);
            if (!method.isAbstract()) {
                code.begin("if ($L == null)", answer);
                String own = type.ownCode(method);
                code.statement(method.isVoid() ? "$L" : "return $L", own);
                if (method.isVoid()) {
                    code.statement("return");
                }
                code.end();
            }
            String call = Code.of("$L.$L($L)", answer, method.isVoid() ? "on" : "to", argumentNames);
            if (method.isVoid()) {
                code.statement("$L", call);
            } else if (cast) {
                code.statement("return ($T) $L", method.returns().withoutAnnotations(), call);
            } else {
                code.statement("return $L", call);
            }
            out.method(code);
        }

        private ClassText functionalInterface() {
            ClassText written = new ClassText("public interface", rawShape)
                    .annotation(FUNCTIONAL)
                    .javadoc(method.isVoid() ? "What $L does." : "Works out what $L answers.", subject)
                    .method(new MethodText("", method.isVoid() ? "on" : "to")
                            .parameters(parameters)
                            .exceptions(exceptions)
                            .returns(keptCode)
                            .withoutBody());
            if (generic) {
                written.typeVariables(type.typeVariables());
            }
            return written;
        }
    }
}
