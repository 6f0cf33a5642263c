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
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;

/**
 * Writes the parts of a spy: a list of all calls, a record for each method, and the delegation to the real object.
 */
final class SpyWriter {

    /** Names that record components may not have. */
    private static final Set<String> TAKEN_IN_RECORDS =
            Set.of("clone", "finalize", "getClass", "hashCode", "notify", "notifyAll", "toString", "wait");

    private final TypeModel type;
    private final String packageName;
    private final ClassText out;
    private final String typeCode;
    private final String anyCall;
    private final Outside ofType;

    SpyWriter(TypeModel type, String packageName, ClassText out) {
        this.type = type;
        this.packageName = packageName;
        this.out = out;
        this.typeCode = Code.type(type.name());
        this.ofType = new Outside(type.typeVariables());
        boolean taken = type.typeVariables().all().stream()
                .anyMatch(variable -> variable.name().equals("Call"));
        anyCall = taken ? "AnyCall" : "Call";
    }

    /** The members that all methods share, placed before them. */
    void head() {
        out.field("private final $T<$L> calls = new $T<>()", Queue.class, anyCall, ConcurrentLinkedQueue.class);
        out.method(new MethodText("public", Names.unusedBy(type, "calls"))
                .javadoc("All calls so far, in their order.")
                .returns(Code.of("$T<$L>", List.class, anyCall))
                .statement("return $T.copyOf(calls)", List.class));
        out.type(new ClassText("public sealed interface", anyCall)
                .javadoc("A call of any method of {@link $T}.", type.name()));
    }

    /** The members that the methods share, placed after them. */
    void tail() {
        out.method(new MethodText("private", Names.unusedBy(type, "callsOf"))
                .typeVariables(TypeVariables.of("C"))
                .returns(Code.of("$T<C>", List.class))
                .parameter(Code.of("$T<C>", Class.class), "type")
                .statement("return calls.stream().filter(type::isInstance).map(type::cast).toList()"));
        if (!type.isInterface()) {
            out.method(new MethodText("private", Names.unusedBy(type, "keep"))
                    .returns("void")
                    .parameter(anyCall, "call")
                    .comment("The constructor of the superclass may call methods before there is a list.")
                    .block("if (calls != null) { calls.add(call); }"));
        }
    }

    void method(MethodModel method) {
        new OfMethod(method).write();
    }

    /** The members of one method. */
    private final class OfMethod {

        private final MethodModel method;
        private final List<Parameter> components = new ArrayList<>();
        private final String raw;
        private final String record;
        private final boolean generic;
        private final String subject;

        OfMethod(MethodModel method) {
            this.method = method;
            Outside ofMethod = new Outside(method.typeVariables());
            for (Parameter parameter : method.parameters()) {
                String name = parameter.name();
                TypeName outside = ofMethod.above(parameter.type());
                components.add(parameter.plain(outside, TAKEN_IN_RECORDS.contains(name) ? name + "Argument" : name));
            }
            generic = ofType.mentionedIn(components);
            raw = method.capitalName() + "Call";
            record = generic ? type.withVariables(raw) : raw;
            subject = method.linkFrom(typeCode);
        }

        void write() {
            out.method(calls());
            out.method(overridden());
            out.type(record());
        }

        private MethodText calls() {
            MethodText code = new MethodText("public", Names.unusedBy(type, method.readableName() + "Calls"))
                    .javadoc("The calls of " + subject + " so far.")
                    .returns(Code.of("$T<$L>", List.class, record));
            String callsOf = Names.unusedBy(type, "callsOf");
            if (generic) {
                code.annotation(Code.suppressing(Set.of("unchecked")));
                code.statement("return ($T<$L>) ($T<?>) $L($L.class)", List.class, record, List.class, callsOf, raw);
            } else {
                code.statement("return $L($L.class)", callsOf, raw);
            }
            return code;
        }

        /** The recorded value of an argument: a copy of an array, because the caller may change it later. */
        private String kept(Parameter parameter, MethodText code) {
            String name = parameter.name();
            if (!(parameter.type() instanceof ArrayName array)) {
                return name;
            }
            if (!(array.component() instanceof ArrayName)) {
                return Code.of("$L == null ? null : $L.clone()", name, name);
            }
            String copy = Names.unusedBy(method.parameters(), name + "Kept");
            code.statement(
                    "$L $L = $L == null ? null : $L.clone()", Code.type(array.withoutAnnotations()), copy, name, name);
            copyWithin(array.component(), copy, Names.unusedBy(method.parameters(), "i"), code);
            return copy;
        }

