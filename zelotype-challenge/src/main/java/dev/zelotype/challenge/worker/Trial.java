package dev.zelotype.challenge.worker;

import dev.zelotype.challenge.change.Message;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.host.DisturbedScene;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.util.List;

/**
 * A statement that is tried at the end of a test, to see whether it passes there.
 */
public final class Trial {

    /** The name of the classes that hold a statement to try. */
    public static final String NAME = "ZelotypeTrial";

    /** The method that holds the statement. */
    public static final String METHOD = "say";

    private final String type;
    private final List<Message.Named> doubles;
    private String result = "";

    Trial(String type, List<Message.Named> doubles) {
        this.type = type;
        this.doubles = doubles;
    }

    /** Its result; empty until a scene with its doubles has ended. */
    String result() {
        return result;
    }

    /** Runs the statement on the doubles of a scene, if the scene has them. */
    void run(DisturbedScene scene) {
        Object[] arguments = doubles.stream()
                .map(each -> scene.named(each.name(), each.type()))
                .toArray();
        for (Object each : arguments) {
            if (each == null) {
                return;
            }
        }
        try {
            Class<?> trial = Class.forName(type, true, Thread.currentThread().getContextClassLoader());
            for (Method method : trial.getDeclaredMethods()) {
                if (method.getName().equals(METHOD)) {
                    method.setAccessible(true);
                    method.invoke(null, arguments);
                    result = Message.Done.HELD;
                }
            }
        } catch (InvocationTargetException e) {
            result = e.getCause() instanceof CheckFailure ? Message.Done.FAILED : String.valueOf(e.getCause());
        } catch (ReflectiveOperationException | RuntimeException | LinkageError e) {
            result = e.toString();
        }
    }
}
