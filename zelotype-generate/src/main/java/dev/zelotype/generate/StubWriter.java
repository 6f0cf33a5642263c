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
import dev.zelotype.generate.type.ClassName;
import dev.zelotype.generate.type.PrimitiveName;
import dev.zelotype.generate.type.TypeName;
import dev.zelotype.generate.type.VariableName;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;

/**
 * Writes the parts of a stub: for each method a field with its answer, and the methods that set it.
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
    private final String inTurn;
    private final String unset;
    /** The interfaces that several methods share, by name. */
    private final Map<String, ClassText> shared = new LinkedHashMap<>();
    /** Their exceptions; a method with other exceptions gets its own interface. */
    private final Map<String, List<TypeName>> thrown = new HashMap<>();

    StubWriter(TypeModel type, Style style, ClassText out) {
        this.type = type;
        this.style = style;
        this.out = out;
        this.self = type.withVariables(out.name());
        this.typeCode = Code.type(type.name());
        this.ofType = new Outside(type.typeVariables());
        this.inTurn = Names.unusedBy(type, "inTurn");
        this.unset = Names.unusedBy(type, "unset");
    }

    void method(MethodModel method) {
        new OfMethod(method).write();
    }

    /** The members that several methods need, placed after them. */
    void tail(boolean answered, boolean called) {
        if (answered) {
            out.method(new MethodText("private static", inTurn)
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
        if (called && style == Style.STRICT) {
            out.method(new MethodText("private static", unset)
                    .returns(Code.of("$T", AssertionError.class))
                    .parameter(Code.of("$T", String.class), "call")
                    .parameter(Code.of("$T", String.class), "cure")
                    .parameter(Code.of("$T...", Object.class), "arguments")
                    .statement("$T shown = $T.deepToString(arguments)", String.class, Arrays.class)
                    .statement("shown = shown.substring(1, shown.length() - 1)")
                    .statement(
                            "return new $T($S + call + $S + shown + $S + cure + $S)",
                            AssertionError.class,
                            "Nothing is set for " + type.name().simpleName() + ".",
                            "(",
                            "). Write: .",
                            ";"));
        }
        shared.values().forEach(out::type);
    }

    /** The members of one method. */
    private final class OfMethod {

        private final MethodModel method;
        private final String name;
        /** The javadoc link to the method. */
        private final String subject;

        private final TypeName kept;
        private final String keptCode;
        private final List<TypeName> exceptions = new ArrayList<>();
        private final List<Parameter> parameters = new ArrayList<>();
        private final String argumentNames;
        private final String lambdaParameters;
        private final String field;
        private final String does;
        private boolean described;
        /** The interface of the answer, and the name of its method. */
        private final String shape;

        private final String call;

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
            AnswerShape known = AnswerShape.of(parameters, kept);
            if (known != null && canShare(known)) {
                shape = exceptions.isEmpty() ? known.code() : known.throwingCode();
                call = known.call();
            } else {
                shape = own();
                call = AnswerShape.call(kept);
            }
        }

        private boolean canShare(AnswerShape known) {
            if (exceptions.isEmpty() && known.isOfJdk()) {
                return true;
            } else if (exceptions.stream().anyMatch(ofType::isMentionedIn)) {
                return false;
            }
            String called = exceptions.isEmpty() ? known.name() : known.throwingName();
            if (!thrown.containsKey(called)) {
                thrown.put(called, exceptions);
                shared.put(called, known.declared(called, exceptions));
            }
            return thrown.get(called).equals(exceptions);
        }

        /** An interface for only this method. */
        private String own() {
            String raw = method.capitalName() + (method.isVoid() ? "Action" : "Answer");
            ClassText written = new ClassText("public interface", raw)
                    .annotation(FUNCTIONAL)
                    .javadoc(method.isVoid() ? "What $L does." : "Works out what $L answers.", subject)
                    .method(new MethodText("", AnswerShape.call(kept))
                            .parameters(parameters)
                            .exceptions(exceptions)
                            .returns(keptCode)
                            .withoutBody());
            out.type(written);
            boolean generic = ofType.isMentionedIn(kept)
                    || ofType.mentionedIn(parameters)
                    || exceptions.stream().anyMatch(ofType::isMentionedIn);
            if (generic) {
                written.typeVariables(type.typeVariables());
            }
            return generic ? type.withVariables(raw) : raw;
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
        }

        private void field() {
            boolean isSet = method.isAbstract() && (style == Style.STRICT || type.isInterface());
            if (isSet) {
                String unset = style == Style.STRICT ? refusing() : lambda(unsetAnswer());
                out.field("private volatile $L $L =" + Code.BREAK + "$L", shape, field, unset);
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

        /** An initial answer that fails and names the missing line. */
        private String refusing() {
            String cure = method.isVoid()
                    ? Names.unusedBy(type, name + "DoesNothing") + "()"
                    : Names.unusedBy(type, name + "Answers") + "(...)";
            return lambda(Code.of(
                    "{" + Code.BREAK + "throw $L($S, $S$L); }",
                    unset,
                    method.name(),
                    cure,
                    parameters.isEmpty() ? "" : ", " + shownNames()));
        }

        /** An array alone would be passed as the whole argument list. */
        private String shownNames() {
            return parameters.size() == 1 && !(parameters.get(0).type() instanceof PrimitiveName)
                    ? Code.of("new $T[] {$L}", Object.class, argumentNames)
                    : argumentNames;
        }

        /** A method that sets the answer. Only the first one gets javadoc. */
        private MethodText setter(String word) {
            MethodText setter = new MethodText("public", word).returns(self);
            if (described) {
                return setter.joined();
            }
            described = true;
            return setter.javadoc("Sets what " + subject + (method.isVoid() ? " does." : " answers."));
        }

        private void doesNothing() {
            out.method(
                    setter(Names.unusedBy(type, name + "DoesNothing")).statement("return $L($L)", does, lambda("{ }")));
        }

        private void answers() {
            String answer = Names.unusedBy(parameters, "answer");
            out.method(setter(Names.unusedBy(type, name + "Answers"))
                    .parameter(keptCode, answer)
                    .statement("return $L($L)", does, lambda(answer)));
        }

        private void answersInTurn() {
            TypeName boxed = kept.box();
            String boxedCode = Code.type(boxed);
            String element = boxed instanceof ClassName ? boxedCode : "? extends " + boxedCode;
            String answers = Names.unusedBy(parameters, "answers");
            String next = Names.unusedBy(parameters, "next");
            MethodText setter = setter(Names.unusedBy(type, name + "AnswersInTurn"))
                    .parameter(Code.of("$T<$L>", List.class, element), answers);
            if (parameters.isEmpty()) {
                setter.statement("return $L($L($L)::get)", does, inTurn, answers);
            } else {
                setter.statement("$T<$L> $L = $L($L)", Supplier.class, boxedCode, next, inTurn, answers)
                        .statement("return $L($L)", does, lambda(next + ".get()"));
            }
            out.method(setter);
        }

        private void doesOrAnswersBy() {
            String parameter = method.isVoid() ? "action" : "answer";
            out.method(setter(does)
                    .parameter(shape, parameter)
                    .statement("$L = $L", field.equals(parameter) ? "this." + field : field, parameter)
                    .statement("return this"));
        }

        /** One for each sort of unchecked exceptions, and one for each checked exception that the method declares. */
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
                out.method(setter(setter)
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
            String call = Code.of("$L.$L($L)", answer, this.call, argumentNames);
            String given = cast ? Code.of("($T) $L", method.returns().withoutAnnotations(), call) : call;
            if (method.isAbstract() && type.isInterface()) {
                code.statement(method.isVoid() ? "$L" : "return $L", given);
            } else {
                // In a class, even the field of an abstract method is null while the constructor of the superclass
                // runs.
                Writer.choice(code, method, answer, Writer.byItself(type, method), given);
            }
            out.method(code.joined());
        }
    }
}
