package dev.zelotype.junit;

import dev.zelotype.Zelotype;
import dev.zelotype.doubles.Kind;
import dev.zelotype.error.MisuseException;
import dev.zelotype.host.ClosedPackages;
import dev.zelotype.journal.TestScene;
import java.lang.annotation.Annotation;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.Executable;
import java.lang.reflect.Field;
import java.lang.reflect.InaccessibleObjectException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Parameter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.platform.commons.support.AnnotationSupport;
import org.junit.platform.commons.support.HierarchyTraversalMode;

/**
 * Hands one test its doubles and subjects. All doubles that the test asks for, in whatever place, are there before the first
 * subject is built, so that the subject gets just these.
 */
final class Injection {

    private final TestScene test;
    /** The doubles that the test asks for, by type and name. */
    private final Map<Wish, Declared> declared = new LinkedHashMap<>();

    private final Map<Parameter, Object> ofParameters = new HashMap<>();
    private boolean hasSubject;

    Injection(TestScene test) {
        this.test = test;
    }

    TestScene test() {
        return test;
    }

    private record Wish(Class<?> type, @Nullable String name) {}

    private record Declared(Object made, Kind kind) {}

    private interface Filler {
        void fill(Object test, Field field) throws IllegalAccessException;
    }

    /** What is asked for in a test class, found once: the fields, and the methods around each test. */
    private static final class Asked {

        private static final ClassValue<Asked> OF = new ClassValue<>() {
            @Override
            protected Asked computeValue(Class<?> type) {
                return new Asked(type);
            }
        };

        private final List<Field> fields = new ArrayList<>();
        /** Those that others fill, as their annotations say. */
        private final List<Field> held = new ArrayList<>();

        private final List<Method> around = new ArrayList<>();

        private Asked(Class<?> type) {
            for (Class<?> each = type; each != Object.class; each = each.getSuperclass()) {
                for (Field field : each.getDeclaredFields()) {
                    if (isFilled(field) || field.isAnnotationPresent(Provided.class)) {
                        fields.add(field);
                    } else if (field.getAnnotations().length > 0
                            && !field.getType().isPrimitive()
                            && !Modifier.isStatic(field.getModifiers())
                            && field.trySetAccessible()) {
                        held.add(field);
                    }
                }
            }
            for (Class<? extends Annotation> when : List.of(BeforeEach.class, AfterEach.class)) {
                around.addAll(AnnotationSupport.findAnnotatedMethods(type, when, HierarchyTraversalMode.TOP_DOWN));
            }
        }
    }

    /** Refuses fields where tests that run at the same time would overwrite each other's. */
    static void refuseFields(List<Object> tests) {
        for (Object each : tests) {
            eachField(each, (test, field) -> {
                if (isFilled(field)) {
                    throw new MisuseException(
                            name(field) + " is shared by tests that run at the same time, since all of them have one"
                                    + " instance of their class.",
                            "ask for doubles and subjects as parameters of the test methods");
                }
            });
        }
    }

    private static boolean isFilled(AnnotatedElement element) {
        return element.isAnnotationPresent(StandIn.class) || element.isAnnotationPresent(UnderTest.class);
    }

    /** Fills the fields of a test instance and those around it: doubles and values first, then the subjects. */
    void fill(List<Object> tests, Method method) {
        for (Object each : tests) {
            eachField(each, this::fillStandIn);
        }
        tests.forEach(this::lendHeld);
        declareParameters(method);
        for (Object each : tests) {
            Asked.OF.get(each.getClass()).around.forEach(this::declareParameters);
        }
        for (Object each : tests) {
            eachField(each, this::fillUnderTest);
        }
    }

