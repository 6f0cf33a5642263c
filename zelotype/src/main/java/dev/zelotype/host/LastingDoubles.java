package dev.zelotype.host;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.statement.LastingScene;

/**
 * For hosts: doubles that outlive scenes, for example in a container that several tests share. Statements and recorded
 * calls belong to the scene of each test. Until {@link #endSetUp} the container is being set up: calls belong to no
 * test, and mocks answer like stubs. Safe for use from any thread.
 *
 * <pre>{@code
 * LastingDoubles doubles = LastingDoubles.open("the observatory");
 * Object dome = doubles.make(Kind.MOCK, Dome.class, "dome");
 * doubles.endSetUp();
 * }</pre>
 *
 * @since 0.2
 */
public final class LastingDoubles implements AutoCloseable {

    private final LastingScene scene;

    private LastingDoubles(String title) {
        scene = new LastingScene(title);
    }

    /**
     * Creates a home for such doubles.
     *
     * @param title its name in messages
     * @return the place
     */
    public static LastingDoubles open(String title) {
        return new LastingDoubles(title);
    }

    /**
     * Makes a double.
     *
     * @param kind its kind
     * @param type the type to double
     * @param name its name in messages
     * @return the double
     * @throws dev.zelotype.error.MisuseException if the type cannot be doubled
     */
    public Object make(Kind kind, Class<?> type, String name) {
        return scene.make(kind, type, name);
    }

    /**
     * Makes a spy.
     *
     * @param real the object to spy on; a double is its own spy
     * @param name its name in messages
     * @return the spy; the object itself if each scene that it is {@linkplain HostedScene#lend lent} to spies on it for
     *     itself
     * @throws dev.zelotype.error.MisuseException if its class cannot be doubled
     */
    public Object spy(Object real, String name) {
        return scene.watched(real, name);
    }

    /** Ends the set-up: calls belong to the scenes of tests from now on. */
    public void endSetUp() {
        scene.endContainersSetUp();
    }

    /** Closes it: later calls are reported as calls of a closed scene. */
    @Override
    public void close() {
        scene.close();
    }
}
