package dev.zelotype.junit;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.host.HostedScene;
import java.lang.reflect.Parameter;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
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
        Injection injection = new Injection(Settings.of(context).open());
        context.getStore(NAMESPACE).put(Injection.class, injection);
        injection.fill(context.getRequiredTestInstances().getAllInstances());
    }

    @Override
    public void beforeTestExecution(ExtensionContext context) {
        injection(context).hosted().endSetUp();
    }

    private static Injection injection(ExtensionContext context) {
        return context.getStore(NAMESPACE).get(Injection.class, Injection.class);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.isAnnotated(StandIn.class)
                || parameter.isAnnotated(UnderTest.class)
                || parameter.getParameter().getType() == Scene.class;
    }

    @Override
    public Object resolveParameter(ParameterContext context, ExtensionContext extension) {
        Parameter parameter = context.getParameter();
        Injection injection = injection(extension);
        if (injection == null) {
            throw new MisuseException(
                    "The parameter " + parameter + " of " + context.getDeclaringExecutable()
                            + " asks for something of a scene, but no test is running.",
                    "ask for it in a test or in a method that runs before or after each test");
        }
        return injection.resolve(context);
    }

    @Override
    public void afterEach(ExtensionContext context) {
        Injection injection = context.getStore(NAMESPACE).remove(Injection.class, Injection.class);
        if (injection == null) {
            return;
        }
        HostedScene hosted = injection.hosted();
        Throwable failure = context.getExecutionException().orElse(null);
        try {
            hosted.closeAfter(failure);
        } catch (RuntimeException | Error e) {
            failure = e;
            throw e;
        } finally {
            attachConversation(failure, hosted);
            publishNotes(context, injection);
            Journals.write(context, hosted.scene(), injection.notes(), failure);
        }
    }

    /** What is worth knowing though it is not wrong goes into the test's report. */
    private static void publishNotes(ExtensionContext context, Injection injection) {
        List<String> notes = new ArrayList<>(injection.hosted().scene().notes());
        notes.addAll(injection.notes());
        if (!notes.isEmpty()) {
            context.publishReportEntry("zelotype.notes", String.join("\n", notes));
        }
    }

    /** A failure that does not tell the conversation itself is followed by it. */
    private static void attachConversation(@Nullable Throwable failure, HostedScene hosted) {
        boolean toldAlready =
                failure == null || String.valueOf(failure.getMessage()).contains("\n  Conversation (");
        if (!toldAlready && !hosted.scene().conversation().calls().isEmpty()) {
            List<String> unneeded = hosted.scene().notes();
            failure.addSuppressed(new ConversationOfTheTest(hosted.scene().conversationText()
                    + (unneeded.isEmpty() ? "" : "\nSupposed, but not needed by any call\n")
                    + String.join("\n", unneeded)));
        }
    }
}
