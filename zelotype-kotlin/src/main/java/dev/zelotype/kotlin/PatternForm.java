package dev.zelotype.kotlin;

import dev.zelotype.error.MisuseException;
import java.lang.invoke.MethodHandleInfo;
import java.lang.invoke.SerializedLambda;

/**
 * What a pattern of Kotlin says of itself, in the words in which the JDK says it of a lambda. For Zelotype's own Kotlin
 * code; safe for use from any thread.
 *
 * @since 0.2
 */
public final class PatternForm {

    private static final String METHOD = "ask";

    private PatternForm() {}

    /**
     * Says which class's code a pattern is.
     *
     * @param pattern the object that the Kotlin compiler made of a lambda
     * @param shape the internal name of the shape that it has in Java, such as {@code dev/zelotype/call/Query0}
     * @param parameters how many free parameters it has
     * @return what a serializable lambda would be written as
     */
    public static Object of(Object pattern, String shape, int parameters) {
        Class<?> type = pattern.getClass();
        String name = type.getName().replace('.', '/');
        String descriptor =
                "(" + "Ljava/lang/Object;".repeat(parameters) + "Lkotlin/coroutines/Continuation;)Ljava/lang/Object;";
        return new SerializedLambda(
                type,
                shape,
                METHOD,
                descriptor,
                MethodHandleInfo.REF_invokeVirtual,
                name,
                METHOD,
                descriptor,
                descriptor,
                new Object[] {pattern});
    }

    /**
     * What is thrown if a pattern is run.
     *
     * @return the exception
     */
    public static IllegalStateException neverRun() {
        return new IllegalStateException("A pattern is read, and never run.");
    }

    /**
     * What is thrown if an answer is to suspend where the call does not.
     *
     * @return the exception
     */
    public static MisuseException notSuspending() {
        return new MisuseException(
                "This call does not suspend, so its answer cannot suspend either.",
                "say what it answers with answers { ... }, or with returns");
    }
}
