package dev.zelotype.kotlin;

import dev.zelotype.error.MisuseException;
import java.lang.invoke.MethodHandleInfo;
import java.lang.invoke.SerializedLambda;

/**
 * Describes a Kotlin pattern in the same form as the JDK describes a lambda. For Zelotype's own Kotlin code; safe for
 * use from any thread.
 *
 * @since 0.2
 */
public final class PatternForm {

    private static final String METHOD = "ask";

    private PatternForm() {}

    /**
     * Describes a pattern.
     *
     * @param pattern the object that the Kotlin compiler generated for a lambda
     * @param shape the internal name of its Java shape, for example {@code dev/zelotype/call/Query0}
     * @param parameters the number of free parameters
     * @return the serialized form of an equivalent lambda
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
     * Makes the exception for a pattern that is run.
     *
     * @return the exception
     */
    public static IllegalStateException neverRun() {
        return new IllegalStateException("A pattern is read, and never run.");
    }

    /**
     * Makes the exception for a suspending answer of a call that does not suspend.
     *
     * @return the exception
     */
    public static MisuseException notSuspending() {
        return new MisuseException(
                "This call does not suspend, so its answer cannot suspend either.",
                "add an answer with answers { ... } or returns");
    }
}
