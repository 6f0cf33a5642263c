package dev.zelotype.engine.journal;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Puts calls into words while they happen, since what was passed may change later. Called on the calling thread.
 */
public interface Witness {

    List<String> arguments(MethodLog log, Object[] arguments);

    String answer(@Nullable Object answer);
}