    /** Doubles that the test holds already, such as those of a container, are given to its subjects as well. */
    private void lendHeld(Object instance) {
        for (Field field : Asked.OF.get(instance.getClass()).held) {
            try {
                Object value = field.get(instance);
                if (value != null) {
                    test.hosted().lend(value);
                }
            } catch (IllegalAccessException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    private static void eachField(Object test, Filler filler) {
        for (Field field : Asked.OF.get(test.getClass()).fields) {
            try {
                filler.fill(test, field);
            } catch (IllegalAccessException e) {
                throw new MisuseException(
                        name(field) + " cannot be reached.", "open its package to dev.zelotype.junit", e);
            }
        }
    }

    private void fillStandIn(Object instance, Field field) throws IllegalAccessException {
        StandIn asked = field.getAnnotation(StandIn.class);
        if (asked != null) {
            writable(field);
            field.set(instance, declare(asked.value(), field.getType(), field.getName()));
        }
        if (field.isAnnotationPresent(Provided.class)) {
            open(field);
            test.scene().provide(field.getName(), field.get(instance));
        }
    }

    private void fillUnderTest(Object instance, Field field) throws IllegalAccessException {
        UnderTest asked = field.getAnnotation(UnderTest.class);
        if (asked != null) {
            writable(field);
            hasSubject = true;
            if (field.getAnnotations().length > 1 && field.get(instance) != null) {
                // Another annotation means that a container fills it.
                test.hosted().subjectIs(field.get(instance));
                return;
            }
            field.set(instance, test.scene().subject(field.getType(), asked.others()));
        }
    }

    private static void writable(Field field) {
        if (Modifier.isStatic(field.getModifiers()) || Modifier.isFinal(field.getModifiers())) {
            throw new MisuseException(
                    name(field) + " is static or final, but each test gets doubles of its own.",
                    "make it a plain field");
        }
        open(field);
    }

    private static void open(Field field) {
        try {
            field.setAccessible(true);
        } catch (InaccessibleObjectException e) {
            throw ClosedPackages.refusal(field, Injection.class, e);
        }
    }

    private static String name(Field field) {
        return "The field " + field.getDeclaringClass().getSimpleName() + "." + field.getName();
    }

    private void declareParameters(Executable executable) {
        for (Parameter parameter : executable.getParameters()) {
            StandIn asked = parameter.getAnnotation(StandIn.class);
            if (asked != null) {
                ofParameters.put(parameter, declare(asked.value(), parameter.getType(), nameOf(parameter)));
            }
        }
    }

    private static @Nullable String nameOf(Parameter parameter) {
        return parameter.isNamePresent() ? parameter.getName() : null;
    }

    /** The double of this type and name; made now if it was not asked for before. */
    private Object declare(Kind kind, Class<?> type, @Nullable String name) {
        Declared known = declared.get(new Wish(type, name));
        if (known == null) {
            known = new Declared(makeDouble(kind, type, name), kind);
            declared.put(new Wish(type, name), known);
        } else if (known.kind() != kind) {
            throw new MisuseException(
                    known.made() + " is asked for as a " + known.kind().word() + " and as a " + kind.word() + ".",
                    "ask for one kind, or give the second double another name");
        }
        return known.made();
    }

    Object resolve(ParameterContext context) {
        Parameter parameter = context.getParameter();
        UnderTest subject = context.findAnnotation(UnderTest.class).orElse(null);
        if (subject != null) {
            hasSubject = true;
            return test.scene().subject(parameter.getType(), subject.others());
        }
        StandIn asked = context.findAnnotation(StandIn.class).orElse(null);
        if (asked == null) {
            return test.scene();
        }
        Object known = ofParameters.get(parameter);
        return known == null ? declare(asked.value(), parameter.getType(), nameOf(parameter)) : known;
    }

    private static Object makeDouble(Kind kind, Class<?> type, @Nullable String name) {
        Object made = switch (kind) {
            case STUB -> Zelotype.stub(type);
            case MOCK -> Zelotype.mock(type);
            case SPY -> Zelotype.spy(type);
            case DUMMY -> Zelotype.dummy(type);
            case FAKE -> Zelotype.fake(type);
        };
        return name == null ? made : Zelotype.named(made, name);
    }

    /** What is worth knowing about the declarations of the test. */
    List<String> notes() {
        List<String> notes = new ArrayList<>();
        for (Declared each : declared.values()) {
            if (hasSubject && !test.hosted().gaveToSubject(each.made())) {
                notes.add("the collaborator " + each.made() + " is declared, but the subject takes none of its type");
            }
        }
        if (hasSubject) {
            notes.addAll(test.hosted().providedButNotTaken());
        }
        return notes;
    }
}
