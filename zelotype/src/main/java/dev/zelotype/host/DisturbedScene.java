package dev.zelotype.host;

import dev.zelotype.engine.decide.CallScene;
import dev.zelotype.engine.decide.DoubleState;
import org.jspecify.annotations.Nullable;

/**
 * For hosts that challenge tests: a scene whose test is about to check its calls. For the thread of the test.
 *
 * @since 0.2
 */
public final class DisturbedScene {

    private final CallScene scene;

    DisturbedScene(CallScene scene) {
        this.scene = scene;
    }

    /**
     * Returns a double that the test can name.
     *
     * @param name its name in messages
     * @param type the binary name of the doubled type
     * @return the double; null if there is none, or if it represents a class
     */
    @SuppressWarnings("exports")
    public @Nullable Object named(String name, String type) {
        DoubleState found = scene.find(name, type);
        return found == null || found.isOfClass() ? null : found.self();
    }

    /**
     * Records a call of a double without a caller: it counts for expectations, but consumes no answer and runs nothing.
     *
     * @param name its name in messages
     * @param type the binary name of the doubled type
     * @param signature the method, with the simple names of its parameter types
     * @param arguments the arguments
     * @return false if the test has no such double and method
     * @throws Throwable if it is not expected
     */
    @SuppressWarnings("exports")
    public boolean alsoCall(String name, String type, String signature, @Nullable Object[] arguments) throws Throwable {
        DoubleState found = scene.find(name, type);
        return found != null && scene.alsoCall(found, signature, arguments);
    }
}
