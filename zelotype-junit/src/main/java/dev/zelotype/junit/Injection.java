package dev.zelotype.junit;

import dev.zelotype.Scene;
import dev.zelotype.Zelotype;
import dev.zelotype.doubles.Kind;
import dev.zelotype.error.MisuseException;
import dev.zelotype.host.HostedScene;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.lang.reflect.Parameter;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.extension.ParameterContext;

/**
 * Hands one test its doubles and subjects.
 */
final class Injection {

    private final HostedScene hosted;
    private final Scene scene;
    private final List<Object> declared = new ArrayList<>();
    private boolean hasSubject;

    Injection(HostedScene hosted) {
        this.hosted = hosted;
        this.scene = hosted.scene();
    }

    HostedScene hosted() {
        return hosted;
    }

    private interface Filler {
        void fill(Object test, Field field) throws IllegalAccessException;
    }

    /** Fills the fields of a test instance and those around it: doubles and values first, then the subjects. */
    void fill(List<Object> tests) {
        for (Object test : tests) {
            eachField(test, this::fillStandIn);
        }
        for (Object test : tests) {
            eachField(test, this::fillUnderTest);
        }
    }

    private static void eachField(Object test, Filler filler) {
        for (Class<?> type = test.getClass(); type != Object.class; type = type.getSuperclass()) {
            for (Field field : type.getDeclaredFields()) {
                try {
                    filler.fill(test, field);
                } catch (IllegalAccessException e) {
                    throw new MisuseException(
                            name(field) + " cannot be reached.", "open its package to dev.zelotype.junit", e);
                }
            }
        }
    }

    private void fillStandIn(Object test, Field field) throws IllegalAccessException {
        StandIn asked = field.getAnnotation(StandIn.class);
        if (asked != null) {
            writable(field);
            Object made = makeDouble(asked.value(), field.getType(), field.getName());
            declared.add(made);
            field.set(test, made);
        }
        if (field.isAnnotationPresent(Provided.class)) {
            field.setAccessible(true);
            scene.provide(field.getName(), field.get(test));
        }
    }

    private void fillUnderTest(Object test, Field field) throws IllegalAccessException {
        UnderTest asked = field.getAnnotation(UnderTest.class);
        if (asked != null) {
            writable(field);
            hasSubject = true;
            field.set(test, scene.subject(field.getType(), asked.others()));
        }
    }

    private static void writable(Field field) {
        if (Modifier.isStatic(field.getModifiers()) || Modifier.isFinal(field.getModifiers())) {
            throw new MisuseException(
                    name(field) + " is static or final, but each test gets doubles of its own.",
                    "make it a plain field");
        }
        field.setAccessible(true);
    }

    private static String name(Field field) {
        return "The field " + field.getDeclaringClass().getSimpleName() + "." + field.getName();
    }

    Object resolve(ParameterContext context) {
        Parameter parameter = context.getParameter();
        UnderTest subject = context.findAnnotation(UnderTest.class).orElse(null);
        if (subject != null) {
            hasSubject = true;
            return scene.subject(parameter.getType(), subject.others());
        }
        StandIn asked = context.findAnnotation(StandIn.class).orElse(null);
        return asked == null
                ? scene
                : makeDouble(
                        asked.value(), parameter.getType(), parameter.isNamePresent() ? parameter.getName() : null);
    }

    private static Object makeDouble(Kind kind, Class<?> type, @Nullable String name) {
        return switch (kind) {
            case STUB -> name == null ? Zelotype.stub(type) : Zelotype.stub(type, name);
            case MOCK -> name == null ? Zelotype.mock(type) : Zelotype.mock(type, name);
            case SPY -> name == null ? Zelotype.spy(type) : Zelotype.spy(type, name);
            case DUMMY -> name == null ? Zelotype.dummy(type) : Zelotype.dummy(type, name);
            case FAKE -> Zelotype.fake(type);
        };
    }

    /** What is worth knowing about the declarations of the test. */
    List<String> notes() {
        List<String> notes = new ArrayList<>();
        for (Object each : declared) {
            if (hasSubject && !hosted.gaveToSubject(each)) {
                notes.add("the collaborator " + each + " is declared, but the subject takes none of its type");
            }
        }
        return notes;
    }
}