        private void copyWithin(TypeName element, String of, String index, MethodText code) {
            code.begin("for (int $L = 0; $L != null && $L < $L.length; $L++)", index, of, index, of, index);
            String one = of + "[" + index + "]";
            code.statement("$L = $L == null ? null : $L.clone()", one, one, one);
            if (((ArrayName) element).component() instanceof ArrayName) {
                copyWithin(
                        ((ArrayName) element).component(), one, Names.unusedBy(method.parameters(), index + "i"), code);
            }
            code.end();
        }

        private MethodText overridden() {
            MethodText code = Writer.overriding(method, Set.of());
            List<String> values = new ArrayList<>();
            for (Parameter parameter : method.parameters()) {
                values.add(kept(parameter, code));
            }
            String keep = type.isInterface() ? Names.ofThis(method, "calls") + ".add" : Names.unusedBy(type, "keep");
            code.statement("$L(new $L($L))", keep, record, String.join(", ", values));
            String real = Names.ofThis(method, "real");
            String otherwise = Writer.byItself(type, method);
            // A protected method of another object can be called from its own package only.
            boolean isPassedOn = method.access() == MethodModel.Access.PUBLIC
                    || method.packageName().equals(packageName);
            String passedOn = Code.of("$L.$L($L)", real, method.name(), Names.list(method.parameters()));
            if (!isPassedOn) {
                if (!otherwise.isEmpty()) {
                    code.statement(method.isVoid() ? "$L" : "return $L", otherwise);
                }
            } else {
                Writer.choice(code, method, real, otherwise, passedOn);
            }
            return code.joined();
        }

        private ClassText record() {
            ClassText call =
                    new ClassText("public record", raw).components(components).supertypes("implements " + anyCall);
            if (generic) {
                call.typeVariables(type.typeVariables());
            }
            if (components.stream().anyMatch(each -> each.type() instanceof ArrayName)) {
                byContent(call);
            }
            return call;
        }

        /** By default, records compare arrays by identity and print them without their content. */
        private void byContent(ClassText call) {
            String other = Names.unusedBy(components, "other");
            String that = Names.unusedBy(components, "that");
            List<String> equal = new ArrayList<>();
            List<String> hashes = new ArrayList<>();
            List<String> texts = new ArrayList<>();
            String label = raw + "[";
            for (Parameter each : components) {
                String name = each.name();
                label += name + "=";
                if (each.type() instanceof ArrayName array) {
                    String deep = array.component() instanceof PrimitiveName ? "" : "deep";
                    equal.add(Code.of("$T.$L($L, $L.$L)", Arrays.class, named(deep, "equals"), name, that, name));
                    hashes.add(Code.of("$T.$L($L)", Arrays.class, named(deep, "hashCode"), name));
                    texts.add(Code.of("$S + $T.$L($L)", label, Arrays.class, named(deep, "toString"), name));
                } else {
                    equal.add(Code.of("$T.equals($L, $L.$L)", Objects.class, name, that, name));
                    hashes.add(name);
                    texts.add(Code.of("$S + $L", label, name));
                }
                label = ", ";
            }
            String wild = generic
                    ? Code.of(
                            "$L<$L>",
                            raw,
                            String.join(
                                    ", ",
                                    type.typeVariables().all().stream()
                                            .map(each -> "?")
                                            .toList()))
                    : raw;
            call.method(new MethodText("public", "equals")
                    .annotation(Writer.OVERRIDE)
                    .returns("boolean")
                    .parameter(Code.type(ClassName.OBJECT), other)
                    .statement(
                            "return $L instanceof $L $L && $L",
                            other,
                            wild,
                            that,
                            String.join(Code.BREAK + "&& ", equal)));
            call.method(new MethodText("public", "hashCode")
                    .annotation(Writer.OVERRIDE)
                    .returns("int")
                    .statement("return $T.hash($L)", Objects.class, String.join(", ", hashes)));
            call.method(new MethodText("public", "toString")
                    .annotation(Writer.OVERRIDE)
                    .returns(Code.of("$T", String.class))
                    .statement("return $L + $S", String.join(Code.BREAK + "+ ", texts), "]"));
        }

        private static String named(String deep, String method) {
            return deep.isEmpty() ? method : deep + Character.toUpperCase(method.charAt(0)) + method.substring(1);
        }
    }
}
