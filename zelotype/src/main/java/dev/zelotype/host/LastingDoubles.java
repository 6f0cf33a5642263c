package dev.zelotype.host;

import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.statement.LastingScene;

/**
 * For hosts: doubles that outlive scenes, such as those of a container that several tests share. What a test says of
 * them, and what it sees of their calls, belongs to its own scene. Until {@link #endSetUp} the container is being put
 * together: calls belong to no test, and mocks answer like stubs. Safe for use from any thread.
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
     * Opens a place for such doubles.
     *
     * @param title what messages call it
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
     * @param name what messages call it
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
     * @param name what messages call it
     * @return the spy; the object itself if it is to be spied on in its own place, which each scene does that it is
     *     {@linkplain HostedScene#lend lent}
     * @throws dev.zelotype.error.MisuseException if its class cannot be doubled
     */
    public Object spy(Object real, String name) {
        return scene.watched(real, name);
    }

    /** Says that what holds the doubles is complete: calls belong to the scenes of tests from now on. */
    public void endSetUp() {
        scene.endContainersSetUp();
    }

    /** Closes the place: calls that come later are named as calls of a closed scene. */
    @Override
    public void close() {
        scene.close();
    }
}
