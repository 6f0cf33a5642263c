package dev.zelotype.doubles;

import org.jspecify.annotations.Nullable;

/**
 * Provides the empty values of types of a team or a library: the default answers of doubles. Without it, such a type
 * returns null.
 *
 * <p>Name the class in a file {@code META-INF/services/dev.zelotype.doubles.EmptyValue} of the tests, or pass it to a
 * scene:
 *
 * <pre>{@code
 * Scene.open(SceneSettings.defaults().emptyValue(type -> type == Locale.class ? Locale.ROOT : null));
 * }</pre>
 *
 * <p>It is called before Zelotype's own empty values are used, on the thread that makes the call, possibly by several
 * threads at the same time. The setting of a scene has priority over services.
 *
 * @since 0.2
 */
@FunctionalInterface
public interface EmptyValue {

    /**
     * Returns the empty value of a type.
     *
     * @param type the return type of a method, or the type of a returned future's value; never a primitive type
     * @return the value; null to leave the type to others
     */
    @Nullable
    Object of(Class<?> type);
}
