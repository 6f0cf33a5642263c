package dev.zelotype.generate;

import dev.zelotype.generate.model.Code;
import dev.zelotype.generate.model.ConstructorModel;
import dev.zelotype.generate.model.MethodModel;
import dev.zelotype.generate.model.Names;
import dev.zelotype.generate.model.Parameter;
import dev.zelotype.generate.model.TypeModel;
import dev.zelotype.generate.text.ClassText;
import dev.zelotype.generate.text.MethodText;
import dev.zelotype.generate.text.SourceFile;
import dev.zelotype.generate.type.AnnotationText;
import dev.zelotype.generate.type.GenericName;
import dev.zelotype.generate.type.PrimitiveName;
import dev.zelotype.generate.type.TypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import javax.annotation.processing.Generated;

/**
 * Writes the source of one double.
 */
final class Writer {

    static final String OVERRIDE = Code.of("@$T", Override.class);

    private final String packageName;
    private final TypeModel type;
    private final Style style;
    private final ClassText out;
    private final String leftToWrite;
    private boolean left;

    private Writer(TypeModel type, Style style, String packageName) {
        this.packageName = packageName;
        this.type = type;
        this.style = style;
        this.out = new ClassText(
                        style == Style.BASE ? "public abstract class" : "public class", DoubleName.of(type, style))
                .typeVariables(type.typeVariables());
        this.leftToWrite = Names.unusedBy(type, "leftToWrite");
    }

    /**
     * Returns the source of a double.
     *
     * @param neighbours the simple names of the types in the package
     * @param marked whether to mark it as generated
     */
    static String write(TypeModel type, Style style, String packageName, Set<String> neighbours, boolean marked) {
        ClassText written = switch (style) {
            case BASE, STUB, STRICT, SPY, FAKE, WORKING_FAKE -> new Writer(type, style, packageName).build();
            case LINKED -> LinkedWriter.write(type);
        };
        if (type.unmarked() != null) {
            written.annotation(Code.of("@$T", type.unmarked()));
        }
        if (marked) {
            written.annotation(Code.of("@$T($S)", Generated.class, "Zelotype"));
        }
        // A type nested in the doubled one hides an import with the same name.
        return SourceFile.text(packageName, neighbours, written, type.nestedNames());
    }

    private ClassText build() {
        extend(out, type);
        if (style != Style.WORKING_FAKE) {
            about();
        }
        constructors();
        List<MethodModel> methods = new ArrayList<>();
        boolean called = false;
        boolean answered = false;
        for (MethodModel method : type.methods()) {
            if (isWritten(method)) {
                methods.add(method);
                called |= !method.isOfObject();
                answered |= !method.isOfObject() && !method.isVoid();
            }
        }
        FakeWriter fake = new FakeWriter(type, out, DoubleName.of(type, style));
        if (style == Style.WORKING_FAKE) {
            fake.head(methods);
        }
        SpyWriter spy = new SpyWriter(type, packageName, out);
        StubWriter stub = new StubWriter(type, style, out);
        if (style == Style.SPY && called) {
            spy.head();
        }
        for (MethodModel method : methods) {
            if (method.isOfObject()) {
                identity(method);
                continue;
            }
            if (!method.isAbstract() && !setsAnswers()) {
                itself(method);
                continue;
            }
            switch (style) {
                case BASE -> empty(method);
                case STUB, STRICT -> stub.method(method);
                case SPY -> spy.method(method);
                case FAKE -> left(method);
                case WORKING_FAKE -> {
                    if (!fake.write(method)) {
                        left(method);
                    }
                }
                case LINKED -> throw notHere();
            }
        }
        if (style == Style.SPY && called) {
            spy.tail();
        }
        if (style == Style.STUB || style == Style.STRICT) {
            stub.tail(answered, called);
        } else if (style == Style.FAKE || style == Style.WORKING_FAKE) {
            leftToWrite();
        }
        equalsWithHashCode(methods);
        return out;
    }

