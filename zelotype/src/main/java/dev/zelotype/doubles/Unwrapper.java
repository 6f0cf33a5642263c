package dev.zelotype.doubles;

/**
 * For frameworks: finds the object behind a proxy of a framework, so that statements
 * may name the proxy. A service: implementations are named in {@code META-INF/services/dev.zelotype.doubles.Unwrapper}.
 * Asked in statements only, never when a double is called; from any thread.
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
     * What stands behind an object.
     *
     * @param object what a statement names; never null
     * @return the object behind; the same one if it is not a proxy that this class knows
     */
    Object unwrap(Object object);
}
