package dev.zelotype.doubles;

import org.jspecify.annotations.Nullable;

/**
 * Gives the empty values of a team's own types, or of a library's: the default answers of a double. Without
 * it such a type answers null.
 *
 * <p>Name the class in a file {@code META-INF/services/dev.zelotype.doubles.EmptyValue} of the tests, or give it to a scene:
 *
 * <pre>{@code
 * Scene.open(SceneSettings.defaults().emptyValue(type -> type == Locale.class ? Locale.ROOT : null));
 * }</pre>
 *
 * <p>It is asked before Zelotype's own empty values, on the thread that makes the call, and may be asked by several threads
 * at the same time. What a scene was given comes before what the services give.
 *
 * @since 0.2
 */
@FunctionalInterface
public interface EmptyValue {

    /**
     * The empty value of a type.
     *
     * @param type what the method of a double returns, or what a future, which it returns, is of; never a primitive type
     * @return the value; null to leave the type to others
     */
    @Nullable
    Object of(Class<?> type);
}
