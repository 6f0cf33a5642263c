package dev.zelotype.junit;

import dev.zelotype.Scene;
import dev.zelotype.Zelotype;
import dev.zelotype.doubles.Kind;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.lang.reflect.Parameter;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.BeforeTestExecutionCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;

/**
 * What {@link WithDoubles} registers: opens the scene before a test, fills fields and parameters, and closes it after.
 */
final class DoublesExtension
        implements BeforeEachCallback, BeforeTestExecutionCallback, AfterEachCallback, ParameterResolver {

    private static final Namespace NAMESPACE = Namespace.create(DoublesExtension.class);

    DoublesExtension() {}

    @Override
    public void beforeEach(ExtensionContext context) {
        context.getStore(NAMESPACE).put(Scene.class, Scene.open());
        for (Object test : context.getRequiredTestInstances().getAllInstances()) {
            for (Class<?> type = test.getClass(); type != Object.class; type = type.getSuperclass()) {
                fillFields(test, type);
            }
        }
    }

    @Override
    public void beforeTestExecution(ExtensionContext context) {
        context.getStore(NAMESPACE).get(Scene.class, Scene.class).endSetUp();
    }

    private static void fillFields(Object test, Class<?> type) {
        for (Field field : type.getDeclaredFields()) {
            Collaborator asked = field.getAnnotation(Collaborator.class);
            if (asked == null) {
                continue;
            }
            String place = "The field " + type.getSimpleName() + "." + field.getName();
            if (Modifier.isStatic(field.getModifiers()) || Modifier.isFinal(field.getModifiers())) {
                throw new MisuseException(
                        place + " is static or final, but each test gets doubles of its own.", "make it a plain field");
            }
            try {
                field.setAccessible(true);
                field.set(test, makeDouble(asked.value(), field.getType(), field.getName()));
            } catch (IllegalAccessException e) {
                throw new MisuseException(place + " cannot be written.", "open its package to dev.zelotype.junit", e);
            }
        }
    }

    private static Object makeDouble(Kind kind, Class<?> type, String name) {
        return switch (kind) {
            case STUB -> Zelotype.stub(type, name);
            case MOCK -> Zelotype.mock(type, name);
            case SPY -> Zelotype.spy(type, name);
            case DUMMY -> Zelotype.dummy(type, name);
            case FAKE -> Zelotype.fake(type);
        };
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.isAnnotated(Collaborator.class);
    }

    @Override
    public Object resolveParameter(ParameterContext parameterContext, ExtensionContext context) {
        Parameter parameter = parameterContext.getParameter();
        if (context.getStore(NAMESPACE).get(Scene.class) == null) {
            throw new MisuseException(
                    "The parameter " + parameter.getName() + " of " + parameterContext.getDeclaringExecutable()
                            + " asks for a double outside any test.",
                    "ask for it in a test or in a method that runs before each test");
        }
        Kind kind = parameterContext
                .findAnnotation(Collaborator.class)
                .orElseThrow()
                .value();
        return makeDouble(kind, parameter.getType(), parameter.isNamePresent() ? parameter.getName() : null);
    }

    @Override
    public void afterEach(ExtensionContext context) {
        Scene scene = context.getStore(NAMESPACE).remove(Scene.class, Scene.class);
        if (scene == null) {
            return;
        }
        Throwable failure = context.getExecutionException().orElse(null);
        try {
            scene.closeAfter(failure);
        } catch (RuntimeException | Error e) {
            failure = e;
            throw e;
        } finally {
            Journals.write(context, scene, failure);
        }
    }
}
