package dev.zelotype.host;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Records for each call whether its answer is dropped. It is in a package of Zelotype, because the engine treats the
 * nearest code outside Zelotype as the caller.
 */
public record DroppedAnswers(List<Boolean> seen) implements CallDisturber {

    @Override
    public @Nullable Object disturb(DisturbedCall call) throws Throwable {
        seen.add(call.isAnswerDropped());
        return call.proceed();
    }
}