    private void about() {
        out.javadoc(
                switch (style) {
                    case BASE -> "Answers every call of {@link $T} with an empty value: override what a test needs.";
                    case STUB ->
                        "A stub of {@link $T}: set the answers of each method. The last of several answers is repeated.";
                    case STRICT ->
                        type.isInterface()
                                ? "A strict stub of {@link $T}: its answers are set for each method; a call that is not"
                                        + " set fails."
                                : "A strict stub of {@link $T}: a call that is not set fails, unless the constructor makes"
                                        + " it.";
                    case SPY ->
                        "A spy of {@link $T}: records all calls, and passes them on to a real object if it has one.";
                    case FAKE -> "A fake of {@link $T}, to be written: each unwritten method fails with that message.";
                    case WORKING_FAKE, LINKED -> throw notHere();
                },
                type.name());
    }

    /** Default methods run their own code in every style; styles that can set another answer override them. */
    private boolean isWritten(MethodModel method) {
        return method.isAbstract() || (setsAnswers() || hidesObjects(method)) && !method.ofClass();
    }

    private boolean setsAnswers() {
        return style == Style.STUB || style == Style.STRICT || style == Style.SPY;
    }

    /** Without an override, a class would inherit the protected method of Object instead of the default method. */
    private static boolean hidesObjects(MethodModel method) {
        return method.name().equals("clone") && method.parameters().isEmpty();
    }

    private void itself(MethodModel method) {
        out.method(
                overriding(method, Set.of()).statement(method.isVoid() ? "$L" : "return $L", byItself(type, method)));
    }

    /** Methods of Object that a class declares abstract. */
    private void identity(MethodModel method) {
        String body = switch (method.name()) {
            case "equals" -> "this == " + method.parameters().get(0).name();
            case "hashCode" -> Code.of("$T.identityHashCode(this)", System.class);
            default -> Code.of("$S", DoubleName.of(type, style));
        };
        out.method(overriding(method, Set.of()).statement("return $L", body));
    }

    /** A class that overrides one of them should override the other. */
    private void equalsWithHashCode(List<MethodModel> methods) {
        boolean equals = false;
        boolean hashCode = false;
        for (MethodModel method : methods) {
            equals |= method.isOfObject() && method.name().equals("equals");
            hashCode |= method.isOfObject() && method.name().equals("hashCode");
        }
        if (equals != hashCode) {
            String missing = equals ? "hashCode" : "equals";
            type.objectMethods().stream()
                    .filter(method -> method.name().equals(missing))
                    .forEach(this::identity);
        }
    }

    /**
     * The start of every double of a type: what it extends, whether it is deprecated, which warnings are suppressed.
     */
    static void extend(ClassText out, TypeModel type) {
        out.supertypes((type.isInterface() ? "implements " : "extends ") + Code.type(type.self()));
        if (type.isDeprecated()) {
            out.annotation(Code.of("@$T", Deprecated.class));
        }
        if (!type.warnings().isEmpty()) {
            out.annotation(Code.suppressing(type.warnings()));
        }
        if (type.asksForFinalizer()) {
            // The finalizer of Object is not public.
            out.method(new MethodText("public", "finalize")
                    .annotation(OVERRIDE)
                    .returns("void")
                    .comment("Only the garbage collector calls it."));
        }
    }

    private void constructors() {
        if (style == Style.SPY) {
            out.field("private final $T real", type.self());
        }
        for (ConstructorModel constructor : type.isInterface() ? List.of(ConstructorModel.NONE) : type.constructors()) {
            constructor(constructor, false);
            if (style == Style.SPY && !isConstructorWithReal(constructor.parameters())) {
                constructor(constructor, true);
            }
        }
    }

    /** Whether a constructor of the type takes exactly these parameters followed by another object of the type. */
    private boolean isConstructorWithReal(List<Parameter> parameters) {
        List<TypeName> wanted = new ArrayList<>(rawTypes(parameters));
        wanted.add(type.name());
        return type.constructors().stream()
                .anyMatch(other -> rawTypes(other.parameters()).equals(wanted));
    }

    private static List<TypeName> rawTypes(List<Parameter> parameters) {
        return parameters.stream()
                .map(Parameter::type)
                .map(each -> each instanceof GenericName generic ? generic.raw() : each)
                .toList();
    }

