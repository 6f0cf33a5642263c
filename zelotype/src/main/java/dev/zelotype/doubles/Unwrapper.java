package dev.zelotype.doubles;

/**
 * For frameworks: finds the object behind a proxy, so that statements may name the proxy. A service: implementations
 * are named in {@code META-INF/services/dev.zelotype.doubles.Unwrapper}. Called for statements only, never when a
 * double is called; from any thread.
 *
 * <pre>{@code
 * Unwrapper boxes = object -> object instanceof Optional<?> box && box.isPresent() ? box.get() : object;
 * }</pre>
 *
 * @since 0.2
 */
@FunctionalInterface
public interface Unwrapper {

    /**
     * Returns the object behind a proxy.
     *
     * @param object the object named in a statement; never null
     * @return the object behind it; the same object if it is not a proxy that this class knows
     */
    Object unwrap(Object object);
}
