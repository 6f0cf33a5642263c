package dev.zelotype.junit;

import dev.zelotype.journal.TestScene;
import java.lang.annotation.Annotation;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.lang.reflect.Parameter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.platform.commons.support.AnnotationSupport;
import org.junit.platform.commons.support.HierarchyTraversalMode;

/**
 * Gives a test its doubles and subjects. All doubles for the test's fields and parameters are made before the first
 * subject is built, so that the subject gets exactly these.
 */
final class Injection {

    /** The methods that run around each test of a class, found once. */
    private static final ClassValue<List<Method>> AROUND = new ClassValue<>() {
        @Override
        protected List<Method> computeValue(Class<?> type) {
            List<Method> around = new ArrayList<>();
            if (anyMethodAsks(type)) {
                for (Class<? extends Annotation> when : List.of(BeforeEach.class, AfterEach.class)) {
                    around.addAll(AnnotationSupport.findAnnotatedMethods(type, when, HierarchyTraversalMode.TOP_DOWN));
                }
            }
            return around;
        }
    };

    private final TestScene test;
    private final TestFields fields;
    private final Map<Parameter, Object> ofParameters = new HashMap<>();

    Injection(TestScene test) {
        this.test = test;
        this.fields = new TestFields(test);
    }

    TestScene test() {
        return test;
    }

    /** Fills the fields of a test instance and its enclosing instances. */
    void fill(List<Object> tests, Method method) {
        fields.fillDoubles(tests);
        declareParameters(method);
        for (Object each : tests) {
            AROUND.get(each.getClass()).forEach(this::declareParameters);
        }
        fields.fillSubjects(tests);
    }

    /** Few classes have methods that ask for doubles, and JUnit's search for annotated methods takes long. */
    private static boolean anyMethodAsks(@Nullable Class<?> type) {
        if (type == null || type == Object.class) {
            return false;
        }
        for (Method method : type.getDeclaredMethods()) {
            if (method.getParameterCount() > 0 && !method.isSynthetic() && asks(method)) {
                return true;
            }
        }
        for (Class<?> each : type.getInterfaces()) {
            if (anyMethodAsks(each)) {
                return true;
            }
        }
        return anyMethodAsks(type.getSuperclass());
    }

    private static boolean asks(Method method) {
        for (Parameter parameter : method.getParameters()) {
            if (parameter.isAnnotationPresent(StandIn.class)) {
                return true;
            }
        }
        return false;
    }

    private void declareParameters(Executable executable) {
        for (Parameter parameter : executable.getParameters()) {
            StandIn asked = parameter.getAnnotation(StandIn.class);
            if (asked != null) {
                ofParameters.put(parameter, fields.declare(asked.value(), parameter.getType(), nameOf(parameter)));
            }
        }
    }

    private static @Nullable String nameOf(Parameter parameter) {
        return parameter.isNamePresent() ? parameter.getName() : null;
    }

    Object resolve(ParameterContext context) {
        Parameter parameter = context.getParameter();
        UnderTest subject = context.findAnnotation(UnderTest.class).orElse(null);
        if (subject != null) {
            return fields.subject(parameter.getType(), subject);
        }
        StandIn asked = context.findAnnotation(StandIn.class).orElse(null);
        if (asked == null) {
            return test.scene();
        }
        Object known = ofParameters.get(parameter);
        return known == null ? fields.declare(asked.value(), parameter.getType(), nameOf(parameter)) : known;
    }

    /** Notes about the declarations of the test. */
    List<String> notes() {
        return fields.notes();
    }
}