    private void constructor(ConstructorModel constructor, boolean withReal) {
        List<Parameter> parameters = constructor.parameters();
        // The compiler adds such a constructor, but only to classes without others.
        boolean needless = parameters.isEmpty()
                && constructor.exceptions().isEmpty()
                && style != Style.SPY
                && type.constructors().size() < 2;
        if (needless) {
            return;
        }
        MethodText code = new MethodText("public", out.name())
                .typeVariables(constructor.typeVariables())
                .parameters(parameters)
                .exceptions(constructor.exceptions());
        if (style == Style.SPY) {
            code.javadoc(withReal ? "Passes calls on to a real object." : "Answers calls with empty values.");
        }
        if (!parameters.isEmpty()) {
            code.statement("super($L)", Names.list(parameters));
        }
        if (withReal) {
            String name = Names.unusedBy(parameters, "real");
            code.parameter(Code.type(type.self()), name);
            code.statement("this.real = $L", name);
        } else if (style == Style.SPY) {
            code.statement("this.real = null");
        }
        out.method(code);
    }

    /**
     * Adds the choice between other code, if a field is null, and a call of the field's value.
     *
     * @param own empty if nothing is to be done
     */
    static void choice(MethodText code, MethodModel method, String field, String own, String call) {
        if (own.isEmpty()) {
            code.block("if (" + field + " != null) { " + call + "; }");
        } else if (method.isVoid()) {
            code.begin("if ($L == null)", field)
                    .statement("$L", own)
                    .otherwise()
                    .statement("$L", call)
                    .end();
        } else {
            code.statement("return $L == null" + Code.BREAK + "? $L" + Code.BREAK + ": $L", field, own, call);
        }
    }

    /** What a method does by itself, as one side of a choice: its own code, or its empty answer; empty if nothing. */
    static String byItself(TypeModel type, MethodModel method) {
        if (!method.isAbstract()) {
            return type.ownCode(method);
        } else if (method.isVoid()) {
            return "";
        }
        String empty = type.emptyAnswer(method.returns());
        // A choice of two numbers would unwrap the other one, which may be null.
        return PrimitiveName.isBox(method.returns())
                ? Code.of("$T.valueOf($L)", method.returns().withoutAnnotations(), empty)
                : empty;
    }

    /** The start of a method that overrides one of the doubled type. */
    static MethodText overriding(MethodModel method, Set<String> furtherWarnings) {
        String access = switch (method.access()) {
            case PUBLIC -> "public";
            case PROTECTED -> "protected";
            case PACKAGE -> "";
        };
        MethodText code = new MethodText(access, method.name()).annotation(OVERRIDE);
        for (AnnotationText each : method.annotations()) {
            code.annotation(Code.annotation(each));
        }
        code.typeVariables(method.typeVariables())
                .returns(Code.type(method.returns()))
                .exceptions(method.exceptions());
        if (method.varargs()) {
            code.varargs(method.parameters());
        } else {
            code.parameters(method.parameters());
        }
        Set<String> warnings = new TreeSet<>(method.warnings());
        warnings.addAll(furtherWarnings);
        if (!warnings.isEmpty()) {
            code.annotation(Code.suppressing(warnings));
        }
        return code;
    }

    private static IllegalStateException notHere() {
        return new IllegalStateException("Linked doubles have a writer of their own.");
    }

    private void left(MethodModel method) {
        left = true;
        out.method(overriding(method, Set.of()).statement("throw $L($S)", leftToWrite, method.name()));
    }

    /** What unwritten methods throw. */
    private void leftToWrite() {
        if (left) {
            out.method(new MethodText("private static", leftToWrite)
                    .returns(Code.of("$T", UnsupportedOperationException.class))
                    .parameter(Code.of("$T", String.class), "method")
                    .statement(
                            "return new $T($S + method + $S)",
                            UnsupportedOperationException.class,
                            DoubleName.of(type, style) + ".",
                            " is left to write."));
        }
    }

    private void empty(MethodModel method) {
        MethodText code = overriding(method, Set.of());
        if (!method.isVoid()) {
            code.statement("return $L", type.emptyAnswer(method.returns()));
        }
        out.method(code);
    }
}
